import { Input, type InputRef, Select } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { amountProblem } from '#run/state';
import { useBottles } from '#web/api/queries.ts';
import { AmountField, readAmount } from '#web/kit/amount-field.tsx';
import { EntryForm } from '#web/kit/entry-form.tsx';
import { Field } from '#web/kit/field.tsx';
import { today } from '#web/parts/day.ts';
import type { PaneProps } from '#web/run/pane-props.ts';
import { useCompute } from '#web/worker/compute.ts';

const WATER = 'water';
const HAPPENED = 'it had gone in already';

/**
 * Something that no step asked for, from any bottle: checked against what is in the vessel before it goes in. What has happened
 * is always taken, and what to do first then stands on the bench.
 */
export function UnplannedPane({ run, step, onClose }: PaneProps) {
  const bottles = useBottles();
  const first = useRef<InputRef>(null);
  const [what, setWhat] = useState<string>(WATER);
  const [text, setText] = useState('');
  const [unit, setUnit] = useState('g');
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState('');
  useEffect(() => first.current?.focus(), []);
  const shelf = (bottles.data ?? []).filter(({ archived }) => !archived);
  const bottle = shelf.find(({ id }) => id === what);
  const { now } = run.state.sheet;
  const clash = useCompute(
    'clash',
    useMemo(() => {
      if (!bottle || !now) return undefined;
      const { id, card, usedG } = bottle;
      return { present: now.present, bottle: { id, card, usedG }, tempC: run.batch.plan.bench.tempC, today: today() };
    }, [bottle, now, run.batch.plan.bench.tempC]),
  );
  const clashes = clash.value ?? [];
  const worst = bottle ? clashes[0] : undefined;
  const enter = (why: string) => {
    const amount = readAmount(text, unit, run.batch.plan.bench.measures);
    if (!amount.ok) return setProblem(amount.problem.message);
    const refused = amountProblem(amount.value);
    if (refused) return setProblem(refused);
    run.enter({
      kind: 'added',
      step: step.key,
      role: null,
      bottleId: bottle?.id ?? null,
      reading: amount.value,
      reason: why,
      ...(bottle ? { stock: { card: bottle.card, usedG: bottle.usedG } } : {}),
    });
    onClose();
  };
  // Not before it is known what it does in there.
  // More of what the route itself puts in asks for no reason; anything else that is dangerous does.
  const ofRoute = Object.values(run.batch.plan.bottles).includes(what);
  const wantsReason = worst?.severity === 'danger' && !ofRoute;
  const blocked = clash.busy || worst?.severity === 'refuse' || (wantsReason && reason.trim() === '');
  return (
    <EntryForm
      onEnter={() => {
        if (!blocked) enter(reason.trim());
      }}
    >
      <div className="pane-row">
        <Field label="What goes in">
          {(bound) => (
            <Select
              {...bound}
              size="large"
              showSearch={{ optionFilterProp: 'label' }}
              style={{ width: 240 }}
              value={what}
              options={[
                { value: WATER, label: 'water' },
                ...shelf.map(({ id, card }) => ({ value: id, label: card.name })),
              ]}
              onChange={setWhat}
            />
          )}
        </Field>
        <AmountField
          label="How much"
          text={text}
          unit={unit}
          units={['g', 'mL']}
          measures={run.batch.plan.bench.measures}
          problem={problem}
          fieldRef={first}
          onText={(next) => {
            setText(next);
            setProblem('');
          }}
          onUnit={setUnit}
        />
        <button type="submit" className="tab" disabled={blocked}>
          It is in
        </button>
      </div>
      {worst ? (
        <div className={worst.severity === 'caution' ? 'caution' : 'caution caution-stop'} role="alert">
          <b>{worst.severity === 'refuse' ? 'Not together. ' : 'Mind. '}</b>
          {clashes.slice(0, 3).map(({ sentence }) => (
            <p key={sentence}>{sentence}</p>
          ))}
          {worst.severity === 'refuse' ? (
            <p>
              It stays in its bottle. If it has happened:{' '}
              <button type="button" className="link" onClick={() => enter(HAPPENED)}>
                It has gone in already
              </button>
            </p>
          ) : null}
        </div>
      ) : null}
      {wantsReason ? (
        <Field label="Say why it is to go in all the same">
          {(bound) => (
            <Input {...bound} value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
          )}
        </Field>
      ) : null}
      <p className="quiet small">What acids, bases and salts do at once with it is computed; sheet and yield follow.</p>
    </EntryForm>
  );
}
