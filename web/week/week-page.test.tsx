import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Hours } from '#matter/gear';
import type { BenchTask } from '#run/agenda';
import type { WeekChoices } from '#run/week';
import { drawAt, serverOf } from '../testing/page.tsx';
import { benchAnswer, benchTask, WEEK_FROM, weekAnswer } from '../testing/week.ts';
import { WeekPage } from './week-page.tsx';

const DAY = 1440;
const at = (min: number) => new Date(Date.parse(WEEK_FROM) + min * 60_000).toISOString();

/** The page with its week; what is written of it comes back as the server would have it. */
function shown(tasks: readonly BenchTask[], of: { choices?: Partial<WeekChoices>; refuses?: number } = {}) {
  const answer = weekAnswer(tasks, of.choices);
  const server = serverOf({
    'GET /week': answer,
    'GET /bench': benchAnswer(),
    'PUT /week': of.refuses ?? ((body: { choices: WeekChoices }) => ({ ...answer, choices: body.choices })),
    'PUT /bench': (body: { bench: unknown }) => ({ version: 4, bench: body.bench }),
  });
  drawAt('/bench/week', '/bench/week', <WeekPage />);
  const last = <T,>(to: string) => server.sent.filter((each) => each.to === to).at(-1)?.body as T | undefined;
  return {
    choices: () => last<{ choices: WeekChoices; basedOn: number }>('PUT /week'),
    hours: () => last<{ bench: { hours: Hours }; basedOn: number }>('PUT /bench')?.bench.hours,
  };
}

