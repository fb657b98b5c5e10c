import { derive, type Figure, given } from '#base/figure';
import { waterDensityAt } from '#matter/solution';
import { molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import {
  amountOf,
  at,
  type Contents,
  contentsMass,
  holding,
  type Place,
  parted,
  phaseOf,
  poured,
  steamedOff,
  type Vessels,
  vesselNames,
  withAmount,
} from '#matter/vessel';
import { waterAt } from '../at-volume.ts';
import type { Facts } from '../facts.ts';
import type { Doing } from '../outcome.ts';

// What stands in a vessel is made what it was read to be: mass is kept over all places.

/** Less was left behind as it is; more is water. */
export function fills(doing: Doing, place: Place, { V, stood }: { V: Figure; stood: Figure }): void {
  if (!(stood.value > 0)) return;
  if (V.value <= stood.value) {
    leaveBehind(doing, place, ratio(V, stood));
    return;
  }
  const more = derive(
    { symbol: 'W', name: 'water that came in', unit: 'g' },
    '(V − V₀) × ρ',
    { V, 'V₀': stood, ρ: given({ symbol: 'ρ', name: 'density of water', unit: 'g/mL' }, waterDensityAt(20), 'water') },
    (x) => Math.max(0, x.V - x['V₀']) * x.ρ,
  );
  addWater(doing, place, more);
}

/** A vessel with water in it stands at a volume: the water is what makes it so. */
export function standsAt(doing: Doing, place: Place, { V, facts }: { V: Figure; facts: Facts }): void {
  const contents = at(doing.vessels, place);
  if (!(contents.waterG.value > 0)) return;
  const waterG = waterAt(contents, V, facts);
  addWater(
    doing,
    place,
    derive(
      { symbol: 'd', name: 'water that came in', unit: 'g' },
      'W − W₀',
      { W: waterG, 'W₀': contents.waterG },
      (x) => x.W - x['W₀'],
    ),
  );
}

/** Water that came in from nowhere that is known; negative where it went. */
export function addWater(doing: Doing, place: Place, more: Figure): void {
  const contents = at(doing.vessels, place);
  const waterG = derive(
    { symbol: 'W', name: 'water', unit: 'g' },
    'max(0; W₀ + d)',
    { 'W₀': contents.waterG, d: more },
    (x) => Math.max(0, x['W₀'] + x.d),
  );
  const away = derive(
    { symbol: 'away', name: 'water that went off', unit: 'g' },
    'W₀ − W',
    { 'W₀': contents.waterG, W: waterG },
    (x) => x['W₀'] - x.W,
  );
  doing.vessels = steamedOff(holding(doing.vessels, place, { ...contents, waterG }), away);
}

export function ratio(a: Figure, b: Figure): Figure {
  return derive({ symbol: 'kept', name: 'part of it that is there', unit: '' }, 'min(1; a ÷ b)', { a, b }, (x) =>
    x.b > 0 ? Math.min(1, x.a / x.b) : 1,
  );
}

export function leaveBehind(doing: Doing, place: Place, kept: Figure): void {
  const split = parted(at(doing.vessels, place), kept);
  doing.vessels = poured(holding(doing.vessels, place, split.kept), 'unfound', split.gone);
}

/** As much of a substance as its strength says, in as much as there is: the rest of it is water. */
export function asStrongAs(doing: Doing, place: Place, { id, pct }: { id: SubstanceId; pct: Figure }): void {
  const contents = at(doing.vessels, place);
  const { formula, name } = substanceOf(id);
  const had = amountOf(contents, id);
  const mass = contentsMass(contents);
  if (!had || !(mass > 0)) return;
  const M = molarMassFigure(formula);
  const all = given({ symbol: 'm', name: 'all of it', unit: 'g' }, mass, 'as it stands there');
  // No stronger than without any water.
  const most = contents.waterG.value / M.value + had.value;
  const n = derive(
    { symbol: 'n', name: `${name}, as measured`, unit: 'mol' },
    'w × m ÷ (100 × M)',
    { w: pct, m: all, M },
    (x) => Math.min(most, (x.w * x.m) / (100 * x.M)),
  );
  const phase = contents.organic[id] ? 'organic' : phaseOf(substanceOf(id), true);
  const others: Contents = { ...contents, [phase]: dropped(contents[phase], id) };
  const waterG = derive(
    { symbol: 'W', name: 'water, as its strength leaves', unit: 'g' },
    'max(0; W₀ − (n − n₀) × M)',
    { 'W₀': contents.waterG, n, 'n₀': had, M },
    (x) => Math.max(0, x['W₀'] - (x.n - x['n₀']) * x.M),
  );
  doing.vessels = holding(doing.vessels, place, withAmount({ ...others, waterG }, phase, id, n));
}

function dropped(of: Contents['aqueous'], id: SubstanceId): Contents['aqueous'] {
  const { [id]: _, ...rest } = of;
  return rest;
}

/** Less of it was left behind; more was caught of what is thought to be in another vessel. */
export function weighs(doing: Doing, place: Place, { m, id }: { m: Figure; id: SubstanceId }): void {
  const model = given(
    { symbol: 'm₀', name: 'mass, as computed', unit: 'g' },
    contentsMass(at(doing.vessels, place)),
    'by what went in',
  );
  if (m.value <= model.value) {
    leaveBehind(doing, place, ratio(m, model));
    return;
  }
  for (const name of vesselNames) {
    const lacks = m.value - contentsMass(at(doing.vessels, place));
    const there = at(doing.vessels, name);
    if (name === place || lacks <= 0 || !amountOf(there, id)) continue;
    draw(doing, { from: name, to: place, grams: lacks });
  }
  // What is still more than all there could be is water that came in where it is mostly water, else something that is not known.
  const there = at(doing.vessels, place);
  const now = given(
    { symbol: 'm₁', name: 'mass, with what was caught', unit: 'g' },
    contentsMass(there),
    'as it stands',
  );
  const more = derive(
    { symbol: 'W', name: 'more than all there could be', unit: 'g' },
    'max(0; m − m₁)',
    { m, 'm₁': now },
    (x) => Math.max(0, x.m - x['m₁']),
  );
  if (!(more.value > 0)) return;
  if (there.waterG.value > contentsMass(there) / 2 || (there.waterG.value > 0 && !there.organic[id]))
    addWater(doing, place, more);
  else addUnknown(doing, place, more);
}

/** Something in a vessel that nobody put in. */
function addUnknown(doing: Doing, place: Place, more: Figure): void {
  const less = derive({ symbol: 'm', name: 'not put in', unit: 'g' }, '−m', { m: more }, (x) => -x.m);
  doing.vessels = poured(doing.vessels, place, { ...NOTHING, inertG: more });
  doing.vessels = poured(doing.vessels, 'unfound', { ...NOTHING, inertG: less });
}

const NOTHING = at({}, 'pot');

export function draw(doing: Doing, { from, to, grams }: { from: Place; to: Place; grams: number }): void {
  const there = at(doing.vessels, from);
  const { solid, inertG, ...liquid } = there;
  const flows: Contents = { ...liquid, solid: {}, inertG: { ...inertG, value: 0 } };
  const share = Math.min(1, grams / Math.max(1e-9, contentsMass(flows)));
  const kept = given({ symbol: 'kept', name: 'part that stayed', unit: '' }, 1 - share, 'the rest was caught');
  const split = parted(flows, kept);
  const stays: Vessels = holding(doing.vessels, from, { ...split.kept, solid, inertG });
  doing.vessels = poured(stays, to, split.gone);
}
