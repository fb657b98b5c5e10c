import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { exactReading, parseReading, readingText } from '#base/reading';
import type { EventBody, PlainBody, RunEvent } from '#run/log';
import { catalogue } from '#run/route';
import { fillTemplate } from '#run/sheet';
import { clockOf, farOff, runState } from '#run/state';
import { eventsAt, planFor } from '#testing/shelf';

const START = '2026-03-14T08:00:00.000Z';
const plan = planFor('60 g zinc sulfate');
const state = (...bodies: EventBody[]) => unwrap(runState(plan, eventsAt(START, ...bodies)));
const added = (step: string, role: string, value: number, unit: string): PlainBody => ({
  kind: 'added',
  step,
  role,
  bottleId: plan.bottles[role] ?? null,
  reading: exactReading(value, unit),
  reason: '',
});
const done = (step: string): EventBody => ({ kind: 'finished', step });
const read = (value: number): EventBody => ({
  kind: 'read',
  step: 'dry',
  quantity: 'mass',
  reading: exactReading(value, 'g'),
  place: '',
});

describe('a run', () => {
  it('begins planned, with its first step ready and the rest waiting', () => {
    const run = state();
    expect(run.status).toBe('planned');
    expect(run.steps[0]).toMatchObject({ key: 'ready', status: 'ready' });
    expect(run.steps[1]!.status).toBe('waiting');
  });

  it('lets two steps run side by side when neither needs the other', () => {
    const run = state(done('ready'));
    expect(run.steps.filter((step) => step.status === 'ready').map((step) => step.key)).toEqual(['zinc', 'water']);
  });

  it('computes the rest from what was really weighed', () => {
    const before = state();
    const run = state(done('ready'), added('zinc', 'zinc', 16.4, 'g'));
    const acid = (of: typeof run) => of.sheet.additions.find((line) => line.role === 'acid')!;
    expect(acid(run).dose.mass.value / acid(before).dose.mass.value).toBeCloseTo(
      16.4 / before.sheet.additions.find((line) => line.role === 'zinc')!.dose.mass.value,
      3,
    );
    expect(run.sheet.theory!.value).toBeCloseTo((16.4 * 0.99 * 287.54) / 65.38, 1);
  });

  it('finds the other reagent limiting when too little of it went in', () => {
    const run = state(added('zinc', 'zinc', 18.1, 'g'), added('acid', 'acid', 50, 'g'));
    expect(run.sheet.limiting).toBe('acid');
    expect(run.sheet.theory!.value).toBeCloseTo(((50 * 0.37) / 98.07) * 287.54, 0);
  });

  it('keeps what a step asked for when later additions differ', () => {
    const asked = (of: ReturnType<typeof state>) =>
      of.steps.find((step) => step.key === 'zinc')!.addition!.dose.takeMassG;
    expect(asked(state(added('zinc', 'zinc', 18, 'g'), added('acid', 'acid', 90, 'mL')))).toBe(asked(state()));
  });

  it('adds up an addition made in parts and takes a volume through its density', () => {
    const run = state(added('acid', 'acid', 30, 'mL'), added('acid', 'acid', 30, 'mL'));
    const acid = run.sheet.additions.find((line) => line.role === 'acid')!;
    expect(acid.actual!.value).toBeCloseTo(60 * 1.277, 0);
  });

  it('takes a correction for what it corrects, and a struck entry for nothing', () => {
    const events = eventsAt(START, added('zinc', 'zinc', 61.4, 'g'));
    const corrected: RunEvent = {
      ...events[0]!,
      id: 'ev_fix',
      body: { kind: 'corrected', of: events[0]!.id, body: added('zinc', 'zinc', 16.4, 'g'), reason: 'misread' },
    };
    const struck: RunEvent = {
      ...events[0]!,
      id: 'ev_out',
      body: { kind: 'corrected', of: events[0]!.id, body: null, reason: 'struck out' },
    };
    const zinc = (list: RunEvent[]) =>
      unwrap(runState(plan, list)).sheet.additions.find((line) => line.role === 'zinc')!.actual?.value;
    expect(zinc([...events, corrected])).toBeCloseTo(16.4, 9);
    expect(zinc([...events, struck])).toBeUndefined();
    const log = unwrap(runState(plan, [...events, corrected])).log;
    expect(log).toHaveLength(1);
    expect(log[0]).toMatchObject({ was: 'Ridgeway zinc 61.4 g', text: 'Ridgeway zinc 16.4 g' });
  });

  it('books a test portion and computes the yield on the rest', () => {
    const whole = state(added('zinc', 'zinc', 18, 'g'), added('acid', 'acid', 60, 'mL'));
    const less = state(added('zinc', 'zinc', 18, 'g'), added('acid', 'acid', 60, 'mL'), {
      kind: 'portion-taken',
      step: 'filter',
      reading: exactReading(15, 'g'),
      purpose: 'spot test',
      returned: false,
    });
    const back = state(added('zinc', 'zinc', 18, 'g'), added('acid', 'acid', 60, 'mL'), {
      kind: 'portion-taken',
      step: 'filter',
      reading: exactReading(15, 'g'),
      purpose: 'spot test',
      returned: true,
    });
    expect(less.sheet.product!.value).toBeLessThan(whole.sheet.product!.value * 0.95);
    expect(back.sheet.product!.value).toBeCloseTo(whole.sheet.product!.value, 9);
  });

  it('lets a step be inserted, repeated, skipped and opened again', () => {
    const insert: EventBody = {
      kind: 'step-inserted',
      step: 'step_wash01',
      after: 'filter',
      beside: false,
      repeats: null,
      title: 'Wash the specks',
      why: 'sticky',
      leave: { alone: false, lookEveryMin: null },
    };
    const again: EventBody = { ...insert, step: 'step_again1', repeats: 'filter', title: 'Again' };
    const run = state(insert, again, { kind: 'step-skipped', step: 'ready', reason: 'stood ready' }, done('zinc'), {
      kind: 'reopened',
      step: 'zinc',
    });
    expect(run.steps.map((step) => step.key).slice(5, 8)).toEqual(['filter', 'step_again1', 'step_wash01']);
    expect(run.steps.find((step) => step.key === 'boil-down')!.needs).toEqual(['step_wash01']);
    expect(run.steps[0]).toMatchObject({ status: 'skipped', skippedFor: 'stood ready' });
    expect(run.steps[1]!.status).toBe('running');
    expect(run.steps.find((step) => step.key === 'step_again1')!.technique).toBe('filter');
  });

  it('a step beside another shares its prerequisites', () => {
    const run = state({
      kind: 'step-inserted',
      step: 'step_beside',
      after: 'zinc',
      beside: true,
      repeats: null,
      title: 'Cut more',
      why: '',
      leave: { alone: false, lookEveryMin: null },
    });
    expect(run.steps.find((step) => step.key === 'step_beside')!.needs).toEqual(['ready']);
  });

  it('that is abandoned says why and stops the clock', () => {
    const run = state({ kind: 'started', step: 'ready' }, { kind: 'abandoned', reason: 'cracked' });
    expect(run).toMatchObject({ status: 'abandoned', abandonedFor: 'cracked' });
    expect(clockOf('b', 'zinc', run, START)).toEqual([]);
  });

  it('ends when every step is over', () => {
    const run = state(...state().steps.map((step) => done(step.key)));
    expect(run.status).toBe('done');
    expect(run.finishedAt).not.toBeNull();
  });

  it('gives a yield once the product is weighed, and explains one over 100 %', () => {
    const events = eventsAt(
      START,
      added('zinc', 'zinc', 18, 'g'),
      added('acid', 'acid', 60, 'mL'),
      read(63),
      read(62.9),
    ).map((event, i) => ({
      ...event,
      happened: { at: new Date(Date.parse(START) + i * 7_200_000).toISOString(), giveOrTakeMin: 0 },
    }));
    const run = unwrap(runState(plan, events));
    expect(run.weighing.constant).toBe(true);
    expect(run.yield!.yieldPct.value).toBeCloseTo((62.95 * 100) / ((18 * 0.99 * 287.54) / 65.38), 1);
    const wet = state(added('zinc', 'zinc', 18, 'g'), added('acid', 'acid', 60, 'mL'), read(90));
    expect(wet.yield!.over).toBe('clearly');
    expect(wet.yield!.explanations.length).toBeGreaterThan(2);
  });

  it('tells late entries by their two times', () => {
    const [event] = eventsAt(START, { kind: 'noted', step: 'ready', text: 'two days ago' });
    const late = { ...event!, writtenAt: '2026-03-16T08:00:00.000Z' };
    expect(unwrap(runState(plan, [late])).log[0]).toMatchObject({ late: true, at: START });
  });
});

