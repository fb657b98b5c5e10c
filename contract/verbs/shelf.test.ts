import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { parseLabel } from '#matter/label';
import type { BottleCard } from '#matter/stock';
import { verbs } from '../verbs.ts';

const BOUGHT = '2026-01-01';
const card = (text: string): BottleCard => parseLabel(text, BOUGHT, 20).card!;
const shelved = (id: string, text: string, usedG = 0) => ({ id, card: card(text), usedG });
const faces = (bottles: readonly ReturnType<typeof shelved>[], today = BOUGHT) =>
  unwrap(verbs.shelf.run({ bottles: bottles.map((each) => ({ ...each, archived: false })), tempC: 20, today }));

describe('the faces of a shelf', () => {
  it('give level, grams and moles of what is left', () => {
    const [half] = faces([shelved('bottle_salt', 'washing soda crystals 1 kg', 250)]);
    expect(half!.level).toBeCloseTo(0.75, 9);
    expect(half!.left!.value).toBeCloseTo(750, 6);
    // 750 g of Na2CO3.10H2O at 286.14 g/mol, such crystals hold 99.5 %, by hand.
    expect(half!.moles!.value).toBeCloseTo((0.995 * 750) / 286.14, 2);
    expect(half!.stale).toBe(false);
  });

  it('keep one bottle that cannot be read from hiding the others', () => {
    const odd = {
      ...shelved('bottle_odd', 'washing soda crystals 1 kg'),
      card: { ...card('washing soda crystals 1 kg'), substanceId: 'no' },
    };
    const [bad, good] = faces([odd, shelved('bottle_good', 'acetic acid 8 % 1 L')]);
    expect(bad!.problem!.message.length).toBeGreaterThan(10);
    expect(bad!.strength).toBeNull();
    expect(good!.problem).toBeNull();
    expect(good!.strength!.value).toBeCloseTo(8, 9);
  });

  it('find pool chlorine stale after a year and table salt never', () => {
    const bottles = [
      shelved('bottle_pool', 'sodium hypochlorite 12.5 % 2 L'),
      shelved('bottle_salt', 'sodium chloride 1 kg'),
    ];
    expect(faces(bottles).map(({ stale }) => stale)).toEqual([false, false]);
    expect(faces(bottles, '2027-01-01').map(({ stale }) => stale)).toEqual([true, false]);
  });

  it('never hold more than was bought nor less than nothing', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (usedG) => {
        const [one] = faces([shelved('bottle_salt', 'washing soda crystals 1 kg', usedG)]);
        expect(one!.left!.value).toBeGreaterThanOrEqual(0);
        expect(one!.left!.value).toBeLessThanOrEqual(1000);
        expect(one!.level).toBeGreaterThanOrEqual(0);
        expect(one!.level).toBeLessThanOrEqual(1);
      }),
    );
  });
});

describe('how a bottle keeps', () => {
  const ask = (text: string, over: { tempC?: number; light?: 'dark' | 'daylight' } = {}) =>
    unwrap(
      verbs.ageing.run({
        id: 'bottle_a',
        card: card(text),
        today: '2026-07-01',
        tempC: 20,
        light: 'dark',
        ...over,
      }),
    );
  const faded = (text: string, over = {}) => ask(text, over)!.points.at(-1)!.mid;

  it('has nothing to say of what keeps', () => {
    expect(ask('sodium chloride 1 kg')).toBeNull();
  });

  it('fades faster when warm, and in daylight', () => {
    const cool = faded('sodium hypochlorite 12.5 % 2 L', { tempC: 5 });
    const room = faded('sodium hypochlorite 12.5 % 2 L');
    const warm = faded('sodium hypochlorite 12.5 % 2 L', { tempC: 30 });
    expect(cool).toBeGreaterThan(room);
    expect(room).toBeGreaterThan(warm);
    expect(faded('sodium hypochlorite 12.5 % 2 L', { light: 'daylight' })).toBeLessThan(room);
  });

  it('refuses a bottle whose substance is not known', () => {
    const lost = { ...card('washing soda crystals 1 kg'), substanceId: '__proto__' };
    const asked = { id: 'bottle_a', card: lost, today: BOUGHT, tempC: 20, light: 'dark' as const };
    expect(verbs.ageing.run(asked).ok).toBe(false);
    expect(verbs.bottle.run({ id: 'bottle_a', card: lost, usedG: 0, tempC: 20, today: BOUGHT }).ok).toBe(false);
  });
});

describe('a label as it is typed', () => {
  const read = (text: string) => unwrap(verbs.label.run({ text, today: BOUGHT, tempC: 20 }));

  it('makes a bottle once all of it is understood', () => {
    const { reading, view } = read('hydrochloric acid 28% 5 L 11.50');
    expect(reading.problems).toEqual([]);
    // 28 % acid has a density of 1.139 g/mL at 20 °C (CRC): 8.75 mol/L.
    expect(view!.strengths.find(({ unit }) => unit === 'mol/L')!.value).toBeCloseTo(8.75, 1);
  });

  it.each(['', '   ', '%%%', '28 %', 'unobtainium 5 kg', 'hydrochloric acid 280 % 5 L', 'hydrochloric acid -3 % 1 L'])(
    'makes none of “%s”',
    (text) => {
      expect(read(text).view).toBeNull();
    },
  );

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const { view } = read(text);
        if (view) expect(view.content.w.value).toBeLessThanOrEqual(100);
      }),
    );
  });
});
