import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { advise } from '#run/state';
import type { AbsorbAdvice } from '#run/technique';
import { done, on, read, START } from '#testing/on-route';
import { benchAt, draw } from '#web/testing/bench.tsx';

const { AbsorberBench } = await import('./absorber-bench.tsx');

afterEach(cleanup);

const acid = on('hydrochloric-acid-by-gas', '200 g hydrochloric acid', {
  salt: 'table salt 99 % 1 kg',
  hydrogensulfate: 'sodium hydrogensulfate 95 % 1.5 kg',
});

function absorber(...bodies: Parameters<typeof benchAt>[2][]) {
  const bench = benchAt(acid, 'gas', ...done('ready', 'first', 'water', 'second'), ...bodies);
  const { own } = unwrap(advise(acid.plan, bench.props.run.events, 'gas', START));
  const { container } = draw(<AbsorberBench {...bench.props} says={own!.says as AbsorbAdvice} />);
  return { bench, text: () => container.textContent ?? '' };
}
const enter = (value: string) => {
  fireEvent.change(screen.getByLabelText('The absorber has gained, g'), { target: { value } });
  fireEvent.click(screen.getByRole('button', { name: 'Enter the gain' }));
};

describe('the absorber at the bench', () => {
  it('says what it is to gain, and takes a gain that can be', () => {
    const { bench, text } = absorber();
    expect(text()).toMatch(/It is to gain 47\.\d g/);
    for (const [value, says] of [
      ['-2', /below zero/],
      ['lots', /Write it in g/],
      ['600', /was it weighed with what stood in it/],
    ] as const) {
      enter(value);
      expect(screen.getByText(says)).toBeDefined();
    }
    expect(bench.entered).toEqual([]);
    enter('12,4');
    expect(bench.entered).toMatchObject([{ kind: 'read', quantity: 'mass', reading: { value: 12.4, unit: 'g' } }]);
  });

  it('says how far it is, and when it is over its ceiling', () => {
    const { text } = absorber(read('gas', 'mass', 23.6, 'g'), read('gas', 'temperature', 31, '°C'));
    expect(text()).toMatch(/It has gained 23\.6 of 47\.\d g: 50 %.*Over its ceiling/);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/gained 24 of 47\.\d g of hydrogen chloride/);
  });

  it('answers for more or less gas', () => {
    const { text } = absorber();
    fireEvent.keyDown(screen.getByRole('slider', { name: /g of gas/ }), { key: 'End', keyCode: 35 });
    expect(text()).toMatch(/a bath besides/);
  });

  it('with nothing in it says so', () => {
    const bench = benchAt(acid, 'gas');
    expect(draw(<AbsorberBench {...bench.props} says={null} />).container.textContent).toMatch(/Nothing stands/);
  });
});
