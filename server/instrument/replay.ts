import Papa from 'papaparse';
import { itemAt, numberAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { parseNumber } from '#base/units';
import type { CellInstant } from '#model/electrolysis';
import type { Instant } from '#model/still';
import type { Command, Instrument, Shown } from './instrument.ts';

const COLUMNS = ['time', 'head', 'pot', 'mass'] as const;
const MOST_ROWS = 100_000;

const wrong = (message: string) => fail('invalid-input', message, { field: 'csv' });

/** Rows of numbers under named columns; commas or semicolons between, decimal points or commas. */
function tableOf(text: string, columns: readonly string[]): Result<readonly (readonly number[])[]> {
  const listed = `${columns.slice(0, -1).join(', ')} and ${columns.at(-1)}`;
  if (text.trim() === '')
    return wrong(`The file is empty; it wants a row of names (${columns.join(', ')}) and rows of numbers.`);
  const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const [names = [], ...rows] = parsed.data;
  const at = columns.map((column) => names.findIndex((name) => name.trim().toLowerCase().startsWith(column)));
  const missing = columns.filter((_, i) => numberAt(at, i) < 0);
  if (missing.length > 0)
    return wrong(`The first row names the columns ${listed}; there is no ${missing.join(', no ')}.`);
  if (rows.length > MOST_ROWS) return wrong(`At most ${MOST_ROWS} rows are taken at once; this has ${rows.length}.`);
  if (rows.length === 0) return wrong('The file has names and no rows.');
  const found: number[][] = [];
  for (const [k, row] of rows.entries()) {
    const values: number[] = [];
    for (const [i, column] of columns.entries()) {
      const typed = (row[numberAt(at, i)] ?? '').trim();
      const read = parseNumber(typed);
      if (!read.ok)
        return wrong(`Row ${k + 2}: ${column} is “${typed.slice(0, 30)}”, which is no number. Nothing was taken.`);
      values.push(read.value);
    }
    found.push(values);
  }
  return ok(found);
}

/** Readings of a still in a file: time (min), head and pot (°C), mass (g). */
export function readCsv(text: string): Result<readonly Instant[]> {
  const rows = tableOf(text, COLUMNS);
  if (!rows.ok) return rows;
  const found: Instant[] = [];
  for (const [k, [minutes = 0, headC = 0, potC = 0, massG = 0]] of rows.value.entries()) {
    const line = k + 2;
    const last = found.at(-1);
    if (minutes < 0 || (last && minutes < last.minutes))
      return wrong(`Row ${line}: the time ${minutes} comes before the row above it; readings stand in order.`);
    if (headC < -50 || headC > 400 || potC < -50 || potC > 400)
      return wrong(`Row ${line}: ${Math.max(headC, potC)} °C is no temperature of a still.`);
    if (massG < 0) return wrong(`Row ${line}: a mass of ${massG} g cannot be.`);
    // The balance falls back when the next receiver stands on it.
    const receiver = last ? last.receiver + (massG < last.massG - 5 ? 1 : 0) : 0;
    found.push({ minutes, headC, potC, massG, watts: 0, receiver });
  }
  return ok(found);
}

const CELL_COLUMNS = ['time', 'volts', 'amps', 'temperature'] as const;

/** Readings of a supply in a file: time (min), volts, amps, temperature (°C). */
export function readCellCsv(text: string): Result<readonly CellInstant[]> {
  const rows = tableOf(text, CELL_COLUMNS);
  if (!rows.ok) return rows;
  const found: CellInstant[] = [];
  for (const [k, [minutes = 0, volts = 0, amps = 0, tempC = 0]] of rows.value.entries()) {
    const last = found.at(-1);
    if (minutes < 0 || (last && minutes < last.minutes))
      return wrong(`Row ${k + 2}: the time ${minutes} comes before the row above it; readings stand in order.`);
    if (volts < 0 || amps < 0)
      return wrong(`Row ${k + 2}: volts and amps are 0 or more; a current that turns round would undo what was made.`);
    if (tempC < -20 || tempC > 110) return wrong(`Row ${k + 2}: ${tempC} °C is no temperature of a cell.`);
    found.push({ minutes, volts, amps, tempC });
  }
  return ok(found);
}

interface Kept {
  readonly rows: readonly Shown[];
  readonly next: number;
  readonly minutes: number;
}

/** A file played again at its own pace, or faster. */
export class Replay implements Instrument {
  private readonly kept: Kept;
  private next: number;
  private minutes: number;

  private constructor(kept: Kept) {
    this.kept = kept;
    this.next = kept.next;
    this.minutes = kept.minutes;
  }

  static begin(rows: readonly Shown[]): Replay {
    return new Replay({ rows, next: 0, minutes: rows[0]?.minutes ?? 0 });
  }

  static from(state: object): Replay {
    return new Replay(state as Kept);
  }

  advance(seconds: number): readonly Shown[] {
    const { rows } = this.kept;
    this.minutes += seconds / 60;
    const from = this.next;
    while (this.next < rows.length && itemAt(rows, this.next).minutes <= this.minutes) this.next++;
    return rows.slice(from, this.next);
  }

  /** What is over is not changed by what is said to it now. */
  command(_: Command): void {}

  state(): object {
    return { rows: this.kept.rows, next: this.next, minutes: this.minutes };
  }

  get over(): boolean {
    return this.next >= this.kept.rows.length;
  }
}
