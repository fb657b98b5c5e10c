import { type Figure, given } from '#base/figure';
import { type Quantity, type Reading, readingValue } from '#base/reading';
import type { At } from './facts.ts';

/** How near marks on a beaker or a dish come, as a share of the volume: standard uncertainty. */
const MARKS = 0.03;

/** What a reading stands for, with how well it was read; undefined for words and one-sided readings. */
export function readFigure(
  reading: Reading | undefined,
  naming: { readonly symbol: string; readonly name: string; readonly unit: string },
  own: number,
): Figure | undefined {
  const value = reading && readingValue(reading);
  if (!value || value.unit !== naming.unit) return undefined;
  const uncertainty = {
    [`read:${naming.name}`]: { name: `reading ${naming.name}`, effect: Math.hypot(value.sd, own) },
  };
  return given(naming, { value: value.value, uncertainty }, 'read at the bench');
}

/** A step that counts only as far as it was read: what it is to come to is not there yet. One that was skipped is over. */
export function isUnderWay({ entries, going }: At): boolean {
  return going.onlyDone && !entries.finished && !entries.skipped;
}

/** mL that something stood at, as it was read. */
export function volumeRead(reading: Reading | undefined, name: string): Figure | undefined {
  const value = reading && readingValue(reading)?.value;
  return readFigure(reading, { symbol: 'V', name, unit: 'mL' }, MARKS * Math.abs(value ?? 0));
}

/**
 * Where something that falls towards a goal ended. A reading at the end is the end. One from before says only that it is no
 * further up: what is still to go goes to its goal, unless it was past that already.
 */
export function fallenTo<G extends { readonly value: number }>(
  step: At,
  quantity: Quantity,
  { read, goal }: { readonly read: Figure | undefined; readonly goal: G },
): Figure | undefined {
  if (!read) return undefined;
  const { entries } = step;
  const atEnd = entries.finished && !entries.early.includes(quantity);
  // As far as it is done, it stands where it was read.
  if (atEnd || isUnderWay(step)) return read;
  return read.value < goal.value ? read : undefined;
}
