import { describe, expect, it } from 'vitest';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { type EventBody, liveOf } from '#run/log';
import { catalogue } from '#run/route';
import { goThrough } from '#run/sheet';
import { advise } from '#run/state';
import { own } from '#testing/asking';
import { planForRoute } from '#testing/catalogue';
import { done } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

// How far an addition has come is told of what runs out first, by the same amounts that the vessel is told by.

const START = '2026-03-14T08:00:00.000Z';
const additions = catalogue.flatMap((route) => {
  const plan = planForRoute(route);
  const { planned } = unwrap(goThrough(plan, liveOf([])));
  return route.steps.flatMap(({ id, op, adding }) => {
    const line = planned.end.additions.find(({ step }) => step === id);
    return op.do === 'add' && adding && line ? [[route.id, id, { route, plan, role: op.role, line }] as const] : [];
  });
});

describe('how far an addition has come', () => {
  it.each(additions)(
    '%s at “%s”: by the dose, and no more is asked for than was planned',
    (_, step, { route, plan, role, line }) => {
      const ids = route.steps.map(({ id }) => id);
      const before = done(...ids.slice(0, ids.indexOf(step)));
      const added = (share: number): EventBody => ({
        kind: 'added',
        step,
        role,
        bottleId: plan.bottles[role] ?? null,
        reading: exactReading(share * line.dose.mass.value, 'g'),
        reason: '',
      });
      const at = (share: number) => {
        const says = own(unwrap(advise(plan, eventsAt(START, ...before, added(share)), step, START)), 'add');
        return { add: says?.add ?? null, extent: says?.extent ?? null };
      };
      const [half, all, twice] = [at(0.5), at(1), at(2)];
      if (!all.add || !(all.add.enough.value > 0)) return;
      expect(all.add.enough.value).toBeLessThanOrEqual(line.dose.mass.value * 1.02);
      expect(all.add.band.place, JSON.stringify(all.add.band)).not.toBe('before');
      expect(must(all.extent?.pct ?? null, 'pct')).toBeGreaterThan(97);
      expect(must(half.extent?.pct ?? null, 'pct')).toBeGreaterThanOrEqual(45);
      expect(must(half.extent?.pct ?? null, 'pct')).toBeLessThanOrEqual(must(all.extent?.pct ?? null, 'pct'));
      expect(must(twice.add, 'add').band.place).toBe('past');
    },
  );

  it('is not counted twice for one thing by two equations: iodine by hand', () => {
    const found = additions.filter(([route]) => route === 'iodine').at(-1);
    const [, step, { plan, route, line }] = must(found, 'iodine');
    const ids = route.steps.map(({ id }) => id);
    const { add } = must(
      own(unwrap(advise(plan, eventsAt(START, ...done(...ids.slice(0, ids.indexOf(step)))), step, START)), 'add'),
      'advice',
    );
    // 2 I⁻ + H2O2 + 2 H⁺ → I2: half a mol of peroxide for a mol of iodide, and not that again for another way to write it.
    expect(must(add, 'add').enough.value / line.dose.mass.value).toBeGreaterThan(0.75);
    expect(must(add, 'add').enough.value / line.dose.mass.value).toBeLessThanOrEqual(1.01);
  });
});
