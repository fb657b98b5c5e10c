import type { BenchTask } from '#run/agenda';
import { type StandTogether, standTogether } from '#run/week';
import { togetherText, type WeekNames } from '../fits/sentences.ts';

/** What goes on at once and has to be kept apart; nothing where nothing has. */
export function WhatStandsTogether({ tasks, names }: { tasks: readonly BenchTask[]; names: WeekNames }) {
  const found = standTogether(tasks);
  if (found.length === 0) return null;
  return (
    <section aria-label="What stands together">
      <h2>What stands together</h2>
      {found.map((each: StandTogether) => (
        <p key={each.by + each.beside} className={each.never ? 'caution caution-stop' : 'caution'}>
          {togetherText(each, names)}
        </p>
      ))}
    </section>
  );
}
