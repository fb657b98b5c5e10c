import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { parseLabel } from '#matter/label';
import { substanceById } from '#matter/substance';
import { times } from '#testing/property';
import { ageingOf } from './ageing.ts';
import { type BottleCard, type BottleEvent, contentOf, labelUncertainty, reduceBottle } from './index.ts';

const TODAY = '2026-06-15';
const read = (text: string) => parseLabel(text, TODAY, 20);

describe('parseLabel', () => {
  it('understands the whole of a plain label', () => {
    const { card, problems } = read('hydrochloric acid 28% 5 L 11.50');
    expect(problems).toEqual([]);
    expect(card).toMatchObject({
      name: 'Hydrochloric acid',
      substanceId: 'hydrochloric-acid',
      strength: { value: 28, unit: 'w/w' },
      size: { value: 5000, unit: 'mL' },
      price: 11.5,
      container: 'jug',
    });
  });

  it.each([
    ['hair peroxide 30 vol 120 ml', 'hydrogen-peroxide', { value: 30, unit: 'vol' }],
    ['washing soda crystals 1kg', 'sodium-carbonate-decahydrate', { value: 99.5, unit: 'w/w' }],
    ['household ammonia 9,5% 2 L 4.20', 'ammonia', { value: 9.5, unit: 'w/w' }],
    ['lamp spirit 90 % v/v 1 L', 'ethanol', { value: 90, unit: 'v/v' }],
    ['acetic acid 10-15 % 500 mL', 'acetic-acid', { value: 12.5, unit: 'w/w' }],
    ['sulfuric acid SG 1.28 1 L', 'sulfuric-acid', { value: 1.28, unit: 'SG' }],
    ['NaOH 2 M 500 mL', 'sodium-hydroxide', { value: 2, unit: 'mol/L' }],
    ['bleach 50 g/L available chlorine 2 L', 'sodium-hypochlorite', { value: 50, unit: 'Cl g/L' }],
    ['oil of vitriol 66 Bé 1 L', 'sulfuric-acid', { value: 66, unit: 'Bé' }],
  ])('understands %s', (text, substanceId, strength) => {
    const { card, problems } = read(text);
    expect(problems).toEqual([]);
    expect(card).toMatchObject({ substanceId, strength });
  });

  it.each([
    ['caustic soda min. 97 % 1 kg', 98.5, 1.5],
    ['NaOH ≥ 99 % 500 g', 99.5, 0.5],
    ['chlorine bleach approx. 5 % 1 L', 5, 0.5],
    ['HCl up to 10 % 1 L', 5, 5],
    ['hydrogen peroxide at least 9 % 1 L', 9.36, 0.36],
  ])('takes the word before a strength for a range, and says so: %s', (text, value, band) => {
    const { card, problems, assumptions } = read(text);
    expect(problems).toEqual([]);
    expect(card!.strength!.value).toBeCloseTo(value, 9);
    expect(card!.strengthBand).toBeCloseTo(band, 9);
    expect(assumptions.join(' ')).toContain('is taken as');
    expect(card!.name).not.toMatch(/min|approx|up to|at least|≥/);
  });

  it('takes a mixture with a strength for each, and says what its doses count', () => {
    const { card, problems, assumptions } = read('descaler phosphoric acid 20 % nitric acid 8 % 1 L');
    expect(problems).toEqual([]);
    expect(card).toMatchObject({
      substanceId: 'phosphoric-acid',
      strength: { value: 20, unit: 'w/w' },
      others: [{ substanceId: 'nitric-acid', strength: { value: 8, unit: 'w/w' } }],
    });
    expect(assumptions.join(' ')).toContain('doses count its phosphoric acid');
  });

  it('keeps the words it does not need as the product’s name', () => {
    expect(read('Slabwright Patio & Brick Acid 28 % 5 L').card?.name).toBe('Slabwright Patio & Brick Acid');
  });

  it('reads when it was bought, in the past', () => {
    expect(read('chlorine bleach 5% 1 L bought march').card?.since).toBe('2026-03-01');
    expect(read('chlorine bleach 5% 1 L bought october').card?.since).toBe('2025-10-01');
    expect(read('chlorine bleach 5% 1 L 2025-12-24').card?.since).toBe('2025-12-24');
  });

  it.each([
    ['', 'What is it?'],
    ['stuff 5 L', 'No substance known'],
    ['hydrocloric acid 28% 1 L', 'hydrochloric acid'],
    ['HCl 140% 1 L', 'more than 100 %'],
    ['HCl 45 % 1 L', 'end at 40 %'],
    ['HCl -5% 1 L', '0 or more'],
    ['HCl 0% 1 L', 'strength of 0'],
    ['hydrochloric acid 1 L', 'How strong'],
    ['HCl 28 %', 'How much'],
    ['HCl 28 % 0 L', 'more than 0'],
    ['HCl 28 % -2 L', 'more than 0'],
    ['HCl 28 % 99999 kg', 'beyond'],
    ['sulfuric acid 1,500 M 1 L', '1500 or 1.500'],
    ['vinegar and bleach 5 % 1 L', 'a strength for each'],
    ['boric acid 500 mL', 'grams'],
    ['x'.repeat(400), 'at most 300'],
    ['chlorine bleach 5% 1 L 2027-01-01', 'still to come'],
    ['chlorine bleach 5% 1 L 2026-02-31', 'not a day'],
    ['acetic acid 15-10 % 1 L', 'less to more'],
  ])('explains %s', (text, part) => {
    const { problems } = read(text);
    expect(problems.map((each) => each.message).join(' ')).toContain(part);
  });

  it('never throws, and never takes a text without naming every uncertainty', () => {
    const words = fc.constantFrom(
      'HCl',
      'vinegar',
      '28',
      '%',
      '5 L',
      '-',
      '9,5',
      'kg',
      'M',
      'vol',
      'bought',
      'march',
      '1,500',
      '€',
      '(',
      'Bé',
      '12-15',
      'proof',
      '2 x 500 mL',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(words, { maxLength: 9 }).map((list) => list.join(' ')),
        ),
        (text) => {
          const { card, problems } = read(text);
          if (card && problems.length === 0) expect(contentOf({ id: 'b', card: card, usedG: 0 }, 20).ok).toBe(true);
        },
      ),
      { numRuns: times(600) },
    );
  });
});

