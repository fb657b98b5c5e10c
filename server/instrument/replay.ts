import Papa from 'papaparse';
import { fail, ok, type Result } from '#core/problem';
import type { Instant } from '#core/still';
import { parseNumber } from '#core/units';
import type { Command, Instrument } from './instrument.ts';

const COLUMNS = ['time', 'head', 'pot', 'mass'] as const;
const MOST_ROWS = 100_000;

/** Readings of a file: time (min), head and pot (°C), mass (g); commas or semicolons between, decimal points or commas. */
export function readCsv(text: string): Result<readonly Instant[]> {
  const wrong = (message: string) => fail('invalid-input', message, { field: 'csv' });
  if (text.trim() === '')
    return wrong('The file is empty; it wants a row of names (time, head, pot, mass) and rows of numbers.');
  const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const [names = [], ...rows] = parsed.data;
  const at = COLUMNS.map((column) => names.findIndex((name) => name.trim().toLowerCase().startsWith(column)));
  const missing = COLUMNS.filter((_, i) => at[i]! < 0);
  if (missing.length > 0)
    return wrong(`The first row names the columns time, head, pot and mass; there is no ${missing.join(', no ')}.`);
  if (rows.length > MOST_ROWS) return wrong(`At most ${MOST_ROWS} rows are taken at once; this has ${rows.length}.`);
  const found: Instant[] = [];
  for (const [k, row] of rows.entries()) {
    const line = k + 2;
    const values: number[] = [];
    for (const [i, column] of COLUMNS.entries()) {
      const typed = (row[at[i]!] ?? '').trim();
      const read = parseNumber(typed);
      if (!read.ok)
        return wrong(`Row ${line}: ${column} is “${typed.slice(0, 30)}”, which is no number. Nothing was taken.`);
      values.push(read.value);
    }
    const [minutes = 0, headC = 0, potC = 0, massG = 0] = values;
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
  return found.length > 0 ? ok(found) : wrong('The file has names and no rows.');
}

interface Kept {
  readonly rows: readonly Instant[];
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

  static begin(rows: readonly Instant[]): Replay {
    return new Replay({ rows, next: 0, minutes: rows[0]?.minutes ?? 0 });
  }

  static from(state: object): Replay {
    return new Replay(state as Kept);
  }

  advance(seconds: number): readonly Instant[] {
    const { rows } = this.kept;
    this.minutes += seconds / 60;
    const from = this.next;
    while (this.next < rows.length && rows[this.next]!.minutes <= this.minutes) this.next++;
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
