import { Button, Input } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { WeekInput } from '#run/week';
import { linkOf } from '../fits/link-of.ts';
import { reliefText, type WeekNames, whyThere } from '../fits/sentences.ts';
import { Field } from '../kit/field.tsx';
import { fieldText, lengthText, type WeekClock } from '../parts/when-text.ts';
import { useCompute } from '../worker/compute.ts';
import type { Card } from './days.ts';

interface ChosenStepProps {
  readonly card: Card;
  /** What would help is asked of it; not while something is being moved. */
  readonly input: WeekInput | undefined;
  readonly names: WeekNames;
  readonly clock: WeekClock;
  /** Puts it at a minute of the week; null lets it go. */
  readonly onPut: (min: number | null) => void;
}

/** A step of the week: how sure its time is, why it stands there, what would bring it forward, and a place by hand. */
export function ChosenStep({ card: { task, placed }, input, names, clock, onPut }: ChosenStepProps) {
  const fixed = task.startedMin !== undefined;
  const asked = useMemo(() => (fixed || !input ? undefined : { week: input, id: task.id }), [input, task.id, fixed]);
  const reliefs = useCompute('reliefs', asked);
  return (
    <section aria-label="This step in the week">
      <h2>{task.title}</h2>
      <p className="quiet small">
        <Link to={linkOf(task)}>{task.step === '' ? 'Do it' : names.batch(task.batch)}</Link>, {PLACES[task.where]}
      </p>
      <dl className="week-facts">
        <dt>{fixed ? 'since' : 'begins'}</dt>
        <dd>
          <b>{clock.text(placed.from)}</b>
          {placed.from - placed.earliest >= 10 ? `, or from ${clock.text(placed.earliest)} on` : ''}
        </dd>
        <dt>hands on</dt>
        <dd>about {lengthText(task.handsOnMin)}</dd>
        {task.waitMin[1] > 0 ? (
          <>
            <dt>then waits</dt>
            <dd>
              {task.waitMin[1] - task.waitMin[0] < 1
                ? `about ${lengthText(task.waitMin[1])}`
                : `${lengthText(task.waitMin[0])} to ${lengthText(task.waitMin[1])}`}
              {task.ownRuns > 0 ? `, by ${task.ownRuns} of your runs` : ''}
            </dd>
            <dt>over</dt>
            <dd>
              {clock.text(placed.over[0])}
              {placed.over[1] - placed.over[0] >= 5 ? ` to ${clock.text(placed.over[1])}` : ''}
            </dd>
            <dt>meanwhile</dt>
            <dd>{meanwhile(task)}</dd>
          </>
        ) : null}
        {task.ceilingC === null ? null : (
          <>
            <dt>alarm</dt>
            <dd>above {task.ceilingC} °C</dd>
          </>
        )}
        {task.gear.length > 0 ? (
          <>
            <dt>takes</dt>
            <dd>{task.gear.join(', ')}</dd>
          </>
        ) : null}
      </dl>
      {placed.unseenMin > 30 ? (
        <p className="watch small">
          For {lengthText(placed.unseenMin)} of it nobody is awake. Begin it so that it ends by day, or take it apart
          for the night.
        </p>
      ) : null}
      <h3>Why then</h3>
      <p>{whyThere(placed, names, clock)}</p>
      {task.soon !== '' && task.withinMin === undefined && !fixed ? (
        <p className="watch">What goes before it is done, so do it soon{names.soon(task.id)}.</p>
      ) : null}
      {task.withinMin === undefined ? null : (
        <p>
          At most {lengthText(task.withinMin)} after what goes before it{names.soon(task.id)}.
        </p>
      )}
      {reliefs.value && reliefs.value.length > 0 && !reliefs.busy ? (
        <>
          <h3>What would bring it forward</h3>
          <ul className="week-list">
            {reliefs.value.slice(0, 4).map((each) => (
              <li key={JSON.stringify(each)}>{reliefText(each, names, clock)}</li>
            ))}
          </ul>
        </>
      ) : null}
      {fixed ? null : <ByHand key={`${task.id} ${placed.from}`} card={{ task, placed }} clock={clock} onPut={onPut} />}
    </section>
  );
}

function ByHand({ card: { task, placed }, clock, onPut }: Pick<ChosenStepProps, 'card' | 'clock' | 'onPut'>) {
  const [text, setText] = useState(fieldText(clock.at(placed.from)));
  const at = Date.parse(text);
  const wrong = Number.isNaN(at) ? 'Say a day and a time: 28.11.2026 10:00.' : '';
  const past = !wrong && at < Date.now() - 60_000 ? 'That is past: say a time that is still to come.' : '';
  return (
    <>
      <h3>Put it elsewhere</h3>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (!wrong && !past) onPut(clock.min(at));
        }}
      >
        <Field label="Begin it" problem={wrong || past}>
          {(bound) => (
            <Input {...bound} type="datetime-local" value={text} onChange={(event) => setText(event.target.value)} />
          )}
        </Field>
        <div className="row">
          <Button htmlType="submit" disabled={Boolean(wrong || past)}>
            Put it there
          </Button>
          {task.pinnedMin === undefined ? null : <Button onClick={() => onPut(null)}>Let it go</Button>}
        </div>
      </form>
    </>
  );
}

const PLACES: Readonly<Record<Card['task']['where'], string>> = {
  anywhere: 'anywhere at the bench',
  ventilated: 'with air moving',
  outdoors: 'outdoors, by daylight',
};

function meanwhile({ wait, lookEveryMin }: Card['task']): string {
  const look = lookEveryMin === null ? '' : `, look every ${lengthText(lookEveryMin)}`;
  return { alone: `may be left${look}`, near: `somebody awake in the house${look}`, stay: `stay with it${look}` }[wait];
}
