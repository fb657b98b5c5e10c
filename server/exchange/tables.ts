import Papa from 'papaparse';
import type { BatchSummary } from '#contract/api';
import type { BottleState } from '#matter/stock';
import type { KeptReading } from './kept-rows.ts';

/** A column: its header, and what stands under it. Both in one, so that neither can be left out. */
type Column<Row> = readonly [header: string, value: (row: Row) => unknown];

// A cell that begins like a formula is kept from being one.
const unparse = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: data.map((row) => [...row]) }, { escapeFormulae: true, newline: '\n' })}\n`;

function csv<Row>(columns: readonly Column<Row>[], rows: readonly Row[]): string {
  return unparse(
    columns.map(([header]) => header),
    rows.map((row) => columns.map(([, value]) => value(row) ?? '')),
  );
}

const SHELF: readonly Column<BottleState>[] = [
  ['id', ({ id }) => id],
  ['name', ({ card }) => card.name],
  ['substance', ({ card }) => card.substanceId],
  ['strength', ({ card }) => card.strength?.value],
  ['unit', ({ card }) => card.strength?.unit],
  ['band_95', ({ card }) => card.strengthBand],
  ['size', ({ card }) => card.size?.value],
  ['size_unit', ({ card }) => card.size?.unit],
  ['used_g', ({ usedG }) => usedG],
  ['group', ({ card }) => card.group],
  ['since', ({ card }) => card.since],
  ['price', ({ card }) => card.price],
  ['from_batch', ({ card }) => card.fromBatch],
  ['archived', ({ archived }) => (archived ? 'yes' : 'no')],
  ['note', ({ card }) => card.note],
];

/** Every bottle, a line each; empty where something is not known. */
export function shelfCsv(bottles: readonly BottleState[]): string {
  return csv(SHELF, bottles);
}

const RECORD: readonly Column<BatchSummary>[] = [
  ['number', ({ number }) => number],
  ['title', ({ title }) => title],
  ['status', ({ status }) => status],
  ['route', ({ routeId }) => routeId],
  ['created', ({ createdAt }) => createdAt],
  ['started', ({ startedAt }) => startedAt],
  ['finished', ({ finishedAt }) => finishedAt],
  ['yield_pct', ({ yieldPct }) => yieldPct?.value],
  ['yield_band_95', ({ yieldPct }) => yieldPct?.band],
  ['got', ({ got }) => got],
  ['id', ({ id }) => id],
];

/** Every batch, a line each. */
export function recordCsv(batches: readonly BatchSummary[]): string {
  return csv(RECORD, batches);
}

const READING = ['at', 'minutes', 'head_c', 'pot_c', 'mass_g', 'watts', 'receiver'];
const CELL_READING = ['at', 'minutes', 'volts', 'amps', 'temp_c'];

export function readingsCsv(readings: readonly KeptReading[]): string {
  return unparse(readings[0]?.length === CELL_READING.length ? CELL_READING : READING, readings);
}

/** The same, read back; undefined where it is not such a table. */
export function readingsFrom(text: string): readonly KeptReading[] | undefined {
  const { data, errors } = Papa.parse<string[]>(text.trimEnd(), { header: false });
  const [head, ...rows] = data;
  const columns = [READING, CELL_READING].find((each) => head?.join() === each.join());
  if (errors.length > 0 || !columns) return undefined;
  const found = rows.map((row) => readingOf(row, columns === READING));
  return found.every((each) => each !== undefined) ? found : undefined;
}

/** One row, of a still or of a cell; undefined where a number or its time cannot be. */
function readingOf([at, ...texts]: readonly string[], ofStill: boolean): KeptReading | undefined {
  const numbers = texts.map(Number);
  const count = (ofStill ? READING : CELL_READING).length - 1;
  if (at === undefined || Number.isNaN(Date.parse(at))) return undefined;
  // An empty field is no 0.
  if (numbers.length !== count || texts.some((text) => text.trim() === '') || !numbers.every(Number.isFinite))
    return undefined;
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = numbers;
  return ofStill ? [at, a, b, c, d, e, f] : [at, a, b, c, d];
}
