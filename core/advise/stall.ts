import { inferStrength } from '#core/add';
import { derive, type Figure, given, sdOf } from '#core/figure';
import { type Addition, type Context, readingValue, type Sheet, weighingSd } from '#core/run';
import { formatNumber } from '#core/units';
import type { TimedRead } from './timed-read.ts';

export interface StallAdvice {
  readonly bottleId: string | null;
  readonly strength: Figure;
  readonly labelPct: number;
  readonly sentence: string;
  /** ± of 95 %, as the card of a bottle takes it. */
  readonly band: number;
}

/** A solid that did not all dissolve, taken as an assay of what should have dissolved it. */
export function stallOf(
  context: Context,
  sheet: Sheet,
  step: string,
  addition: Addition,
  reads: readonly TimedRead[],
  finished: boolean,
): StallAdvice | null {
  const read = [...reads].reverse().find(({ body }) => body.quantity === 'left');
  const left = read && readingValue(read.body.reading);
  const op = context.steps.find(({ id }) => id === step)?.op;
  const reaction = op?.do === 'react' ? context.route.reactions.find(({ id }) => id === op.reaction) : undefined;
  const solid = context.contents[addition.role];
  const other = reaction?.reactants.find(
    ({ substanceId }) => substanceId !== (solid?.substance.species),
  );
  const role = Object.keys(context.contents).find((id) => context.contents[id]!.substance.id === other?.substanceId);
  const line = sheet.charges.find((each) => each.role === role);
  const metal = sheet.charges.find((each) => each.role === addition.role);
  if (
    !left ||
    !(finished || hasStopped(context, reads)) ||
    left.value <= 0 ||
    !reaction ||
    !solid ||
    !other ||
    !role ||
    !line ||
    !metal
  )
    return null;
  const own = reaction.reactants.find((each) => each !== other)!;
  const reagent = context.contents[role]!;
  const charged = metal.actual ?? metal.dose.mass;
  const leftover = given(
    { symbol: 'm(left)', name: `${solid.substance.name} left`, unit: 'g' },
    {
      value: left.value,
      uncertainty: {
        'left:weighed': {
          name: 'weighing what was left',
          effect: Math.max(left.sd, weighingSd(context.plan.bench.balanceG)),
        },
      },
    },
    'weighed at the bench',
  );
  const gone = derive(
    { symbol: 'm', name: `${solid.substance.name} that dissolved`, unit: 'g' },
    'm₀ − l',
    { 'm₀': charged, l: leftover },
    (x) => Math.max(0, x['m₀'] - x.l),
  );
  const strength = inferStrength(
    { gone, w: solid.w, formula: solid.substance.formula, name: solid.substance.name },
    { poured: line.actual ?? line.dose.mass, formula: reagent.substance.formula, name: reagent.substance.name },
    other.n / own.n,
  );
  const band = 2 * sdOf(strength);
  const labelPct = reagent.w.value;
  // What would dissolve with the label's strength, against what did.
  const says =
    strength.value + band < labelPct
      ? `If it has stopped, ${line.name} was ${formatNumber(strength.value, 3)} ± ${formatNumber(band, 2)} %, not ${formatNumber(labelPct, 3)} %.`
      : `${line.name} still has acid to give: it has not stopped for want of it. Warm it, stir, wait.`;
  return {
    bottleId: line.bottleId,
    strength,
    labelPct,
    band,
    sentence: `${formatNumber(left.value, 3)} g of ${solid.substance.name} left. ${says}`,
  };
}

/** Two readings in a row that agree, or the word for it. */
function hasStopped({ plan }: Context, reads: readonly TimedRead[]): boolean {
  const left = reads.flatMap(({ body }) =>
    body.quantity === 'left' ? [readingValue(body.reading)?.value ?? Number.NaN] : [],
  );
  const [before, last] = left.slice(-2);
  if (
    before !== undefined &&
    last !== undefined &&
    before - last <= Math.max(4 * weighingSd(plan.bench.balanceG), 0.03 * last)
  )
    return true;
  const seen = [...reads].reverse().find(({ body }) => body.quantity === 'sight')?.body.reading;
  return seen?.is === 'word' && /stopped|no longer|no more/i.test(seen.text);
}
