import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import type { ShelfBottle } from '#matter/stock';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { type Contents, emptyContents, phaseOf, withAmount } from '#matter/vessel';
import { liveOf } from '#run/log';
import { goThrough } from '#run/sheet';
import { eventsAt, planFor, testShelf } from '#testing/shelf';
import {
  accidentCard,
  bottleLabel,
  callsOf,
  careOfRun,
  demandOf,
  placesOf,
  storageGroupOf,
  wastePlan,
} from './index.ts';

const DAY = '2026-03-14';
const bench = { ...BenchDefaults, tempC: 16, country: 'UK', air: 'window' } as const;
let next = 0;
const bottle = (label: string, over: object = {}): ShelfBottle => {
  next += 1;
  return { id: `bottle_${next}`, card: { ...parseLabel(label, DAY, 20).card!, ...over }, usedG: 0, archived: false };
};
const SODA = bottle('baking soda 100% sodium hydrogencarbonate 500 g', { place: 'shelf 1' });
const shelf = [SODA];

/** g of each in so much water. */
function mixture(grams: Partial<Record<SubstanceId, number>>, waterG = 100): Contents {
  const water = given({ symbol: 'm', name: 'water', unit: 'g' }, waterG, 'test');
  return (Object.entries(grams) as [SubstanceId, number][]).reduce(
    (contents, [id, g]) => {
      const n = given({ symbol: 'n', name: id, unit: 'mol' }, g / molarMass(substanceOf(id).formula), 'test');
      return withAmount(contents, phaseOf(substanceOf(id), waterG > 0), id, n);
    },
    { ...emptyContents, waterG: water } as Contents,
  );
}

const card = (contents: Contents, over: object = {}) => accidentCard(contents, { shelf, bench, day: DAY, ...over });

describe('what has to be done away with', () => {
  it.each([
    // 9.81 g of sulfuric acid are 0.100 mol: 0.200 mol of H+.
    [{ 'sulfuric-acid': 9.81 }, { acidMol: 0.2, metalMol: 0 }],
    [{ 'acetic-acid': 6.005 }, { acidMol: 0.1 }],
    [{ 'phosphoric-acid': 9.8 }, { acidMol: 0.2 }],
    [{ 'sodium-hydrogensulfate': 12.006 }, { acidMol: 0.1 }],
    [{ 'sodium-hydroxide': 4 }, { baseMol: 0.1 }],
    [{ 'sodium-carbonate': 10.6 }, { baseMol: 0.2 }],
    [{ ammonia: 1.703 }, { baseMol: 0.1 }],
    // Zinc sulfate takes two of OH- each, alum three.
    [{ 'zinc-sulfate': 16.14 }, { metalMol: 0.2, acidMol: 0 }],
    [{ 'potassium-alum-dry': 25.82 }, { metalMol: 0.3 }],
    [{ 'sodium-chloride': 50 }, { acidMol: 0, baseMol: 0, metalMol: 0 }],
    [{ 'potassium-nitrate': 50 }, { acidMol: 0, baseMol: 0, metalMol: 0 }],
  ] as const)('%j', (grams, wanted) => {
    const { acidMol, baseMol, metalMol } = demandOf(mixture(grams));
    const demand = new Map(Object.entries({ acidMol, baseMol, metalMol }));
    for (const [key, value] of Object.entries(wanted)) expect(demand.get(key), key).toBeCloseTo(value, 2);
  });

  it('counts a metal wherever it is, dissolved, fallen out or as itself', () => {
    expect(demandOf(mixture({ 'zinc-sulfate': 16.14 })).metals.Zn).toBeCloseTo(6.54, 1);
    expect(demandOf(mixture({ 'copper-carbonate': 22.1 })).metals.Cu).toBeCloseTo(12.7, 1);
    expect(demandOf(mixture({ 'sodium-chloride': 10 })).metals).toEqual({});
  });

  it('grows with what there is, and never falls below nothing', () => {
    const ids = ['sulfuric-acid', 'sodium-hydroxide', 'zinc-sulfate', 'citric-acid', 'copper-sulfate'] as const;
    fc.assert(
      fc.property(fc.constantFrom(...ids), fc.double({ min: 0.01, max: 1000, noNaN: true }), (id, g) => {
        const one = demandOf(mixture({ [id]: g }));
        const two = demandOf(mixture({ [id]: 2 * g }));
        for (const key of ['acidMol', 'baseMol', 'metalMol'] as const) {
          expect(one[key]).toBeGreaterThanOrEqual(0);
          expect(two[key]).toBeCloseTo(2 * one[key], 6);
        }
      }),
    );
  });
});

