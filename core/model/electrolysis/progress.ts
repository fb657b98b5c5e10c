import { FARADAY } from '#model/cell';
import type { Passed } from './charge.ts';

// How far a cell has come: by the charge that has passed, by what is seen, and whether the two agree.

/** A figure with its standard uncertainty. */
export interface Known {
  readonly value: number;
  readonly sd: number;
}

/** Something that was seen of the product: mol of the reaction that it stands for. */
export interface Seen {
  readonly how: string;
  readonly mol: Known;
  /** Charge that had passed then. */
  readonly passed: Passed;
}

/** Current efficiency, %, as it is known: from books before anything was weighed, then from this cell. */
export interface Efficiency extends Known {
  readonly from: 'the book' | 'this cell';
  /** False where what was seen does not fit the book within its band. */
  readonly agrees: boolean;
}

/** A range as a standard uncertainty: what is published is most of what is met, about ± 2 sd. */
export const sdOfRange = ({ low, high }: { readonly low: number; readonly high: number }): number =>
  Math.max(0.5, (high - low) / 4);

/** C for each mol of reaction. */
export const coulombsFor = (electrons: number): number => electrons * FARADAY;

/** Current efficiency of what was seen, %; null before charge has passed. */
function seenEfficiency({ mol, passed }: Seen, electrons: number): Known | null {
  const charge = 3600 * passed.ampHours;
  if (!(charge > 0)) return null;
  const value = (100 * mol.value * coulombsFor(electrons)) / charge;
  const parts = [mol.value > 0 ? mol.sd / mol.value : 1, passed.sd / passed.ampHours];
  const sd = mol.value > 0 ? value * Math.hypot(...parts) : (100 * mol.sd * coulombsFor(electrons)) / charge;
  return { value, sd: Math.max(0.2, sd) };
}

/** Apart by more than this many sd, two figures do not agree. */
const APART = 2.2;

/**
 * What book and cell say together: each weighed by its certainty. Exact for independent normal errors; that several readings share
 * one ammeter is allowed for by counting the charge’s part once, as a floor.
 */
export function efficiencyFrom(book: Known, seen: readonly Seen[], electrons: number): Efficiency {
  const found = seen.flatMap((each) => seenEfficiency(each, electrons) ?? []);
  if (found.length === 0) return { ...book, from: 'the book', agrees: true };
  let weight = 1 / book.sd ** 2;
  let sum = book.value * weight;
  for (const { value, sd } of found) {
    weight += 1 / sd ** 2;
    sum += value / sd ** 2;
  }
  const shared = Math.min(...seen.map(({ passed }) => (passed.ampHours > 0 ? passed.sd / passed.ampHours : 1)));
  const value = sum / weight;
  const sd = Math.max(Math.sqrt(1 / weight), found.length > 1 ? shared * value : 0);
  const agrees = found.every((each) => Math.abs(each.value - book.value) <= APART * Math.hypot(each.sd, book.sd));
  return { value, sd, from: 'this cell', agrees };
}

export interface ProgressAsked {
  /** mol of reaction that is wanted, and electrons for each. */
  readonly wantedMol: Known;
  readonly electrons: number;
  readonly passed: Passed;
  readonly efficiency: Known;
  readonly seen: readonly Seen[];
  /** A now, and how far that may change till the end, as a share. */
  readonly amps: number;
  readonly drift: number;
}

export interface Progress {
  /** % of what is wanted, by charge. */
  readonly byCharge: Known;
  /** The last that was seen, %, and how; null where nothing was. */
  readonly bySight: (Known & { readonly how: string }) | null;
  /** Whether they agree within their uncertainty; null without both. */
  readonly agree: boolean | null;
  /** A·h that are needed in all, and the hours still to go at this current; null when none flows. */
  readonly neededAh: Known;
  readonly hours: (Known & { readonly low: number; readonly high: number }) | null;
}

/** How far it is, and how long it still takes. */
export function progressOf(asked: ProgressAsked): Progress {
  const { wantedMol, electrons, passed, efficiency, seen, amps, drift } = asked;
  const share = Math.max(0.01, efficiency.value / 100);
  const needed = (wantedMol.value * coulombsFor(electrons)) / 3600 / share;
  const relEff = efficiency.sd / Math.max(0.1, efficiency.value);
  const relWant = wantedMol.value > 0 ? wantedMol.sd / wantedMol.value : 0;
  const neededAh = { value: needed, sd: needed * Math.hypot(relEff, relWant) };
  const done = needed > 0 ? (100 * passed.ampHours) / needed : 100;
  const relPassed = passed.ampHours > 0 ? passed.sd / passed.ampHours : 0;
  const byCharge = { value: done, sd: done * Math.hypot(relEff, relPassed) };
  const last = seen.at(-1);
  const bySight = last
    ? {
        how: last.how,
        value: wantedMol.value > 0 ? (100 * last.mol.value) / wantedMol.value : 100,
        sd: wantedMol.value > 0 ? (100 * last.mol.sd) / wantedMol.value : 0,
      }
    : null;
  // What was seen some time ago is set against the charge of then.
  const then = last && needed > 0 ? (100 * last.passed.ampHours) / needed : done;
  const agree = bySight ? Math.abs(bySight.value - then) <= APART * Math.hypot(bySight.sd, byCharge.sd, 1) : null;
  return { byCharge, bySight, agree, neededAh, hours: hoursLeft(neededAh, passed, { amps, drift }) };
}

function hoursLeft(
  neededAh: Known,
  passed: Passed,
  { amps, drift }: { amps: number; drift: number },
): (Known & { low: number; high: number }) | null {
  if (!(amps > 1e-4)) return null;
  const left = Math.max(0, neededAh.value - passed.ampHours);
  const value = left / amps;
  const sd = Math.hypot(Math.hypot(neededAh.sd, passed.sd) / amps, drift * value);
  return { value, sd, low: Math.max(0, value - 2 * sd), high: value + 2 * sd };
}
