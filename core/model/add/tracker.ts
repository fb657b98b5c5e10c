import { formatNumber } from '#base/units';

/** How far a reaction has come by one witness, % of the planned extent; one-sided where a side is null. */
export interface ExtentEstimate {
  readonly by: 'dose' | 'gas' | 'mass' | 'heat' | 'pH' | 'sight' | 'current';
  readonly pct: number | null;
  /** 95 % band; null is open. */
  readonly lowPct: number | null;
  readonly highPct: number | null;
}

export interface ExtentReport {
  readonly estimates: readonly ExtentEstimate[];
  readonly pct: number | null;
  readonly lowPct: number | null;
  readonly highPct: number | null;
  /** Said when the witnesses do not agree; empty when they do. */
  readonly disagreement: string;
}

interface Read {
  readonly value: number;
  readonly sd: number;
}

/** By what went in against what the reactions need, both g; the uncertainty is of the strengths on both labels. */
export function extentByDose(inG: Read, enough: Read): ExtentEstimate {
  if (!(enough.value > 0)) return { by: 'dose', pct: null, lowPct: null, highPct: null };
  const share = inG.value / enough.value;
  const sd = share * Math.hypot(share > 1e-9 ? inG.sd / inG.value : 0, enough.sd / enough.value);
  return within('dose', 100 * Math.min(1, share), 100 * sd);
}

/** By the gas caught, L, against all that should come. Some stays dissolved or escapes: at the low end 10 % more. */
export function extentByGas(litres: Read, allLitres: number): ExtentEstimate {
  const pct = (100 * litres.value) / allLitres;
  const band = within('gas', pct, (100 * litres.sd) / allLitres + pct * 0.03);
  return { ...band, highPct: band.highPct === null ? null : band.highPct + 0.1 * pct };
}

/** By mass lost as gas, or gained by what absorbs it, g against all that should come. Spray and steam count too: 3 % either way. */
export function extentByMass(grams: Read, allGrams: number): ExtentEstimate {
  const pct = (100 * grams.value) / allGrams;
  return within('mass', pct, (100 * grams.sd) / allGrams + pct * 0.015);
}

/** By the rise of temperature against the adiabatic one: heat gets away, so it is at least so far. */
export function extentByHeat(riseK: Read, allK: number): ExtentEstimate {
  const pct = (100 * riseK.value) / allK;
  return { by: 'heat', pct: null, lowPct: Math.max(0, pct - (200 * riseK.sd) / allK - 0.1 * pct), highPct: null };
}

/** By the fall of the current at a steady voltage: carried by the ion that is used up, it goes as what is left. About. */
export function extentByCurrent(now: Read, start: number): ExtentEstimate {
  const pct = 100 * Math.max(0, 1 - now.value / start);
  return within('current', pct, 5 + (100 * now.sd) / start);
}

/** By pH paper, a colour or the fizzing: before the endpoint or at it. */
export function extentBySight(by: 'pH' | 'sight', reached: boolean): ExtentEstimate {
  return reached ? { by, pct: null, lowPct: 98, highPct: null } : { by, pct: null, lowPct: null, highPct: 99.5 };
}

function within(by: ExtentEstimate['by'], pct: number, sd: number): ExtentEstimate {
  return { by, pct, lowPct: Math.max(0, pct - 2 * sd), highPct: pct + 2 * sd };
}

/** Two-sided witnesses weighted by their bands, one-sided ones as bounds; a sentence when they do not agree. */
export function combineExtents(estimates: readonly ExtentEstimate[]): ExtentReport {
  const sided = estimates.flatMap(({ by, pct, lowPct, highPct }) =>
    pct !== null && lowPct !== null && highPct !== null ? [{ by, pct, sd: Math.max(0.5, (highPct - lowPct) / 4) }] : [],
  );
  const weight = sided.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  const floor = Math.max(0, ...estimates.map(({ pct, lowPct }) => (pct === null ? (lowPct ?? 0) : 0)));
  const roof = Math.min(...estimates.map(({ pct, highPct }) => (pct === null ? (highPct ?? 100) : 100)), 100);
  const disagreement = disagreementOf(sided, floor, roof);
  if (weight === 0) {
    const open = floor === 0 && roof >= 100;
    return { estimates, pct: null, lowPct: open ? null : floor, highPct: open ? null : roof, disagreement };
  }
  const mean = sided.reduce((sum, { pct, sd }) => sum + pct / sd ** 2, 0) / weight;
  // Witnesses that scatter more than their bands widen the common one (Birge ratio).
  const chi = sided.reduce((sum, { pct, sd }) => sum + ((pct - mean) / sd) ** 2, 0);
  const birge = sided.length > 1 ? Math.max(1, Math.sqrt(chi / (sided.length - 1))) : 1;
  const sd = birge / Math.sqrt(weight);
  const clamp = (pct: number) => Math.min(roof, Math.max(floor, pct));
  return { estimates, pct: clamp(mean), lowPct: clamp(mean - 2 * sd), highPct: clamp(mean + 2 * sd), disagreement };
}

const NAMES: Readonly<Record<ExtentEstimate['by'], string>> = {
  dose: 'dose',
  gas: 'gas',
  mass: 'mass',
  heat: 'temperature',
  pH: 'pH',
  sight: 'what was seen',
  current: 'current',
};

function disagreementOf(
  sided: readonly { by: ExtentEstimate['by']; pct: number; sd: number }[],
  floor: number,
  roof: number,
): string {
  const sorted = [...sided].sort((a, b) => a.pct - b.pct);
  const low = sorted[0];
  const high = sorted.at(-1);
  if (low && high && low !== high && high.pct - low.pct > 2 * Math.hypot(low.sd, high.sd))
    return `${NAMES[low.by]} says ${formatNumber(low.pct, 2)} %, ${NAMES[high.by]} says ${formatNumber(high.pct, 2)} %: ${why(low.by, high.by)}`;
  if (high && high.pct + 2 * high.sd < floor)
    return `${NAMES[high.by]} says ${formatNumber(high.pct, 2)} %, yet the endpoint is there: what is in the vessel is less, or what was added stronger, than its label.`;
  if (low && low.pct - 2 * low.sd > roof)
    return `${NAMES[low.by]} says ${formatNumber(low.pct, 2)} %, yet the endpoint is not there: what was added is weaker than its label, or more was in the vessel.`;
  return '';
}

function why(low: ExtentEstimate['by'], high: ExtentEstimate['by']): string {
  if ((low === 'gas' || low === 'mass') && high === 'dose')
    return 'what was added is weaker than its label, or gas was lost.';
  if (low === 'dose') return 'what was added is stronger than its label, or the readings count something else too.';
  return 'one of them counts something else: check both.';
}
