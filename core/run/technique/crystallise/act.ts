import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { formatPlain } from '#base/units';
import { molarMass, molarMassFigure, type Substance, type SubstanceId, substanceOf } from '#matter/substance';
import {
  at,
  boundWater,
  type Contents,
  entriesOf,
  holding,
  liquidVolume,
  speciesAmount,
  waterWhenDissolved,
} from '#matter/vessel';
import { coldFigure, crystallise, solubilityOf, solubilityRange } from '#model/dish';
import { type At, settingOf, solidMade } from '../facts.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl, anhydrousProduct } from '../product.ts';
import { fallenTo, isUnderWay, readFigure } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const place = placeOf(op);
  const doing = begin(standing);
  const before = at(standing.vessels, place);
  const A = anhydrousProduct(facts, before);
  const made = solidMade(facts);
  if (!A || !made) return ok(doing);
  const { solid, species } = made;
  const goal = coldFigure(settingOf(facts, op.control));
  const read = coldRead(step, species, doing);
  const ended = fallenTo(step, 'temperature', { read, goal });
  if (!ended && isUnderWay(step)) return ok(doing);
  const cold = ended ?? goal;
  const water = waterWhenDissolved(before);
  const grown = crystallise(species, solid, { dissolved: A, water }, cold, facts.tables);
  if (!grown.ok && grown.problem.code !== 'no-solubility') return grown;
  const { crystals, solubility } = grown.ok ? grown.value : allOfIt(made, A, doing);
  const rested = atRest(before, made, crystals, water);
  doing.vessels = holding(doing.vessels, place, rested);
  doing.figures = {
    'crystals.mass': crystals,
    'crystals.temp': cold,
    ...(solubility && { 'crystals.solubility': solubility }),
    ...fallsBesides(rested, species.id, { coldC: cold.value, facts }),
    'liquor.volume': aboutMl('mother liquor', liquidVolume(rested, facts.tables)),
  };
  return ok(doing);
}

/** Other salts of which the liquor holds more than cold water does, each by itself: at least so much may fall with it. */
function fallsBesides(
  rested: Contents,
  own: SubstanceId,
  { coldC, facts }: { readonly coldC: number; readonly facts: At['facts'] },
): Record<string, Figure> {
  const W = rested.waterG.value;
  const over = entriesOf(rested.aqueous).flatMap(([id, n]) => {
    const range = id === own ? undefined : solubilityRange(substanceOf(id), facts.tables);
    if (!range || coldC < range[0] || coldC > range[1]) return [];
    const holds = solubilityOf(substanceOf(id), coldC, facts.tables);
    const grams = n.value * molarMass(substanceOf(id).formula);
    return holds.ok ? [Math.max(0, grams - (holds.value.gPer100gWater * W) / 100)] : [];
  });
  const all = over.reduce((sum, each) => sum + each, 0);
  if (!(all > ODD_G)) return {};
  const naming = { symbol: 'm', name: 'other salts that may fall with it', unit: 'g' };
  return { 'crystals.besides': given(naming, all, 'each by its own solubility in water') };
}

/** Less than this is no layer of another salt. */
const ODD_G = 0.05;

/** Where nothing says how much its liquor holds, all of it is the most that can come. */
function allOfIt(
  { solid, species }: { solid: Substance; species: Substance },
  A: Figure,
  doing: Doing,
): { readonly crystals: Figure; readonly solubility?: undefined } {
  doing.notKnown.push({
    what: 'solubility',
    says: `No solubility is held for ${species.name} at that temperature: what stays in the liquor is not known, and the amounts are the most that can come.`,
    most: true,
  });
  const [Ma, Mh] = [molarMassFigure(species.formula), molarMassFigure(solid.formula)];
  const naming = { symbol: 'm(crystals)', name: `${solid.name}, at most`, unit: 'g' };
  return { crystals: derive(naming, 'A × Mh ÷ Ma', { A, Mh, Ma }, (x) => (x.A * x.Mh) / x.Ma) };
}

/** How cold it was read to be, as near as its solubility is tabulated: a colder place is said, and not guessed at. */
function coldRead({ entries, facts }: At, species: Substance, doing: Doing): Figure | undefined {
  const naming = { symbol: 'T', name: 'how cold it got', unit: '°C' };
  const read = readFigure(entries.readings.temperature, naming, 1);
  const range = solubilityRange(species, facts.tables);
  if (!read || !range) return read;
  const value = Math.min(range[1], Math.max(range[0], read.value));
  if (value === read.value) return read;
  doing.notKnown.push({
    what: 'solubility',
    says: `The solubility of ${species.name} is tabulated from ${range[0]} to ${range[1]} °C; at ${formatPlain(read.value)} °C it is taken as at ${range[0] === value ? range[0] : range[1]} °C.`,
  });
  return { ...read, value };
}

/** The vessel once its crystals are there: what is not in them is in the liquor, and so is the water they did not take. */
function atRest(
  before: Contents,
  { solid, species }: { solid: Substance; species: Substance },
  crystals: Figure,
  water: Figure,
): Contents {
  const M = molarMassFigure(solid.formula);
  const n = derive(
    { symbol: 'n', name: `${solid.name} in crystals`, unit: 'mol' },
    'm ÷ M',
    { m: crystals, M },
    (x) => x.m / x.M,
  );
  const all = speciesAmount(before, species.id);
  const left =
    all &&
    derive(
      { symbol: 'n', name: `${species.name} in the liquor`, unit: 'mol' },
      'max(0; n − c)',
      { n: all, c: n },
      (x) => Math.max(0, x.n - x.c),
    );
  const taken = boundWater(n, solid, 'crystal water that left the liquor');
  const waterG =
    taken.value > 0
      ? derive(
          { symbol: 'm(water)', name: 'water left in the liquor', unit: 'g' },
          'max(0; W − c)',
          { W: water, c: taken },
          (x) => Math.max(0, x.W - x.c),
        )
      : water;
  const otherSolids = Object.fromEntries(
    entriesOf(before.solid).filter(([id]) => substanceOf(id).species !== species.id),
  );
  return {
    ...before,
    waterG,
    aqueous: { ...before.aqueous, ...(left ? { [species.id]: left } : {}) },
    solid: n.value > 0 ? { ...otherSolids, [solid.id]: n } : otherSolids,
  };
}
