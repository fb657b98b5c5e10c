import { derive, type Figure, given } from '#base/figure';
import { hydrateWater, molarMass, molarMassFigure, type Substance } from '#matter/substance';
import {
  amountOf,
  at,
  type Contents,
  contentsMass,
  holding,
  type Place,
  poured,
  speciesAmount,
  steamedOff,
  type Vessels,
  vesselNames,
} from '#matter/vessel';
import { type At, solidMade } from '../facts.ts';
import type { Doing } from '../outcome.ts';
import { readAt } from './read.ts';
import { addWater, draw, leaveBehind, ratio } from './stands.ts';

/**
 * A solid that was caught weighs what it was weighed to. Less: water has gone off it, then some was lost on the way. More: it
 * came out of the liquor or off the paper, as crystals where it was dry, with liquor where it was wet; what is still more is water.
 */
export function solidAsRead(doing: Doing, step: At): void {
  const made = solidMade(step.facts);
  const { mass } = readAt(step);
  const place = made && holderOf(doing.vessels, made.solid);
  if (!made || !mass || !place) return;
  if (mass.value <= contentsMass(at(doing.vessels, place))) lighter(doing, place, mass);
  else heavier(doing, place, { m: mass, made, isWet: step.entries.wetMass });
}

/** The vessel that most of it lies in. */
function holderOf(vessels: Vessels, { id }: Substance): Place | undefined {
  const held = vesselNames
    .filter((name) => name !== 'liquor' && name !== 'paper')
    .map((name) => ({ name, n: at(vessels, name).solid[id]?.value ?? 0 }))
    .sort((a, b) => b.n - a.n)[0];
  return held && held.n > 0 ? held.name : undefined;
}

function lighter(doing: Doing, place: Place, m: Figure): void {
  const contents = at(doing.vessels, place);
  const less = contentsMass(contents) - m.value;
  const off = Math.min(contents.waterG.value, less);
  if (off > 0) {
    const away = given({ symbol: 'away', name: 'water that went off', unit: 'g' }, off, 'by the weighing');
    const waterG = derive(
      { symbol: 'W', name: 'water', unit: 'g' },
      'W₀ − away',
      { 'W₀': contents.waterG, away },
      (x) => Math.max(0, x['W₀'] - x.away),
    );
    doing.vessels = steamedOff(holding(doing.vessels, place, { ...contents, waterG }), away);
  }
  leaveBehind(doing, place, ratio(m, massOf(at(doing.vessels, place))));
}

function massOf(contents: Contents): Figure {
  return given({ symbol: 'm₀', name: 'mass, as computed', unit: 'g' }, contentsMass(contents), 'by what went in');
}

/** Where more of the product may have come from. */
const OTHERS: readonly Place[] = ['liquor', 'paper', 'dish'];

function heavier(
  doing: Doing,
  place: Place,
  { m, made, isWet }: { m: Figure; made: NonNullable<ReturnType<typeof solidMade>>; isWet: boolean },
): void {
  const lacks = () => m.value - contentsMass(at(doing.vessels, place));
  for (const from of OTHERS) {
    if (from === place || lacks() <= 0) continue;
    if (isWet && from === 'liquor') draw(doing, { from, to: place, grams: lacks() });
    else if (!isWet) takeCrystals(doing, { from, to: place, grams: lacks(), made });
  }
  const more = given(
    { symbol: 'W', name: 'water in it', unit: 'g' },
    Math.max(0, lacks()),
    'more than all there could be',
  );
  if (more.value > 0) addWater(doing, place, more);
}

/** So much of the product, as the solid that it dries to: what lies there, then what was dissolved, with its crystal water. */
function takeCrystals(
  doing: Doing,
  {
    from,
    to,
    grams,
    made: { solid, species },
  }: { from: Place; to: Place; grams: number; made: NonNullable<ReturnType<typeof solidMade>> },
): void {
  const there = at(doing.vessels, from);
  if (!speciesAmount(there, species.id)) return;
  const M = molarMassFigure(solid.formula);
  const wanted = given({ symbol: 'm', name: 'more than was computed', unit: 'g' }, grams, 'by the weighing');
  const lay = there.solid[solid.id];
  const nLay = lay && taken(lay, wanted, M);
  const short = grams - (nLay?.value ?? 0) * M.value;
  const bound = hydrateWater(solid.formula);
  const dissolved = amountOf(there, species.id) && there.aqueous[species.id];
  const most = dissolved && {
    ...dissolved,
    value: Math.min(dissolved.value, bound > 0 ? there.waterG.value / (bound * molarMass('H2O')) : dissolved.value),
  };
  const nFell =
    most && short > 1e-9
      ? taken(most, given({ symbol: 'm', name: 'more than was computed', unit: 'g' }, short, 'by the weighing'), M)
      : undefined;
  const now = withdrawn(there, { solid, species, lay: nLay, fell: nFell, bound });
  doing.vessels = holding(doing.vessels, from, now);
  for (const n of [nLay, nFell]) if (n) doing.vessels = poured(doing.vessels, to, crystalsOf(solid, n));
}

const taken = (n: Figure, m: Figure, M: Figure): Figure =>
  derive({ symbol: 'n', name: 'product found besides', unit: 'mol' }, 'min(n; m ÷ M)', { n, m, M }, (x) =>
    Math.min(x.n, x.m / x.M),
  );

function crystalsOf({ id }: Substance, n: Figure): Contents {
  return { ...NOTHING, solid: { [id]: n } };
}

const NOTHING = at({}, 'pot');

function withdrawn(
  there: Contents,
  {
    solid,
    species,
    lay,
    fell,
    bound,
  }: { solid: Substance; species: Substance; lay: Figure | undefined; fell: Figure | undefined; bound: number },
): Contents {
  const minus = (from: Figure | undefined, n: Figure | undefined) =>
    from && n
      ? derive({ symbol: 'n', name: from.name, unit: 'mol' }, 'n₀ − n', { 'n₀': from, n }, (x) =>
          Math.max(0, x['n₀'] - x.n),
        )
      : from;
  const put = (of: Contents['solid'], id: Substance['id'], n: Figure | undefined): Contents['solid'] =>
    n ? { ...of, [id]: n } : of;
  const waterG =
    fell && bound > 0
      ? derive(
          { symbol: 'W', name: 'water', unit: 'g' },
          'W₀ − n × b × 18.015',
          { 'W₀': there.waterG, n: fell, b: given({ symbol: 'b', name: 'crystal water', unit: '' }, bound, 'formula') },
          (x) => Math.max(0, x['W₀'] - x.n * x.b * molarMass('H2O')),
        )
      : there.waterG;
  return {
    ...there,
    waterG,
    solid: put(there.solid, solid.id, minus(there.solid[solid.id], lay)),
    aqueous: put(there.aqueous, species.id, minus(there.aqueous[species.id], fell)),
  };
}
