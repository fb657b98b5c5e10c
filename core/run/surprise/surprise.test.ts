import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { parseFormula } from '#matter/substance';
import type { TechniqueName } from '#run/technique';
import { causes, causesOf, type Observation, observations, type Scene } from './index.ts';

const scene = (ids: readonly string[], tempC = 20, technique: TechniqueName = 'add'): Scene => ({
  present: ids.map((substanceId) => ({ substanceId, pct: 20 })),
  tempC,
  technique,
});

describe('the pairs of observation and cause', () => {
  it('are many, each whole', () => {
    expect(causes.length).toBeGreaterThanOrEqual(60);
    for (const { check, move, source, cause, danger, now } of causes) {
      expect(Math.min(check.length, move.length, source.length, cause.length)).toBeGreaterThan(0);
      expect(now !== '', cause).toBe(danger === 'stop');
    }
    for (const observation of Object.keys(observations))
      expect(
        causes.some((each) => each.observation === observation),
        observation,
      ).toBe(true);
    expect(new Set(causes.map(({ observation, cause }) => `${observation} ${cause}`)).size).toBe(causes.length);
  });

  it.each(causes.filter(({ via }) => via !== '').map(({ via, cause }) => [via, cause]))(
    '%s is balanced (%s)',
    (via) => {
      expect(imbalanceOf(via)).toEqual({});
    },
  );
});

function imbalanceOf(via: string): Record<string, number> {
  const net: Record<string, number> = {};
  for (const [i, side] of via.split(' -> ').entries()) {
    for (const term of side.split(' + ')) {
      const [, n = '1', formula = ''] = /^(?:(\d+) )?(\S+)$/.exec(term)!;
      for (const [element, count] of Object.entries(unwrap(parseFormula(formula)).elements))
        net[element] = (net[element] ?? 0) + (i === 0 ? -1 : 1) * Number(n) * count;
    }
  }
  return Object.fromEntries(Object.entries(net).filter(([, left]) => left !== 0));
}

describe('ranking', () => {
  it('puts a dangerous cause that fits first, whatever else is likelier', () => {
    expect(causesOf('gas', scene(['sodium-nitrite', 'ammonium-chloride', 'zinc', 'sulfuric-acid']))[0]).toMatchObject({
      danger: 'stop',
      fits: true,
    });
    expect(causesOf('bleach-smell', scene(['sodium-hypochlorite', 'acetic-acid']))[0]!.cause).toContain('chlorine');
    expect(causesOf('brown-fume', scene(['nitric-acid', 'copper']))[0]!.cause).toContain('nitrogen dioxide');
  });

  it.each(Object.keys(observations) as Observation[])('leads with bleach in acid, whatever is seen: %s', (seen) => {
    const [first] = causesOf(seen, scene(['hydrochloric-acid', 'zinc', 'sodium-hypochlorite']));
    expect(first).toMatchObject({ danger: 'stop', fits: true });
    expect(first!.cause).toMatch(/sodium hypochlorite.*chlorine/);
    expect(first!.now).toContain('Get away');
    expect(first!.move).not.toMatch(/alcohol|spirit|vinegar/);
  });

  it('leads with no pair where none is there', () => {
    for (const seen of Object.keys(observations) as Observation[])
      for (const each of causesOf(seen, scene(['sulfuric-acid', 'zinc', 'zinc-sulfate', 'water'])))
        expect(each.cause).not.toContain('in it together');
  });

  it('takes no cause that wants warmth for one in the cold', () => {
    const air = (tempC: number) =>
      causesOf('gas', scene(['water'], tempC)).find(({ cause }) => cause.startsWith('air driven out'))!;
    expect(air(20)).toMatchObject({ fits: false, because: 'only above about 35 °C' });
    expect(air(60)).toMatchObject({ fits: true, because: '' });
  });

  it('goes by what is in the vessel', () => {
    expect(causesOf('gas', scene(['sulfuric-acid', 'sodium-carbonate']))[0]!.cause).toContain('carbon dioxide');
    expect(causesOf('gas', scene(['sulfuric-acid', 'zinc']))[0]!.cause).toContain('hydrogen');
    expect(causesOf('stall', scene(['sulfuric-acid', 'zinc', 'zinc-sulfate'], 20, 'hold'))[0]!.cause).toContain(
      'weaker',
    );
    expect(causesOf('cloud', scene(['zinc-sulfate', 'sodium-sulfate'], 20, 'filter'))[0]!.cause).toMatch(
      /basic salt|zinc left/,
    );
  });

  it('keeps what would need something unknown, last and said so', () => {
    const ranked = causesOf('green-gas', scene(['sodium-chloride']));
    expect(ranked.length).toBeGreaterThan(2);
    for (const each of ranked) if (!each.fits) expect(each.because).toContain('only if');
  });

  it('shares out to one, for any scene', () => {
    const ids = [
      'sulfuric-acid',
      'zinc',
      'sodium-hypochlorite',
      'ammonia',
      'ethanol',
      'hydrogen-peroxide',
      'copper-sulfate',
      'nothing-known',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(observations) as Observation[])),
        fc.subarray(ids),
        fc.integer({ min: -20, max: 150 }),
        (observation, some, tempC) => {
          const ranked = causesOf(observation, scene(some, tempC));
          expect(ranked.length).toBeGreaterThan(0);
          expect(ranked.reduce((sum, { likely }) => sum + likely, 0)).toBeCloseTo(1, 9);
        },
      ),
    );
  });
});
