// What is out of scope by its formula alone, beside the groups that atoms tell. After the names refused; grade A.

/** Single things, by their atoms in any order: what no rule of a group tells from its harmless neighbours. */
export const refusedOnes: readonly (readonly [formulas: string, name: string, category: string, why: string])[] = [
  ['NH4NO3', 'ammonium nitrate', 'energetic', 'A regulated explosives precursor that can detonate'],
  ['NH3OHNO3', 'hydroxylammonium nitrate', 'energetic', 'Can explode'],
  ['NH2OH', 'free hydroxylamine', 'energetic', 'Can explode'],
  ['N2H4 N2H6O N2H6SO4', 'hydrazine', 'energetic', 'Poison, carcinogen, and a rocket fuel'],
  ['CH6N4O3 CH5N3O4 CH4N4O2', 'a nitrate of urea or guanidine', 'energetic', 'An energetic salt'],
  ['CH3NO2 CN4O8', 'nitromethane', 'energetic', 'A regulated explosives precursor'],
  ['CH3NO3', 'an alkyl nitrate', 'energetic', 'An explosive liquid'],
  ['C3H6N6O6 C4H8N8O8 C7H5N5O8', 'a nitramine', 'energetic', 'An explosive'],
  ['C6H12N4', 'hexamine', 'energetic', 'A regulated explosives precursor; planned for nothing here'],
  [
    'C9H18O6 C6H12O4 C6H12N2O6 C8H18O6 C8H16O4 C14H10O4 C9H12O2',
    'an organic peroxide',
    'energetic',
    'It explodes by heat, friction or by itself',
  ],
  ['(NH4)2Cr2O7', 'ammonium dichromate', 'energetic', 'Decomposes violently, carcinogen'],
  ['NH4MnO4 Mn2O7 HMnO4', 'manganese heptoxide or ammonium permanganate', 'energetic', 'Explodes'],
  ['Ag2C2O4', 'silver oxalate', 'energetic', 'Can explode when heated dry'],
  ['C2H2', 'acetylene', 'energetic', 'Explosive gas'],
  ['AgC2H CuC2H', 'an acetylide', 'energetic', 'Explodes when dry'],
  ['NaNH2 KNH2 LiNH2', 'an amide of an alkali metal', 'alkali metal', 'Fire and explosion with water or organics'],
  [
    'Na2O2 K2O2 KO2 NaO2 Li2O2 BaO2 SrO2',
    'a peroxide or superoxide of a metal',
    'alkali metal',
    'Fire and explosion with water or organics',
  ],
  ['PH3 SiH4 GeH4 B2H6', 'a hydride that is a gas', 'too toxic', 'It poisons at a few ppm, and burns by itself in air'],
  ['N2O4 NO2Cl N2O5 NOCl', 'an oxide of nitrogen in bulk', 'too toxic', 'A lung poison that works hours later'],
  ['COCl2 CCl3NO2 C4H8Cl2S C4H8Cl2SO C2N2', 'a war gas', 'weapon', 'A poison gas'],
  ['SO3 H2S2O7', 'oleum', 'too strong', 'Fumes and burns at once'],
  ['H2SO5', 'peroxymonosulfuric acid', 'too strong', 'Explodes with organic matter'],
  ['C10H15NO C10H15N C11H15NO2 C13H16O2N', 'a controlled drug or its precursor', 'drug', 'A controlled substance'],
];

/** An element whose every compound is out of scope: what its compounds count as where they meet something, and what their labels say. */
interface RefusedElement {
  readonly name: string;
  readonly category: string;
  readonly why: string;
  readonly classes: readonly string[];
  /** Codes of the hazard statements of its usual compounds: harmonised classification of the group; grade B. */
  readonly statements: string;
}

export const refusedElements: Readonly<Record<string, RefusedElement>> = {
  As: { name: 'arsenic or a compound of it', category: 'too toxic', why: 'Poison and carcinogen', classes: ['arsenic_antimony'], statements: 'H300 H331 H350 H410' },
  Sb: { name: 'antimony or a compound of it', category: 'too toxic', why: 'Poison; stibine with acid and zinc', classes: ['arsenic_antimony'], statements: 'H302 H332 H411' },
  Hg: { name: 'mercury or a compound of it', category: 'banned metal', why: 'Poison that stays for years', classes: ['silver_mercury'], statements: 'H300 H310 H330 H373 H410' },
  Tl: { name: 'thallium or a compound of it', category: 'banned metal', why: 'Deadly poison', classes: [], statements: 'H300 H330 H373 H411' },
  Cd: { name: 'cadmium or a compound of it', category: 'banned metal', why: 'Carcinogen', classes: [], statements: 'H301 H330 H340 H350 H372 H410' },
  Be: { name: 'beryllium or a compound of it', category: 'banned metal', why: 'Carcinogenic dust', classes: [], statements: 'H301 H330 H350 H372' },
  Pb: { name: 'lead or a compound of it', category: 'banned metal', why: 'Poison; nothing here is made of it', classes: ['lead'], statements: 'H302 H332 H360Df H373 H410' },
  Os: { name: 'osmium or a compound of it', category: 'banned metal', why: 'Blinding poison', classes: [], statements: 'H300 H310 H330 H314' },
  Se: { name: 'selenium or a compound of it', category: 'banned metal', why: 'Poison', classes: [], statements: 'H301 H331 H373 H410' },
  Te: { name: 'tellurium or a compound of it', category: 'banned metal', why: 'Poison', classes: [], statements: 'H302 H332 H360Df' },
  V: { name: 'vanadium or a compound of it', category: 'banned metal', why: 'Lung poison', classes: [], statements: 'H301 H330 H372 H411' },
  U: { name: 'uranium or a compound of it', category: 'banned metal', why: 'Radioactive and poisonous', classes: [], statements: 'H300 H330 H373 H411' },
  Th: { name: 'thorium or a compound of it', category: 'banned metal', why: 'Radioactive', classes: [], statements: 'H301 H331 H350 H373' },
  Ra: { name: 'radium or a compound of it', category: 'banned metal', why: 'Radioactive', classes: [], statements: 'H301 H331 H350' },
  Po: { name: 'polonium or a compound of it', category: 'banned metal', why: 'Radioactive', classes: [], statements: 'H300 H330 H350' },
};
