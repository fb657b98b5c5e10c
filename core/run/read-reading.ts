import { fail, ok, type Result } from '#core/problem';
import { parseNumber } from '#core/units';
import type { Reading } from './event.ts';

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
 * behind the number is taken off when it is the expected one. Words stay words; a mistyped number is refused.
 */
export function parseReading(text: string, unit: string): Result<Reading> {
  const typed = text.trim();
  if (typed === '')
    return fail('missing-part', 'Nothing is written here: a number, a band such as 12-14, “over 12”, or a word.');
  if (typed.length > 200) return fail('too-large', 'A reading has at most 200 signs; put the rest into a note.');
  const bare =
    unit !== '' && typed.toLowerCase().endsWith(unit.toLowerCase()) ? typed.slice(0, -unit.length).trim() : typed;
  const over = OVER.exec(bare);
  if (over) return map(parseNumber(over[1]!), (value) => ({ is: 'over', value, unit }));
  const under = UNDER.exec(bare);
  if (under) return map(parseNumber(under[1]!), (value) => ({ is: 'under', value, unit }));
  const about = ABOUT.exec(bare);
  if (about) return map(parseNumber(about[1]!), (value) => bandOf(value, Math.abs(value) * ABOUT_SHARE, unit));
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

function bandOf(value: number, half: number, unit: string): Reading {
  return { is: 'band', low: value - half, high: value + half, unit };
}

function map<T, U>(result: Result<T>, f: (value: T) => U): Result<U> {
  return result.ok ? ok(f(result.value)) : result;
}

function two(match: RegExpExecArray, f: (a: number, b: number) => Result<Reading>): Result<Reading> {
  const a = parseNumber(match[1]!);
  const b = parseNumber(match[2]!);
  if (!a.ok) return a;
  return b.ok ? f(a.value, b.value) : b;
}
