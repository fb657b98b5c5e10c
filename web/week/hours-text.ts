type Stretch = readonly [number, number];
interface Clock {
  readonly from: number;
  readonly to: number;
}

const TIME = /^(\d{1,2})(?:[:.h](\d{2})|\s?h)?$/i;
const BETWEEN = /\s*(?:-|–|to|until)\s*/i;

const two = (n: number) => String(n).padStart(2, '0');
/** “18:30”. */
const timeText = (h: number): string => `${Math.floor(h)}:${two(Math.round((h % 1) * 60))}`;

export const clockText = ({ from, to }: Clock): string => `${timeText(from)} to ${timeText(to)}`;
export const stretchesText = (all: readonly Stretch[]): string =>
  all.map(([from, to]) => clockText({ from, to })).join(', ');

/** “23:00 to 7:00”, over midnight too; undefined where it is none. */
export function readClock(text: string): Clock | undefined {
  const parts = text.trim().split(BETWEEN);
  const [from, to] = parts.map(readTime);
  return parts.length === 2 && from !== undefined && to !== undefined && from !== to ? { from, to } : undefined;
}

/** “9:30 to 12, 18 to 22”: in order, none over midnight, none in another; empty for a day without; undefined where it is none of this. */
export function readStretches(text: string): readonly Stretch[] | undefined {
  if (text.trim() === '') return [];
  const read = text.split(/[,;]/).map(readClock);
  const all = read.flatMap((each): readonly Stretch[] => (each && each.from < each.to ? [[each.from, each.to]] : []));
  if (all.length !== read.length || all.length > 6) return undefined;
  const sorted = [...all].sort((a, b) => a[0] - b[0]);
  return sorted.every(([from], i) => i === 0 || from >= (sorted[i - 1]?.[1] ?? 0)) ? sorted : undefined;
}

function readTime(text: string): number | undefined {
  const found = TIME.exec(text.trim());
  if (!found) return undefined;
  const h = Number(found[1]) + Number(found[2] ?? 0) / 60;
  return Number(found[2] ?? 0) < 60 && h <= 24 ? h : undefined;
}