describe('the clock', () => {
  const timer: EventBody = { kind: 'timer-set', step: 'dissolve', timer: 'timer_one', name: 'look', minutes: 60 };

  it('counts a timer from when it was set, whatever happened since', () => {
    const run = state({ kind: 'started', step: 'dissolve' }, timer);
    expect(clockOf('b', 'zinc', run, START)[0]).toMatchObject({
      kind: 'timer',
      step: 'dissolve',
      at: '2026-03-14T09:01:00.000Z',
    });
  });

  it('falls back on how often to look once a timer is stopped', () => {
    const run = state({ kind: 'started', step: 'dissolve' }, timer, { kind: 'timer-stopped', timer: 'timer_one' });
    expect(clockOf('b', 'zinc', run, START)[0]).toMatchObject({ kind: 'look', at: '2026-03-14T09:01:00.000Z' });
  });

  it('says which day of how many a long step is on', () => {
    const run = state({ kind: 'started', step: 'grow' });
    expect(clockOf('b', 'zinc', run, '2026-03-16T09:00:00.000Z')[0]!.progress).toBe('day 3 of about 4');
  });

  it('names the next step when nothing runs', () => {
    const run = state({ kind: 'started', step: 'ready' }, done('ready'));
    expect(clockOf('b', 'zinc', run, START)[0]).toMatchObject({ kind: 'next', step: 'zinc', at: null });
  });
});

