import type { Strength } from '#core/solution';

export const containers = ['bottle', 'jug', 'jar', 'bag', 'tub', 'tube', 'strip'] as const;
export type Container = (typeof containers)[number];

export const groups = ['bought', 'made', 'half-made', 'by-product', 'waste'] as const;
export type BottleGroup = (typeof groups)[number];

/** What the label says, as understood and corrected by its owner. */
export interface BottleCard {
  readonly name: string;
  readonly substanceId: string;
  readonly strength: Strength | null;
  /** Other actives of a mixed product, as its label gives them; plans reckon with the first one only. */
  readonly others: readonly { readonly substanceId: string; readonly strength: Strength }[];
  /** Half-width the owner or an assay gives, in the unit of strength; null takes the label's usual uncertainty. */
  readonly strengthBand: number | null;
  /** True when the strength was found by a measurement of this bottle, not read off its label. */
  readonly assayed: boolean;
  readonly size: { readonly value: number; readonly unit: 'g' | 'mL' } | null;
  readonly price: number | null;
  readonly container: Container;
  readonly group: BottleGroup;
  /** ISO date (day) it was bought or made. */
  readonly since: string;
  readonly labelText: string;
  /** The batch it came from, for what was made here. */
  readonly fromBatch: string | null;
  readonly note: string;
}

export type BottleEventBody =
  | { readonly kind: 'put'; readonly card: BottleCard }
  | { readonly kind: 'corrected'; readonly card: BottleCard }
  | { readonly kind: 'used'; readonly grams: number; readonly forBatch: string | null; readonly why: string }
  | { readonly kind: 'archived'; readonly why: string }
  | { readonly kind: 'restored' }
  | { readonly kind: 'undone'; readonly of: string };

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
