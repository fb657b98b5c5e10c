import { datum, derive, type Figure, given } from '#core/figure';
import { type Reaction, } from '#core/reaction';
import { density, waterDensityAt } from '#core/solution';
import { hydrateWater, molarMass, molarMassFigure, type Substance, substanceById, substanceOf } from '#core/substance';

/** What is in a vessel: every amount a figure, so that each opens its working. */
export interface Contents {
  /** mol by substance, hydrates counted as their anhydrous substance. */
  readonly amounts: Readonly<Record<string, Figure>>;
  /** g of water, crystal water of what dissolved included. */
  readonly waterG: Figure;
  /** g of matter that takes no part: impurity, filler. */
  readonly inertG: Figure;
}

const nothing = (name: string) => given({ symbol: '0', name, unit: 'g' }, 0, 'nothing yet');

export const emptyContents: Contents = { amounts: {}, waterG: nothing('water'), inertG: nothing('inert matter') };

/** What stands in a charge besides the substance: water in a solution, crystal water in a hydrate, inert in the rest. */
export interface Charge {
  readonly contents: Contents;
  /** mol of the (anhydrous) substance that came in. */
  readonly amount: Figure;
  /** g of water that came in with it. */
  readonly waterBrought: Figure;
}

/** Adds `mass` g of a product whose mass % of `substance` is `w`; what a wet solid is not of it, is water. */
export function charge(
  contents: Contents,
  product: { substance: Substance; w: Figure; dissolved: boolean; wet?: boolean; name: string },
  mass: Figure,
): Charge {
  const { substance, w, dissolved, wet = false, name } = product;
  if (substance.id === 'water') {
    return {
      contents: { ...contents, waterG: total('water', 'g', contents.waterG, mass) },
      amount: mass,
      waterBrought: mass,
    };
  }
  const speciesId = substance.species;
  const speciesName = substanceById(speciesId)?.name ?? substance.name;
  const M = molarMassFigure(substance.formula);
  const amount = derive(
    { symbol: 'n', name: `${speciesName} from ${name}`, unit: 'mol' },
    'm × w ÷ (100 × M)',
    { m: mass, w, M },
    (x) => (x.m * x.w) / (100 * x.M),
  );
  const rest = dissolved || wet ? restWater(mass, w, name) : undefined;
  const bound = dissolved ? undefined : boundWater(amount, substance, name);
  const naming = `water brought by ${name}`;
  const waterBrought = rest && bound ? total(naming, 'g', rest, bound) : (rest ?? bound!);
  const inert =
    dissolved || wet
      ? undefined
      : derive(
          { symbol: 'm(inert)', name: `other matter in ${name}`, unit: 'g' },
          'm × (100 − w) ÷ 100',
          { m: mass, w },
          (x) => (x.m * (100 - x.w)) / 100,
        );
  const present = contents.amounts[speciesId];
  return {
    amount,
    waterBrought,
    contents: {
      amounts: { ...contents.amounts, [speciesId]: present ? total(speciesName, 'mol', present, amount) : amount },
      waterG: waterBrought.value === 0 ? contents.waterG : total('water', 'g', contents.waterG, waterBrought),
      inertG: inert ? total('inert matter', 'g', contents.inertG, inert) : contents.inertG,
    },
  };
}

function restWater(mass: Figure, w: Figure, name: string): Figure {
  const naming = { symbol: 'm(water)', name: `water brought by ${name}`, unit: 'g' };
  return derive(naming, 'm × (100 − w) ÷ 100', { m: mass, w }, (x) => (x.m * (100 - x.w)) / 100);
}

function boundWater(amount: Figure, solid: Substance, name: string): Figure {
  const naming = { symbol: 'm(water)', name: `water brought by ${name}`, unit: 'g' };
  const count = hydrateWater(solid.formula);
  if (count === 0) return given(naming, 0, 'no crystal water');
  const h = datum({ symbol: 'h', name: 'water in the crystal', unit: 'mol/mol' }, count, {
    source: 'its formula',
    grade: 'A',
  });
  const Mw = molarMassFigure('H2O');
  return derive(naming, 'n × h × Mw', { n: amount, h, Mw }, (x) => x.n * x.h * x.Mw);
}

/** Sum of figures of one kind; a single one is passed through, zeros are left out of the working. */
export function total(name: string, unit: string, ...parts: readonly Figure[]): Figure {
  const real = parts.filter((part) => part.value !== 0);
  if (real.length === 1) return real[0]!;
  if (real.length === 0) return parts[0] ?? given({ symbol: '0', name, unit }, 0, 'nothing');
  const inputs = Object.fromEntries(real.map((part, i) => [`${part.symbol}${sub(i + 1)}`, part]));
  return derive({ symbol: unit === 'mol' ? 'n' : 'm', name, unit }, Object.keys(inputs).join(' + '), inputs, (x) =>
    Object.values(x).reduce((a, b) => a + b, 0),
  );
}

function sub(n: number): string {
  return String(n).replace(/\d/g, (d) => '₀₁₂₃₄₅₆₇₈₉'[Number(d)]!);
}

export interface Reacted {
  readonly contents: Contents;
  /** mol of reaction as written. */
  readonly extent: Figure;
  readonly limiting: string;
  /** mol of each product that leaves as gas. */
  readonly gases: Readonly<Record<string, Figure>>;
}

