import { formatPlain } from '#base/units';
import { type Quantity, quantities } from './quantity.ts';
import { type Reading, readingLeast, readingText } from './reading.ts';

/** Why a reading of a quantity cannot be; empty when it can. */
export function readingProblem(quantity: Quantity, reading: Reading): string {
  const { unit, range } = quantities[quantity];
  const [least, most] = range;
  const value = readingLeast(reading);
  if (value === undefined) return '';
  if (value < 0 && least === 0) return `${readingText(reading)} is below zero; this is 0 or more.`;
  const same = !('unit' in reading) || reading.unit === unit;
  const top = reading.is === 'band' ? reading.high : value;
  if (same && (value < least || top > most))
    return `${readingText(reading)} cannot be: this lies between ${formatPlain(least)} and ${`${formatPlain(most)} ${unit}`.trim()}.`;
  return '';
}
