/** mL/s that a cm² of a stirred grain loses for each g/mL below saturation, cm/s at 20 °C: least and most. Estimate, grade C. */
const TRANSFER_CM_S = [2e-3, 8e-3] as const;
/** Diffusion quickens by about this for each K. */
const PER_K = 0.025;

/**
 * Minutes for stirred grains (mm) to dissolve: ρ r ÷ (k Δc), Δc being the log mean of what is still lacking at the start
 * and at the end. `gPerMl` is the solid's density, `saturation` g in a mL of solution, `filled` the share of it that is
 * reached (1 is saturated: it takes for ever). Least and most, within a factor of three or so.
 */
export function dissolveMinutes(of: {
  readonly grainMm: number;
  readonly gPerMl: number;
  readonly saturation: number;
  readonly filled: number;
  readonly tempC: number;
}): readonly [number, number] | undefined {
  const { grainMm, gPerMl, saturation, filled, tempC } = of;
  if (!(filled >= 0 && filled < 1) || !(saturation > 0) || !(grainMm > 0)) return undefined;
  const lacks = 1 - filled;
  const mean = filled < 1e-9 ? 1 : filled / Math.log(1 / lacks);
  const warm = Math.max(0.3, 1 + PER_K * (tempC - 20));
  const minutes = (k: number) => (gPerMl * (grainMm / 20)) / (k * warm * saturation * mean) / 60;
  return [minutes(TRANSFER_CM_S[1]), minutes(TRANSFER_CM_S[0])];
}
