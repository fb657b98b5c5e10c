import { type EventBody, type Quantity, readingValue } from '#core/run';

type ReadBody = Extract<EventBody, { kind: 'read' }>;
/** A reading at a step, with when it was taken (ms) and how far that may be off. */
export interface TimedRead {
  readonly body: ReadBody;
  readonly at: number;
  readonly giveOrTakeMin: number;
}

/** The value last read of a quantity since an instant (ms); null when there is none. */
export function lastRead(reads: readonly TimedRead[], quantity: Quantity, since: number): number | null {
  const values = reads.flatMap(({ body, at }) => {
    const value = body.quantity === quantity && at >= since ? readingValue(body.reading)?.value : undefined;
    return value === undefined ? [] : [{ at, value }];
  });
  return values.sort((a, b) => b.at - a.at)[0]?.value ?? null;
}
