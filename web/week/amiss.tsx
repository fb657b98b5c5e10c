import type { WeekAnswer } from '#contract/api';
import type { Week, WeekInput } from '#run/week';
import { brokenText, type WeekNames } from '../fits/sentences.ts';
import { lengthText, type WeekClock } from '../parts/when-text.ts';
import { LateHelp } from './late-help.tsx';

interface AmissProps {
  readonly answer: WeekAnswer;
  readonly week: Week | undefined;
  readonly input: WeekInput | undefined;
  readonly names: WeekNames;
  readonly clock: WeekClock;
  /** Shows a step with why it stands there. */
  readonly onChoose: (id: string) => void;
}

/** So many that are late are asked what would help. */
const HELPED = 2;

/** What has no place, what is late, what a step breaks where it stands, what cannot be read: each in a sentence. */
export function Amiss({ answer, week, input, names, clock, onChoose }: AmissProps) {
  const late = week?.late ?? [];
  const tardy = late.filter(({ past }) => !past);
  const lines = [
    ...answer.unread.map((text) => ({ text, id: null })),
    ...(week?.broken ?? []).map((each) => ({ text: brokenText(each, names), id: each.id })),
    ...tardy.map((each) => ({ text: lateText(each, answer, names), id: each.id })),
    ...leftLines(answer, week, names).map((text) => ({ text, id: null })),
    ...unseenLines(answer, week, names).map((text) => ({ text, id: null })),
  ];
  const taskOf = new Map(answer.tasks.map((task) => [task.id, task]));
  const helped = new Map(
    tardy
      .filter(({ id }) => !isWaitedFor(taskOf.get(id)))
      .slice(0, HELPED)
      .map((each) => [each.id, each]),
  );
  const overdue = late.filter(({ past }) => past);
  if (lines.length + overdue.length === 0) return null;
  return (
    <ul className="week-amiss-list" aria-label="What is amiss">
      {lines.map(({ text, id }) => {
        const lateBy = id === null ? undefined : helped.get(id)?.byMin;
        return (
          <li key={text} className="problem">
            {text}{' '}
            {input && id !== null && lateBy !== undefined ? (
              <LateHelp input={input} id={id} lateBy={lateBy} names={names} clock={clock} />
            ) : null}
            {id === null ? null : (
              <button type="button" className="link" aria-label={`Why: ${names.step(id)}`} onClick={() => onChoose(id)}>
                why
              </button>
            )}
          </li>
        );
      })}
      {overdue.length > 0 ? (
        <li className="watch">
          Overdue before the week began:{' '}
          {overdue.map(({ id, byMin }) => `${names.step(id)}, ${lengthText(byMin)}`).join('; ')}.
        </li>
      ) : null}
    </ul>
  );
}

/** Whether a step must follow what is done already. */
const isWaitedFor = (task: WeekAnswer['tasks'][number] | undefined): boolean =>
  task !== undefined && task.soon !== '' && task.withinMin === undefined && task.startedMin === undefined;

function lateText(
  { id, byMin, surely }: Week['late'][number],
  { tasks, choices }: WeekAnswer,
  names: WeekNames,
): string {
  const task = tasks.find((each) => each.id === id);
  // What goes before it is done: no hour of later days helps it, only doing it.
  if (isWaitedFor(task)) return `Do it now, if you can: ${names.step(id)}${names.soon(id)}.`;
  const batch = task?.batch ?? '';
  const verb = surely ? 'is' : 'may be';
  return Object.hasOwn(choices.wanted, batch)
    ? `${names.batch(batch)} ${verb} done ${lengthText(byMin)} after you want it.`
    : `${names.step(id)} ${verb} over ${lengthText(byMin)} after it should.`;
}

/** One line a batch: ten steps after one that has no place are not ten faults. */
function leftLines({ tasks }: WeekAnswer, week: Week | undefined, names: WeekNames): readonly string[] {
  const batchOf = new Map(tasks.map(({ id, batch }) => [id, batch]));
  const by = new Map<string, { readonly id: string; readonly why: string; count: number }>();
  for (const { id, why } of week?.left ?? []) {
    const batch = batchOf.get(id) ?? id;
    const known = by.get(batch);
    if (known) known.count += 1;
    else by.set(batch, { id, why, count: 1 });
  }
  return [...by.values()].map(({ id, why, count }) => {
    const more = count > 1 ? ` and the ${count - 1} after it` : '';
    return `No place for ${names.step(id)}${more}. ${why}`;
  });
}

/** Longer than this unseen is said of a step that must not be left. */
const UNSEEN_MIN = 30;

function unseenLines({ tasks }: WeekAnswer, week: Week | undefined, names: WeekNames): readonly string[] {
  const near = new Set(
    tasks.filter(({ wait, startedMin }) => wait === 'near' && startedMin === undefined).map(({ id }) => id),
  );
  return (week?.placed ?? []).flatMap(({ id, unseenMin }) =>
    near.has(id) && unseenMin > UNSEEN_MIN
      ? [`${names.step(id)} may go on for ${lengthText(unseenMin)} while everybody sleeps.`]
      : [],
  );
}
