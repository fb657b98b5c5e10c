import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sdOf, workingOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { times } from '#testing/property';
import { examples, reckon, reckonJson } from './index.ts';

const first = (text: string) => {
  const result = reckonJson(text);
  return 'problem' in result ? result.problem : result.answers[0]!;
};
const value = (text: string, i = 0) => {
  const result = reckonJson(text);
  return 'problem' in result ? result.problem.message : result.answers[i]!.value;
};

describe('strengths', () => {
  // CRC Handbook, concentrative properties of aqueous solutions, 20 °C; OIML; trade tables.
  it.each([
    ['28% HCl in mol/L', 8.75, 0.002],
    ['10 % HCl in mol/L', 2.873, 0.002],
    ['20% H2SO4 in mol/L', 2.324, 0.002],
    ['96 % sulfuric acid in mol/L', 17.97, 0.005],
    ['10% NaOH in g/L', 110.9, 0.002],
    ['26% NaCl in g/mL', 1.1972, 0.001],
    ['10 % acetic acid in mol/L', 1.688, 0.002],
    ['9,5 % NH3 at 5 C in g/L', 91.6, 0.005],
    ['30 vol H2O2 in %', 8.85, 0.01],
    ['SG 1.142 HCl in %', 28.2, 0.01],
    ['12.5% NaOCl in % chlorine', 11.91, 0.002],
    ['90% v/v ethanol in %', 85.66, 0.001],
    ['0.05 mol/L H2SO4 in N', 0.1, 0.0001],
    ['5 % NaCl in g/100g', 5.263, 0.001],
    ['1.5 M NaOH in g/L', 60, 0.001],
    ['66 Bé H2SO4 in %', 93.2, 0.003],
    ['40 Tw HCl in SG', 1.2, 0.002],
  ])('%s', (text, published, tolerance) =>
    expect(Math.abs((value(text) as number) / published - 1)).toBeLessThan(tolerance),
  );

  it('take a hydrometer’s reading at the temperature it was taken', () => {
    // 20 % HCl is 1.0980 at 20 °C and 1.1002 at 15 °C (Perry): the same reading warm means stronger acid.
    expect(value('SG 1.1 HCl at 30 C in %')).toBeGreaterThan(value('SG 1.1 HCl at 20 C in %') as number);
  });
});

describe('amounts', () => {
  it.each([
    ['12.5 g CuSO4.5H2O in mol', 12.5 / 249.685],
    ['0.25 mol Na2S2O3.5H2O in g', 62.046],
    ['12 L CO2 at 25 C in mol', 12 / 24.465],
    ['22.414 L O2 at 0 C in mol', 1],
    ['1 mol H2 at 0 C in L', 22.414],
    ['2 g H2 at 0 C in L', 22.242],
    ['343 mL 28% HCl in mol', 3.001],
    ['250 mL 8% vinegar in mol', 0.3363],
    ['washing soda 50 g in mol', 50 / 286.14],
    ['1 kg NaCl in mol', 1000 / 58.44],
    ['2 lb in g', 907.18474],
    ['1 L in imp gal', 0.219969],
    ['100 mL water in g', 99.82],
  ])('%s', (text, expected) => expect((value(text) as number) / expected).toBeCloseTo(1, 3));

  it.each([
    // c × V × M, by hand: no density is needed, and for a hydrate it is the hydrate that is weighed.
    ['250 mL 0.02 mol/L KMnO4 in g', 0.25 * 0.02 * 158.03],
    ['1 L 0.1 mol/L Na2S2O3.5H2O in g', 24.82],
    ['1 L 0.1 mol/L oxalic acid dihydrate in g', 12.61],
    ['500 mL 1 mol/L CuSO4.5H2O in g', 124.8],
    ['50 mL 2 mol/L SnCl2 in g', 18.96],
    ['1 L 1 mol/L NaOH in g', 40.0],
    ['200 mL 5 % w/v KI in g', 10],
    ['50 mL 2 mol/L SnCl2 in mol', 0.1],
  ])('of a volume are what it holds: %s', (text, expected) =>
    expect((value(text) as number) / expected).toBeCloseTo(1, 3),
  );

  it('of a volume say both what is weighed and what the solution weighs', () => {
    expect(value('1 L 1 mol/L NaOH in g', 1)).toBeGreaterThan(1035);
    expect(value('1 L 1 mol/L NaOH in g', 1)).toBeLessThan(1045);
  });

  it('of a formula that is on no shelf are computed from the formula alone', () => {
    expect(value('M Ba(ClO4)2')).toBeCloseTo(336.22, 1);
    expect(value('10 g La2O3 in mmol')).toBeCloseTo(10_000 / 325.81, 2);
  });
});

