import type { WeekAnswer } from '#contract/api';
import type { Week } from '#core/week';
import { lengthText } from '../parts/when-text.ts';
import { brokenText, type WeekNames } from './sentences.ts';

/** What has no place, what is late, what a place by hand breaks, what cannot be read: each in a sentence. */
export function Amiss({ answer, week, names }: { answer: WeekAnswer; week: Week | undefined; names: WeekNames }) {
  const late = week?.late ?? [];
  const lines = [
    ...answer.unread,
    ...(week?.broken ?? []).map((each) => brokenText(each, names)),
    ...late.filter(({ past }) => !past).map((each) => lateText(each, answer, names)),
    ...leftLines(answer, week, names),
    ...unseenLines(answer, week, names),
  ];
  const overdue = late.filter(({ past }) => past);
  if (lines.length + overdue.length === 0) return null;
  return (
    <ul className="week-amiss-list" aria-label="What is amiss">
      {lines.map((each) => (
        <li key={each} className="problem">
          {each}
        </li>
      ))}
      {overdue.length > 0 ? (
        <li className="watch">
          Overdue before the week began:{' '}
          {overdue.map(({ id, byMin }) => `${names.step(id)}, ${lengthText(byMin)}`).join('; ')}.
        </li>
      ) : null}
    </ul>
  );
}

function lateText(
  { id, byMin, surely }: Week['late'][number],
  { tasks, choices }: WeekAnswer,
  names: WeekNames,
): string {
  const batch = tasks.find((task) => task.id === id)?.batch ?? '';
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
