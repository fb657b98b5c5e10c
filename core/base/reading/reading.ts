import { checked, flag, note, number, type Of, tagged, text } from '#base/shape';
import { formatPlain } from '#base/units';

const exact = { value: number(), unit: note(20) };
const counted = {
  count: number(),
  measure: text(60),
  each: number({ moreThan: 0, max: 1e5 }),
  sd: number({ min: 0, max: 1e5 }),
  unit: note(20),
};

/**
 * A reading as it was had: exact, somewhere in a band, beyond one side, so many of an own measure, a sight that says whether
 * it is enough, or words.
 */
export const readingShape = checked(
  tagged('is', {
    exact,
    band: { low: number(), high: number(), unit: note(20) },
    over: exact,
    under: exact,
    counted,
    /** What was seen, and whether that is enough for the step: told by the one who looked, never read out of the words. */
    sight: { enough: flag(), text: text(200) },
    word: { text: text(200) },
  }),
  (reading) => (reading.is === 'band' && reading.high < reading.low ? 'high end is not below the low end' : ''),
);
export type Reading = Of<typeof readingShape>;

/** A reading of something that cannot be less than nothing. */
export const amountShape = checked(readingShape, (reading) => {
  const least = readingLeast(reading);
  if (least === undefined) return '';
  if (least < 0 || (reading.is === 'band' && reading.low < 0)) return 'is 0 or more';
  return least > 1e6 ? 'is at most a tonne' : '';
});

/** A value with its standard uncertainty. */
export interface ValueWithSd {
  readonly value: number;
  readonly sd: number;
}

export function exactReading(value: number, unit: string): Reading {
  return { is: 'exact', value, unit };
}

/**
 * The value and standard uncertainty that stand for a reading: a band is its middle (rectangle), a one-sided reading
 * has no value of its own. Undefined for words, sights and one-sided readings.
 */
export function readingValue(reading: Reading): (ValueWithSd & { unit: string }) | undefined {
  if (reading.is === 'exact') return { value: reading.value, sd: 0, unit: reading.unit };
  if (reading.is === 'band') {
    return {
      value: (reading.low + reading.high) / 2,
      sd: (reading.high - reading.low) / 2 / Math.sqrt(3),
      unit: reading.unit,
    };
  }
  if (reading.is === 'counted') {
    const { count, each, sd, unit } = reading;
    return { value: count * each, sd: sd * Math.sqrt(Math.abs(count)), unit };
  }
  return undefined;
}

/** The least that a reading can mean; undefined for words and sights. */
export function readingLeast(reading: Reading): number | undefined {
  if (reading.is === 'word' || reading.is === 'sight') return undefined;
  if (reading.is === 'band') return reading.low;
  return reading.is === 'counted' ? reading.count * reading.each : reading.value;
}

export function readingText(reading: Reading): string {
  switch (reading.is) {
    case 'exact':
      return `${formatPlain(reading.value)} ${reading.unit}`.trim();
    case 'band':
      return `${formatPlain(reading.low)} to ${formatPlain(reading.high)} ${reading.unit}`.trim();
    case 'over':
      return `over ${formatPlain(reading.value)} ${reading.unit}`.trim();
    case 'under':
      return `under ${formatPlain(reading.value)} ${reading.unit}`.trim();
    case 'counted':
      return `${formatPlain(reading.count)} × ${reading.measure}`;
    case 'sight':
    case 'word':
      return reading.text;
  }
}
