import type { Amounts } from './liquid.ts';
import { at } from './species.ts';

// What meets in a liquid reacts at once and to its end, in the order of how firmly: protons with hydroxide, then with what is
// solid, carbonate, hydrogencarbonate; hydroxide with hydrogencarbonate, then with copper, zinc, iron and magnesium; copper and
// zinc with carbonate. Atoms and charge are kept exactly. Carbon dioxide leaves.

const H = at['H+'];
const OH = at['OH-'];
const W = at.H2O;
const HCO3 = at['HCO3-'];
const CO3 = at['CO3 2-'];

/** Metal ions that alkali throws down, firmest first, and what as. */
const HYDROXIDES = [
  [at['Cu2+'], at['Cu(OH)2']],
  [at['Zn2+'], at['Zn(OH)2']],
  [at['Fe2+'], at['Fe(OH)2']],
  [at['Mg2+'], at['Mg(OH)2']],
] as const;
const FIRMEST_LAST = [...HYDROXIDES].reverse();

export function settle(n: Amounts): void {
  neutralise(n);
  bleach(n);
  carbonates(n);
  if (n[H] > 0) takeUpAcid(n);
  if (n[OH] > 0) takeUpAlkali(n);
  // A firmer base gives way to a weaker one: copper takes the hydroxide of magnesium.
  exchange(n);
}

function neutralise(n: Amounts): void {
  const x = Math.min(n[H], n[OH]);
  n[H] -= x;
  n[OH] -= x;
  n[W] += x;
}

/** Chlorine in alkali: Cl2 + 2 OH- -> ClO- + Cl- + H2O. */
function bleach(n: Amounts): void {
  const x = Math.min(n[at.Cl2], n[OH] / 2);
  n[at.Cl2] -= x;
  n[OH] -= 2 * x;
  n[at['ClO-']] += x;
  n[at['Cl-']] += x;
  n[W] += x;
}

/** Copper and zinc with carbonate; hydrogencarbonate gives up carbon dioxide for it. */
function carbonates(n: Amounts): void {
  const zinc = Math.min(n[at['Zn2+']], n[CO3]);
  n[at['Zn2+']] -= zinc;
  n[CO3] -= zinc;
  n[at.ZnCO3] += zinc;
  // Zn2+ + 2 HCO3- -> ZnCO3 + CO2 + H2O
  const zincSlow = Math.min(n[at['Zn2+']], n[HCO3] / 2);
  n[at['Zn2+']] -= zincSlow;
  n[HCO3] -= 2 * zincSlow;
  n[at.ZnCO3] += zincSlow;
  n[at.CO2] += zincSlow;
  n[W] += zincSlow;
  // 2 Cu2+ + CO3 2- + 2 OH- -> Cu2CO3(OH)2
  const strong = Math.min(n[at['Cu2+']] / 2, n[CO3], n[OH] / 2);
  n[at['Cu2+']] -= 2 * strong;
  n[CO3] -= strong;
  n[OH] -= 2 * strong;
  n[at['Cu2CO3(OH)2']] += strong;
  // 2 Cu2+ + 2 CO3 2- + H2O -> Cu2CO3(OH)2 + CO2
  const both = Math.min(n[at['Cu2+']] / 2, n[CO3] / 2, n[W]);
  n[at['Cu2+']] -= 2 * both;
  n[CO3] -= 2 * both;
  n[W] -= both;
  n[at['Cu2CO3(OH)2']] += both;
  n[at.CO2] += both;
  // 2 Cu2+ + 4 HCO3- -> Cu2CO3(OH)2 + 3 CO2 + H2O
  const weak = Math.min(n[at['Cu2+']] / 2, n[HCO3] / 4);
  n[at['Cu2+']] -= 2 * weak;
  n[HCO3] -= 4 * weak;
  n[at['Cu2CO3(OH)2']] += weak;
  n[at.CO2] += 3 * weak;
  n[W] += weak;
}

