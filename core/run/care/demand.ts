import { classesOf } from '#matter/guard';
import { molarMass, parseFormula, type SubstanceId, substanceOf } from '#matter/substance';
import { amountsOf, type Contents } from '#matter/vessel';

/** What has to be done away with in something that is out of its vessel, or goes to waste. */
export interface Demand {
  /** mol of H+ that acids can give, and of OH- that bases take up acid for. */
  readonly acidMol: number;
  readonly baseMol: number;
  /** mol of OH- that dissolved metals take with them before the liquor is neutral. */
  readonly metalMol: number;
  /** g of each metal that kills in water, dissolved or not, by element. */
  readonly metals: Readonly<Record<string, number>>;
  /** mol of hypochlorite, halogen or permanganate. */
  readonly oxidants: Readonly<Partial<Record<Oxidant, number>>>;
  /** g of what burns. */
  readonly flammableG: number;
  /** Metal that still gives hydrogen with the acid it lies in. */
  readonly gives: 'hydrogen' | null;
}

export type Oxidant = 'hypochlorite' | 'halogen' | 'permanganate';

/** Metals that do not go to a drain. */
const HEAVY: ReadonlySet<string> = new Set(['Zn', 'Cu', 'Ni', 'Co', 'Mn', 'Ag', 'Sn', 'Pb', 'Cr', 'Ba', 'Cd', 'Hg']);
/** Cations that fall out as hydroxides: OH- for one of each. */
const PRECIPITATES = /^(Zn2\+|Cu2\+|Fe2\+|Fe3\+|Al3\+|Mn2\+|Ni2\+|Co2\+|Sn2\+|Cr3\+|Ag\+)$/;
/** H+ that counts up to about pH 8, where an acid has one more that comes later. */
const TO_NEUTRAL: Readonly<Record<string, number>> = { 'phosphoric-acid': 2, 'ascorbic-acid': 1, 'boric-acid': 0 };

/** What has to be done away with of these contents. */
export function demandOf(contents: Contents): Demand {
  let acidMol = 0;
  let baseMol = 0;
  let metalMol = 0;
  let flammableG = 0;
  const metals: Record<string, number> = {};
  const oxidants: Partial<Record<Oxidant, number>> = {};
  let activeMetal = false;
  for (const [id, n] of amountsOf(contents)) {
    if (!(n > 1e-9)) continue;
    const classes = classesOf(id, 100);
    acidMol += n * acidOf(id, classes);
    baseMol += n * baseOf(id, classes);
    metalMol += n * hydroxidesOf(id);
    for (const [symbol, grams] of heavyIn(id, n)) metals[symbol] = (metals[symbol] ?? 0) + grams;
    const oxidant = oxidantOf(classes);
    if (oxidant) oxidants[oxidant] = (oxidants[oxidant] ?? 0) + n;
    if (classes.has('alcohol') || classes.has('ketone') || classes.has('ester'))
      flammableG += n * molarMass(substanceOf(id).formula);
    activeMetal ||= classes.has('metal_active') && substanceOf(id).form === 'metal';
  }
  const gives = activeMetal && acidMol > 1e-4 ? 'hydrogen' : null;
  return { acidMol, baseMol, metalMol, metals, oxidants, flammableG, gives };
}

function acidOf(id: SubstanceId, classes: ReadonlySet<string>): number {
  if (!['acid_strong', 'acid_weak', 'formic_oxalic'].some((each) => classes.has(each))) return 0;
  const fixed = TO_NEUTRAL[substanceOf(id).species];
  if (fixed !== undefined) return fixed;
  const { ions, acidBase } = substanceOf(id);
  const given = (ions ?? []).reduce((sum, [ion, count]) => sum + (ion === 'H+' || ion === 'HSO4-' ? count : 0), 0);
  return given > 0 ? given : (acidBase?.protons ?? 1);
}

/** H+ that a base takes up until it is about neutral: of a carbonate both. */
const TAKES: Readonly<Record<string, number>> = {
  'OH-': 1,
  'CO3 2-': 2,
  'HCO3-': 1,
  'SiO3 2-': 2,
  'PO4 3-': 2,
  'O2-': 2,
  'B4O7 2-': 2,
};

function baseOf(id: SubstanceId, classes: ReadonlySet<string>): number {
  if (id === 'ammonia' || id === 'ammonia-gas') return 1;
  const bases = ['alkali_strong', 'alkali_mild', 'strong_base_salt', 'carbonate'];
  if (!bases.some((each) => classes.has(each))) return 0;
  const { ions, formula } = substanceOf(id);
  const taken = (ions ?? []).reduce((sum, [ion, count]) => sum + count * (TAKES[ion] ?? 0), 0);
  return taken > 0 || !/^(?:Ca|Mg)O$/.test(formula) ? taken : 2;
}

function hydroxidesOf(id: SubstanceId): number {
  const substance = substanceOf(id);
  if (substance.form === 'metal' || substance.water === 'insoluble') return 0;
  return (substance.ions ?? []).reduce(
    (sum, [ion, count, charge]) => sum + (PRECIPITATES.test(ion) ? count * charge : 0),
    0,
  );
}

function heavyIn(id: SubstanceId, n: number): readonly (readonly [string, number])[] {
  const read = parseFormula(substanceOf(id).formula);
  if (!read.ok) return [];
  return Object.entries(read.value.elements)
    .filter(([symbol]) => HEAVY.has(symbol))
    .map(([symbol, count]) => [symbol, n * count * molarMass(symbol)] as const);
}

function oxidantOf(classes: ReadonlySet<string>): Oxidant | null {
  if (classes.has('hypochlorite') || classes.has('isocyanurate')) return 'hypochlorite';
  if (classes.has('halogen')) return 'halogen';
  return classes.has('permanganate') ? 'permanganate' : null;
}