/** Lets a reaction go to its end: the reactant with least moles per coefficient limits it; gases leave. */
export function react(contents: Contents, reaction: Reaction): Reacted | undefined {
  // Water is the medium: it is used up, and never limits.
  const present = reaction.reactants
    .filter(({ substanceId }) => substanceId !== 'water')
    .map(({ substanceId, n }) => ({
      substanceId,
      n,
      amount: contents.amounts[substanceId],
    }));
  if (present.some(({ amount }) => amount === undefined || amount.value <= 0)) return undefined;
  const inputs: Record<string, Figure> = {};
  const terms: string[] = [];
  for (const [i, { n, amount }] of present.entries()) {
    const symbol = `n${sub(i + 1)}`;
    inputs[symbol] = amount!;
    terms.push(n === 1 ? symbol : `${symbol} ÷ ${n}`);
  }
  const coefficients = present.map(({ n }) => n);
  const extent = derive(
    { symbol: 'ξ', name: 'extent of reaction, by the limiting reagent', unit: 'mol' },
    `min(${terms.join('; ')})`,
    inputs,
    (x) => Math.min(...Object.values(x).map((value, i) => value / coefficients[i]!)),
  );
  const limiting = present.reduce((a, b) => (b.amount!.value / b.n < a.amount!.value / a.n ? b : a)).substanceId;
  const amounts = { ...contents.amounts };
  for (const { substanceId, n, amount } of present) {
    amounts[substanceId] = derive(
      { symbol: 'n', name: `${nameOf(substanceId)} left over`, unit: 'mol' },
      n === 1 ? 'n₀ − ξ' : `n₀ − ${n} × ξ`,
      { 'n₀': amount!, ξ: extent },
      (x) => Math.max(0, x['n₀'] - n * x.ξ),
    );
  }
  const gases: Record<string, Figure> = {};
  let waterG = contents.waterG;
  const taken = reaction.reactants.find(({ substanceId }) => substanceId === 'water')?.n ?? 0;
  if (taken > 0) {
    waterG = derive(
      { symbol: 'm(water)', name: 'water left', unit: 'g' },
      `m₀ − ${taken} × ξ × Mw`,
      { 'm₀': contents.waterG, ξ: extent, Mw: molarMassFigure('H2O') },
      (x) => Math.max(0, x['m₀'] - taken * x.ξ * x.Mw),
    );
  }
  for (const { substanceId, n } of reaction.products) {
    const made = derive(
      { symbol: 'n', name: `${nameOf(substanceId)} made`, unit: 'mol' },
      n === 1 ? 'ξ' : `${n} × ξ`,
      { ξ: extent },
      (x) => n * x.ξ,
    );
    if (isGas(substanceId)) gases[substanceId] = made;
    else if (substanceId === 'water') waterG = total('water', 'g', waterG, waterMade(made));
    else
      amounts[substanceId] = amounts[substanceId]
        ? total(nameOf(substanceId), 'mol', amounts[substanceId]!, made)
        : made;
  }
  return { contents: { ...contents, amounts, waterG }, extent, limiting, gases };
}

function waterMade(amount: Figure): Figure {
  return derive(
    { symbol: 'm(water)', name: 'water made by the reaction', unit: 'g' },
    'n × Mw',
    { n: amount, Mw: molarMassFigure('H2O') },
    (x) => x.n * x.Mw,
  );
}

function isGas(substanceId: string): boolean {
  return substanceOf(substanceId).form === 'gas';
}

function nameOf(substanceId: string): string {
  return substanceById(substanceId)?.name ?? substanceId.replace('-', ' ');
}

/** g of everything but water and inert matter. */
export function solutesG(contents: Contents): number {
  return Object.entries(contents.amounts).reduce(
    (sum, [id, n]) => sum + n.value * molarMass(substanceById(id)?.formula ?? 'H2O'),
    0,
  );
}

/** mL that a g of an insoluble solid takes: carbonates, oxides and hydroxides are 3 to 5 g/mL. */
export const UNDISSOLVED_ML_PER_G = 0.27;

/** What does not dissolve in water, and so stands in it as a solid. */
const INSOLUBLE = new Set([
  'basic-zinc-carbonate',
  'zinc-carbonate',
  'zinc-oxide',
  'calcium-carbonate',
  'copper-carbonate',
  'copper-oxide',
  'magnesium-carbonate',
  'silica',
  'silica-gel',
]);

export function isInsoluble(substanceId: string): boolean {
  return INSOLUBLE.has(substanceId);
}

/** Apparent specific volume of a salt or acid without a density table, mL/g: sodium acetate at infinite dilution 0.48. */
const UNKNOWN_ML_PER_G = 0.48;

/**
 * mL of liquid at about 20 °C: water, and what each solute adds to it by its own density table at its own strength in
 * that water. One solute: as good as its table. Several: their volumes are added, as if each had the water to
 * itself. Undissolved metal is
 * left out; a solute without a table adds a middling 0.48 mL/g. About.
 */
export function liquidVolume(contents: Contents): number {
  const waterG = contents.waterG.value;
  const waterMl = waterG / waterDensityAt(20);
  let volume = waterMl;
  for (const [id, amount] of Object.entries(contents.amounts)) {
    const substance = substanceById(id);
    const grams = amount.value * molarMass(substance?.formula ?? 'H2O');
    if (!substance || substance.form === 'metal' || grams <= 0) continue;
    if (isInsoluble(id)) {
      volume += grams * UNDISSOLVED_ML_PER_G;
      continue;
    }
    const at = density(substance, (100 * grams) / (grams + waterG), 20);
    volume += at.ok ? (grams + waterG) / at.value.gPerMl - waterMl : grams * UNKNOWN_ML_PER_G;
  }
  return volume;
}
