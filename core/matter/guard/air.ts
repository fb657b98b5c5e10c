import { formatNumber } from '#base/units';
import { type AirLimitRow, airLimits } from '#matter/data';
import type { AirKind } from '#matter/gear';
import { type SubstanceId, substanceOf } from '#matter/substance';

/**
 * Changes of air an hour of a small room, rounded from common building practice: doors and windows shut 0.3 to 0.7, one open
 * 2 to 6, a fan in a window 5 to 15. A guide: what a room really does differs by half.
 */
export const AIR_CHANGES: Readonly<Record<AirKind, number>> = {
  closed: 0.5,
  window: 3,
  fan: 8,
  hood: Number.POSITIVE_INFINITY,
  outdoors: Number.POSITIVE_INFINITY,
};

/** The air one works in. */
export interface Air {
  readonly roomM3: number;
  readonly kind: AirKind;
}

/** Gas that comes off: litres at the bench in all, and in how many hours. */
export interface Released {
  readonly id: SubstanceId;
  readonly litres: number;
  readonly hours: number;
}

export function isOpen({ kind }: Air): boolean {
  return kind === 'outdoors' || kind === 'hood';
}

/**
 * Highest share of the room’s air that a gas reaches, if it mixes evenly and comes evenly: r ÷ (n V) × (1 − e^(−n t)). About:
 * near where it comes off it is far more. 0 outdoors and in a hood.
 */
export function shareInRoom({ litres, hours }: Released, air: Air): number {
  if (isOpen(air) || litres <= 0) return 0;
  const changes = AIR_CHANGES[air.kind] * hours;
  const kept = changes < 1e-6 ? 1 : (1 - Math.exp(-changes)) / changes;
  return Math.min(1, (litres / 1000 / air.roomM3) * kept);
}

/** Minutes until a share of the room’s air is reached; null where it never is. */
export function minutesTo(share: number, released: Released, air: Air): number | null {
  if (isOpen(air) || released.litres <= 0 || released.hours <= 0) return null;
  const perHour = released.litres / released.hours / 1000 / air.roomM3;
  const n = AIR_CHANGES[air.kind];
  const steady = perHour / n;
  if (share >= steady) return null;
  const hours = -Math.log(1 - share / steady) / n;
  return hours <= released.hours ? 60 * hours : null;
}

const LIMITS = new Map(airLimits.map((row) => [row.formula, row]));

/** What air may hold of a gas. */
export function limitsOf(id: SubstanceId): AirLimitRow | undefined {
  return LIMITS.get(substanceOf(id).formula);
}

/** Share of the lower flammable limit that a room may reach: a quarter. */
const PART_OF_LOWER = 0.25;
const CO2 = { watch: 0.005, stop: 0.03, refuse: 0.04 } as const;

export interface AirJudgement {
  /** silent: nothing to say; refuse: not planned in this room. */
  readonly verdict: 'silent' | 'watch' | 'stop' | 'refuse';
  /** Share of the air, 0 to 1. */
  readonly share: number;
  /** Share at which it is refused; null where no room matters or no limit is held. */
  readonly limit: number | null;
  /** “In 20 m³, shut, that is about 0.3 % of the air: …”; empty where there is nothing to say. */
  readonly says: string;
}

const KIND_WORDS: Readonly<Record<AirKind, string>> = {
  closed: 'doors and windows shut',
  window: 'a window open',
  fan: 'a fan running',
  hood: 'under the hood',
  outdoors: 'outdoors',
};

/** What a gas does to the air one breathes: graded for carbon dioxide, by a quarter of its lower limit for what burns, by its limits for what poisons. */
export function judgeAir(released: Released, air: Air): AirJudgement {
  const share = shareInRoom(released, air);
  const row = limitsOf(released.id);
  const quiet: AirJudgement = { verdict: 'silent', share, limit: null, says: '' };
  if (isOpen(air) || !row || share <= 0) return quiet;
  const steps = stepsOf(row);
  const reached = steps.find(({ from }) => share >= from);
  const limit = steps.find(({ verdict }) => verdict === 'refuse')?.from ?? null;
  if (!reached) return { ...quiet, limit };
  const short = row.formula === 'CO2' ? CO2.watch : (row.short ?? row.day ?? 0) / 1e6;
  const minutes = row.formula === 'H2' ? null : minutesTo(short, released, air);
  const stay =
    minutes === null
      ? ''
      : ` That is passed about ${minutes < 1 ? 'a minute' : `${formatNumber(minutes, 2)} min`} after it begins.`;
  const says = `In ${formatNumber(air.roomM3, 3)} m³, ${KIND_WORDS[air.kind]}, it comes to about ${inWords(share)}: ${reached.why}.${stay}`;
  return { verdict: reached.verdict, share, limit, says };
}

interface Grade {
  readonly from: number;
  readonly verdict: 'watch' | 'stop' | 'refuse';
  readonly why: string;
}

/** Grades of a gas, worst first. */
function stepsOf({ formula, short, day, kills, burnsPct }: AirLimitRow): readonly Grade[] {
  if (formula === 'CO2')
    return [
      { from: CO2.refuse, verdict: 'refuse', why: 'at 4 % one passes out within minutes' },
      {
        from: CO2.stop,
        verdict: 'stop',
        why: 'at 3 % it drives breath and gives a headache, and a little more is too much',
      },
      { from: CO2.watch, verdict: 'watch', why: 'more than the 0.5 % for a working day. Open door and window' },
    ];
  const grades: Grade[] = [];
  const lower = burnsPct === null ? null : (burnsPct / 100) * PART_OF_LOWER;
  if (lower !== null)
    grades.push({ from: lower, verdict: 'refuse', why: `a quarter of the ${burnsPct} % from which it burns in air` });
  if (kills !== null) grades.push({ from: kills / 1e6, verdict: 'refuse', why: `${kills} ppm is where it kills` });
  const limit = short ?? day;
  if (limit !== null) {
    const of = short === null ? 'a working day' : 'a quarter of an hour';
    grades.push({ from: limit / 1e6, verdict: 'stop', why: `${limit} ppm is the most for ${of} (NIOSH, ACGIH)` });
    grades.push({ from: limit / 1e7, verdict: 'watch', why: `a tenth or more of the ${limit} ppm for ${of}` });
  }
  return grades.sort((a, b) => b.from - a.from);
}

/** “0.3 %” of the air, or “120 ppm”. */
export function inWords(share: number): string {
  return share >= 0.001 ? `${formatNumber(share * 100, 2)} % of the air` : `${formatNumber(share * 1e6, 2)} ppm`;
}
