import { acids } from '#core/data';
import type { Grade } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';

/** A substance in water as an acid-base system: its protonation family, how it starts, and ions that take no part. */
interface AcidBase {
  /** Names of the pKa rows, most acid first; empty for a strong acid or base. */
  readonly steps: readonly string[];
  /** Protons it carries when dissolved, counted from the fully deprotonated end. */
  readonly protons: number;
  /** Charge of the fully deprotonated end. */
  readonly baseCharge: number;
  /** Charge of its other ions (Na+: +1), summed. */
  readonly spectators: number;
  /** Moles of the family in one mole. */
  readonly count: number;
}

const acid = (steps: string[], protons = steps.length): AcidBase => ({
  steps,
  protons,
  baseCharge: -steps.length,
  spectators: 0,
  count: 1,
});
const salt = (steps: string[], protons: number, cation: number, baseCharge = -steps.length, count = 1): AcidBase => ({
  steps,
  protons,
  baseCharge,
  spectators: cation,
  count,
});

const PHOSPHORIC = ['phosphoric acid 1', 'phosphoric acid 2', 'phosphoric acid 3'];
const CARBONIC = ['carbonic acid 1 (CO2(aq) basis)', 'carbonic acid 2'];
const CITRIC = ['citric acid 1', 'citric acid 2', 'citric acid 3'];

/** By substance id. A strong acid's anion and a strong base's cation stand as spectators. */
const SYSTEMS: Readonly<Record<string, AcidBase>> = {
  'hydrochloric-acid': salt([], 0, -1),
  'nitric-acid': salt([], 0, -1),
  'sulfuric-acid': { steps: ['hydrogensulfate'], protons: 1, baseCharge: -2, spectators: 0, count: 1 },
  'sodium-hydrogensulfate': { steps: ['hydrogensulfate'], protons: 1, baseCharge: -2, spectators: 1, count: 1 },
  'potassium-hydrogensulfate': { steps: ['hydrogensulfate'], protons: 1, baseCharge: -2, spectators: 1, count: 1 },
  'sulfamic-acid': acid(['sulfamic acid']),
  'acetic-acid': acid(['acetic acid']),
  'formic-acid': acid(['formic acid']),
  'lactic-acid': acid(['lactic acid']),
  'benzoic-acid': acid(['benzoic acid']),
  'phosphoric-acid': acid(PHOSPHORIC),
  'citric-acid': acid(CITRIC),
  'citric-acid-monohydrate': acid(CITRIC),
  'oxalic-acid': acid(['oxalic acid 1', 'oxalic acid 2']),
  'oxalic-acid-dihydrate': acid(['oxalic acid 1', 'oxalic acid 2']),
  'tartaric-acid': acid(['tartaric acid 1', 'tartaric acid 2']),
  'ascorbic-acid': acid(['ascorbic acid 1', 'ascorbic acid 2']),
  'boric-acid': { steps: ['boric acid'], protons: 1, baseCharge: -1, spectators: 0, count: 1 },
  'potassium-hydrogen-phthalate': salt(['phthalic acid 1', 'phthalic acid 2 (KHP)'], 1, 1),
  ammonia: { steps: ['ammonium'], protons: 0, baseCharge: 0, spectators: 0, count: 1 },
  'ammonium-chloride': { steps: ['ammonium'], protons: 1, baseCharge: 0, spectators: -1, count: 1 },
  'sodium-hydroxide': salt([], 0, 1),
  'potassium-hydroxide': salt([], 0, 1),
  'sodium-acetate': salt(['acetic acid'], 0, 1),
  'sodium-acetate-trihydrate': salt(['acetic acid'], 0, 1),
  'potassium-acetate': salt(['acetic acid'], 0, 1),
  'sodium-formate': salt(['formic acid'], 0, 1),
  'sodium-carbonate': salt(CARBONIC, 0, 2),
  'sodium-carbonate-decahydrate': salt(CARBONIC, 0, 2),
  'sodium-carbonate-monohydrate': salt(CARBONIC, 0, 2),
  'potassium-carbonate': salt(CARBONIC, 0, 2),
  'sodium-hydrogencarbonate': salt(CARBONIC, 1, 1),
  'potassium-hydrogencarbonate': salt(CARBONIC, 1, 1),
  'sodium-dihydrogenphosphate': salt(PHOSPHORIC, 2, 1),
  'potassium-dihydrogenphosphate': salt(PHOSPHORIC, 2, 1),
  'disodium-hydrogenphosphate': salt(PHOSPHORIC, 1, 2),
  'dipotassium-hydrogenphosphate': salt(PHOSPHORIC, 1, 2),
  'sodium-phosphate': salt(PHOSPHORIC, 0, 3),
  'sodium-citrate': salt(CITRIC, 0, 3),
  'sodium-chloride': salt([], 0, 0),
  'potassium-chloride': salt([], 0, 0),
};

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
  const system = SYSTEMS[substanceId];
  if (!system)
    return fail(
      'unknown-substance',
      `No acid constants are held for ${substanceId.replaceAll('-', ' ')}, so its pH is not reckoned.`,
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
