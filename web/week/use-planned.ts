import { useMemo, useRef } from 'react';
import type { Problem } from '#base/problem';
import type { WeekAnswer } from '#contract/api';
import { weekInputOf } from '#contract/week-input';
import type { Week, WeekInput } from '#run/week';
import { useCompute } from '../worker/compute.ts';

/** A step held over a place, not put down yet. */
export interface Held {
  readonly id: string;
  readonly min: number;
}

export interface Planned {
  readonly input: WeekInput | undefined;
  readonly week: Week | undefined;
  readonly problem: Problem | undefined;
  readonly busy: boolean;
}

/** The week placed in the worker. While a step is held over a place only the order of before is placed: that takes a few milliseconds. */
export function usePlanned(answer: WeekAnswer | undefined, held: Held | null): Planned {
  const last = useRef<Pick<Week, 'order' | 'holds'> | null>(null);
  const settled = useMemo(() => (answer ? weekInputOf(answer) : undefined), [answer]);
  const input = useMemo((): WeekInput | undefined => {
    if (!settled || !held) return settled;
    const tasks = settled.tasks.map((task) => (task.id === held.id ? { ...task, pinnedMin: held.min } : task));
    return { ...settled, ...(last.current ?? {}), tasks };
  }, [settled, held]);
  const { value, problem, busy } = useCompute('schedule', input);
  if (value && !held && !busy) last.current = { order: value.order, holds: value.holds };
  return { input, week: problem ? undefined : value, problem, busy };
}
