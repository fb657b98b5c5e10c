import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, onTestFinished, vi } from 'vitest';
import { unwrap } from '#base/problem';
import type { EventBody, RunEvent } from '#run/log';
import { type CellRun, cellOf } from '#run/state';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';
import { drawnOf, spanText } from '#web/models/cell/words.ts';
import { benchAt, draw } from '#web/testing/bench.tsx';
import { Agreement, Headline } from './headline.tsx';
import { LogLook } from './log-look.tsx';
import { NextMove } from './next-move.tsx';
import { Sides } from './sides.tsx';
import { WhyChanged } from './why-changed.tsx';

afterEach(cleanup);

const epsom = 'magnesium sulfate heptahydrate 99% 2 kg';
const route = on('copper-sulfate-by-cell', '45 g copper sulfate', {
  salt: epsom,
  'pot-salt': epsom,
  strap: 'copper 99% 500 g',
});
const { plan, added } = route;
const filled: EventBody[] = [
  added('salt', 'salt', 72.4),
  ...done('salt'),
  added('jar-water', 'jar-water', 326, 'mL'),
  ...done('jar-water', 'pot-ready'),
  added('pot-salt', 'pot-salt', 48.2),
  ...done('pot-salt'),
  added('pot-water', 'pot-water', 193, 'mL'),
  ...done('pot-water'),
  added('strap', 'strap', 32.9),
  ...done('strap', 'connect'),
];
const at = (hours: number) => new Date(Date.parse(START) + hours * 3_600_000).toISOString();
function cellAfter(hours: number, ...entries: readonly (readonly [number, EventBody])[]): CellRun {
  const before = eventsAt(START, ...filled).map((each) => ({ ...each, happened: { at: START, giveOrTakeMin: 0 } }));
  const after = entries.map(
    ([h, body], i): RunEvent => ({
      ...before[0]!,
      id: `ev_look${String(i).padStart(5, '0')}`,
      body,
      happened: { at: at(h), giveOrTakeMin: 0 },
      writtenAt: at(h),
    }),
  );
  return unwrap(cellOf(plan, [...before, ...after], { step: 'run', now: at(hours), shown: [], ifAmps: null }))!;
}
const begun: readonly [number, EventBody] = [0, { kind: 'started', step: 'run' }];
const look = (h: number, volts: number, amps: number): (readonly [number, EventBody])[] => [
  [h, read('run', 'voltage', volts, 'V')],
  [h, read('run', 'current', amps, 'A')],
];
const text = (element: Parameters<typeof draw>[0]) => {
  const { container } = draw(element);
  return container.textContent ?? '';
};
const feed = {
  status: undefined,
  cell: [],
  readings: [],
  start: {},
  change: { mutate: vi.fn() },
  error: null,
} as never;

describe('the headline of a cell', () => {
  it('says the next thing at every stage, and never more than is known', () => {
    expect(text(<Headline cell={cellAfter(0)} speed={1} />)).toMatch(/Current on, then read/);
    expect(text(<Headline cell={cellAfter(1, begun)} speed={1} />)).toMatch(/read volts, amps and warmth now/);
    expect(text(<Headline cell={cellAfter(2, begun, ...look(1, 4, 0))} speed={1} />)).toMatch(/No current flows/);
    const going = cellAfter(20, begun, ...look(0.1, 6, 0.42), ...look(20, 6, 0.42));
    expect(text(<Headline cell={going} speed={1} />)).toMatch(/About .* more; look (again at|now)/);
    expect(text(<Headline cell={going} speed={600} />)).toMatch(/At 600 ×|at 600 × that is/i);
    const over = cellAfter(60, begun, ...look(0.1, 6, 0.42), ...look(59, 6, 0.42));
    expect(text(<Headline cell={over} speed={1} />)).toMatch(/has had its charge/);
    expect(spanText(40_000)).toBe('a minute');
    expect(spanText(40 * 60_000)).toBe('40 min');
    expect(spanText(9 * 3_600_000)).toBe('9.0 h');
  });

  it('sets what is seen beside the charge', () => {
    const base = [begun, ...look(0.1, 5, 0.4), ...look(20, 5, 0.4)];
    expect(text(<Agreement cell={cellAfter(20, ...base)} />)).toMatch(/has not been entered/);
    expect(text(<Agreement cell={cellAfter(20, ...base, [20, read('run', 'strength', 1, '%')])} />)).toMatch(
      /do not agree/,
    );
  });
});

