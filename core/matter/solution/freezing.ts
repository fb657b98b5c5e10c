import { molarMass, type Substance } from '#matter/substance';

/** K for a mol of particles in a kg of water. */
const CRYOSCOPIC = 1.86;
/** As far as dilute solutions go, K: beyond it is only said to be lower. */
const DILUTE_K = 15;

export interface Freezing {
  /** °C at which ice begins, or that it lies below. */
  readonly tempC: number;
  /** Only that it lies below. */
  readonly below: boolean;
}

/**
 * Where ice begins in a watery solution, by the particles dissolved, all of them apart: within 1 K to 5 K of depression, a fifth
 * beyond; past 15 K only “below”. Null for what is no solution. Source: CRC Handbook, cryoscopic constant of water.
 */
export function freezingOf(substance: Substance, pct: number): Freezing | null {
  if (substance.id === 'water') return { tempC: 0, below: false };
  const dissolves = substance.form === 'dissolved' || substance.form === 'liquid';
  if (!dissolves || substance.water === 'immiscible' || !(pct >= 0) || pct >= 100) return null;
  const molal = (1000 * pct) / (100 - pct) / molarMass(substance.formula);
  const drop = CRYOSCOPIC * molal * particlesOf(substance);
  return drop > DILUTE_K ? { tempC: -DILUTE_K, below: true } : { tempC: -drop, below: false };
}

/** Strong acids and salts fall into their ions; what is weak stays whole. */
function particlesOf({ id, ions }: Substance): number {
  if (STRONG.has(id)) return 2;
  return Math.max(
    1,
    (ions ?? []).reduce((sum, [, n]) => sum + n, 0),
  );
}

const STRONG: ReadonlySet<string> = new Set(['hydrochloric-acid', 'nitric-acid', 'sulfuric-acid']);
