import { formatPlain } from '#core/units';

/** A reading as it was had: exact, somewhere in a band, beyond one side, or a word. */
export type Reading =
  | { readonly is: 'exact'; readonly value: number; readonly unit: string }
  | { readonly is: 'band'; readonly low: number; readonly high: number; readonly unit: string }
  | { readonly is: 'over'; readonly value: number; readonly unit: string }
  | { readonly is: 'under'; readonly value: number; readonly unit: string }
  | { readonly is: 'word'; readonly text: string };

/** When something happened, as far as is known: an instant, and how many minutes it may be off. */
export interface Happened {
  readonly at: string;
  readonly giveOrTakeMin: number;
}

export type Quantity = 'temperature' | 'pH' | 'mass' | 'volume' | 'time' | 'current' | 'sight';

export type EventBody =
  | { readonly kind: 'started'; readonly step: string }
  | {
      readonly kind: 'charged';
      readonly step: string;
      /** Null for something unplanned. */
      readonly role: string | null;
      readonly bottleId: string | null;
      readonly reading: Reading;
      /** Asked for when it is far from the plan. */
      readonly reason: string;
    }
  | {
      readonly kind: 'read';
      readonly step: string;
      readonly quantity: Quantity;
      readonly reading: Reading;
      readonly place: string;
    }
  | { readonly kind: 'noted'; readonly step: string; readonly text: string }
  | { readonly kind: 'photographed'; readonly step: string; readonly attachmentId: string; readonly caption: string }
  | {
      readonly kind: 'timer-set';
      readonly step: string;
      readonly timer: string;
      readonly name: string;
      readonly minutes: number;
    }
  | { readonly kind: 'timer-stopped'; readonly timer: string }
  | {
      readonly kind: 'withdrawn';
      readonly step: string;
      readonly reading: Reading;
      readonly purpose: string;
      readonly returned: boolean;
    }
  | {
      readonly kind: 'step-inserted';
      readonly step: string;
      readonly after: string;
      /** True to run beside its neighbour instead of between. */
      readonly beside: boolean;
      /** The step it repeats, when it does. */
      readonly repeats: string | null;
      readonly title: string;
      readonly why: string;
      readonly leave: { readonly alone: boolean; readonly lookEveryMin: number | null };
    }
  | { readonly kind: 'step-skipped'; readonly step: string; readonly reason: string }
  | { readonly kind: 'finished'; readonly step: string }
  | { readonly kind: 'reopened'; readonly step: string }
  | { readonly kind: 'acknowledged'; readonly caution: string }
  | { readonly kind: 'abandoned'; readonly reason: string }
  | { readonly kind: 'bottled'; readonly bottleId: string }
  /** Names an earlier entry; `body` replaces it, or null strikes it out. */
  | { readonly kind: 'corrected'; readonly of: string; readonly body: EventBody | null; readonly reason: string };

export interface RunEvent {
  /** Made by the client, so that sending it twice is harmless. */
  readonly id: string;
  readonly happened: Happened;
  readonly writtenAt: string;
  readonly body: EventBody;
}

export function exactReading(value: number, unit: string): Reading {
  return { is: 'exact', value, unit };
}

/**
 * The value and standard uncertainty that stand for a reading: a band is its middle (rectangle), a one-sided reading
 * has no value of its own. Undefined for words and one-sided readings.
 */
export function readingValue(reading: Reading): { value: number; sd: number; unit: string } | undefined {
  if (reading.is === 'exact') return { value: reading.value, sd: 0, unit: reading.unit };
  if (reading.is === 'band') {
    return {
      value: (reading.low + reading.high) / 2,
      sd: (reading.high - reading.low) / 2 / Math.sqrt(3),
      unit: reading.unit,
    };
  }
  return undefined;
}

export function readingText(reading: Reading): string {
  switch (reading.is) {
    case 'exact':
      return `${formatPlain(reading.value)} ${reading.unit}`.trim();
    case 'band':
      return `${formatPlain(reading.low)} to ${formatPlain(reading.high)} ${reading.unit}`.trim();
    case 'over':
      return `over ${formatPlain(reading.value)} ${reading.unit}`.trim();
    case 'under':
      return `under ${formatPlain(reading.value)} ${reading.unit}`.trim();
    case 'word':
      return reading.text;
  }
}

/** Entries with corrections applied: a corrected entry carries its new body, a struck one is gone. */
export function applyCorrections(events: readonly RunEvent[]): readonly RunEvent[] {
  const latest = new Map<string, EventBody | null>();
  for (const { body } of events) if (body.kind === 'corrected') latest.set(body.of, body.body);
  return events.flatMap((event) => {
    if (event.body.kind === 'corrected') return [];
    const replaced = latest.get(event.id);
    if (replaced === undefined) return [event];
    return replaced === null ? [] : [{ ...event, body: replaced }];
  });
}
