/** mL of liquor that a cm² of drained paper holds; doubled for a fluted one. Own weighings replace it. About. */
const PAPER_ML_PER_CM2 = 0.03;

/** mL that a paper of a diameter (mm) holds when drained, folded or fluted. */
export function paperHolds(diameterMm: number, fluted: boolean): number {
  return (Math.PI / 4) * (diameterMm / 10) ** 2 * PAPER_ML_PER_CM2 * (fluted ? 2 : 1);
}

export interface Rinse {
  /** g of product that the paper holds. */
  readonly heldG: number;
  /** g of it that one rinse brings back: V ÷ (V + R). */
  readonly backG: number;
  /** Minutes to boil the rinse off again. */
  readonly minutes: number;
}

/** What a rinse of a paper is worth: product brought back against the time to boil the water off. */
export function rinse(heldMl: number, gPer100Ml: number, rinseMl: number, evaporationGPerH: number): Rinse {
  const heldG = (heldMl * gPer100Ml) / 100;
  const part = heldMl + rinseMl > 0 ? rinseMl / (heldMl + rinseMl) : 0;
  return { heldG, backG: heldG * part, minutes: (60 * rinseMl) / evaporationGPerH };
}
