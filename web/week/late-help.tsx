import { useMemo } from 'react';
import type { WeekInput } from '#run/week';
import { lateHelpText, type WeekNames } from '../fits/sentences.ts';
import type { WeekClock } from '../parts/when-text.ts';
import { useCompute } from '../worker/compute.ts';

interface LateHelpProps {
  readonly input: WeekInput;
  readonly id: string;
  /** Minutes. */
  readonly lateBy: number;
  readonly names: WeekNames;
  readonly clock: WeekClock;
}

/** The smallest change that would have a step over in time; else the one that helps most. */
export function LateHelp({ input, id, lateBy, names, clock }: LateHelpProps) {
  const asked = useMemo(() => ({ week: input, id }), [input, id]);
  const { value, busy } = useCompute('reliefs', asked);
  return value && !busy ? <span className="week-help">{lateHelpText(value, lateBy, { names, clock })} </span> : null;
}
