import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { advise } from '#run/state';
import type { OxidiseAdvice } from '#run/technique';
import { done, on, START } from '#testing/on-route';
import { benchAt, draw } from '#web/testing/bench.tsx';

const { OxidiseBench } = await import('./oxidise-bench.tsx');

afterEach(cleanup);

const water = on('bromine-water', '50 g bromine', {
  bromide: 'sodium bromide 99 % 500 g',
  acid: 'sulfuric acid 37 % 1 L',
  peroxide: 'hydrogen peroxide 11.9 % 500 mL',
});

function stands() {
  const bench = benchAt(water, 'stand', ...done('ready', 'water', 'bromide', 'acid', 'peroxide'));
  const { own } = unwrap(advise(water.plan, bench.props.run.events, 'stand', START));
  const { container } = draw(<OxidiseBench {...bench.props} says={own!.says as OxidiseAdvice} />);
  return () => container.textContent ?? '';
}

describe('a halogen that comes slowly', () => {
  it('says whether waiting is worth it, what more warmth brings, and what quenches it', () => {
    const text = stands();
    expect(text()).toMatch(/waiting is worth it/);
    expect(text()).toMatch(/10 °C warmerabout \d(\.\d)? times as fast/);
    expect(text()).toMatch(/g of thiosulfate crystals/);
  });

  it('answers for more acid', () => {
    const text = stands();
    const part = () => Number(/at mostabout (\d+(?:\.\d+)?) %/.exec(text())?.[1]);
    const before = part();
    fireEvent.keyDown(screen.getByRole('slider', { name: /times the acid/ }), { key: 'End', keyCode: 35 });
    expect(part()).toBeGreaterThan(before);
  });

  it('with nothing in it says so', () => {
    const bench = benchAt(water, 'stand');
    expect(draw(<OxidiseBench {...bench.props} says={null} />).container.textContent).toMatch(/not in it yet/);
  });
});
