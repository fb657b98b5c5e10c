import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { times } from '#testing/property';
import { parseLabel } from './index.ts';

const read = (label: string) => parseLabel(label, '2026-03-14', 20);

/** Typed, and what it is. */
const IS: readonly (readonly [string, string])[] = [
  ['copper(II) sulphate 1 kg', 'copper-sulfate-pentahydrate'],
  ['copper (2) sulphate 98% 1 kg', 'copper-sulfate-pentahydrate'],
  ['cupric sulphate 500 g', 'copper-sulfate-pentahydrate'],
  ['iron(II) sulphate 90% 2 kg', 'iron-sulfate-heptahydrate'],
  ['Ferrous-sulphate 90% 2 kg', 'iron-sulfate-heptahydrate'],
  ['aluminium sulphate 95% 1 kg', 'aluminium-sulfate'],
  ['aluminum sulfate 95% 1 kg', 'aluminium-sulfate'],
  ['zinc-oxide 99% 250 g', 'zinc-oxide'],
  ['silver-nitrate 99% 10 g', 'silver-nitrate'],
  ['copper(II) oxide 97% 200 g', 'copper-oxide'],
  ['sodium bicarbonate 99% 1 kg', 'sodium-hydrogencarbonate'],
  ['sodium hydrogen carbonate 99% 1 kg', 'sodium-hydrogencarbonate'],
  ['Ridgeway zinc flashing 99% 900 g', 'zinc'],
  ['zinc strip 99 % 200 g', 'zinc'],
  ['distilled water 5 L', 'water'],
  ['water 1 L', 'water'],
  ['calcium ammonium nitrate 15.5% N 5 kg', 'calcium-ammonium-nitrate'],
  ['ammonium sulfate 21 % N 2 kg', 'ammonium-sulfate'],
  ['Salzsäure 31% 1 L', 'hydrochloric-acid'],
  ['Kupfersulfat Pentahydrat 99% 500 g', 'copper-sulfate-pentahydrate'],
  ['Salmiakgeist 10% 1 L', 'ammonia'],
  ['acide chlorhydrique 23% 5 L', 'hydrochloric-acid'],
  ['bicarbonate de soude 1 kg', 'sodium-hydrogencarbonate'],
  ['eau oxygénée 3% 250 mL', 'hydrogen-peroxide'],
  ['ácido sulfúrico 37% 1 L', 'sulfuric-acid'],
  ['idrossido di sodio 99% 1 kg', 'sodium-hydroxide'],
  ['mono potassium phosphate 0-52-34 1 kg', 'potassium-dihydrogenphosphate'],
  ['rubbing alcohol isopropyl alcohol 70% 500 mL', 'isopropanol'],
];

/** Typed, and never what a part of it says: asked about, or refused with the reason. */
const ASKED: readonly (readonly [string, string])[] = [
  ['bromine water 3% 250 mL', 'water'],
  ['lime water 500 mL', 'water'],
  ['chlorine water 100 mL', 'water'],
  ['zinc phosphide 80% 100 g', 'zinc'],
  ['iron sulfide 100 g', 'iron'],
  ['copper cyanide 10 g', 'copper'],
  ['copper chromate 50 g', 'copper'],
  ['tin lead solder 250 g', 'tin'],
  ['hydrofluoric acid 5% rust remover 500 g', 'iron-oxide-ferric'],
  ['rust remover 500 g', 'iron-oxide-ferric'],
  ['acetone-free nail polish remover 100 mL', 'acetone'],
  ['acetone free nail varnish remover 100 mL', 'acetone'],
  ['alcohol-free hand gel 500 mL', 'ethanol'],
  ['urea nitrate 10 g', 'urea'],
  ['acetone peroxide 20 g', 'acetone'],
  ['aluminium dust 500 g', 'aluminium'],
  ['silver oxide battery 10 g', 'silver'],
  ['sodium azide 5 g', 'sodium-iodide'],
  ['calcium ammonium nitrate 27% N 5 kg', 'ammonium-nitrate'],
  ['rubbing alcohol 70% 500 mL', 'isopropanol'],
  ['colour safe bleach 1 L', 'sodium-hypochlorite'],
  ['hair bleach 6 % 500 g', 'sodium-hypochlorite'],
  ['lead free solder 100 g', 'tin'],
  ['lawn sand 5 kg', 'silica'],
  ['spirit of wine and salt without water 1 L', 'water'],
];