describe('readings', () => {
  it.each([
    ['61 g', 'mL', { is: 'exact', value: 61, unit: 'g' }],
    ['0,5 kg', 'g', { is: 'exact', value: 500, unit: 'g' }],
    ['250 mg', 'g', { is: 'exact', value: 0.25, unit: 'g' }],
    ['1.2 L', 'mL', { is: 'exact', value: 1200, unit: 'mL' }],
    ['500 mL', 'L', { is: 'exact', value: 0.5, unit: 'L' }],
    ['40-50 mL', 'g', { is: 'band', low: 40, high: 50, unit: 'mL' }],
    ['over 2 h', 'min', { is: 'over', value: 120, unit: 'min' }],
    ['58 °C', '°C', { is: 'exact', value: 58, unit: '°C' }],
  ])('takes the unit that was typed: %s in a field for %s', (text, unit, reading) =>
    expect(unwrap(parseReading(text, unit))).toEqual(reading),
  );

  it.each([
    ['58.2', { is: 'exact', value: 58.2, unit: 'g' }],
    ['58,2 g', { is: 'exact', value: 58.2, unit: 'g' }],
    ['12-14', { is: 'band', low: 12, high: 14, unit: 'g' }],
    ['12 to 14', { is: 'band', low: 12, high: 14, unit: 'g' }],
    ['50 ± 2', { is: 'band', low: 48, high: 52, unit: 'g' }],
    ['about 50', { is: 'band', low: 45, high: 55, unit: 'g' }],
    ['over 12', { is: 'over', value: 12, unit: 'g' }],
    ['> 12', { is: 'over', value: 12, unit: 'g' }],
    ['under 5', { is: 'under', value: 5, unit: 'g' }],
    ['-3', { is: 'exact', value: -3, unit: 'g' }],
    ['still blue', { is: 'word', text: 'still blue' }],
  ])('are read from “%s”', (text, reading) => {
    const result = parseReading(text, 'g');
    expect(result.ok && result.value).toEqual(reading);
  });

  it.each(['', '1,500', '14-12', '1.2.3'])('refuse “%s” with a sentence', (text) => {
    const result = parseReading(text, 'g');
    expect(result.ok ? 'taken' : result.problem.message).toMatch(/[.!]$/);
  });

  it('print as they were meant', () =>
    expect(readingText({ is: 'band', low: 12, high: 14, unit: 'mL' })).toBe('12 to 14 mL'));

  it('far off is asked about, near is not', () => {
    const figure = (value: number) => given({ symbol: 'x', name: 'x', unit: '' }, value, 'test');
    const dose = {
      take: { value: 343, unit: 'mL' as const },
      takeMassG: 390.6,
      mass: figure(390.6),
      volume: figure(343),
      with: '',
    };
    const line = { dose, actual: undefined };
    expect(farOff(line, exactReading(340, 'mL'))).toBeNull();
    expect(farOff(line, exactReading(300, 'mL'))).toBeCloseTo(-0.125, 2);
    expect(farOff(line, exactReading(391, 'g'))).toBeNull();
    expect(farOff(line, { is: 'over', value: 500, unit: 'mL' })).toBeNull();
    // The rest of a dose that is in already is not “less than planned”.
    expect(farOff({ dose, actual: figure(200) }, exactReading(191, 'g'))).toBeNull();
    expect(farOff({ dose, actual: figure(195.3) }, exactReading(172, 'mL'))).toBeNull();
    expect(farOff({ dose, actual: figure(200) }, exactReading(391, 'g'))).toBeCloseTo(0.513, 2);
  });
});

describe('step sentences', () => {
  const mass = { 'salt.mass': { shown: '5 g' } };
  const text = (template: string, names = {}) =>
    fillTemplate(template, names)
      .map((part) => (part.is === 'text' ? part.text : part.shown))
      .join('');

  it('say the quantity, and leave out what hangs on one that is not there', () => {
    expect(text('Add {salt.mass} of salt', mass)).toBe('Add 5 g of salt');
    expect(text('Boil down[ to {boil.volume}], stirring')).toBe('Boil down, stirring');
    expect(text('Stir. All at once it could warm by {heat.rise}. Wait.')).toBe('Stir. Wait.');
    expect(text('Boil down to {boil.volume}')).toBe('Boil down');
  });

  it('never show a brace or a bracket, in any text of the catalogue, whatever is missing', () => {
    for (const { steps } of catalogue)
      for (const { title, act, until, expect: seen, trouble, why, skipCosts } of steps)
        for (const template of [title, act, until, seen, trouble, why, skipCosts])
          expect(text(template), template).not.toMatch(/[{}[\]]|undefined|NaN|\s{2}|\s[.,;:]|\bof\s*$/);
  });
});