describe('the cell drawn', () => {
  it('holds what the model holds: levels, mud, a thinner strap', () => {
    const drawn = drawnOf(cellAfter(24, begun, ...look(0.1, 6, 0.42), ...look(24, 6, 0.42)));
    expect(drawn.anodic.name).toBe('jar');
    expect(drawn.cathodic).toMatchObject({ name: 'pot', mudName: 'white hydroxide' });
    expect(drawn.cathodic!.mudG).toBeGreaterThan(5);
    expect(drawn.strap!.left).toBeLessThan(drawn.strap!.was);
    expect(drawn.anodic.copper).toBeGreaterThan(0.2);
  });

  it('is told in the margin, with the sum behind it and how the end looks', () => {
    const said = text(<Sides cell={cellAfter(24, begun, ...look(0.1, 6, 0.42), ...look(24, 6, 0.42))} />);
    expect(said).toMatch(/In the jar.*copper\(II\) sulfate/);
    expect(said).toMatch(/In the pot.*magnesium hydroxide/);
    expect(said).toMatch(/charge so far, from 2 readings/);
    expect(said).toMatch(/white mud/);
  });
});

describe('a look at the cell', () => {
  const open = () => {
    const bench = benchAt(route, 'run', ...filled, { kind: 'started', step: 'run' });
    const cell = cellAfter(1, begun);
    return { bench, cell };
  };
  const type = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

  it('is entered in one go, and nonsense is told beside it', () => {
    const { bench, cell } = open();
    vi.useFakeTimers({ toFake: ['Date'], now: cell.now });
    onTestFinished(() => void vi.useRealTimers());
    const enterAll = vi.fn();
    draw(<LogLook run={{ ...bench.props.run, enterAll }} step="run" cell={cell} />);
    const log = () => fireEvent.click(screen.getByRole('button', { name: 'Log the look' }));
    log();
    expect(screen.getByRole('alert').textContent).toMatch(/volts and amps at least/);
    for (const [label, value, says] of [
      [/^amps/, 'lots', /amps/],
      [/^amps/, '-1', /below zero/],
      [/^amps/, '330', /mA/],
      [/^volts/, '230', /60 V/],
      [/^warmth/, '400', /between −25/],
      [/^warmth/, '-300', /between/],
      [/^A·h/, '999', /20 times the planned/],
      [/^pH, pot/, '17', /pH/],
      [/^strength/, '140', /between 0 and 100/],
    ] as const) {
      type(label, value);
      log();
      expect(screen.getByRole('alert').textContent).toMatch(says);
      type(label, '');
    }
    // A look of yesterday is before the current was on.
    type(/^amps/, '0,3');
    fireEvent.click(screen.getByText('earlier'));
    log();
    expect(screen.getByRole('alert').textContent).toMatch(/How long ago/);
    type(/how long ago/, '2 d');
    log();
    expect(screen.getByRole('alert').textContent).toMatch(/before the current was on/);
    fireEvent.click(screen.getByText('now'));
    expect(enterAll).not.toHaveBeenCalled();
    type(/^volts/, '4,1');
    type(/^amps/, '0,33');
    type(/^pH, pot/, '10');
    log();
    expect(enterAll).toHaveBeenCalledTimes(1);
    expect(enterAll.mock.calls[0]![0]).toMatchObject([
      { quantity: 'voltage', reading: { value: 4.1 } },
      { quantity: 'current', reading: { value: 0.33 } },
      { quantity: 'pH', place: 'cathode side' },
    ]);
  });

  it('asks for salt in time, and enters what went in', () => {
    const { bench } = open();
    const cell = cellAfter(24, begun, ...look(0.1, 6, 0.42), ...look(24, 6, 0.42));
    const [enterAll, onEnd] = [vi.fn(), vi.fn()];
    draw(
      <NextMove
        run={{ ...bench.props.run, enterAll }}
        step="run"
        cell={cell}
        feed={feed}
        onBegin={vi.fn()}
        onEnd={onEnd}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'It is in' }));
    // One may stop early all the same.
    fireEvent.click(screen.getByRole('button', { name: 'Switched off already' }));
    expect(onEnd).toHaveBeenCalledTimes(1);
    expect(enterAll.mock.calls[0]![0]).toMatchObject([
      { kind: 'added', in: 'cathode side', bottleId: plan.bottles['pot-salt'], reading: { unit: 'g' } },
      { kind: 'added', in: 'cathode side', bottleId: null, reading: { unit: 'mL' } },
    ]);
  });

  it('finds out why it fell, by one reading', () => {
    const { bench } = open();
    const cell = cellAfter(16, begun, ...look(0.2, 4, 0.4), ...look(16, 4, 0.28));
    const enter = vi.fn();
    draw(<WhyChanged run={{ ...bench.props.run, enter }} step="run" cell={cell} />);
    expect(screen.getByRole('heading').textContent).toBe('Why it fell from 0.40 to 0.28 A');
    fireEvent.change(screen.getByLabelText('Volts across the divider'), { target: { value: '1,9' } });
    fireEvent.click(screen.getByRole('button', { name: 'Enter it' }));
    expect(enter.mock.calls[0]![0]).toMatchObject({ quantity: 'wall', reading: { value: 1.9, unit: 'V' } });
  });
});
