import Papa from 'papaparse';
import type { BatchSummary } from '#contract/api';
import type { BottleState } from '#matter/stock';
import type { KeptReading } from './kept-rows.ts';

// A cell that begins like a formula is kept from being one.
const csv = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: data.map((row) => [...row]) }, { escapeFormulae: true, newline: '\n' })}\n`;

/** Every bottle, a line each; empty where something is not known. */
export function shelfCsv(bottles: readonly BottleState[]): string {
  return csv(
    [
      'id',
      'name',
      'substance',
      'strength',
      'unit',
      'band_95',
      'size',
      'size_unit',
      'used_g',
      'group',
      'since',
      'price',
      'from_batch',
      'archived',
      'note',
    ],
    bottles.map(({ id, card, usedG, archived }) => [
      id,
      card.name,
      card.substanceId,
      card.strength?.value ?? '',
      card.strength?.unit ?? '',
      card.strengthBand ?? '',
      card.size?.value ?? '',
      card.size?.unit ?? '',
      usedG,
      card.group,
      card.since,
      card.price ?? '',
      card.fromBatch ?? '',
      archived ? 'yes' : 'no',
      card.note,
    ]),
  );
}

/** Every batch, a line each. */
export function recordCsv(batches: readonly BatchSummary[]): string {
  return csv(
    ['number', 'title', 'status', 'route', 'created', 'started', 'finished', 'yield_pct', 'yield_band_95', 'got', 'id'],
    batches.map((each) => [
      each.number,
      each.title,
      each.status,
      each.routeId,
      each.createdAt,
      each.startedAt ?? '',
      each.finishedAt ?? '',
      each.yieldPct?.value ?? '',
      each.yieldPct?.band ?? '',
      each.got,
      each.id,
    ]),
  );
}

const READING = ['at', 'minutes', 'head_c', 'pot_c', 'mass_g', 'watts', 'receiver'];
const CELL_READING = ['at', 'minutes', 'volts', 'amps', 'temp_c'];

export function readingsCsv(readings: readonly KeptReading[]): string {
  return csv(readings[0]?.length === CELL_READING.length ? CELL_READING : READING, readings);
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
