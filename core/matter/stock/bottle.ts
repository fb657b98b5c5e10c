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
} from '#base/shape';
import { type StrengthUnit, strengthUnits } from '#matter/solution';

export const containers = ['bottle', 'jug', 'jar', 'bag', 'tub', 'tube', 'strip'] as const;
export type Container = (typeof containers)[number];

export const groups = ['bought', 'made', 'intermediate', 'by-product', 'waste'] as const;
export type BottleGroup = (typeof groups)[number];

export const strengthShape = fields({
  value: number(),
  unit: one(...(Object.keys(strengthUnits) as StrengthUnit[])),
});

/** What a measured strength leans on: each source's effect is its standard uncertainty in the unit of strength, signed. */
const sourcesShape = list(fields({ id: text(200), name: text(200), effect: number() }), 60);

/** A strength that was measured: when, by which assay, and what it leans on, so that what shares a standard is known to. */
export const measuredShape = fields({
  assayId: text(60),
  /** “permanganate, weighed”. */
  method: text(120),
  day: day(),
  sources: sourcesShape,
});
export type MeasuredStrength = Of<typeof measuredShape>;

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
  /** How that measurement was made, where an assay made it. */
  measured: optional(measuredShape),
  size: nullable(fields({ value: number({ moreThan: 0, max: 1e6 }), unit: one('g', 'mL') })),
  price: nullable(number({ min: 0, max: 1e7 })),
  container: one(...containers),
  /** Where it stands, in its owner’s words: “shelf 1”, “box by the door”. */
  place: optional(text(60)),
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
  /** Its strength was found by an assay: what the label says gives way to it. */
  assayed: {
    strength: strengthShape,
    /** Half-width of the 95 % band, in the unit of strength. */
    band: number({ moreThan: 0, max: 1e6 }),
    measured: measuredShape,
    /** What was found, in a line: “2.94 ± 0.03 %, three replicates”. */
    said: note(300),
  },
  /** A test of what it is, or of what else is in it. */
  tested: {
    test: text(120),
    outcome: one('as expected', 'not as expected', 'in doubt'),
    seen: note(300),
    batchId: nullable(text(60)),
  },
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

type OfKind<K extends BottleEventBody['kind']> = Omit<Extract<BottleEventBody, { kind: K }>, 'kind'>;

/** An assay of a bottle, with what its strength was taken for before. */
export interface BottleAssay extends OfKind<'assayed'> {
  readonly at: string;
  readonly eventId: string;
  readonly before: BottleCard['strength'];
}

export interface BottleTest extends OfKind<'tested'> {
  readonly at: string;
  readonly eventId: string;
}

export interface BottleState {
  readonly id: string;
  readonly card: BottleCard;
  readonly usedG: number;
  readonly uses: readonly { grams: number; forBatch: string | null; why: string; at: string; eventId: string }[];
  /** Assays that count, the newest last. */
  readonly assays: readonly BottleAssay[];
  readonly tests: readonly BottleTest[];
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
  const assays: BottleAssay[] = [];
  const tests: BottleTest[] = [];
  for (const { id: eventId, happenedAt, body } of live) {
    if (body.kind === 'assayed') {
      const { kind: _, ...assay } = body;
      assays.push({ ...assay, at: happenedAt, eventId, before: card.strength });
      card = asAssayed(card, assay);
    }
    if (body.kind === 'tested') {
      const { kind: _, ...test } = body;
      tests.push({ ...test, at: happenedAt, eventId });
    }
    if (body.kind === 'corrected') card = asCorrected(body.card, card);
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
    assays,
    tests,
    archived,
    version: events.length,
    lastEventId: last?.id ?? null,
  };
}

/** A card whose strength is what an assay found. */
export function asAssayed(
  card: BottleCard,
  { strength, band, measured }: Pick<OfKind<'assayed'>, 'strength' | 'band' | 'measured'>,
): BottleCard {
  return { ...card, strength, strengthBand: band, assayed: true, measured };
}

/** A strength that its owner changed by hand is no longer the measured one. */
function asCorrected(card: BottleCard, { strength: before }: BottleCard): BottleCard {
  const { strength } = card;
  if (!card.measured || (strength?.value === before?.value && strength?.unit === before?.unit)) return card;
  const { measured: _, ...rest } = card;
  return rest;
}