describe('mixing and diluting', () => {
  it('makes the volume of a mixture from its density, not the sum', () => {
    // 50 mL each of water and ethanol give 96.4 mL (pure); with 90 % v/v about 97.5.
    const result = reckonJson('mix 50 mL water + 50 mL ethanol');
    const volume =
      'answers' in result ? result.answers.find((each) => each.label === 'volume of the mixture')! : undefined;
    expect(volume!.value).toBeGreaterThan(96);
    expect(volume!.value).toBeLessThan(97);
  });

  it('keeps the solute', () => {
    expect(value('mix 100 g 28% HCl + 250 g water')).toBeCloseTo(8, 9);
    expect(value('mix 100 g 28% HCl + 100 g 10% HCl')).toBeCloseTo(19, 9);
    expect(value('mix 80 g water + 20 g NaCl')).toBeCloseTo(20, 9);
  });

  it('dilutes to a volume, by hand: 1 mol of 28 % is 114.3 mL', () => {
    expect(value('dilute 28% HCl to 500 mL 2 mol/L')).toBeCloseTo(114.3, 1);
    expect(value('dilute 28% HCl to 1 kg 10%', 1)).toBeCloseTo(357.14, 1);
    expect(value('dilute 100 g 28% HCl to 10%', 4)).toBeCloseTo(280, 6);
  });

  it('brings two stocks to a strength between them, by the lever: 500 g of 20 % from 28 and 10 are 277.8 and 222.2 g', () => {
    expect(value('mix 28% HCl + 10% HCl to 500 g 20%')).toBeCloseTo(277.78, 1);
    expect(value('mix 10% HCl + 28% HCl to 500 g 20%', 1)).toBeCloseTo(222.22, 1);
    expect(value('mix 28% HCl + 10% HCl to 500 g 30%')).toContain('anything between them');
  });

  it('takes the heat up with ice, no more than there is water', () => {
    const ice = (text: string) => {
      const result = reckonJson(text);
      return 'answers' in result ? result.answers.find((each) => each.label.startsWith('ice'))!.value : Number.NaN;
    };
    // 366.7 g H2SO4 are 3.74 mol giving about 55 kJ/mol: 206 kJ ÷ 0.417 kJ/g = 490 g.
    expect(ice('dilute 96% H2SO4 to 1 L 30% with ice')).toBeGreaterThan(400);
    expect(ice('dilute 96% H2SO4 to 1 L 30% with ice')).toBeLessThan(560);
    expect(ice('dilute 96% H2SO4 to 1 L 70% with ice')).toBeLessThanOrEqual(437);
  });

  it('says in which order strong acids are poured', () => {
    const result = reckonJson('dilute 96% H2SO4 to 1 L 30%');
    expect('cautions' in result && result.cautions.join(' ')).toContain('never water onto it');
  });

  it('warms as the integral heats say', () => {
    const result = reckonJson('mix 100 g 96% H2SO4 + 400 g water');
    const rise = 'answers' in result ? result.answers.find((each) => each.unit === 'K')! : undefined;
    expect(rise!.value).toBeGreaterThan(30);
    expect(rise!.value).toBeLessThan(50);
  });
});

