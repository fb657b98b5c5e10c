import { classesOf } from '#matter/guard';
import { acidOf, baseOf } from '#matter/hazard';
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
