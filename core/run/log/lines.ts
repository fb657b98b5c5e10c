import type { LogNames } from './entry-kind.ts';
import { bodyText, type CorrectedBody, type EventKind, type PlainBody, type RunEvent } from './event.ts';

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

/** A line is read out once for each entry: a log of years is not read out again for every one that joins it. */
const KNOWN = new WeakMap<
  RunEvent,
  { readonly names: LogNames; readonly correction: Correction; readonly line: LogLine }
>();

type Correction = CorrectedBody | undefined;

/** The log, newest happening first; corrected entries stand once, with what they said before. */
export function logOf(events: readonly RunEvent[], names: LogNames): readonly LogLine[] {
  const corrections = new Map(
    events.flatMap(({ body }) => (body.kind === 'corrected' ? [[body.of, body] as const] : [])),
  );
  return events
    .flatMap((event) =>
      event.body.kind === 'corrected'
        ? []
        : [lineOf(event, { said: event.body, correction: corrections.get(event.id) }, names)],
    )
    .sort((a, b) => laterFirst(a.at, b.at) || laterFirst(a.writtenAt, b.writtenAt));
}

function laterFirst(a: string, b: string): number {
  if (a === b) return 0;
  return a < b ? 1 : -1;
}

interface Told {
  /** What it said when it was entered. */
  readonly said: PlainBody;
  readonly correction: Correction;
}

function lineOf(event: RunEvent, { said, correction }: Told, names: LogNames): LogLine {
  const known = KNOWN.get(event);
  if (known?.names === names && known.correction === correction) return known.line;
  const body = correction?.body ?? said;
  const line: LogLine = {
    eventId: event.id,
    kind: body.kind,
    step: 'step' in body ? body.step : null,
    at: event.happened.at,
    giveOrTakeMin: event.happened.giveOrTakeMin,
    writtenAt: event.writtenAt,
    late: Date.parse(event.writtenAt) - Date.parse(event.happened.at) > LATE_MS,
    text: bodyText(body, names),
    was: correction ? bodyText(said, names) : null,
    struck: correction?.body === null,
    reason: correction?.reason ?? ('reason' in said ? said.reason : ''),
    attachmentId: body.kind === 'photographed' ? body.attachmentId : null,
  };
  KNOWN.set(event, { names, correction, line });
  return line;
}