describe('labelUncertainty', () => {
  it('is half the last digit or 3 %, whichever is more, and never past 100 %', () => {
    expect(labelUncertainty(8, { decimals: 0, unit: 'w/w' })).toBe(0.5);
    expect(labelUncertainty(28, { decimals: 0, unit: 'w/w' })).toBeCloseTo(0.84, 9);
    expect(labelUncertainty(99, { decimals: 0, unit: 'w/w' })).toBe(1);
    expect(labelUncertainty(0.1, { decimals: 1, unit: 'mol/L' })).toBeCloseTo(0.005, 9);
    expect(labelUncertainty(99.9, { decimals: 1, unit: 'w/w' })).toBeLessThanOrEqual(0.1 + 1e-9);
  });
});

describe('contentOf', () => {
  const card = (text: string) => read(text).card!;

  it('computes price per mole and what is left', () => {
    const content = unwrap(contentOf({ id: 'b', card: card('hydrochloric acid 28% 5 L 11.50'), usedG: 1139.2 }, 20));
    // 5 L × 1.1392 g/mL = 5696 g, 43.74 mol by hand
    expect(content.leftG?.value).toBeCloseTo(5696 - 1139.2, 0);
    expect(content.pricePerMol?.value).toBeCloseTo(11.5 / 43.74, 3);
    expect(content.level).toBeCloseTo(0.8, 3);
  });

  it('counts a hydrate as itself', () => {
    const content = unwrap(contentOf({ id: 'b', card: card('washing soda crystals 1kg'), usedG: 0 }, 20));
    expect(content.leftMol?.value).toBeCloseTo((0.995 * 1000) / 286.14, 2);
  });

  it('ages what does not keep, by the curve of its sheet and with a wider band, and leaves the rest alone', () => {
    const bleach = card('bleach sodium hypochlorite 12 % 5 L');
    const at = (day: string | null) => unwrap(contentOf({ id: 'b', card: bleach, usedG: 0 }, 20, day)).w;
    const dark = { tempC: 20, light: 'dark' } as const;
    const curve = ageingOf(substanceById('sodium-hypochlorite')!, { pct: 12, band: 0 }, 365, 0, dark)!;
    expect(at('2027-06-15').value).toBeCloseTo(curve.now.mid, 6);
    expect(sdOf(at('2027-06-15')) / at('2027-06-15').value).toBeGreaterThan(sdOf(at(null)) / 12);
    expect(at('2025-12-01')).toEqual(at(null));
    expect(() => structuredClone(at('2027-06-15'))).not.toThrow();
    const acid = card('hydrochloric acid 28% 5 L');
    expect(unwrap(contentOf({ id: 'b', card: acid, usedG: 0 }, 20, '2036-01-01')).w).toEqual(
      unwrap(contentOf({ id: 'b', card: acid, usedG: 0 }, 20)).w,
    );
  });

  it('takes an assayed strength as tighter than a label', () => {
    const plain = card('vinegar 8% 5 L');
    const label = unwrap(contentOf({ id: 'b', card: plain, usedG: 0 }, 20));
    const assayed = unwrap(contentOf({ id: 'b', card: { ...plain, strengthBand: 0.06, assayed: true }, usedG: 0 }, 20));
    expect(sdOf(assayed.w)).toBeLessThan(sdOf(label.w) / 5);
  });
});

