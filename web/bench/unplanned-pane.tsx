import { Input, type InputRef, Select } from 'antd';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { useBottles } from '../api/queries.ts';
import { useCompute } from '../worker/compute.ts';
import { AmountField, readAmount, refusedAmount } from './amount-field.tsx';
import type { PaneProps } from './pane-props.ts';

const WATER = 'water';

/** Something that no step asked for, from any bottle: checked against what is in the vessel before it goes in. */
export function UnplannedPane({ run, step, onClose }: PaneProps) {
  const ids = { what: useId(), reason: useId() };
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
      const { substanceId, strength } = bottle.card;
      const pct = strength?.unit === 'w/w' ? Math.min(100, strength.value) : 20;
      return { present: now.present, added: { substanceId, pct } };
    }, [bottle, now]),
  );
  const clashes = clash.value ?? [];
  const worst = bottle ? clashes[0] : undefined;
  const enter = () => {
    const amount = readAmount(text, unit, run.batch.plan.bench.measures);
    if (!amount.ok) return setProblem(amount.problem.message);
    const refused = refusedAmount(amount.value);
    if (refused) return setProblem(refused);
    run.enter({
      kind: 'added',
      step: step.key,
      role: null,
      bottleId: bottle?.id ?? null,
      reading: amount.value,
      reason: reason.trim(),
      ...(bottle ? { stock: { card: bottle.card, usedG: bottle.usedG } } : {}),
    });
    onClose();
  };
  // Not before it is known what it does in there.
  const blocked = clash.busy || worst?.severity === 'refuse' || (worst?.severity === 'danger' && reason.trim() === '');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (!blocked) enter();
      }}
    >
      <div className="pane-row">
        <div className="field">
          <label htmlFor={ids.what}>What goes in</label>
          <Select
            id={ids.what}
            size="large"
            showSearch={{ optionFilterProp: 'label' }}
            style={{ width: 240, marginBottom: 22 }}
            value={what}
            options={[
              { value: WATER, label: 'water' },
              ...shelf.map(({ id, card }) => ({ value: id, label: card.name })),
            ]}
            onChange={setWhat}
          />
        </div>
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
        </div>
      ) : null}
      {worst?.severity === 'danger' ? (
        <div className="field">
          <label htmlFor={ids.reason}>Say why it is to go in all the same</label>
          <Input id={ids.reason} value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
        </div>
      ) : null}
      <p className="quiet small">What acids, bases and salts do at once with it is reckoned; sheet and yield follow.</p>
    </form>
  );
}
