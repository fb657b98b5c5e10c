import { waterDensityFigure } from '#matter/solution';
import { type BottleEvent, contentOf } from '#matter/stock';
import type { EventBody, RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { massOfReading } from '#run/technique';

interface StockUse {
  readonly bottleId: string;
  readonly event: BottleEvent;
}

/**
 * What a batch entry takes from the shelf: an addition uses its bottle, a correction takes the standing use back and books
 * the new one. Ids follow from the entry's own, so a retry books nothing twice. `plan` and `history` (the batch
 * before the entry) are asked for only when an entry needs them: most are readings.
 */
export function stockUseOf(
  batchId: string,
  plan: () => Plan,
  event: RunEvent,
  history: () => readonly RunEvent[],
): readonly StockUse[] {
  const { body } = event;
  if (body.kind === 'added') return booked(batchId, plan(), event, body);
  if (body.kind !== 'corrected') return [];
  const back = standing(plan(), body.of, history()).map(
    ({ bottleId, useId }): StockUse => ({
      bottleId,
      event: at(event, `back_${event.id}`, { kind: 'undone', of: useId }),
    }),
  );
  return body.body?.kind === 'added' ? [...back, ...booked(batchId, plan(), event, body.body)] : back;
}

/** The bottle that an entry puts on the shelf: its product, a fraction, what is used further. */
export function bottleIn(event: RunEvent): readonly StockUse[] {
  const { body } = event;
  if (body.kind !== 'bottled' && body.kind !== 'poured-off') return [];
  if (!body.bottleId || !body.card) return [];
  return [{ bottleId: body.bottleId, event: at(event, `put_${event.id}`, { kind: 'put', card: body.card }) }];
}

/** The use that an entry has on the shelf now: its own, or that of its latest correction; none once it is struck out. */
function standing(
  plan: Plan,
  entryId: string,
  history: readonly RunEvent[],
): readonly { bottleId: string; useId: string }[] {
  const latest = history
    .filter(({ id, body }) => id === entryId || (body.kind === 'corrected' && body.of === entryId))
    .at(-1);
  const body = latest?.body.kind === 'corrected' ? latest.body.body : latest?.body;
  if (!latest || body?.kind !== 'added' || body.bottleId === null || gramsOf(plan, body) === undefined) return [];
  return [{ bottleId: body.bottleId, useId: `use_${latest.id}` }];
}

function booked(
  batchId: string,
  plan: Plan,
  event: RunEvent,
  body: Extract<EventBody, { kind: 'added' }>,
): readonly StockUse[] {
  const grams = gramsOf(plan, body);
  if (grams === undefined || body.bottleId === null) return [];
  return [
    {
      bottleId: body.bottleId,
      event: at(event, `use_${event.id}`, { kind: 'used', grams, forBatch: batchId, why: 'added' }),
    },
  ];
}

function gramsOf(plan: Plan, body: Extract<EventBody, { kind: 'added' }>): number | undefined {
  const bottle =
    body.bottleId === null
      ? undefined
      : (body.stock ?? (Object.hasOwn(plan.stock, body.bottleId) ? plan.stock[body.bottleId] : undefined));
  if (!bottle || body.bottleId === null) return undefined;
  const content = contentOf({ id: body.bottleId, ...bottle }, plan.bench.tempC, plan.day);
  if (!content.ok) return undefined;
  const mass = massOfReading(body.reading, {
    name: bottle.card.name,
    content: content.value,
    water: waterDensityFigure(plan.bench.tempC),
    bench: plan.bench,
  });
  return mass && mass.value > 0 ? mass.value : undefined;
}

function at(event: RunEvent, id: string, body: BottleEvent['body']): BottleEvent {
  return { id, happenedAt: event.happened.at, writtenAt: event.writtenAt, body };
}