describe('reduceBottle', () => {
  const event = (id: string, body: BottleEvent['body']): BottleEvent => ({
    id,
    happenedAt: TODAY,
    writtenAt: TODAY,
    body,
  });
  const card = read('washing soda crystals 1kg').card as BottleCard;

  it('sums uses and leaves out what was undone', () => {
    const bottle = reduceBottle('b', [
      event('1', { kind: 'put', card }),
      event('2', { kind: 'used', grams: 100, forBatch: null, why: '' }),
      event('3', { kind: 'used', grams: 50, forBatch: null, why: '' }),
      event('4', { kind: 'undone', of: '2' }),
      event('5', { kind: 'archived', why: '' }),
    ])!;
    expect(bottle.usedG).toBe(50);
    expect(bottle.archived).toBe(true);
    expect(bottle.version).toBe(5);
    expect(bottle.lastEventId).toBe('5');
  });

  it('is nothing without a first event', () => {
    expect(reduceBottle('b', [event('1', { kind: 'archived', why: '' })])).toBeUndefined();
  });

  it('goes by a density that the label states, where no table holds it', () => {
    const bottle = (label: string) => unwrap(contentOf({ id: 'b', card: read(label).card!, usedG: 0 }, 20));
    // 2 L at 1.38 g/mL are 2760 g; 38 % of it.
    const iron = bottle('ferric chloride 38% density 1.38 2 L');
    expect(iron.sizeG!.value).toBeCloseTo(2760, 6);
    expect(iron.density!.value).toBe(1.38);
    // 8 g in 100 mL of 1.05 g/mL: 7.619 %.
    expect(bottle('magnesium hydroxide 8% w/v 1,05 g/mL 300 mL').w.value).toBeCloseTo(7.619, 3);
    // 2 mol/L × 189.61 g/mol ÷ (10 × 1.27): 29.86 %.
    expect(bottle('tin(II) chloride anhydrous 2 mol/L 1.27 g/mL 500 mL').w.value).toBeCloseTo(29.86, 1);
    expect(read('ferric chloride 38% 2 L').problems[0]!.message).toContain('or its density');
    expect(read('isoamyl alcohol density 0.81 500 mL').problems).toEqual([]);
  });
});
