import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hazardCautions, hazards, hazardsMore, statements } from '#matter/data';
import { classesOf } from '#matter/guard';
import { allSubstances, substanceById } from '#matter/substance';
import {
  gramsLost,
  hazardCautionsAt,
  isClassified,
  labelElements,
  rowsFor,
  statementsAt,
  vapourFrom,
  vapourPa,
} from './index.ts';

const at = (substanceId: string, pct: number) => ({ substanceId, pct });
const codes = (substanceId: string, pct = 100) => statementsAt(at(substanceId, pct));

describe('statements by strength', () => {
  it.each([
    ['hydrochloric-acid', 37, ['H290', 'H314', 'H335']],
    ['hydrochloric-acid', 15, ['H290', 'H315', 'H319', 'H335']],
    ['hydrochloric-acid', 5, ['H290']],
    ['sulfuric-acid', 10, ['H290', 'H315', 'H319']],
    ['acetic-acid', 5, []],
    ['acetic-acid', 30, ['H314']],
    ['acetic-acid', 99.5, ['H226', 'H314']],
    ['hydrogen-peroxide', 3, []],
    ['hydrogen-peroxide', 6, ['H319']],
    ['hydrogen-peroxide', 30, ['H302', 'H318']],
    ['sodium-hydroxide', 1, ['H315', 'H319']],
    ['sodium-hydroxide', 30, ['H290', 'H314']],
    ['copper-sulfate-pentahydrate', 100, ['H302', 'H318', 'H410']],
    ['copper-sulfate', 2, []],
    ['ethanol', 94, ['H225', 'H319']],
    ['boric-acid', 100, ['H319', 'H360FD']],
    ['sodium-chloride', 100, []],
  ])('%s at %d %%', (id, pct, wanted) => {
    expect([...codes(id, pct)].sort()).toEqual([...wanted].sort());
  });

  it('never lose a burn as a solution grows stronger', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          'hydrochloric-acid',
          'sulfuric-acid',
          'nitric-acid',
          'sodium-hydroxide',
          'acetic-acid',
          'ammonia',
        ),
        fc.double({ min: 0, max: 69, noNaN: true }),
        (id, pct) => {
          if (codes(id, pct).includes('H314')) expect(codes(id, pct + 1)).toContain('H314');
        },
      ),
    );
  });

  it('reach somebody, each row of the table', () => {
    const reached = new Set(allSubstances.flatMap((each) => each.hazards));
    const away = new Set(['kbro3', 'hbr', 'hi', 'chlorate', 'hf', 'hcn_source', 'crvi', 'chloramine', 'pbo2', 'clo2']);
    expect(hazards.filter(({ id }) => !reached.has(id) && !away.has(id)).map(({ id }) => id)).toEqual([]);
    for (const { id } of hazardsMore) expect(substanceById(id), id).toBeDefined();
  });

  it('are all known words', () => {
    const known = new Set(statements.map(({ code }) => code));
    const used = [...hazards.map((row) => row.statements ?? ''), ...hazardsMore.map((row) => row.statements)];
    for (const code of used.flatMap((text) => text.split(' ')))
      if (/^(?:H|EUH)\d/.test(code)) expect(known, code).toContain(code);
  });
});

describe('what is said at a step', () => {
  const said = (substanceId: string, pct: number, g: number) =>
    rowsFor({ substanceId, pct, g }).map(({ code, kind }) => (kind === '' ? code : `${code} ${kind}`));

  it('each row of it can be said, but of gases that nothing here gives off', () => {
    const unsaid = hazardCautions.filter(({ code, kind }) => {
      return !allSubstances.some(({ id }) =>
        [100, 30, 8, 3].some((pct) =>
          rowsFor({ substanceId: id, pct, g: 1000 }).some((row) => row.code === code && row.kind === kind),
        ),
      );
    });
    // What stands on no shelf here: hydrofluoric acid, chromate, lead.
    expect(unsaid.map(({ code, kind }) => `${code} ${kind}`.trim())).toEqual(
      expect.not.arrayContaining([
        'H302',
        'H314 acid',
        'H314 alkali',
        'H314 oxidising',
        'H318',
        'H410',
        'H225',
        'H272',
        'H350i',
      ]),
    );
    for (const { code } of unsaid)
      expect(['H300', 'H310', 'H340', 'H360Df', 'EUH206', 'H311', 'H280', 'H290']).toContain(code);
  });

  it.each([
    ['acetic-acid', 5, 200],
    ['sodium-carbonate', 5, 20],
    ['hydrogen-peroxide', 3, 10],
    ['citric-acid', 10, 20],
    ['sodium-chloride', 99, 500],
    ['ethanol', 5, 10],
  ])('nothing of kitchen strengths: %s %d %%', (id, pct, g) => {
    expect(said(id, pct, g)).toEqual([]);
  });

  it('says which kind of burn', () => {
    expect(said('sulfuric-acid', 37, 100)).toContain('H314 acid');
    expect(said('sodium-hydroxide', 98, 100)).toContain('H314 alkali');
    expect(said('sodium-hypochlorite', 12, 100)).toContain('H314 oxidising');
    expect(said('bromine', 100, 5)).toContain('H314 deep');
  });

  it.each([
    ['copper-formate-tetrahydrate', 'H410'],
    ['oxalic-acid-dihydrate', 'H318'],
    ['boric-acid', 'H360FD'],
    ['nickel-sulfate', 'H350i'],
    ['barium-chloride', 'H301'],
  ])('has its word on %s: %s', (id, code) => {
    expect(said(id, 99, 50)).toContain(code);
  });

  it('tells each thing once in a run, with what to wear and what to do', () => {
    const told = new Set<string>();
    const copper = [{ substanceId: 'copper-sulfate-pentahydrate', pct: 99, g: 100 }];
    const first = hazardCautionsAt(copper, [], told);
    expect(first.map(({ id }) => id)).toEqual(['hazard H302', 'hazard H318', 'hazard H410']);
    expect(first[1]!.text).toContain('Wear: goggles');
    expect(hazardCautionsAt(copper, [], told)).toEqual([]);
    // What the route says itself is not said again.
    expect(hazardCautionsAt(copper, ['copper-salt'], new Set())).toEqual([]);
  });
});