describe('currents, pH, equations', () => {
  it('follow Faraday', () => {
    // 2 A × 3 h = 21600 C; ÷ 2 F × 63.546 = 7.113 g
    expect(value('2 A 3 h Cu')).toBeCloseTo(7.113, 3);
    expect(value('5 g Cu at 2 A 90%')).toBeCloseTo(((5 / 63.546) * 2 * 96485.33) / 2 / 3600 / 0.9, 3);
    expect(value('500 mA 30 min Ag 95%')).toBeCloseTo(((0.5 * 1800 * 0.95) / 96485.33) * 107.87, 3);
  });

  // Measured or standard values at 25 °C: CRC (KHP 0.05 m is 4.005), Vogel.
  it.each([
    ['pH 0.1 mol/L CH3COOH', 2.88, 0.03],
    ['pH 0.1 mol/L HCl', 1.09, 0.03],
    ['pH 0.05 mol/L KHP', 4.005, 0.03],
    ['pH 0.1 mol/L NH3', 11.12, 0.05],
    ['pH 0.1 mol/L NaOH', 12.88, 0.03],
    ['pH 0.1 mol/L sodium acetate', 8.8, 0.1],
    ['pH 0.1 mol/L Na2CO3', 11.4, 0.1],
    ['pH 0.05 mol/L H2SO4', 1.2, 0.1],
    ['pH 0.005 mol/L H2SO4', 2.1, 0.1],
    ['pH 0.1 mol/L NaCl', 7, 0.02],
  ])('%s', (text, published, tolerance) =>
    expect(Math.abs((value(text) as number) - published)).toBeLessThan(tolerance),
  );

  it('balance with or without the word', () => {
    const answers = (text: string) => {
      const result = reckonJson(text);
      return 'answers' in result ? result.answers.map((each) => [each.label, each.value]) : result.problem.message;
    };
    expect(answers('balance H2 + O2 = H2O')).toEqual([
      ['H2', 2],
      ['O2', 1],
      ['H2O', 2],
    ]);
    expect(answers('Fe2O3 + CO → Fe + CO2')).toEqual([
      ['Fe2O3', 1],
      ['CO', 3],
      ['Fe', 2],
      ['CO2', 3],
    ]);
  });
});

describe('refusals', () => {
  it.each([
    ['', 'missing-part', ''],
    ['   ', 'missing-part', ''],
    ['140% HCl in mol/L', 'impossible-strength', '140% HCl'],
    ['45% HCl in mol/L', 'impossible-strength', '45% HCl'],
    ['-5% HCl in mol/L', 'impossible-strength', '-5% HCl'],
    ['28% hydrocloric acid in mol/L', 'unknown-substance', 'hydrocloric acid'],
    ['28% HCl in parsecs', 'unknown-unit', 'parsecs'],
    ['12 g NaCl in parsecs', 'unit-does-not-fit', 'parsecs'],
    ['-3 g NaCl in mol', 'out-of-range', '-3 g'],
    ['1,500 g NaCl in mol', 'ambiguous-number', '1,500 g'],
    ['5 g', 'missing-part', ''],
    ['dilute 10% HCl to 500 mL 28%', 'too-weak', '500 mL 28%'],
    ['dilute 28% HCl', 'missing-part', ''],
    ['mix 100 g 28% HCl + 100 g 10% NaOH', 'unit-does-not-fit', '100 g 28% HCl + 100 g 10% NaOH'],
    ['pH 0.1 mol/L CuSO4', 'unknown-substance', '0.1 mol/L CuSO4'],
    ['pH 10 mol/L HCl', 'out-of-range', '10 mol/L HCl'],
    ['2 A 3 h CuCO3', 'unknown-substance', 'CuCO3'],
    ['0 A 3 h Cu', 'out-of-range', '0 A'],
    ['5 g Cu at 2 A 140%', 'out-of-range', '140%'],
    ['balance H2 + O2', 'bad-formula', 'H2 + O2'],
    ['M Xy2', 'bad-formula', 'Xy2'],
    ['M Tc2O7', 'no-atomic-weight', 'Tc2O7'],
    ['10 % NaCl at 300 C in mol/L', 'out-of-range', ''],
    ['x'.repeat(400), 'too-large', 'x'.repeat(100)],
  ])('“%s” is refused as %s, at the word', (text, code, word) => {
    const refused = first(text) as { code: string; message: string; at: [number, number] };
    expect(refused.code).toBe(code);
    expect(refused.message).toMatch(/[.?]$/);
    if (word !== '') expect(text.slice(...refused.at)).toBe(word);
  });

  it('never throw, whatever is typed, and never answer with what is not a number', () => {
    const words = fc.constantFrom(
      '28%',
      'HCl',
      'in',
      'mol/L',
      '5 g',
      'mix',
      '+',
      'dilute',
      'to',
      'balance',
      '->',
      'H2',
      'pH',
      'M',
      '2 A',
      '3 h',
      'Cu',
      'at',
      '20 C',
      '1,5',
      '(',
      ')',
      '.',
      '-',
      'water',
      'NaOH',
      '0',
      '1e400',
      'SG',
      '%',
      'crystals',
      'wash',
      'dissolve',
      'retained',
      '3 x 50 mL',
      'in',
      '80 g water',
      '80 C to 10 C',
      '__proto__',
      'constructor',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(words, { maxLength: 8 }).map((list) => list.join(' ')),
        ),
        (text) => {
          const result = reckonJson(text);
          if ('answers' in result)
            for (const answer of result.answers)
              expect(Number.isFinite(answer.value) && Number.isFinite(answer.uncertainty)).toBe(true);
        },
      ),
      { numRuns: times(800) },
    );
  });
});

