import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { findUnit, parseNumber } from '#base/units';
import type { Reading } from './reading.ts';

const NUMBER = String.raw`[-+\u2212]?[\d.,]*\d[\d.,]*(?:e[+-]?\d+)?`;
const OVER = new RegExp(String.raw`^(?:over|above|more than|at least|>=?|≥)\s*(${NUMBER})$`, 'i');
const UNDER = new RegExp(String.raw`^(?:under|below|less than|at most|<=?|≤)\s*(${NUMBER})$`, 'i');
const BAND = new RegExp(String.raw`^(${NUMBER})\s*(?:-|–|to|\.\.)\s*(${NUMBER})$`, 'i');
const GIVE = new RegExp(String.raw`^(${NUMBER})\s*(?:±|\+\/?-)\s*(${NUMBER})$`, 'i');
const ABOUT = new RegExp(String.raw`^(?:about|approx\.?|circa|ca\.?|~)\s*(${NUMBER})$`, 'i');
/** “About” is taken as a tenth either way. */
const ABOUT_SHARE = 0.1;

/**
 * A reading as people have it: “58.2”, “12-14”, “50 ± 2”, “about 50”, “over 12”, “under 5”, “still blue”. A unit typed
 * behind the number counts: “61 g” in a field for mL, “0.5 kg” in one for g. Words stay words; a mistyped number is refused.
 */
export function parseReading(text: string, expected: string): Result<Reading> {
  const typed = text.trim();
  if (typed === '')
    return fail('missing-part', 'Nothing is written here: a number, a band such as 12-14, “over 12”, or a word.');
  if (typed.length > 200) return fail('too-large', 'A reading has at most 200 characters; put the rest into a note.');
  const { bare, unit, scale } = withUnit(typed, expected);
  if (scale !== 1) return map(parseReading(bare, unit), (reading) => scaled(reading, scale));
  const over = OVER.exec(bare);
  if (over) return map(parseNumber(itemAt(over, 1)), (value) => ({ is: 'over', value, unit }));
  const under = UNDER.exec(bare);
  if (under) return map(parseNumber(itemAt(under, 1)), (value) => ({ is: 'under', value, unit }));
  const about = ABOUT.exec(bare);
  if (about) return map(parseNumber(itemAt(about, 1)), (value) => bandOf(value, Math.abs(value) * ABOUT_SHARE, unit));
  const give = GIVE.exec(bare);
  if (give)
    return two(give, (value, half) =>
      half < 0 ? fail('out-of-range', 'Behind ± stands 0 or more.') : ok(bandOf(value, half, unit)),
    );
  const band = BAND.exec(bare);
  if (band) {
    return two(band, (low, high) =>
      high < low
        ? fail('out-of-range', `A band runs from less to more: write ${high} to ${low}.`)
        : ok({ is: 'band', low, high, unit }),
    );
  }
  if (/^[-+\u2212]?[\d.,]/.test(bare)) return map(parseNumber(bare), (value) => ({ is: 'exact', value, unit }));
  return ok({ is: 'word', text: typed });
}

/** The number without its unit, the unit the reading is kept in, and what the number is multiplied by for it. */
function withUnit(typed: string, expected: string): { bare: string; unit: string; scale: number } {
  const before = typed.slice(0, -expected.length);
  // The g of kg is not the expected g.
  if (expected !== '' && typed.toLowerCase().endsWith(expected.toLowerCase()) && !/[a-zµ]$/i.test(before))
    return { bare: before.trim(), unit: expected, scale: 1 };
  const suffix = /^(.*[\d.,])\s*([a-zµ]+)$/i.exec(typed);
  const unit = suffix && findUnit(itemAt(suffix, 2));
  const wanted = findUnit(expected);
  if (!suffix || !unit || !wanted) return { bare: typed, unit: expected, scale: 1 };
  if (unit.dimension === wanted.dimension)
    return { bare: itemAt(suffix, 1), unit: expected, scale: unit.factor / wanted.factor };
  // What is poured may be weighed, and the other way round.
  if (unit.dimension === 'mass' && wanted.dimension === 'volume')
    return { bare: itemAt(suffix, 1), unit: 'g', scale: unit.factor };
  if (unit.dimension === 'volume' && wanted.dimension === 'mass')
    return { bare: itemAt(suffix, 1), unit: 'mL', scale: unit.factor };
  return { bare: typed, unit: expected, scale: 1 };
}

function scaled(reading: Reading, by: number): Reading {
  if (reading.is === 'band') return { ...reading, low: reading.low * by, high: reading.high * by };
  return reading.is === 'word' || reading.is === 'sight' || reading.is === 'counted'
    ? reading
    : { ...reading, value: reading.value * by };
}

function bandOf(value: number, half: number, unit: string): Reading {
  return { is: 'band', low: value - half, high: value + half, unit };
}

function map<T, U>(result: Result<T>, f: (value: T) => U): Result<U> {
  return result.ok ? ok(f(result.value)) : result;
}

function two(match: RegExpExecArray, f: (a: number, b: number) => Result<Reading>): Result<Reading> {
  const a = parseNumber(itemAt(match, 1));
  const b = parseNumber(itemAt(match, 2));
  if (!a.ok) return a;
  return b.ok ? f(a.value, b.value) : b;
}
