import { describe, expect, it } from 'vitest';
import { allSubstances } from '#matter/substance';
import {
  admit,
  bandOf,
  type CautionFacts,
  cautionFor,
  clashesOf,
  classesOf,
  type Deed,
  legalNotes,
  materialClashes,
  quenchSays,
} from './index.ts';

const facts: CautionFacts = {
  acids: [{ substanceId: 'sulfuric-acid', name: 'Top-up Acid', pct: 37 }],
  products: [{ substanceId: 'sulfuric-acid', pct: 37 }],
  gases: [{ id: 'hydrogen', litres: 6.3 }],
  roomM3: 20,
  riseK: 30,
  quench: '',
  startC: 16,
  foamMl: 40,
  liquidMl: 130,
};

describe('cautions', () => {
  it('compute hydrogen against its burning limit', () => {
    // 6.3 L at 4 % fill 157.5 L
    expect(cautionFor('hydrogen', facts)).toMatchObject({ severity: 'stop' });
    expect(cautionFor('hydrogen', facts)!.text).toContain('160 L');
    expect(cautionFor('hydrogen', { ...facts, gases: [] })).toBeUndefined();
  });

  it('warn of each gas, also of the lesser one', () => {
    const gases = [
      { id: 'carbon-dioxide', litres: 20 },
      { id: 'ammonia-gas', litres: 1.8 },
    ];
    // 1.8 L in 20 m3: 90 ppm; 20 L: 0.1 % of carbon dioxide, below half the limit.
    expect(cautionFor('ammonia-gas', { ...facts, gases })).toMatchObject({ severity: 'stop' });
    expect(cautionFor('ammonia-gas', { ...facts, gases })!.text).toContain('90 ppm');
    expect(cautionFor('foam', { ...facts, gases })!.title).toContain('22 L');
    expect(cautionFor('hydrogen', { ...facts, gases })).toBeUndefined();
  });

  it('take their first aid and their word from the strength’s band', () => {
    expect(cautionFor('corrosive', facts)!.title).toContain('Corrosive');
    expect(
      cautionFor('corrosive', { ...facts, acids: [{ substanceId: 'sulfuric-acid', name: 'weak', pct: 8 }] })!.title,
    ).toContain('Irritant');
    expect(cautionFor('corrosive', { ...facts, acids: [] })).toBeUndefined();
  });

  it('leave no strength between two bands without one', () => {
    expect(bandOf('nitric-acid', 70)?.band).toBe('65 to 70 %');
    expect(bandOf('nitric-acid', 70.1)?.band).toBe('> 70 %');
    expect(bandOf('nitric-acid', 65)?.band).toBe('65 to 70 %');
  });

  it('call heat that would boil a stop, and say nothing of a few degrees', () => {
    expect(cautionFor('heat', facts)!.severity).toBe('watch');
    expect(cautionFor('heat', { ...facts, riseK: 90 })!.severity).toBe('stop');
    expect(cautionFor('heat', { ...facts, riseK: 3 })).toBeUndefined();
    expect(cautionFor('heat', { ...facts, riseK: -9 })).toBeUndefined();
  });

  it('name the law only where a threshold is crossed, with its date', () => {
    expect(legalNotes('sulfuric-acid', 37).join(' ')).toContain('2019/1148');
    expect(legalNotes('sulfuric-acid', 10).join(' ')).not.toContain('2019/1148');
    expect(legalNotes('sodium-chloride', 10)).toEqual([]);
    expect(cautionFor('law', facts)!.text).toContain('check your local code');
  });

  it('fume only strong hydrochloric acid', () => {
    expect(cautionFor('fume', facts)).toBeUndefined();
    expect(
      cautionFor('fume', { ...facts, acids: [{ substanceId: 'hydrochloric-acid', name: 'x', pct: 28 }] })!.text,
    ).toContain('5 ppm');
  });
});

