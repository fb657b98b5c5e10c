import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checked, day, fields, flag, id, list, map, nullable, number, one, optional, tagged, text } from '#base/shape';
import { benchShape } from '#matter/gear';
import { bottleEventBodyShape, cardShape } from '#matter/stock';
import { substance } from '#matter/substance';
import { planShape } from '#run/plan';
import { arbitraryOf } from '#testing/arbitrary';
import { times } from '#testing/property';
import { planFor } from '#testing/shelf';
import * as bodies from './bodies.ts';
import { check } from './check.ts';

const shape = fields({
  name: text(10),
  count: number({ min: 0, max: 5, whole: true }),
  on: flag(),
  unit: one('g', 'mL'),
  of: nullable(substance()),
  more: optional(list(number({ moreThan: 0 }), 2, 1)),
  kinds: tagged('is', { exact: { value: number() }, word: { text: text(5) } }),
  by: map(number(), 2),
  when: day(),
  ref: id('ev'),
});
const good = {
  name: 'zinc',
  count: 3,
  on: true,
  unit: 'g',
  of: null,
  more: [1],
  kinds: { is: 'exact', value: 1 },
  by: { a: 1 },
  when: '2026-03-14',
  ref: 'ev_abcdef12',
};

describe('a value at the door', () => {
  it('passes when it is as its shape says', () => {
    expect(check(shape, good)).toEqual({ ok: true, value: good });
    const { more: _, ...less } = good;
    expect(check(shape, less).ok).toBe(true);
  });

  it.each([
    ['name', '', 'name'],
    ['name', 'a name that is far too long', 'at most 10 characters'],
    ['name', 5, 'name'],
    ['count', 1.5, 'integer'],
    ['count', -1, 'greater than or equal to 0'],
    ['count', 6, 'less than or equal to 5'],
    ['count', '3', 'is a number'],
    ['count', Number.NaN, 'count'],
    ['count', Number.POSITIVE_INFINITY, 'count'],
    ['count', null, 'count'],
    ['on', 'yes', 'on'],
    ['unit', 'kg', 'one of'],
    ['of', 'phlogiston', 'no substance known here'],
    ['more', [], 'at least 1'],
    ['more', [1, 2, 3], 'less than or equal to 2'],
    ['more', [0], 'more than 0'],
    ['kinds', { is: 'guess' }, 'is one of exact, word'],
    ['kinds', { is: 'word', text: 'x', value: 1 }, 'unknown key'],
    ['kinds', null, 'cannot be null'],
    ['by', { a: 1, b: 2, c: 3 }, 'at most 2 entries'],
    ['by', { a: 'x' }, 'is a number'],
    ['when', '2026-02-31x', 'is a day such as'],
    ['when', '14.3.2026', 'is a day such as'],
    ['ref', 'x; DROP TABLE', 'looks like ev_'],
    ['other', 1, 'unknown key'],
  ])('is refused for %s %j, with its field', (key, value, said) => {
    const result = check(shape, { ...good, [key]: value });
    expect(result.ok ? '' : result.problem.message).toContain(said);
    if (!result.ok && key !== 'other') expect(result.problem.field).toContain(key);
  });

  it.each([[null], [undefined], [7], ['text'], [[]], [true]])('is refused when it is %j', (value) =>
    expect(check(shape, value).ok).toBe(false),
  );

  it('is refused for what makes no sense, in the words of its shape, with where it stands', () => {
    const even = checked(number(), (value) => (value % 2 === 0 ? '' : 'is even'));
    const nested = fields({ all: list(fields({ n: even }), 5) });
    expect(check(nested, { all: [{ n: 2 }, { n: 4 }] }).ok).toBe(true);
    expect(check(nested, { all: [{ n: 2 }, { n: 3 }] })).toMatchObject({
      ok: false,
      problem: { message: 'all[1].n is even.', field: 'all[1].n' },
    });
  });
});

describe('what the core describes', () => {
  it.each([
    ['a card', cardShape],
    ['a bench', benchShape],
    ['an entry of a bottle', bottleEventBodyShape],
    ['a batch cut in two', bodies.splitBody],
    ['a batch joined', bodies.joinBody],
    ['a lesson', bodies.newLessonBody],
    ['entries of a run', bodies.eventsBody],
    ['a bottle', bodies.newBottleBody],
  ] as const)('passes as %s, however it is filled', (_, of) => {
    fc.assert(
      fc.property(arbitraryOf(of as never), (value) => {
        const result = check(of as never, value);
        expect(result.ok ? '' : result.problem.message).toBe('');
      }),
      { numRuns: times(60) },
    );
  });

  it('passes as a plan, and as the same plan through JSON', () => {
    const plan = planFor('60 g zinc sulfate');
    expect(check(planShape, plan).ok).toBe(true);
    expect(check(planShape, JSON.parse(JSON.stringify(plan)))).toEqual({ ok: true, value: plan });
  });
});
