import { derive, type Figure, given } from '#base/figure';
import { molarMassFigure, substanceOf } from '#matter/substance';
import {
  at,
  type Contents,
  contentsMass,
  entriesOf,
  holding,
  liquidVolume,
  type Place,
  parted,
  poured,
  steamedOff,
  together,
  total,
} from '#matter/vessel';
import { type At, type Facts, solidMade } from '../facts.ts';
import type { Doing, Standing } from '../outcome.ts';
import { aboutMl, productName } from '../product.ts';
import { readFigure, volumeRead } from '../read-value.ts';
import { letDissolve } from '../solving.ts';
import { apart } from './apart.ts';
import { keptPart } from './losses.ts';

/** A volume of a mixture is computed to this share: what was read within it is no other volume. */
const SAME = 0.04;
/** A draining cake is weighed to about this share. */
const DRIPS = 0.01;

/**
 * The solid is caught. What was read of it or of its liquor stands in place of what was computed: liquor that did not run off
 * is in the cake and dries onto the product; more liquor than there can be was water that nobody entered, and holds product.
 */
export function caught(doing: Doing, standing: Standing, { step, place }: { step: At; place: Place }): void {
  const { facts } = step;
  const { handling } = facts.recipe;
  const expected = standing.figures['crystals.mass'];
  if (!expected || !handling) return;
  const share = liquorShare(step, at(doing.vessels, place));
  const found = share && share.value > 1 ? waterFound(doing, standing, { facts, place, share }) : undefined;
  const crystals = found ?? expected;
  const { filtrate, cake } = apart(at(doing.vessels, place));
  const weighed = readFigure(step.entries.readings.mass, CAKE, DRIPS * contentsMass(cake));
  const dry = weighed && step.entries.dryMass;
  const kept = dry ? partOf(weighed, crystals) : keptPart(handling, crystals);
  const split = parted(cake, kept);
  const held = dry ? undefined : heldShare(filtrate, contentsMass(split.kept), { weighed, share });
  const { kept: stays, gone: off } = held ? parted(filtrate, held) : { kept: undefined, gone: filtrate };
  const onFilter = stays ? together(split.kept, stays) : split.kept;
  doing.vessels = poured(poured(holding(doing.vessels, place, onFilter), 'liquor', off), 'paper', split.gone);
  const solid = derive(
    { symbol: 'm(product)', name: productName(facts), unit: 'g' },
    'm × kept',
    { m: crystals, kept },
    (x) => x.m * x.kept,
  );
  doing.figures = {
    'product.mass': stays ? total(productName(facts), 'g', solid, driesTo(stays)) : solid,
    ...(share || held ? { 'liquor.volume': aboutMl('mother liquor', liquidVolume(off)) } : {}),
  };
}

const CAKE = { symbol: 'm', name: 'the mass of what was caught', unit: 'g' } as const;

/** What was read of the liquor as a share of what there should be of it; undefined where nothing was, or where both are the same. */
function liquorShare({ entries }: At, contents: Contents): Figure | undefined {
  const { filtrate } = apart(contents);
  const volume = volumeRead(entries.liquor.volume ?? entries.readings.volume, 'the volume of the mother liquor');
  const naming = { symbol: 'mL', name: 'the mass of the mother liquor', unit: 'g' };
  const mass = readFigure(entries.liquor.mass, naming, DRIPS * contentsMass(filtrate));
  const read = mass ?? volume;
  const all = mass ? contentsMass(filtrate) : liquidVolume(filtrate);
  if (!read || !(all > 0) || Math.abs(read.value / all - 1) < SAME) return undefined;
  const there = given(
    { symbol: 'V₀', name: 'mother liquor as computed', unit: read.unit },
    all,
    'what is not in the crystals',
  );
  return derive(
    { symbol: 'f', name: 'mother liquor read, of what was computed', unit: '' },
    'V ÷ V₀',
    { V: read, 'V₀': there },
    (x) => x.V / x['V₀'],
  );
}

/** Water that was not in the books dissolves of the crystals; g of them that are left, where any are of the product. */
function waterFound(
  doing: Doing,
  standing: Standing,
  { facts, place, share }: { readonly facts: Facts; readonly place: Place; readonly share: Figure },
): Figure | undefined {
  const before = at(doing.vessels, place);
  const more = derive(
    { symbol: 'm(water)', name: 'water that was not entered', unit: 'g' },
    'W × (f − 1)',
    { W: before.waterG, f: share },
    (x) => x.W * (x.f - 1),
  );
  const less = derive(
    { symbol: 'm', name: 'less than nothing evaporated', unit: 'g' },
    '0 − m',
    { m: more },
    (x) => -x.m,
  );
  const waterG = total('water', 'g', before.waterG, more);
  doing.vessels = steamedOff(holding(doing.vessels, place, { ...before, waterG }), less);
  const cold = standing.figures['crystals.temp'];
  const made = solidMade(facts);
  if (!made || !cold) return undefined;
  letDissolve(doing, facts, place, cold.value);
  const n = at(doing.vessels, place).solid[made.solid.id];
  const M = molarMassFigure(made.solid.formula);
  if (!n) return given({ symbol: 'm', name: productName(facts), unit: 'g' }, 0, 'all of it went back into solution');
  return derive({ symbol: 'm', name: productName(facts), unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M);
}

/** Part of the liquor that stays in the cake: by its wet mass, else by what of the liquor did not run off. */
function heldShare(
  filtrate: Contents,
  cakeG: number,
  { weighed, share }: { readonly weighed: Figure | undefined; readonly share: Figure | undefined },
): Figure | undefined {
  const all = contentsMass(filtrate);
  const naming = { symbol: 'held', name: 'part of the liquor that the cake holds', unit: '' };
  if (weighed && all > 0) {
    const dry = given({ symbol: 'm₀', name: 'what is solid in the cake', unit: 'g' }, cakeG, 'computed');
    const liquor = given({ symbol: 'L', name: 'all of the liquor', unit: 'g' }, all, 'computed');
    return derive(naming, 'min(1; max(0; m − m₀) ÷ L)', { m: weighed, 'm₀': dry, L: liquor }, (x) =>
      Math.min(1, Math.max(0, x.m - x['m₀']) / x.L),
    );
  }
  if (!share || share.value >= 1) return undefined;
  return derive(naming, '1 − f', { f: share }, (x) => Math.max(0, 1 - x.f));
}

function partOf(weighed: Figure, crystals: Figure): Figure {
  return derive(
    { symbol: 'kept', name: 'part of it that was caught', unit: '' },
    'min(1; m ÷ m₀)',
    { m: weighed, 'm₀': crystals },
    (x) => (x['m₀'] > 0 ? Math.min(1, x.m / x['m₀']) : 0),
  );
}

/** g that the liquor held in a cake leaves on it when it dries. */
function driesTo(held: Contents): Figure {
  const parts = entriesOf(held.aqueous).map(([id, n]) => {
    const M = molarMassFigure(substanceOf(id).formula);
    return derive(
      { symbol: 'm', name: `${substanceOf(id).name} dried on`, unit: 'g' },
      'n × M',
      { n, M },
      (x) => x.n * x.M,
    );
  });
  return total('what the liquor in the cake leaves', 'g', ...parts);
}
