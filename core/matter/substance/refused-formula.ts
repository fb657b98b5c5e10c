import { refusedElements, refusedOnes } from '#matter/data';
import { type Formula, parseFormula } from './formula.ts';

/** Something that is known and not planned here, with the one reason. */
export interface Refused {
  readonly name: string;
  readonly why: string;
  /** What kind of danger it is: “energetic”, “too toxic”. */
  readonly category: string;
}

// What a formula is, told by its atoms and never by the order they are written in: water of crystallisation is left out, and the
// oxidation state of the atom that decides is the same with it and without.

type Atoms = Readonly<Record<string, number>>;

/** Highest charge that a metal brings to a salt. */
const VALENCE: Readonly<Record<string, number>> = {
  ...each(1, 'Li Na K Rb Cs Ag'),
  ...each(2, 'Be Mg Ca Sr Ba Zn Cd Cu Hg Pb Ni Co'),
  ...each(3, 'Al Fe Cr Mn Au Ga In Tl Bi Sb La Ce Y Sc'),
  ...each(4, 'Sn Ti Zr Th'),
  ...each(6, 'U V W Mo'),
};
const HALOGENS = ['F', 'Cl', 'Br', 'I'];

function each(charge: number, symbols: string): Record<string, number> {
  return Object.fromEntries(symbols.split(' ').map((symbol) => [symbol, charge]));
}

interface Kind {
  readonly name: string;
  readonly category: string;
  readonly why: string;
  readonly is: (atoms: Atoms) => boolean;
}

/** Groups, the most telling first. */
const KINDS: readonly Kind[] = [
  {
    name: 'a chlorate, chlorite or perchlorate',
    category: 'energetic',
    why: 'A sensitive oxidiser; most are regulated explosives precursors',
    is: (a) => has(a, 'Cl', 'O') && !has(a, 'C') && stateOf('Cl', a) > 1.01,
  },
  {
    name: 'a chlorate, chlorite or perchlorate',
    category: 'energetic',
    why: 'A sensitive oxidiser; most are regulated explosives precursors',
    // With carbon about, the ion beside it is told by its share: as much chlorine as a cation of nitrogen, and oxygen for it alone.
    is: (a) =>
      has(a, 'Cl', 'O', 'C', 'N') &&
      !has(a, 'S', 'P') &&
      of(a, 'O') >= 3 * of(a, 'Cl') &&
      of(a, 'O') <= 4 * of(a, 'Cl') &&
      of(a, 'N') >= of(a, 'Cl') &&
      metalsOf(a).length === 0,
  },
  {
    name: 'a bromate or perbromate',
    category: 'too toxic',
    why: 'Carcinogen and oxidiser',
    is: (a) => has(a, 'Br', 'O') && !has(a, 'C') && stateOf('Br', a) > 1.01,
  },
  {
    name: 'an azide',
    category: 'energetic',
    why: 'Deadly poison, and its metal salts explode',
    is: isAzide,
  },
  {
    name: 'a compound of nitrogen with a halogen, or a salt of hydrazine',
    category: 'energetic',
    why: 'It explodes or poisons',
    is: (a) =>
      has(a, 'N') && only(a, 'N', 'H', ...HALOGENS) && HALOGENS.some((x) => has(a, x)) && of(a, 'H') < 4 * of(a, 'N'),
  },
  {
    name: 'a nitride or fulminating compound of silver or gold',
    category: 'energetic',
    why: 'Explodes at a touch',
    is: (a) =>
      (has(a, 'Ag') || has(a, 'Au')) && has(a, 'N') && only(a, 'Ag', 'Au', 'N', 'H') && of(a, 'H') < 3 * of(a, 'N'),
  },
  {
    name: 'a fulminate',
    category: 'energetic',
    why: 'A primary explosive',
    is: (a) =>
      ['Ag', 'Hg', 'Cu', 'Pb', 'Cd', 'Au', 'Zn'].some((metal) => has(a, metal)) &&
      !has(a, 'H', 'S') &&
      of(a, 'C') > 0 &&
      of(a, 'C') === of(a, 'N') &&
      of(a, 'C') === of(a, 'O') &&
      restOf(a, 'C', 'N', 'O').every(isMetal),
  },
  {
    name: 'a cyanide',
    category: 'too toxic',
    why: 'Deadly in a pinch',
    is: isCyanide,
  },
  {
    name: 'an acetylide or carbide that gives acetylene',
    category: 'energetic',
    why: 'Explodes when dry, or gives acetylene and phosphine with damp',
    is: (a) =>
      has(a, 'C') &&
      ['Ag', 'Cu', 'Hg', 'Au', 'Ca', 'Sr', 'Ba', 'Li', 'Na', 'K'].some((metal) => has(a, metal)) &&
      restOf(a, 'C').every(isMetal),
  },
  {
    name: 'a polynitro compound or nitrate ester',
    category: 'energetic',
    why: 'An explosive',
    is: isPolynitro,
  },
  {
    name: 'a phosphide or a gas of phosphorus, arsenic or antimony',
    category: 'too toxic',
    why: 'Phosphine with acid or damp: lethal',
    is: (a) => has(a, 'P') && Object.keys(a).length > 1 && restOf(a, 'P').every(isMetal),
  },
  {
    name: 'a hypophosphite',
    category: 'drug precursor',
    why: 'Controlled drug precursor',
    is: (a) => has(a, 'P', 'O') && has(a, 'H') && !has(a, 'C') && near(stateOf('P', a), 1),
  },
  {
    name: 'a chloride of phosphorus or sulfur',
    category: 'weapon',
    why: 'War-gas precursors, violent with water',
    is: (a) => (has(a, 'P') || has(a, 'S')) && HALOGENS.some((x) => has(a, x)) && only(a, 'P', 'S', 'O', ...HALOGENS),
  },
  {
    name: 'an organic phosphorus compound with fluorine or cyanide',
    category: 'weapon',
    why: 'A poison gas',
    is: (a) =>
      has(a, 'P', 'C') &&
      (has(a, 'F') || has(a, 'N')) &&
      !has(a, 'Ca', 'Na', 'K') &&
      of(a, 'P') === 1 &&
      of(a, 'O') <= 3,
  },
  {
    name: 'hydrofluoric acid or a fluoride',
    category: 'too toxic',
    why: 'A small splash of the acid can kill through the skin, and acid frees it from its salts',
    is: (a) => has(a, 'F') && !has(a, 'C'),
  },
  {
    name: 'a chromate or dichromate',
    category: 'too toxic',
    why: 'Carcinogens',
    is: (a) => has(a, 'Cr', 'O') && !has(a, 'C', 'S', 'N') && stateOf('Cr', a) > 5.5,
  },
  {
    name: 'a sulfide',
    category: 'too toxic',
    why: 'Frees hydrogen sulfide with any acid',
    is: isSulfide,
  },
  {
    name: 'a hydride',
    category: 'alkali metal',
    why: 'Hydrogen and fire with water',
    is: (a) => has(a, 'H') && metalsOf(a).length > 0 && restOf(a, 'H', 'B').every(isMetal),
  },
  {
    name: 'an alkali metal',
    category: 'alkali metal',
    why: 'Burns or explodes with water',
    is: (a) => restOf(a).length > 0 && restOf(a).every((x) => ['Li', 'Na', 'K', 'Rb', 'Cs', 'Ca'].includes(x)),
  },
];