describe('what stands on a label', () => {
  it('says the graver once, and leaves out the mark that a graver one makes needless', () => {
    const { pictograms, statements: said, signal } = labelElements([at('sulfuric-acid', 30), at('copper-sulfate', 30)]);
    expect(signal).toBe('Danger');
    expect(said.map(({ code }) => code)).not.toContain('H318');
    expect(pictograms).toEqual(['GHS05', 'GHS07', 'GHS09']);
  });

  it('says nothing of what is not classified, and says so where nothing is held', () => {
    expect(labelElements([at('sodium-chloride', 99)])).toMatchObject({ signal: null, pictograms: [], notHeld: [] });
    for (const { id, onShelf } of allSubstances as readonly { id: string; onShelf?: boolean }[]) {
      if (onShelf === false || id === 'water') continue;
      const known = isClassified(id) || labelElements([at(id, 100)]).notHeld.length === 0;
      expect(known, `nothing is held of ${id}`).toBe(true);
    }
    expect(classesOf('nothing', 100).size).toBe(0);
  });
});

describe('vapour over what stands open', () => {
  const mmHg = (id: string, pct: number, tempC: number) => vapourPa(id as never, pct, tempC)! / 133.322;

  it.each([
    // Handbook vapour pressures of the pure liquids at 20 °C, and partial pressures at temperatures that built no table here.
    ['acetone', 100, 20, 185],
    ['ethanol', 100, 20, 44],
    ['acetic-acid', 100, 20, 11.7],
    ['hydrochloric-acid', 31, 10, 9],
    ['hydrochloric-acid', 31, 40, 65],
    ['hydrochloric-acid', 37, 10, 85],
    ['ammonia', 10, 0, 28],
    ['ammonia', 20, 0, 92],
    ['ammonia', 10, 40, 186],
  ] as const)('%s of %d %% at %d °C: about %d mmHg', (id, pct, tempC, wanted) => {
    const found = mmHg(id, pct, tempC);
    expect(found / wanted).toBeGreaterThan(0.66);
    expect(found / wanted).toBeLessThan(1.5);
  });

  it('grows with strength and warmth, and is not held of what does not go off', () => {
    expect(mmHg('hydrochloric-acid', 37, 20)).toBeGreaterThan(50 * mmHg('hydrochloric-acid', 20, 20));
    expect(mmHg('ammonia', 10, 30)).toBeGreaterThan(mmHg('ammonia', 10, 10));
    expect(vapourPa('sulfuric-acid', 96, 20)).toBeNull();
    expect(vapourPa('sodium-chloride', 10, 20)).toBeNull();
  });

  it('loses what an open dish does: water at 20 °C about 0.1 kg from a square metre in an hour of dry air', () => {
    expect(gramsLost(2339, 18.015, { areaCm2: 10_000, minutes: 60, tempC: 20 })).toBeGreaterThan(80);
    expect(gramsLost(2339, 18.015, { areaCm2: 10_000, minutes: 60, tempC: 20 })).toBeLessThan(300);
  });

  it('is said where it passes a tenth of its limit, and not of vinegar or outdoors', () => {
    const pour = { areaCm2: 60, minutes: 15, tempC: 20 };
    const room = { roomM3: 10, kind: 'closed' } as const;
    expect(vapourFrom({ substanceId: 'hydrochloric-acid', pct: 36 }, pour, room)?.says).toContain('leave it in 15 min');
    expect(vapourFrom({ substanceId: 'acetic-acid', pct: 5 }, pour, room)).toBeNull();
    expect(
      vapourFrom({ substanceId: 'hydrochloric-acid', pct: 36 }, pour, { roomM3: 10, kind: 'outdoors' }),
    ).toBeNull();
  });
});
