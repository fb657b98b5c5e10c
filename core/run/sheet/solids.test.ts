import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { molarMass } from '#matter/substance';
import { massOverAll } from '#matter/vessel';
import type { EventBody } from '#run/log';
import { runState, usedFurther } from '#run/state';
import { gramsIn, molIn } from '#testing/asking';
import { done, insert, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

describe('zinc chloride, a solution that the reaction makes', () => {
  const { plan, added, run } = on('zinc-chloride', '500 mL of 1 mol/L zinc chloride', {
    zinc: 'zinc 99 % 1 kg',
    acid: 'hydrochloric acid 30 % 5 L',
  });

  it('doses acid by the zinc chloride wanted, and zinc in excess', () => {
    const { sheet } = run();
    const line = (role: string) => sheet.additions.find((each) => each.role === role)!;
    // 0.5 mol: 1 mol of HCl, 36.458 g, in 30 % acid 121.5 g; 0.55 mol of zinc at 99 %, 36.32 g.
    expect(line('acid').dose.mass.value).toBeCloseTo(121.5, 1);
    expect(line('zinc').dose.mass.value).toBeCloseTo(36.32, 1);
    expect(sheet.limiting).toBe('acid');
  });

  it('comes to a yield by the density that is read, and explains more than all', () => {
    const bodies = [added('acid', 'acid', 120), ...done('ready', 'zinc', 'water', 'acid', 'dissolve', 'filter')];
    const fill = read('make-up', 'volume', 500, 'mL');
    // 120 g of 30 % are 0.9874 mol, so 67.28 g of ZnCl2 at most; at 12 % (1.1085 g/mL, ICT) 500 mL hold 66.51 g: 98.9 %.
    const at = run(...bodies, fill, read('make-up', 'density', 1.1085, 'g/mL'));
    expect(at.sheet.theory!.value).toBeCloseTo(67.28, 1);
    expect(at.yield!.yieldPct.value).toBeCloseTo(98.9, 0);
    expect(at.yield!.over).toBe('no');
    const over = run(...bodies, fill, read('make-up', 'density', 1.15, 'g/mL'));
    expect(over.yield!.over).toBe('clearly');
    expect(over.yield!.explanations.join(' ')).toContain('density');
    expect(run(...bodies, fill, read('make-up', 'density', 0, 'g/mL')).yield).toBeNull();
    expect(run(...bodies, fill, read('make-up', 'density', 9, 'g/mL')).yield).toBeNull();
    expect(run(...bodies, fill).yield).toBeNull();
  });

  it('leaves the zinc that is over behind in the filter', () => {
    const at = run(
      added('zinc', 'zinc', 40),
      added('acid', 'acid', 120),
      ...done('ready', 'zinc', 'water', 'acid', 'dissolve'),
    );
    expect(molIn(at.sheet.now!.contents).zinc).toBeGreaterThan(0.1);
    const filtered = run(
      added('zinc', 'zinc', 40),
      added('acid', 'acid', 120),
      ...done('ready', 'zinc', 'water', 'acid', 'dissolve', 'filter'),
    );
    expect(molIn(filtered.sheet.now!.contents).zinc).toBeUndefined();
    expect(plan.target.strength).toEqual({ value: 1, unit: 'mol/L' });
  });
});

describe('zinc carbonate from a salt made here', () => {
  it('takes a solution of zinc chloride as it stands in its bottle', () => {
    const { run } = on('zinc-carbonate-from-salt', '20 g zinc carbonate', {
      salt: 'zinc chloride 1 mol/L 500 mL',
      soda: 'washing soda crystals 1 kg',
    });
    const { sheet } = run();
    const [salt, , soda] = sheet.additions;
    // 20 g are 97 % of all but the 0.7 g that the paper keeps: 21.32 g, 0.03883 mol of the basic carbonate (548.96): 0.1942 mol
    // of zinc, 0.2039 mol of soda with 5 % over.
    expect(salt!.amount.value).toBeCloseTo(0.1942, 3);
    expect(soda!.amount.value).toBeCloseTo(0.2039, 3);
    expect(sheet.theory!.value).toBeCloseTo(21.32, 1);
  });
});

describe('ferric alum', () => {
  const { added, run } = on('ferric-alum', '50 g ferric alum', {
    iron: 'moss iron iron sulfate 99 % 2 kg',
    acid: 'sulfuric acid 37 % 1 L',
    peroxide: 'hydrogen peroxide 9 % 1 L',
    ammonium: 'ammonium sulfate 98 % 1 kg',
  });

  it('doses peroxide and ammonium by the iron that is in, as by hand', () => {
    // 50 g of 99 % FeSO4·7H2O (278.01): 0.17805 mol. H2O2 0.08903 mol, 10 % over: 3.331 g, in 9 % 37.0 g.
    // Alum 0.17805 × 482.19 = 85.85 g at best; ammonium sulfate 0.08903 × 1.05 × 132.13 ÷ 0.98 = 12.60 g.
    const { sheet } = run(added('iron', 'iron', 50), ...done('iron', 'water', 'acid'));
    const line = (role: string) => sheet.additions.find((each) => each.role === role)!;
    expect(line('peroxide').dose.mass.value).toBeCloseTo(37.0, 1);
    expect(line('ammonium').dose.mass.value).toBeCloseTo(12.6, 1);
    expect(sheet.theory!.value).toBeCloseTo(85.85, 1);
  });

  it('warns of the heat of the peroxide: about 150 kJ for each mol of iron', () => {
    // 2 Fe2+ + H2O2 + 2 H+ → 2 Fe3+ + 2 H2O: −299.3 kJ by the formation enthalpies of NBS 1982.
    const { sheet } = run(added('iron', 'iron', 50));
    const heat = sheet.heats.find(({ step }) => step === 'peroxide')!;
    expect(Math.abs(heat.heat.value / (0.17805 * 149.7) - 1)).toBeLessThan(0.08);
    expect(sheet.cautions.peroxide!.map(({ id }) => id)).toContain('peroxide');
  });
});

describe('silica from sand', () => {
  const labels = { sand: 'quartz sand 99 % 2 kg', lye: 'caustic soda 98 % 1 kg', acid: 'hydrochloric acid 30 % 5 L' };
  const silicaOn = (acid: string) => on('silica', '50 g silica gel', { ...labels, acid });
  const { added, run } = silicaOn(labels.acid);
  const molten = [
    added('sand', 'sand', 60),
    added('lye', 'lye', 100),
    ...done('clean', 'sand', 'lye', 'fuse'),
    added('water', 'water', 600, 'mL'),
    ...done('water'),
  ];

  it('uncertainty how far the melt went until the sand left is weighed', () => {
    const guess = run(...molten).sheet;
    expect(guess.uncertainty.shares[0]!.name).toContain('melt');
    const known = run(...molten, read('leach', 'left', 12.4, 'g'), ...done('leach')).sheet;
    // 60 g of 99 %: 0.9887 mol; 12.4 g left of 60: 79.33 % went, 47.12 g of SiO2, with 5 % water 49.6 g; the sand keeps 2.5 g of 765 g of it.
    expect(known.theory!.value).toBeCloseTo(49.6 * (1 - 2.5 / 765), 1);
    expect(known.uncertainty.shares[0]!.name).not.toContain('melt');
  });

  it.each([
    ['hydrochloric acid 30 % 5 L', 2.4502 * 36.458, 30],
    ['sulfuric acid 37 % 1 L', 1.2251 * 98.072, 37],
  ])('asks for %s by all the lye that went in, however much melted', (label, grams, pct) => {
    const of = silicaOn(label);
    for (const left of [0, 12.4, 40]) {
      // 100 g of 98 % NaOH: 2.4502 mol, free or as water glass; the sand keeps a fifth of its weight of it.
      const { sheet } = of.run(...molten, read('leach', 'left', left, 'g'), ...done('leach'));
      const acid = sheet.additions.find((each) => each.role === 'acid')!;
      const kept = (0.2 * left) / 760;
      expect(acid.dose.mass.value / ((1.02 * 100 * grams) / pct)).toBeCloseTo(1 - kept, 2);
    }
  });

  it('keeps the water it is dried to, in the product as in the yield', () => {
    const { sheet } = run();
    // 47.5 g without water are 94 % of all but a gram: 51.53 g could be had.
    expect(sheet.yieldPct!.value).toBeCloseTo((100 * 47.5) / 51.53, 1);
    expect(sheet.product!.value).toBeCloseTo(50, 1);
    expect(sheet.cautions.fuse!.map(({ id }) => id)).toContain('molten-alkali');
  });
});

describe('crystals redissolved without leaving the run', () => {
  const { plan, added, run } = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
  const first = [
    added('crude', 'crude', 80),
    ...done('crude'),
    added('water', 'water', 100, 'mL'),
    ...done('water', 'heat', 'filter', 'cool', 'collect'),
  ];
  const again = [
    insert('step_dissolve', 'collect', { does: 'redissolve', title: 'Redissolve' }),
    insert('step_cool', 'step_dissolve', { does: 'as-before', repeats: 'cool' }),
    insert('step_collect', 'step_cool', { does: 'as-before', repeats: 'collect' }),
  ];
  const water = added('step_dissolve', null, 60);

  it('go into solution with their crystal water, and come back less', () => {
    const before = run(...first).sheet;
    const after = run(...first, ...again, water, ...done('step_dissolve', 'step_cool', 'step_collect')).sheet;
    expect(after.product!.value).toBeLessThan(before.product!.value);
    expect(after.product!.value).toBeGreaterThan(0.6 * before.product!.value);
    expect(after.theory!.value).toBeCloseTo(before.theory!.value, 6);
    expect(after.yieldPct!.value).toBeLessThan(before.yieldPct!.value);
    const halfway = run(...first, ...again, water, ...done('step_dissolve')).sheet.now!;
    // The crystals (less what stuck) and 60 g of water: nothing lost, nothing made.
    expect(gramsIn(halfway.contents)).toBeCloseTo(before.product!.value + 60, 0);
  });

  it('part from their liquor without making or losing matter, crystal water and all', () => {
    const before = run(...first.slice(0, -1)).sheet.now!;
    const after = run(...first).sheet.now!;
    expect(molIn(after.contents)['potassium-alum']).toBeGreaterThan(0.1);
    expect(massOverAll(after.vessels)).toBeCloseTo(massOverAll(before.vessels), 9);
  });

  it('are weighed again: what was weighed before does not count', () => {
    const dried = [
      ...first,
      read('dry', 'mass', 58, 'g'),
      read('dry', 'mass', 58, 'g'),
      insert('step_dissolve', 'dry', { does: 'redissolve', title: 'Redissolve' }),
      insert('step_cool', 'step_dissolve', { does: 'as-before', repeats: 'cool' }),
      insert('step_dry', 'step_cool', { does: 'as-before', repeats: 'dry' }),
    ];
    expect(run(...first, read('dry', 'mass', 58, 'g')).weighing.grams).toBe(58);
    expect(run(...dried).weighing.grams).toBeNull();
    expect(run(...dried, read('step_dry', 'mass', 50, 'g')).weighing.grams).toBe(50);
  });

  it('a step repeated as it was does what it did; one inserted does only what is entered', () => {
    const plain = run(...first, insert('step_dissolve', 'collect', { title: 'Look at it' }), ...done('step_dissolve'));
    expect(plain.sheet.product!.value).toBe(run(...first).sheet.product!.value);
    // A charge done as before would put the planned dose in twice.
    const twice = run(...first, insert('step_crude', 'collect', { does: 'as-before', repeats: 'crude' }));
    expect(twice.sheet.additions).toHaveLength(2);
    expect(plan.route.id).toBe('alum-recrystallised');
  });

  it('says what their mass tells of the crystal water, and no more', () => {
    const weighed = (...grams: number[]) =>
      unwrap(
        runState(plan, [
          ...eventsAt(START, ...first),
          ...grams.map((each, i) => ({
            ...eventsAt(`2026-03-${16 + i}T08:00:00.000Z`, read('dry', 'mass', each, 'g'))[0]!,
            id: `ev_later000${i}`,
          })),
        ]),
      );
    const expected = weighed(60).sheet.product!.value;
    expect(weighed(expected, expected).hydrate).toMatchObject({ says: 'as its formula' });
    expect(weighed(1.3 * expected, 1.3 * expected).hydrate).toMatchObject({ says: 'wetter' });
    // Less than expected may have been lost on the way: nothing is said.
    expect(weighed(0.7 * expected, 0.7 * expected).hydrate).toBeNull();
    expect(weighed(expected).hydrate).toBeNull();
    // It stood constant at 55 g and went on losing: 5.5 g of water from 0.1159 mol are 2.6 of its 12.
    const over = weighed(60, 55.1, 55, 49.5).hydrate!;
    expect(over.says).toBe('over-dried');
    expect(over.water).toBeCloseTo(12 - 5.55 / 18.015 / (55.05 / 474.38), 1);
    expect(weighed(60, 55.1, 55, 54.9).hydrate?.says).not.toBe('over-dried');
  });
});

describe('water added while it is dissolving hot', () => {
  const { added, run } = on('alum-recrystallised', '35 g alum', { crude: 'potassium alum 99 % 1 kg' });
  const until = (...more: EventBody[]) =>
    run(
      added('crude', 'crude', 61.3),
      ...done('crude'),
      added('water', 'water', 40, 'mL'),
      ...done('water'),
      ...more,
      ...done('heat', 'filter'),
    ).sheet;

  it('dissolves there, and is not left in the filter', () => {
    // 61.3 g of 99 %: 0.1279 mol. 33.0 g dry and 27.6 g of water; with 100 mL poured on it holds 0.28 g for each g at 65 °C.
    const short = until();
    const enough = until(added('heat', null, 60, 'mL'));
    expect(enough.product!.value).toBeGreaterThan(short.product!.value + 5);
    // At 6 °C about 3.6 g dry stay in 100 g: (33.0 − 4.6) ÷ (0.544 − 0.016) = 53.7 g, less 6 % in paper and rinse.
    expect(Math.abs(enough.product!.value - 50.5)).toBeLessThan(2);
    expect(Object.keys(enough.now!.contents.solid)).toEqual([]);
  });
});

describe('a part used further wet', () => {
  it('leaves the rest its share of product and of theory', () => {
    const { run, added } = on('zinc-carbonate-from-salt', '20 g zinc carbonate', {
      salt: 'zinc chloride 1 mol/L 500 mL',
      soda: 'washing soda crystals 1 kg',
    });
    const steps = [added('salt', 'salt', 210), ...done('salt', 'water', 'soda', 'settle', 'collect')];
    const whole = run(...steps).sheet;
    const rest = run(...steps, {
      kind: 'poured-off',
      step: 'collect',
      share: 0.25,
      batchId: null,
      bottleId: 'bottle_cake0001',
      why: 'for zinc acetate',
    });
    expect(rest.sheet.product!.value).toBeCloseTo(0.75 * whole.product!.value, 6);
    expect(rest.sheet.theory!.value).toBeCloseTo(0.75 * whole.theory!.value, 6);
    expect(rest.log[0]!.text).toBe('25 % used further, to the shelf: for zinc acetate');
    // 21 g expected in 60 g of wet cake: about 35 %, and a band as wide as the sheet's own uncertainty.
    const taken = unwrap(usedFurther(whole, 60, 15));
    expect(taken.share).toBe(0.25);
    expect(taken.pct).toBeCloseTo(whole.product!.value / 0.6, 6);
    expect(taken.bandPct).toBeGreaterThan(1);
    // Lighter than what is expected in it: then it is dry, at most pure.
    expect(unwrap(usedFurther(whole, 5, 5)).pct).toBe(100);
    for (const [wet, part] of [
      [0, 1],
      [10, 0],
      [10, 11],
      [-5, 1],
      [Number.NaN, 1],
    ] as const)
      expect(usedFurther(whole, wet, part).ok).toBe(false);
    expect(usedFurther(run(added('salt', 'salt', 210)).sheet, 60, 15).ok).toBe(true);
    expect(usedFurther({ ...whole, product: null }, 60, 15).ok).toBe(false);
  });
});

describe('cautions of the melt and the lye', () => {
  it('speak of the lye where it is, and of acid where that is', () => {
    const { run } = on('silica', '50 g silica gel', {
      sand: 'quartz sand 99 % 2 kg',
      lye: 'caustic soda 98 % 1 kg',
      acid: 'hydrochloric acid 30 % 5 L',
    });
    const { cautions } = run().sheet;
    expect(cautions.leach!.map(({ title }) => title)).toEqual(['Caustic: sodium hydroxide']);
    expect(cautions.acid!.map(({ title }) => title).join()).toContain('hydrochloric acid');
  });
});

describe('leaving it to evaporate', () => {
  const { plan, run } = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
  const at = (waterLeft: number, charge: readonly EventBody[] = []) =>
    unwrap(runState({ ...plan, controls: { ...plan.controls, 'water-left': waterLeft } }, eventsAt(START, ...charge)));
  const crude: EventBody = {
    kind: 'added',
    step: 'crude',
    role: 'crude',
    bottleId: 'bottle_crude',
    reading: exactReading(80, 'g'),
    reason: '',
  };

  it('has a step of its own, with its days, only where it is chosen', () => {
    expect(run().steps.map(({ key }) => key)).not.toContain('open');
    const open = at(45);
    expect(open.steps.map(({ key }) => key)).toContain('open');
    // Some 80 g from a dish of their own at about 2 g an hour in a still room: a day and a half to four.
    const longer = open.sheet.hours.wait[1] - run().sheet.hours.wait[1];
    expect(longer).toBeGreaterThan(30);
    expect(longer).toBeLessThan(120);
  });

  it('leaves less in the liquor the more water goes', () => {
    const got = (waterLeft: number) => at(waterLeft, [crude]).sheet.product!.value;
    expect(got(45)).toBeGreaterThan(got(70));
    expect(got(70)).toBeGreaterThan(got(100));
  });

  it('reads a plan from before there was such a choice as one of cooling', () => {
    const { 'water-left': _, ...older } = plan.controls;
    const was = unwrap(runState({ ...plan, controls: older }, []));
    expect(was.sheet.product!.value).toBe(run().sheet.product!.value);
    expect(was.steps).toHaveLength(run().steps.length);
  });
});

describe('a wet cake that goes on into the next batch', () => {
  it('brings its water as water, not as dirt, and limits by what is in it', () => {
    const dry = on('zinc-acetate', '20 g zinc acetate', {
      carbonate: 'basic zinc carbonate 35 % 200 g',
      acid: 'acetic acid 30 % 1 L',
    });
    const cake = dry.plan.stock.bottle_carbonate!;
    const water = { substanceId: 'water', strength: { value: 65, unit: 'w/w' as const } };
    const wet: typeof dry.plan = {
      ...dry.plan,
      stock: { ...dry.plan.stock, bottle_carbonate: { ...cake, card: { ...cake.card, others: [water] } } },
    };
    const charge = [dry.added('carbonate', 'carbonate', 40)];
    const now = (plan: typeof dry.plan) => unwrap(runState(plan, eventsAt(START, ...charge))).sheet.now!.contents;
    // 40 g at 35 %: 14 g of carbonate and 26 g of water; without the water on its label, 26 g of something else.
    expect(now(wet).waterG.value).toBeCloseTo(26, 6);
    expect(now(wet).inertG.value).toBe(0);
    expect(now(dry.plan).waterG.value).toBe(0);
    expect(now(dry.plan).inertG.value).toBeCloseTo(26, 6);
    const n = (14 / molarMass('Zn5(CO3)2(OH)6')) as number;
    expect(molIn(now(wet))['basic-zinc-carbonate']).toBeCloseTo(n, 6);
    const sheet = unwrap(runState(wet, eventsAt(START, ...charge))).sheet;
    expect(sheet.theory!.value).toBeCloseTo(5 * n * molarMass('Zn(CH3COO)2.2H2O'), 3);
    expect(sheet.limiting).toBe('carbonate');
  });
});
