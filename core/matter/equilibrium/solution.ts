import type { Grade } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { type AcidBase, acids } from '#matter/data';
import { substanceById } from '#matter/substance';

/** A family of forms that differ by protons alone: H3A, H2A−, HA2−, A3−. */
export interface Family {
  readonly name: string;
  /** Most acid first, at the solution's temperature and zero ionic strength. */
  readonly pKas: readonly number[];
  /** Charge of the form without protons. */
  readonly baseCharge: number;
  /** mol/L of all its forms together. */
  readonly molPerL: number;
}

/** Water with families in it and ions that take no part. */
export interface Solution {
  readonly families: readonly Family[];
  /** Charge of the ions that take no part, summed, mol/L. */
  readonly spectatorCharge: number;
  /** Their Σ c z², mol/L; singly charged ones count once. */
  readonly spectatorStrength: number;
  readonly pKw: number;
}

export interface Dissolved {
  readonly substanceId: string;
  readonly molPerL: number;
}

/** A pKa row an answer leans on. */
export interface Constant {
  readonly name: string;
  readonly pKa: number;
  readonly grade: Grade;
}

/** Ion product of water at zero ionic strength, and its heat, kJ/mol. */
const PKW_25 = 13.995;
const PKW_DH = 55.8;
/** kJ/(mol K). */
const R = 8.314462618e-3;

/** The ion product of water, pKw, at °C: within 0.01 from 15 to 35 °C, 0.05 at 0 and 60 (van 't Hoff, heat taken as constant). */
export function pKwAt(tempC: number): number {
  return shifted(PKW_25, PKW_DH, tempC);
}

/** What stands in solution when these are dissolved, in mol/L of the whole, at a temperature in °C. Refuses what holds no acid-base data. */
export function solutionOf(dissolved: readonly Dissolved[], tempC: number): Result<Solution> {
  const families: Family[] = [];
  let spectatorCharge = 0;
  let spectatorStrength = 0;
  for (const { substanceId, molPerL } of dissolved) {
    if (!(molPerL >= 0 && Number.isFinite(molPerL))) return fail('out-of-range', 'A strength is 0 or more.');
    if (substanceId === 'water') continue;
    const system = systemOf(substanceId);
    if (!system.ok) return system;
    const { steps, baseCharge, count, spectators } = system.value;
    if (steps.length > 0)
      families.push({ name: substanceId, pKas: pKasOf(steps, tempC), baseCharge, molPerL: molPerL * count });
    spectatorCharge += molPerL * spectators;
    spectatorStrength += molPerL * (spectators === 0 && steps.length === 0 ? NEUTRAL_SALT : Math.abs(spectators));
  }
  return ok({ families, spectatorCharge, spectatorStrength, pKw: pKwAt(tempC) });
}

/** A salt whose ions take no part is counted as one of single charges: two ions a formula. */
const NEUTRAL_SALT = 2;

/** The pKa rows that answers about these lean on. */
export function constantsOf(substanceIds: readonly string[]): readonly Constant[] {
  const names = new Set(substanceIds.flatMap((id) => substanceById(id)?.acidBase?.steps ?? []));
  return [...names].map((name) => {
    const { pKa, grade } = rowOf(name);
    return { name, pKa, grade };
  });
}

/** How a substance behaves as acid or base in water. */
export function systemOf(substanceId: string): Result<AcidBase> {
  const system = substanceById(substanceId)?.acidBase;
  return system
    ? ok(system)
    : fail(
        'unknown-substance',
        `No acid constants are held for ${substanceById(substanceId)?.name ?? substanceId}, so its pH is not computed.`,
      );
}

function pKasOf(steps: readonly string[], tempC: number): number[] {
  return steps.map((name) => {
    const { pKa, dH } = rowOf(name);
    return dH === undefined ? pKa : shifted(pKa, dH, tempC);
  });
}

function rowOf(name: string) {
  const row = acids.find((each) => each.name === name);
  if (!row) throw new Error(`no pKa row ${name}`);
  return row;
}

/** van 't Hoff from 25 °C. */
function shifted(pKa: number, dH: number, tempC: number): number {
  return pKa + (dH / (Math.LN10 * R)) * (1 / (tempC + 273.15) - 1 / 298.15);
}

interface Pour {
  readonly of: Solution;
  readonly ml: number;
}

/** Two solutions poured together: amounts by volume, as if volumes added. */
export function pooled({ of: a, ml: aMl }: Pour, { of: b, ml: bMl }: Pour): Solution {
  const total = aMl + bMl;
  const share = total > 0 ? aMl / total : 1;
  const families = new Map<string, Family>();
  for (const [{ families: of }, part] of [[a, share] as const, [b, 1 - share] as const]) {
    for (const each of of) {
      // The same family from two substances (soda and bicarbonate) is one.
      const key = `${each.pKas.join()}|${each.baseCharge}`;
      const before = families.get(key)?.molPerL ?? 0;
      families.set(key, { ...each, molPerL: before + each.molPerL * part });
    }
  }
  const mixed = (x: number, y: number) => x * share + y * (1 - share);
  return {
    families: [...families.values()],
    spectatorCharge: mixed(a.spectatorCharge, b.spectatorCharge),
    spectatorStrength: mixed(a.spectatorStrength, b.spectatorStrength),
    pKw: a.pKw,
  };
}
