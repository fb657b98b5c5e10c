import { describe, expect, it } from 'vitest';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import type { BottleCard } from '#matter/stock';
import type { SubstanceId } from '#matter/substance';
import type { Plan } from '#run/plan';
import { planFor } from '#testing/shelf';
import { compute } from './compute.ts';

const DAY = '2026-03-14';

/** What a door says: the sentence, or “answered”. */
function says(verb: string, input: unknown): string {
  const result = compute(verb, input);
  return result.ok ? 'answered' : result.problem.message;
}

function computes(text: string): string {
  return says('reckon', { text });
}

const air = { airC: 20, humidityPct: 50, pressureHPa: 1013 };

function evaporates(substanceId: string): string {
  const vessels = [{ name: '600 mL beaker', capacityMl: 600, diameterMm: 86, heightMm: 123 }];
  const water = { fromMl: 500, toMl: 50, awayG: 450, watts: 300, evaporationGPerH: 150 };
  return says('evaporate', { substanceId, ...water, vessels, dishCm2: 300, liquidC: 20, ...air });
}

function dries(substanceId: string): string {
  const place = { areaCm2: 300, roomC: 20, humidityPct: 45, pressureHPa: 1013 };
  return says('dry', { substanceId, waterG: 12, ...place, ceiling: null });
}

function crystallises(substanceId: string, boilAwayG: number): string {
  const dish = { grams: 100, waterG: 80, hotC: 80, coldC: 10, boilAwayG, crops: 1, impurityPct: 0 };
  return says('dish', { substanceId, ...dish, ...air, dishCm2: 200 });
}

/** A bottle put on the shelf, and what is asked of it. */
function targets(label: string, text: string): string {
  const { card } = parseLabel(label, DAY, 20);
  const shelf = card ? [{ id: 'bottle_a', card, usedG: 0, archived: false }] : [];
  const result = compute('target', { text, shelf, bench: BenchDefaults, today: DAY });
  return JSON.stringify(result);
}

const SULFURIC = 'sulfuric acid above 70 % is not planned here: it is for a licensed laboratory.';
const NITRIC = 'nitric acid above 68 % is not planned here: it is for a licensed laboratory.';
const PEROXIDE = 'hydrogen peroxide above 12 % is not planned here: it is for a licensed laboratory.';

describe('one gate behind every door', () => {
  it.each([
    ['dilute 98% H2SO4 to 500 mL 96%', SULFURIC],
    ['dilute 98 % H2SO4 to 90 %', SULFURIC],
    ['dilute 1 L 98% H2SO4 to 17.5 mol/L', SULFURIC],
    ['mix 98% H2SO4 + 60% H2SO4 to 500 mL 90%', SULFURIC],
    ['mix 100 g 98% H2SO4 + 5 g water', SULFURIC],
    ['dilute 98% HNO3 to 100 mL 90%', NITRIC],
    ['mix 100 g 98% HNO3 + 10 g water', NITRIC],
    ['dilute 70% H2O2 to 500 mL 35%', PEROXIDE],
    ['mix 50 g 90% H2O2 + 50 g 30% H2O2', PEROXIDE],
    ['dilute 98% HNO3 to 100 mL 60%', 'nitric acid above 70 % is not planned here'],
  ])('makes nothing too strong by the Reckoner: %s', (line, sentence) => {
    expect(computes(line)).toContain(sentence);
  });

  it.each([
    'dilute 98% H2SO4 to 500 mL 37%',
    'dilute 65% HNO3 to 100 mL 10%',
    'dilute 35% H2O2 to 500 mL 3%',
    'dilute 37% HCl to 1 L 2 mol/L',
    'mix 100 g 28% HCl + 250 g water',
    '98% H2SO4 in mol/L',
    '90% HNO3 in mol/L',
    'evaporate 350 mL to 90 mL',
    'evaporate 350 mL of brine to 90 mL',
    'evaporate 350 mL of zinc sulfate to 90 mL',
  ])('computes what a bench needs, and strengths of anything: %s', (line) => {
    expect(computes(line)).toBe('answered');
  });

  it('makes nothing too strong of a target either, in the same words', () => {
    expect(targets('sulfuric acid 98% 1 L', '500 mL of 96 % sulfuric acid')).toContain(SULFURIC);
    expect(targets('nitric acid 65% 1 L', '100 mL of 90 % nitric acid')).toContain(NITRIC);
    expect(targets('nitric acid 98% 1 L', '100 mL of 60 % nitric acid')).toContain(
      'nitric acid above 70 % is not planned here',
    );
    expect(targets('sulfuric acid 98% 1 L', '500 mL of 37 % sulfuric acid')).not.toContain('not planned here');
  });

  it.each([
    'hydrogen-peroxide',
    'sodium-hypochlorite',
    'nitric-acid',
    'sulfuric-acid',
    'ethanol',
    'acetone',
    'ammonia',
    'ammonium-nitrate',
    'sodium-percarbonate',
  ])('boils no %s down, nor leaves it to evaporate', (id) => {
    expect(evaporates(id)).toContain('is not boiled down or evaporated here');
  });

  it('says the same by the Reckoner', () => {
    for (const name of ['peroxide', 'bleach', 'nitric acid', 'ethanol', 'ammonium nitrate'])
      expect(computes(`evaporate 500 mL of ${name} to 50 mL`)).toMatch(/is not boiled down|is known and not/);
  });

  it('never brings ammonium nitrate out of its solution', () => {
    expect(dries('ammonium-nitrate')).toContain('is not dried here');
    expect(crystallises('ammonium-nitrate', 0)).toContain('is not crystallised here');
    expect(crystallises('ammonium-nitrate', 40)).toContain('is not boiled down or evaporated here');
    expect(computes('ceiling NH4NO3')).toMatch(/not dried here|is known and not/);
    expect(crystallises('potassium-nitrate', 0)).toBe('answered');
    expect(dries('potassium-nitrate')).toBe('answered');
  });
});

