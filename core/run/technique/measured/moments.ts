import type { Quantity } from '#base/reading';
import type { ActualAddition, At, StepEntries } from '../facts.ts';

/** What went in at a last step, and what was read after it: a reading tells of what had gone in by then. */
export interface Moment {
  readonly additions: readonly ActualAddition[];
  readonly readings: StepEntries['readings'];
}

const MEASURED: readonly Quantity[] = ['volume', 'mass', 'strength', 'density'];

/**
 * The moments at which what was made is measured at a step, in order, with what came after the step did its own; the last may
 * have no reading. What the step made up to its mark has its volume by that.
 */
export function inMoments(
  { entries, isMadeUp }: At & { readonly isMadeUp: boolean },
  since: readonly ActualAddition[],
): readonly Moment[] {
  const { additions, readings, readAfter } = entries;
  const early = additions.length - since.length;
  const read = MEASURED.filter((each) => readings[each] !== undefined && !(isMadeUp && each === 'volume'));
  const after = (each: Quantity) => Math.max(0, (readAfter[each] ?? 0) - early);
  const ends = [...new Set([...read.map(after), since.length])].sort((a, b) => a - b);
  return ends.map((end, i) => ({
    additions: since.slice(ends[i - 1] ?? 0, end),
    readings: Object.fromEntries(read.filter((each) => after(each) === end).map((each) => [each, readings[each]])),
  }));
}
