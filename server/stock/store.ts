import { bottleBodyFrom, type Stored } from '#core/kept';
import { fail, ok, type Result } from '#core/problem';
import { type BottleEvent, type BottleState, CARD_VERSION, reduceBottle } from '#core/stock';
import { isDescribedId, learnName } from '#core/substance';
import type { Db } from '../db/open.ts';

interface Row {
  id: string;
  bottle_id: string;
  happened_at: string;
  written_at: string;
  body: string;
  version: number;
}

function learn(substanceId: string): void {
  if (isDescribedId(substanceId)) learnName(substanceId);
}

export type StockStore = ReturnType<typeof stockStore>;

/** Bottles and their events. Every write carries its client's id: the same one again is harmless, another under it is refused. */
export function stockStore(db: Db) {
  const insertBottle = db.prepare('INSERT INTO bottle (id, created_at) VALUES (?, ?)');
  const insertEvent = db.prepare(
    'INSERT INTO bottle_event (id, bottle_id, happened_at, written_at, body, version) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const eventById = db.prepare<[string], Row>('SELECT * FROM bottle_event WHERE id = ?');
  const eventsOf = db.prepare<[string], Row>('SELECT * FROM bottle_event WHERE bottle_id = ? ORDER BY seq');
  const allEvents = db.prepare<[], Row>('SELECT * FROM bottle_event ORDER BY bottle_id, seq');
  const known = db.prepare<[string], { id: string }>('SELECT id FROM bottle WHERE id = ?');

  // What bottles of this notebook describe is known by its name at its doors too.
  for (const { card } of all()) learn(card.substanceId);

  function all(): readonly BottleState[] {
    const by = new Map<string, BottleEvent[]>();
    for (const row of allEvents.all()) {
      const list = by.get(row.bottle_id) ?? [];
      list.push(toEvent(row));
      by.set(row.bottle_id, list);
    }
    return [...by].flatMap(([id, events]) => reduceBottle(id, events) ?? []);
  }

  function one(id: string): Result<BottleState> {
    const state = reduceBottle(id, eventsOf.all(id).map(toEvent));
    return state ? ok(state) : fail('not-found', `There is no bottle ${id.slice(0, 60)}.`);
  }

  function events(id: string): readonly BottleEvent[] {
    return eventsOf.all(id).map(toEvent);
  }

  const append = db.transaction((bottleId: string, event: BottleEvent, basedOn?: number): Result<BottleState> => {
    const body = JSON.stringify(event.body);
    const before = eventById.get(event.id);
    if (before) {
      const same = before.bottle_id === bottleId && before.body === body;
      return same ? one(bottleId) : fail('id-taken', `The id ${event.id} already names another entry.`);
    }
    if (event.body.kind === 'put') {
      if (known.get(bottleId)) return fail('id-taken', `The id ${bottleId} already names a bottle.`);
      insertBottle.run(bottleId, event.writtenAt);
    }
    const refused = event.body.kind === 'put' ? undefined : refuse(bottleId, event, basedOn);
    if (refused) return refused;
    insertEvent.run(event.id, bottleId, event.happenedAt, event.writtenAt, body, CARD_VERSION);
    if ('card' in event.body) learn(event.body.card.substanceId);
    return one(bottleId);
  });

  function refuse(bottleId: string, { body }: BottleEvent, basedOn: number | undefined): Result<never> | undefined {
    const now = one(bottleId);
    if (!now.ok) return now;
    if (body.kind === 'corrected' && basedOn !== now.value.version) {
      return fail(
        'conflict',
        'This bottle was changed elsewhere since you opened it. Look at it again, then repeat your change.',
      );
    }
    if (body.kind !== 'undone') return undefined;
    const target = eventById.get(body.of);
    if (!target || target.bottle_id !== bottleId)
      return fail('not-found', 'The entry to take back is not one of this bottle’s.', { field: 'body.of' });
    if (JSON.parse(target.body).kind === 'put')
      return fail('out-of-range', 'Putting it on the shelf cannot be taken back; archive it instead.', {
        field: 'body.of',
      });
    return undefined;
  }

  return { all, one, events, append };
}

function toEvent(row: Row): BottleEvent {
  const body = bottleBodyFrom(JSON.parse(row.body) as Stored, row.version);
  return { id: row.id, happenedAt: row.happened_at, writtenAt: row.written_at, body };
}
