import { type StandardRow, standards } from '#matter/data';

/** Species that a weighed mass of is a measure, and the row of the table that says how it is prepared and how pure it is. */
const ROWS: Readonly<Record<string, string>> = {
  'potassium-hydrogen-phthalate': 'potassium hydrogen phthalate',
  'sodium-carbonate': 'sodium carbonate',
  'sodium-hydrogencarbonate': 'sodium hydrogencarbonate',
  'oxalic-acid': 'oxalic acid dihydrate',
  'sodium-oxalate': 'sodium oxalate',
  'potassium-iodate': 'potassium iodate',
  'sodium-chloride': 'sodium chloride',
  'potassium-chloride': 'potassium chloride',
  'benzoic-acid': 'benzoic acid',
  zinc: 'zinc metal',
  'sulfamic-acid': 'sulfamic acid',
  'potassium-hydrogen-tartrate': 'potassium hydrogen tartrate',
  'citric-acid': 'citric acid monohydrate',
  'ascorbic-acid': 'ascorbic acid',
  'sodium-tetraborate': 'borax',
  'ammonium-iron-sulfate-anhydrous': 'iron wire or ammonium iron(II) sulfate',
};

export function isStandard(species: string): boolean {
  return Object.hasOwn(ROWS, species);
}

/** How a standard is prepared, and how pure it is as sold; undefined for what is none. */
export function standardOf(species: string): StandardRow | undefined {
  const name = isStandard(species) ? ROWS[species] : undefined;
  return standards.find((each) => each.name === name);
}