const ONE_BY_ATOMS = new Map(
  refusedOnes.flatMap(([formulas, name, category, why]) =>
    formulas.split(' ').map((formula): [string, Refused] => [keyOfAtoms(atomsOf(formula)), { name, category, why }]),
  ),
);

const KNOWN = new Map<string, Refused | null>();

/**
 * Whether a formula is of something that is known and not planned: by its atoms, in any order, as a hydrate or not. A judgement
 * by groups: isomers that only their structure tells apart count as the dangerous one where that one is the usual.
 */
export function refusedFormula(formula: string): Refused | undefined {
  const known = KNOWN.get(formula);
  if (known !== undefined) return known ?? undefined;
  const found = judged(formula);
  if (KNOWN.size > 5000) KNOWN.clear();
  KNOWN.set(formula, found ?? null);
  return found;
}

function judged(formula: string): Refused | undefined {
  const read = parseFormula(formula);
  if (!read.ok) return undefined;
  const atoms = neutral(dry(read.value), read.value.charge);
  const one = ONE_BY_ATOMS.get(keyOfAtoms(atoms));
  if (one) return one;
  const kind = KINDS.find(({ is }) => is(atoms));
  if (kind) return { name: kind.name, category: kind.category, why: kind.why };
  for (const [symbol, [name, category, why]] of Object.entries(refusedElements))
    if (has(atoms, symbol)) return { name, category, why };
  return undefined;
}

function atomsOf(formula: string): Atoms {
  const read = parseFormula(formula);
  if (!read.ok) throw new Error(`${formula} is no formula`);
  return dry(read.value);
}

/** A lone ion is judged as its sodium salt or its chloride. */
function neutral(atoms: Atoms, charge: number): Atoms {
  if (charge === 0) return atoms;
  const partner = charge < 0 ? 'Na' : 'Cl';
  return { ...atoms, [partner]: of(atoms, partner) + Math.abs(charge) };
}

/** Its atoms without the water after the dot. */
function dry({ elements, water }: Formula): Atoms {
  const without: Record<string, number> = { ...elements };
  without.H = (without.H ?? 0) - 2 * water;
  without.O = (without.O ?? 0) - water;
  return Object.fromEntries(Object.entries(without).filter(([, n]) => n > 1e-9));
}

