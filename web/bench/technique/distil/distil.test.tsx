import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { fit as fitReadings, pointAt, still } from '#model/still';
import { stillAt, stillBalance, stillsOf } from '#run/state';
import { done, on, read } from '#testing/on-route';
import { MarginProvider } from '#web/parts/margin.tsx';
import { benchAt, draw } from '#web/testing/bench.tsx';

const { BalanceBars } = await import('./balance-bars.tsx');
const { FitCard } = await import('./fit-card.tsx');
const { FractionsTable } = await import('./fractions-table.tsx');
const { Headline, timeText } = await import('./headline.tsx');
const { LogHead } = await import('./log-head.tsx');
const { WhyThen } = await import('./why-then.tsx');

afterEach(cleanup);

const acid = on('constant-boiling-acid', '300 g hydrochloric acid', { acid: 'hydrochloric acid 28 % 5 L' });
const charged = [
  ...done('ready'),
  acid.added('water', 'water', 250, 'mL'),
  ...done('water'),
  acid.added('acid', 'acid', 450),
  ...done('acid', 'still', 'boil'),
];
const oneOver = [...charged, read('fore-run', 'mass', 65, 'g'), ...done('fore-run')];
const at = (step: string, ...bodies: Parameters<typeof benchAt>[2][]) => benchAt(acid, step, ...bodies);
const runOf = ({ props }: ReturnType<typeof at>) =>
  must(stillAt(unwrap(stillsOf(acid.plan, props.run.events))), 'still');

describe('the headline', () => {
  it('tells no receiver to be changed at a flask that has gone cold', () => {
    expect(text({ coldC: 16.1 })).toMatch(/gone cold, 16.1 °C/);
    expect(text({ coldC: 16.1 })).not.toContain('Switch');
  });

  const cuts = runOf(at('weak', ...oneOver)).cuts;
  const ahead = { minutes: 6.2, bandMin: 1, headC: 107.9, potC: 108, overMl: 133 };
  const text = (over: object) => {
    const { container } = draw(
      <Headline cut={cuts[1]!} next={cuts[2]} outlook={ahead} speed={1} heatOff={false} coldC={null} {...over} />,
    );
    return container.textContent ?? '';
  };

  it('says what to do, when, and at which temperature', () => {
    expect(text({})).toMatch(/Switch to receiver 3 in about 6 min, at 107\.9 °C ± 1 min\. By then 133 mL are over/);
    expect(text({ outlook: { ...ahead, minutes: 0.1 } })).toMatch(/Switch to receiver 3 now/);
    expect(text({ next: undefined })).toMatch(/Heat off in about/);
    expect(text({ speed: 60 })).toMatch(/At 60 × that is 6\.2 s/);
  });

  it('says so where nothing comes, or ever will', () => {
    expect(text({ heatOff: true })).toMatch(/The heat is off/);
    expect(text({ outlook: null })).toMatch(/Bring it to the boil first|Waiting for the first drop/);
    expect(text({ outlook: { ...ahead, minutes: Number.POSITIVE_INFINITY } })).toMatch(/never at this heat/);
    expect(timeText(0.2)).toBe('10 s');
    expect(timeText(120)).toBe('2.0 h');
  });
});

