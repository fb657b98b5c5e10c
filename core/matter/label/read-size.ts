import { type Problem, problem } from '#base/problem';
import { findUnit, formatPlain, parseNumber } from '#base/units';
import type { BottleCard } from '#matter/stock';
import type { Claims } from './claims.ts';

const NUMBER = String.raw`(?:(?<=^|\s)[-\u2212])?\d[\d.,]*(?:e[-+]?\d+)?`;
const SIZE_UNIT = String.raw`(kilograms?|kilos?|kgs?|grams?|gms?|g|mg|lbs?|pounds?|fl\.? ?oz|oz|ounces?|millilit(?:re|er)s?|ml|cl|lit(?:re|er)s?|ltrs?|l|us gal(?:lon)?s?|imp(?:erial)? gal(?:lon)?s?|gal(?:lon)?s?|pints?|quarts?)`;
/** Not begun inside a word or a longer number: of “1e9 g” nine grams must not be read. */
const SIZE = new RegExp(
  String.raw`(?<![\p{L}\d.,-])(?:(\d{1,3})\s*[x×]\s*)?(${NUMBER})\s*${SIZE_UNIT}(?![a-z0-9/])`,
  'giu',
);

/** The first mass or volume written, in g or mL; “2 x 500 mL” is 1 L. */
export function readSize(claims: Claims, problems: Problem[]): BottleCard['size'] | undefined {
  const match = claims.free(SIZE)[0];
  if (!match) return undefined;
  const at = [match.index, match.index + match[0].length] as const;
  const number = parseNumber((match[2] ?? '').replace(/[.,]$/, ''));
  const unit = findUnit((match[3] ?? '').replace('.', '').replace(/(gallon|gal)s$/i, '$1'));
  if (!number.ok) problems.push({ ...number.problem, field: 'size', at });
  if (!number.ok || !unit) return undefined;
  const value = number.value * unit.factor * Number(match[1] ?? 1);
  const inner = unit.dimension === 'mass' ? 'g' : 'mL';
  claims.claim('size', match, bigUnit(value, inner));
  if (value <= 0) {
    problems.push(
      problem('out-of-range', 'An amount is more than 0; write it like 500 g or 1 L.', { field: 'size', at }),
    );
    return undefined;
  }
  if (value > 1e6) {
    problems.push(
      problem('out-of-range', 'More than a tonne is beyond a hobby bench; check the amount.', { field: 'size', at }),
    );
    return undefined;
  }
  return { value, unit: inner };
}

function bigUnit(value: number, unit: 'g' | 'mL'): string {
  return value >= 1000
    ? `${formatPlain(value / 1000, 4)} ${unit === 'g' ? 'kg' : 'L'}`
    : `${formatPlain(value, 4)} ${unit}`;
}
