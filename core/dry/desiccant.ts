/** A salt that takes water out of a liquid. Capacities after Perrin and Armarego, Purification of Laboratory Chemicals, ch. 1. */
export interface Desiccant {
  readonly id: string;
  readonly name: string;
  /** g of water that a g takes in practice, well short of its highest hydrate. */
  readonly capacity: number;
  readonly speed: 'fast' | 'slow';
  /** % of water that it leaves in an ordinary solvent. */
  readonly leavesPct: number;
  /** Above this its hydrate gives the water back. */
  readonly ceilingC: number;
  /** What it must not touch, by a word of the liquid's kind, with why. */
  readonly not: readonly { readonly kind: LiquidKind; readonly why: string }[];
}

export type LiquidKind = 'alcohol' | 'ester' | 'ketone' | 'hydrocarbon' | 'ether' | 'acid' | 'amine' | 'chlorinated';

export const desiccants: readonly Desiccant[] = [
  {
    id: 'magnesium-sulfate',
    name: 'magnesium sulfate, dry',
    capacity: 0.3,
    speed: 'fast',
    leavesPct: 0.3,
    ceilingC: 48,
    not: [],
  },
  {
    id: 'sodium-sulfate',
    name: 'sodium sulfate, dry',
    capacity: 0.5,
    speed: 'slow',
    leavesPct: 1.2,
    ceilingC: 32,
    not: [],
  },
  {
    id: 'calcium-chloride',
    name: 'calcium chloride, dry',
    capacity: 0.3,
    speed: 'fast',
    leavesPct: 0.15,
    ceilingC: 30,
    not: [
      { kind: 'alcohol', why: 'it forms a compound with alcohols' },
      { kind: 'amine', why: 'it forms a compound with amines' },
      { kind: 'ketone', why: 'it clings to ketones' },
      { kind: 'ester', why: 'it clings to some esters' },
      { kind: 'acid', why: 'its lime reacts with acids' },
    ],
  },
  {
    id: 'copper-sulfate',
    name: 'copper sulfate, white',
    capacity: 0.2,
    speed: 'fast',
    leavesPct: 0.6,
    ceilingC: 30,
    not: [{ kind: 'amine', why: 'it binds amines, blue' }],
  },
  {
    id: 'potassium-carbonate',
    name: 'potassium carbonate, dry',
    capacity: 0.2,
    speed: 'slow',
    leavesPct: 0.4,
    ceilingC: 100,
    not: [
      { kind: 'acid', why: 'it fizzes with acids' },
      { kind: 'chlorinated', why: 'strong base and chlorinated solvents do not go together' },
    ],
  },
  {
    id: 'calcium-oxide',
    name: 'quicklime',
    capacity: 0.25,
    speed: 'slow',
    leavesPct: 0.05,
    ceilingC: 300,
    not: [
      { kind: 'ester', why: 'it splits esters' },
      { kind: 'ketone', why: 'it condenses ketones' },
      { kind: 'acid', why: 'it neutralises acids' },
      { kind: 'chlorinated', why: 'strong base and chlorinated solvents do not go together' },
    ],
  },
];

export interface DesiccantDose {
  readonly desiccant: Desiccant;
  /** g to take, half as much again as the water asks; 0 when forbidden. */
  readonly grams: number;
  readonly forbidden: string;
  /** Water left at the end, % by mass; not below what it leaves. */
  readonly leftPct: number;
}

const SPARE = 1.5;

/** Doses of every desiccant for so much liquid with so much water, those that may be used first, least first. */
export function desiccantDoses(
  kind: LiquidKind,
  liquidG: number,
  waterPct: number,
  tempC: number,
): readonly DesiccantDose[] {
  return desiccants
    .map((desiccant) => {
      const clash = desiccant.not.find((each) => each.kind === kind);
      const warm = tempC > desiccant.ceilingC ? `above ${desiccant.ceilingC} °C it gives the water back` : '';
      const forbidden = clash?.why ?? warm;
      const takes = Math.max(0, waterPct - desiccant.leavesPct);
      const grams = forbidden ? 0 : (SPARE * liquidG * takes) / 100 / desiccant.capacity;
      return { desiccant, grams, forbidden, leftPct: Math.min(waterPct, desiccant.leavesPct) };
    })
    .sort((a, b) => Number(a.forbidden !== '') - Number(b.forbidden !== '') || a.leftPct - b.leftPct);
}
