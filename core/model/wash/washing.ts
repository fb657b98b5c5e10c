import { ok, type Result } from '#base/problem';
import { fields, list, nullable, number, type Of, one } from '#base/shape';
import { phAsWashed, portionsFor, type WashReading, washed, washings, washReading } from './wash.ts';

/** A cake to be washed. Volumes mL. */
export const washingShape = fields({
  retainedMl: number({ min: 0, max: 100_000 }),
  portionMl: number({ moreThan: 0, max: 100_000 }),
  /** Share of what is dissolved that may stay, %. */
  goalPct: number({ moreThan: 0, max: 100 }),
  productGPer100Ml: number({ min: 0, max: 500 }),
  /** What the washings read, and at which reading they are clean. */
  readings: list(fields({ portion: number({ min: 0, max: 200 }), value: number({ min: 0 }) }), 200),
  goalReading: nullable(number({ moreThan: 0 })),
  quantity: one('conductivity', 'pH'),
});

export interface WashAnswer {
  readonly portions: number | null;
  readonly leftPct: number;
  readonly lostG: number;
  /** The same water in one to six portions. */
  readonly splits: readonly { readonly portions: number; readonly left: number; readonly lostG: number }[];
  readonly sentence: string;
}

/** How many portions a cake wants, what that loses, and whether its readings say that it is clean. */
export function washing(input: Of<typeof washingShape>): Result<WashAnswer> {
  const { retainedMl, portionMl, goalPct, productGPer100Ml, readings, goalReading, quantity } = input;
  const portions = portionsFor(retainedMl, portionMl, goalPct / 100) ?? null;
  const count = portions ?? 0;
  const fallen =
    quantity === 'pH' && goalReading !== null ? phAsWashed(readings, goalReading) : { readings, goal: goalReading };
  const byCake = washed({ retainedMl, portionsMl: [portionMl] });
  const more = fallen.goal === null ? undefined : washReading(fallen.readings, fallen.goal, byCake);
  return ok({
    portions,
    leftPct: 100 * washed({ retainedMl, portionsMl: Array.from({ length: Math.min(count, 200) }, () => portionMl) }),
    lostG: (count * portionMl * productGPer100Ml) / 100,
    splits: washings(retainedMl, Math.max(1, count) * portionMl, 6, productGPer100Ml),
    sentence: washSentence(readings, more, goalReading),
  });
}

function washSentence(readings: readonly WashReading[], more: number | undefined, goal: number | null): string {
  if (goal === null || readings.length === 0) return '';
  if (more === 0) return 'Stop: it is clean.';
  if (more === undefined)
    return readings.length < 2
      ? 'Read the next washings too: one reading tells no fall.'
      : 'The readings do not fall: the cake is channelled, stir it up.';
  if (readings.length < 2) return `About ${more} more, by what the cake holds; read the next washings too.`;
  return more === 1 ? 'One more.' : `About ${more} more.`;
}
