import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { sheetOf } from '#run/sheet';
import { testShelf } from '#testing/shelf';
import { choicesFor } from './choices.ts';
import { makeableFrom } from './makeable.ts';

const where = { bench: BenchDefaults, today: '2026-03-14' };
const shelf = testShelf.map((bottle) => ({ ...bottle, usedG: 0, archived: false }));
const from = (bottles: typeof shelf) => unwrap(makeableFrom({ ...where, shelf: bottles }));
const without = (substanceId: string) => shelf.filter(({ card }) => card.substanceId !== substanceId);

describe('what the shelf can make', () => {
  const { now } = from(shelf);

  it('is asked for by a text that plans it, of no more than there is', () => {
    expect(now.map(({ name }) => name)).toContain('zinc sulfate heptahydrate');
    for (const { ask, most } of now) {
      const { choices, problems } = unwrap(choicesFor({ ...where, shelf, text: ask }));
      expect(problems, ask).toEqual([]);
      const plan = choices.find(({ row, problem }) => row !== null && problem === null)!.plan;
      expect(unwrap(sheetOf(plan)).shortages, ask).toEqual([]);
      expect(most, ask).toMatch(/^up to about [\d.]+ (?:g|mL|L)/);
    }
  });

  it('comes near what the scarcest bottle gives: a third more is short', () => {
    const { ask } = now.find(({ name }) => name === 'zinc sulfate heptahydrate')!;
    const more = ask.replace(/^\d+/, (grams) => String(Math.round(Number(grams) * 1.34)));
    const [choice] = unwrap(choicesFor({ ...where, shelf, text: more })).choices;
    expect(unwrap(sheetOf(choice!.plan)).shortages).not.toEqual([]);
  });

  it('shrinks with what was used', () => {
    const grams = (bottles: typeof shelf) =>
      Number.parseFloat(from(bottles).now.find(({ name }) => name.startsWith('zinc sulfate'))?.ask ?? '0');
    const half = shelf.map((each) =>
      each.card.substanceId === 'zinc' ? { ...each, usedG: (each.card.size?.value ?? 0) / 2 } : each,
    );
    expect(grams(half)).toBeLessThanOrEqual(grams(shelf));
    expect(grams(half)).toBeGreaterThan(0);
  });

  it('is nothing where a bottle is empty, or was used beyond its label', () => {
    for (const times of [1, 1.2]) {
      const empty = shelf.map((each) =>
        each.card.substanceId === 'zinc' ? { ...each, usedG: (each.card.size?.value ?? 0) * times } : each,
      );
      expect(from(empty).now.map(({ name }) => name)).not.toContain('zinc sulfate heptahydrate');
    }
  });

  it('is not measured by a bottle that does not say what it holds', () => {
    const unknown = shelf.map((each) => ({ ...each, card: { ...each.card, size: null } }));
    for (const { most } of from(unknown).now) expect(most).toBe('');
  });

  it('opens with one product more, named by what is missing', () => {
    expect(from([])).toMatchObject({ now: [] });
    const { now: left, next } = from(without('zinc'));
    expect(left.map(({ name }) => name)).not.toContain('zinc sulfate heptahydrate');
    const zinc = next.find(({ product }) => product === 'zinc');
    expect(zinc?.opens.map(({ name }) => name)).toContain('zinc sulfate heptahydrate');
    // What stands there already opens nothing.
    expect(from(shelf).next.map(({ product }) => product)).not.toContain('zinc');
  });
});
