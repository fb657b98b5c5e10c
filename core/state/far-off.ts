import { type Reading, readingValue } from '#core/log';

/** Beyond this the bench asks why; below it lie the ordinary slips of a spoon. */
const FAR = 0.05;

/** How far what went in is from what was planned, as a share (−0.12 is 12 % less); null when near, or not comparable. */
export function farOff(take: { value: number; unit: string }, takeMassG: number, reading: Reading): number | null {
  const read = readingValue(reading);
  if (!read) return null;
  const planned = read.unit === take.unit ? take.value : takeMassG;
  if (!(planned > 0) || (read.unit !== take.unit && read.unit !== 'g')) return null;
  const off = read.value / planned - 1;
  return Math.abs(off) > FAR ? off : null;
}
