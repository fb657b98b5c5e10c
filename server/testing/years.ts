import { itemAt } from '#base/lookup';
import { testShelf } from '#testing/shelf';
import type { Db } from '../db/open.ts';
import { entry, testPlan } from './notebook.ts';

/** How much a notebook holds. */
export interface Years {
  readonly bottles: number;
  readonly batches: number;
  /** Of instruments, spread over the batches. */
  readonly readings: number;
  /** Entries of the run that is on the bench. */
  readonly entries: number;
}

/** Sends a body to a path of the API; what it said where it was not taken, else nothing. */
export type Post = (path: string, body: unknown) => Promise<string>;

export const bottleId = (i: number) => `bottle_size${String(i).padStart(5, '0')}`;
export const batchId = (i: number) => `batch_size${String(i).padStart(5, '0')}`;

/** Entries that go over in one request. */
const AT_ONCE = 200;

/** Fills a notebook as years would: through its doors, but for the readings, which its own instruments write. */
export async function fill(db: Db, post: Post, { bottles, batches, readings, entries }: Years): Promise<void> {
  const taken = async (path: string, body: unknown) => {
    const refused = await post(path, body);
    if (refused) throw new Error(`${path} was not taken: ${refused}`);
  };
  for (let i = 0; i < bottles; i++) {
    const { card } = itemAt(testShelf, i % testShelf.length);
    await taken('/bottles', { id: bottleId(i), eventId: `ev_size_${String(i).padStart(6, '0')}`, card });
  }
  const plan = testPlan('60 g zinc sulfate');
  for (let i = 0; i < batches; i++) {
    await taken('/batches', { id: batchId(i), plan });
    // Of each twenty one stays on the bench, the others were abandoned.
    const body = i % 20 === 0 ? { kind: 'finished', step: 'ready' } : { kind: 'abandoned', reason: 'of before' };
    await taken(`/batches/${batchId(i)}/events`, { events: [entry(body)] });
  }
  for (let n = 0; n < entries; n += AT_ONCE)
    await taken(`/batches/${batchId(0)}/events`, {
      events: Array.from({ length: Math.min(AT_ONCE, entries - n) }, (_, i) =>
        entry(
          {
            kind: 'read',
            step: 'zinc',
            quantity: 'temperature',
            place: '',
            reading: { is: 'exact', value: 20 + ((n + i) % 40), unit: '°C' },
          },
          new Date(Date.parse('2026-03-10T06:00:00Z') + (n + i) * 60_000).toISOString(),
        ),
      ),
    });
  writeReadings(db, batches, readings);
}

function writeReadings(db: Db, batches: number, readings: number): void {
  const insert = db.prepare(
    'INSERT INTO instrument_reading (batch_id, seq, at, minutes, head_c, pot_c, mass_g, watts, receiver) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
  );
  const each = Math.ceil(readings / batches);
  const started = Date.parse('2026-01-01T08:00:00Z');
  db.transaction(() => {
    for (let n = 0; n < readings; n++) {
      const seq = (n % each) + 1;
      const minutes = seq / 4;
      insert.run(
        batchId(Math.floor(n / each)),
        seq,
        new Date(started + minutes * 60_000).toISOString(),
        minutes,
        78 + seq / each,
        82 + seq / each,
        seq / 10,
        250,
        Math.floor((4 * seq) / each),
      );
    }
  })();
}
