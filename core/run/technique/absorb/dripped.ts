import { derive, type Figure, given } from '#base/figure';
import type { FieldsOf } from '#base/shape';
import {
  amountOf,
  at,
  type Contents,
  holding,
  liquidVolume,
  parted,
  poured,
  speciesAmount,
  total,
  type Vessels,
  withAmount,
} from '#matter/vessel';
import { type At, type Facts, reactionOf, settingOf } from '../facts.ts';
import { begin, type Doing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { letReact } from '../reacting.ts';
import { volumeRead } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

/** Lets the sources of the gas go to their end with what is in the generator: mol of it, undefined where none comes. */
export function gasMade(doing: Doing, op: Op, { facts }: Pick<At, 'facts'>): Figure | undefined {
  const before = doing.gases.length;
  for (const id of [op.reaction, ...(op.also ?? [])]) letReact(doing, facts, placeOf(op), id);
  const made = doing.gases.slice(before).flatMap(({ id, amount }) => (id === op.gas ? [amount] : []));
  const [first, ...others] = made;
  if (!first) return undefined;
  return others.length === 0 ? first : total('gas made', 'mol', ...made);
}

/** mol of the dripped acid that a mol of gas takes, by the source that lies in the generator. */
export function reagentPerGas(vessels: Vessels, op: Op, facts: Facts): number {
  const pot = at(vessels, placeOf(op));
  for (const id of [op.reaction, ...(op.also ?? [])]) {
    const { reactants, products } = reactionOf(facts, id);
    const acid = reactants.find(({ substanceId }) => substanceId === DRIPPED);
    const gas = products.find(({ substanceId }) => substanceId === op.gas);
    const there = reactants.every((each) => each === acid || speciesAmount(pot, each.substanceId) !== undefined);
    if (acid && gas && there) return acid.n / gas.n;
  }
  return 1;
}

/** What is dripped in, everywhere so far. */
export const DRIPPED = 'hydrochloric-acid';

interface Dripping {
  readonly step: At;
  /** mol of gas that is to be made; undefined: all that can. */
  readonly wanted: Figure | undefined;
}

/**
 * Lets in the part of the reagent that was dripped: what was read, else as much as brings the gas that is wanted. The rest waits in
 * its funnel, and what never went in makes no gas. A little of it goes over as fume: mol of that, null where none does.
 */
export function dripIn(doing: Doing, op: Op, { step, wanted }: Dripping): Figure | null {
  if (!op.drips) return null;
  const { facts } = step;
  const waits = at(doing.vessels, op.drips);
  const acid = amountOf(waits, DRIPPED);
  if (!acid) return null;
  const r = constant('r', 'acid for each mol of gas', reagentPerGas(doing.vessels, op, facts));
  const a = constant('a', 'acid that comes along, for each mol made', alongOf(op, facts));
  const all = allOfIt(doing, op, step);
  const part = partDripped(waits, { step, wanted, acid, r, a });
  const { kept: goes, gone: stays } = parted(waits, part);
  doing.vessels = poured(holding(doing.vessels, op.drips, stays), placeOf(op), goes);
  if (a.value <= 0 || !all) return null;
  const along = derive(
    { symbol: 'h', name: 'hydrogen chloride that comes along', unit: 'mol' },
    'min(f × n × a ÷ (r + a); n₀ × a)',
    { f: part, n: acid, a, r, 'n₀': all },
    (x) => Math.min((x.f * x.n * x.a) / (x.r + x.a), x['n₀'] * x.a),
  );
  carry(doing, op, along);
  return along;
}

/** mol of acid that reach the absorber for each mol of gas made. */
const alongOf = (op: Op, facts: Facts): number =>
  op.along ? (settingOf(facts, op.along) / 100) * (settingOf(facts, op.arrives) / 100) : 0;

const constant = (symbol: string, name: string, value: number): Figure =>
  given({ symbol, name, unit: '' }, value, 'as set, and by the reaction');

/** The part of what waits: by the mL that were read, else by the gas that is wanted. */
function partDripped(
  waits: Contents,
  { step, wanted, acid, r, a }: Dripping & { readonly acid: Figure; readonly r: Figure; readonly a: Figure },
): Figure {
  const naming = { symbol: 'f', name: 'part of the reagent that was dripped in', unit: '' };
  const V = volumeRead(step.entries.readings.dripped, 'dripped in');
  if (V) {
    const there = aboutMl('the reagent in its funnel', liquidVolume(waits, step.facts.tables));
    return derive(naming, 'min(1; V ÷ V₀)', { V, 'V₀': there }, (x) => (x['V₀'] > 0 ? Math.min(1, x.V / x['V₀']) : 0));
  }
  if (!wanted) return given(naming, 1, 'all of it');
  return derive(naming, 'min(1; w × (r + a) ÷ n)', { w: wanted, r, a, n: acid }, (x) =>
    Math.min(1, (x.w * (x.r + x.a)) / x.n),
  );
}

/** Fume of the acid: out of the generator, into the absorber. */
function carry(doing: Doing, op: Op, along: Figure): void {
  const place = placeOf(op);
  const pot = at(doing.vessels, place);
  const n = amountOf(pot, DRIPPED);
  if (!n) return;
  const left = derive(
    { symbol: 'n', name: 'hydrochloric acid left', unit: 'mol' },
    'n₀ − a',
    { 'n₀': n, a: along },
    (x) => Math.max(0, x['n₀'] - x.a),
  );
  doing.vessels = holding(doing.vessels, place, { ...pot, aqueous: { ...pot.aqueous, [DRIPPED]: left } });
  const absorber = at(doing.vessels, op.into);
  doing.vessels = holding(doing.vessels, op.into, withAmount(absorber, 'aqueous', DRIPPED, along));
}

/** mol of gas that all of the reagent would make. */
export function allOfIt(doing: Pick<Doing, 'vessels' | 'progress'>, op: Op, step: At): Figure | undefined {
  if (!op.drips) return gasMade(begin(doing), op, step);
  const waits = at(doing.vessels, op.drips);
  const all = poured(doing.vessels, placeOf(op), waits);
  return gasMade(begin({ ...doing, vessels: all }), op, step);
}
