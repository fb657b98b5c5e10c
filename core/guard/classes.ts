import { substanceById } from '#core/substance';

/** Classes that substances belong to, by id; `also` lists the wider classes that each counts as. */
const MEMBERS: Readonly<Record<string, readonly string[]>> = {
  acid_strong: [
    'hydrochloric-acid',
    'sulfuric-acid',
    'sulfamic-acid',
    'sodium-hydrogensulfate',
    'potassium-hydrogensulfate',
    'potassium-peroxymonosulfate',
  ],
  acid_nitric: ['nitric-acid'],
  acid_weak: [
    'acetic-acid',
    'citric-acid',
    'citric-acid-monohydrate',
    'ascorbic-acid',
    'tartaric-acid',
    'phosphoric-acid',
    'lactic-acid',
    'malic-acid',
    'glycolic-acid',
    'gluconic-acid',
    'boric-acid',
  ],
  formic_oxalic: [
    'formic-acid',
    'oxalic-acid',
    'sodium-formate',
    'potassium-formate',
    'calcium-formate',
    'copper-formate',
  ],
  alkali_strong: ['sodium-hydroxide', 'potassium-hydroxide'],
  alkali_mild: [
    'sodium-carbonate',
    'sodium-hydrogencarbonate',
    'potassium-carbonate',
    'potassium-hydrogencarbonate',
    'calcium-hydroxide',
    'ammonia',
    'sodium-sesquicarbonate',
    'borax',
  ],
  carbonate: [
    'sodium-carbonate',
    'sodium-hydrogencarbonate',
    'potassium-carbonate',
    'potassium-hydrogencarbonate',
    'calcium-carbonate',
    'magnesium-carbonate',
    'zinc-carbonate',
    'basic-zinc-carbonate',
    'copper-carbonate',
    'sodium-sesquicarbonate',
    'ammonium-hydrogencarbonate',
    'sodium-percarbonate',
  ],
  water: ['water'],
  hypochlorite: ['sodium-hypochlorite', 'calcium-hypochlorite'],
  isocyanurate: ['trichloroisocyanuric-acid', 'sodium-dichloroisocyanurate'],
  amine_urea: ['urea'],
  peroxide_dilute: ['hydrogen-peroxide', 'sodium-percarbonate', 'sodium-perborate'],
  persulfate: ['ammonium-persulfate', 'potassium-persulfate', 'sodium-persulfate', 'potassium-peroxymonosulfate'],
  permanganate: ['potassium-permanganate'],
  halate: ['potassium-iodate', 'potassium-periodate'],
  nitrite: ['sodium-nitrite'],
  sulfite: [
    'sodium-metabisulfite',
    'sodium-sulfite',
    'sodium-hydrogensulfite',
    'potassium-metabisulfite',
    'sodium-dithionite',
  ],
  thiosulfate: ['sodium-thiosulfate'],
  ferrocyanide: ['potassium-ferrocyanide', 'potassium-ferricyanide'],
  halogen: ['iodine'],
  alcohol: ['ethanol', 'isopropanol', 'methanol', 'glycerol', 'isoamyl-alcohol', 'propylene-glycol', 'ethylene-glycol'],
  ketone: ['acetone'],
  ester: ['ethyl-acetate'],
  fuel: ['sucrose', 'glucose'],
  metal_active: ['zinc', 'aluminium', 'magnesium'],
  metal_copper: ['copper'],
  metal_iron: ['iron'],
  silver_mercury: ['silver-nitrate'],
  quicklime: ['calcium-oxide'],
  reducing_salt: ['iron-sulfate', 'tin-chloride', 'ascorbic-acid', 'ammonium-iron-sulfate'],
};

const ALSO: Readonly<Record<string, readonly string[]>> = {
  acid_nitric: ['acid_strong'],
  sulfuric_conc: ['acid_strong'],
  formic_oxalic: ['acid_weak'],
  peroxide_strong: ['peroxide_dilute'],
  silver_mercury: ['transition_metal'],
  copper_salt: ['transition_metal'],
  quicklime: ['alkali_mild'],
};

/** Classes told by a part of the formula: salts of an ion. */
const BY_FORMULA: readonly (readonly [RegExp, string])[] = [
  [/NH4/, 'ammonia'],
  [/NO3/, 'nitrate'],
  [/^(Na|K|Ca|Mg|Zn|Cu|Fe|Sr|Ba|Co|Sn|NH4|Mn)?Cl\d?(\.|$)|^H?Cl$|Cl\d?\.\d*H2O/, 'chloride'],
  [/Br(?!O)/, 'bromide'],
  [/^(Na|K)I$/, 'iodide'],
  [/^Cu[(SCO]|^CuCl/, 'copper_salt'],
  [/^(Fe|Mn|Co|Ni|Cu|Ag)[(SCO]|^NH4Fe|^\(NH4\)2Fe|^K[34]Fe/, 'transition_metal'],
  [/Ca/, 'calcium'],
  [/Fe/, 'iron'],
  [/^Zn|Zn5/, 'zinc'],
  [/Al/, 'aluminium'],
  [/SO4/, 'sulfate'],
  [/PO4/, 'phosphate'],
  [/H3BO3|B4O7/, 'borate'],
];

const FOUND = new Map<string, ReadonlySet<string>>();

/** Everything a substance counts as, at a strength in mass % where that matters; empty for what is not known here. */
export function classesOf(substanceId: string, pct: number): ReadonlySet<string> {
  const key = `${substanceId} ${pct > 50} ${pct > 12}`;
  const known = FOUND.get(key) ?? classify(substanceId, pct);
  FOUND.set(key, known);
  return known;
}

function classify(substanceId: string, pct: number): ReadonlySet<string> {
  const substance = substanceById(substanceId);
  if (!substance) return new Set();
  const dry = substance.anhydrous ?? substance.id;
  const found = new Set(Object.entries(MEMBERS).flatMap(([name, ids]) => (ids.includes(dry) ? [name] : [])));
  for (const [pattern, name] of BY_FORMULA) if (pattern.test(substance.formula)) found.add(name);
  if (dry === 'sulfuric-acid' && pct > 50) found.add('sulfuric_conc');
  if (dry === 'hydrogen-peroxide' && pct > 12) found.add('peroxide_strong');
  if (dry === 'ammonia') found.add('ammonia');
  for (const name of [...found]) for (const wider of ALSO[name] ?? []) found.add(wider);
  return found;
}
