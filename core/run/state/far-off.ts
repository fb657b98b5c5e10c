import { type Reading, readingValue } from '#base/reading';
import type { AdditionLine } from '#run/technique';

/** Beyond this the bench asks why; below it lie the ordinary slips of a spoon. */
const FAR = 0.05;

/**
 * How far what has gone in is from what was planned, with what was in before, as a share (−0.12 is 12 % less); null when near,
 * or not comparable.
 */
export function farOff({ dose, actual }: Pick<AdditionLine, 'dose' | 'actual'>, reading: Reading): number | null {
  const read = readingValue(reading);
  if (!read) return null;
  const { take, takeMassG, mass, volume } = dose;
  const byTake = read.unit === take.unit;
  const planned = byTake ? take.value : takeMassG;
  if (!(planned > 0) || (!byTake && read.unit !== 'g')) return null;
  const inG = actual?.value ?? 0;
  const before = read.unit === 'mL' && volume && mass.value > 0 ? (inG * volume.value) / mass.value : inG;
  const off = (read.value + before) / planned - 1;
  return Math.abs(off) > FAR ? off : null;
}
