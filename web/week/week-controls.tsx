import { Button, Segmented } from 'antd';
import { lazy, Suspense, useState } from 'react';
import type { WeekAnswer } from '#contract/api';
import { type Aim, aims, type Week, type WeekChoices } from '#run/week';
import { useBench } from '../api/queries.ts';
import type { WeekClock } from '../parts/when-text.ts';
import { keptPlan } from './kept-plan.ts';

const HoursDialog = lazy(async () => ({ default: (await import('./hours-dialog.tsx')).HoursDialog }));

const AIM_WORDS: Readonly<Record<Aim, string>> = {
  soonest: 'done soonest',
  'least time there': 'least time there',
  'fewest nights': 'fewest nights',
};

interface WeekControlsProps {
  readonly answer: WeekAnswer;
  readonly week: Week | undefined;
  readonly clock: WeekClock;
  readonly later: boolean;
  readonly onLater: (later: boolean) => void;
  readonly onChange: (change: Partial<WeekChoices>) => void;
}

/** What is aimed at, whether the plan is kept, the hours, which week is shown, paper. */
export function WeekControls({ answer, week, clock, later, onLater, onChange }: WeekControlsProps) {
  const bench = useBench();
  const [hours, setHours] = useState(false);
  const kept = answer.choices.order.length > 0;
  return (
    <div className="row week-controls">
      <Segmented
        aria-label="What is aimed at"
        options={aims.map((value) => ({ value, label: AIM_WORDS[value] }))}
        value={answer.choices.aim}
        onChange={(aim) => onChange({ aim, order: [], holds: {}, said: {} })}
      />
      {kept ? (
        <Button onClick={() => onChange({ order: [], holds: {}, said: {}, pins: {} })}>Plan it again</Button>
      ) : (
        <Button type="primary" disabled={!week} onClick={() => week && onChange(keptPlan(week, clock))}>
          Keep this plan
        </Button>
      )}
      <Button onClick={() => setHours(true)} disabled={!bench.data}>
        Your hours
      </Button>
      <Button onClick={() => onLater(!later)}>{later ? 'These 7 days' : 'Next 7 days'}</Button>
      <Button onClick={() => window.print()}>Print it</Button>
      {hours && bench.data ? (
        <Suspense fallback={null}>
          <HoursDialog answer={bench.data} onClose={() => setHours(false)} />
        </Suspense>
      ) : null}
    </div>
  );
}