describe('every example', () => {
  it.each(examples.map((each) => [each]))('%s is answered, with working', (text) => {
    const result = reckon(text);
    expect(result.ok).toBe(true);
    if (result.ok) expect(workingOf(result.value.answers[0]!).length).toBeGreaterThan(0);
  });
});

describe('solids', () => {
  it('names ions as chemists write them, uncertainty only what the product of the ions holds back', () => {
    const [mass, part, barium, sulfate] = unwrap(
      reckon('precipitate BaSO4 from 100 mL 0.1 mol/L and 50 mL 0.3 mol/L'),
    ).answers;
    // 0.01 mol of barium, 0.015 of sulfate: 0.01 × 233.39 g, and 0.005 mol in 0.15 L over.
    expect(mass!.value).toBeCloseTo(2.334, 3);
    expect(part!.value).toBeGreaterThan(99.99);
    expect(barium!.name).toBe('Ba²⁺ left');
    expect(sulfate!.name).toBe('SO₄²⁻ left');
    expect(sulfate!.value).toBeCloseTo(0.0333, 4);
    expect(2 * sdOf(sulfate!)).toBeLessThan(1e-6);
  });

  it('takes the acid and the comma, and knows what dries what', () => {
    expect(unwrap(reckon('salt out 20 g NaCl in 0,1 kg water with 18,23 g HCl')).answers[0]!.value).toBeCloseTo(
      10.8,
      1,
    );
    expect(unwrap(reckon('hydrate 2,50 g MgSO4.7H2O to 1,22 g')).answers[0]!.value).toBeCloseTo(7, 0);
    const { answers, note } = unwrap(reckon('dry 100 g acetone with 3% water'));
    expect(answers.every(({ value }) => value > 0)).toBe(true);
    expect(note).toContain('calcium chloride');
    expect(unwrap(reckon('dry 100 g ethanol with 0% water')).answers).toEqual([]);
  });

  it.each([
    ['precipitate gold from 10 mL 1 M and 1 mL 1 M', 'No solubility product', [12, 16]],
    ['precipitate AgCl from 0 mL 1 M and 1 mL 1 M', 'more than 0', [22, 26]],
    ['precipitate AgCl', 'Write precipitate', [12, 16]],
    ['salt out', 'Write salt out', [8, 8]],
    ['salt out 3 g NaCl in 10 g water with 400 g HCl', 'tabulated to 6', [37, 42]],
    ['hydrate 1 g CuSO4.5H2O to 2 g', 'less than before', [26, 29]],
    ['hydrate CuSO4.5H2O to 2 g', 'How many grams', [8, 18]],
    ['ceiling zinc', 'No ceiling', [8, 12]],
    ['ceiling H2O2', 'is no solid', [8, 12]],
    ['dry 500 g sand with 5% water', 'quartz sand', [4, 14]],
    ['dry 50 g acetone with 500% water', '0 to 100 %', [22, 25]],
    ['dry 50 mL acetone with 5% water', 'How many grams', [4, 17]],
  ])('refuses %s and points at it', (line, part, at) => {
    const result = reckon(line);
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.problem.message).toContain(part);
    expect(result.problem.at).toEqual(at);
  });
});