describe('the card when it is out', () => {
  it('says to stay, and what of this shelf to pour on it', () => {
    // 0.200 mol × 84.0 × 1.25 = 21.0 g of baking soda.
    const { go, pours, of, first } = card(mixture({ 'sulfuric-acid': 9.81 }));
    expect(go).toBe('stay');
    expect(of).toContain('sulfuric acid');
    expect(first[0]).toBe('Open the door.');
    expect(pours).toHaveLength(1);
    expect(pours[0]!.grams).toBeCloseTo(21, 0);
    expect(pours[0]).toMatchObject({ name: SODA.card.name, place: 'shelf 1', enough: true, against: 'acid' });
  });

  it('counts in one’s own scoop, and says when the shelf has too little', () => {
    const measures = [{ name: 'scoop', of: 'baking soda', gramsEach: 10.4, sdG: 0.4 }];
    const { pours } = card(mixture({ 'sulfuric-acid': 20 }), { bench: { ...bench, measures } });
    // 0.408 mol × 84 × 1.25 = 42.8 g: five scoops.
    expect(pours[0]!.measures).toMatchObject({ name: 'scoop', count: 5 });
    expect(card(mixture({ 'sulfuric-acid': 981 })).pours[0]!.enough).toBe(false);
  });

  it('never pours a base on a base, nor acid near bleach', () => {
    const acid = bottle('citric acid 100% 500 g');
    const lye = card(mixture({ 'sodium-hydroxide': 20 }), { shelf: [SODA, acid] });
    expect(lye.pours.map(({ against }) => against)).toEqual(['base']);
    const bleach = card(mixture({ 'sodium-hypochlorite': 5, 'sodium-hydroxide': 0.5 }), { shelf: [SODA, acid] });
    expect(bleach.pours.some(({ against }) => against === 'acid')).toBe(false);
    expect(bleach.instead).toContain('No sulfite or thiosulfate');
  });

  it('says to leave where two things in it make a poison, and pours nothing', () => {
    const both = card(mixture({ 'hydrochloric-acid': 20, 'sodium-hypochlorite': 5 }));
    expect(both.go).toBe('leave');
    expect(both.leaveBecause).toContain('chlorine');
    expect(both.pours).toEqual([]);
    expect(both.first[0]).toContain('out');
  });

  it('says to leave a shut room that fills, and to stand upwind outdoors', () => {
    const strong = mixture({ 'hydrochloric-acid': 185 }, 315);
    expect(card(strong, { bench: { ...bench, air: 'closed', roomM3: 10 } }).go).toBe('leave');
    const outside = card(strong, { bench: { ...bench, air: 'outdoors' } });
    expect(outside.go).toBe('stay');
    expect(outside.first[0]).toBe('Stand upwind.');
  });

  it('names what stands near and must not be reached', () => {
    const pool = bottle('pool chlorine granules 65% calcium hypochlorite 1 kg', { place: 'left end of the bench' });
    const { near, leaveIf } = card(mixture({ 'sulfuric-acid': 20 }), { shelf: [SODA, pool] });
    expect(near[0]).toMatchObject({ severity: 'refuse', place: 'left end of the bench' });
    expect(leaveIf).toContain('chlorine');
  });

  it('puts out flames where hydrogen or spirit is', () => {
    expect(card(mixture({ 'sulfuric-acid': 10, zinc: 5 })).first).toContain('Nothing lit, no switches.');
    expect(card(mixture({ ethanol: 80 }, 20)).first).toContain('Nothing lit, no switches.');
    expect(card(mixture({ 'citric-acid': 20 })).first).not.toContain('Nothing lit, no switches.');
  });

  it('rinses longer where it burns, and keeps metal from the drain', () => {
    expect(card(mixture({ 'sodium-hydroxide': 10 })).firstAid.eye).toContain('20 minutes');
    expect(card(mixture({ 'sodium-chloride': 10 })).firstAid.eye).toContain('10 minutes');
    expect(card(mixture({ 'copper-sulfate': 10 })).neverToDrain).toContain('copper');
    expect(card(mixture({ 'sodium-chloride': 10 })).neverToDrain).toBe('');
  });
});

describe('whom to call', () => {
  it('knows the country, takes one’s own number first, and says what is missing', () => {
    expect(callsOf({ country: 'UK' }).map(({ number }) => number)).toEqual(['999', '111']);
    expect(callsOf({ country: 'AU' })[0]!.number).toBe('000');
    const own = callsOf({ country: 'EU', calls: { poison: '01632 960 014', checkIn: '01632 960 027', other: '' } });
    expect(own.map(({ number }) => number)).toEqual(['112', '01632 960 014', '01632 960 027']);
    expect(callsOf({ country: 'EU' })[1]!.what).toContain('not entered yet');
    expect(callsOf({})[0]!.what).toContain('choose your country');
  });
});

