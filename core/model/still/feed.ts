import type { StillReading } from './fit.ts';
import type { Instant } from './live.ts';

/** Grams on the balance that tell a first drop from its noise. */
const FIRST_DROP_G = 1;

/** The moment of the first drop, min since the instruments were switched on; null before it. */
export function firstDrop(instants: readonly Instant[]): number | null {
  const i = instants.findIndex(({ massG, receiver }) => receiver > 0 || massG >= FIRST_DROP_G);
  const found = instants[i];
  if (!found) return null;
  // Back along the line through what came in the next few readings.
  const later = instants.slice(i, i + 8).findLast(({ receiver }) => receiver === found.receiver);
  if (!later || later.minutes <= found.minutes || later.massG <= found.massG) return found.minutes;
  const rate = (later.massG - found.massG) / (later.minutes - found.minutes);
  return Math.max(0, found.minutes - found.massG / rate);
}

/**
 * What instruments showed, as readings of a run: time from the first drop, counted at full heat (half the heat is half the time),
 * mass over all receivers. Readings before the first drop say nothing of the run.
 */
export function readingsFrom(instants: readonly Instant[], heaterW: number): readonly StillReading[] {
  const zero = firstDrop(instants);
  if (zero === null) return [];
  const found: StillReading[] = [];
  let before = 0;
  let lastMass = 0;
  let receiver = instants[0]?.receiver ?? 0;
  let minutes = 0;
  let at = zero;
  for (const each of instants) {
    if (each.receiver !== receiver) {
      before += lastMass;
      lastMass = 0;
      receiver = each.receiver;
    }
    lastMass = Math.max(lastMass, each.massG);
    if (each.minutes < zero) continue;
    minutes += (each.minutes - at) * (heaterW > 0 ? each.watts / heaterW : 1);
    at = each.minutes;
    if (minutes < LAG_MIN) continue;
    found.push({ minutes, headC: each.headC, potC: each.potC, overG: before + each.massG });
  }
  return found;
}

/** A thermometer is still climbing for so long after the first drop. */
const LAG_MIN = 3;
