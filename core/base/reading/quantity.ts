/** Something that can be read at a step. */
interface QuantityFacts {
  /** As a log line says it. */
  readonly name: string;
  /** The unit it is kept in; empty for a number alone. */
  readonly unit: string;
  /** Lowest and highest that can be read at a bench, in its unit. */
  readonly range: readonly [least: number, most: number];
}

const AN_AMOUNT = [0, Number.POSITIVE_INFINITY] as const;

/** What can be read at a step. A new quantity is a line here; doors, panes and tests follow from it. */
export const quantities = {
  temperature: { name: 'temperature', unit: '°C', range: [-90, 2000] },
  pH: { name: 'pH', unit: '', range: [-2, 16] },
  mass: { name: 'mass', unit: 'g', range: AN_AMOUNT },
  volume: { name: 'volume', unit: 'mL', range: AN_AMOUNT },
  time: { name: 'time', unit: 'min', range: AN_AMOUNT },
  current: { name: 'current', unit: 'A', range: [0, 1000] },
  /** Across the terminals of a supply; across a divider, by a probe on either side. */
  voltage: { name: 'voltage', unit: 'V', range: AN_AMOUNT },
  wall: { name: 'across the divider', unit: 'V', range: AN_AMOUNT },
  /** Counted by a meter since the current was switched on. */
  charge: { name: 'charge', unit: 'A·h', range: AN_AMOUNT },
  sight: { name: 'seen:', unit: '', range: [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY] },
  /** Volume of gas that came off or was caught. */
  gas: { name: 'gas', unit: 'L', range: AN_AMOUNT },
  /** Height of foam over the liquid, as a volume of this vessel. */
  foam: { name: 'foam', unit: 'mL', range: AN_AMOUNT },
  /** Solid that did not react, weighed. */
  left: { name: 'left', unit: 'g', range: AN_AMOUNT },
  /** Reagent that was let in by drops, out of its funnel, in all. */
  dripped: { name: 'dripped in', unit: 'mL', range: AN_AMOUNT },
  /** Mass that an absorber or the vessel gained, that left as gas. */
  gain: { name: 'gain', unit: 'g', range: AN_AMOUNT },
  loss: { name: 'loss', unit: 'g', range: AN_AMOUNT },
  conductivity: { name: 'conductivity', unit: 'µS/cm', range: AN_AMOUNT },
  /** Of the finished solution at the bench's temperature. */
  density: { name: 'density', unit: 'g/mL', range: [0, 25] },
  /** Mass % of what the route makes, in what stands in the vessel: a portion of it titrated. */
  strength: { name: 'strength', unit: '%', range: [0, 100] },
} as const satisfies Readonly<Record<string, QuantityFacts>>;

export type Quantity = keyof typeof quantities;

/** What a reading was taken of, where that is not what stands in the vessel. */
export const readables = ['vessel', 'washings', 'liquor', 'product', 'air'] as const;
export type Readable = (typeof readables)[number];