describe('what acids and bases need of each other', () => {
  it.each([
    // By hand: 9 × 0.88 ÷ 56.105 = 0.14116 mol KOH; × 63.012 ÷ 0.35.
    ['neutralise 9 g 88% KOH with 35% HNO3', 25.41],
    ['neutralize 9 g 88% KOH by 35% HNO3', 25.41],
    // 14 ÷ 221.11 × 4 × 1.06 × 60.052 ÷ 0.07.
    ['14 g Cu2(OH)2CO3 needs 7% acetic acid, 6% excess', 230.3],
    ['14 g Cu2(OH)2CO3 needs 7 % acetic acid with 6 % excess', 230.3],
    // 10 ÷ 81.379 × 2 × 46.025 ÷ 0.85: zinc oxide with formic acid.
    ['10 g ZnO needs 85% HCOOH', 13.31],
    // 5 ÷ 98.072 × 2 × 105.988 ÷ 2: sulfuric acid with soda, both of two.
    ['5 g H2SO4 needs Na2CO3', 5.403],
    ['5 g H2SO4 needs Na2CO3.10H2O', 14.587],
    ['8.4 g NaHCO3 needs 10% HCl', 36.46],
    ['10 g Al(OH)3 needs 20% H2SO4', 94.3],
  ])('%s', (text, expected) => expect((value(text) as number) / expected).toBeCloseTo(1, 3));

  it.each([
    ['neutralise 5 g NaOH with KOH', /Both are bases/],
    ['5 g NaCl needs 10% HCl', /sodium chloride gives or takes is not held/],
    ['14 g MnO2 needs 10% HCl', /manganese dioxide/],
    ['5 g Na2O2 needs 10% HCl', /not held/],
    ['5 g sodium acetate needs 10% HCl', /not held/],
    ['NaOH needs 10% HCl', /How much/],
    ['5 g NaOH needs', /Write 14 g/],
    ['needs', /Write 14 g/],
    ['neutralise', /Write neutralise/],
    ['9 g KOH needs 35% HNO3, -5% excess', /0 % or more/],
    ['9 g KOH needs 0% HNO3', /./],
  ])('%s is refused in a sentence', (text, message) => {
    const answer = reckonJson(text);
    expect('problem' in answer ? answer.problem.message : 'answered').toMatch(message);
    expect('problem' in answer).toBe(true);
  });
});

