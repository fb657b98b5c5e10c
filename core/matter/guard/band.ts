import { type HazardRow, hazards } from '#matter/data';
import { substanceById } from '#matter/substance';

const HAZARDS = new Map(hazards.map((row) => [row.id, row]));

/** The hazard rows of a substance, weakest band last. */
export function hazardsOf(substanceId: string): readonly HazardRow[] {
  return (substanceById(substanceId)?.hazards ?? []).flatMap((id) => HAZARDS.get(id) ?? []);
}

/** The hazard row whose strength band holds the mass %: one that names a strength, else the one of the pure substance. */
export function bandOf(substanceId: string, pct: number): HazardRow | undefined {
  const rows = hazardsOf(substanceId);
  return (
    rows.find(({ band }) => inBand(band, pct) === true) ??
    rows.find(({ band }) => inBand(band, pct) === null) ??
    rows.find(({ band }) => upperEnd(band) === pct)
  );
}

/** A range ends where the next begins; where the next begins above it (“> 70 %”), its very end is still its own. */
const upperEnd = (band: string): number => Number(/to ([\d.]+) %/.exec(band)?.[1] ?? Number.NaN);

/** Whether a band holds a mass %; null where it names none: “solid”, “gas”, “any”. */
export function inBand(band: string, pct: number): boolean | null {
  const range = /([\d.]+) to ([\d.]+) %/.exec(band);
  if (range) return pct >= Number(range[1]) && pct < Number(range[2]);
  const over = /(>=?) ?([\d.]+)/.exec(band);
  if (over) return over[1] === '>' ? pct > Number(over[2]) : pct >= Number(over[2]);
  const under = /(<|up to) ?([\d.]+)/.exec(band);
  return under ? pct < Number(under[2]) || (under[1] === 'up to' && pct <= Number(under[2])) : null;
}
