import { type ExtentReport, inferStrength } from '#core/add';
import { derive, type Figure, given, sdOf } from '#core/figure';
import { readingValue } from '#core/log';
import type { Reaction } from '#core/reaction';
import type { FieldsOf } from '#core/shape';
import { formatNumber } from '#core/units';
import { weighingSd } from '../add/mass.ts';
import { type Addition, additionOf, solidRole } from '../addition.ts';
import { extentOfStep } from '../extent.ts';
import { reactionOf } from '../facts.ts';
import type { StepView, TimedRead } from '../view.ts';
import type { fields } from './op.ts';

/** A solid that did not all dissolve, taken as an assay of what should have dissolved it. */
export interface StallAdvice {
  readonly bottleId: string | null;
  readonly strength: Figure;
  readonly labelPct: number;
  /** What the solid that is left says of the reagent: spent before its label, spent as its label says, or still at work. */
  readonly verdict: 'weaker' | 'as labelled' | 'stronger';
  readonly sentence: string;
  /** ± of 95 %, as the card of a bottle takes it. */
  readonly band: number;
}

export interface Reacts {
  readonly extent: ExtentReport | null;
  readonly stall: StallAdvice | null;
}

export function advice(view: StepView, op: FieldsOf<typeof fields>): Reacts | null {
  const reaction = reactionOf(view.facts, op.reaction);
  const addition = additionOf(view, solidRole(view.facts, reaction), [op.reaction], false);
  if (!addition) return null;
  return { extent: extentOfStep(view, addition, undefined), stall: stallOf(view, addition, reaction) };
}

function stallOf(view: StepView, addition: Addition, reaction: Reaction): StallAdvice | null {
  const { facts, additions, readings } = view;
  const read = readings.findLast(({ body }) => body.quantity === 'left');
  const left = read && readingValue(read.body.reading);
  const solid = facts.contents[addition.role];
  const other = reaction.reactants.find(({ substanceId }) => substanceId !== solid?.substance.species);
  const own = reaction.reactants.find((each) => each !== other);
  const role = Object.keys(facts.contents).find((id) => facts.contents[id]?.substance.species === other?.substanceId);
  const line = additions.find((each) => each.role === role);
  const solidLine = additions.find((each) => each.role === addition.role);
  const reagent = role === undefined ? undefined : facts.contents[role];
  const stopped = view.finished || hasStopped(facts.bench.balanceG, readings);
  if (!left || left.value <= 0 || !stopped) return null;
  if (!solid || !other || !own || !reagent || !line || !solidLine) return null;
  const leftover = given(
    { symbol: 'm(left)', name: `${solid.substance.name} left`, unit: 'g' },
    {
      value: left.value,
      uncertainty: {
        'left:weighed': {
          name: 'weighing what was left',
          effect: Math.max(left.sd, weighingSd(facts.bench.balanceG)),
        },
      },
    },
    'weighed at the bench',
  );
  const gone = derive(
    { symbol: 'm', name: `${solid.substance.name} that dissolved`, unit: 'g' },
    'm₀ − l',
    { 'm₀': solidLine.actual ?? solidLine.dose.mass, l: leftover },
    (x) => Math.max(0, x['m₀'] - x.l),
  );
  const strength = inferStrength(
    { gone, w: solid.w, formula: solid.substance.formula, name: solid.substance.name },
    { poured: line.actual ?? line.dose.mass, formula: reagent.substance.formula, name: reagent.substance.name },
    other.n / own.n,
  );
  const band = 2 * sdOf(strength);
  const labelPct = reagent.w.value;
  const verdict = verdictOf(strength.value, band, labelPct);
  const shown = `${formatNumber(strength.value, 3)} ± ${formatNumber(band, 2)} %`;
  return {
    bottleId: line.bottleId,
    strength,
    labelPct,
    band,
    verdict,
    sentence: `${formatNumber(left.value, 3)} g of ${solid.substance.name} left. ${SAYS[verdict](line.name, shown, labelPct)}`,
  };
}

function verdictOf(found: number, band: number, label: number): StallAdvice['verdict'] {
  if (found + band < label) return 'weaker';
  return found - band > label ? 'stronger' : 'as labelled';
}

const SAYS: Readonly<Record<StallAdvice['verdict'], (name: string, shown: string, labelPct: number) => string>> = {
  weaker: (name, shown, label) =>
    `If it has stopped, ${name} was ${shown}, not ${formatNumber(label, 3)} %: it is spent. Add more of it, or filter.`,
  'as labelled': (name, shown, label) =>
    `${name} is spent: by what it dissolved it was ${shown}, as its ${formatNumber(label, 3)} % says. Waiting or warming brings nothing; add more of it, or filter.`,
  stronger: (name, shown, label) =>
    `It dissolved more than ${formatNumber(label, 3)} % could: ${name} was ${shown}, something else dissolves it too, or what is left was weighed wet. Check it before relying on it.`,
};

/** Two readings in a row that agree, or the word for it. */
function hasStopped(balanceG: number, reads: readonly TimedRead[]): boolean {
  const left = reads.flatMap(({ body }) =>
    body.quantity === 'left' ? [readingValue(body.reading)?.value ?? Number.NaN] : [],
  );
  const [before, last] = left.slice(-2);
  if (before !== undefined && last !== undefined && before - last <= Math.max(4 * weighingSd(balanceG), 0.03 * last))
    return true;
  const seen = reads.findLast(({ body }) => body.reading.is === 'sight')?.body.reading;
  return seen?.is === 'sight' && seen.enough;
}
