import { hazardsMore, type PictogramId, precautions, type StatementRow, statements } from '#matter/data';
import { bandOf, hazardsOf, inBand } from '#matter/guard';
import { hazardsOfFormula, molarMass, type Substance, substanceById } from '#matter/substance';

const ROWS = new Map(statements.map((row) => [row.code, row]));
const MORE = new Map<string, string>(hazardsMore.map(({ id, statements: said }) => [id, said]));
// What is said of a hydrate is said of its species where nothing else is.
for (const { id, statements: said } of hazardsMore) {
  const species = substanceById(id)?.species;
  if (species !== undefined && !MORE.has(species)) MORE.set(species, said);
}

/** A thing with how strong it is; what else is in it with its strength. */
export interface Mixed {
  readonly substanceId: string;
  /** Mass %. */
  readonly pct: number;
}

/** Whether anything is held of how dangerous a substance is: what is not held is not called harmless. */
export function isClassified(substanceId: string): boolean {
  return held(substanceId) !== undefined;
}

function held(substanceId: string): string | undefined {
  const substance = substanceById(substanceId);
  if (!substance) return undefined;
  const own = MORE.get(substance.id) ?? MORE.get(substance.species) ?? (rowsOf(substance).length > 0 ? '' : undefined);
  // What its owner described is told by what it is made of, where that tells anything.
  return (
    own ??
    (substance.described && hazardsOfFormula(substance.formula).statements
      ? hazardsOfFormula(substance.formula).statements
      : undefined)
  );
}

function rowsOf(substance: Substance) {
  const own = hazardsOf(substance.id);
  return own.length > 0 ? own : hazardsOf(substance.species);
}

/**
 * Hazard statements of a substance at a strength: of its own strength band where the table has bands, else those of the pure one
 * from the generic limit of each on. Hydrates count as the crystal that they are.
 */
export function statementsAt({ substanceId, pct }: Mixed): readonly string[] {
  const substance = substanceById(substanceId);
  if (!substance) return [];
  const id = hazardsOf(substance.id).length > 0 ? substance.id : substance.species;
  const row = bandOf(id, id === substance.id ? pct : asAnhydrous(substance, pct));
  if (row && inBand(row.band, pct) !== null) return codes(row.statements ?? '');
  // A row of bands of which none holds it: too weak for any.
  if (!row && rowsOf(substance).length > 0) return [];
  return codes(row?.statements ?? held(substanceId) ?? '').filter((code) => pct >= (ROWS.get(code)?.fromPct ?? 0));
}

/** A crystal with its water counts in a band as the species that it brings. */
function asAnhydrous({ id, species, formula }: Substance, pct: number): number {
  const anhydrous = id === species ? undefined : substanceById(species);
  return anhydrous ? (pct * molarMass(anhydrous.formula)) / molarMass(formula) : pct;
}

function codes(text: string): readonly string[] {
  return text.split(' ').filter((code) => ROWS.has(code));
}

/** The statement of a code. */
export function statementOf(code: string): StatementRow {
  const row = ROWS.get(code);
  if (!row) throw new Error(`no statement ${code}`);
  return row;
}

/** What stands on a label by the hazards of all that is in a bottle. */
export interface LabelElements {
  readonly signal: 'Danger' | 'Warning' | null;
  readonly pictograms: readonly PictogramId[];
  readonly statements: readonly { readonly code: string; readonly text: string }[];
  readonly precautions: readonly { readonly code: string; readonly text: string }[];
  /** What is in it that nothing is held of. */
  readonly notHeld: readonly string[];
}

/** Statements that a graver one says already. */
const SAID_BY: Readonly<Record<string, readonly string[]>> = {
  H314: ['H318', 'H315', 'H319'],
  H318: ['H319'],
  H410: ['H400', 'H411', 'H412'],
  H400: ['H412'],
  H411: ['H412'],
  H331: ['H332'],
  H330: ['H331', 'H332'],
  H301: ['H302'],
  H271: ['H272'],
  H225: ['H226'],
  H372: ['H373'],
  H350: ['H350i', 'H351'],
};
/** Statements on a label at most, and of what to do. */
const MOST_PRECAUTIONS = 6;

