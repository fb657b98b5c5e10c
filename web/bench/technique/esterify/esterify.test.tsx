import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { advise } from '#run/state';
import type { EsterAdvice, SeparateAdvice } from '#run/technique';
import { done, on, START } from '#testing/on-route';
import { benchAt, draw } from '#web/testing/bench.tsx';
import { FunnelBench } from '../separate/funnel-bench.tsx';
import { EsterBench } from './ester-bench.tsx';

afterEach(cleanup);

const route = on('isoamyl-formate', '40 g isoamyl formate', {
  alcohol: 'isoamyl alcohol 98 % 500 mL',
  acid: 'formic acid 85 % 1 L',
  catalyst: 'sodium hydrogensulfate 95 % 1 kg',
  base: 'potassium carbonate 99 % 500 g',
  salt: 'table salt 99 % 1 kg',
  agent: 'anhydrous magnesium sulfate 98 % 500 g',
});
const charged = done('ready', 'alcohol', 'acid', 'catalyst');

function says(step: string, hours: number, ...bodies: Parameters<typeof benchAt>[2][]) {
  const bench = benchAt(route, step, ...bodies);
  const now = new Date(Date.parse(START) + hours * 3_600_000).toISOString();
  return { bench, own: unwrap(advise(route.plan, bench.props.run.events, step, now)).own! };
}

describe('the course of an ester at the bench', () => {
  const course = (hours: number, ...bodies: Parameters<typeof benchAt>[2][]) => {
    const { bench, own } = says('warm', hours, ...charged, ...bodies);
    return draw(<EsterBench {...bench.props} says={own.says as EsterAdvice} />).container.textContent ?? '';
  };

  it('says whether the planned hours are enough', () => {
    expect(course(1)).toMatch(/3\.0 h are about enough/);
    expect(screen.getByRole('figure').getAttribute('aria-label')).toMatch(/over hours at 60/);
  });

  it('counts from the moment it was begun, and says when more brings nothing', () => {
    expect(course(0.5, { kind: 'started', step: 'warm' })).toMatch(/by the time it has been warm; about .* more/);
    cleanup();
    expect(course(30, { kind: 'started', step: 'warm' })).toMatch(/more hours bring next to nothing/);
  });

  it('answers for other hours', () => {
    course(1);
    const slider = screen.getByRole('slider', { name: /hours/ });
    fireEvent.keyDown(slider, { key: 'Home', keyCode: 36 });
    expect(screen.getByText(/^0 g, 0 %/)).toBeDefined();
  });

  it('has nothing to say of an empty flask', () => {
    const bench = benchAt(route, 'warm');
    expect(draw(<EsterBench {...bench.props} says={null} />).container.textContent).toMatch(/No acid and alcohol/);
  });
});

describe('the funnel at the bench', () => {
  it('says which is above, and what is in which', () => {
    const { bench, own } = says('part', 4, ...charged, ...done('warm', 'water', 'base'));
    const { container } = draw(<FunnelBench {...bench.props} says={own.says as SeparateAdvice} />);
    expect(container.textContent).toMatch(/Isoamyl formate is above.*Parts within a minute/);
    expect(container.textContent).toMatch(
      /In the isoamyl formate.*3-methylbutan-1-ol.*In the water.*potassium formate/,
    );
    expect(container.textContent).toMatch(/half of what the water holds of it is split within about (1\.0 h|5\d min)/);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/above .* isoamyl formate; below .* water/);
  });

  it('with nothing in it says so', () => {
    const bench = benchAt(route, 'part');
    expect(draw(<FunnelBench {...bench.props} says={null} />).container.textContent).toMatch(
      /Nothing in it makes a layer/,
    );
  });
});
