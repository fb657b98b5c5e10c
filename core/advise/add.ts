import { nextPortion, type PortionAdvice, type StopBand, stopBand, unreacted } from '#core/add';
import type { Figure } from '#core/figure';
import { type Addition, excessPrice, readingValue, type Sheet, type Stage } from '#core/run';
import { formatNumber } from '#core/units';
import { type Bench, fitVessel } from '#core/vessel';
import { lastRead, type TimedRead } from './timed-read.ts';

export interface AddAdvice {
  readonly name: string;
  readonly role: string;
  readonly bottleId: string | null;
  readonly plannedG: number;
  readonly inG: number;
  readonly band: StopBand;
  readonly enough: Figure;
  /** What takes it now, and from how many grams on. */
  readonly stages: readonly {
    readonly takes: string;
    readonly fromG: number;
    readonly toG: number;
    readonly gasL: number;
  }[];
  readonly next: PortionAdvice;
  readonly endpoint: string;
  /** What a look or a test tells: not yet, and enough. */
  readonly signs: readonly [string, string];
  /** Whether test paper and foam tell anything here. */
  readonly byPaper: boolean;
  readonly foams: boolean;
  /** g in a mL, for what is measured by volume; null for what is weighed. */
  readonly gPerMl: number | null;
  /** What it costs to go too far, or to have gone too far. */
  readonly price: string;
}

/** The next portion of an addition, and where it stands against its endpoint. */
export function addAdvice(
  sheet: Sheet,
  bench: Bench,
  addition: Addition,
  portions: readonly { mass: Figure; at: number }[],
  reads: readonly TimedRead[],
  now: number,
  where: { ceilingC: number | null; outdoors: boolean; bottleId: string | null },
): AddAdvice {
  const { adding, plannedG, enough, stages } = addition;
  const inG = portions.reduce((sum, { mass }) => sum + mass.value, 0);
  const stage = stageAt(stages, inG);
  const vessel = sheet.vessel?.vessel ?? fitVessel(bench.vessels, addition.liquidMl, 0)?.vessel;
  const pending = unreacted(
    portions.map(({ mass, at }) => ({ grams: mass.value, minutesAgo: (now - at) / 60_000 })),
    adding.halfLifeMin,
  );
  const band = stopBand(enough, inG);
  const next = nextPortion({
    leftG: Math.max(plannedG, band.toG) - inG,
    plannedG,
    unreactedG: pending,
    gasMlPerG: 1000 * (stage?.gasLPerG ?? 0),
    kJPerG: stage?.kJPerG ?? null,
    halfLifeMin: adding.halfLifeMin,
    foamPerGas: learnedFoam(addition, portions, reads) ?? adding.foamPerGas,
    foamNowMl: lastRead(reads, 'foam', now - 3 * 60_000),
    capacityMl: vessel?.capacityMl ?? 0,
    liquidMl: addition.liquidMl + inG * 0.5,
    heatCapacityJPerK: addition.heatCapacityJPerK + inG * 3,
    tempC: lastRead(reads, 'temperature', 0) ?? bench.tempC,
    airC: bench.tempC,
    ceilingC: where.ceilingC ?? 60,
    roomM3: where.outdoors ? null : bench.roomM3,
    gasLimitPct: stage?.gasId === 'hydrogen' ? 1 : 0.5,
    solidG: addition.solidG * Math.min(1, inG / Math.max(1e-9, enough.value)),
    stepG: Math.max(bench.balanceG, 0.1),
  });
  let fromG = 0;
  const stretches = stages.map(({ takes, grams, gasLPerG }) => {
    const stretch = { takes, fromG, toG: fromG + grams.value, gasL: grams.value * gasLPerG };
    fromG = stretch.toG;
    return stretch;
  });
  return {
    name: addition.name,
    role: addition.role,
    bottleId: where.bottleId,
    plannedG,
    inG,
    band,
    enough,
    stages: stretches,
    next,
    endpoint: adding.endpoint,
    signs: adding.signs ?? FIZZ,
    byPaper: adding.byPaper ?? false,
    foams: adding.foamPerGas > 0,
    gPerMl: densityOf(sheet, addition),
    price: priceOf(addition, band),
  };
}

const FIZZ = ['still fizzes', 'no longer fizzes'] as const;

/** g in a mL of what is poured by volume. */
function densityOf(sheet: Sheet, { role }: Addition): number | null {
  const dose = sheet.charges.find((line) => line.role === role)?.dose;
  return dose?.take.unit === 'mL' && dose.volume && dose.volume.value > 0 ? dose.mass.value / dose.volume.value : null;
}

/** What was left over costs, what is over by now, and what going too far would. */
function priceOf(addition: Addition, band: StopBand): string {
  const over = band.place === 'past' ? `${formatNumber(band.overG, 2)} g of ${addition.name} are over.` : '';
  return [excessPrice(addition), over, addition.adding.overshoot].filter((each) => each !== '').join(' ');
}

/** The stretch in which the next gram falls; the last one when all are behind. */
function stageAt(stages: readonly Stage[], inG: number): Stage | undefined {
  let end = 0;
  for (const stage of stages) {
    end += stage.grams.value;
    if (inG < end) return stage;
  }
  return stages.at(-1);
}

/** mL of foam for each mL of gas, from the highest foam that was read against the portion before it. */
function learnedFoam(
  { stages }: Addition,
  portions: readonly { mass: Figure; at: number }[],
  reads: readonly TimedRead[],
): number | undefined {
  let most: number | undefined;
  for (const { body, at } of reads) {
    const foam = body.quantity === 'foam' ? readingValue(body.reading)?.value : undefined;
    const before = portions.filter((each) => each.at <= at).at(-1);
    if (foam === undefined || !before) continue;
    const inBefore = portions.filter((each) => each.at < before.at).reduce((sum, { mass }) => sum + mass.value, 0);
    const gasMl = 1000 * before.mass.value * (stageAt(stages, inBefore)?.gasLPerG ?? 0);
    if (gasMl > 0) most = Math.max(most ?? 0, foam / gasMl);
  }
  return most;
}
