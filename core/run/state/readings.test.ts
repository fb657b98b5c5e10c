import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { hydrateWater, molarMass, substanceOf } from '#matter/substance';
import { at, slurryVolume } from '#matter/vessel';
import { type EventBody, liveOf } from '#run/log';
import { factsOf } from '#run/plan';
import { catalogue } from '#run/route';
import { goThrough } from '#run/sheet';
import { runState } from '#run/state';
import { placeOf } from '#run/technique';
import { planForRoute } from '#testing/catalogue';
import { done, on, read, START } from '#testing/on-route';
import { times } from '#testing/property';
import { eventsAt } from '#testing/shelf';

const blue = on('copper-sulfate-recrystallised', '80 g copper sulfate', {
  crude: 'copper sulfate pentahydrate 99.9 % 1 kg',
});
const dissolved = [
  blue.added('crude', 'crude', 100),
  blue.added('water', 'water', 100, 'mL'),
  ...done('crude', 'water', 'heat', 'filter'),
];
const productOf = (...bodies: EventBody[]) => blue.run(...dissolved, ...bodies).sheet.product!.value;

describe('a reading stands in place of what was assumed', () => {
  it('of the cold: crystals by its solubility there, by hand', () => {
    const cold = blue.run(...dissolved, ...done('open'), read('cool', 'temperature', 12, '°C'), ...done('cool')).sheet;
    const s = cold.figures['crystals.solubility']!.value;
    // 14.3 at 0, 17.4 at 10 and 20.7 at 20 °C.
    expect(s).toBeGreaterThan(17.4);
    expect(s).toBeLessThan(18.8);
    // 99.9 g hold 63.86 g of CuSO4 and 36.04 g of water; with 99.8 g poured on.
    const A = 99.9 * 0.6392;
    const W = 99.9 * 0.3608 + 99.8;
    const crystals = (A - (s * W) / 100) / (0.6392 - (s * 0.3608) / 100);
    expect(cold.figures['crystals.mass']!.value).toBeCloseTo(crystals, 0);
    const planned = blue.run(...dissolved, ...done('open', 'cool')).sheet;
    expect(planned.figures['crystals.mass']!.value).toBeGreaterThan(crystals + 1);
  });

  it('of the cold as it was hours before the end says nothing of the end', () => {
    const hot: EventBody = read('cool', 'temperature', 55, '°C');
    const [early, ended] = eventsAt(START, hot, ...done('cool'));
    const overnight = { ...ended!, happened: { at: '2026-03-15T08:00:00.000Z', giveOrTakeMin: 0 } };
    const before = eventsAt('2026-03-14T06:00:00.000Z', ...dissolved, ...done('open'));
    const { sheet } = unwrap(
      runState(blue.plan, [...before, { ...early!, id: 'ev_late1' }, { ...overnight, id: 'ev_late2' }]),
    );
    expect(sheet.product!.value).toBeCloseTo(productOf(...done('open', 'cool')), 6);
  });

  it('of a dish: less water, more crystals; dried right up, all of the salt', () => {
    const zinc = on('zinc-sulfate', '60 g zinc sulfate', { zinc: 'zinc 99 % 1 kg', acid: 'sulfuric acid 37 % 1 L' });
    const before = [
      zinc.added('zinc', 'zinc', 20),
      zinc.added('acid', 'acid', 90),
      ...done('ready', 'zinc', 'water', 'acid', 'dissolve', 'filter', 'boil-down'),
    ];
    const crystals = (...bodies: EventBody[]) => zinc.run(...before, ...bodies).sheet.figures['crystals.mass']!.value;
    const asPlanned = crystals(...done('grow', 'cool'));
    const planned = zinc.run(...before).sheet.figures['dish.volume']!.value;
    expect(crystals(read('grow', 'volume', planned, 'mL'), ...done('grow', 'cool'))).toBeCloseTo(asPlanned, 0);
    expect(crystals(read('grow', 'volume', 0.8 * planned, 'mL'), ...done('grow', 'cool'))).toBeGreaterThan(
      asPlanned + 1,
    );
    expect(crystals(read('grow', 'volume', 1.4 * planned, 'mL'), ...done('grow', 'cool'))).toBeLessThan(asPlanned - 1);
    // 20 g of 99 % zinc are 0.30284 mol: 87.1 g of heptahydrate at most.
    expect(crystals(read('grow', 'volume', 0, 'mL'), ...done('grow', 'cool'))).toBeCloseTo(87.1, 0);
  });

  it('of what ran off: the rest of the liquor is in the cake and dries onto it', () => {
    const { sheet } = blue.run(...dissolved, ...done('open', 'cool'));
    const liquor = sheet.figures['liquor.volume']!.value;
    const full = productOf(...done('open', 'cool', 'collect'));
    const half = productOf(...done('open', 'cool'), read('collect', 'volume', liquor / 2, 'mL'), ...done('collect'));
    const s = sheet.figures['crystals.solubility']!.value;
    // Half of a liquor of about liquor ÷ 1.13 g of water, each 100 g of it with s g dissolved; as much again by a tenth for s ÷ r.
    expect(half - full).toBeGreaterThan(((0.5 * liquor) / 1.13) * (s / 100) * 0.8);
    expect(half - full).toBeLessThan(((0.5 * liquor) / 1.13) * (s / 100) * 1.3);
    const more = productOf(...done('open', 'cool'), read('collect', 'volume', liquor * 1.5, 'mL'), ...done('collect'));
    expect(more).toBeLessThan(full - 2);
  });

  it('of a wet cake, with its paper or without: its liquor counts, and never more than was weighed', () => {
    const ended = done('open', 'cool');
    const full = productOf(...ended, ...done('collect'));
    const wet = (grams: number, over = {}): EventBody =>
      ({ ...read('collect', 'mass', grams, 'g'), ...over }) as EventBody;
    const heavy = productOf(...ended, wet(full + 20), ...done('collect'));
    expect(heavy).toBeGreaterThan(full);
    expect(heavy).toBeLessThan(full + 20);
    const withPaper = productOf(...ended, wet(full + 23.5, { tareG: 3.5 }), ...done('collect'));
    expect(withPaper).toBeCloseTo(heavy, 6);
    const light = productOf(...ended, wet(full / 2, { state: 'dry' }), ...done('collect'));
    expect(light).toBeCloseTo(full / 2, 6);
  });

  it('wet, of what a reaction left, is a band; of a solid that went in wet, its dry part counts', () => {
    const left = (grams: number, over = {}): EventBody =>
      ({ ...read('dissolve', 'left', grams, 'g'), ...over }) as EventBody;
    const formate = on('copper-formate', '30 g copper formate', {
      carbonate: 'copper carbonate, wet 30 % 500 g',
      acid: 'formic acid 60 % 1 L',
    });
    const wetCake = {
      ...formate.plan,
      stock: {
        ...formate.plan.stock,
        bottle_carbonate: {
          ...formate.plan.stock.bottle_carbonate!,
          card: {
            ...formate.plan.stock.bottle_carbonate!.card,
            others: [{ substanceId: 'water' as const, strength: { value: 70, unit: 'w/w' as const } }],
          },
        },
      },
    };
    const run = (...bodies: EventBody[]) => unwrap(goThrough(wetCake, liveOf(eventsAt(START, ...bodies))));
    const entered = [formate.added('carbonate', 'carbonate', 64), formate.added('acid', 'acid', 20, 'mL')];
    const stays = run(...entered, left(9), ...done('acid', 'carbonate', 'dissolve'));
    const solid = at(stays.done!.end.vessels, 'pot').solid['copper-carbonate']!;
    // 9 g dry of 64 g at 30 %: 9/221.12 mol.
    expect(solid.value).toBeCloseTo(9 / molarMass('Cu2CO3(OH)2'), 3);
    const band = run(...entered, left(9, { state: 'wet' }), ...done('acid', 'carbonate', 'dissolve'));
    const wet = at(band.done!.end.vessels, 'pot').solid['copper-carbonate']!;
    expect(wet.value).toBeLessThan(solid.value);
    expect(Object.keys(wet.uncertainty)).toContain('left:weighed');
  });
});