/** Signal word, pictograms and statements of a mixture: of each part at its strength, the graver said once. */
export function labelElements(parts: readonly Mixed[]): LabelElements {
  const all = new Set(parts.flatMap(statementsAt));
  for (const code of [...all]) for (const lesser of SAID_BY[code] ?? []) all.delete(lesser);
  const rows = [...all].map(statementOf).sort((a, b) => (a.code < b.code ? -1 : 1));
  // What saves an eye stands before how it is stored.
  const gravest = [...rows].sort(
    (a, b) => Number(b.danger) - Number(a.danger) || Number(a.code === 'H290') - Number(b.code === 'H290'),
  );
  const codesOfWhatToDo = ['P102', ...new Set(gravest.flatMap((row) => row.precautions))].slice(0, MOST_PRECAUTIONS);
  return {
    signal: signalOf(rows),
    pictograms: pictogramsOf(rows),
    statements: rows.map(({ code, text }) => ({ code, text })),
    precautions: rows.length === 0 ? [] : codesOfWhatToDo.map((code) => ({ code, text: precautions[code] ?? '' })),
    notHeld: parts
      .filter(
        ({ substanceId }) =>
          substanceId !== 'water' && !isClassified(substanceId) && !HARMLESS.has(speciesOf(substanceId)),
      )
      .map(({ substanceId }) => substanceById(substanceId)?.name ?? substanceId),
  };
}

function signalOf(rows: readonly StatementRow[]): LabelElements['signal'] {
  if (rows.length === 0) return null;
  return rows.some(({ danger }) => danger) ? 'Danger' : 'Warning';
}

const speciesOf = (id: string) => substanceById(id)?.species ?? id;

/** Looked up and found not classified: foods, and salts of the kitchen and the garden. */
const HARMLESS: ReadonlySet<string> = new Set(
  [
    'water',
    'sucrose',
    'glucose',
    'glycerol',
    'propylene-glycol',
    'ascorbic-acid',
    'gluconic-acid',
    'cyanuric-acid',
    'urea',
    'zinc',
    'copper',
    'tin',
    'iron',
    'aluminium',
    'magnesium',
    'silver',
    'carbon',
    'iron-oxide',
    'aluminium-hydroxide',
    'calcium-carbonate',
    'calcium-acetate',
    'calcium-sulfate',
    'magnesium-acetate',
    'magnesium-chloride',
    'magnesium-carbonate',
    'magnesium-hydroxide',
    'magnesium-oxide',
    'magnesium-sulfate',
    'basic-magnesium-carbonate',
    'barium-sulfate',
    'silica-gel',
    'silica',
    'ammonium-acetate',
    'ammonium-dihydrogenphosphate',
    'diammonium-hydrogenphosphate',
    'ammonium-alum',
    'potassium-chloride',
    'potassium-hydrogen-phthalate',
    'potassium-hydrogen-tartrate',
    'potassium-sodium-tartrate',
    'potassium-citrate',
    'potassium-formate',
    'potassium-acetate',
    'potassium-dihydrogenphosphate',
    'dipotassium-hydrogenphosphate',
    'potassium-sulfate',
    'potassium-hydrogencarbonate',
    'sodium-acetate',
    'sodium-sulfate',
    'sodium-citrate',
    'sodium-formate',
    'sodium-sulfite',
    'disodium-hydrogenphosphate',
    'sodium-dihydrogenphosphate',
    'sodium-bromide',
    'sodium-chloride',
    'manganese-carbonate',
    'ammonium-alum-anhydrous',
    'sodium-thiosulfate',
  ].map(speciesOf),
);

/** One of each, without those that a graver one makes needless (CLP Article 26). */
function pictogramsOf(rows: readonly StatementRow[]): readonly PictogramId[] {
  const all = new Set(rows.flatMap(({ pictogram }) => pictogram ?? []));
  const burns = rows.some(({ code }) => code === 'H314' || code === 'H318');
  const mild = rows.some(({ code, pictogram }) => pictogram === 'GHS07' && !/^H31[59]$/.test(code));
  if (all.has('GHS06') || (burns && !mild)) all.delete('GHS07');
  return [...all].sort();
}
