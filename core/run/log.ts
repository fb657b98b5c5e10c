import { routeById } from '#core/route';
import { formatPlain } from '#core/units';
import { type EventBody, type RunEvent, readingText } from './event.ts';
import type { Plan } from './plan.ts';

/** One entry as it is read in the log. */
export interface LogLine {
  readonly eventId: string;
  readonly kind: EventBody['kind'];
  readonly step: string | null;
  readonly at: string;
  readonly giveOrTakeMin: number;
  readonly writtenAt: string;
  /** Written more than ten minutes after it happened. */
  readonly late: boolean;
  readonly text: string;
  /** What it said before, when it was corrected. */
  readonly was: string | null;
  readonly struck: boolean;
  readonly reason: string;
  readonly attachmentId: string | null;
}

const LATE_MS = 10 * 60_000;

/** The log, newest happening first; corrected entries stand once, with what they said before. */
export function logOf(plan: Plan, events: readonly RunEvent[]): readonly LogLine[] {
  const corrections = new Map<string, Extract<EventBody, { kind: 'corrected' }>>();
  for (const { body } of events) if (body.kind === 'corrected') corrections.set(body.of, body);
  return events
    .filter(({ body }) => body.kind !== 'corrected')
    .map((event) => {
      const correction = corrections.get(event.id);
      const body = correction?.body ?? event.body;
      const before = textOf(plan, event.body);
      return {
        eventId: event.id,
        kind: body.kind,
        step: 'step' in body ? body.step : null,
        at: event.happened.at,
        giveOrTakeMin: event.happened.giveOrTakeMin,
        writtenAt: event.writtenAt,
        late: Date.parse(event.writtenAt) - Date.parse(event.happened.at) > LATE_MS,
        text: textOf(plan, body),
        was: correction ? before : null,
        struck: correction?.body === null,
        reason: correction?.reason ?? ('reason' in event.body ? event.body.reason : ''),
        attachmentId: body.kind === 'photographed' ? body.attachmentId : null,
      };
    })
    .sort((a, b) => b.at.localeCompare(a.at) || b.writtenAt.localeCompare(a.writtenAt));
}

function textOf(plan: Plan, body: EventBody): string {
  switch (body.kind) {
    case 'started':
      return 'begun';
    case 'finished':
      return 'done';
    case 'reopened':
      return 'opened again';
    case 'charged':
      return `${chargedName(plan, body)} ${readingText(body.reading)}`;
    case 'read':
      return `${body.place ? `${body.place} ` : ''}${body.quantity === 'sight' ? 'seen:' : body.quantity} ${readingText(body.reading)}`;
    case 'noted':
      return body.text;
    case 'photographed':
      return body.caption === '' ? 'photo' : `photo: ${body.caption}`;
    case 'timer-set':
      return `timer ${body.name}, ${formatPlain(body.minutes)} min`;
    case 'timer-stopped':
      return 'timer stopped';
    case 'withdrawn':
      return `test portion ${readingText(body.reading)}, ${body.purpose}${body.returned ? ', returned' : ''}`;
    case 'portion-tested':
      return `test portion told: ${readingText(body.reading)}${body.says ? `, ${body.says}` : ''}`;
    case 'enlarged':
      return `batch made ${formatPlain(body.factor)} times as large${body.why ? `: ${body.why}` : ''}`;
    case 'poured-off':
      return `${formatPlain(body.share * 100, 3)} % ${wentWhere(body)}${body.why ? `: ${body.why}` : ''}`;
    case 'poured-in':
      return `joined by what came from batch ${body.number}`;
    case 'looked':
      return 'looked in';
    case 'step-inserted':
      return `step put in: ${body.title}`;
    case 'step-skipped':
      return `skipped: ${body.reason}`;
    case 'acknowledged':
      return 'caution read';
    case 'abandoned':
      return `given up: ${body.reason}`;
    case 'bottled':
      return 'put on the shelf';
    case 'corrected':
      return 'correction';
  }
}

function wentWhere({ batchId, bottleId }: Extract<EventBody, { kind: 'poured-off' }>): string {
  if (bottleId) return 'taken on, to the shelf';
  return batchId ? 'poured off into another batch' : 'poured away';
}

function chargedName(plan: Plan, body: Extract<EventBody, { kind: 'charged' }>): string {
  const card = body.bottleId === null ? undefined : plan.stock[body.bottleId]?.card;
  const role = routeById(plan.routeId)?.roles.find((each) => each.id === body.role);
  return body.stock?.card.name ?? card?.name ?? role?.name ?? 'water';
}
