import { fail, ok, type Result } from '#base/problem';
import { parseNumber } from './number.ts';
import { type Dimension, findUnit, unitNames } from './unit.ts';

export interface Quantity {
  /** In the inner unit of its dimension: g, mL, mol, s, °C, hPa. */
  readonly value: number;
  readonly dimension: Dimension;
  /** As typed, tidied: “1.5 L”. */
  readonly unit: string;
  readonly typed: number;
}

/**
 * “1.5 L”, “1,5L”, “343 ml”, “48.1 g”, “2 lb”: a number with a unit of one of the wanted dimensions.
 * Refuses a missing or strange unit, and an amount below zero, naming what would fit.
 */
export function parseQuantity(text: string, wanted: readonly Dimension[]): Result<Quantity> {
  const shape = /^\s*([+\-\u2212]?[\d.,'\s]*\d[.,]?(?:e[+-]?\d+)?)\s*([^\d\s][^\d]*\d?)?\s*$/i.exec(text);
  const fitting = wanted.flatMap((dimension) => unitNames(dimension)).slice(0, 6);
  if (!shape) {
    return text.trim() === ''
      ? fail('missing-part', `Nothing is written here; an amount is needed, such as 250 ${fitting[0]}.`)
      : fail('not-a-number', `“${text.trim().slice(0, 40)}” is not an amount; write it like 250 ${fitting[0]}.`);
  }
  const number = parseNumber(shape[1] ?? '');
  if (!number.ok) return number;
  const unitText = shape[2]?.trim() ?? '';
  if (unitText === '')
    return fail('missing-part', `A unit is missing after ${number.value}: one of ${fitting.join(', ')}.`);
  const unit = findUnit(unitText);
  if (!unit) return fail('unknown-unit', `“${unitText}” is not a unit known here; use one of ${fitting.join(', ')}.`);
  if (!wanted.includes(unit.dimension)) {
    return fail(
      'unit-does-not-fit',
      `${unit.name} measures ${unit.dimension}; here one of ${fitting.join(', ')} fits.`,
    );
  }
  if (number.value < 0 && unit.dimension !== 'temperature') {
    return fail('out-of-range', `${number.value} ${unit.name} is below zero; an amount is 0 or more.`);
  }
  return ok({ value: number.value * unit.factor, dimension: unit.dimension, unit: unit.name, typed: number.value });
}
