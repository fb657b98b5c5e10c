import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { capOfAmount, capProblem, judgeAir, minutesTo, type Scale, shareInRoom } from './index.ts';

const shut = { roomM3: 20, kind: 'closed' } as const;
const gas = (id: string, litres: number, hours = 0.1) => ({ id: id as never, litres, hours });

describe('gas in the air of a room', () => {
  it('is all of it over all of the air, when it comes at once', () => {
    // 6.05 L of ammonia in 20 m3: 303 ppm.
    expect(shareInRoom(gas('ammonia-gas', 6.05, 0), shut) * 1e6).toBeCloseTo(302.5, 1);
    // 11.2 L of carbon dioxide: 0.056 %.
    expect(shareInRoom(gas('carbon-dioxide', 11.2, 0), shut) * 100).toBeCloseTo(0.056, 3);
  });

  it('settles where as much leaves as comes', () => {
    // 100 L/h into 20 m3 with 8 changes: 100 ÷ (8 × 20 000) = 625 ppm after a long time.
    expect(shareInRoom(gas('carbon-dioxide', 2400, 24), { roomM3: 20, kind: 'fan' }) * 1e6).toBeCloseTo(625, -1);
  });

  it('is less with more air, and none outdoors', () => {
    const share = (kind: 'closed' | 'window' | 'fan' | 'outdoors' | 'hood') =>
      shareInRoom(gas('hydrogen', 50, 2), { roomM3: 20, kind });
    expect(share('closed')).toBeGreaterThan(share('window'));
    expect(share('window')).toBeGreaterThan(share('fan'));
    expect(share('outdoors')).toBe(0);
    expect(share('hood')).toBe(0);
  });

  it('never passes what came, nor grows when the room does', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1e4, noNaN: true }),
        fc.double({ min: 0, max: 48, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (litres, hours, roomM3) => {
          const here = shareInRoom(gas('hydrogen', litres, hours), { roomM3, kind: 'window' });
          expect(here).toBeLessThanOrEqual(Math.min(1, litres / 1000 / roomM3) * 1.000001);
          expect(
            shareInRoom(gas('hydrogen', litres, hours), { roomM3: 2 * roomM3, kind: 'window' }),
          ).toBeLessThanOrEqual(here);
        },
      ),
    );
  });

  it('says when a limit is passed, to the minute that it takes', () => {
    // 60 L/h into 20 m3, 35 ppm is 0.7 L: less than a minute; never, where the fan keeps it below.
    expect(minutesTo(35e-6, gas('ammonia-gas', 60, 1), shut)).toBeCloseTo(0.7, 1);
    expect(minutesTo(0.01, gas('ammonia-gas', 60, 1), shut)).toBeNull();
  });
});

describe('what it is called', () => {
  it.each([
    // Carbon dioxide of 20 m3, all at once: 0.3, 0.6, 3.2 and 11 %.
    ['carbon-dioxide', 60, 'silent'],
    ['carbon-dioxide', 120, 'watch'],
    ['carbon-dioxide', 640, 'stop'],
    ['carbon-dioxide', 2200, 'refuse'],
    // A quarter of 4 % of 20 m3 is 200 L of hydrogen.
    ['hydrogen', 180, 'silent'],
    ['hydrogen', 230, 'refuse'],
    ['ammonia-gas', 0.01, 'silent'],
    ['ammonia-gas', 0.3, 'watch'],
    ['ammonia-gas', 3, 'stop'],
    ['ammonia-gas', 7, 'refuse'],
    ['chlorine', 0.02, 'stop'],
    ['chlorine', 0.3, 'refuse'],
  ])('%s, %d L in a shut room of 20 m3: %s', (id, litres, verdict) => {
    expect(judgeAir(gas(id, litres, 0), shut).verdict).toBe(verdict);
  });

  it('differs with the room, and says which', () => {
    const small = judgeAir(gas('carbon-dioxide', 220, 0), { roomM3: 2, kind: 'closed' });
    expect(small.verdict).toBe('refuse');
    expect(small.says).toContain('In 2.00 m³, doors and windows shut');
    expect(judgeAir(gas('carbon-dioxide', 220, 0), { roomM3: 2, kind: 'outdoors' }).verdict).toBe('silent');
  });
});

describe('caps', () => {
  const scale = (over: Partial<Scale>): Scale => ({
    gases: [],
    air: { roomM3: 1000, kind: 'outdoors' },
    acids: [],
    moltenAlkaliG: 0,
    iodineG: 0,
    ...over,
  });
  const of = (over: Partial<Scale>, amount = { value: 1000, unit: 'g' }) =>
    capProblem(scale(over), amount)?.message ?? '';
  const chlorine = (mol: number) => ({ id: 'chlorine' as const, litres: 24 * mol, mol, hours: 1, stepOutdoors: true });

  it('hold outdoors too, whatever the setting, with the largest amount within', () => {
    expect(of({ gases: [chlorine(0.05)] })).toBe('');
    expect(of({ gases: [chlorine(0.4)] })).toContain('at most 0.1 mol of it');
    expect(of({ gases: [chlorine(0.4)] })).toContain('At most 250 g');
    expect(of({ gases: [{ ...chlorine(0.01), id: 'hydrogen-sulfide' }] })).toContain('It is not made here.');
  });

  it('count litres of strong acid, molten alkali and iodine', () => {
    const acid = { name: 'sulfuric acid', substanceId: 'sulfuric-acid' as const, pct: 60, mL: 20_000 };
    expect(of({ acids: [acid] }, { value: 20, unit: 'L' })).toContain('At most 2.50 L'.replace('2.50', '2.5'));
    expect(of({ acids: [{ ...acid, pct: 5 }] })).toBe('');
    expect(of({ moltenAlkaliG: 4700 })).toContain('up to 250 g');
    expect(of({ iodineG: 50 })).toContain('iodine crystals');
    expect(of({ iodineG: 5, moltenAlkaliG: 200 })).toBe('');
  });

  it('are the same for what a current makes', () => {
    expect(capOfAmount('Cl2', 1.9)?.message).toContain('at most 0.1 mol');
    expect(capOfAmount('I2', 0.19)?.message).toContain('up to 10 g');
    expect(capOfAmount('Cu', 5)).toBeNull();
  });
});
