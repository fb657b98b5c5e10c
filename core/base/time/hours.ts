import { formatNumber } from '#base/units';

/** “40 min”, “5.5 h”, “3 d”. */
export function hoursSaid(hours: number): string {
  if (hours < 1) return `${Math.max(1, Math.round(hours * 60))} min`;
  return hours < 48 ? `${formatNumber(hours, 2)} h` : `${formatNumber(hours / 24, 2)} d`;
}

/** “20 min to 2 h”; one time when both ends read the same. */
export function hoursSpan([least, most]: readonly [number, number]): string {
  const [a, b] = [hoursSaid(least), hoursSaid(most)];
  return a === b ? a : `${a} to ${b}`;
}

/** “26 min”, “2.1 h”. */
export function hoursText(hours: number): string {
  return hours < 1 ? `${Math.round(hours * 60)} min` : `${formatNumber(hours, 2)} h`;
}

/** “2 to 4 d”, “5 to 9 h”, “20 to 40 min”; “none” of less than half a minute. */
export function durationText([least, most]: readonly [number, number]): string {
  if (Math.round(most * 60) === 0) return 'none';
  if (most >= 48) return `${formatNumber(least / 24, 1)} to ${formatNumber(most / 24, 1)} d`;
  if (most >= 2) return `${formatNumber(least, 1)} to ${formatNumber(most, 2)} h`;
  return `${Math.round(least * 60)} to ${Math.round(most * 60)} min`;
}
