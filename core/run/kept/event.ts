import type { Reading } from '#base/reading';
import type { BottleEventBody, BottleThen } from '#matter/stock';
import type { CorrectedBody, EventBody, PlainBody, RunEvent } from '#run/log';
import { cardFrom } from './card.ts';
import { read, type Stored } from './stored.ts';

/** Kinds that were called otherwise in version 1. */
const RENAMED: Readonly<Record<string, PlainBody['kind']>> = {
  charged: 'added',
  withdrawn: 'portion-taken',
  looked: 'checked',
};

/** Words that told, in version 1, whether an end point was there; now the one who looks says so. */
const TOLD = /\b(still|no longer|stopped|no more|gone)\b/i;
const NOT_YET = /\bstill\b/i;

/** An entry's body as it was stored under a version, as it is read today. */
export function eventBodyFrom(stored: Stored, version: number): EventBody {
  if (version >= 2) return read<EventBody>(stored);
  const kind = String(stored.kind);
  if (kind === 'corrected') {
    const body = stored.body === null ? null : (eventBodyFrom(stored.body as Stored, version) as PlainBody);
    return read<CorrectedBody>({ ...stored, body });
  }
  const body: Record<string, unknown> = { ...stored, kind: RENAMED[kind] ?? kind };
  if (isRecord(stored.reading)) body.reading = readingFrom(stored.reading);
  if (isRecord(stored.stock)) body.stock = bottleThenFrom(stored.stock, version);
  // The washings were told by a word in the place where a thermometer stands.
  if (kind === 'read' && stored.place === 'washings') {
    body.of = 'washings';
    body.place = '';
  }
  if (body.does === undefined) delete body.does;
  return read<PlainBody>(body);
}

/** An entry that waited on a device since a version. */
export function eventFrom(event: RunEvent, version: number): RunEvent {
  return version >= 2 ? event : { ...event, body: eventBodyFrom(read<Stored>(event.body), version) };
}

export function bottleThenFrom(stored: Stored, version: number): BottleThen {
  return { ...stored, card: cardFrom(stored.card as Stored, version) } as BottleThen;
}

/** A bottle's entry as it was stored under a version, as it is read today. */
export function bottleBodyFrom(stored: Stored, version: number): BottleEventBody {
  if (version >= 2 || !isRecord(stored.card)) return read<BottleEventBody>(stored);
  return read<BottleEventBody>({ ...stored, card: cardFrom(stored.card, version) });
}

function readingFrom(reading: Stored): Reading {
  if (reading.is !== 'word' || !TOLD.test(String(reading.text))) return read<Reading>(reading);
  const text = String(reading.text);
  return { is: 'sight', enough: !NOT_YET.test(text), text };
}

function isRecord(value: unknown): value is Stored {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
