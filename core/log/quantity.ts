/** Something that can be read at a step. */
interface QuantityFacts {
  /** As a log line says it. */
  readonly name: string;
  /** The unit it is kept in; empty for a number alone. */
  readonly unit: string;
  /** Whether it can lie below zero; everything else is an amount. */
  readonly signed: boolean;
}

/** What can be read at a step. A new quantity is a line here; doors, panes and tests follow from it. */
export const quantities = {
  temperature: { name: 'temperature', unit: '°C', signed: true },
  pH: { name: 'pH', unit: '', signed: true },
  mass: { name: 'mass', unit: 'g', signed: false },
  volume: { name: 'volume', unit: 'mL', signed: false },
  time: { name: 'time', unit: 'min', signed: false },
  current: { name: 'current', unit: 'A', signed: false },
  /** Across the terminals of a supply; across a divider, by a probe on either side. */
  voltage: { name: 'voltage', unit: 'V', signed: false },
  wall: { name: 'across the divider', unit: 'V', signed: false },
  /** Counted by a meter since the current was switched on. */
  charge: { name: 'charge', unit: 'A·h', signed: false },
  sight: { name: 'seen:', unit: '', signed: true },
  /** Volume of gas that came off or was caught. */
  gas: { name: 'gas', unit: 'L', signed: false },
  /** Height of foam over the liquid, as a volume of this vessel. */
  foam: { name: 'foam', unit: 'mL', signed: false },
  /** Solid that did not react, weighed. */
  left: { name: 'left', unit: 'g', signed: false },
  /** Mass that an absorber or the vessel gained, that left as gas. */
  gain: { name: 'gain', unit: 'g', signed: false },
  loss: { name: 'loss', unit: 'g', signed: false },
  conductivity: { name: 'conductivity', unit: 'µS/cm', signed: false },
  /** Of the finished solution at the bench's temperature. */
  density: { name: 'density', unit: 'g/mL', signed: false },
  /** Mass % of what the route makes, in what stands in the vessel: a portion of it titrated. */
  strength: { name: 'strength', unit: '%', signed: false },
} as const satisfies Readonly<Record<string, QuantityFacts>>;

export type Quantity = keyof typeof quantities;

/** What a reading was taken of, where that is not what stands in the vessel. */
export const readables = ['vessel', 'washings', 'liquor', 'product', 'air'] as const;
export type Readable = (typeof readables)[number];
