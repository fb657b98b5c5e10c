import type { LogNames } from './entry-kind.ts';
import { bodyText, type EventKind, type RunEvent } from './event.ts';

/** One entry as it is read in the log. */
export interface LogLine {
  readonly eventId: string;
  readonly kind: EventKind;
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
export function logOf(events: readonly RunEvent[], names: LogNames): readonly LogLine[] {
  const corrections = new Map(
    events.flatMap(({ body }) => (body.kind === 'corrected' ? [[body.of, body] as const] : [])),
  );
  return events
    .flatMap((event): LogLine[] => {
      if (event.body.kind === 'corrected') return [];
      const correction = corrections.get(event.id);
      const body = correction?.body ?? event.body;
      return [
        {
          eventId: event.id,
          kind: body.kind,
          step: 'step' in body ? body.step : null,
          at: event.happened.at,
          giveOrTakeMin: event.happened.giveOrTakeMin,
          writtenAt: event.writtenAt,
          late: Date.parse(event.writtenAt) - Date.parse(event.happened.at) > LATE_MS,
          text: bodyText(body, names),
          was: correction ? bodyText(event.body, names) : null,
          struck: correction?.body === null,
          reason: correction?.reason ?? ('reason' in event.body ? event.body.reason : ''),
          attachmentId: body.kind === 'photographed' ? body.attachmentId : null,
        },
      ];
    })
    .sort((a, b) => b.at.localeCompare(a.at) || b.writtenAt.localeCompare(a.writtenAt));
}
