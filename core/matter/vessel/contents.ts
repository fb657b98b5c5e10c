import { datum, derive, type Figure, given } from '#base/figure';
import { density, densityEnds, waterDensityAt } from '#matter/solution';
import {
  isInsoluble,
  molarMass,
  molarMassFigure,
  type Substance,
  type SubstanceId,
  speciesOf,
  substanceOf,
  waterGivenBack,
} from '#matter/substance';
import { total } from './total.ts';

/** mol by substance, each a figure. */
export type Amounts = Readonly<Partial<Record<SubstanceId, Figure>>>;

/** What is in a vessel, by phase: every amount a figure, so that each opens its working. */
export interface Contents {
  /** Dissolved in water: hydrates as their anhydrous species. */
  readonly aqueous: Amounts;
  /** A liquid that makes a layer of its own. */
  readonly organic: Amounts;
  /** Crystals, precipitates, metal, what has not dissolved: as themselves, a hydrate under its own name. */
  readonly solid: Amounts;
  /** Gas that is held: in a vessel that catches it, or led off. */
  readonly gas: Amounts;
  /** g of water, crystal water of what has dissolved included. */
  readonly waterG: Figure;
  /** g of matter that nothing is known of: impurity, filler. */
  readonly inertG: Figure;
}

export const phases = ['aqueous', 'organic', 'solid', 'gas'] as const;
export type Phase = (typeof phases)[number];

const nothing = (name: string) => given({ symbol: '0', name, unit: 'g' }, 0, 'nothing yet');

export const emptyContents: Contents = {
  aqueous: {},
  organic: {},
  solid: {},
  gas: {},
  waterG: nothing('water'),
  inertG: nothing('inert matter'),
};

/** Substances of amounts, with their figures. */
export function entriesOf(amounts: Amounts): readonly (readonly [SubstanceId, Figure])[] {
  return Object.entries(amounts) as readonly (readonly [SubstanceId, Figure])[];
}

/** mol of one substance in all phases; undefined when there is none. */
export function amountOf(contents: Contents, id: SubstanceId): Figure | undefined {
  const parts = phases.flatMap((phase) => contents[phase][id] ?? []);
  return parts.length === 0 ? undefined : total(substanceOf(id).name, 'mol', ...parts);
}

/** mol of a species, dissolved, solid, and in whatever hydrate; undefined when there is none. */
export function speciesAmount(contents: Contents, species: SubstanceId): Figure | undefined {
  const parts = phases.flatMap((phase) =>
    entriesOf(contents[phase]).flatMap(([id, n]) => (substanceOf(id).species === species ? [n] : [])),
  );
  return parts.length === 0 ? undefined : total(substanceOf(species).name, 'mol', ...parts);
}

/** Every substance that is there in an amount, with the mol of it in all phases. */
export function amountsOf(contents: Contents): readonly (readonly [SubstanceId, number])[] {
  const sums = new Map<SubstanceId, number>();
  for (const phase of phases)
    for (const [id, n] of entriesOf(contents[phase])) sums.set(id, (sums.get(id) ?? 0) + n.value);
  return [...sums];
}

/** g of everything but water and inert matter. */
export function solutesG(contents: Contents): number {
  return amountsOf(contents).reduce((sum, [id, n]) => sum + n * molarMass(substanceOf(id).formula), 0);
}

/** g of everything there. */
export function contentsMass(contents: Contents): number {
  return contents.waterG.value + contents.inertG.value + solutesG(contents);
}

/** g of one phase, water and inert matter apart. */
export function phaseG(amounts: Amounts): number {
  return entriesOf(amounts).reduce((sum, [id, n]) => sum + n.value * molarMass(substanceOf(id).formula), 0);
}

/** Where a substance goes that is made or put into a vessel: by what it does with water, and whether any is there. */
export function phaseOf(substance: Substance, waterThere: boolean): Phase {
  switch (substance.water) {
    case 'gas':
      return 'gas';
    case 'insoluble':
      return 'solid';
    case 'immiscible':
      return 'organic';
    case 'soluble':
    case 'sparing':
    case 'miscible':
      return waterThere || substance.form === 'liquid' || substance.form === 'dissolved' ? 'aqueous' : 'solid';
  }
}

/** One amount more in a phase. */
export function withAmount(contents: Contents, phase: Phase, id: SubstanceId, n: Figure): Contents {
  const had = contents[phase][id];
  const sum = had ? total(substanceOf(id).name, 'mol', had, n) : n;
  return { ...contents, [phase]: { ...contents[phase], [id]: sum } };
}

/** Two contents poured together. */
export function together(a: Contents, b: Contents): Contents {
  let sum: Contents = {
    ...a,
    waterG: total('water', 'g', a.waterG, b.waterG),
    inertG: total('inert matter', 'g', a.inertG, b.inertG),
  };
  for (const phase of phases) for (const [id, n] of entriesOf(b[phase])) sum = withAmount(sum, phase, id, n);
  return sum;
}

/** A part of everything, and the rest: `kept` is the share that stays, 0 to 1. */
export function parted(contents: Contents, kept: Figure): { readonly kept: Contents; readonly gone: Contents } {
  const share = (name: 'kept' | 'gone') => (figure: Figure) =>
    derive(
      { symbol: figure.symbol, name: figure.name, unit: figure.unit },
      name === 'kept' ? 'x × kept' : 'x × (1 − kept)',
      { x: figure, kept },
      (v) => v.x * (name === 'kept' ? v.kept : 1 - v.kept),
    );
  return { kept: scaled(contents, share('kept')), gone: scaled(contents, share('gone')) };
}

