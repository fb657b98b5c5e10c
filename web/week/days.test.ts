import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import type { WeekAnswer } from '#contract/api';
import { weekInputOf } from '#contract/week-input';
import { placeWeek, reasons } from '#run/week';
import { brokenText, lateHelpText, namesOf, reliefText, togetherText, whyThere } from '../fits/sentences.ts';
import { weekClock } from '../parts/when-text.ts';
import { benchTask, WEEK_FROM, weekAnswer } from '../testing/week.ts';
import { daysOf, placeOn, runsOf } from './days.ts';
import { keptPlan } from './kept-plan.ts';
import { movedIn } from './moved.tsx';

const DAY = 1440;
const planned = (of: WeekAnswer) => unwrap(placeWeek(weekInputOf(of)));

describe('the days of a week', () => {
  const of = weekAnswer([
    benchTask('a1'),
    benchTask('a2', { after: ['a1'], waitMin: [600, 700] }),
    benchTask('a3', { after: ['a2'] }),
    benchTask('b1', { handsOnMin: 60 }),
  ]);
  const days = daysOf(of, planned(of), [0, 2]);

  it('have their steps in order, what is left of their hours, and what goes on through the night', () => {
    expect(days.map(({ cards }) => cards.map(({ task }) => task.id).sort())).toEqual([['a1', 'a2', 'b1'], ['a3']]);
    expect(days[0]!.leftMin).toBe(240 - 120);
    expect(days[0]!.overnight).toEqual(['a']);
    expect(days[1]!.overnight).toEqual([]);
  });

  it('put steps of one batch together that follow one another at once', () => {
    expect(runsOf(days[0]!).map(({ cards }) => cards.length)).toEqual([1, 2]);
  });

  it('say where a step comes to stand that is put down: behind what stands before it, or as the hours begin', () => {
    const [first] = days[0]!.cards;
    expect(placeOn(days[0]!, null, 'x')).toBe(1200);
    expect(placeOn(days[0]!, first!.task.id, 'x')).toBe(1080);
    expect(placeOn(days[1]!, null, 'a3')).toBe(DAY + 600);
  });
});

describe('a plan that was kept', () => {
  it('is the same when it is placed again, and says what has moved', () => {
    const of = weekAnswer([benchTask('a1'), benchTask('b1', { handsOnMin: 60 })]);
    const clock = weekClock(WEEK_FROM, Date.parse(WEEK_FROM));
    const kept = keptPlan(planned(of), clock);
    const again = weekAnswer(of.tasks, kept);
    expect(planned(again).placed).toEqual(planned(of).placed);
    expect(movedIn(again, planned(again), clock)).toEqual([]);
    const later = weekAnswer(
      of.tasks.map((task) => (task.id === 'b1' ? { ...task, notBeforeMin: DAY + 700 } : task)),
      kept,
    );
    expect(movedIn(later, planned(later), clock).map(({ id }) => id)).toContain('b1');
  });
});

describe('sentences of the week', () => {
  const names = namesOf(weekAnswer([benchTask('a1'), benchTask('b1')]));
  const clock = weekClock(WEEK_FROM, Date.parse(WEEK_FROM));
  const [placed] = planned(weekAnswer([benchTask('a1')])).placed;

  it('say why a step stands there, whatever it is, and read well', () => {
    // What is under way is over when whoever is with it says so: no “at the latest” of it.
    const begun = namesOf(weekAnswer([benchTask('a1'), benchTask('b1', { startedMin: 0 })]));
    const after = { ...placed!, because: 'what goes before', by: 'b1', gear: null } as const;
    expect(whyThere(after, begun, clock)).toMatch(/is under way and should be over by/);
    expect(whyThere(after, names, clock)).toMatch(/at the latest\.$/);
    for (const because of reasons) {
      const text = whyThere({ ...placed!, because, by: 'b1', gear: 'hotplate' }, names, clock);
      expect(text).toMatch(/^[A-Z].*\.$/);
      expect(text).not.toMatch(/undefined|null|NaN/);
    }
  });

  it('say what a place by hand breaks, and what would bring a step forward', () => {
    for (const what of ['nobody there', 'dark', 'order', 'two at once', 'gear', 'air'] as const)
      expect(brokenText({ id: 'a1', what, by: 'b1', gear: 'hotplate', min: 75 }, names)).toMatch(
        /“step a1”, alum.*1 h 15.*\.$/,
      );
    const longer = (soonerMin: number) => ({ by: 'longer', stretch: [1080, 1320], soonerMin }) as const;
    const second = { by: 'second', gear: 'wide dish', soonerMin: 300 } as const;
    // The smallest change that is enough, not the greatest there is.
    expect(lateHelpText([longer(900), second, longer(60)], 200, { names, clock })).toBe(
      'In time with this: A second wide dish: 5 h sooner.',
    );
    expect(lateHelpText([second], 400, { names, clock })).toBe(
      'Not in time by any one change; most helps: A second wide dish: 5 h sooner.',
    );
    expect(lateHelpText([], 400, { names, clock })).toMatch(/^No hour more/);
    const hot = namesOf(
      weekAnswer([benchTask('a1', { withinMin: 10, soon: 'cold, it crystallises in the filter' }), benchTask('b1')]),
    );
    const late = { id: 'a1', what: 'too long after', by: 'b1', gear: null, min: 75 } as const;
    expect(brokenText(late, hot)).toBe(
      '“step a1”, alum should follow “step b1” within 10 min; its first place is 1 h 15 after that: cold, it crystallises in the filter.',
    );
    // Its reason and its minutes missing, the sentence still stands.
    expect(brokenText(late, names)).toBe(
      '“step a1”, alum should follow “step b1”; its first place is 1 h 15 after that.',
    );
    expect(brokenText({ ...late, what: 'weather' }, names)).toMatch(/too cold or too warm for it\.$/);
    expect(togetherText({ gives: 'ammonia', by: 'a1', beside: 'b1', never: true }, names)).toBe(
      '“step a1”, alum gives off ammonia. “step b1”, zinc sulfate must not go on beside it: end one of them, or take it outdoors.',
    );
    expect(togetherText({ gives: 'what burns', by: 'a1', beside: 'b1', never: false }, names)).toMatch(
      /is hot: at least 2 m/,
    );
    expect(reliefText({ by: 'second', gear: 'hotplate', soonerMin: 120 }, names, clock)).toBe(
      'A second hotplate: 2 h sooner.',
    );
    expect(reliefText({ by: 'without', batch: 'b', soonerMin: 45 }, names, clock)).toBe(
      'Without zinc sulfate in these days: 45 min sooner.',
    );
    expect(reliefText({ by: 'any light', soonerMin: 3000 }, names, clock)).toBe(
      'If it could be done after dark: 2 d sooner.',
    );
    expect(reliefText({ by: 'longer', stretch: [1080, 1320], soonerMin: 60 }, names, clock)).toMatch(
      /^An hour longer at the bench after .*: 1 h sooner\.$/,
    );
  });
});