function takeUpAcid(n: Amounts): void {
  const one = Math.min(n[H], n[CO3]);
  n[H] -= one;
  n[CO3] -= one;
  n[HCO3] += one;
  const gas = Math.min(n[H], n[HCO3]);
  n[H] -= gas;
  n[HCO3] -= gas;
  n[at.CO2] += gas;
  n[W] += gas;
  // Hypochlorite with acid and chloride gives chlorine.
  const freed = Math.min(n[H] / 2, n[at['ClO-']], n[at['Cl-']]);
  n[H] -= 2 * freed;
  n[at['ClO-']] -= freed;
  n[at['Cl-']] -= freed;
  n[at.Cl2] += freed;
  n[W] += freed;
  for (const [metal, solid] of FIRMEST_LAST) {
    const x = Math.min(n[H] / 2, n[solid]);
    n[H] -= 2 * x;
    n[solid] -= x;
    n[metal] += x;
    n[W] += 2 * x;
  }
  const malachite = Math.min(n[H] / 4, n[at['Cu2CO3(OH)2']]);
  n[H] -= 4 * malachite;
  n[at['Cu2CO3(OH)2']] -= malachite;
  n[at['Cu2+']] += 2 * malachite;
  n[at.CO2] += malachite;
  n[W] += 3 * malachite;
  const zinc = Math.min(n[H] / 2, n[at.ZnCO3]);
  n[H] -= 2 * zinc;
  n[at.ZnCO3] -= zinc;
  n[at['Zn2+']] += zinc;
  n[at.CO2] += zinc;
  n[W] += zinc;
}

function takeUpAlkali(n: Amounts): void {
  const x = Math.min(n[OH], n[HCO3]);
  n[OH] -= x;
  n[HCO3] -= x;
  n[CO3] += x;
  n[W] += x;
  for (const [metal, solid] of HYDROXIDES) {
    const y = Math.min(n[OH] / 2, n[metal]);
    n[OH] -= 2 * y;
    n[metal] -= y;
    n[solid] += y;
  }
}

function exchange(n: Amounts): void {
  const mg = at['Mg(OH)2'];
  for (const [metal, solid] of HYDROXIDES.slice(0, 3)) {
    const x = Math.min(n[metal], n[mg]);
    n[metal] -= x;
    n[mg] -= x;
    n[solid] += x;
    n[at['Mg2+']] += x;
  }
}

/** pK of hydrogencarbonate in salt of about 1 mol/L, of hydrogensulfate, of water; pH of copper, zinc and magnesium salts. */
const PK_CARBONATE = 9.6;
const PK_BISULFATE = 1.2;
const PK_WATER = 13.8;

/** pH by what is left over; about ± 0.4. */
export function pHOf(c: Amounts, n: Amounts): number {
  if (c[H] > 1e-7) return -Math.log10(freeProtons(c[H], c[at['SO4 2-']]));
  if (c[OH] > 1e-6) return Math.min(14.5, PK_WATER + Math.log10(c[OH]));
  if (n[at['Mg(OH)2']] > 1e-9) return 10.3 - 0.5 * Math.log10(Math.max(0.01, c[at['Mg2+']])) - 0.5;
  const [a, b] = [c[CO3], c[HCO3]];
  if (a > 1e-6 && b > 1e-6) return Math.min(11.5, Math.max(8.3, PK_CARBONATE + Math.log10(a / b)));
  if (a > 1e-6) return 11.5;
  if (b > 1e-6) return 8.3;
  if (c[at['Cu2+']] > 1e-6) return 4.2 - 0.4 * Math.log10(Math.max(0.01, c[at['Cu2+']]));
  if (c[at['Zn2+']] > 1e-6) return 5.2;
  return 7;
}

/** mol/L of protons that sulfate has not taken. */
function freeProtons(h: number, sulfate: number): number {
  const K = 10 ** -PK_BISULFATE;
  // x of bisulfate: (h − x)(s − x) = K x
  const b = h + sulfate + K;
  const x = (b - Math.sqrt(Math.max(0, b * b - 4 * h * sulfate))) / 2;
  return Math.max(1e-7, h - x);
}