describe('a label', () => {
  it.each(IS)('%s is %s, or its hydrate', (label, id) => {
    const { card, problems } = read(label);
    expect(problems.map(({ message }) => message)).toEqual([]);
    expect(card?.substanceId.startsWith(id)).toBe(true);
  });

  it.each(ASKED)('%s is never taken as %s', (label, id) => {
    const { card, problems } = read(label);
    expect(card?.substanceId).not.toBe(id);
    if (!card) expect(problems.length).toBeGreaterThan(0);
    for (const { message } of problems) expect(message).toMatch(/[.?]$/);
  });

  it('of what is refused says why, and offers no harmless twin', () => {
    const { card, problems } = read('sodium azide 5 g');
    expect(card).toBeUndefined();
    expect(problems[0]!.message).toContain('not planned here');
    expect(problems[0]!.message).not.toContain('iodide');
  });

  it('takes per cent of nitrogen for what it says, and a number behind the size for its price', () => {
    // Ammonium sulfate holds 21.2 % of nitrogen: 21 % are 99.1 % of it.
    expect(read('ammonium sulfate 21 % N 2 kg 7').card).toMatchObject({ strength: { value: 99.1 }, price: 7 });
    expect(
      read('calcium ammonium nitrate 27% N 5 kg')
        .problems.map(({ message }) => message)
        .join(),
    ).toContain('another fertiliser');
    expect(read('hydrochloric acid 37% 1 L 14').card).toMatchObject({ name: 'Hydrochloric acid', price: 14 });
  });

  it('names the word that it could not account for', () => {
    const { problems } = read('zinc tungstate 20 g');
    expect(problems.map(({ message }) => message).join(' ')).toContain('“tungstate” changes what it is');
  });

  it.each([
    ['magnesium sulfate 1 kg', 'magnesium-sulfate-heptahydrate'],
    ['magnesium sulphate 1 kg', 'magnesium-sulfate-heptahydrate'],
    ['Zinc Sulphate 99% 500 g', 'zinc-sulfate-heptahydrate'],
    ['iron(II) sulfate 1 kg', 'iron-sulfate-heptahydrate'],
    ['sodium thiosulfate 500 g', 'sodium-thiosulfate-pentahydrate'],
    ['dried magnesium sulphate 1 kg', 'magnesium-sulfate'],
    ['copper sulfate anhydrous 50 g', 'copper-sulfate'],
    ['anhydrous copper sulphate 50 g', 'copper-sulfate'],
    ['epsom salts anhydrous 500 g', 'magnesium-sulfate'],
    ['anhydrous aluminium sulfate 50 g', 'aluminium-sulfate-anhydrous'],
    ['zinc sulfate monohydrate 1 kg', 'zinc-sulfate-monohydrate'],
    ['CuSO4.5H2O 500 g', 'copper-sulfate-pentahydrate'],
    ['copper sulfate 10% 1 L', 'copper-sulfate'],
    ['zinc sulfate solution 10% 500 g', 'zinc-sulfate'],
  ])('%s stands there as it is sold: %s', (label, id) => {
    const { card, problems, parts } = read(label);
    expect(problems).toEqual([]);
    expect(card?.substanceId).toBe(id);
    // What is shown under the name is what is put on the shelf.
    const reading = parts.find(({ kind }) => kind === 'substance')?.reading;
    expect(reading?.includes('·')).toBe(/hydrate/.test(id));
  });

  it.each(['CuSO4 500 g', 'MgSO4 1 kg', 'calcium chloride 2 kg', 'sodium acetate 250 g', 'sodium sulphate 1 kg'])(
    '%s may be with its water or without: that is asked',
    (label) => {
      const messages = read(label).problems.map(({ message }) => message);
      expect(messages.join(' ')).toMatch(/^Which: with its water, .*·\d+H₂O, or without\?/);
      const [, wet = '', dry = ''] = /write “(.+)” or “(.+)”/.exec(messages[0]!) ?? [];
      for (const name of [wet, dry]) expect(read(`${name} 1 kg`).problems).toEqual([]);
    },
  );

  it('takes a bare per cent of a spirit by volume, and says so', () => {
    const { card, assumptions, parts } = read('ethanol 94% 1 L');
    expect(card?.strength).toEqual({ value: 94, unit: 'v/v' });
    expect(assumptions.join()).toContain('by volume, as it is sold');
    expect(parts.map(({ reading }) => reading)).toContain('94 % by volume');
    expect(read('ethanol 94% w/w 1 L').card?.strength).toEqual({ value: 94, unit: 'w/w' });
    expect(read('acetic acid 80% 1 L').card?.strength).toEqual({ value: 80, unit: 'w/w' });
  });

  // By hand: NaClO 74.442, Ca(ClO)2 142.98, dichlor dihydrate 255.98, trichlor 232.41; Cl2 70.906.
  it.each([
    ['bleach 4.5% available chlorine 2 L', 'sodium-hypochlorite', 4.72, 'w/w'],
    ['bleach 4,5 % w/v available chlorine 2 L', 'sodium-hypochlorite', 4.72, 'w/v'],
    ['calcium hypochlorite 65% available chlorine 1 kg', 'calcium-hypochlorite', 65.5, 'w/w'],
    ['calcium hypochlorite, available chlorine: 65 %, 1 kg', 'calcium-hypochlorite', 65.5, 'w/w'],
    ['sodium dichloroisocyanurate 50% active chlorine 1 kg', 'sodium-dichloroisocyanurate', 90.3, 'w/w'],
    ['trichloroisocyanuric acid 90 % available chlorine 1 kg', 'trichloroisocyanuric-acid', 98.3, 'w/w'],
  ])('%s is %s, %f %s', (label, id, percent, unit) => {
    const { card, problems } = read(label);
    expect(problems).toEqual([]);
    expect(card).toMatchObject({ substanceId: id, strength: { value: percent, unit } });
  });

  it('refuses more chlorine than there can be, and chlorine of what gives none', () => {
    const said = (label: string) => read(label).problems.map(({ message }) => message)[0];
    expect(said('sodium dichloroisocyanurate 65% available chlorine 1 kg')).toMatch(/55\.4 %.*another product/);
    expect(said('sodium chloride 60% available chlorine 1 kg')).toMatch(/no source of available chlorine/);
  });

  it('knows what glacial says', () => {
    const { card, problems } = read('glacial acetic acid 1 L');
    expect(problems).toEqual([]);
    expect(card).toMatchObject({ strength: { value: 99.75, unit: 'w/w' }, strengthBand: 0.25 });
    expect(read('glacial acetic acid 80 % 1 L').card?.strength?.value).toBe(80);
  });

  it.each([
    ['iron out 500 g', 'rust remover'],
    ['lo salt 350 g', 'potassium chloride'],
    ['povidone iodine 10% 100 g', 'about 1 %'],
    ['soda 500 g', 'Which soda'],
    ['potash 0-0-60 2 kg', 'Is it what its numbers say'],
    ['silver solder 96% tin 4% silver 50 g', 'changes what it is'],
  ])('%s is asked about: %s', (label, asks) => {
    const { card, problems } = read(label);
    expect(card).toBeUndefined();
    expect(problems.map(({ message }) => message).join(' ')).toContain(asks);
  });

  it.each([
    ['hydrogen peroxide 12% and acetone 5% 1 L', 'acetone'],
    ['hydrochloric acid 10% and sodium hypochlorite 5% 1 L', 'chlorine'],
  ])('%s may not be in one bottle', (label, why) => {
    const messages = read(label).problems.map(({ message }) => message);
    expect(messages.join(' ')).toMatch(new RegExp(`in no one bottle: .*${why}`));
  });

  it('takes the per cent of pool chlorine for the chlorine it gives', () => {
    // Trichloroisocyanuric acid gives 91.5 % when pure: 90 % are 98.3 % of it.
    expect(read('trichlor 90% 1 kg').card).toMatchObject({ strength: { value: 98.3, unit: 'w/w' } });
    // Calcium hypochlorite 99.2 %: 65 % are 65.5 % of it.
    expect(read('cal-hypo 65% 1 kg').card?.strength?.value).toBeCloseTo(65.5, 0);
  });

  it('offers no name for what is none', () => {
    for (const text of ['-5', '7', '%%%'])
      expect(
        read(text)
          .problems.map(({ message }) => message)
          .join(' '),
      ).not.toContain('Did you mean');
  });

  it('knows hair peroxide by its volumes', () => {
    expect(read('20 developer 500 mL').card).toMatchObject({
      substanceId: 'hydrogen-peroxide',
      strength: { value: 20, unit: 'vol' },
    });
  });

  it('takes a substance that no record holds by its formula', () => {
    const { card, assumptions } = read('larkspur fixer C6H11NO2 97% 200 g');
    expect(card?.substanceId).toContain('C6H11NO2');
    expect(assumptions.join(' ')).toContain('Nothing more is held of larkspur fixer than its formula');
    expect(read('larkspur fixer XyZ9 200 g').card).toBeUndefined();
  });

  it('answers whatever is typed in sentences, and puts nothing unread on the shelf', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 120, unit: 'grapheme' }), (text) => {
        const { card, problems, question } = read(text);
        if (!card && text.trim() !== '') expect(problems.length).toBeGreaterThan(0);
        for (const { message } of problems) expect(message).toMatch(/[.?:!”]$/);
        for (const { text: chosen } of question?.choices ?? []) expect(chosen.length).toBeLessThan(400);
      }),
      { numRuns: times(300) },
    );
  });
});

