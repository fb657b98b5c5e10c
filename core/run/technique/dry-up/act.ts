import { derive, type Figure } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { molarMassFigure, substanceOf } from '#matter/substance';
import {
  at,
  boundWater,
  type Contents,
  emptyContents,
  entriesOf,
  holding,
  parted,
  poured,
  steamedOff,
  total,
} from '#matter/vessel';
import { waterAt } from '../at-volume.ts';
import { type At, type Facts, solidMade } from '../facts.ts';
import { keptPart } from '../filter/losses.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { productName } from '../product.ts';
import { isUnderWay, volumeRead } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const place = placeOf(op);
  const doing = begin(standing);
  const before = at(standing.vessels, place);
  if (isUnderWay(step)) {
    shrunk(doing, step, before);
    return ok(doing);
  }
  const { crust, bound } = crustOf(before, facts);
  const away = derive(
    { symbol: 'away', name: 'water that evaporates', unit: 'g' },
    'max(0; W − c)',
    { W: before.waterG, c: bound },
    (x) => Math.max(0, x.W - x.c),
  );
  // Salts that take more crystal water than there was keep what there was.
  const kept = derive(
    { symbol: 'm(water)', name: 'water that is over', unit: 'g' },
    'W − a − c',
    { W: before.waterG, a: away, c: bound },
    (x) => x.W - x.a - x.c,
  );
  const made = solidMade(facts);
  const grams = entriesOf(crust.solid).map(([id, n]) => ({ id, mass: massOf(id, n) }));
  const others = grams.filter(({ id }) => id !== made?.solid.id).map(({ mass }) => mass);
  const all = total('crust, all of it', 'g', ...grams.map(({ mass }) => mass));
  const { handling } = facts.recipe;
  const share = handling && all.value > 0 ? keptPart(handling, all) : undefined;
  const dried = { ...crust, waterG: kept };
  const split = share && parted(dried, share);
  doing.vessels = steamedOff(holding(doing.vessels, place, split?.kept ?? dried), away);
  if (split) doing.vessels = poured(doing.vessels, 'dish', split.gone);
  const other = total('other salts in the crust', 'g', ...others);
  const own = derive(
    { symbol: 'm(product)', name: `${productName(facts)} in the crust`, unit: 'g' },
    'c − o',
    { c: all, o: other },
    (x) => Math.max(0, x.c - x.o),
  );
  doing.figures = {
    'crystals.mass': all,
    'crust.other': other,
    'product.mass': share
      ? derive(
          { symbol: 'm(product)', name: productName(facts), unit: 'g' },
          'm × kept',
          { m: own, kept: share },
          (x) => x.m * x.kept,
        )
      : own,
    'dish.away': away,
  };
  return ok(doing);
}

/** On its way it stands where it was read to stand. */
function shrunk(doing: Doing, step: At, before: Contents): void {
  const V = volumeRead(step.entries.readings.volume, 'the volume left in the dish');
  if (!V) return;
  const waterG = waterAt(before, V, step.facts);
  const away = derive(
    { symbol: 'away', name: 'water that has evaporated', unit: 'g' },
    'W₀ − W',
    { 'W₀': before.waterG, W: waterG },
    (x) => x['W₀'] - x.W,
  );
  doing.vessels = steamedOff(holding(doing.vessels, 'pot', { ...before, waterG }), away);
}

/** Everything that was dissolved, as solid: the product as its own crystals, the rest without water. */
function crustOf(before: Contents, facts: Facts): { readonly crust: Contents; readonly bound: Figure } {
  const made = solidMade(facts);
  let solid = { ...before.solid };
  let bound = total('crystal water of the crust', 'g', emptyContents.waterG);
  for (const [id, n] of entriesOf(before.aqueous)) {
    const as = made && made.species.id === id ? made.solid : substanceOf(id);
    const had = solid[as.id];
    solid = { ...solid, [as.id]: had ? total(as.name, 'mol', had, n) : n };
    if (as.id !== id) bound = total('crystal water of the crust', 'g', bound, boundWater(n, as, 'crystal water'));
  }
  return { crust: { ...before, aqueous: {}, solid }, bound };
}

function massOf(id: Parameters<typeof substanceOf>[0], n: Figure): Figure {
  const { name, formula } = substanceOf(id);
  const M = molarMassFigure(formula);
  return derive({ symbol: 'm', name: `${name} in the crust`, unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M);
}
