import { Input, type InputRef } from 'antd';
import { useEffect, useId, useRef, useState } from 'react';
import type { Happened } from '#core/log';
import { farOff } from '#core/state';
import { formatPlain } from '#core/units';
import { AmountField, readAmount, refusedAmount } from './amount-field.tsx';
import type { PaneProps } from './pane-props.ts';

import { WhenField } from './when-field.tsx';

/** What really went in (or what the product weighs). Far from the plan it asks why, and takes it all the same. */
export function WeighPane({ run, step }: PaneProps) {
  const { charge } = step;
  const first = useRef<InputRef>(null);
  const reasonId = useId();
  const [unit, setUnit] = useState<string>(charge?.dose.take.unit ?? (step.panel === 'dry' ? 'g' : 'mL'));
  const [text, setText] = useState('');
  const [reason, setReason] = useState('');
  const [asked, setAsked] = useState<number | null>(null);
  const [problem, setProblem] = useState('');
  const [when, setWhen] = useState<(() => Happened) | null>(() => () => ({
    at: new Date().toISOString(),
    giveOrTakeMin: 0,
  }));
  useEffect(() => first.current?.focus(), []);

  const enter = () => {
    const read = readAmount(text, unit, run.batch.plan.bench.measures);
    if (!read.ok) return setProblem(read.problem.message);
    const refused = refusedAmount(read.value);
    if (refused) return setProblem(refused);
    const off = charge ? farOff(charge.dose.take, charge.dose.takeMassG, read.value) : null;
    if (off !== null && asked === null) return setAsked(off);
    if (charge) {
      run.enter(
        { kind: 'added', step: step.key, role: charge.role, bottleId: charge.bottleId, reading: read.value, reason },
        when?.(),
      );
    } else {
      const quantity = step.panel === 'dry' ? 'mass' : 'volume';
      run.enter({ kind: 'read', step: step.key, quantity, reading: read.value, place: '' }, when?.());
    }
    setText('');
    setReason('');
    setAsked(null);
    setProblem('');
  };
  const entries = run.state.log.filter((line) => line.step === step.key && line.kind === 'added' && !line.struck);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      {charge ? (
        <p>
          Planned:{' '}
          <b>
            {formatPlain(charge.dose.take.value)} {charge.dose.take.unit}
          </b>
          {charge.dose.take.unit === 'mL' ? ` (${formatPlain(charge.dose.takeMassG)} g)` : ''} with {charge.dose.with}.
          {entries.length > 0
            ? ` In so far: ${entries.map((line) => line.text.split(' ').slice(-2).join(' ')).join(' + ')}.`
            : ''}
        </p>
      ) : null}
      <div className="pane-row">
        <AmountField
          label={labelOf(step.panel, charge !== null)}
          text={text}
          unit={unit}
          units={charge ? unitsOf(charge.dose.volume !== undefined) : [unit]}
          measures={charge ? run.batch.plan.bench.measures : []}
          problem={problem}
          fieldRef={first}
          onText={(next) => {
            setText(next);
            setProblem('');
            setAsked(null);
          }}
          onUnit={setUnit}
        />
        <WhenField onChange={(next) => setWhen(() => next)} />
        <button type="submit" className="tab" disabled={when === null}>
          {asked === null ? 'Enter it' : 'Enter it all the same'}
        </button>
      </div>
      {asked === null ? null : (
        <div className="field" role="alert">
          <label htmlFor={reasonId} className="watch">
            That is {formatPlain(Math.abs(asked) * 100, 2)} % {asked < 0 ? 'less' : 'more'} than planned. Why? (The rest
            is reckoned anew from it.)
          </label>
          <Input
            id={reasonId}
            value={reason}
            maxLength={500}
            placeholder="the last piece was this big"
            onChange={(event) => setReason(event.target.value)}
          />
        </div>
      )}
    </form>
  );
}

function labelOf(panel: string, isCharge: boolean): string {
  if (isCharge) return 'Really went in';
  return panel === 'dry' ? 'Product weighs, without its dish' : 'Made up to';
}

function unitsOf(poured: boolean): readonly string[] {
  return poured ? ['g', 'mL'] : ['g'];
}
