import { readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import type { Live } from '#run/log';
import type { StepStatus } from '#run/plan';

/** Something that wants a person now: a limit that a reading passed. */
export interface Alarm {
  readonly step: string;
  readonly text: string;
}

interface Watched {
  readonly key: string;
  readonly status: StepStatus;
  readonly ceilingC: number | null;
}

/** Alarms of the steps that run, from the newest temperature read at each. */
export function alarmsOf(steps: readonly Watched[], live: Live): readonly Alarm[] {
  return steps.flatMap((step) => {
    if (step.status !== 'running' || step.ceilingC === null) return [];
    const temps = live.flatMap(({ body, happened }) => {
      if (body.kind !== 'read' || body.step !== step.key || body.quantity !== 'temperature') return [];
      const value = body.reading.is === 'over' ? body.reading.value : readingValue(body.reading)?.value;
      return value === undefined ? [] : [{ value, at: happened.at }];
    });
    const last = temps.sort((a, b) => b.at.localeCompare(a.at))[0];
    if (!last || last.value <= step.ceilingC) return [];
    return [
      {
        step: step.key,
        text: `${formatNumber(last.value, 3)} °C, above the ceiling of ${step.ceilingC} °C: cool it, add nothing.`,
      },
    ];
  });
}
