import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { amountsOf, at, massOverAll, slurryVolume } from '#matter/vessel';
import { catalogue } from '#run/route';
import { planForRoute } from '#testing/catalogue';
import { on } from '#testing/on-route';
import { times } from '#testing/property';
import { atStep, figure, standingWith, vesselOf } from '#testing/standing';
import { techniques } from './catalogue.ts';
import { actOf, type Op, techniqueNames } from './op.ts';

const zinc = on('zinc-sulfate', '60 g zinc sulfate', { zinc: 'zinc 99 % 1 kg', acid: 'sulfuric acid 37 % 1 L' }).plan;
const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' }).plan;
const chloride = on('zinc-chloride', '500 mL of 1 mol/L zinc chloride', {
  zinc: 'zinc 99 % 1 kg',
  acid: 'hydrochloric acid 30 % 5 L',
}).plan;
const mol = (contents: Parameters<typeof amountsOf>[0]) => Object.fromEntries(amountsOf(contents));

describe('boiling down', () => {
  it('leaves so much salt in 100 g of water, and books the steam', () => {
    // 40 g of zinc sulfate in 200 g of water, to 50 g in 100 g: 80 g stay, 120 g go.
    const standing = standingWith(vesselOf(200, { 'zinc-sulfate': 40 }));
    const { vessels, figures } = unwrap(
      techniques['boil-down'].act(standing, { control: 'boil-to' }, atStep(zinc, {}, { 'boil-to': 50 })),
    );
    expect(at(vessels, 'pot').waterG.value).toBeCloseTo(80, 6);
    expect(at(vessels, 'air').waterG.value).toBeCloseTo(120, 6);
    expect(figures['boil.away']!.value).toBeCloseTo(120, 6);
    expect(massOverAll(vessels)).toBeCloseTo(240, 6);
  });

  it('adds no water to what is stronger already, and does nothing without the salt', () => {
    const strong = standingWith(vesselOf(30, { 'zinc-sulfate': 40 }));
    const act = (standing: typeof strong) =>
      unwrap(techniques['boil-down'].act(standing, { control: 'boil-to' }, atStep(zinc, {}, { 'boil-to': 50 })));
    expect(at(act(strong).vessels, 'pot').waterG.value).toBeCloseTo(30, 9);
    expect(act(standingWith(vesselOf(30, {}))).figures).toEqual({});
  });
});

describe('leaving to evaporate', () => {
  it('takes a share of the water, whatever is in it', () => {
    const standing = standingWith(vesselOf(120, { 'zinc-sulfate': 40 }));
    const { vessels } = unwrap(
      techniques.evaporate.act(standing, { control: 'evaporate-to' }, atStep(zinc, {}, { 'evaporate-to': 75 })),
    );
    expect(at(vessels, 'pot').waterG.value).toBeCloseTo(90, 6);
    expect(at(vessels, 'air').waterG.value).toBeCloseTo(30, 6);
  });
});

describe('crystallising', () => {
  const cool = (water: number, grams: number, cold: number) =>
    unwrap(
      techniques.crystallise.act(
        standingWith(vesselOf(water, { 'potassium-alum-dry': grams })),
        { control: 'cold' },
        atStep(alum, {}, { cold }),
      ),
    );

  it('gives what the water no longer holds, with its crystal water', () => {
    // 20 g of dry alum in 100 g of water at 10 °C (4.0 g in 100 g, Seidell): r = 258.2/474.4; m = (20 − 4.0)/(r − 0.04 × (1 − r)) = 30.4 g.
    const { figures, vessels } = cool(100, 20, 10);
    expect(Math.abs(figures['crystals.mass']!.value - 30.4)).toBeLessThan(0.4);
    const { solid, waterG } = at(vessels, 'pot');
    expect(solid['potassium-alum']!.value).toBeCloseTo(figures['crystals.mass']!.value / 474.38, 4);
    expect(waterG.value).toBeCloseTo(100 - 0.4557 * figures['crystals.mass']!.value, 1);
  });

  it('gives nothing where it all stays dissolved', () => {
    const { figures, vessels } = cool(500, 10, 10);
    expect(figures['crystals.mass']!.value).toBe(0);
    expect(at(vessels, 'pot').solid).toEqual({});
  });

  it('gives more the colder it is and the less water there is, and keeps its mass', () => {
    fc.assert(
      fc.property(
        // As much water as not all of it goes into crystals.
        fc.double({ min: 80, max: 400, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 24 }),
        (water, grams, cold) => {
          const got = cool(water, grams, cold);
          expect(massOverAll(got.vessels)).toBeCloseTo(water + grams, 6);
          expect(cool(water, grams, cold - 1).figures['crystals.mass']!.value).toBeGreaterThanOrEqual(
            got.figures['crystals.mass']!.value - 1e-6,
          );
          expect(cool(water + 20, grams, cold).figures['crystals.mass']!.value).toBeLessThanOrEqual(
            got.figures['crystals.mass']!.value + 1e-6,
          );
        },
      ),
      { numRuns: times(40) },
    );
  });
});

