import type { WeekAnswer } from '#contract/api';
import type { Broken, InWeek, Relief, StandTogether } from '#run/week';
import { lengthText, type WeekClock } from '../parts/when-text.ts';

/** What things of a week are called. */
export interface WeekNames {
  /** “filter off the specks, zinc sulfate”. */
  readonly step: (id: string | null) => string;
  readonly batch: (id: string) => string;
  /** Whether a step is under way: when it is over, whoever is with it says. */
  readonly begun: (id: string | null) => boolean;
  /** Why it must come soon, behind a colon; empty where nothing is held of it. */
  readonly soon: (id: string) => string;
  /** “Warm it until it is dissolved” within 10 min. */
  readonly soonAfter: (id: string, by: string | null) => string;
}

export function namesOf({ tasks, batches }: Pick<WeekAnswer, 'tasks' | 'batches'>): WeekNames {
  const titles = new Map(batches.map(({ id, title }) => [id, title]));
  const steps = new Map(tasks.map((task) => [task.id, task]));
  const batch = (id: string) => titles.get(id) ?? steps.get(id)?.title ?? id;
  return {
    batch,
    begun: (id) => id !== null && steps.get(id)?.startedMin !== undefined,
    soon: (id) => {
      const why = steps.get(id)?.soon ?? '';
      return why === '' ? '' : `: ${why}`;
    },
    soonAfter: (id, by) => {
      const within = steps.get(id)?.withinMin;
      const before = by === null ? undefined : steps.get(by);
      return `“${before?.title ?? 'the step before it'}”${within === undefined ? '' : ` within ${lengthText(within)}`}`;
    },
    step: (id) => {
      const task = id === null ? undefined : steps.get(id);
      if (!task) return 'another step';
      return titles.has(task.batch) && task.step !== '' ? `“${task.title}”, ${batch(task.batch)}` : `“${task.title}”`;
    },
  };
}

/** Why a step stands where it stands. */
export function whyThere({ because, by, gear, from }: InWeek, names: WeekNames, clock: WeekClock): string {
  const until = clock.text(from);
  switch (because) {
    case 'at once':
      return 'It can be begun at once.';
    case 'what goes before':
      return names.begun(by)
        ? `It comes after ${names.step(by)}, which is under way and should be over by ${until}.`
        : `It comes after ${names.step(by)}, which is over by ${until} at the latest.`;
    case 'the hours you are there':
      return 'It waits for the next hours at the bench that are long enough for it.';
    case 'what follows':
      return `Begun sooner, ${names.step(by)} could not follow in time.`;
    case 'daylight':
      return 'It is done outdoors, and waits for daylight in your hours.';
    case 'the weather':
      return 'It is done outdoors, and sooner it would be too cold or too warm for it.';
    case 'somebody awake':
      return 'Begun sooner it would go on while everybody sleeps, and it is to be looked at.';
    case 'another step in hand':
      return `Until ${until} you are busy with ${names.step(by)}.`;
    case 'gear in use':
      return `The ${gear} is in use until ${until}: ${names.step(by)}.`;
    case 'the air':
      return `What comes off must not meet ${names.step(by)}, which is over by ${until}.`;
    case 'held back':
      return 'It is held back: begun sooner it would stand through more nights, or cost you another visit.';
    case 'put there':
      return 'You put it there.';
    case 'it had begun':
      return 'It has begun.';
  }
}

/** What a step breaks where it was put. */
export function brokenText({ id, what, by, gear, min }: Broken, names: WeekNames): string {
  const long = lengthText(min);
  const who = names.step(id);
  switch (what) {
    case 'nobody there':
      return `${who}: ${long} of it lie outside your hours at the bench.`;
    case 'dark':
      return `${who} is done outdoors, and ${long} of it lie in the dark or in the rain.`;
    case 'weather':
      return `${who} is done outdoors, on a day that is too cold or too warm for it.`;
    case 'order':
      return `${who}: ${names.step(by)} may be over ${long} too late for it.`;
    case 'two at once':
      return `${who}: for ${long} you are busy with ${names.step(by)} as well.`;
    case 'gear':
      return `${who}: for ${long} the ${gear} is with ${names.step(by)}.`;
    case 'too long after':
      return `${who} should follow ${names.soonAfter(id, by)}; its first place is ${long} after that${names.soon(id)}.`;
    case 'air':
      return `${who}: for ${long} it would share the air with ${names.step(by)}, and the two must not meet.`;
  }
}

/** What would let a step come sooner. */
export function reliefText(relief: Relief, names: WeekNames, clock: WeekClock): string {
  const sooner = `${lengthText(relief.soonerMin)} sooner`;
  switch (relief.by) {
    case 'longer':
      return `An hour longer at the bench after ${clock.text(relief.stretch[1])}: ${sooner}.`;
    case 'second':
      return `A second ${relief.gear}: ${sooner}.`;
    case 'without':
      return `Without ${names.batch(relief.batch)} in these days: ${sooner}.`;
    case 'any light':
      return `If it could be done after dark: ${sooner}.`;
  }
}

/** What would have a step over in time that is late by so many minutes. */
export function lateHelpText(
  reliefs: readonly Relief[],
  lateBy: number,
  { names, clock }: { readonly names: WeekNames; readonly clock: WeekClock },
): string {
  // Most of all helps what comes first; the smallest that is enough comes last.
  const enough = reliefs.filter(({ soonerMin }) => soonerMin >= lateBy).at(-1);
  if (enough) return `In time with this: ${reliefText(enough, names, clock)}`;
  const [most] = reliefs;
  return most
    ? `Not in time by any one change; most helps: ${reliefText(most, names, clock)}`
    : 'No hour more, second piece of gear or batch less would bring it forward: want it later, or begin less of it.';
}

/** What two steps that go on at once are to be kept from. */
export function togetherText({ gives, by, beside, never }: StandTogether, names: WeekNames): string {
  const told = `${names.step(by)} gives off ${gives}.`;
  return never
    ? `${told} ${names.step(beside)} must not go on beside it: end one of them, or take it outdoors.`
    : `${told} ${names.step(beside)} is hot: at least 2 m between them, and the air moving.`;
}
