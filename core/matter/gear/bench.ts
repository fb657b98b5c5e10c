import { fields, flag, list, note, number, type Of, one, optional, text } from '#base/shape';
import { type Country, countryRows } from '#matter/data';
import { cellGearShape } from './cell-gear.ts';
import { hoursShape } from './hours.ts';
import { apparatusShape } from './still-gear.ts';

/** Countries whose rules and numbers to call are held; elsewhere there are rules too. */
export const countries = Object.keys(countryRows) as readonly Country[];

export function countryName(country: Country): string {
  return countryRows[country].name;
}

/** How the air of a place is renewed. */
export const airKinds = ['closed', 'window', 'fan', 'hood', 'outdoors'] as const;
export type AirKind = (typeof airKinds)[number];

export const materials = [
  'glass',
  'jar glass',
  'polyethylene',
  'polypropylene',
  'stainless steel',
  'aluminium',
  'ceramic',
  'copper',
  'iron',
  'paper',
] as const;
export type Material = (typeof materials)[number];

/** A scoop, a dropper’s drop, a jar’s mark: weighed once, then counted. */
const measureShape = fields({
  name: text(60),
  /** What it was weighed with: “washing soda”. */
  of: note(60),
  gramsEach: number({ moreThan: 0, max: 10_000 }),
  /** Standard uncertainty of one, g. */
  sdG: number({ min: 0, max: 10_000 }),
});
export type OwnMeasure = Of<typeof measureShape>;

const vesselShape = fields({
  name: text(60),
  capacityMl: number({ moreThan: 0, max: 100_000 }),
  /** Inside diameter and height, mm, for drawing to scale. */
  diameterMm: number({ moreThan: 0, max: 2000 }),
  heightMm: number({ moreThan: 0, max: 2000 }),
  /** Glass when it is not said. */
  material: optional(one(...materials)),
  /** May be spoilt: its material is a choice, and no warning stops it. */
  sacrificial: optional(flag()),
});
export type OwnVessel = Of<typeof vesselShape>;
export const vesselsShape = list(vesselShape, 60, 1);

/** What one may own to measure with, besides balance and cylinders. */
export const gearKinds = [
  'dropper bottle',
  'burette',
  'hydrometer',
  'pH probe',
  'pH strips',
  'oven',
  'thermometer',
  'gas jar over water',
  'phone camera',
] as const;
export type Gear = (typeof gearKinds)[number];

/** A burette: mL it holds, one mark. */
export const buretteShape = fields({
  capacityMl: number({ moreThan: 0, max: 200 }),
  stepMl: number({ moreThan: 0, max: 5 }),
});
export type Burette = Of<typeof buretteShape>;

/** What a kitchen has. */
export const KITCHEN_GEAR: readonly Gear[] = [
  'dropper bottle',
  'pH strips',
  'oven',
  'thermometer',
  'gas jar over water',
  'phone camera',
];
/** A school burette, where one is owned and not described. */
export const USUAL_BURETTE: Burette = { capacityMl: 50, stepMl: 0.1 };