function keyOfAtoms(atoms: Atoms): string {
  const least = Math.min(...Object.values(atoms).filter((n) => n > 0));
  const whole = Number.isInteger(least) ? 1 : 1 / least;
  return Object.entries(atoms)
    .map(([symbol, n]) => `${symbol}${Math.round(n * whole * 1000) / 1000}`)
    .sort()
    .join(' ');
}

function of(atoms: Atoms, symbol: string): number {
  return atoms[symbol] ?? 0;
}

function has(atoms: Atoms, ...symbols: readonly string[]): boolean {
  return symbols.every((symbol) => of(atoms, symbol) > 0);
}

function only(atoms: Atoms, ...symbols: readonly string[]): boolean {
  return restOf(atoms, ...symbols).length === 0;
}

function restOf(atoms: Atoms, ...without: readonly string[]): readonly string[] {
  return Object.keys(atoms).filter((symbol) => !without.includes(symbol));
}

function isMetal(symbol: string): boolean {
  return VALENCE[symbol] !== undefined;
}

function metalsOf(atoms: Atoms): readonly string[] {
  return Object.keys(atoms).filter(isMetal);
}

function near(a: number, b: number): boolean {
  return Math.abs(a - b) < 0.01;
}

/** Mean oxidation state of an element whose neighbours have their usual ones; nitrogen counts as ammonium where there is hydrogen for it. */
function stateOf(symbol: string, atoms: Atoms): number {
  let charge = 2 * of(atoms, 'O') - of(atoms, 'H');
  for (const metal of metalsOf(atoms)) if (metal !== symbol) charge -= (VALENCE[metal] ?? 0) * of(atoms, metal);
  if (symbol !== 'N' && has(atoms, 'N')) charge += (of(atoms, 'H') >= 3 * of(atoms, 'N') ? 3 : -5) * of(atoms, 'N');
  for (const halogen of HALOGENS) if (halogen !== symbol) charge += of(atoms, halogen);
  if (symbol !== 'S') charge -= 6 * of(atoms, 'S');
  if (symbol !== 'P') charge -= 5 * of(atoms, 'P');
  return charge / of(atoms, symbol);
}

/** Metals or hydrogen with three nitrogens a charge, and ammonium azide. */
function isAzide(atoms: Atoms): boolean {
  if (!has(atoms, 'N') || restOf(atoms, 'N', 'H').some((symbol) => !isMetal(symbol))) return false;
  const charges =
    metalsOf(atoms).reduce((sum, metal) => sum + (VALENCE[metal] ?? 0) * of(atoms, metal), 0) + of(atoms, 'H');
  return (
    of(atoms, 'N') >= 3 &&
    (near(of(atoms, 'N'), 3 * charges) ||
      (charges > 0 && of(atoms, 'N') > 2 * charges) ||
      (only(atoms, 'N', 'H') && near(of(atoms, 'N'), of(atoms, 'H'))))
  );
}

/** As many carbons as nitrogens, with metals, a halogen or one hydrogen alone. Iron holds its cyanide fast, sulfur makes it thiocyanate. */
function isCyanide(atoms: Atoms): boolean {
  const cn = of(atoms, 'C');
  if (cn === 0 || has(atoms, 'Fe') || has(atoms, 'S') || has(atoms, 'O') || has(atoms, 'Co')) return false;
  if (keyOfAtoms(atoms) === keyOfAtoms({ C: 1, H: 4, N: 2 })) return true;
  if (!near(cn, of(atoms, 'N'))) return false;
  const rest = restOf(atoms, 'C', 'N', 'H');
  return (
    of(atoms, 'H') <= (rest.length === 0 ? cn : 0) &&
    rest.every((each) => isMetal(each) || HALOGENS.includes(each)) &&
    (rest.length > 0 || of(atoms, 'H') === 1)
  );
}

/** Carbon with two nitrogens or more, each with two oxygens or more, and too little hydrogen for them to be amines or ammonium. */
function isPolynitro(atoms: Atoms): boolean {
  const [c, n, o, h] = ['C', 'N', 'O', 'H'].map((symbol) => of(atoms, symbol)) as [number, number, number, number];
  return (
    c > 0 &&
    n >= 2 &&
    o >= 2 * n &&
    h < 4 * n &&
    !has(atoms, 'S') &&
    !has(atoms, 'P') &&
    (metalsOf(atoms).length === 0 || c >= n)
  );
}

/** Sulfur with metals, hydrogen or ammonium alone. */
function isSulfide(atoms: Atoms): boolean {
  if (!has(atoms, 'S') || Object.keys(atoms).length === 1) return false;
  if (has(atoms, 'N') && of(atoms, 'H') < 4 * of(atoms, 'N')) return false;
  return restOf(atoms, 'S', 'H', 'N').every(isMetal);
}