describe('several acids without a strength', () => {
  it.each([
    ['descaler hydrochloric acid and phosphoric acid 1 L', 'hydrochloric-acid', ['phosphoric-acid']],
    ['phosphoric acid, citric acid cleaner 750 mL', 'phosphoric-acid', ['citric-acid']],
    ['descaler lactic acid + citric acid 500 mL', 'lactic-acid', ['citric-acid']],
    ['citric acid and sulfamic acid powder 500 g', 'citric-acid', ['sulfamic-acid']],
  ] as const)('%s stands on the shelf as not known, with what narrows it', (label, first, others) => {
    const { card, problems, assumptions } = read(label);
    expect(problems).toEqual([]);
    expect(card).toMatchObject({ substanceId: first, product: 'acid cleaner of unknown strength' });
    expect(card?.others.map(({ substanceId }) => substanceId)).toEqual(others);
    // From none of it up: what is not known is not a figure.
    expect(card?.strengthBand).toBe(card?.strength?.value);
    expect(assumptions.join(' ')).toMatch(/is not known.*What narrows it: .*titration.*no plan takes it/);
  });

  it('with strengths is a mixture, and other things are asked about as before', () => {
    expect(read('hydrochloric acid 9 % phosphoric acid 5 % 1 L').card?.product).toBeUndefined();
    expect(read('hydrochloric acid and copper sulfate 1 L').problems).not.toEqual([]);
  });
});