const amiss = () => screen.findByRole('list', { name: 'What is amiss' });
const type = (label: string | RegExp, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: Date.parse(WEEK_FROM) });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the page of the week', () => {
  it('says what comes next and what it costs, and of a step why it stands there', async () => {
    shown([benchTask('a1'), benchTask('a2', { after: ['a1'], gear: ['hotplate'], ceilingC: 60 })]);
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toMatch(/18:00: step a1, alum\.$/);
    expect(screen.getByText(/^About 1 h 15 at the bench in 1 visit;/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: /step a2/ }));
    const step = screen.getByRole('region', { name: 'This step in the week' });
    expect(step.textContent).toMatch(/hotplate/);
    expect(step.textContent).toMatch(/above 60 °C/);
    expect(step.textContent).toMatch(/It comes after “step a1”, alum/);
  });

  it('stands empty with a sentence, and says what cannot be read', async () => {
    shown([]);
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('Nothing wants you this week');
  });

  it('says what should have followed sooner, and shows that step', async () => {
    shown([
      benchTask('a1', { handsOnMin: 200 }),
      benchTask('a2', { handsOnMin: 200, after: ['a1'], withinMin: 10, soon: 'cold, it crystallises in the filter' }),
      benchTask('b1', { pinnedMin: DAY + 600, handsOnMin: 480 }),
    ]);
    expect((await amiss()).textContent).toMatch(
      /“step a2”, alum should follow “step a1” within 10 min; its first place/,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Why: “step a2”, alum' }));
    expect(screen.getByRole('region', { name: 'This step in the week' }).textContent).toMatch(
      /At most 10 min after what goes before it: cold, it crystallises in the filter\./,
    );
  });

  it('asks for what should have followed by now, and offers no later hour for it', async () => {
    shown([benchTask('a1', { byMin: 600, soon: 'cold, it crystallises in the filter' })]);
    expect((await amiss()).textContent).toMatch(
      /^Do it now, if you can: “step a1”, alum: cold, it crystallises in the filter\./,
    );
    expect(screen.queryByText(/In time with this|No hour more/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Why: “step a1”, alum' }));
    expect(screen.getByText(/What goes before it is done, so do it soon: cold/)).toBeDefined();
  });

  it('says of what is late which change would have it in time, or that none would', async () => {
    shown([benchTask('a1', { handsOnMin: 230, pinnedMin: 1080 }), benchTask('b1', { handsOnMin: 60, byMin: DAY })]);
    // An hour more on the first evening holds it.
    expect((await amiss()).textContent).toMatch(/In time with this: An hour longer/);
    cleanup();
    shown([benchTask('a1', { waitMin: [400, 700] }), benchTask('a2', { after: ['a1'], byMin: DAY })]);
    expect((await amiss()).textContent).toMatch(/No hour more, second piece of gear or batch less/);
  });

  it('takes the temperature of a day the right way round, and lets it be not known again', async () => {
    const page = shown([benchTask('a1')]);
    const [first] = await screen.findAllByRole('button', { name: /^Temperature outdoors on/ });
    expect(first?.textContent).toBe('°C?');
    if (first) fireEvent.click(first);
    type('Coldest', '7');
    expect((screen.getByRole('button', { name: 'Keep it' }) as HTMLButtonElement).disabled).toBe(true);
    type('Warmest', '-2,5');
    expect(screen.getByText(/coldest is above the warmest/)).toBeDefined();
    type('Warmest', 'warm');
    expect((screen.getByRole('button', { name: 'Keep it' }) as HTMLButtonElement).disabled).toBe(true);
    type('Coldest', '-2,5');
    type('Warmest', '7');
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(page.hours()?.air).toEqual([{ day: '2026-11-27', airC: [-2.5, 7] }]));
  });

  it('takes rain, an aim, and a plan that is kept', async () => {
    const page = shown([benchTask('a1'), benchTask('b1')]);
    const [rain] = await screen.findAllByRole('button', { name: /^Rain expected on/ });
    if (rain) fireEvent.click(rain);
    await waitFor(() => expect(page.hours()?.wet).toEqual(['2026-11-27']));
    fireEvent.click(screen.getByText('fewest nights'));
    await waitFor(() =>
      expect(page.choices()).toMatchObject({ basedOn: 1, choices: { aim: 'fewest nights', order: [] } }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Keep this plan' }));
    await waitFor(() => expect([...(page.choices()?.choices.order ?? [])].sort()).toEqual(['a1', 'b1']));
    expect(Object.keys(page.choices()?.choices.said ?? {})).toHaveLength(2);
  });

  it('takes when a batch is wanted once the field is left, and a batch out and in again', async () => {
    const page = shown([benchTask('a1'), benchTask('b1')]);
    const wanted = await screen.findByLabelText('alum is wanted by');
    fireEvent.change(wanted, { target: { value: '2026-11-28T12:00' } });
    expect(page.choices()).toBeUndefined();
    fireEvent.blur(wanted);
    await waitFor(() =>
      expect(page.choices()?.choices.wanted).toEqual({ a: new Date('2026-11-28T12:00').toISOString() }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Leave out zinc sulfate' }));
    await waitFor(() => expect(page.choices()?.choices.out).toEqual(['b']));
    // What runs cannot be left out of a week: it stands there.
    expect(screen.queryByRole('button', { name: 'Leave out alum' })).toBeNull();
  });

  it('puts a step elsewhere, never into the past, and keeps the order of the rest', async () => {
    const page = shown([benchTask('a1'), benchTask('a2', { after: ['a1'] })]);
    fireEvent.click(await screen.findByRole('button', { name: /step a2/ }));
    type('Begin it', '2020-01-01T10:00');
    expect(screen.getByText(/That is past/)).toBeDefined();
    type('Begin it', '');
    expect(screen.getByText(/Say a day and a time/)).toBeDefined();
    expect((screen.getByRole('button', { name: 'Put it there' }) as HTMLButtonElement).disabled).toBe(true);
    type('Begin it', '2026-11-28T11:00');
    fireEvent.click(screen.getByRole('button', { name: 'Put it there' }));
    await waitFor(() =>
      expect(page.choices()?.choices.pins).toEqual({ a2: new Date('2026-11-28T11:00').toISOString() }),
    );
    expect(page.choices()?.choices.order).toEqual(['a1', 'a2']);
  });

  it('is gone through a hundred times, and again for a week that changed since', async () => {
    const page = shown([benchTask('a1'), benchTask('b1')]);
    fireEvent.click(await screen.findByRole('button', { name: 'Go through it a hundred times' }));
    const found = () => screen.queryByRole('list', { name: 'Where it fails' }) ?? screen.queryByText(/^It holds/);
    await waitFor(() => expect(found()).not.toBeNull());
    fireEvent.click(screen.getByText('fewest nights'));
    await waitFor(() => expect(page.choices()?.choices.aim).toBe('fewest nights'));
    await waitFor(() => expect(found()).not.toBeNull());
    expect(screen.queryByRole('button', { name: 'Go through it a hundred times' })).toBeNull();
  });

  it('shows a place by hand with what it breaks, and lets it go', async () => {
    const page = shown([benchTask('a1', { pinnedMin: 300 })], { choices: { pins: { a1: at(300) } } });
    expect((await amiss()).textContent).toMatch(/30 min of it lie outside your hours at the bench/);
    fireEvent.click(screen.getByRole('button', { name: /step a1.*05:00|05:00.*step a1/s }));
    fireEvent.click(screen.getByRole('button', { name: 'Let it go' }));
    await waitFor(() => expect(page.choices()?.choices.pins).toEqual({}));
  });

  it('says it when it was changed elsewhere, and when nobody is ever there', async () => {
    shown([benchTask('a1')], { refuses: 409 });
    fireEvent.click(await screen.findByText('least time there'));
    expect(await screen.findByText('The server would not.')).toBeDefined();
    cleanup();
    serverOf({
      'GET /week': weekAnswer([benchTask('a1')], {}, { laid: { ...weekAnswer([]).laid, free: [], home: [] } }),
      'GET /bench': benchAnswer(),
    });
    drawAt('/bench/week', '/bench/week', <WeekPage />);
    expect(await screen.findByText('There is no free hour at all: say when you are there.')).toBeDefined();
  });
});

describe('your hours', () => {
  const open = async () => {
    const page = shown([benchTask('a1')]);
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Your hours' })).not.toHaveProperty('disabled', true),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Your hours' }));
    await screen.findByRole('dialog');
    return page;
  };
  const keep = () => screen.getByRole('button', { name: 'Keep them' }) as HTMLButtonElement;

  it('refuse what is none, each beside its field', async () => {
    await open();
    for (const [label, text, says] of [
      ['Monday', '22 to 18', /Write them as 18:00 to 22:00/],
      ['Asleep', 'late', /Write it as 23:00 to 7:00/],
      [/^Quiet hours/, '22', /Write it as 23:00 to 7:00/],
      [/^Latitude/, '91', /Latitude is from -90 to 90|Say both as degrees/],
    ] as const) {
      const before = (screen.getByLabelText(label) as HTMLInputElement).value;
      type(label, text);
      expect(screen.getAllByText(says).length).toBeGreaterThan(0);
      expect(keep().disabled).toBe(true);
      type(label, before);
      expect(keep().disabled).toBe(false);
    }
    type('wide dish', '2.5');
    expect(keep().disabled).toBe(true);
    type('wide dish', '-4');
    expect(keep().disabled).toBe(true);
  });

  it('are kept as they are written, with a second dish and a time away', async () => {
    const page = await open();
    type('Saturday', '9.30 to 12, 18h to 24');
    type('Sunday', '');
    type('wide dish', '2');
    type('Away from', '2026-12-01T08:00');
    type('back by', '2026-11-30T08:00');
    expect(screen.getByText(/It ends before it begins/)).toBeDefined();
    type('back by', '2026-12-02T08:00');
    const dialog = within(screen.getByRole('dialog'));
    fireEvent.click(dialog.getByRole('button', { name: 'Add it' }));
    fireEvent.click(keep());
    await waitFor(() => expect(page.hours()?.pieces).toEqual({ 'wide dish': 2 }));
    const hours = page.hours();
    expect(hours?.week[5]).toEqual([
      [9.5, 12],
      [18, 24],
    ]);
    expect(hours?.week[6]).toEqual([]);
    expect(hours?.away).toHaveLength(1);
  });
});
