import { sdOf } from '#base/figure';
import type { FieldsOf } from '#base/shape';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { amountsOf } from '#matter/vessel';
import { massPct, type StillAsked } from '#model/still';
import type { StepView } from '../view.ts';
import { apparatusOf, flaskOf } from './flask.ts';
import type { fields } from './op.ts';

/** The flask as this step finds it, for the model, and how well its strength is known. */
export interface DistilAdvice {
  readonly still: StillAsked;
  /** Standard uncertainty of the strength, mass %. */
  readonly pctSd: number;
  readonly volatile: SubstanceId;
  readonly finished: boolean;
}

/** Least that a strength is off by, mass %: a label without a band. */
const LEAST_SD = 0.15;

/** What is known of the flask before anything is read of it. */
export function advice(view: StepView, op: FieldsOf<typeof fields>): DistilAdvice | null {
  const flask = flaskOf(view.before, op, view.facts);
  if (!flask) return null;
  const { mixture, charge, n, other, otherM } = flask;
  const { bench } = view.facts;
  const M = molarMass(substanceOf(flask.first).formula);
  const grams = charge.first * M + charge.second * otherM;
  const pct = massPct(mixture, charge.first / (charge.first + charge.second));
  // d(100 m ÷ (m + W)) by either.
  const share = pct / 100;
  const sd = (100 / grams) * Math.hypot((1 - share) * sdOf(n) * M, share * sdOf(other));
  return {
    volatile: op.volatile,
    finished: view.finished,
    pctSd: Math.max(LEAST_SD, sd),
    still: {
      first: mixture.first.id,
      second: mixture.second.id,
      pressureHPa: bench.pressureHPa,
      grams,
      pct,
      staying: amountsOf(view.before)
        .filter(([id, mol]) => id !== flask.first && id !== flask.second && mol > 0)
        .map(([id, mol]) => ({ substanceId: id, grams: mol * molarMass(substanceOf(id).formula) })),
      apparatus: apparatusOf(view.facts),
      airC: bench.tempC,
      wanted: null,
    },
  };
}
