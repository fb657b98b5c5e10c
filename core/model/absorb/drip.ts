/** A reagent let in drop by drop: how strong, how much of it a mol of gas takes, how large its drops are. */
export interface Dripped {
  readonly molPerL: number;
  readonly perGas: number;
  readonly dropsPerMl: number;
}

/** mL in a minute, drops in a minute, mL in all, that make so many mol of gas in so many minutes. All of it reacts at once: an upper rate. */
export function dripOf(mol: number, minutes: number, { molPerL, perGas, dropsPerMl }: Dripped) {
  const ml = (1000 * mol * perGas) / molPerL;
  return { ml, mlPerMin: ml / minutes, dropsPerMin: (dropsPerMl * ml) / minutes };
}
