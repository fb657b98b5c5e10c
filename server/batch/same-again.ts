import { fail, type Result } from '#base/problem';
import { readingText } from '#base/reading';
import type { EventBody } from '#run/log';

/** Two that are the same are asked about within this time, ms. */
const WITHIN_MS = 10 * 60_000;
/** Additions that are remembered of a batch: more than are made in that time. */
const MOST = 50;

/** An addition as a page sends it. */
export interface SentAddition {
  readonly id: string;
  readonly at: string;
  readonly body: Extract<EventBody, { kind: 'added' }>;
  /** The page it was made in; not known of scripts, which are not asked. */
  readonly tab: string | undefined;
  /** It went in once more, on purpose. */
  readonly again: boolean;
}

/**
 * Two pages at one batch may both enter what went in once: the second is asked about. Portions that one page enters are its own
 * business. Remembered by this process alone: a restart forgets minutes.
 */
export function sameAgain() {
  const remembered = new Map<string, SentAddition[]>();
  return {
    check(batchId: string, sent: SentAddition): Result<true> {
      const { tab, again } = sent;
      const twin =
        tab === undefined || again
          ? undefined
          : remembered.get(batchId)?.find((each) => each.id !== sent.id && each.tab !== tab && isSame(each, sent));
      if (!twin) return { ok: true, value: true };
      const minutes = Math.round(Math.abs(Date.parse(twin.at) - Date.parse(sent.at)) / 60_000);
      return fail(
        'same-again',
        `${readingText(sent.body.reading)} of the same was entered in another page ${minutes < 1 ? 'less than a minute' : `${minutes} min`} apart. Did it go in twice, or is it the same one?`,
      );
    },
    remember(batchId: string, sent: SentAddition): void {
      if (sent.tab === undefined) return;
      const all = (remembered.get(batchId) ?? []).filter(({ id }) => id !== sent.id);
      remembered.set(batchId, [...all, sent].slice(-MOST));
    },
  };
}

function isSame(one: SentAddition, other: SentAddition): boolean {
  const near = Math.abs(Date.parse(one.at) - Date.parse(other.at)) <= WITHIN_MS;
  return near && keyOf(one.body) === keyOf(other.body);
}

function keyOf({ step, role, bottleId, reading }: SentAddition['body']): string {
  return JSON.stringify([step, role, bottleId, reading]);
}
