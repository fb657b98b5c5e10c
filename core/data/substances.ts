/** How a substance usually comes: dissolved in water, as a solid, a metal, a neat liquid, or a gas. */
export type Form = 'dissolved' | 'solid' | 'metal' | 'liquid' | 'gas';

export interface SubstanceRow {
  readonly id: string;
  readonly name: string;
  /** As written by chemists, hydrate water after a dot. */
  readonly formula: string;
  readonly form: Form;
  /** Other names on labels, in lists and in old books; matched whatever the case. */
  readonly names: readonly string[];
  /** Density table of its aqueous solution, where one is held. */
  readonly density?: string;
  /** For a hydrate: the anhydrous substance. */
  readonly anhydrous?: string;
  /** Colour of its solution or crystals in a drawing, as a word of the palette. */
  readonly tint?: 'clear' | 'straw' | 'green' | 'blue' | 'white' | 'grey' | 'lime' | 'amber';
}

type Extra = Pick<SubstanceRow, 'density' | 'anhydrous' | 'tint'>;
const row = (
  id: string,
  name: string,
  formula: string,
  form: Form,
  names: string,
  extra: Extra = {},
): SubstanceRow => ({
  id,
  name,
  formula,
  form,
  names: names === '' ? [] : names.split('; '),
  ...extra,
});

