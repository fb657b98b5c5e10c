import { Button } from 'antd';
import { useState } from 'react';
import type { Rehearsed, WeekInput } from '#run/week';
import type { WeekNames } from '../fits/sentences.ts';
import { useCompute } from '../worker/compute.ts';

const TRIES = 100;
/** Fewer tries than one in ten are not worth a line. */
const WORTH = 0.1;
const SEED = 20_261_127;

/** The week gone through a hundred times with hands and waits as they fall: where it fails. */
export function Rehearsal({ input, names }: { input: WeekInput | undefined; names: WeekNames }) {
  // Asked once, it follows the week: an answer for a week that has moved on meanwhile would be dropped in silence.
  const [asked, setAsked] = useState(false);
  const overdue = new Set(input?.tasks.filter(({ byMin }) => byMin !== undefined && byMin <= 0).map(({ id }) => id));
  const { value, busy, problem } = useCompute(
    'rehearseWeek',
    asked && input ? { week: input, tries: TRIES, seed: SEED } : undefined,
  );
  return (
    <section aria-label="The week rehearsed">
      <h2>Rehearse it</h2>
      {asked ? null : <Button onClick={() => setAsked(true)}>Go through it a hundred times</Button>}
      {busy ? <p className="quiet">Going through it …</p> : null}
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value && !busy ? <Found steps={value.steps.map((each) => withoutOverdue(each, overdue))} names={names} /> : null}
      <p className="quiet small">
        About: hands a tenth longer than planned, give or take a quarter; one wait in ten longer than its longest.
      </p>
    </section>
  );
}

/** What was late before the week began is late in every try: that is said elsewhere. */
const withoutOverdue = (each: Rehearsed, overdue: ReadonlySet<string>): Rehearsed =>
  overdue.has(each.id) ? { ...each, late: 0 } : each;

function Found({ steps, names }: { steps: readonly Rehearsed[]; names: WeekNames }) {
  const worst = steps
    .map((each) => ({ ...each, most: Math.max(each.slipped, each.intoNight, each.late) }))
    .filter(({ most }) => most >= WORTH * TRIES)
    .sort((a, b) => b.most - a.most)
    .slice(0, 8);
  if (worst.length === 0) return <p className="within">It holds: no step goes wrong in more than one try in ten.</p>;
  return (
    <ul className="week-list" aria-label="Where it fails">
      {worst.map((each) => (
        <li key={each.id}>
          {names.step(each.id)}: {wordsOf(each).join('; ')}.
        </li>
      ))}
    </ul>
  );
}

function wordsOf({ slipped, intoNight, late }: Rehearsed): readonly string[] {
  const of = (count: number) => `in ${count} of ${TRIES} tries`;
  return [
    ...(intoNight >= WORTH * TRIES ? [`${of(intoNight)} it goes on past your hours`] : []),
    ...(slipped >= WORTH * TRIES ? [`${of(slipped)} it slips to a later day`] : []),
    ...(late >= WORTH * TRIES ? [`${of(late)} it is late`] : []),
  ];
}