describe('the gate', () => {
  const says = (substanceId: string, deed: Deed, pct?: number) => {
    const result = admit({ substanceId, ...(pct === undefined ? {} : { pct }) }, deed);
    return result.ok ? 'admitted' : result.problem.message;
  };

  it('makes sulfuric acid to 70 %, nitric to 68 %, peroxide to 12 %, and says so', () => {
    expect(says('sulfuric-acid', 'make', 70)).toBe('admitted');
    expect(says('sulfuric-acid', 'make', 70.1)).toContain('above 70 % is not planned here');
    expect(says('nitric-acid', 'make', 70)).toContain('above 68 %');
    expect(says('hydrogen-peroxide', 'make', 30)).toContain('Ask for 12 % or less.');
    expect(says('acetic-acid', 'make', 99)).toBe('admitted');
  });

  it('dilutes strong sulfuric acid and peroxide, but no fuming nitric acid', () => {
    expect(says('sulfuric-acid', 'take', 98)).toBe('admitted');
    expect(says('hydrogen-peroxide', 'take', 35)).toBe('admitted');
    expect(says('nitric-acid', 'take', 69.5)).toBe('admitted');
    expect(says('nitric-acid', 'take', 90)).toContain('licensed laboratory');
  });

  it.each([
    ['hydrogen-peroxide', 'grows stronger'],
    ['sodium-percarbonate', 'grows stronger'],
    ['sodium-hypochlorite', 'chlorate'],
    ['calcium-hypochlorite', 'chlorate'],
    ['sodium-dichloroisocyanurate', 'nitrogen trichloride'],
    ['ammonium-persulfate', 'sets fire'],
    ['potassium-peroxymonosulfate', 'sets fire'],
    ['ammonium-nitrate', 'confined'],
    ['hydroxylammonium-chloride', 'explode'],
    ['sulfuric-acid', 'temperature of the flask'],
    ['nitric-acid', 'into the room'],
    ['ammonia', 'into the room'],
    ['ethanol', 'burns'],
    ['acetone', 'burns'],
    ['hydrogen', 'is a gas'],
  ])('lets no %s lose its water in the open: %s', (substanceId, why) => {
    expect(says(substanceId, 'concentrate')).toContain(why);
  });

  it('holds up nothing that is boiled down, crystallised and dried on ordinary days', () => {
    for (const id of [
      'zinc-sulfate-heptahydrate',
      'potassium-nitrate',
      'sodium-acetate-trihydrate',
      'copper-formate-tetrahydrate',
      'ferric-alum',
      'citric-acid',
      'boric-acid',
      'glycerol',
      'sodium-hydroxide',
      'ammonium-sulfate',
      'potassium-permanganate',
    ])
      for (const deed of ['concentrate', 'crystallise'] as const) expect(says(id, deed), id).toBe('admitted');
    expect(says('potassium-nitrate', 'dry')).toBe('admitted');
    expect(says('zinc', 'dry')).toBe('admitted');
  });

  it.each([
    ['calcium-ammonium-nitrate', 'concentrate', 'it holds ammonium nitrate'],
    ['sodium-dithionite', 'concentrate', 'until it burns'],
    ['sodium-dithionite', 'dry', 'until it burns'],
    ['sodium-dichloroisocyanurate', 'dry', 'nitrogen trichloride'],
    ['hydrogen-peroxide', 'distil', 'boil over by itself'],
    ['sodium-hypochlorite', 'distil', 'chlorate'],
    ['ammonium-nitrate', 'distil', 'never heated'],
  ] as const)('%s: no %s', (id, deed, why) => {
    expect(says(id, deed)).toContain(why);
  });

  it('distils what a still is for', () => {
    for (const id of ['ethanol', 'acetone', 'nitric-acid', 'hydrochloric-acid', 'ammonia', 'acetic-acid', 'water'])
      expect(says(id, 'distil'), id).toBe('admitted');
  });

  it('neither crystallises nor dries ammonium nitrate, and dries no liquid as a solid', () => {
    expect(says('ammonium-nitrate', 'crystallise')).toContain('can explode');
    expect(says('ammonium-nitrate', 'dry')).toContain('can explode');
    expect(says('nitric-acid', 'dry')).toContain('is no solid');
    expect(says('ethanol', 'dry')).toContain('is no solid');
  });
});

const present = (...ids: string[]) => ids.map((substanceId) => ({ substanceId, pct: 20 }));

