import type { ClockItem } from '#run/state';

/** “05:48”, “2 h 10”, “day 3 of about 6”, “3 h late”: when an item of the clock falls due. */
export function dueText(item: Pick<ClockItem, 'at' | 'progress'>, now: number): { text: string; late: boolean } {
  if (item.at === null) return { text: item.progress ?? '', late: false };
  const left = Date.parse(item.at) - now;
  if (left < -60_000) return { text: `${span(-left)} late`, late: true };
  if (left <= 0) return { text: 'now', late: true };
  if (item.progress && left > 3_600_000) return { text: item.progress, late: false };
  return { text: left < 3_600_000 ? countdown(left) : span(left), late: false };
}

/** “05:48” */
export function countdown(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000));
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(seconds / 60))}:${two(seconds % 60)}`;
}

/** “9 d”, “2 h 10”, “12 min” */
export function span(ms: number): string {
  const minutes = Math.round(ms / 60_000);
  if (minutes >= 2880) return `${Math.round(minutes / 1440)} d`;
  if (minutes >= 60)
    return `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${String(minutes % 60).padStart(2, '0')}` : ''}`;
  return `${minutes} min`;
}