/** The person's place and gear: everything a sheet needs to know about where it is carried out. */
export const benchShape = fields({
  place: text(60),
  tempC: number({ min: 0, max: 45 }),
  pressureHPa: number({ min: 600, max: 1100 }),
  /** Smallest step the balance shows, g. */
  balanceG: number({ min: 1e-6, max: 100 }),
  cylindersMl: list(number({ moreThan: 0, max: 10_000 }), 20, 1),
  vessels: vesselsShape,
  measures: list(measureShape, 40),
  /** Air space of the room, m³; used only for gas. */
  roomM3: number({ moreThan: 0, max: 100_000 }),
  /** How its air is renewed: shut, a window open, a fan running, a hood, or no room at all. Shut where it was never said. */
  air: optional(one(...airKinds)),
  /** Whose rules hold, and whose numbers are called; asked for where it was never said. */
  country: optional(one(...countries)),
  /** What is only kept away from, and where it stands. */
  away: optional(list(fields({ id: text(120), place: note(60) }), 100)),
  /** Own numbers to call, beside those of the country. */
  calls: optional(fields({ poison: note(40), checkIn: note(40), other: note(60) })),
  /** Water the hotplate takes off an open vessel, g per hour at a gentle simmer. */
  evaporationGPerH: number({ moreThan: 0, max: 100_000 }),
  /** What is owned to measure with; what a kitchen has when it was never said. */
  gear: optional(list(one(...gearKinds), 20)),
  burette: optional(buretteShape),
  /** When somebody is at it, asleep, away, and where it is; the usual hours of one with a job where it was never said. */
  hours: optional(hoursShape),
  /** One’s own still; a bare head on a litre flask where it was never described. */
  still: optional(apparatusShape),
  /** One’s own cell; a jar with a small bench supply where it was never described. */
  cell: optional(cellGearShape),
  /** Current efficiency that finished cells of a route have shown here, % with its standard uncertainty; the model’s where none has. */
  cellEfficiency: optional(fields({ pct: number({ moreThan: 0, max: 105 }), sd: number({ min: 0, max: 60 }) })),
});
export type Bench = Of<typeof benchShape>;

export const BenchDefaults: Bench = {
  place: 'shed',
  tempC: 20,
  pressureHPa: 1013,
  balanceG: 0.01,
  cylindersMl: [10, 50, 100, 250],
  vessels: [
    { name: '100 mL beaker', capacityMl: 100, diameterMm: 47, heightMm: 70 },
    { name: '250 mL beaker', capacityMl: 250, diameterMm: 66, heightMm: 92 },
    { name: '400 mL beaker', capacityMl: 400, diameterMm: 76, heightMm: 108 },
    { name: '600 mL beaker', capacityMl: 600, diameterMm: 86, heightMm: 123 },
    { name: '1 L beaker', capacityMl: 1000, diameterMm: 101, heightMm: 145 },
    { name: '2 L jar', material: 'jar glass', capacityMl: 2000, diameterMm: 128, heightMm: 180 },
    { name: '5 L bucket', material: 'polypropylene', capacityMl: 5000, diameterMm: 190, heightMm: 210 },
  ],
  measures: [],
  roomM3: 20,
  evaporationGPerH: 150,
};

export interface Cylinder {
  /** One graduation of the cylinder that takes the last of it, mL: the resolution of the whole. */
  readonly stepMl: number;
  /** Standard uncertainty of the whole, mL: half a graduation for every filling. */
  readonly sdMl: number;
  /** “250 mL cylinder, then 100 mL”. */
  readonly text: string;
}

/** How to measure a volume: full fillings of the largest cylinder, the rest with the smallest that takes it. */
export function cylinderFor(volumeMl: number, cylindersMl: readonly number[]): Cylinder {
  const sorted = [...cylindersMl].sort((a, b) => a - b);
  const largest = sorted.at(-1) ?? 100;
  const fulls = volumeMl > largest ? Math.floor(volumeMl / largest) : 0;
  const rest = volumeMl - fulls * largest;
  const last = sorted.find((each) => each >= rest) ?? largest;
  const half = (capacityMl: number) => graduation(capacityMl) / 2;
  const text = fillingText(fulls, largest, last);
  return { stepMl: graduation(last), sdMl: Math.hypot(half(last), half(largest) * Math.sqrt(fulls)), text };
}

function fillingText(fulls: number, largest: number, last: number): string {
  if (fulls === 0) return `${last} mL cylinder`;
  if (last === largest) return `${largest} mL cylinder, ${fulls + 1} fillings`;
  return `${fulls === 1 ? '' : `${fulls} × `}${largest} mL, the rest with the ${last} mL cylinder`;
}

/** Cylinders carry at most about 125 marks. */
function graduation(capacityMl: number): number {
  return [0.1, 0.2, 0.5, 1, 2, 5, 10, 20].find((step) => capacityMl / step <= 125) ?? 50;
}

/** A reading at an instrument's resolution. */
export function roundTo(value: number, step: number): number {
  const rounded = Math.round(value / step) * step;
  return Number(rounded.toFixed(Math.max(0, -Math.floor(Math.log10(step) + 1e-9))));
}
