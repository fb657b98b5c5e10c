import { fail, ok, type Result } from '#base/problem';
import {
  type BottleCard,
  type BottleEvent,
  type BottleState,
  CARD_VERSION,
  contentOf,
  reduceBottle,
} from '#matter/stock';
import { isDescribedId, learnName, substanceById } from '#matter/substance';
import { bottleBodyFrom, type Stored } from '#run/kept';
import { immediate } from '../db/immediate.ts';
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
  const allIds = db.prepare<[], { id: string }>('SELECT id FROM bottle ORDER BY id');
  const known = db.prepare<[string], { id: string }>('SELECT id FROM bottle WHERE id = ?');

  // A bottle is folded once for as long as nothing is added to it, and nothing was written by another process.
  const folded = new Map<string, BottleState>();
  let written = -1;
  const seen = () => {
    const now = db.pragma('data_version', { simple: true }) as number;
    if (now !== written) folded.clear();
    written = now;
  };

  // What bottles of this notebook describe is known by its name at its doors too.
  for (const { card } of all()) learn(card.substanceId);

  function all(): readonly BottleState[] {
    seen();
    return allIds.all().flatMap(({ id }) => stateOf(id) ?? []);
  }

  function stateOf(id: string): BottleState | undefined {
    const known = folded.get(id);
    if (known) return known;
    const state = reduceBottle(id, eventsOf.all(id).map(toEvent));
    // What is being written may yet be taken back.
    if (state && !db.inTransaction) folded.set(id, state);
    return state;
  }

  function one(id: string): Result<BottleState> {
    seen();
    const state = stateOf(id);
    return state ? ok(state) : fail('not-found', `There is no bottle ${id.slice(0, 60)}.`);
  }

  function events(id: string): readonly BottleEvent[] {
    return eventsOf.all(id).map(toEvent);
  }

  const append = immediate(db, (bottleId: string, event: BottleEvent, basedOn?: number): Result<BottleState> => {
    const body = JSON.stringify(event.body);
    const before = eventById.get(event.id);
    if (before) {
      const same = before.bottle_id === bottleId && before.body === body;
      return same ? one(bottleId) : fail('id-taken', `The id ${event.id} already names another entry.`);
    }
    if ('card' in event.body) {
      const sound = soundCard(bottleId, event.body.card);
      if (!sound.ok) return sound;
    }
    if (event.body.kind === 'put') {
      if (known.get(bottleId)) return fail('id-taken', `The id ${bottleId} already names a bottle.`);
      insertBottle.run(bottleId, event.writtenAt);
    }
    const refused = event.body.kind === 'put' ? undefined : refuse(bottleId, event, basedOn);
    if (refused) return refused;
    insertEvent.run(event.id, bottleId, event.happenedAt, event.writtenAt, body, CARD_VERSION);
    folded.delete(bottleId);
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

/** A card whose substance is known and whose strength can exist; 20 °C is as good as any for that. */
function soundCard(id: string, card: BottleCard) {
  if (!substanceById(card.substanceId)) {
    return fail('unknown-substance', `“${card.substanceId}” is not a substance known here.`, {
      field: 'card.substanceId',
    });
  }
  return contentOf({ id, card, usedG: 0 }, 20);
}

function toEvent(row: Row): BottleEvent {
  const body = bottleBodyFrom(JSON.parse(row.body) as Stored, row.version);
  return { id: row.id, happenedAt: row.happened_at, writtenAt: row.written_at, body };
}
