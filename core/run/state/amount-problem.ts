import { type Reading, readingLeast, readingText } from '#base/reading';

/** Why what went in cannot be; empty when it can. */
export function amountProblem(reading: Reading): string {
  if (reading.is === 'word' || reading.is === 'sight')
    return 'An amount is needed here, such as 17.3; words go into a note.';
  const least = readingLeast(reading) ?? 0;
  if (least < 0) return `${readingText(reading)} is below zero; an amount is 0 or more.`;
  return least > 1e6 ? 'That is more than a tonne; check the number and its unit.' : '';
}
