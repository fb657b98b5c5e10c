import { describe, expect, it } from 'vitest';
import { substanceById } from '#matter/substance';
import { parseLabel } from './index.ts';
import { allProducts, type Product } from './product.ts';

/** Names of chemistry: what they say stands, whatever some shop sells under them; and what nobody could tell. */
const BY_THEIR_NAME: ReadonlySet<string> = new Set([
  'aluminium sulfate',
  'aluminium sulphate',
  'aluminum sulfate',
  'aluminum sulphate',
  'ammonium carbonate',
  'calcium nitrate',
  'light magnesium carbonate',
  'magnesite',
  'gym chalk',
  'magnesium sulfate',
  'magnesium sulphate',
  'zinc sulfate',
  'zinc sulphate',
  'sodium metasilicate',
  'water glass',
  'waterglass',
  "papermaker's alum",
  'zinc sulfate 35.5 %',
  'permanganate soak tablets 400 mg',
  'iron tablets 200 mg',
]);

/** How a name of a product is read: as what is in it, by a question that offers it, or by a reason why not. */
function read(product: Product, name: string): string {
  const { card, question, problems } = parseLabel(`${name} 500 g`, '2026-03-14', 20);
  const main = product.parts[0]?.substance;
  // What is in it is said, where nothing can be chosen.
  if (question)
    return question.choices.length > 1 || /write|no source/.test(question.asks) ? 'asked' : 'asked with no choice';
  if (card) {
    const species = substanceById(card.substanceId)?.species;
    if (product.scope === 'refused') return `put on the shelf as ${card.substanceId}`;
    return species === main?.species ? 'right' : `read as ${card.substanceId}, not ${main?.id}`;
  }
  const said = problems.map(({ message }) => message).join(' ');
  if (/not planned here|not used here|It holds/.test(said)) return 'refused with its reason';
  return /is known: /.test(said) ? 'known, with no formula' : `not read: ${said}`;
}

const FAIR = /^(?:right|asked|refused with its reason|known, with no formula)$/;

describe('every product', () => {
  it.each(allProducts.map((product) => [product.name, product] as const))('%s by all of its names', (_, product) => {
    for (const name of [product.name, ...product.also])
      if (!BY_THEIR_NAME.has(name)) expect([name, read(product, name)]).toEqual([name, expect.stringMatching(FAIR)]);
  });

  it('is chosen by its own name, once a name asks', () => {
    const { question } = parseLabel('descaler 500 g 4.20', '2026-03-14', 20);
    expect(question!.choices.length).toBeGreaterThan(4);
    for (const { text } of question!.choices) {
      const chosen = parseLabel(text, '2026-03-14', 20);
      expect(text).toContain('500 g 4.20');
      expect([text, chosen.question]).toEqual([text, null]);
      expect(chosen.card?.price ?? 4.2).toBe(4.2);
    }
  });

  it('brings its composition, as wide as it is sold', () => {
    const { card, problems, assumptions } = parseLabel('oxygen bleach powder, mixed 1 kg', '2026-03-14', 20);
    expect(problems).toEqual([]);
    expect(card).toMatchObject({
      substanceId: 'sodium-percarbonate',
      strength: { value: 40, unit: 'w/w' },
      strengthBand: 20,
      others: [{ substanceId: 'sodium-carbonate', strength: { value: 45, unit: 'w/w' } }],
      product: 'oxygen bleach powder, mixed',
    });
    expect(assumptions.join(' ')).toContain('20 to 60 % as sold');
  });
});

describe('fertilisers by their numbers', () => {
  // N in urea 46.65 %, K2O of potassium chloride 63.2 %, P2O5 of KH2PO4 52.15 %: by hand from atomic weights.
  it.each([
    ['46-0-0 5 kg', 'urea', 98.6],
    ['NPK 0-0-60 2 kg', 'potassium-chloride', 95],
    ['13-0-46 potassium nitrate 1 kg', 'potassium-nitrate', 96.3],
    ['0-52-34 1 kg', 'potassium-dihydrogenphosphate', 99.1],
  ])('%s is %s, %f %%', (label, id, pct) => {
    const { card, problems } = parseLabel(label, '2026-03-14', 20);
    expect(problems).toEqual([]);
    expect(card?.substanceId).toBe(id);
    if (card?.product === undefined) expect(card?.strength?.value).toBeCloseTo(pct, 0);
  });

  it.each([
    ['34-0-0 1 kg', 'explosive'],
    ['27-0-0 5 kg', 'not planned'],
    ['30-0-0 5 kg', 'ammonium nitrate'],
    ['9-5-7 5 kg', 'mixture'],
    ['46-0-0 sodium nitrate 1 kg', 'no sodium nitrate'],
  ])('%s is not put on the shelf: %s', (label, why) => {
    const { card, problems } = parseLabel(label, '2026-03-14', 20);
    expect(card).toBeUndefined();
    expect(problems.map(({ message }) => message).join(' ')).toContain(why);
  });
});

describe('alloys', () => {
  it.each([
    ['Sn97Cu3 250 g', 'tin', [97, 3]],
    ['tin 97% copper 3% solder 250 g', 'tin', [97, 3]],
    ['3% copper 97% tin 250 g', 'copper', [3, 97]],
    ['copper zinc 60/40 1 kg', 'copper', [60, 40]],
    ['Sn96.5Ag3Cu0.5 100 g', 'tin', [96.5, 3]],
  ])('%s: all of its parts', (label, main, shares) => {
    const { card, problems } = parseLabel(label, '2026-03-14', 20);
    expect(problems).toEqual([]);
    expect(card?.substanceId).toBe(main);
    expect([card?.strength?.value, card?.others[0]?.strength.value]).toEqual(shares);
  });

  it.each([
    'Sn60Pb40 100 g',
    'tin lead 60/40 100 g',
    'lead tin solder 100 g',
    'solder 40% lead 60% tin 1 kg',
    'solder, tin and lead 250 g',
    'tin antimony 95/5 100 g',
  ])('%s: what is not used here is never dropped', (label) => {
    const { card, problems } = parseLabel(label, '2026-03-14', 20);
    expect(card).toBeUndefined();
    expect(problems.map(({ message }) => message).join(' ')).toMatch(/lead|antimony/);
  });
});
