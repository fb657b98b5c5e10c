import { itemAt } from '#base/lookup';
// Titration by EDTA: the constant that counts at a pH, and how sharply the free metal falls at the end.

/** log K of MY at I = 0.1, 20 to 25 °C; pKa of H6Y2+ to HY3− (NIST critically selected constants, 46). */
export const edtaConstants = { Ca: 10.65, Mg: 8.79, Zn: 16.44, Cu: 18.7 } as const;
export type EdtaMetal = keyof typeof edtaConstants;
const EDTA_PKAS = [0, 1.5, 2.0, 2.69, 6.13, 10.37];

/** log cumulative constants of ammine complexes, I = 0.1 (NIST): what holds the metal back from EDTA. */
const AMMINES: Readonly<Record<EdtaMetal, readonly number[]>> = {
  Ca: [],
  Mg: [],
  Zn: [2.21, 4.5, 6.86, 8.89],
  Cu: [4.04, 7.47, 10.27, 11.75],
};

/** log10 of how much EDTA's protons weaken it at a pH: 0.5 at pH 10, 6.6 at pH 5. */
export function edtaProtonation(pH: number): number {
  let sum = 1;
  let log = 0;
  for (let j = EDTA_PKAS.length - 1; j >= 0; j--) {
    log += itemAt(EDTA_PKAS, j) - pH;
    sum += 10 ** log;
  }
  return Math.log10(sum);
}

/** The constant that counts: at a pH, beside free ammonia (mol/L). */
export function conditionalLogK(metal: EdtaMetal, pH: number, ammoniaMolPerL = 0): number {
  const held = AMMINES[metal].reduce((sum, log, j) => sum + 10 ** log * ammoniaMolPerL ** (j + 1), 1);
  return edtaConstants[metal] - edtaProtonation(pH) - Math.log10(held);
}

/** −log of the metal not bound to EDTA after a share of the equivalent is added; `molPerL` of metal in the flask at the end. */
export function freeMetal(logK: number, molPerL: number, share: number): number {
  const K = 10 ** logK;
  const Y = molPerL * share;
  // K = MY ÷ (M × (Y − MY)) with M = c − MY: a quadratic in M with one positive root.
  const b = Y - molPerL + 1 / K;
  const c = -molPerL / K;
  const root = Math.sqrt(b * b - 4 * c);
  const M = b > 0 ? (-2 * c) / (b + root) : (-b + root) / 2;
  return -Math.log10(M);
}

/** The rise of pM from 1 % before the end to 1 % after it: sharp to the eye from about 1.5. */
export function edtaJump(logK: number, molPerL: number): number {
  return freeMetal(logK, molPerL, 1.01) - freeMetal(logK, molPerL, 0.99);
}
