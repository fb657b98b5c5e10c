import {
  type Atoms,
  HALOGENS,
  has,
  isMetal,
  keyOfAtoms,
  metalsOf,
  near,
  of,
  only,
  restOf,
  stateOf,
  VALENCE,
} from './atoms.ts';

/** A group of things that is known and not planned here. */
export interface RefusedKind {
  readonly name: string;
  readonly category: string;
  readonly why: string;
  /** What it counts as where it meets something. */
  readonly classes: readonly string[];
  /** Codes of its hazard statements, of the usual one of them. */
  readonly statements: string;
  readonly is: (atoms: Atoms) => boolean;
}

/** Groups, the most telling first. */
export const refusedKinds: readonly RefusedKind[] = [
  {
    name: 'a chlorate, chlorite or perchlorate',
    category: 'energetic',
    why: 'A sensitive oxidiser; most are regulated explosives precursors',
    classes: ['chlorate'],
    statements: 'H271 H302 H332 H411',
    is: (a) => has(a, 'Cl', 'O') && !has(a, 'C') && stateOf('Cl', a) > 1.01,
  },
  {
    name: 'a chlorate, chlorite or perchlorate',
    category: 'energetic',
    why: 'A sensitive oxidiser; most are regulated explosives precursors',
    classes: ['chlorate'],
    statements: 'H271 H302 H332 H411',
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
    classes: ['halate'],
    statements: 'H271 H301 H350',
    is: (a) => has(a, 'Br', 'O') && !has(a, 'C') && stateOf('Br', a) > 1.01,
  },
  {
    name: 'an azide',
    category: 'energetic',
    why: 'Deadly poison, and its metal salts explode',
    classes: ['azide'],
    statements: 'H300 H310 H330 H373 H410',
    is: isAzide,
  },
  {
    name: 'a compound of nitrogen with a halogen, or a salt of hydrazine',
    category: 'energetic',
    why: 'It explodes or poisons',
    classes: ['halamine_other'],
    statements: 'H301 H314 H331 H350',
    is: (a) =>
      has(a, 'N') && only(a, 'N', 'H', ...HALOGENS) && HALOGENS.some((x) => has(a, x)) && of(a, 'H') < 4 * of(a, 'N'),
  },
  {
    name: 'a nitride or fulminating compound of silver or gold',
    category: 'energetic',
    why: 'Explodes at a touch',
    classes: [],
    statements: 'H314 H410',
    is: (a) =>
      (has(a, 'Ag') || has(a, 'Au')) && has(a, 'N') && only(a, 'Ag', 'Au', 'N', 'H') && of(a, 'H') < 3 * of(a, 'N'),
  },
  {
    name: 'a fulminate',
    category: 'energetic',
    why: 'A primary explosive',
    classes: [],
    statements: 'H301 H331',
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
    classes: ['cyanide'],
    statements: 'H300 H310 H330 H410',
    is: isCyanide,
  },
  {
    name: 'an acetylide or carbide that gives acetylene',
    category: 'energetic',
    why: 'Explodes when dry, or gives acetylene and phosphine with damp',
    classes: ['carbide'],
    statements: 'H315 H318 H335',
    is: (a) =>
      has(a, 'C') &&
      ['Ag', 'Cu', 'Hg', 'Au', 'Ca', 'Sr', 'Ba', 'Li', 'Na', 'K'].some((metal) => has(a, metal)) &&
      restOf(a, 'C').every(isMetal),
  },
  {
    name: 'a polynitro compound or nitrate ester',
    category: 'energetic',
    why: 'An explosive',
    classes: [],
    statements: 'H301 H311 H331',
    is: isPolynitro,
  },
  {
    name: 'a phosphide or a gas of phosphorus, arsenic or antimony',
    category: 'too toxic',
    why: 'Phosphine with acid or damp: lethal',
    classes: ['phosphide_phosphorus'],
    statements: 'H300 H310 H330 H410',
    is: (a) => has(a, 'P') && Object.keys(a).length > 1 && restOf(a, 'P').every(isMetal),
  },
  {
    name: 'a hypophosphite',
    category: 'drug precursor',
    why: 'Controlled drug precursor',
    classes: ['reducing_salt'],
    statements: 'H302',
    is: (a) => has(a, 'P', 'O') && has(a, 'H') && !has(a, 'C') && near(stateOf('P', a), 1),
  },
  {
    name: 'a chloride of phosphorus or sulfur',
    category: 'weapon',
    why: 'War-gas precursors, violent with water',
    classes: ['acid_strong'],
    statements: 'H300 H314 H330',
    is: (a) => (has(a, 'P') || has(a, 'S')) && HALOGENS.some((x) => has(a, x)) && only(a, 'P', 'S', 'O', ...HALOGENS),
  },
  {
    name: 'an organic phosphorus compound with fluorine or cyanide',
    category: 'weapon',
    why: 'A poison gas',
    classes: [],
    statements: 'H300 H310 H330',
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
    classes: ['fluoride'],
    statements: 'H300 H310 H314 H330',
    is: (a) => has(a, 'F') && !has(a, 'C'),
  },
  {
    name: 'a chromate or dichromate',
    category: 'too toxic',
    why: 'Carcinogens',
    classes: ['oxidising_metal_oxide'],
    statements: 'H272 H301 H312 H314 H330 H317 H334 H350 H360D H372 H410',
    is: (a) => has(a, 'Cr', 'O') && !has(a, 'C', 'S', 'N') && stateOf('Cr', a) > 5.5,
  },
  {
    name: 'a sulfide',
    category: 'too toxic',
    why: 'Frees hydrogen sulfide with any acid',
    classes: ['sulfide'],
    statements: 'H290 H301 H314 H331 H400 EUH031',
    is: isSulfide,
  },
  {
    name: 'a hydride',
    category: 'alkali metal',
    why: 'Hydrogen and fire with water',
    classes: ['metal_alkali'],
    statements: 'H301 H314',
    is: (a) =>
      has(a, 'H') &&
      metalsOf(a).length > 0 &&
      (restOf(a, 'H', 'B').every(isMetal) || (has(a, 'B') && !has(a, 'O') && of(a, 'H') > of(a, 'C'))),
  },
  {
    name: 'an alkali metal',
    category: 'alkali metal',
    why: 'Burns or explodes with water',
    classes: ['metal_alkali'],
    statements: 'H314',
    is: (a) => restOf(a).length > 0 && restOf(a).every((x) => ['Li', 'Na', 'K', 'Rb', 'Cs', 'Ca'].includes(x)),
  },
];

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