describe('what must not meet', () => {
  it.each([
    ['hydrochloric-acid', 'sodium-hypochlorite', 'refuse', 'chlorine'],
    ['acetic-acid', 'sodium-hypochlorite', 'refuse', 'chlorine'],
    ['ammonia', 'sodium-hypochlorite', 'refuse', 'chloramine'],
    ['acetone', 'hydrogen-peroxide', 'refuse', 'peroxide'],
    ['sodium-metabisulfite', 'hydrochloric-acid', 'danger', 'sulfur dioxide'],
    ['sodium-nitrite', 'sulfuric-acid', 'danger', 'nitrogen dioxide'],
  ])('%s and %s: %s', (here, added, severity, releases) => {
    const clashes = clashesOf(present(here), { substanceId: added, pct: 10 });
    expect(clashes[0]!.severity).toBe(severity);
    expect(clashes.map((each) => each.releases).join(' ')).toContain(releases);
    // Whichever of the two is in the vessel.
    expect(clashesOf(present(added), { substanceId: here, pct: 10 })[0]!.severity).toBe(severity);
  });

  it('lets go together what may, and what is not known', () => {
    expect(clashesOf(present('zinc-sulfate', 'sodium-sulfate'), { substanceId: 'sodium-carbonate', pct: 99 })).toEqual(
      [],
    );
    expect(clashesOf(present('nothing-known'), { substanceId: 'sulfuric-acid', pct: 10 })).toEqual([]);
    expect(clashesOf([], { substanceId: 'sulfuric-acid', pct: 10 })).toEqual([]);
  });

  it('knows the classes of every substance that can be in a bottle, by strength where it matters', () => {
    expect(classesOf('sulfuric-acid', 96)).toContain('sulfuric_conc');
    expect(classesOf('sulfuric-acid', 37)).not.toContain('sulfuric_conc');
    expect(classesOf('hydrogen-peroxide', 30)).toContain('peroxide_strong');
    expect(classesOf('copper-sulfate-pentahydrate', 99)).toContain('transition_metal');
    expect(classesOf('ammonium-chloride', 99)).toContain('ammonia');
    expect(classesOf('sodium-carbonate-decahydrate', 99)).toContain('carbonate');
    for (const { id } of allSubstances) expect(() => classesOf(id, 50)).not.toThrow();
  });
});

describe('vessels against what is in them', () => {
  it.each([
    ['aluminium', 'sodium-hydroxide', 20, 'refuse'],
    ['aluminium', 'acetic-acid', 20, 'refuse'],
    ['glass', 'sodium-hydroxide', 90, 'danger'],
    ['paper', 'sodium-hypochlorite', 20, 'refuse'],
    ['stainless steel', 'hydrochloric-acid', 20, 'danger'],
    ['copper', 'ammonia', 20, 'refuse'],
  ] as const)('%s and %s at %d °C: %s', (material, id, tempC, severity) => {
    expect(materialClashes(material, present(id), tempC)[0]!.severity).toBe(severity);
  });

  it('says nothing where it holds, and what heat and quenching do', () => {
    expect(materialClashes('glass', present('sodium-hydroxide'), 20)).toEqual([]);
    expect(materialClashes('glass', present('hydrochloric-acid'), 100)).toEqual([]);
    expect(materialClashes('polyethylene', [], 90)[0]!.sentence).toContain('softens');
    expect(quenchSays('jar glass', 98, 5)).toContain('45 °C first');
    expect(quenchSays('glass', 98, 5)).toBe('');
    expect(quenchSays('stainless steel', 300, 5)).toBe('');
  });
});

describe('the law', () => {
  it('has its word on nitrates that rows name together, each with where and when', () => {
    const notes = legalNotes('potassium-nitrate', 99);
    expect(notes.some((note) => note.startsWith('EU: any amount'))).toBe(true);
    expect(notes.some((note) => note.startsWith('CA:'))).toBe(true);
    for (const note of notes) expect(note).toMatch(/\d{4}/);
    expect(legalNotes('sodium-nitrate', 99).length).toBeGreaterThan(0);
    expect(legalNotes('sodium-chloride', 99)).toEqual([]);
    expect(cautionFor('law', { ...facts, products: [{ substanceId: 'potassium-nitrate', pct: 99 }] })!.text).toContain(
      'potassium nitrate',
    );
  });
});

describe('the ends of what is planned', () => {
  it.each([
    ['make', 'sulfuric-acid', 70],
    ['make', 'nitric-acid', 68],
    ['make', 'hydrogen-peroxide', 12],
    ['make', 'hydrochloric-acid', 37],
    ['make', 'bromine', 3],
    ['take', 'nitric-acid', 70],
    ['take', 'hydrogen-peroxide', 36],
    ['take', 'bromine', 3.5],
  ] as const)('to %s %s ends at %d %%', (deed, substanceId, pct) => {
    expect(admit({ substanceId, pct }, deed).ok).toBe(true);
    const beyond = admit({ substanceId, pct: pct + 0.5 }, deed);
    expect(beyond.ok).toBe(false);
    if (!beyond.ok) expect(beyond.problem.message).toContain(`${pct} %`);
  });
});