describe('filtering', () => {
  const cake = vesselOf(100, { 'potassium-alum': 50 }, false);
  const dirty = { ...cake, inertG: figure(2) };

  it('keeping the filtrate leaves solids and dirt on the paper', () => {
    const { vessels } = unwrap(techniques.filter.act(standingWith(dirty), { keep: 'filtrate' }, atStep(alum)));
    expect(at(vessels, 'pot').solid).toEqual({});
    expect(at(vessels, 'pot').inertG.value).toBe(0);
    expect(at(vessels, 'paper').inertG.value).toBe(2);
    expect(massOverAll(vessels)).toBeCloseTo(152, 9);
  });

  it('keeping the solid sets the liquor apart, and loses what the hand loses', () => {
    const standing = standingWith(dirty, { 'crystals.mass': figure(50) });
    const { vessels, figures } = unwrap(techniques.filter.act(standing, { keep: 'solid' }, atStep(alum)));
    const { lossPct, holdG = 0 } = alum.route.handling!;
    expect(figures['product.mass']!.value).toBeCloseTo((50 - holdG) * (1 - lossPct / 100), 9);
    expect(at(vessels, 'liquor').waterG.value).toBeCloseTo(100, 9);
    expect(at(vessels, 'pot').waterG.value).toBe(0);
    expect(massOverAll(vessels)).toBeCloseTo(152, 9);
  });
});

describe('reacting', () => {
  it('goes to the end of the scarcer reagent, and leads the gas off', () => {
    // 6.54 g of zinc are 0.1000 mol, 19.61 g of sulfuric acid 0.2000: 0.1 mol of hydrogen, 0.2016 g.
    const standing = standingWith({
      ...vesselOf(100, { 'sulfuric-acid': 19.61 }),
      solid: vesselOf(0, { zinc: 6.538 }, false).solid,
    });
    const { vessels, gases, progress } = unwrap(
      techniques.react.act(standing, { reaction: 'dissolve' }, atStep(zinc, { finished: true })),
    );
    expect(gases).toHaveLength(1);
    expect(gases[0]!.amount.value).toBeCloseTo(0.1, 4);
    expect(mol(at(vessels, 'pot'))['zinc-sulfate']).toBeCloseTo(0.1, 4);
    expect(mol(at(vessels, 'pot'))['sulfuric-acid']).toBeCloseTo(0.1, 3);
    expect(progress.limiting).toBe('zinc');
    expect(massOverAll(vessels)).toBeCloseTo(126.148, 3);
  });
});

describe('making up', () => {
  const salt = standingWith(vesselOf(300, { 'zinc-chloride': 0.5 * 136.28 }));

  it('fills to the strength that is wanted', () => {
    const { figures, vessels } = unwrap(techniques['make-up'].act(salt, {}, atStep(chloride)));
    expect(figures['made.volume']!.value).toBeCloseTo(500, 0);
    expect(figures['made.strength']!.value).toBeCloseTo(1, 2);
    expect(at(vessels, 'pot').waterG.value).toBeGreaterThan(300);
  });

  it('goes by the volume that was read, in the figure and in the vessel', () => {
    const read = (mL: number) => ({ readings: { volume: exactReading(mL, 'mL') } });
    const at600 = unwrap(techniques['make-up'].act(salt, {}, atStep(chloride, read(600))));
    expect(at600.figures['made.strength']!.value).toBeCloseTo(0.5 / 0.6, 3);
    // Less than was thought to stand there: it is the water that was less.
    const at100 = unwrap(techniques['make-up'].act(salt, {}, atStep(chloride, read(100))));
    expect(at100.figures['made.filled']!.value).toBeCloseTo(100, 9);
    expect(slurryVolume(at(at100.vessels, 'pot'))).toBeCloseTo(100, 1);
    // Nothing is a slip of the pen.
    const none = unwrap(techniques['make-up'].act(salt, {}, atStep(chloride, read(0))));
    expect(none.figures['made.strength']!.value).toBeCloseTo(1, 2);
  });
});

describe('dissolving warm', () => {
  it('takes what the water holds when hot, and leaves the rest', () => {
    const act = (grams: number, hot: number) =>
      at(
        unwrap(
          techniques.dissolve.act(
            standingWith(vesselOf(100, { 'potassium-alum': grams }, false)),
            { control: 'hot' },
            atStep(alum, {}, { hot }),
          ),
        ).vessels,
        'pot',
      );
    expect(Object.keys(act(50, 60).solid)).toEqual([]);
    // 24.75 g dry in 100 g at 60 °C (Seidell): of 200 g of the crystals a part stays.
    expect(act(200, 60).solid['potassium-alum']!.value).toBeGreaterThan(0.01);
    expect(act(200, 60).solid['potassium-alum']!.value).toBeLessThan(200 / 474.38);
  });
});

describe('every technique', () => {
  const ops: readonly (readonly [string, Op])[] = catalogue.flatMap((route) =>
    route.steps.map(({ id, op }) => [`${route.id} ${id}`, op] as const),
  );

  it('is used by a route, or is known to wait for one', () => {
    const used = new Set(ops.map(([, { do: name }]) => name));
    // Put between by hand, or shown by a route to come.
    const waiting = new Set(['redissolve', 'decant', 'wash']);
    for (const name of techniqueNames) expect(used.has(name) || waiting.has(name), name).toBe(true);
  });

  it.each(catalogue.map((route) => [route.id, route] as const))(
    'does nothing that is not a number to an empty vessel, nor to one with something strange in it: %s',
    (_, route) => {
      const plan = planForRoute(route);
      for (const pot of [vesselOf(0, {}), vesselOf(50, { 'sodium-chloride': 5 })]) {
        for (const { op, id } of route.steps) {
          if (op.do === 'add') continue;
          const done = actOf(op, standingWith(pot), atStep(plan));
          if (!done.ok) {
            expect(done.problem.message, id).toMatch(/[.!]$/);
            continue;
          }
          const { figures, vessels } = done.value;
          for (const each of Object.values(figures))
            if (each) expect(Number.isFinite(each.value), `${id} ${each.name}`).toBe(true);
          if (op.do !== 'make-up') expect(massOverAll(vessels), id).toBeCloseTo(massOverAll({ pot }), 6);
        }
      }
    },
  );
});
