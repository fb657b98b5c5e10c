import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { advise } from '#run/state';
import type { SublimeAdvice } from '#run/technique';
import { done, on, read, START } from '#testing/on-route';
import { benchAt, draw } from '#web/testing/bench.tsx';

const { DishBench } = await import('./dish-bench.tsx');

afterEach(cleanup);

const route = on('iodine', '5 g iodine', {
  iodide: 'potassium iodide 99 % 100 g',
  acid: 'sulfuric acid 10 % 500 mL',
  peroxide: 'hydrogen peroxide 3 % 500 mL',
});
const dry = done('ready', 'iodide', 'water', 'acid', 'peroxide', 'settle', 'collect', 'dry');

/** The dish so many hours after the run began. */
function dish(hours: number, ...bodies: Parameters<typeof benchAt>[2][]) {
  const bench = benchAt(route, 'sublime', ...dry, ...bodies);
  const now = new Date(Date.parse(START) + hours * 3_600_000).toISOString();
  const { own } = unwrap(advise(route.plan, bench.props.run.events, 'sublime', now));
  const says = (own?.do === 'sublime' ? own.says : null) as SublimeAdvice | null;
  const { container } = draw(<DishBench run={bench.props.run} step={bench.props.step} says={says} />);
  return container.textContent ?? '';
}

describe('the dish at the bench', () => {
  it('says how long it takes before it is begun, and how far it is by time after', () => {
    expect(dish(1)).toMatch(/About .* for 5\.\d+ g; a look every half hour/);
    cleanup();
    const going = dish(2, { kind: 'started', step: 'sublime' });
    expect(going).toMatch(/g are over, by the time it has been warm; about .* more/);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/A dish at 75 °C under a cover at 5 °C/);
  });

  it('goes by what was weighed as left, whatever the clock says', () => {
    const text = dish(0.4, { kind: 'started', step: 'sublime' }, read('sublime', 'left', 2, 'g'));
    expect(text).toMatch(/About 3\.\d of 5\.\d+ g are over, by what was weighed/);
  });

  it('answers for another warmth, and says what melts', () => {
    dish(1);
    const slider = screen.getByRole('slider', { name: /the dish at/ });
    for (let i = 0; i < 41; i += 1) fireEvent.keyDown(slider, { key: 'ArrowRight', keyCode: 39 });
    expect(screen.getByText(/has melted/)).toBeDefined();
    fireEvent.keyDown(slider, { key: 'Home', keyCode: 36 });
    expect(screen.queryByText(/has melted/)).toBeNull();
  });

  it('has nothing to say of an empty dish', () => {
    const bench = benchAt(route, 'sublime');
    const { container } = draw(<DishBench run={bench.props.run} step={bench.props.step} says={null} />);
    expect(container.textContent).toMatch(/Nothing in it sublimes yet/);
  });
});