describe('yields and shares', () => {
  it.each([
    // 24 ÷ 278.01 mol Fe; × 482.19 is 41.63 g; 31 ÷ 41.63.
    ['yield 31 g ferric alum from 24 g FeSO4.7H2O', 74.5],
    // Two copper to one malachite: 20 ÷ 249.68 ÷ 2 × 221.11 = 8.856 g.
    ['yield 8 g Cu2(OH)2CO3 from 20 g CuSO4.5H2O', 90.3],
    // By sodium, not by carbon: 53 g of soda would be 82.03 g of acetate.
    ['yield 60 g CH3COONa from 53 g Na2CO3', 73.1],
    ['Br in KBr', 67.14],
    ['H2O in CuSO4.5H2O', 36.08],
    // The trade's K2O: 63.2 % in potassium chloride.
    ['K2O in KCl', 63.18],
    ['8.4 g Sn as 97%', 8.66],
    ['46.1 / 92.7 in %', 49.73],
    ['4,5 L / 350 mL', 12.857],
    ['(12.4 g - 9.1 g) / 95%', 3.474],
    ['2 + 3 × 4', 14],
    ['2 × -3 + 10', 4],
    ['10 - 2 - 3', 5],
    ['1 lb + 1 oz in g', 481.9],
  ])('%s', (text, expected) => expect((value(text) as number) / expected).toBeCloseTo(1, 3));

  it('says by what it was counted, and that more than all cannot be', () => {
    const over = reckonJson('yield 60 g ferric alum from 24 g FeSO4.7H2O');
    expect('note' in over && over.note).toMatch(/Counted by Fe.*More than all/);
  });

  it.each([
    ['yield 5 g ethyl acetate from 4 g acetic acid', /share no element/],
    ['yield 5 g NaCl from 4 g KOH', /share no element/],
    ['yield 5 g NaCl', /Write yield/],
    ['yield NaCl from 4 g NaOH', /How much/],
    ['Br in KCl', /no Br in KCl/],
    ['2 g + 3 mL', /do not add up/],
    ['2 g / 0', /divides by nothing/],
    ['1 / (2 + 3', /not closed/],
    ['2 g + 3 g in mL', /comes out in g/],
    ['8.4 g Sn as 0%', /more than 0 %/],
    ['8.4 g Sn as 103%', /at most 100 %/],
    ['frobnicate 3 g NaCl', /“frobnicate” is nothing the Reckoner does/],
    ['gruntle 350 mL to 90 mL', /“gruntle” is nothing/],
  ])('%s is refused in a sentence', (text, message) => {
    const answer = reckonJson(text);
    expect('problem' in answer ? answer.problem.message : 'answered').toMatch(message);
  });

  it('sums as one does by hand, whatever the numbers', () => {
    const number = fc.integer({ min: 1, max: 9999 });
    fc.assert(
      fc.property(number, number, number, (a, b, c) => {
        expect(value(`${a} g + ${b} g × ${c}`)).toBeCloseTo(a + b * c, 6);
        expect(value(`(${a} + ${b}) / ${c}`)).toBeCloseTo((a + b) / c, 6);
      }),
    );
  });
});

describe('the order of pouring', () => {
  const said = (text: string) => {
    const answer = reckonJson(text);
    return 'cautions' in answer ? answer.cautions.join(' ') : '';
  };

  it.each([
    'ascorbic acid',
    'boric acid',
    'citric acid',
    'citric acid monohydrate',
    'calcium hydroxide',
    'oxalic acid',
  ])('is no matter of boiling and spitting for %s', (name) =>
    expect(said(`mix 100 g ${name} + 250 g water`)).not.toContain('spits'),
  );

  it.each(['96% H2SO4', 'sodium hydroxide', 'potassium hydroxide', '36% HCl', '68% nitric acid'])(
    'is said of %s',
    (name) => expect(said(`mix 100 g ${name} + 250 g water`)).toContain('never water onto it'),
  );

  it('comes with one line of the law, and a conversion with none', () => {
    expect(said('mix 50 g 93% H2SO4 + 200 g water')).toContain('Rules on sulfuric acid hold in');
    expect(said('mix 50 g 93% H2SO4 + 200 g water')).toContain('set your country');
    expect(said('28% HCl in mol/L')).not.toContain('Rules');
    expect(said('mix 20 g table salt + 100 g water')).not.toContain('Rules');
  });

  it('mixes nothing that never may meet', () => {
    for (const line of ['mix 50 g 65% nitric acid + 50 g glycerol', 'mix 100 g 30% H2O2 + 50 g acetone'])
      expect((first(line) as { message: string }).message).toContain('never may');
    expect((first('mix 100 g 10% NaCl + 100 g 10% KCl') as { message: string }).message).toContain('two solutes');
  });
});