function scaled(contents: Contents, by: (figure: Figure) => Figure): Contents {
  const amounts = (of: Amounts): Amounts => Object.fromEntries(entriesOf(of).map(([id, n]) => [id, by(n)]));
  return {
    aqueous: amounts(contents.aqueous),
    organic: amounts(contents.organic),
    solid: amounts(contents.solid),
    gas: amounts(contents.gas),
    waterG: by(contents.waterG),
    inertG: by(contents.inertG),
  };
}

/** g of water that so many mol of a solid hold in their crystals. */
export function boundWater(n: Figure, solid: Substance, name: string): Figure {
  const naming = { symbol: 'm(water)', name, unit: 'g' };
  const count = waterGivenBack(solid);
  if (count === 0) return given(naming, 0, 'no crystal water');
  const h = datum({ symbol: 'h', name: 'water in the crystal', unit: 'mol/mol' }, count, {
    source: 'its formula',
    grade: 'A',
  });
  const Mw = molarMassFigure('H2O');
  return derive(naming, 'n × h × Mw', { n, h, Mw }, (x) => x.n * x.h * x.Mw);
}

/** g of water there when all that can dissolve has: free water and the crystal water of what is still solid. */
export function waterWhenDissolved(contents: Contents): Figure {
  const bound = entriesOf(contents.solid).flatMap(([id, n]) => {
    const solid = substanceOf(id);
    return isInsoluble(solid) || waterGivenBack(solid) === 0
      ? []
      : [boundWater(n, solid, `crystal water of ${solid.name}`)];
  });
  return total('water', 'g', contents.waterG, ...bound);
}

/** mL that a g of an insoluble solid takes: carbonates, oxides and hydroxides are 3 to 5 g/mL. */
export const UNDISSOLVED_ML_PER_G = 0.27;
/** mL that a g of crystals takes: salts and their hydrates are 1.5 to 2.2 g/mL. */
const CRYSTALS_ML_PER_G = 0.55;
/** Apparent specific volume of a salt or acid without a density table, mL/g: sodium acetate at infinite dilution 0.48. */
const UNKNOWN_ML_PER_G = 0.48;

/**
 * mL of liquid at about 20 °C: water, and what each solute adds to it by its own density table at its own strength in
 * that water; a liquid layer of its own beside it. One solute: as good as its table. Several: their volumes are added, as if
 * each had the water to itself. A solute beyond its table adds what it does at the end of it, one without a table a middling 0.48 mL/g, a layer 1.2 mL/g. About.
 */
export function liquidVolume(contents: Contents, tables = NEWEST): number {
  const waterG = contents.waterG.value;
  const waterMl = waterG / waterDensityAt(20);
  let volume = waterMl + organicMl(contents.organic);
  for (const [id, amount] of entriesOf(contents.aqueous)) {
    const substance = substanceOf(id);
    const grams = amount.value * molarMass(substance.formula);
    if (grams <= 0) continue;
    const at = density(substance, (100 * grams) / (grams + waterG), 20);
    volume += at.ok
      ? (grams + waterG) / at.value.gPerMl - waterMl
      : grams * (tables < CONTINUED ? UNKNOWN_ML_PER_G : beyondTable(substance));
  }
  return volume;
}

/** From this revision of the tables on a volume goes on where a density table ends; a run of before keeps its volumes. */
const CONTINUED = 2;
const NEWEST = Number.POSITIVE_INFINITY;
const BEYOND = new Map<string, number>();

/** mL that a g adds where its table has ended: what it adds at the end of the table, so that no step comes of it. */
function beyondTable(substance: Substance): number {
  const known = BEYOND.get(substance.id);
  if (known !== undefined) return known;
  const end = densityEnds(substance);
  const at = end === undefined ? undefined : density(substance, end, 20);
  const found =
    end !== undefined && at?.ok ? (100 / at.value.gPerMl - (100 - end) / waterDensityAt(20)) / end : UNKNOWN_ML_PER_G;
  BEYOND.set(substance.id, found);
  return found;
}

/** mL of a layer: each liquid by its own density where one is held. */
function organicMl(organic: Amounts): number {
  return entriesOf(organic).reduce((sum, [id, n]) => {
    const substance = substanceOf(id);
    const grams = n.value * molarMass(substance.formula);
    const at = density(substance, 100, 20);
    return sum + (at.ok ? grams / at.value.gPerMl : grams * LAYER_ML_PER_G);
  }, 0);
}

/** Esters and alcohols that do not mix with water are about 0.8 to 1.2 g/mL. */
const LAYER_ML_PER_G = 1.1;

/** mL of liquid and of the solid that stands in it; metal is left out. About. */
export function slurryVolume(contents: Contents, tables = NEWEST): number {
  return entriesOf(contents.solid).reduce(
    (sum, [id, n]) => {
      const solid = substanceOf(id);
      if (solid.form === 'metal') return sum;
      const grams = n.value * molarMass(solid.formula);
      return sum + grams * (isInsoluble(solid) ? UNDISSOLVED_ML_PER_G : CRYSTALS_ML_PER_G);
    },
    liquidVolume(contents, tables),
  );
}

/** The species of a solid that can dissolve; undefined for what cannot. */
export function dissolvesAs(id: SubstanceId): Substance | undefined {
  const substance = substanceOf(id);
  return isInsoluble(substance) ? undefined : speciesOf(substance);
}
