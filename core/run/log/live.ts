import type { EventBody, Happened, PlainBody, RunEvent } from './event.ts';
import { netReading } from './net-reading.ts';

declare const LIVE: unique symbol;

/** An entry that stands, with its corrections in it; its readings net of paper and vessel. */
export interface LiveEvent {
  readonly id: string;
  readonly happened: Happened;
  readonly writtenAt: string;
  readonly body: PlainBody;
}

/** Entries with their corrections folded in once: a corrected one carries its new body, a struck one is gone. */
export type Live = readonly LiveEvent[] & { readonly [LIVE]: true };

const KNOWN = new WeakMap<readonly RunEvent[], Live>();

/**
 * Folds corrections in. Everything that reads a run reads this, never the raw entries. The same object for the same list, so
 * that what is computed of it is computed once.
 */
export function liveOf(events: readonly RunEvent[]): Live {
  const known = KNOWN.get(events);
  if (known) return known;
  const live = folded(events);
  KNOWN.set(events, live);
  return live;
}

function folded(events: readonly RunEvent[]): Live {
  const latest = new Map<string, PlainBody | null>();
  for (const { body } of events) if (body.kind === 'corrected') latest.set(body.of, body.body);
  const live = events.flatMap(({ id, happened, writtenAt, body }): readonly LiveEvent[] => {
    const plain = standing(body, latest.get(id));
    return plain === null ? [] : [{ id, happened, writtenAt, body: netted(plain) }];
  });
  return live as readonly LiveEvent[] as Live;
}

const NETTED = new WeakMap<PlainBody, PlainBody>();

/** What was weighed with its paper, or wet, is read as what it says of the thing itself; the same object for the same reading. */
function netted(body: PlainBody): PlainBody {
  if (body.kind !== 'read') return body;
  const net = NETTED.get(body) ?? { ...body, reading: netReading(body) };
  NETTED.set(body, net);
  return net;
}

function standing(body: EventBody, replaced: PlainBody | null | undefined): PlainBody | null {
  if (body.kind === 'corrected') return null;
  return replaced === undefined ? body : replaced;
}
