import { chargeMass, type EventBody, type Plan, type RunEvent } from '#core/run';
import { waterDensityFigure } from '#core/solution';
import { type BottleEvent, contentOf } from '#core/stock';

interface StockUse {
  readonly bottleId: string;
  readonly event: BottleEvent;
}

/**
 * What a batch entry takes from the shelf: a charge uses its bottle, a correction takes the old use back and books the
 * new one. Ids follow from the entry's own, so a retry books nothing twice.
 */
export function stockUseOf(
  batchId: string,
  plan: Plan,
  event: RunEvent,
  find: (eventId: string) => RunEvent | undefined,
): readonly StockUse[] {
  const { body } = event;
  if (body.kind === 'charged') return booked(batchId, plan, event, body);
  if (body.kind !== 'corrected') return [];
  const old = find(body.of);
  const back: StockUse[] =
    old?.body.kind === 'charged' && old.body.bottleId !== null && gramsOf(plan, old.body) !== undefined
      ? [{ bottleId: old.body.bottleId, event: at(event, `back_${event.id}`, { kind: 'undone', of: `use_${old.id}` }) }]
      : [];
  return body.body?.kind === 'charged' ? [...back, ...booked(batchId, plan, event, body.body)] : back;
}

function booked(
  batchId: string,
  plan: Plan,
  event: RunEvent,
  body: Extract<EventBody, { kind: 'charged' }>,
): readonly StockUse[] {
  const grams = gramsOf(plan, body);
  if (grams === undefined || body.bottleId === null) return [];
  return [
    {
      bottleId: body.bottleId,
      event: at(event, `use_${event.id}`, { kind: 'used', grams, forBatch: batchId, why: 'charged' }),
    },
  ];
}

function gramsOf(plan: Plan, body: Extract<EventBody, { kind: 'charged' }>): number | undefined {
  const bottle = body.bottleId === null ? undefined : plan.stock[body.bottleId];
  if (!bottle || body.bottleId === null) return undefined;
  const content = contentOf(body.bottleId, bottle.card, bottle.usedG, plan.bench.tempC);
  if (!content.ok) return undefined;
  const mass = chargeMass(
    body.reading,
    bottle.card.name,
    content.value,
    waterDensityFigure(plan.bench.tempC),
    plan.bench,
  );
  return mass && mass.value > 0 ? mass.value : undefined;
}

function at(event: RunEvent, id: string, body: BottleEvent['body']): BottleEvent {
  return { id, happenedAt: event.happened.at, writtenAt: event.writtenAt, body };
}