describe('after any readings', () => {
  it.each(catalogue.map((route) => [route.id, route] as const))(
    'no volume of %s contradicts one that was read',
    (_, route) => {
      const plan = planForRoute(route);
      // Steps of a method that is not chosen are not in the run.
      const { steps } = unwrap(factsOf(plan));
      const step = fc.constantFrom(...steps);
      // At the last steps a liquid that is made is what is read, in its own vessel.
      const last = steps.findLastIndex(({ op }) => op.do !== 'plain');
      const { makes } = route;
      const vesselAt = (id: string) => {
        const i = steps.findIndex((each) => each.id === id);
        return makes.kind === 'liquid' && i > last ? makes.vessel : placeOf(steps[i]!.op);
      };
      fc.assert(
        fc.property(
          fc.array(fc.tuple(step, fc.double({ min: 0.7, max: 1.6, noNaN: true })), { maxLength: 4 }),
          (reads) => {
            const planned = unwrap(
              goThrough(plan, liveOf(eventsAt(START, ...done(...steps.map(({ id }) => id))))),
            ).planned;
            const by = new Map(
              reads.map(([{ id }, share]) => [
                id,
                share * slurryVolume(at(planned.outcomes.get(id)!.vessels, vesselAt(id))),
              ]),
            );
            const bodies = steps.flatMap(({ id }): EventBody[] => [
              ...(by.has(id)
                ? [
                    {
                      kind: 'read' as const,
                      step: id,
                      quantity: 'volume' as const,
                      reading: exactReading(by.get(id)!, 'mL'),
                      place: '',
                    },
                  ]
                : []),
              { kind: 'finished', step: id },
            ]);
            const gone = unwrap(goThrough(plan, liveOf(eventsAt(START, ...bodies))));
            for (const [id, value] of by) {
              const { op } = steps.find((each) => each.id === id)!;
              // Of a filter that keeps the solid it is the liquor; made up to, it is the solution at its own strength.
              if ((op.do === 'filter' && op.keep === 'solid') || op.do === 'make-up') continue;
              // At the still, and at a filter into another vessel, it is what ran over.
              if (op.do === 'distil' || op.do === 'dry-over') continue;
              // In a funnel it is the layer: more than there can be of it has not parted yet.
              if (op.do === 'separate') continue;
              const pot = at(gone.planned.outcomes.get(id)!.vessels, vesselAt(id));
              const stands = slurryVolume(pot);
              // It shrinks no further than to the crystal water of its product, and dry it has no volume to read.
              const solid = substanceOf(route.makes.substanceId ?? 'water');
              const bound = (pot.aqueous[solid.species]?.value ?? 0) * hydrateWater(solid.formula) * 18.015;
              // More of an organic liquid than all there could be is not made of water.
              if (makes.kind === 'liquid' && pot.organic[makes.substanceId] && stands < value) continue;
              if (stands > value && pot.waterG.value <= bound * 1.001 + 0.01) continue;
              if (!(pot.waterG.value > 0)) continue;
              // Where a density table ends the volume has a step: the water then stands at its edge.
              const near = (share: number) =>
                slurryVolume({ ...pot, waterG: { ...pot.waterG, value: share * pot.waterG.value } });
              expect(near(0.99), id).toBeLessThan(1.06 * value);
              expect(near(1.01), id).toBeGreaterThan(0.94 * value);
            }
          },
        ),
        { numRuns: times(25) },
      );
    },
  );
});
