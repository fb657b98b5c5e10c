import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { listed, parseQuantity } from '#base/units';
import type { WeekAnswer } from '#contract/api';
import type { InWeek, WeekInput } from '#run/week';
import { Field } from '../kit/field.tsx';
import { lengthText, type WeekClock } from '../parts/when-text.ts';
import { useCompute } from '../worker/compute.ts';
import { linkOf } from './link-of.ts';
import type { WeekNames } from './sentences.ts';

interface FitsProps {
  readonly answer: WeekAnswer;
  readonly input: WeekInput;
  readonly names: WeekNames;
  readonly clock: WeekClock;
  readonly nowMin: number;
}

/** So long free from now on: what can be done in it, in which order; and what else, if what is stayed with were made safe first. */
export function FitsNow({ nowMin, ...rest }: FitsProps) {
  const [text, setText] = useState('2 h');
  const read = parseQuantity(text, ['time']);
  const minutes = read.ok ? read.value.value / 60 : null;
  const { input, names } = rest;
  const left = useMemo(() => ({ ...input, tasks: input.tasks.map(asLeft) }), [input]);
  const stays = input.tasks.filter(
    (task) => isStayedWith(task) && task.handsOnMin + task.waitMin[1] + (task.startedMin ?? 0) > nowMin,
  );
  const fromMin = Math.max(0, nowMin);
  return (
    <section aria-label="What fits now">
      <h2>Free now</h2>
      <Field label="I have" problem={read.ok || text.trim() === '' ? '' : read.problem.message}>
        {(bound) => <Input {...bound} value={text} maxLength={20} onChange={(event) => setText(event.target.value)} />}
      </Field>
      {minutes === null ? null : <Fitting {...rest} fromMin={fromMin} minutes={minutes} />}
      {minutes === null || stays.length === 0 ? null : (
        <>
          <p className="quiet small">
            You stay with {listed(stays.map(({ batch }) => names.batch(batch)))}. Made safe and left, this fits:
          </p>
          <Fitting {...rest} input={left} fromMin={fromMin} minutes={minutes} />
        </>
      )}
    </section>
  );
}

type Step = WeekInput['tasks'][number];
const isStayedWith = ({ startedMin, wait }: Step): boolean => startedMin !== undefined && wait === 'stay';
/** Under way, and made safe: it wants nobody for now. */
const asLeft = (task: Step): Step => (isStayedWith(task) ? { ...task, wait: 'alone', handsOnMin: 0 } : task);

/** The steps that fit a stretch. */
export function Fitting({
  answer,
  input,
  names,
  clock,
  fromMin,
  minutes,
}: Omit<FitsProps, 'nowMin'> & { readonly fromMin: number; readonly minutes: number }) {
  // Counted from the last five minutes: what fits does not change with every second.
  const from = Math.floor(fromMin / 5) * 5;
  const { value, problem, busy } = useCompute(
    'fits',
    useMemo(() => ({ week: input, fromMin: from, minutes }), [input, from, minutes]),
  );
  if (problem) return <p className="problem">{problem.message}</p>;
  if (!value) return busy ? <p className="quiet small">Looking …</p> : null;
  if (value.length === 0)
    return <p>Nothing that is ready fits into that. A longer stretch, or something under way, has to come first.</p>;
  return <Steps steps={value} answer={answer} names={names} clock={clock} />;
}

function Steps({
  steps,
  answer,
  names,
  clock,
}: Pick<FitsProps, 'answer' | 'names' | 'clock'> & { readonly steps: readonly InWeek[] }) {
  const tasks = new Map(answer.tasks.map((task) => [task.id, task]));
  return (
    <ol className="week-list" aria-label="What fits">
      {steps.map(({ id, from, presentUntil, over }) => {
        const task = tasks.get(id);
        if (!task) return null;
        const goesOn = over[1] - presentUntil > 10 ? `; then by itself until ${clock.text(over[0])}` : '';
        return (
          <li key={id}>
            <b className="mono">{clock.hour(from)}</b> <Link to={linkOf(task)}>{task.title}</Link>
            <span className="quiet small">
              {task.step === '' ? '' : `, ${names.batch(task.batch)}`} · {lengthText(presentUntil - from)}
              {goesOn}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
