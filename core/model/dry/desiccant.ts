import { type DryingAgentRow, dryingAgents } from '#matter/data';

/** Something that takes water out of a liquid. */
export interface Desiccant {
  readonly id: string;
  readonly name: string;
  /** Above this its hydrate gives the water back, °C. */
  readonly ceilingC: number;
}

/** A class of liquids that agents treat alike. */
export type LiquidClass =
  | 'methanol'
  | 'ethanol'
  | '2-propanol and higher alcohols'
  | 'ketones'
  | 'esters'
  | 'hydrocarbons'
  | 'ethers'
  | 'acids'
  | 'ammonia and amines'
  | 'halogenated'
  | 'phenols and salicylates';

const AGENTS: readonly Desiccant[] = [
  { id: 'sieve-3a', name: 'molecular sieve 3A', ceilingC: 100 },
  { id: 'sieve-4a', name: 'molecular sieve 4A', ceilingC: 100 },
  { id: 'magnesium-sulfate', name: 'magnesium sulfate, dry', ceilingC: 48 },
  { id: 'sodium-sulfate', name: 'sodium sulfate, dry', ceilingC: 32 },
  { id: 'calcium-chloride', name: 'calcium chloride, dry', ceilingC: 30 },
  { id: 'copper-sulfate', name: 'copper sulfate, white', ceilingC: 30 },
  { id: 'potassium-carbonate', name: 'potassium carbonate, dry', ceilingC: 100 },
  { id: 'calcium-oxide', name: 'quicklime', ceilingC: 300 },
  { id: 'calcium-sulfate', name: 'baked gypsum', ceilingC: 80 },
  { id: 'silica-gel', name: 'silica gel', ceilingC: 60 },
  { id: 'sodium-hydroxide', name: 'caustic soda pellets', ceilingC: 100 },
  { id: 'sodium-chloride', name: 'table salt, to salt the water out', ceilingC: 100 },
];

/** How substances are classed for what may dry them. */
const CLASS: Readonly<Record<string, LiquidClass>> = {
  methanol: 'methanol',
  ethanol: 'ethanol',
  isopropanol: '2-propanol and higher alcohols',
  'isoamyl-alcohol': '2-propanol and higher alcohols',
  acetone: 'ketones',
  'ethyl-acetate': 'esters',
  'isoamyl-acetate': 'esters',
  'ethyl-salicylate': 'phenols and salicylates',
  'isoamyl-formate': 'esters',
  'acetic-acid': 'acids',
  'formic-acid': 'acids',
};

export function liquidClassOf(substanceId: string): LiquidClass | undefined {
  return CLASS[substanceId];
}

/** An agent over one liquid. */
export interface DesiccantDose {
  readonly desiccant: Desiccant;
  /** g to take, half as much again as the water asks; 0 where it is not used. */
  readonly grams: number;
  /** Why it is not used; empty when it may be. */
  readonly forbidden: string;
  /** Mass % of water left at the end; never more than there was. */
  readonly leftPct: number;
  readonly hours: readonly [number, number] | null;
  /** What is seen as it takes water. */
  readonly shows: string;
  readonly again: string;
  readonly weak: boolean;
  readonly row: DryingAgentRow;
}

const SPARE = 1.5;

/** g of water that a g of table salt takes into the brine under the liquid. */
const BRINE = 2.7;

/** Middling capacity near the dry end, g water for each g; of a salt that only makes a brine, what that holds. */
const capacityOf = ({ capacity: [low, high] }: DryingAgentRow) => (high > 0 ? (low + high) / 2 : BRINE);

/** Doses of every agent for so much liquid with so much water: those that dry it first, driest first. Stirred or shaken now and then. */
export function desiccantDoses(
  liquid: LiquidClass,
  { grams: liquidG, waterPct, tempC }: { grams: number; waterPct: number; tempC: number },
): readonly DesiccantDose[] {
  return AGENTS.flatMap((desiccant): DesiccantDose[] => {
    const row = dryingAgents.find((each) => each.agent === desiccant.id && each.liquid === liquid);
    if (!row) return [];
    const no = row.verdict === 'forbidden' || row.verdict === 'avoid' || row.verdict === 'useless';
    const warm = tempC > desiccant.ceilingC ? `above ${desiccant.ceilingC} °C it gives the water back` : '';
    const forbidden = no ? row.why || 'it does not dry it' : warm;
    const leaves = row.leavesPct?.[1] ?? waterPct;
    const takes = Math.max(0, waterPct - leaves);
    const capacity = capacityOf(row);
    const grams = forbidden === '' ? (SPARE * liquidG * takes) / 100 / capacity : 0;
    const { hours, shows, again } = row;
    return [
      {
        desiccant,
        grams,
        forbidden,
        leftPct: forbidden === '' ? Math.min(waterPct, leaves) : waterPct,
        hours,
        shows,
        again,
        weak: row.verdict === 'weak',
        row,
      },
    ];
  }).sort((a, b) => Number(a.forbidden !== '') - Number(b.forbidden !== '') || a.leftPct - b.leftPct);
}

/** A salicylate is an ester as well: what is not told of its phenol is as over any ester. */
function rowOf(agentId: string, liquid: LiquidClass): DryingAgentRow | undefined {
  const of = (each: LiquidClass) => dryingAgents.find((row) => row.agent === agentId && row.liquid === each);
  return of(liquid) ?? (liquid === 'phenols and salicylates' ? of('esters') : undefined);
}

/** What so much of an agent takes up of a liquid’s water, g, and what it leaves, mass %; null where it does not dry it. */
export function agentOver(
  agentId: string,
  liquid: LiquidClass,
): {
  readonly capacity: number;
  readonly leavesPct: number;
  readonly hours: readonly [number, number];
  readonly shows: string;
} | null {
  const row = rowOf(agentId, liquid);
  if (!row?.leavesPct || row.verdict === 'forbidden' || row.verdict === 'useless') return null;
  return { capacity: capacityOf(row), leavesPct: row.leavesPct[1], hours: row.hours ?? [12, 24], shows: row.shows };
}
