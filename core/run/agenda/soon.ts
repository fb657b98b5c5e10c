import type { StepState } from '#run/state';

/** How long after what goes before it a step may begin at the latest, min, and what waiting longer does. */
export interface Soon {
  readonly withinMin: number;
  readonly why: string;
}

interface Rule extends Soon {
  readonly holds: (before: StepState, step: StepState) => boolean;
}

const isOf = ({ technique }: StepState, ...kinds: readonly StepState['technique'][]): boolean =>
  kinds.includes(technique);
const isHot = ({ cautions }: StepState): boolean => cautions.some(({ id }) => id === 'hot-liquid');
const keepsSolid = ({ template }: StepState): boolean => template?.op.do === 'filter' && template.op.keep === 'solid';
/** Kept so cold that a room warms it beyond its limit. */
const COLD_C = 18;
const isCold = ({ ceilingC }: StepState): boolean => ceilingC !== null && ceilingC <= COLD_C;

/** The strictest first. The minutes are those of usual practice, about: no source gives them to the minute. */
const RULES: readonly Rule[] = [
  {
    holds: (before) => isOf(before, 'absorb'),
    withinMin: 5,
    why: 'gas still comes, and what cools sucks back',
  },
  {
    holds: (before) => isOf(before, 'distil'),
    withinMin: 5,
    why: 'the still is hot and goes on',
  },
  {
    // Brought to the boil, by the route in a step of its own.
    holds: (before, step) => isOf(step, 'distil') && isOf(before, 'plain') && before.waitH[1] > 0,
    withinMin: 5,
    why: 'the flask is at the boil',
  },
  {
    holds: (_, step) => isOf(step, 'filter', 'salt-pair', 'decant') && isHot(step),
    withinMin: 10,
    why: 'cold, it crystallises in the filter',
  },
  {
    holds: (before, step) => isCold(before) && isCold(step),
    withinMin: 30,
    why: 'warm, it decomposes or hydrolyses',
  },
  {
    holds: (before, step) => isOf(step, 'wash') && (keepsSolid(before) || isOf(before, 'wash')),
    withinMin: 60,
    why: 'the cake cracks and dries with the liquor still in it',
  },
  {
    holds: (before, step) => isOf(step, 'absorb') && isOf(before, 'add'),
    withinMin: 60,
    why: 'a charged generator is not left standing',
  },
  {
    holds: (before, step) => isOf(step, 'fuse') && isOf(before, 'add'),
    withinMin: 60,
    why: 'in the open it draws water',
  },
  {
    holds: (before) => isOf(before, 'electrolyse'),
    withinMin: 120,
    why: 'the current runs on beyond its end',
  },
  {
    holds: (before, step) => isOf(step, 'dry') && (keepsSolid(before) || isOf(before, 'wash')),
    withinMin: 720,
    why: 'it lies wet in the open',
  },
];

/** How soon a step must follow the one before it; null where it may wait. */
export function soonOf(step: StepState, before: StepState | undefined): Soon | null {
  if (!before || before.status === 'skipped') return null;
  return RULES.find(({ holds }) => holds(before, step)) ?? null;
}
