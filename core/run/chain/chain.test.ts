import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { substanceOf } from '#matter/substance';
import { catalogue } from '#run/route';
import { chainSheet, chainsFor, findChains } from './index.ts';

const bottles = (...labels: string[]) =>
  labels.map((label, i) => ({
    id: `bottle_${i}`,
    card: parseLabel(label, '2026-01-01', 20).card!,
    usedG: 0,
    archived: false,
  }));
const ZINC = bottles(
  'zinc 99 % 900 g 14.00',
  'sulfuric acid 37 % 1 L 7.90',
  'washing soda crystals 100 % 1 kg 2.10',
  'vinegar 8 % 5 L 5.50',
);
const where = { bench: BenchDefaults, today: '2026-01-01' };
const ask = (text: string, shelf = ZINC) => chainsFor({ text, shelf, ...where });

describe('an amount that cannot be', () => {
  it.each([
    ['-5 g zinc acetate', 'more than 0'],
    ['0 g zinc acetate from zinc', 'more than 0'],
    ['1e9 g zinc acetate', 'tonne'],
    ['zinc acetate from -2 g zinc', 'more than 0'],
    ['zinc acetate from 20 g zinc', 'from what is wanted'],
  ])('is said, never replaced by a usual one: %s', (text, sentence) => {
    const { problems, chains } = ask(text);
    expect(chains).toEqual([]);
    expect(problems.map(({ message }) => message).join(' ')).toContain(sentence);
  });

  it('is no fault where none is said', () => {
    expect(ask('zinc acetate from zinc').chains.length).toBeGreaterThan(0);
  });
});

describe('a chain', () => {
  it('leads from zinc to the acetate over the carbonate, with or without the sulfate as crystals between', () => {
    const { chains } = ask('20 g zinc acetate from zinc');
    const lines = chains.map(({ line }) => line.join(' > '));
    expect(lines).toContain('zinc > basic zinc carbonate > zinc acetate dihydrate');
    expect(lines).toContain('zinc > zinc sulfate heptahydrate > basic zinc carbonate > zinc acetate dihydrate');
    expect(chains[0]!.buys).toEqual([]);
  });

  it('has an overall sheet whose steps feed one another and whose yield is the product of theirs', () => {
    const { chains } = ask('20 g zinc acetate from zinc');
    const three = chains.find(({ line }) => line.length === 4)!.sheet!;
    const [sulfate, carbonate, acetate] = three.steps;
    const product = three.steps.reduce((Y, { yieldPct }) => (Y * yieldPct!.value) / 100, 100);
    expect(three.yieldPct!.value).toBeCloseTo(product, 6);
    // 20 g of the dihydrate (219.50) at its yield want a fifth as many mol of Zn5(CO3)2(OH)6 (549.0).
    const mol = 20 / 219.5 / (acetate!.yieldPct!.value / 100);
    const wants = ((mol / 5) * 549.0) / 0.98;
    expect(Math.abs(carbonate!.amount.value / wants - 1)).toBeLessThan(0.06);
    expect(sulfate!.amount.value).toBeGreaterThan(carbonate!.amount.value);
    expect(acetate!.takes.find(({ from }) => from === 'made')!.name).toContain('carbonate');
  });

  it('says what has to be bought, and puts what needs least of that first', () => {
    const { chains } = ask(
      'copper formate from copper sulfate',
      bottles('copper sulfate pentahydrate 99 % 500 g', 'washing soda crystals 100 % 1 kg'),
    );
    expect(chains[0]!.line).toEqual([
      substanceOf('copper-sulfate-pentahydrate').name,
      'basic copper carbonate',
      substanceOf('copper-formate-tetrahydrate').name,
    ]);
    expect(chains[0]!.buys).toEqual(['formic acid']);
    expect(chains[0]!.sheet!.buys[0]).toMatchObject({ name: 'formic acid' });
    const buys = ask('zinc acetate', bottles('vinegar 8 % 5 L')).chains.map((each) => each.buys.length);
    expect(buys).toEqual([...buys].sort((a, b) => a - b));
  });

  it('takes no empty bottle, and says where nothing leads', () => {
    const empty = ZINC.map((each) => ({ ...each, usedG: each.id === 'bottle_0' ? 900 : 0 }));
    expect(ask('zinc acetate', empty).chains[0]!.buys.length).toBeGreaterThan(0);
    expect(ask('zinc acetate from copper').problems[0]!.message).toContain('No chain of routes leads from');
    expect(ask('20 g phlogiston').problems[0]!.message).toContain('phlogiston');
    expect(ask('').problems).not.toEqual([]);
  });

  it('never comes back to where it was, for anything the catalogue makes', () => {
    for (const { makes, roles } of catalogue) {
      const wanted = makes.substanceId ?? roles[0]!.accepts[0]!;
      for (const chain of findChains({ wanted, from: null, shelf: ZINC })) {
        const made = chain.steps.map((step) => substanceOf(step.makes).species);
        expect(new Set(made).size, wanted).toBe(made.length);
        const sheet = chainSheet(chain, { amount: { value: 20, unit: 'g' }, shelf: ZINC, ...where });
        if (!sheet.ok) expect(sheet.problem.message).toMatch(/[.!]$/);
      }
    }
  });

  it('has a supposed bottle for what is made on the way, and its sheet can be had again', () => {
    const [first] = findChains({ wanted: 'zinc-acetate-dihydrate', from: 'zinc', shelf: ZINC });
    const at = (value: number) => unwrap(chainSheet(first!, { amount: { value, unit: 'g' }, shelf: ZINC, ...where }));
    expect(at(40).steps[0]!.amount.value).toBeGreaterThan(1.8 * at(20).steps[0]!.amount.value);
  });
});