// Names follow IUPAC practice first; the others are trade, kitchen and old names found on product labels.
export const substances: readonly SubstanceRow[] = [
  row(
    'hydrochloric-acid',
    'hydrochloric acid',
    'HCl',
    'dissolved',
    'hydrogen chloride; muriatic acid; muriatic; spirit of salts; spirits of salt; brick acid; patio acid',
    { density: 'HCl', tint: 'straw' },
  ),
  row('sulfuric-acid', 'sulfuric acid', 'H2SO4', 'dissolved', 'sulphuric acid; oil of vitriol; battery acid; vitriol', {
    density: 'H2SO4',
  }),
  row('nitric-acid', 'nitric acid', 'HNO3', 'dissolved', 'aqua fortis', { density: 'HNO3' }),
  row('phosphoric-acid', 'phosphoric acid', 'H3PO4', 'dissolved', 'orthophosphoric acid', { density: 'H3PO4' }),
  row(
    'acetic-acid',
    'acetic acid',
    'CH3COOH',
    'dissolved',
    'ethanoic acid; vinegar; white vinegar; spirit vinegar; vinegar essence',
    { density: 'acetic_acid' },
  ),
  row('formic-acid', 'formic acid', 'HCOOH', 'dissolved', 'methanoic acid', { density: 'formic_acid' }),
  row('citric-acid', 'citric acid', 'C6H8O7', 'solid', 'anhydrous citric acid', {
    density: 'citric_acid',
    tint: 'white',
  }),
  row('citric-acid-monohydrate', 'citric acid monohydrate', 'C6H8O7.H2O', 'solid', '', {
    anhydrous: 'citric-acid',
    tint: 'white',
  }),
  row('oxalic-acid-dihydrate', 'oxalic acid dihydrate', 'H2C2O4.2H2O', 'solid', 'oxalic acid; wood bleach', {
    tint: 'white',
  }),
  row('boric-acid', 'boric acid', 'H3BO3', 'solid', 'boracic acid', { tint: 'white' }),
  row('borax', 'sodium tetraborate decahydrate', 'Na2B4O7.10H2O', 'solid', 'borax; sodium borate', { tint: 'white' }),
  row('tartaric-acid', 'tartaric acid', 'C4H6O6', 'solid', '', { tint: 'white' }),
  row('ascorbic-acid', 'ascorbic acid', 'C6H8O6', 'solid', 'vitamin c', { tint: 'white' }),
  row('sulfamic-acid', 'sulfamic acid', 'H3NSO3', 'solid', 'sulphamic acid; amidosulfonic acid', { tint: 'white' }),
  row(
    'sodium-hydrogensulfate',
    'sodium hydrogensulfate',
    'NaHSO4',
    'solid',
    'sodium bisulfate; sodium bisulphate; ph minus; dry acid',
    { tint: 'white' },
  ),
  row('sodium-hydroxide', 'sodium hydroxide', 'NaOH', 'solid', 'caustic soda; lye; caustic; drain crystals', {
    density: 'NaOH',
    tint: 'white',
  }),
  row('potassium-hydroxide', 'potassium hydroxide', 'KOH', 'solid', 'caustic potash', {
    density: 'KOH',
    tint: 'white',
  }),
  row(
    'calcium-hydroxide',
    'calcium hydroxide',
    'Ca(OH)2',
    'solid',
    'slaked lime; hydrated lime; garden lime hydrate; pickling lime',
    { tint: 'white' },
  ),
  row(
    'ammonia',
    'ammonia',
    'NH3',
    'dissolved',
    'ammonia solution; household ammonia; plain ammonia; ammonium hydroxide; aqueous ammonia; ammonia water',
    { density: 'NH3' },
  ),
  row(
    'sodium-carbonate',
    'sodium carbonate',
    'Na2CO3',
    'solid',
    'anhydrous sodium carbonate; soda ash; sodium carbonate anhydrous; ph plus',
    { density: 'Na2CO3', tint: 'white' },
  ),
  row(
    'sodium-carbonate-decahydrate',
    'sodium carbonate decahydrate',
    'Na2CO3.10H2O',
    'solid',
    'washing soda; washing crystals; soda crystals; sal soda',
    { anhydrous: 'sodium-carbonate', tint: 'white' },
  ),
  row('sodium-carbonate-monohydrate', 'sodium carbonate monohydrate', 'Na2CO3.H2O', 'solid', '', {
    anhydrous: 'sodium-carbonate',
    tint: 'white',
  }),
  row(
    'sodium-hydrogencarbonate',
    'sodium hydrogencarbonate',
    'NaHCO3',
    'solid',
    'sodium bicarbonate; bicarbonate of soda; baking soda; bicarb; bicarbonate',
    { density: 'NaHCO3', tint: 'white' },
  ),
  row('potassium-carbonate', 'potassium carbonate', 'K2CO3', 'solid', 'potash; pearl ash', {
    density: 'K2CO3',
    tint: 'white',
  }),
  row('calcium-carbonate', 'calcium carbonate', 'CaCO3', 'solid', 'chalk; limestone', { tint: 'white' }),
  row('sodium-acetate', 'sodium acetate', 'CH3COONa', 'solid', 'anhydrous sodium acetate', { tint: 'white' }),
  row('sodium-acetate-trihydrate', 'sodium acetate trihydrate', 'CH3COONa.3H2O', 'solid', 'sodium acetate crystals', {
    anhydrous: 'sodium-acetate',
    tint: 'white',
  }),
  row('zinc', 'zinc', 'Zn', 'metal', 'zinc metal; zinc flashing; zinc strip; zinc sheet; roofing zinc; zinc granules', {
    tint: 'grey',
  }),
  row('zinc-sulfate', 'zinc sulfate', 'ZnSO4', 'solid', 'zinc sulphate; anhydrous zinc sulfate', {
    density: 'ZnSO4',
    tint: 'white',
  }),
  row(
    'zinc-sulfate-heptahydrate',
    'zinc sulfate heptahydrate',
    'ZnSO4.7H2O',
    'solid',
    'white vitriol; zinc sulphate heptahydrate; zinc sulfate crystals',
    { anhydrous: 'zinc-sulfate', tint: 'white' },
  ),
  row('zinc-chloride', 'zinc chloride', 'ZnCl2', 'solid', '', { density: 'ZnCl2', tint: 'white' }),
  row('zinc-oxide', 'zinc oxide', 'ZnO', 'solid', 'zinc white', { tint: 'white' }),
  row('copper', 'copper', 'Cu', 'metal', 'copper metal; copper pipe; copper wire', { tint: 'amber' }),
  row('copper-sulfate', 'copper(II) sulfate', 'CuSO4', 'solid', 'anhydrous copper sulfate', {
    density: 'CuSO4',
    tint: 'white',
  }),
  row(
    'copper-sulfate-pentahydrate',
    'copper(II) sulfate pentahydrate',
    'CuSO4.5H2O',
    'solid',
    'copper sulfate; copper sulphate; blue vitriol; bluestone; blue stone; cupric sulfate',
    { anhydrous: 'copper-sulfate', tint: 'blue' },
  ),
  row('magnesium-sulfate', 'magnesium sulfate', 'MgSO4', 'solid', 'anhydrous magnesium sulfate', {
    density: 'MgSO4',
    tint: 'white',
  }),
  row(
    'magnesium-sulfate-heptahydrate',
    'magnesium sulfate heptahydrate',
    'MgSO4.7H2O',
    'solid',
    'epsom salt; epsom salts; epsom; soaking salt; bath salt; magnesium sulphate',
    { anhydrous: 'magnesium-sulfate', tint: 'white' },
  ),
  row('iron-sulfate', 'iron(II) sulfate', 'FeSO4', 'solid', 'anhydrous iron(II) sulfate', {
    density: 'FeSO4',
    tint: 'white',
  }),
  row(
    'iron-sulfate-heptahydrate',
    'iron(II) sulfate heptahydrate',
    'FeSO4.7H2O',
    'solid',
    'ferrous sulfate; ferrous sulphate; iron sulfate; iron sulphate; green vitriol; copperas; moss iron; sulphate of iron',
    { anhydrous: 'iron-sulfate', tint: 'green' },
  ),
  row(
    'potassium-alum',
    'potassium aluminium sulfate dodecahydrate',
    'KAl(SO4)2.12H2O',
    'solid',
    'alum; potassium alum; potash alum; aluminium potassium sulfate; potassium aluminum sulfate',
    { tint: 'white' },
  ),
  row('sodium-thiosulfate', 'sodium thiosulfate', 'Na2S2O3', 'solid', 'anhydrous sodium thiosulfate', {
    density: 'Na2S2O3',
    tint: 'white',
  }),
  row(
    'sodium-thiosulfate-pentahydrate',
    'sodium thiosulfate pentahydrate',
    'Na2S2O3.5H2O',
    'solid',
    'hypo; thiosulfate; thiosulphate; sodium thiosulphate; dechlor crystals; dechlorinator crystals',
    { anhydrous: 'sodium-thiosulfate', tint: 'white' },
  ),
  row(
    'sodium-hypochlorite',
    'sodium hypochlorite',
    'NaClO',
    'dissolved',
    'bleach; chlorine bleach; liquid chlorine; pool chlorine; pool brightener; NaOCl',
    { density: 'NaOCl', tint: 'lime' },
  ),
  row(
    'hydrogen-peroxide',
    'hydrogen peroxide',
    'H2O2',
    'dissolved',
    'peroxide; hair peroxide; cream peroxide; oxygenated water',
    { density: 'H2O2' },
  ),
  row(
    'ethanol',
    'ethanol',
    'C2H5OH',
    'liquid',
    'ethyl alcohol; alcohol; lamp spirit; denatured alcohol; methylated spirit; meths; bioethanol',
    { density: 'ethanol' },
  ),
  row('isopropanol', 'propan-2-ol', 'C3H7OH', 'liquid', 'isopropanol; isopropyl alcohol; rubbing alcohol; ipa', {
    density: 'isopropanol',
  }),
  row('acetone', 'acetone', 'CH3COCH3', 'liquid', 'propanone; nail polish remover', { density: 'acetone' }),
  row(
    'sodium-chloride',
    'sodium chloride',
    'NaCl',
    'solid',
    'salt; table salt; rock salt; dishwasher salt; pool salt',
    { density: 'NaCl', tint: 'white' },
  ),
  row('potassium-chloride', 'potassium chloride', 'KCl', 'solid', 'low-sodium salt; muriate of potash', {
    density: 'KCl',
    tint: 'white',
  }),
  row('calcium-chloride', 'calcium chloride', 'CaCl2', 'solid', 'moisture trap crystals; road salt', {
    density: 'CaCl2',
    tint: 'white',
  }),
  row('calcium-chloride-dihydrate', 'calcium chloride dihydrate', 'CaCl2.2H2O', 'solid', '', {
    anhydrous: 'calcium-chloride',
    tint: 'white',
  }),
  row('ammonium-chloride', 'ammonium chloride', 'NH4Cl', 'solid', 'sal ammoniac', { density: 'NH4Cl', tint: 'white' }),
  row('ammonium-sulfate', 'ammonium sulfate', '(NH4)2SO4', 'solid', 'sulphate of ammonia; ammonium sulphate', {
    density: '(NH4)2SO4',
    tint: 'white',
  }),
  row('sodium-sulfate', 'sodium sulfate', 'Na2SO4', 'solid', 'sodium sulphate', { density: 'Na2SO4', tint: 'white' }),
  row('potassium-nitrate', 'potassium nitrate', 'KNO3', 'solid', 'saltpetre; saltpeter; stump remover', {
    density: 'KNO3',
    tint: 'white',
  }),
  row('sodium-nitrate', 'sodium nitrate', 'NaNO3', 'solid', 'chile saltpetre', { density: 'NaNO3', tint: 'white' }),
  row('silver-nitrate', 'silver nitrate', 'AgNO3', 'solid', 'lunar caustic', { density: 'AgNO3', tint: 'white' }),
  row('potassium-iodide', 'potassium iodide', 'KI', 'solid', 'iodide; iodide drops', { density: 'KI', tint: 'white' }),
  row('sodium-metabisulfite', 'sodium metabisulfite', 'Na2S2O5', 'solid', 'sodium metabisulphite; campden', {
    tint: 'white',
  }),
  row('potassium-permanganate', 'potassium permanganate', 'KMnO4', 'solid', "condy's crystals", { tint: 'grey' }),
  row('water', 'water', 'H2O', 'liquid', 'distilled water; deionised water; deionized water'),
];
