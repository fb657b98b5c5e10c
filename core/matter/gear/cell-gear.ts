import { fields, number, type Of, one, optional } from '#base/shape';

// What one owns to run a cell with: electrodes, a divider, a supply, the vessel.

/** What an anode is made of. Stainless steel, titanium, lead and plated things are refused as anodes: see refused.ts. */
export const anodeMaterials = [
  'copper',
  'zinc',
  'iron',
  'carbon',
  'lead dioxide',
  'platinum',
  'mixed oxide',
  'nickel',
  'stainless steel',
] as const;
export type AnodeMaterial = (typeof anodeMaterials)[number];

export const cathodeMaterials = [
  'copper',
  'stainless steel',
  'steel',
  'nickel',
  'carbon',
  'platinum',
  'titanium',
] as const;
export type CathodeMaterial = (typeof cathodeMaterials)[number];

/** What stands between the sides; “none” is one liquid. */
export const dividerKinds = [
  'none',
  'flower pot',
  'porous cup',
  'agar gel',
  'gelatin gel',
  'membrane',
  'parchment',
  'filter paper',
  'cellophane',
  'canvas',
  'felt',
] as const;
export type DividerKind = (typeof dividerKinds)[number];

export const supplyKinds = ['bench supply', 'wall adapter', 'battery', 'solar panel', 'alternating'] as const;
export type SupplyKind = (typeof supplyKinds)[number];

/** A supply: V it is set to or gives, A at most. Of batteries, V and A·h of one, and how many stand in series. */
export const supplyShape = fields({
  kind: one(...supplyKinds),
  volts: number({ moreThan: 0, max: 60 }),
  amps: number({ moreThan: 0, max: 30 }),
  ampHours: optional(number({ moreThan: 0, max: 1000 })),
  inSeries: optional(number({ min: 1, max: 40, whole: true })),
});
export type Supply = Of<typeof supplyShape>;

/** Own cell gear, kept with the bench. */
export const cellGearShape = fields({
  supply: supplyShape,
  /** cm² of each electrode under the liquid that faces the other. */
  anodeCm2: number({ moreThan: 0, max: 5000 }),
  cathodeCm2: number({ moreThan: 0, max: 5000 }),
  /** cm of liquid between electrode and divider, or half the way between the electrodes. */
  gapCm: number({ moreThan: 0, max: 50 }),
  dividerCm2: number({ moreThan: 0, max: 5000 }),
  dividerMm: number({ moreThan: 0, max: 200 }),
  /** A plug of gel, in a tube or a neck: cm² across, mm long. */
  plugCm2: number({ moreThan: 0, max: 1000 }),
  plugMm: number({ moreThan: 0, max: 500 }),
  /** Copper leads: mm² and m there and back. */
  leadMm2: number({ moreThan: 0, max: 50 }),
  leadM: number({ min: 0, max: 20 }),
  /** cm² of open liquid. */
  openCm2: number({ min: 0, max: 5000 }),
  /** What a kilowatt-hour costs. */
  perKWh: optional(number({ min: 0, max: 10 })),
});
export type CellGear = Of<typeof cellGearShape>;

/** A jar with a pot in it, a small bench supply. */
export const USUAL_CELL: CellGear = {
  supply: { kind: 'bench supply', volts: 12, amps: 2 },
  anodeCm2: 40,
  cathodeCm2: 40,
  gapCm: 2,
  dividerCm2: 80,
  dividerMm: 5,
  plugCm2: 8,
  plugMm: 15,
  leadMm2: 0.5,
  leadM: 1,
  openCm2: 60,
};

/** A supply as one says it: “bench supply, 5 V, 1.5 A”, “4 batteries in series, 1.5 V, 2.2 A·h each”. */
export function supplyText({ kind, volts, amps, ampHours, inSeries = 1 }: Supply): string {
  if (kind !== 'battery') return `${kind}, ${volts} V, ${amps} A`;
  const capacity = ampHours === undefined ? 'capacity not known' : `${ampHours} A·h`;
  return inSeries > 1
    ? `${inSeries} batteries in series, ${volts} V and ${capacity} each`
    : `battery, ${volts} V, ${capacity}`;
}
