import type { BottleCard } from '#core/stock';
import { formatPlain } from '#core/units';

/** A reading as it was had: exact, somewhere in a band, beyond one side, or a word. */
export type Reading =
  | { readonly is: 'exact'; readonly value: number; readonly unit: string }
  | { readonly is: 'band'; readonly low: number; readonly high: number; readonly unit: string }
  | { readonly is: 'over'; readonly value: number; readonly unit: string }
  | { readonly is: 'under'; readonly value: number; readonly unit: string }
  /** So many of an own measure, each weighing about so much. */
  | {
      readonly is: 'counted';
      readonly count: number;
      readonly measure: string;
      readonly each: number;
      readonly sd: number;
      readonly unit: string;
    }
  | { readonly is: 'word'; readonly text: string };

/** When something happened, as far as is known: an instant, and how many minutes it may be off. */
export interface Happened {
  readonly at: string;
  readonly giveOrTakeMin: number;
}

/** What can be read, for the doors that check it. */
export const quantities: readonly Quantity[] = [
  'temperature',
  'pH',
  'mass',
  'volume',
  'time',
  'current',
  'sight',
  'gas',
  'foam',
  'left',
  'gain',
  'loss',
  'conductivity',
  'density',
];

export type Quantity =
  | 'temperature'
  | 'pH'
  | 'mass'
  | 'volume'
  | 'time'
  | 'current'
  | 'sight'
  /** Volume of gas that came off or was caught. */
  | 'gas'
  /** Height of foam over the liquid, as a volume of this vessel. */
  | 'foam'
  /** Solid that did not react, weighed. */
  | 'left'
  /** Mass that an absorber or the vessel gained, that left as gas. */
  | 'gain'
  | 'loss'
  | 'conductivity'
  /** g/mL, of the finished solution at the bench's temperature. */
  | 'density';

/** A value with its standard uncertainty. */
export interface ValueWithSd {
  readonly value: number;
  readonly sd: number;
}

/** A bottle as it stood when something was taken from it. */
export interface BottleThen {
  readonly card: BottleCard;
  readonly usedG: number;
}

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
      /** For a bottle that the plan does not hold. */
      readonly stock?: BottleThen | undefined;
    }
  | {
      readonly kind: 'read';
      readonly step: string;
      readonly quantity: Quantity;
      readonly reading: Reading;
      readonly place: string;
    }
  | { readonly kind: 'noted'; readonly step: string; readonly text: string }
  | {
      readonly kind: 'photographed';
      readonly step: string;
      readonly attachmentId: string;
      readonly caption: string;
      readonly colour?: string | undefined;
    }
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
      /** What it does to the vessel: what it repeats does, or what was caught goes back into solution; else only what is entered at it. */
      readonly does?: 'as-before' | 'redissolve' | undefined;
      readonly title: string;
      readonly why: string;
      readonly leave: { readonly alone: boolean; readonly lookEveryMin: number | null };
    }
  /** What a test portion told: so much of a role brought it to its endpoint. */
  | {
      readonly kind: 'portion-tested';
      readonly step: string;
      readonly portion: string;
      readonly reading: Reading;
      readonly says: string;
    }
  /** Makes the batch so many times larger from now on: what is in stays, the rest is topped up. */
  | { readonly kind: 'enlarged'; readonly step: string; readonly factor: number; readonly why: string }
  /** A share of the vessel goes to another batch, or away. */
  | {
      readonly kind: 'poured-off';
      readonly step: string;
      readonly share: number;
      readonly batchId: string | null;
      /** The bottle on the shelf that a part was taken on in. */
      readonly bottleId?: string | undefined;
      readonly why: string;
    }
  /** What came from another batch, as it was then. */
  | {
      readonly kind: 'poured-in';
      readonly step: string;
      readonly batchId: string;
      readonly number: number;
      readonly amounts: Readonly<Record<string, ValueWithSd>>;
      readonly waterG: ValueWithSd;
      readonly inertG: ValueWithSd;
      readonly extentMol: ValueWithSd | null;
    }
  | { readonly kind: 'looked'; readonly step: string }
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
  if (reading.is === 'counted') {
    const { count, each, sd, unit } = reading;
    return { value: count * each, sd: sd * Math.sqrt(Math.abs(count)), unit };
  }
  return undefined;
}

/** The least that a reading can mean; undefined for words. */
export function readingLeast(reading: Reading): number | undefined {
  if (reading.is === 'word') return undefined;
  if (reading.is === 'band') return reading.low;
  return reading.is === 'counted' ? reading.count * reading.each : reading.value;
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
    case 'counted':
      return `${formatPlain(reading.count)} × ${reading.measure}`;
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
