import { Checkbox, Input, Segmented } from 'antd';
import { useState } from 'react';
import { insertRefused } from '#run/state';
import { newId } from '#web/api/ids.ts';
import { EntryForm } from '#web/kit/entry-form.tsx';
import { Field } from '#web/kit/field.tsx';
import { NumberField } from '#web/kit/number-field.tsx';
import { plainText } from '#web/parts/sentence.tsx';
import { InsertKind, insertedOwn, lacksOf, NOTHING } from '#web/run/insert-kind.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { JoinForm, SplitForm } from './part-pane.tsx';
import { RedissolveForm } from './redissolve-form.tsx';
import { UseFurtherForm } from './use-further-form.tsx';

const CHANGES = [
  'insert',
  'repeat',
  'skip',
  'enlarge',
  'split',
  'join',
  'redissolve',
  'use further',
  'abandon',
] as const;
type Change = (typeof CHANGES)[number];
/** Changes whose own form sends them. */
const OWN: ReadonlySet<Change> = new Set(['split', 'join', 'redissolve', 'use further']);

/** The run as it is lived: a step inserted, repeated or skipped, or the whole abandoned. Each is an entry like any other. */
export function ChangePane(props: PaneProps) {
  const { run, step, onClose } = props;
  const [factor, setFactor] = useState<number | null>(1.5);
  const [change, setChange] = useState<Change>('insert');
  const [title, setTitle] = useState('');
  const [why, setWhy] = useState('');
  const [beside, setBeside] = useState(false);
  const [alone, setAlone] = useState(false);
  const [every, setEvery] = useState<number | null>(null);
  const [kind, setKind] = useState(NOTHING);
  const [problem, setProblem] = useState('');
  const send = () => {
    if (change === 'insert' && title.trim() === '')
      return setProblem('What is the new step? A few words, such as “wash with cold water”.');
    const refused = change === 'insert' ? lacksOf(kind) || insertRefused(kind.kind, run.state.sheet) : '';
    if (refused !== '') return setProblem(refused);
    if ((change === 'skip' || change === 'abandon') && why.trim() === '')
      return setProblem('Say why in a few words; it stands in the record.');
    if (change === 'skip') run.enter({ kind: 'step-skipped', step: step.key, reason: why.trim() });
    else if (change === 'enlarge') {
      if (factor === null || factor <= 1)
        return setProblem('Enlarging means more than 1 times: 1.5 is half as much again.');
      run.enter({ kind: 'enlarged', step: step.key, factor, why: why.trim() });
    } else if (change === 'abandon') run.enter({ kind: 'abandoned', reason: why.trim() });
    else {
      run.enter({
        kind: 'step-inserted',
        step: newId('step'),
        after: step.key,
        beside,
        repeats: change === 'repeat' ? step.key : null,
        ...(change === 'insert' ? insertedOwn(kind) : {}),
        title: change === 'repeat' ? `Again: ${plainText(step.title)}`.slice(0, 120) : title.trim(),
        why: why.trim(),
        leave: { alone, lookEveryMin: every },
      });
    }
    onClose();
  };
  const inserting = change === 'insert' || change === 'repeat';
  return (
    <EntryForm onEnter={send}>
      <Segmented
        aria-label="What to change"
        options={[...CHANGES]}
        value={change}
        onChange={(value) => {
          setChange(value as Change);
          setProblem('');
        }}
      />
      <p className="quiet small">{EXPLAINED[change]}</p>
      <div className="pane-row">
        {change === 'insert' ? (
          <Field label="New step">
            {(bound) => (
              <Input
                {...bound}
                value={title}
                maxLength={120}
                placeholder="wash with cold water"
                onChange={(event) => {
                  setTitle(event.target.value);
                  setProblem('');
                }}
              />
            )}
          </Field>
        ) : null}
        {change === 'insert' ? <InsertKind plan={run.batch.plan} value={kind} onChange={setKind} /> : null}
        <Field label="Why" grows>
          {(bound) => (
            <Input
              {...bound}
              value={why}
              maxLength={500}
              onChange={(event) => {
                setWhy(event.target.value);
                setProblem('');
              }}
            />
          )}
        </Field>
        {change === 'enlarge' ? (
          <NumberField label="Times as large" unit="×" value={factor} min={1.01} max={20} onChange={setFactor} />
        ) : null}
        {change === 'split' ? <SplitForm run={run} why={why.trim()} /> : null}
        {change === 'join' ? <JoinForm {...props} /> : null}
        {change === 'redissolve' ? <RedissolveForm {...props} why={why.trim()} /> : null}
        {change === 'use further' ? <UseFurtherForm {...props} why={why.trim()} /> : null}
        {inserting ? (
          <>
            <Checkbox checked={beside} onChange={(event) => setBeside(event.target.checked)}>
              beside this one
            </Checkbox>
            <Checkbox checked={alone} onChange={(event) => setAlone(event.target.checked)}>
              may be left
            </Checkbox>
            <NumberField label="look every" unit="min" value={every} min={1} max={525_600} onChange={setEvery} />
          </>
        ) : null}
        {OWN.has(change) ? null : (
          <button type="submit" className="tab">
            {BUTTONS[change] ?? ''}
          </button>
        )}
      </div>
      {problem ? (
        <p className="problem small" role="alert">
          {problem}
        </p>
      ) : null}
    </EntryForm>
  );
}

const BUTTONS: Readonly<Partial<Record<Change, string>>> = {
  enlarge: 'Make it larger',
  insert: 'Insert it',
  repeat: 'Insert it',
  skip: 'Skip this step',
  abandon: 'Abandon the run',
};

const EXPLAINED: Readonly<Record<Change, string>> = {
  insert: 'Insert a step after this one.',
  repeat: 'Do this step once more, after it.',
  skip: 'Leave this step out; what it would have done is not computed.',
  enlarge: 'What is in stays; what is still to come, and a top-up of what is in, is computed for the larger batch.',
  split: 'A part of what is in the vessel goes on as a batch of its own, with its share of the yield.',
  redissolve:
    'What was caught goes back into hot water and is crystallised again; the steps from there are inserted once more.',
  'use further':
    'The product, or a part of it, is used before it is dry: to the shelf, intermediate, with what is expected in it.',
  join: 'Another running batch of this route is poured into this one.',
  abandon: 'End the run here. Its record stays, with the reason.',
};
