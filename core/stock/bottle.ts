import {
  day,
  type Fields,
  fields,
  flag,
  list,
  note,
  nullable,
  number,
  type Of,
  one,
  optional,
  tagged,
  text,
} from '#core/shape';
import { type StrengthUnit, strengthUnits } from '#core/solution';

export const containers = ['bottle', 'jug', 'jar', 'bag', 'tub', 'tube', 'strip'] as const;
export type Container = (typeof containers)[number];

export const groups = ['bought', 'made', 'intermediate', 'by-product', 'waste'] as const;
export type BottleGroup = (typeof groups)[number];

export const strengthShape = fields({
  value: number(),
  unit: one(...(Object.keys(strengthUnits) as StrengthUnit[])),
});

/** What the label says, as understood and corrected by its owner. */
export const cardShape = fields({
  name: text(120),
  /** A substance of the record; kept as it was written, so that a bottle of a newer build still opens. */
  substanceId: text(240),
  /** The kind of shop product it is, by its generic name; absent where the label names the substance. */
  product: optional(text(120)),
  /** g/mL by its owner or its label, where no table holds it. */
  gPerMl: optional(number({ min: 0.3, max: 5 })),
  strength: nullable(strengthShape),
  /** What else is in it, as its label or its batch gives it: it goes into the vessel too; doses count the first. */
  others: list(fields({ substanceId: text(240), strength: strengthShape }), 6),
  /** Half-width the owner or an assay gives, in the unit of strength; null takes the label's usual uncertainty. */
  strengthBand: nullable(number({ moreThan: 0, max: 1e6 })),
  /** True when the strength was found by a measurement of this bottle, not read off its label. */
  assayed: flag(),
  size: nullable(fields({ value: number({ moreThan: 0, max: 1e6 }), unit: one('g', 'mL') })),
  price: nullable(number({ min: 0, max: 1e7 })),
  container: one(...containers),
  group: one(...groups),
  /** ISO date (day) it was bought or made. */
  since: day(),
  labelText: note(300),
  /** The batch it came from, for what was made here. */
  fromBatch: nullable(text(60)),
  note: note(2000),
});
export type BottleCard = Of<typeof cardShape>;

/** A bottle as it stood when something was taken from it. */
export const bottleThenShape = fields({ card: cardShape, usedG: number({ min: 0, max: 1e7 }) });
export type BottleThen = Of<typeof bottleThenShape>;

/** Version of cards as they are stored; an older one is brought up to it when it is read. */
export const CARD_VERSION = 2;

/** What can happen to a bottle. */
export const bottleKinds = {
  put: { card: cardShape },
  corrected: { card: cardShape },
  used: { grams: number({ moreThan: 0, max: 1e6 }), forBatch: nullable(text(60)), why: note(300) },
  archived: { why: note(300) },
  restored: {},
  undone: { of: text(80) },
} as const satisfies Readonly<Record<string, Fields>>;

export const bottleEventBodyShape = tagged('kind', bottleKinds);
export type BottleEventBody = Of<typeof bottleEventBodyShape>;

/** A bottle as a shelf holds it, for what is computed of it. */
export const shelvedShape = fields({ id: text(60), card: cardShape, usedG: number({ min: 0 }) });
export type Shelved = Of<typeof shelvedShape>;

/** A whole shelf. */
export const shelfShape = list(fields({ ...shelvedShape.fields, archived: flag() }), 5000);
export type ShelfBottle = Of<typeof shelfShape>[number];

export interface BottleEvent {
  readonly id: string;
  /** When it happened and when it was written, ISO instants. */
  readonly happenedAt: string;
  readonly writtenAt: string;
  readonly body: BottleEventBody;
}

export interface BottleState {
  readonly id: string;
  readonly card: BottleCard;
  readonly usedG: number;
  readonly uses: readonly { grams: number; forBatch: string | null; why: string; at: string; eventId: string }[];
  readonly archived: boolean;
  /** Number of events so far: what an edit was based on. */
  readonly version: number;
  /** The last event that can still be taken back. */
  readonly lastEventId: string | null;
}

/**
 * What is true of a bottle now. Undone events are left out wherever they stand; the first `put` cannot be undone.
 * Returns undefined for a list without a `put`.
 */
export function reduceBottle(id: string, events: readonly BottleEvent[]): BottleState | undefined {
  const undone = new Set(events.flatMap(({ body }) => (body.kind === 'undone' ? [body.of] : [])));
  const live = events.filter((event) => !undone.has(event.id) && event.body.kind !== 'undone');
  const first = live.find((event) => event.body.kind === 'put');
  if (first?.body.kind !== 'put') return undefined;
  let card = first.body.card;
  let archived = false;
  const uses: BottleState['uses'][number][] = [];
  for (const { id: eventId, happenedAt, body } of live) {
    if (body.kind === 'corrected') card = body.card;
    if (body.kind === 'archived') archived = true;
    if (body.kind === 'restored') archived = false;
    if (body.kind === 'used') uses.push({ ...body, at: happenedAt, eventId });
  }
  const last = live.filter((event) => event.id !== first.id).at(-1);
  return {
    id,
    card,
    usedG: uses.reduce((sum, use) => sum + use.grams, 0),
    uses,
    archived,
    version: events.length,
    lastEventId: last?.id ?? null,
  };
}
