import type { ClockAnswer, NoticeAnswer, SoonAnswer } from '#contract/api';

/** Something that wants a person now. */
export interface Due {
  /** The same on every device and every time it is asked: by it one says that it was seen. */
  readonly key: string;
  readonly text: string;
  readonly url: string;
  /** ms since when. */
  readonly since: number;
  readonly alarm: boolean;
}

const MINUTE_MS = 60_000;
/** Steps that follow one another more closely than this are one visit, of which the first is told. */
const SAME_VISIT_MS = 30 * MINUTE_MS;
/** What came longer ago than this and was not begun stands in the week elsewhere by now. */
const STILL_MS = 120 * MINUTE_MS;
const LONGEST_KEY = 300;

/** What is due by the clock: limits passed, timers run out, looks missed. */
export function dueByClock({ items }: Pick<ClockAnswer, 'items'>, now: number): readonly Due[] {
  return items.flatMap(({ batchId, step, kind, text, at }) => {
    const since = at === null ? null : Date.parse(at);
    const alarm = kind === 'alarm';
    if (!alarm && (since === null || since > now)) return [];
    const key = `${batchId}:${step}:${kind}:${alarm ? '' : at}:${text}`.slice(0, LONGEST_KEY);
    return [{ key, text, url: `/bench/${batchId}?step=${step}`, since: since ?? now, alarm }];
  });
}

/** Visits to the bench whose time has come by the week, each by its first step. */
export function dueByWeek({ items }: Pick<SoonAnswer, 'items'>, now: number): readonly Due[] {
  const due: Due[] = [];
  let until = Number.NEGATIVE_INFINITY;
  let first: { key: string; since: number; text: string; url: string; more: number } | null = null;
  const put = () => {
    if (first && first.since <= now && now - first.since < STILL_MS) {
      const { more, ...rest } = first;
      due.push({ ...rest, text: more > 0 ? `${rest.text}, and ${more} more after it` : rest.text, alarm: false });
    }
  };
  for (const { id, batchId, step, text, at, minutes } of items) {
    const since = Date.parse(at);
    if (first && since - until <= SAME_VISIT_MS) first.more += 1;
    else {
      put();
      const url = batchId === null ? '/bench/week' : `/bench/${batchId}?step=${step}`;
      first = { key: `week:${id}:${at.slice(0, 10)}`.slice(0, LONGEST_KEY), since, text, url, more: 0 };
    }
    until = Math.max(until, since + minutes * MINUTE_MS);
  }
  put();
  return due;
}

/** What of it nobody has seen, and is not put off. */
export function unseen(due: readonly Due[], notices: readonly NoticeAnswer[], now: number): readonly Due[] {
  const known = new Map(notices.map((each) => [each.of, each]));
  return due.filter(({ key }) => {
    const notice = known.get(key);
    return !notice || (notice.until !== null && Date.parse(notice.until) <= now);
  });
}
