import { type IndicatorRow, indicators } from '#matter/data';
import { phAt, type Titration, titreAt } from './curve.ts';

/** An acid-base indicator: colourless or coloured below `low`, the other colour above `high`. */
export interface Indicator extends IndicatorRow {
  readonly low: number;
  readonly high: number;
}

/** pH units; a band wider than this names no end. */
const WIDEST = 2.1;
/** Rows that are no colour, or that are not to be made. */
const SMELL: ReadonlySet<string> = new Set(['onion_smell', 'pH_strips', 'pH_meter', 'congo_red']);

/** Those that turn over a band of pH narrow enough to end a titration by. */
export const acidBaseIndicators: readonly Indicator[] = indicators.filter(
  (each): each is Indicator =>
    each.kind === 'acid-base' &&
    each.low !== null &&
    each.high !== null &&
    each.high - each.low <= WIDEST &&
    !SMELL.has(each.id),
);

export interface IndicatorError {
  readonly indicator: Indicator;
  /** The pH at which one stops: where it has just taken its second colour. */
  readonly stopsAt: number;
  /** Titre at the sign less titre at the equivalence point, as a share of the latter; null where the sign does not come. */
  readonly relative: number | null;
  /** Half of how much the titre changes while the colour does, as a share of it. */
  readonly blur: number | null;
}

/**
 * What ending at an indicator does to a titre, from the computed curve. One stops when the new colour is first plain to see: about
 * a third of the way through the band, seen from the side one comes from (grade C: eyes differ; `blur` is the rest of the band).
 */
export function indicatorError(titration: Titration, equivalenceMl: number, indicator: Indicator): IndicatorError {
  const { low, high } = indicator;
  const range = [0, equivalenceMl * BEYOND] as const;
  const stopsAt = isRising(titration, equivalenceMl) ? low + SEEN * (high - low) : high - SEEN * (high - low);
  const at = titreAt(titration, stopsAt, range);
  const first = titreAt(titration, low, range);
  const last = titreAt(titration, high, range);
  return {
    indicator,
    stopsAt,
    relative: at === null ? null : at / equivalenceMl - 1,
    blur: first === null || last === null ? null : Math.abs(last - first) / 2 / equivalenceMl,
  };
}

const SEEN = 0.3;
/** How far past equivalence a sign is still looked for. */
const BEYOND = 1.6;

/** Whether alkali is being added. */
export function isRising(titration: Titration, equivalenceMl: number): boolean {
  const start = phAt(titration, 0);
  const end = phAt(titration, equivalenceMl * BEYOND);
  return start.outcome === 'solved' && end.outcome === 'solved' && end.pH > start.pH;
}

/** Indicators for an end point, best first: the smallest error with its blur. Those whose sign does not come are left out. */
export function indicatorsFor(titration: Titration, equivalenceMl: number): readonly IndicatorError[] {
  const size = ({ relative, blur }: IndicatorError) => Math.abs(relative ?? 9) + (blur ?? 0) / 2;
  return acidBaseIndicators
    .map((each) => indicatorError(titration, equivalenceMl, each))
    .filter(({ relative }) => relative !== null)
    .sort((a, b) => size(a) - size(b));
}