describe('the waste of a zinc batch', () => {
  const plan = planFor('100 g zinc sulfate');
  const { planned } = unwrap(goThrough(plan, liveOf([])));
  const setting = { bench: plan.bench, day: DAY, productId: 'zinc-sulfate-heptahydrate' } as const;

  it('neutralises the liquor, settles the zinc at its pH, and lets none of it to a drain', () => {
    const { items, never } = wastePlan(planned.end.vessels, { ...setting, shelf });
    const liquor = items.find(({ id }) => id === 'liquor')!;
    expect(liquor.metals.Zn).toBeGreaterThan(1);
    expect(liquor.pH).toBe('8.5 to 9');
    expect(liquor.goes).toBe('jar');
    const needed = demandOf(planned.end.vessels.liquor!);
    expect(liquor.pours[0]!.grams).toBeCloseTo((needed.acidMol + needed.metalMol) * 84 * 1.25, 0);
    expect(items.map(({ id }) => id)).toContain('rinse');
    expect(never).toContain('zinc');
    // The crystals are the product, no waste.
    const zinc = items.reduce((sum, { metals }) => sum + (metals.Zn ?? 0), 0);
    expect(zinc).toBeLessThan(12);
  });

  it('asks each waste jar whether it takes it', () => {
    const bleach = bottle('thin bleach 5% sodium hypochlorite 500 mL', { group: 'waste', name: 'Jar B' });
    const metal = bottle('zinc carbonate 60% 200 g', { group: 'waste', name: 'Jar Z' });
    const { jars } = wastePlan(planned.end.vessels, { ...setting, shelf: [SODA, bleach, metal] });
    expect(jars.find(({ name }) => name === 'Jar B')!.against.liquor).toContain('chlorine');
    expect(jars.find(({ name }) => name === 'Jar Z')!.against.liquor ?? '').not.toContain('chlorine');
  });

  it('says how much it takes where none of it stands on the shelf', () => {
    const { items } = wastePlan(planned.end.vessels, { ...setting, shelf: [] });
    expect(items.find(({ id }) => id === 'liquor')!.steps[0]).toContain('of baking soda: none stands on your shelf');
  });

  it('follows what was spilled: it is gone from the vessel', () => {
    const spilled = eventsAt(
      '2026-03-14T08:00:00.000Z',
      ...(['ready'] as const).map((step) => ({ kind: 'finished' as const, step })),
      {
        kind: 'added',
        step: 'zinc',
        role: 'zinc',
        bottleId: 'bottle_zinc',
        reading: { is: 'exact', value: 20, unit: 'g' },
        reason: '',
      },
      {
        kind: 'went-wrong',
        step: 'zinc',
        what: 'it spilled',
        vessel: 'pot',
        share: 0.5,
        where: 'the tray',
        skin: 'no',
        eye: 'no',
        done: '',
      },
    );
    const { cards } = unwrap(careOfRun({ plan, events: spilled, shelf: testShelf }));
    expect(cards[0]!.planned).toBe(false);
    expect(cards[0]!.card.inThere.find(({ name }) => name === 'zinc')!.amount).toMatch(/^9\.9\d? g|^10\.0 g/);
  });
});

describe('before one starts', () => {
  it('measures out the neutraliser of this batch, and clears flames where hydrogen comes', () => {
    const { preparations } = unwrap(careOfRun({ plan: planFor('100 g zinc sulfate'), events: [], shelf }));
    const ids = preparations.map(({ id }) => id);
    expect(ids).toEqual(
      expect.arrayContaining(['flames', 'extinguisher', 'eyes', 'told', 'others', 'sulfuric-acid acid']),
    );
    expect(preparations.find(({ id }) => id === 'sulfuric-acid acid')!.says).toContain(SODA.card.name);
  });
});

describe('a vessel that is used again', () => {
  it('is rinsed, and what is left in it is told where it would clash', () => {
    const plan = planFor('1 L of 10 % hydrochloric acid');
    const first = unwrap(careOfRun({ plan, events: [], shelf }));
    expect(first.preparations.some(({ id }) => id === 'vessel')).toBe(false);
    const vessels = plan.bench.vessels.map(({ name }) => ({
      vessel: name,
      number: 9,
      present: [{ substanceId: 'sodium-hypochlorite', pct: 4 }],
    }));
    const again = unwrap(careOfRun({ plan, events: [], shelf, before: vessels }));
    const rinse = again.preparations.find(({ id }) => id === 'vessel')!;
    expect(rinse.says).toContain('it last held sodium hypochlorite (batch 9)');
    expect(rinse.why).toContain('chlorine');
  });
});

