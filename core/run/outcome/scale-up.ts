import { fail, ok, type Result } from '#base/problem';
import { formatNumber, formatPlain } from '#base/units';
import { contentOf } from '#matter/stock';
import { type Plan, planTitle, stockIn } from '#run/plan';
import { type Gauge, type Sheet, sheetOf } from '#run/sheet';
import type { RunState } from '#run/state';

/** A pilot run made larger: in one vessel, or the same again n times. */
export interface ScaleUp {
  readonly factor: number;
  readonly batches: number;
  /** How far the pilot came, of what its own sheet expected; 1 where it was not found. */
  readonly asPilot: number;
  readonly takes: readonly {
    readonly name: string;
    readonly one: string;
    readonly all: string;
    readonly short: string;
  }[];
  /** g or mL of product in all, by what the pilot gave. */
  readonly product: { readonly value: number; readonly bandPct: number | null; readonly unit: string } | null;
  /** “the strength stays 2.00 mol/L”; empty for a solid. */
  readonly strength: string;
  readonly handsOnH: number;
  readonly waitH: readonly [number, number];
  readonly cost: number | null;
  /** What does not grow with the amount, one sentence each. */
  readonly mind: readonly string[];
  /** The plan of one batch of that size, as it would be typed. */
  readonly ask: string;
}

export interface ScalingBy {
  /** Times as much in all. */
  readonly factor: number;
  /** In so many batches. */
  readonly batches: number;
}

const MOST_TIMES = 200;

/** A run projected to more of it. Amounts follow the plan, the product what the pilot gave; what does not scale is said. */
export function scaleUp(plan: Plan, state: RunState, { factor, batches }: ScalingBy): Result<ScaleUp> {
  if (!(factor > 0) || factor > MOST_TIMES)
    return fail('out-of-range', `Times as much is more than 0 and at most ${MOST_TIMES}.`, { field: 'factor' });
  if (!(batches >= 1) || !Number.isInteger(batches) || batches > 50)
    return fail('out-of-range', 'In how many batches? A whole number from 1 to 50.', { field: 'batches' });
  const each = factor / batches;
  const amount = { ...plan.target.amount, value: plan.target.amount.value * each };
  const larger = { ...plan, target: { ...plan.target, amount } };
  const sheet = sheetOf(larger);
  if (!sheet.ok) return sheet;
  const pilot = sheetOf(plan);
  if (!pilot.ok) return pilot;
  const asPilot = reachedOf(state);
  const { product, made, hours } = sheet.value;
  const figure = product ?? made?.volume ?? null;
  return ok({
    factor,
    batches,
    asPilot,
    takes: sheet.value.additions.map(({ role, name, dose }) => ({
      name,
      one: `${formatPlain(dose.take.value)} ${dose.take.unit}`,
      all: `${formatNumber(dose.take.value * batches, 4)} ${dose.take.unit}`,
      short: shortOf(plan, role, dose.mass.value * batches),
    })),
    product: figure && {
      value: figure.value * batches * (product ? asPilot : 1),
      bandPct: product && sheet.value.uncertainty.shares.length > 0 ? bandOf(sheet.value) : null,
      unit: figure.unit,
    },
    strength: made ? `${formatNumber(made.strength.value, 3)} mol/L, as the pilot` : '',
    handsOnH: hours.handsOn * batches,
    waitH: [hours.wait[0] * batches, hours.wait[1] * batches],
    cost: sheet.value.cost && sheet.value.cost.value * batches,
    mind: each > 1.05 ? mindOf({ pilot: pilot.value, larger: sheet.value, each }) : [],
    ask: planTitle(larger),
  });
}

/** What the pilot gave of what its sheet expected. */
function reachedOf({ yield: account, sheet }: RunState): number {
  const expected = sheet.product?.value;
  return account && expected && expected > 0 ? Math.min(1.5, account.mass.value / expected) : 1;
}

function bandOf({ product }: Sheet): number | null {
  if (!product || product.value === 0) return null;
  const squares = Object.values(product.uncertainty).reduce((sum, { effect }) => sum + effect ** 2, 0);
  return (200 * Math.sqrt(squares)) / product.value;
}

/** What of a bottle would lack; empty where it suffices or nothing says how much there is. */
function shortOf(plan: Plan, role: string, grams: number): string {
  const id = plan.bottles[role];
  const stock = stockIn(plan, id);
  if (!id || !stock) return '';
  const content = contentOf({ id, ...stock }, plan.bench.tempC, plan.day);
  const left = content.ok ? content.value.leftG?.value : undefined;
  return left !== undefined && left < grams * 0.995 ? `${formatNumber(grams - left, 2)} g more than was left` : '';
}

/** What grows slower or faster than the amount. */
function mindOf({
  pilot,
  larger,
  each,
}: {
  readonly pilot: Sheet;
  readonly larger: Sheet;
  readonly each: number;
}): readonly string[] {
  const times = formatNumber(each, 2);
  // A vessel of one shape has its surface grow as the square where its contents grow as the cube.
  const slower = formatNumber(each ** (1 / 3), 2);
  const boils = larger.figures['boil.away'];
  return [
    ...(larger.vessel && !larger.vessel.holds
      ? [`No vessel of yours holds it: ${larger.vessel.vessel.name} is too small. Make it in more batches.`]
      : []),
    ...(larger.heats.length > 0
      ? [
          `The rise in temperature is the same, the heat ${times} times as much, and it leaves about ${slower} times slower: smaller parts, longer between them, ice at hand.`,
        ]
      : []),
    ...(larger.foamMl > 1
      ? [`Foam stands as high a share of the vessel, but bursts slower: add in ${slower} times as many parts.`]
      : []),
    ...(boils
      ? [
          `${formatNumber(boils.value, 2)} g of water have to be boiled off: on the same plate ${times} times as long as the pilot.`,
        ]
      : []),
    `Cooling takes about ${formatNumber(each ** (2 / 3), 2)} times as long: a night may become two.`,
    `Filtering takes about ${times} times as long on the same paper, and longer where the cake is thick: take a wider funnel.`,
    ...changed(pilot.gauges, larger.gauges),
  ];
}

/** Gauges that were within their mark and no longer are. */
function changed(before: readonly Gauge[], now: readonly Gauge[]): readonly string[] {
  return now.flatMap(({ name, state, shown, note }) => {
    const was = before.find((each) => each.name === name)?.state;
    return state === 'stop' && was !== 'stop' ? [`${name}: ${shown}, over its mark at this size. ${note}`.trim()] : [];
  });
}
