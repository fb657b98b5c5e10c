import type { StepTemplate } from '../route.ts';

type Needed = 'id' | 'title' | 'act' | 'expect' | 'why';

/** A step with the plain answers filled in: attended, anywhere, no timer, nothing done to the contents. */
export function step(given: Pick<StepTemplate, Needed> & Partial<StepTemplate>): StepTemplate {
  return {
    until: '',
    trouble: '',
    skipCosts: '',
    op: { do: 'plain' },
    timer: null,
    leave: { alone: false, lookEveryMin: null, reason: 'short: stay with it' },
    where: 'anywhere',
    cautions: [],
    ceilingC: null,
    adding: null,
    handsOnMin: 5,
    waitH: [0, 0],
    after: [],
    only: null,
    ...given,
  };
}