describe('receivers', () => {
  it('stand booked, filling and expected, and a strength that cannot be is answered', () => {
    const bench = at('weak', ...oneOver, { kind: 'started', step: 'weak' });
    const run = runOf(bench);
    const { points } = unwrap(still(run.asked));
    draw(
      <MarginProvider>
        <FractionsTable run={bench.props.run} still={run} points={points} nowMl={120} />
      </MarginProvider>,
    );
    const rows = screen.getAllByRole('row').map((row) => row.textContent ?? '');
    expect(rows[1]).toMatch(/^1 booked/);
    expect(rows[2]).toMatch(/^2 filling.* of /);
    expect(rows[3]).toMatch(/^3 expected/);
    const booked = within(screen.getAllByRole('row')[1]!);
    fireEvent.click(booked.getByRole('button', { name: 'measure' }));
    const field = booked.getByLabelText('Strength of receiver 1, %');
    for (const wrong of ['', 'strong', '-4', '101']) {
      fireEvent.change(field, { target: { value: wrong } });
      fireEvent.keyDown(field, { key: 'Enter' });
      expect(booked.getByText(/A strength is 0 to 100 %/)).toBeDefined();
    }
    expect(bench.entered).toEqual([]);
    fireEvent.change(field, { target: { value: '11,4' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(bench.entered[0]).toMatchObject({
      kind: 'read',
      step: 'fore-run',
      quantity: 'strength',
      reading: { value: 11.4, unit: '%' },
    });
  });

  it('close the balance to all that was charged, now and at the end', () => {
    const { props } = at('weak', ...oneOver);
    draw(
      <BalanceBars
        now={stillBalance(props.run.state, runOf({ props } as ReturnType<typeof at>))}
        end={[
          { place: 'receiver 3', pct: 60 },
          { place: 'pot', pct: 40 },
        ]}
        name="acid"
      />,
    );
    const [now, end] = screen.getAllByRole('img').map((bar) => bar.getAttribute('aria-label') ?? '');
    expect(now).toMatch(/receiver 1 .*flask .*glass/);
    expect(end).toBe('receiver 3 60 %, flask 40 %');
    expect(screen.getAllByText('= 100 %')).toHaveLength(2);
  });
});

describe('logging a reading', () => {
  const log = (mostMl: number | null = 600) => {
    const bench = at('weak', ...oneOver);
    draw(<LogHead run={bench.props.run} step="weak" expected={107.42} mostMl={mostMl} />);
    return bench;
  };

  it('takes the head in one tap, beside what is expected', () => {
    const bench = log();
    fireEvent.click(screen.getByRole('button', { name: '107.5' }));
    expect(bench.entered[0]).toMatchObject({ quantity: 'temperature', place: 'head', reading: { value: 107.5 } });
  });

  it('takes flask and volume typed, and answers what cannot be read', () => {
    const bench = log();
    fireEvent.click(screen.getByRole('button', { name: 'other' }));
    const enter = (what: string, text: string) => {
      fireEvent.change(screen.getByLabelText('What was read'), { target: { value: what } });
      const field = screen.getByRole('textbox');
      fireEvent.change(field, { target: { value: text } });
      fireEvent.keyDown(field, { key: 'Enter' });
    };
    enter('head', 'warm');
    expect(screen.getByText('Write it like 107.4 °C.')).toBeDefined();
    enter('pot', '900');
    expect(screen.getByText(/No thermometer of a still/)).toBeDefined();
    enter('volume', '-5');
    expect(screen.getByText(/0 mL or more|Write it like/)).toBeDefined();
    enter('volume', '900');
    expect(screen.getByText(/Only 600 mL can go over/)).toBeDefined();
    expect(bench.entered).toEqual([]);
    enter('volume', '57');
    enter('pot', '108,0');
    expect(bench.entered).toHaveLength(2);
    expect(bench.entered[1]).toMatchObject({ place: 'pot', reading: { value: 108, unit: '°C' } });
  });
});

describe('what the run says', () => {
  const run = runOf(at('weak', ...oneOver));
  const { points } = unwrap(still(run.asked));

  it('is the strength that the readings fit, beside the label, and offers it for the bottle', () => {
    const readings = [0, 8, 16, 24, 32].map((minutes) => ({
      minutes,
      headC: 107 + minutes / 40,
      potC: 107.1 + minutes / 40,
      overMl: 4 * minutes,
    }));
    const found = unwrap(fitReadings({ still: run.asked, pctSd: 0.5, platesSd: 0.3, heatSd: 0.2, readings }));
    const take = vi.fn();
    draw(
      <FitCard
        run={run}
        fitted={{ fit: found, problem: '', progress: 0.5, cancel: vi.fn() }}
        onTake={take}
        takes="Take the acid as 27 %"
      />,
    );
    expect(screen.getByText(/5 readings fit a charge of/)).toBeDefined();
    expect(screen.getByRole('img', { name: /found .* label/ })).toBeDefined();
    expect(screen.getByRole('progressbar')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Take the acid as 27 %' }));
    expect(take).toHaveBeenCalledOnce();
  });

  it('waits for a few of them, and tells what does not go together', () => {
    draw(
      <FitCard
        run={run}
        fitted={{ fit: undefined, problem: 'At 9 min 20 are over, less than before.', progress: null, cancel: vi.fn() }}
        onTake={null}
        takes=""
      />,
    );
    expect(screen.getByText(/A few readings/)).toBeDefined();
    expect(screen.getByText(/less than before/)).toBeDefined();
  });

  it('gives the reason of a cut: how far the head still tells', () => {
    const cut = { ...run.cuts[0]!, headC: pointAt(points, 'headC', run.cuts[0]!.toMl) };
    draw(<WhyThen cut={cut} points={points} azeotrope={null} />);
    expect(screen.getByText(/the head moves 0\.1 °C in/)).toBeDefined();
    cleanup();
    draw(<WhyThen cut={{ ...cut, by: 'pot', potC: 145 }} points={points} azeotrope={null} />);
    expect(screen.getByText(/tells its strength/)).toBeDefined();
  });
});
