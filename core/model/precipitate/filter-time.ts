import { type Grain, waterViscosity } from './settle.ts';

/** A filter: how long 100 mL of water take through 100 cm² at a head of 50 mm, s; what passes it, µm. After makers' speeds, grade C. */
export interface FilterPaper {
  readonly id: 'coffee' | 'fast' | 'medium' | 'slow';
  readonly name: string;
  readonly waterS: number;
  readonly passesMicron: number;
}

export const papers: readonly FilterPaper[] = [
  { id: 'coffee', name: 'coffee filter', waterS: 15, passesMicron: 20 },
  { id: 'fast', name: 'fast paper', waterS: 20, passesMicron: 20 },
  { id: 'medium', name: 'medium paper', waterS: 60, passesMicron: 10 },
  { id: 'slow', name: 'slow paper', waterS: 250, passesMicron: 3 },
];

/** Head of liquid over a paper in a funnel, Pa: about 50 mm of water. */
export const GRAVITY_PA = 490;

/**
 * Seconds for a filtrate (m³) through a cake at constant pressure: µ α c V² ÷ (2 A² ΔP) + µ R V ÷ (A ΔP) (Ruth 1946).
 * Viscosity Pa s, α m/kg, c kg of solid a m³ of filtrate, area m², pressure Pa, R of the medium 1/m.
 */
export function throughCake(of: {
  readonly filtrateM3: number;
  readonly areaM2: number;
  readonly pressurePa: number;
  readonly viscosity: number;
  readonly alpha: number;
  readonly kgPerM3: number;
  readonly medium: number;
}): number {
  const { filtrateM3: V, areaM2: A, pressurePa: P, viscosity: mu, alpha, kgPerM3, medium } = of;
  return (mu * alpha * kgPerM3 * V ** 2) / (2 * A ** 2 * P) + (mu * medium * V) / (A * P);
}

/** Minutes for a slurry through a paper, least and most by how the grains may be. Half of a folded paper is shut by itself. */
export function filterMinutes(
  paper: FilterPaper,
  grain: Grain,
  of: {
    readonly filtrateMl: number;
    readonly solidG: number;
    readonly areaCm2: number;
    readonly tempC: number;
    readonly pressurePa?: number;
  },
): readonly [number, number] {
  const { filtrateMl, solidG, areaCm2, tempC, pressurePa = GRAVITY_PA } = of;
  if (filtrateMl <= 0 || areaCm2 <= 0) return [0, 0];
  const medium = (paper.waterS * 0.01 * GRAVITY_PA) / (waterViscosity(20) * 1e-4);
  const minutes = (alpha: number) =>
    throughCake({
      filtrateM3: filtrateMl * 1e-6,
      areaM2: areaCm2 * 1e-4,
      pressurePa,
      viscosity: waterViscosity(tempC),
      alpha,
      kgPerM3: (1000 * solidG) / filtrateMl,
      medium,
    }) / 60;
  const [loose, tight] = grain.cake;
  return [minutes(loose), minutes(tight)];
}
