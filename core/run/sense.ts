import { formatNumber } from '#core/units';
import { type Quantity, type Reading, readingLeast, readingText, readingValue } from './event.ts';
import type { Now } from './now.ts';

/** What can lie below zero; everything else is an amount. */
const SIGNED: ReadonlySet<Quantity> = new Set(['temperature', 'pH', 'sight']);

/** Why a reading of a quantity cannot be; empty when it can. */
export function readingProblem(quantity: Quantity, reading: Reading): string {
  const least = readingLeast(reading);
  return least !== undefined && least < 0 && !SIGNED.has(quantity)
    ? `${readingText(reading)} is below zero; this is 0 or more.`
    : '';
}

/** A vessel's volume is reckoned, not read: a portion may seem somewhat larger than what is in it. */
const SLACK = 1.15;

/** Why a portion cannot come out of a vessel; empty when it can, or when nothing is known of the vessel. */
export function portionProblem(reading: Reading, now: Now | null): string {
  const read = readingValue(reading);
  if (!read) return 'How much was taken? A number of grams or millilitres, such as 2.5, or a band.';
  if (read.value <= 0) return 'A portion is more than 0.';
  if (!now || now.massG <= 0) return '';
  const whole = read.unit === 'mL' ? now.volumeMl : now.massG;
  return read.value > SLACK * whole
    ? `About ${formatNumber(whole, 3)} ${read.unit} is in the vessel; a portion is less than that.`
    : '';
}
