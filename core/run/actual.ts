import { derive, type Figure, given } from '#core/figure';
import type { Content } from '#core/stock';
import { type Bench, cylinderFor } from '#core/vessel';
import {
  applyCorrections,
  type BottleThen,
  type EventBody,
  type Reading,
  type RunEvent,
  readingValue,
} from './event.ts';

/** What really went in at a step. */
export interface ActualCharge {
  readonly eventId: string;
  readonly step: string;
  readonly role: string | null;
  readonly bottleId: string | null;
  readonly reading: Reading;
  readonly stock?: BottleThen | undefined;
}

/** A reading that belongs to a step: a test portion, a final volume. */
export interface StepReading {
  readonly step: string;
  readonly reading: Reading;
}

/** What the events say about amounts: charges and test portions that did not go back, and which steps are done. */
export interface Actuals {
  readonly charges: readonly ActualCharge[];
  readonly withdrawals: readonly StepReading[];
  /** Volumes read at a step: what a solution was made up to. */
  readonly finals: readonly StepReading[];
  readonly finished: ReadonlySet<string>;
  readonly skipped: ReadonlySet<string>;
  /** Solid that did not react, by step, once the step is done. */
  readonly left: ReadonlyMap<string, Reading>;
  /** What went to other batches or came from them, in order. */
  readonly poured: readonly Poured[];
  /** How many times larger the batch was made; undefined when it was not. */
  readonly enlarged: number | undefined;
}

export type Poured = Extract<EventBody, { kind: 'poured-off' | 'poured-in' }>;

export const noActuals: Actuals = {
  charges: [],
  withdrawals: [],
  finals: [],
  finished: new Set(),
  skipped: new Set(),
  left: new Map(),
  poured: [],
  enlarged: undefined,
};

export function actualsOf(events: readonly RunEvent[]): Actuals {
  const charges: ActualCharge[] = [];
  const withdrawals: StepReading[] = [];
  const finals: StepReading[] = [];
  const finished = new Set<string>();
  const skipped = new Set<string>();
  const left = new Map<string, Reading>();
  const poured: Poured[] = [];
  let enlarged: number | undefined;
  for (const { id, body } of applyCorrections(events)) {
    if (body.kind === 'charged') {
      charges.push({ eventId: id, ...body });
      left.delete(body.step);
    }
    if (body.kind === 'read' && body.quantity === 'left') left.set(body.step, body.reading);
    if (body.kind === 'withdrawn' && !body.returned) withdrawals.push(body);
    if (body.kind === 'read' && body.quantity === 'volume') finals.unshift(body);
    if (body.kind === 'poured-off' || body.kind === 'poured-in') poured.push(body);
    if (body.kind === 'enlarged') enlarged = (enlarged ?? 1) * body.factor;
    if (body.kind === 'finished') finished.add(body.step);
    if (body.kind === 'reopened') {
      finished.delete(body.step);
      skipped.delete(body.step);
    }
    if (body.kind === 'step-skipped') skipped.add(body.step);
  }
  return { charges, withdrawals, finals, finished, skipped, left, poured, enlarged };
}

/** Uncertainty of one weighing by difference: the display step taken twice, rectangular (sd = step/√6). */
export function weighingSd(balanceG: number): number {
  return balanceG / Math.sqrt(6);
}

const LEAST = 1e-9;

/**
 * Grams that a charge reading stands for, as a figure: a mass as it is, a volume through the density of what is poured
 * (water when there is no bottle). Undefined for a reading without a number or a volume without a density.
 */
export function chargeMass(
  reading: Reading,
  name: string,
  content: Content | undefined,
  density: Figure,
  bench: Bench,
  planned = false,
): Figure | undefined {
  const found = readingValue(reading);
  if (!found) return undefined;
  // Less than an atom's worth on any balance is nothing; dividing by it would overflow.
  const read = { ...found, value: Math.abs(found.value) < LEAST ? 0 : found.value };
  const band = (own: number, id: string, what: string) => ({
    ...(own > 0 ? { [`${id}:${name}`]: { name: what, effect: own } } : {}),
    ...(read.sd > 0 ? { [`band:${name}`]: { name: `coarse reading of ${name}`, effect: read.sd } } : {}),
  });
  if (read.unit === 'g') {
    const uncertainty = band(weighingSd(bench.balanceG), 'balance', 'balance');
    return given(
      { symbol: 'm', name: `${name}, weighed`, unit: 'g' },
      { value: read.value, uncertainty },
      'weighed at the bench',
    );
  }
  const rho = content ? content.density : density;
  if (read.unit !== 'mL' || !rho) return undefined;
  const uncertainty = band(cylinderFor(read.value, bench.cylindersMl).sdMl, 'cylinder', 'cylinder');
  const V = given(
    { symbol: 'V', name: `${name}, ${planned ? 'as planned' : 'measured'}`, unit: 'mL' },
    { value: read.value, uncertainty },
    'measured at the bench',
  );
  return derive({ symbol: 'm', name: `${name}, as mass`, unit: 'g' }, 'V × ρ', { V, ρ: rho }, (x) => x.V * x.ρ);
}
