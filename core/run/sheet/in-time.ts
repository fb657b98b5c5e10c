import type { Quantity } from '#base/reading';
import type { PlanFacts } from '#run/plan';
import { type ActualAddition, AS_IT_REALLY_IS, type Op, type StepEntries, techniques } from '#run/technique';

/** A step's entries in the order of what happened. */
export interface InTime {
  /** What had gone in besides when the step did what it does; what it does is computed with it. Null: all comes to what the step has left. */
  readonly first: readonly ActualAddition[] | null;
  readonly here: StepEntries;
  /** What came to what the step has left. */
  readonly after: readonly ActualAddition[];
}

/**
 * A reading tells of its moment: what had gone in before it is in it, what went in later comes to what was read. Where a step
 * that falls towards a goal was ended after more went in, nothing says where it ended: it went to its goal.
 */
export function inTime({ tables }: Pick<PlanFacts, 'tables'>, op: Op, entered: StepEntries): InTime {
  const isFirst = besidesFirst(op, tables);
  const told = toldBefore(op, entered);
  const all = entered.additions;
  if (told === undefined) return { first: isFirst ? all : null, here: entered, after: isFirst ? [] : all };
  const since = all.slice(told);
  const forgets = tables < AS_IT_REALLY_IS || (entered.finished && goesToGoal(op));
  if (since.length > 0 && forgets)
    return { first: isFirst ? all : null, here: withoutRead(entered), after: isFirst ? [] : all };
  if (tables < AS_IT_REALLY_IS) return { first: isFirst ? all : null, here: entered, after: isFirst ? [] : all };
  return { first: all.slice(0, told), here: { ...entered, since }, after: since };
}

function besidesFirst({ do: name }: Op, tables: number): boolean {
  const { besidesFirst: from }: { readonly besidesFirst?: true | number } = techniques[name];
  return from === true || (from !== undefined && tables >= from);
}

function goesToGoal({ do: name }: Op): boolean {
  const technique: { readonly toGoal?: true } = techniques[name];
  return technique.toGoal === true;
}

/** Readings of what stands there: more that goes in is not in them. */
const OF_WHAT_STANDS = ['left', 'volume'] as const;

/** How many additions the last telling reading of a step had before it; undefined where nothing was read that the step takes. */
function toldBefore({ do: name }: Op, { readings, readAfter }: StepEntries): number | undefined {
  const takes: readonly Quantity[] = techniques[name].takes;
  const counts = OF_WHAT_STANDS.flatMap((each) =>
    takes.includes(each) && readings[each] ? [readAfter[each] ?? 0] : [],
  );
  return counts.length === 0 ? undefined : Math.max(...counts);
}

function withoutRead(entered: StepEntries): StepEntries {
  const { left: _, volume: __, ...readings } = entered.readings;
  return { ...entered, readings };
}
