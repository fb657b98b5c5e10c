import { doubleAt, lastOf } from '#base/lookup';
import type { Apparatus } from '#matter/gear';
import {
  atMl,
  type Caught,
  caughtBetween,
  distil,
  type Mixture,
  mlOfGrams,
  type Run,
  type Setup,
  type Staying,
} from '#model/still';

/** What a cut is computed from: plain numbers, so that the same is computed once. */
export interface Cutting {
  readonly mixture: Mixture;
  readonly n1: number;
  readonly n2: number;
  readonly staying: Staying;
  readonly apparatus: Apparatus;
  readonly airC: number;
}

/** Where it ends: mL gone over, g gone over, or °C of the flask. */
export type End = { readonly ml: number } | { readonly grams: number } | { readonly potC: number };

/** What went over, and how it stood at the end. */
export interface CutFound {
  readonly ml: number;
  readonly caught: Caught;
  readonly headC: number;
  readonly potC: number;
  readonly fromHeadC: number;
}

/** Fewer steps than the panel’s: a sheet goes through a run many times. Within 0.3 % of it. */
const STEPS = 60;
const KNOWN = new Map<string, Run>();
const MOST_KNOWN = 400;

/** The run that a cut is taken of; known ones are kept. */
function runOf({ mixture, n1, n2, staying, apparatus, airC }: Cutting): Run {
  const key = JSON.stringify([mixture.id, mixture.pressureHPa, n1, n2, staying, apparatus, airC]);
  const known = KNOWN.get(key);
  if (known) return known;
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  const setup: Setup = { mixture, charge: { first: n1, second: n2, staying }, apparatus, airC };
  const run = distil(setup, {}, STEPS);
  KNOWN.set(key, run);
  return run;
}

/** A cut by the model. */
export function cutBy(cutting: Cutting, end: End): CutFound {
  const run = runOf(cutting);
  const ml = endMl(run, end);
  return {
    ml,
    caught: caughtBetween(run, 0, ml),
    headC: atMl(run, 'headC', ml),
    potC: atMl(run, 'potC', ml),
    fromHeadC: doubleAt(run.headC, 0),
  };
}

function endMl(run: Run, end: End): number {
  const all = lastOf(run.overMl);
  if ('ml' in end) return Math.min(all, end.ml);
  if ('grams' in end) return mlOfGrams(run, end.grams);
  const i = run.potC.findIndex((each) => each >= end.potC);
  if (i < 0) return all;
  if (i === 0) return 0;
  const [low, high] = [doubleAt(run.potC, i - 1), doubleAt(run.potC, i)];
  return (
    doubleAt(run.overMl, i - 1) +
    ((doubleAt(run.overMl, i) - doubleAt(run.overMl, i - 1)) * (end.potC - low)) / (high - low || 1)
  );
}
