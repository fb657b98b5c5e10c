import dayjs from 'dayjs';

const MINUTE_MS = 60_000;
/** Nobody goes to the bench at three minutes past. */
const ROUND_MIN = 5;

/** Minutes of a week as instants, and as a person says them. */
export interface WeekClock {
  /** ms. */
  readonly at: (min: number) => number;
  readonly min: (at: number) => number;
  /** “18:00”, “Sat 18:00”, “5 Dec 18:00”: rounded up to five minutes. */
  readonly text: (min: number) => string;
  /** “18:00”. */
  readonly hour: (min: number) => string;
  /** The same to the minute: sunset waits for nobody. */
  readonly exact: (min: number) => string;
  /** “18:00” on the day of another minute, else “Fri 18:00”. */
  readonly beside: (min: number, other: number) => string;
}

/** `from` is the beginning of the week, ISO; `now` the present, ms. */
export function weekClock(from: string, now: number): WeekClock {
  const start = Date.parse(from);
  const at = (min: number) => start + Math.ceil(min / ROUND_MIN - 1e-6) * ROUND_MIN * MINUTE_MS;
  return {
    at,
    min: (when) => (when - start) / MINUTE_MS,
    text: (min) => whenSaid(at(min), now),
    hour: (min) => dayjs(at(min)).format('HH:mm'),
    exact: (min) => dayjs(start + min * MINUTE_MS).format('HH:mm'),
    beside: (min, other) =>
      dayjs(at(min)).format(dayjs(at(min)).isSame(dayjs(at(other)), 'day') ? 'HH:mm' : 'ddd HH:mm'),
  };
}

/** “18:00”, “Sat 18:00”, “5 Dec 18:00”. */
export function whenSaid(at: number, now: number): string {
  const when = dayjs(at);
  if (when.isSame(dayjs(now), 'day')) return when.format('HH:mm');
  return when.format(Math.abs(at - now) < 6 * 86_400_000 ? 'ddd HH:mm' : 'D MMM HH:mm');
}

/** “10 min”, “1 h 20”, “3 d”: about, as a plan knows it. */
export function lengthText(min: number): string {
  if (min >= 2880) return `${Math.round(min / 1440)} d`;
  if (min < 60) return `${Math.max(1, Math.round(min))} min`;
  const rounded = min >= 600 ? Math.round(min / 60) * 60 : Math.round(min / 5) * 5;
  return `${Math.floor(rounded / 60)} h${rounded % 60 ? ` ${String(rounded % 60).padStart(2, '0')}` : ''}`;
}

/** The value that a field for a date and a time shows. */
export const fieldText = (at: number): string => dayjs(at).format('YYYY-MM-DDTHH:mm');