describe('the shelf in groups', () => {
  const at = (substanceId: string, pct: number) => storageGroupOf({ substanceId, pct });

  it.each([
    ['hydrochloric-acid', 28, 'acids'],
    ['nitric-acid', 53, 'acids'],
    ['sodium-hydroxide', 99, 'bases'],
    ['sodium-hypochlorite', 5, 'bleach and pool chlorine'],
    ['calcium-hypochlorite', 65, 'bleach and pool chlorine'],
    ['ammonia', 9, 'ammonia'],
    ['hydrogen-peroxide', 9, 'oxidisers'],
    ['potassium-nitrate', 99, 'oxidisers'],
    ['ethanol', 94, 'flammables'],
    ['zinc', 99, 'metals'],
    ['barium-chloride', 99, 'poisons, locked'],
    ['sodium-chloride', 99, 'the rest'],
    ['away:petrol', 100, 'keep away'],
  ])('%s of %d %% stands with %s', (id, pct, group) => {
    expect(at(id, pct)).toBe(group);
  });

  it('parts what stands in one place and may not, and leaves the rest in peace', () => {
    const bottles = [
      bottle('hydrochloric acid 28% 1 L', { place: 'Shelf 1' }),
      bottle('thin bleach 5% sodium hypochlorite 1 L', { place: 'shelf 1' }),
      bottle('table salt 100% 1 kg', { place: 'shelf 1' }),
      bottle('sodium carbonate 99% 1 kg', { place: 'shelf 2' }),
    ];
    const { apart, stored, unplaced } = placesOf({
      shelf: bottles,
      away: [{ id: 'away:petrol', place: 'shelf 2' }],
      bench,
      day: DAY,
    });
    expect(apart).toHaveLength(1);
    expect(apart[0]).toMatchObject({ severity: 'refuse', place: 'shelf 1' });
    expect(unplaced).toBe(0);
    expect(stored.find(({ group }) => group === 'bleach and pool chlorine')!.asks).toContain('vented cap');
  });

  it('says what no fridge with food may hold', () => {
    const { stored } = placesOf({
      shelf: [bottle('peroxide 9% 500 mL', { place: 'kitchen fridge' })],
      away: [],
      bench,
      day: DAY,
    });
    expect(stored[0]!.asks).toContain('never in a fridge with food in it');
  });
});

describe('a label', () => {
  const label = (text: string, over: object = {}) =>
    unwrap(bottleLabel(bottle(text, over), { tempC: 20, day: DAY, batchNumber: 14 }));

  it.each([
    ['hydrochloric acid 28% 1 L', 'Danger', ['GHS05', 'GHS07'], ['H314', 'H335']],
    ['hydrochloric acid 5% 1 L', 'Warning', ['GHS05'], ['H290']],
    ['sulfuric acid 37% 1 L', 'Danger', ['GHS05'], ['H314']],
    ['copper sulfate pentahydrate 99% 500 g', 'Danger', ['GHS05', 'GHS07', 'GHS09'], ['H302', 'H318', 'H410']],
    ['ethanol 94% 1 L', 'Danger', ['GHS02', 'GHS07'], ['H225', 'H319']],
    ['hydrogen peroxide 3% 500 mL', null, [], []],
    ['table salt 100% 1 kg', null, [], []],
    ['oxalic acid dihydrate 99% 500 g', 'Danger', ['GHS05', 'GHS07'], ['H302', 'H312', 'H318']],
  ] as const)('of %s', (text, signal, pictograms, codes) => {
    const { elements } = label(text);
    expect(elements.signal).toBe(signal);
    expect(elements.pictograms).toEqual(pictograms);
    for (const code of codes) expect(elements.statements.map((each) => each.code)).toContain(code);
  });

  it('says name, strength with its uncertainty, where it came from and until when it keeps', () => {
    const said = label('hydrochloric acid 28% 1 L', { since: '2026-03-01', fromBatch: 'batch_x' });
    expect(said.strength).toMatch(/^28(?:\.\d)? ± [\d.]+ %$/);
    expect(said.origin).toBe('made 2026-03-01, batch 14');
    expect(said.useBy! > '2027').toBe(true);
    expect(said.keepApart).toContain('bleach');
    expect(said.path).toMatch(/^\/shelf\/bottle_/);
  });

  it('says what is not held, and calls nothing harmless for want of a row', () => {
    const { elements } = label('hydrochloric acid 5% 1 L');
    expect(elements.notHeld).toEqual([]);
    const unknown = bottle('hydrochloric acid 5% 1 L', { substanceId: 'nothing-known' });
    expect(bottleLabel(unknown, { tempC: 20, day: DAY, batchNumber: null })).toMatchObject({ ok: false });
  });
});
