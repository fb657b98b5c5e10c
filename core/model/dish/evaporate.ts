/** Saturated vapour pressure of water, hPa (Magnus, Sonntag 1990; within 0.3 % to 60 °C, 2.5 % high at the boil). */
export function vapourPressure(tempC: number): number {
  return 6.112 * Math.exp((17.62 * tempC) / (243.12 + tempC));
}

export interface OpenDish {
  readonly areaCm2: number;
  readonly liquidC: number;
  readonly airC: number;
  /** Relative humidity, %. */
  readonly humidityPct: number;
  readonly pressureHPa: number;
  /** Air over the dish, m/s; 0.1 in a still room. */
  readonly windMS: number;
  /** Vapour pressure of the liquor against water's, 0 to 1: about 0.9 over a saturated salt. */
  readonly waterActivity: number;
}

/**
 * Water that leaves an open dish, g/h: (25 + 19 v)·A·(x_s − x) kg/h, x being kg of water in a kg of dry air (Carrier's
 * form, as in VDI 2089). Within a third for a dish in a room. Negative when the liquor draws water from the air.
 */
export function dishEvaporation(dish: OpenDish): number {
  const humidity = (p: number) => (0.622 * p) / (dish.pressureHPa - p);
  const over = humidity(dish.waterActivity * vapourPressure(dish.liquidC));
  const air = humidity((dish.humidityPct / 100) * vapourPressure(dish.airC));
  return (25 + 19 * dish.windMS) * (dish.areaCm2 / 1e4) * (over - air) * 1000;
}

/** cm² of a dish in which so many mL stand a centimetre deep: neither a film that crusts nor a pot that takes weeks. */
export function dishCm2For(mL: number): number {
  return Math.min(600, Math.max(50, Math.round(mL / 10) * 10));
}

/** A liquor that is nearly saturated, in a still room of middling air. */
const IN_A_ROOM = { humidityPct: 55, windMS: 0.1, waterActivity: 0.93 } as const;

/** Hours, least and most, in which so many g leave an open dish in a room as it mostly is; null when they never would. */
export function openDishHours(
  awayG: number,
  fromMl: number,
  { tempC, pressureHPa }: { readonly tempC: number; readonly pressureHPa: number },
): readonly [number, number] | null {
  const areaCm2 = dishCm2For(fromMl);
  const hours = dishHours(awayG, { ...IN_A_ROOM, areaCm2, liquidC: tempC, airC: tempC, pressureHPa });
  return hours === undefined ? null : [hours * 0.7, hours * 1.5];
}

/** Hours to lose so many grams of water from an open dish; undefined when it never would. */
export function dishHours(grams: number, dish: OpenDish): number | undefined {
  const rate = dishEvaporation(dish);
  return rate > 1e-6 ? grams / rate : undefined;
}

/** J to bring a g of water from room temperature to the boil and off it. */
const BOIL_J = 2257 + 4.18 * 75;

/** Hours to boil off so many grams with a heater of so many watts, of which a part reaches the liquid (about 0.5 on a plate). */
export function boilHours(grams: number, watts: number, part: number): number {
  return (grams * BOIL_J) / (watts * part * 3600);
}
