import { useState } from 'react';
import { formatPlain } from '#base/units';
import { farOff } from '#run/state';
import { amountOf } from '#web/parts/amount-of.ts';
import { AmountEntry } from '#web/run/amount-entry.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** What really went in. Far from the plan it asks why, and takes it all the same. */
export function WeighAddition({ run, step }: PaneProps) {
  const { addition } = step;
  const [asked, setAsked] = useState<number | null>(null);
  const [reason, setReason] = useState('');
  if (!addition) return <p className="quiet">Nothing is planned to go in here.</p>;
  const { dose, role, bottleId } = addition;
  const rest = run.state.remainders.find((each) => each.step === step.key && each.role === role);
  return (
    <AmountEntry
      label="Really went in"
      units={dose.volume ? ['g', 'mL'] : ['g']}
      start={dose.take.unit}
      measures={run.batch.plan.bench.measures}
      says={
        <p>
          Planned:{' '}
          <b>
            {formatPlain(dose.take.value)} {dose.take.unit}
          </b>
          {dose.take.unit === 'mL' ? ` (${formatPlain(dose.takeMassG)} g)` : ''} with {dose.with}.
          {addition.actual ? ` In so far: ${formatPlain(addition.actual.value, 4)} g.` : ''}
          {rest ? (
            <>
              {' '}
              Still to add: <b>{amountOf(rest)}</b>.
            </>
          ) : null}
        </p>
      }
      why={
        asked === null
          ? null
          : {
              label: `That is ${formatPlain(Math.abs(asked) * 100, 2)} % ${asked < 0 ? 'less' : 'more'} than planned${addition.actual ? ', in all' : ''}. Why? (The rest is recalculated from it.)`,
              value: reason,
              onChange: setReason,
            }
      }
      onChange={() => setAsked(null)}
      onEnter={(reading, happened) => {
        const off = farOff(addition, reading);
        if (off !== null && asked === null) {
          setAsked(off);
          return false;
        }
        run.enter({ kind: 'added', step: step.key, role, bottleId, reading, reason }, happened);
        setAsked(null);
        setReason('');
        return true;
      }}
    />
  );
}
