import { apart } from './book.ts';
import type { Task } from './task.ts';

/** Two steps of different batches that go on at once, and what of the one the other must be kept from. */
export interface StandTogether {
  readonly gives: string;
  readonly by: string;
  readonly beside: string;
  /** Whether they must not go on beside one another at all; else it is a matter of distance. */
  readonly never: boolean;
}

/** What burns is lit by what is hot, if it comes near enough. */
const BURNS = 'what burns';
const HOT: readonly string[] = ['hotplate', 'burner', 'still'];

/** Of the steps that are under way, those that have to be kept apart. */
export function standTogether(tasks: readonly Task[]): readonly StandTogether[] {
  const running = tasks.filter(({ startedMin }) => startedMin !== undefined);
  return running.flatMap((one) =>
    running.flatMap((other): readonly StandTogether[] => {
      if (one.batch === other.batch) return [];
      const met = one.gives?.find((each) => other.shuns?.includes(each));
      if (met !== undefined) return [{ gives: met, by: one.id, beside: other.id, never: apart(one, other) }];
      const lit = one.gives?.includes(BURNS) && other.gear.some((each) => HOT.includes(each));
      return lit ? [{ gives: BURNS, by: one.id, beside: other.id, never: false }] : [];
    }),
  );
}
