import { type AcidBase, acids } from '#core/data';
import type { Grade } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import { substanceById } from '#core/substance';

export interface PhAnswer {
  readonly pH: number;
  /** Rows the answer leans on. */
  readonly sources: readonly { readonly name: string; readonly pKa: number; readonly grade: Grade }[];
}

const PKW_25 = 13.995;
const PKW_DH = 55.8;
const R = 8.314462618e-3;

/**
 * pH of c mol/L (0 to 2) of one substance at a temperature in °C, by charge balance, with activity coefficients after
 * Davies (I to 0.5; held there beyond). Within 0.05 below 0.1 mol/L, 0.15 to 1 mol/L. Open air's carbon dioxide is left out.
 */
export function phOf(substanceId: string, c: number, tempC: number): Result<PhAnswer> {
  const system = substanceById(substanceId)?.acidBase;
  if (!system)
    return fail(
      'unknown-substance',
      `No acid constants are held for ${substanceId.replaceAll('-', ' ')}, so its pH is not computed.`,
    );
  if (!(c >= 0)) return fail('out-of-range', 'A strength is 0 or more.');
  if (c > 2)
    return fail(
      'out-of-range',
      'Above 2 mol/L a pH worked out from constants means little; dilute it in the question.',
    );
  const rows = system.steps.map((name) => {
    const row = acids.find((each) => each.name === name);
    if (!row) throw new Error(`no pKa row ${name}`);
    return row;
  });
  const pKas = rows.map((row) => shifted(row.pKa, row.dH, tempC));
  const pKw = shifted(PKW_25, PKW_DH, tempC);
  let ionic = 0;
  let pH = 7;
  // The ionic strength follows from the answer and the answer from it; a few rounds settle both.
  for (let round = 0; round < 12; round++) {
    const logGamma = davies(ionic);
    pH = bisect((x) => imbalance(system, c, x, pKas, pKw, logGamma));
    ionic = ionicStrength(system, c, pH, pKas, pKw, logGamma);
  }
  return ok({ pH, sources: rows.map(({ name, pKa, grade }) => ({ name, pKa, grade })) });
}

/** van 't Hoff from 25 °C. */
function shifted(pKa: number, dH: number | undefined, tempC: number): number {
  if (dH === undefined) return pKa;
  return pKa + (dH / (Math.LN10 * R)) * (1 / (tempC + 273.15) - 1 / 298.15);
}

/** log10 of the activity coefficient of a singly charged ion (Davies 1962), at 25 °C. */
function davies(ionic: number): number {
  const I = Math.min(ionic, 0.5);
  return -0.509 * (Math.sqrt(I) / (1 + Math.sqrt(I)) - 0.3 * I);
}

/** Shares of the family by protons carried, 0 first; constants taken to concentrations with activity coefficients. */
function shares({ steps, baseCharge }: AcidBase, pH: number, pKas: readonly number[], logGamma: number): number[] {
  const logs = [0];
  for (let j = 1; j <= steps.length; j++) {
    const before = baseCharge + j - 1;
    const after = baseCharge + j;
    // aH = 10^-pH is an activity; the two forms are concentrations.
    logs.push(logs[j - 1]! - pH + pKas[steps.length - j]! + logGamma * (before ** 2 - after ** 2));
  }
  const top = Math.max(...logs);
  const weights = logs.map((x) => 10 ** (x - top));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((x) => x / sum);
}

function imbalance(
  system: AcidBase,
  c: number,
  pH: number,
  pKas: readonly number[],
  pKw: number,
  logGamma: number,
): number {
  const h = 10 ** (-pH - logGamma);
  const oh = 10 ** (pH - pKw - logGamma);
  const family = shares(system, pH, pKas, logGamma).reduce((sum, share, j) => sum + share * (system.baseCharge + j), 0);
  const own = system.steps.length === 0 ? 0 : family;
  return h - oh + c * system.count * own + c * system.spectators;
}

function ionicStrength(
  system: AcidBase,
  c: number,
  pH: number,
  pKas: readonly number[],
  pKw: number,
  logGamma: number,
): number {
  const h = 10 ** (-pH - logGamma);
  const oh = 10 ** (pH - pKw - logGamma);
  const family = shares(system, pH, pKas, logGamma).reduce(
    (sum, share, j) => sum + share * (system.baseCharge + j) ** 2,
    0,
  );
  const own = system.steps.length === 0 ? 0 : family;
  // Spectators are singly charged ions, as many as their charge.
  return (h + oh + c * own + c * Math.abs(system.spectators)) / 2;
}

/** Falls with pH, from protons in excess to hydroxide in excess. */
function bisect(f: (pH: number) => number): number {
  let low = -2;
  let high = 16;
  for (let i = 0; i < 70; i++) {
    const middle = (low + high) / 2;
    if (f(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
