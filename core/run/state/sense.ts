import { type Reading, readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import type { Now } from '#run/sheet';

/** A vessel's volume is computed, not read: a portion may seem somewhat larger than what is in it. */
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
