import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import type { EventBody } from '#run/log';
import { compareRuns } from '#run/state';
import { eventsAt, planFor } from '#testing/shelf';

const START = '2026-03-14T08:00:00.000Z';
const charged = (step: string, role: string, bottleId: string | null, value: number): EventBody => ({
  kind: 'added',
  step,
  role,
  bottleId,
  reading: exactReading(value, 'g'),
  reason: '',
});

/** A run of zinc sulfate to its weighed end. */
function attempt(number: number, cold: number, grams: number, note: string) {
  const plan = planFor('40 g zinc sulfate', { controls: { cold } });
  const steps = ['ready', 'zinc', 'water', 'acid', 'dissolve', 'filter', 'boil-down', 'grow', 'cool', 'collect'];
  const weighed: EventBody = {
    kind: 'read',
    step: 'dry',
    quantity: 'mass',
    reading: exactReading(grams, 'g'),
    place: '',
  };
  const events = eventsAt(
    START,
    charged('zinc', 'zinc', 'bottle_zinc', 12),
    ...steps.map((step): EventBody => ({ kind: 'finished', step })),
    { kind: 'noted', step: 'cool', text: note },
    weighed,
    { kind: 'finished', step: 'dry' },
    { kind: 'finished', step: 'jar' },
  );
  return { number, plan, events };
}
const cells = (rows: ReturnType<typeof compareRuns>, name: string) => unwrap(rows).find((each) => each.name === name)!;

describe('attempts side by side', () => {
  const rows = compareRuns([attempt(1, 4, 38, 'cloudy'), attempt(2, 12, 30, 'clear')]);

  it('mark what was done otherwise and leave the rest unmarked', () => {
    expect(cells(rows, 'cool to')).toMatchObject({ cells: ['4 °C', '12 °C'], differs: true });
    expect(cells(rows, 'acid diluted to').differs).toBe(false);
    expect(cells(rows, 'noted').cells).toEqual(['cloudy', 'clear']);
    // Nothing was abandoned in either: the row is not there.
    expect(unwrap(rows).some(({ name }) => name === 'abandoned')).toBe(false);
  });

  it('account for all of the theory: on the balance, in the liquor, otherwise lost', () => {
    const grams = (name: string, i: number) => Number(/[\d.]+/.exec(cells(rows, name).cells[i]!)![0]);
    // 12 g of 99 % zinc: 0.1817 mol, 52.25 g of the heptahydrate at most.
    for (const i of [0, 1]) {
      const sum = grams('got', i) + grams('in the liquor', i) + grams('otherwise lost', i);
      expect(sum).toBeGreaterThan(51);
      expect(sum).toBeLessThan(53.5);
    }
    expect(grams('in the liquor', 1)).toBeGreaterThan(grams('in the liquor', 0));
    expect(grams('yield', 0)).toBeCloseTo((100 * 38) / 52.25, 0);
  });

  it('are two to six, of runs that can be computed', () => {
    const one = attempt(1, 4, 38, '');
    expect(compareRuns([one]).ok).toBe(false);
    expect(compareRuns(Array.from({ length: 7 }, () => one)).ok).toBe(false);
    expect(compareRuns([one, { ...one, plan: { ...one.plan, route: { ...one.plan.route, steps: [] } } }]).ok).toBe(
      false,
    );
    // A run of another route to another product stands beside it, with dashes where nothing matches.
    const other = { number: 3, plan: planFor('20 g basic zinc carbonate'), events: [] };
    const mixed = compareRuns([one, other]);
    expect(cells(mixed, 'washing soda').cells[0]).toBe('');
    expect(cells(mixed, 'route').differs).toBe(true);
  });
});