describe('a plan written by hand', () => {
  const plan = planFor('1 L of 10 % hydrochloric acid');
  const sheet = (each: Plan) => says('sheet', { plan: each });
  const named = (substanceId: SubstanceId, of = plan): Plan => ({ ...of, target: { ...of.target, substanceId } });
  const inBottle = (card: Partial<BottleCard>, of = plan): Plan => ({
    ...of,
    stock: Object.fromEntries(
      Object.entries(of.stock).map(([id, bottle]) => [id, { ...bottle, card: { ...bottle.card, ...card } }]),
    ),
  });

  it('is computed as it stands', () => {
    expect(sheet(plan)).toBe('answered');
  });

  it('makes what its route makes, and nothing else under its name', () => {
    expect(sheet(named('ammonium-nitrate', planFor('60 g zinc sulfate')))).toContain('does not make ammonium nitrate');
    expect(sheet(named('potassium-nitrate'))).toContain('does not make potassium nitrate');
  });

  it('is made up of the substance it names', () => {
    expect(sheet(named('acetic-acid'))).toContain('is hydrochloric acid, not acetic acid');
    expect(sheet(inBottle({ substanceId: 'nitric-acid' }))).toContain('is nitric acid, not hydrochloric acid');
    const acid = { strength: { value: 98, unit: 'w/w' } } as const;
    expect(sheet(named('acetic-acid', inBottle({ ...acid, substanceId: 'sulfuric-acid' })))).toContain(
      'is sulfuric acid, not acetic acid',
    );
  });
});

describe('what is known and not planned', () => {
  const label = (name: string) =>
    JSON.stringify(compute('label', { text: `${name} 98% 500 g`, today: DAY, tempC: 20 }));
  const DOORS: Readonly<Record<string, (name: string) => string>> = {
    target: (name) => targets('zinc 99% 900 g', `100 g ${name}`),
    label,
    dilute: (name) => computes(`dilute 50% ${name} to 500 g 10%`),
    mix: (name) => computes(`mix 100 g 50% ${name} + 100 g water`),
    evaporate: (name) => computes(`evaporate 500 mL of ${name} to 50 mL`),
  };

  it.each([
    ['sodium azide', 'Sodium azide is known and not planned here: deadly poison'],
    ['potassium cyanide', 'Potassium cyanide is known and not planned here: deadly in a pinch'],
    ['hydrofluoric acid', 'Hydrofluoric acid is known and not planned here: '],
    ['acetone peroxide', 'Acetone peroxide is known and not planned here: an explosive'],
    ['calcium carbide', 'Calcium carbide is known and not planned here: '],
    ['sodium chlorate', 'Sodium chlorate is known and not planned here: '],
    ['guncotton', 'Guncotton is known and not planned here: '],
    ['lead nitrate', 'Lead nitrate is known and not planned here: '],
    ['drinking alcohol', 'Drinking alcohol is known and not planned here: '],
  ])(
    '%s is refused at every door in the same sentence, and nothing harmless is offered in its place',
    (name, sentence) => {
      for (const [door, ask] of Object.entries(DOORS)) {
        const said = ask(name);
        expect(said, door).toContain(sentence);
        expect(said, door).not.toMatch(/did you mean|\byet\b/i);
      }
    },
  );

  it('may be checked for what it must be kept from, and for its molar mass', () => {
    expect(computes('clash sodium azide + vinegar')).toBe('answered');
    expect(computes('clash weedkiller + sugar')).toBe('answered');
    expect(computes('M NaN3')).toBe('answered');
    expect(computes('20 g NaN3')).toContain('not planned here');
    expect(computes('mix 100 g 50% NaN3 + 100 g water')).toContain('is known and not planned here');
  });
});
