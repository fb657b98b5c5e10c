import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading, type Quantity } from '#base/reading';
import { contentOf } from '#matter/stock';
import { contentsMass, massOverAll } from '#matter/vessel';
import type { EventBody } from '#run/log';
import { catalogue } from '#run/route';
import { runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { eventsAt } from '#testing/shelf';
import { productCard } from './product-card.ts';

const START = '2026-03-14T08:00:00.000Z';
const UNITS: Partial<Record<Quantity, string>> = { volume: 'mL', mass: 'g', strength: '%', density: 'g/mL' };

/** A route done as planned, with readings at some of its steps before each is ended. */
function ended(id: string, readings: readonly (readonly [step: string, quantity: Quantity, value: number])[]) {
  const route = catalogue.find((each) => each.id === id)!;
  const plan = planForRoute(route);
  const bodies = route.steps.flatMap((step): EventBody[] => [
    ...readings
      .filter(([at]) => at === step.id)
      .map(
        ([at, quantity, value]): EventBody => ({
          kind: 'read',
          step: at,
          quantity,
          reading: exactReading(value, UNITS[quantity] ?? ''),
          place: '',
        }),
      ),
    { kind: 'finished', step: step.id },
  ]);
  const events = eventsAt(START, ...bodies);
  const state = unwrap(runState(plan, events));
  const card = productCard({ plan, state, events, batch: { id: 'batch_1', number: 1 }, today: '2026-03-20' });
  return { state, card: card!, sheet: state.sheet };
}

const LIQUIDS = catalogue.flatMap(({ id, makes }) => (makes.kind === 'liquid' ? [[id, makes.vessel] as const] : []));
const SOLUTIONS = catalogue.flatMap(({ id, makes }) => (makes.kind === 'solution' ? [id] : []));

describe('a liquid that was made', () => {
  it.each(LIQUIDS)('%s is what it weighs at the bottle: in vessel, sheet and on its label', (id, vessel) => {
    const planned = ended(id, []);
    const grams = 0.9 * planned.card.size!.value;
    const { sheet, card } = ended(id, [['bottle', 'mass', grams]]);
    expect(card.size).toEqual({ value: Number(grams.toPrecision(5)), unit: 'g' });
    expect(contentsMass(sheet.now!.vessels[vessel]!)).toBeCloseTo(grams, 3);
    expect(sheet.figures['product.all']!.value).toBeCloseTo(grams, 3);
    // As strong as before: a tenth of all of it is not there.
    expect(card.strength!.value).toBeCloseTo(planned.card.strength!.value, 1);
    expect(sheet.product!.value).toBeCloseTo(0.9 * planned.sheet.product!.value, 2);
    const bottled = unwrap(contentOf({ id: 'bottle_new', card, usedG: 0 }, 20));
    expect(bottled.leftG!.value).toBeCloseTo(grams, 1);
    expect(massOverAll(sheet.now!.vessels)).toBeCloseTo(massOverAll(planned.sheet.now!.vessels), 4);
  });

  it.each(LIQUIDS)('%s is as strong as it was measured at the bottle', (id, vessel) => {
    const planned = ended(id, []);
    const pct = 0.9 * planned.card.strength!.value;
    const { sheet, card } = ended(id, [['bottle', 'strength', pct]]);
    expect(card.strength).toEqual({ value: Number(pct.toPrecision(4)), unit: 'w/w' });
    expect(card.assayed).toBe(true);
    expect(sheet.figures['product.pct']!.value).toBeCloseTo(pct, 3);
    expect(contentsMass(sheet.now!.vessels[vessel]!)).toBeCloseTo(planned.card.size!.value, 0);
    expect(sheet.product!.value).toBeCloseTo((pct / 100) * planned.card.size!.value, 1);
  });

  it('weighed and titrated is both: 20 g of 46.2 % are 9.24 g of nitric acid', () => {
    const { sheet, card } = ended('nitric-acid', [
      ['stop', 'mass', 20],
      ['bottle', 'strength', 46.2],
    ]);
    expect(sheet.product!.value).toBeCloseTo(9.24, 2);
    expect(card.strength!.value).toBeCloseTo(46.2, 1);
    expect(card.size!.value).toBe(20);
  });
});

describe('a solution that was made', () => {
  it.each(SOLUTIONS)('%s: what stands in the bottle is its volume, as strong as it is', (id) => {
    const planned = ended(id, []);
    const mL = 0.94 * planned.sheet.made!.volume.value;
    const { sheet, card } = ended(id, [['bottle', 'volume', mL]]);
    expect(card.size).toEqual({ value: Number(mL.toPrecision(4)), unit: 'mL' });
    expect(sheet.made!.volume.value).toBeCloseTo(mL, 4);
    expect(sheet.now!.volumeMl).toBeCloseTo(mL, 4);
    expect(sheet.made!.mass.value).toBeCloseTo(0.94 * planned.sheet.made!.mass.value, 2);
    expect(sheet.now!.massG).toBeCloseTo(sheet.made!.mass.value, 6);
    expect(card.strength!.value).toBeCloseTo(planned.card.strength!.value, 3);
  });

  it.each(SOLUTIONS)('%s: weighed, it is as much of it', (id) => {
    const planned = ended(id, []);
    const grams = 0.8 * planned.sheet.made!.mass.value;
    const { sheet, card } = ended(id, [['bottle', 'mass', grams]]);
    expect(sheet.made!.mass.value).toBeCloseTo(grams, 3);
    expect(card.size!.value / planned.card.size!.value).toBeCloseTo(0.8, 2);
  });

  it('made up to more than was planned weighs more, and is thinner by as much', () => {
    const planned = ended('acid-dilution', []);
    const V = planned.sheet.made!.volume.value;
    const { sheet, card } = ended('acid-dilution', [['make-up', 'volume', 1.25 * V]]);
    expect(card.size!.value / V).toBeCloseTo(1.25, 3);
    expect(card.strength!.value / planned.card.strength!.value).toBeCloseTo(1 / 1.25, 3);
    // The acid in it is the same; a quarter more of volume is about as much more of water.
    expect(sheet.made!.mass.value - planned.sheet.made!.mass.value).toBeGreaterThan(0.23 * V);
    expect(sheet.made!.mass.value).toBeCloseTo(sheet.now!.massG, 6);
  });

  it('follows what is poured off and taken as a portion', () => {
    const planned = ended('acid-dilution', []);
    const route = catalogue.find(({ id }) => id === 'acid-dilution')!;
    const bodies: EventBody[] = [
      ...route.steps.map(({ id }): EventBody => ({ kind: 'finished', step: id })),
      { kind: 'poured-off', step: 'bottle', share: 0.25, batchId: 'batch_other1', why: '' },
    ];
    const { sheet } = unwrap(runState(planForRoute(route), eventsAt(START, ...bodies)));
    expect(sheet.made!.volume.value).toBeCloseTo(0.75 * planned.sheet.made!.volume.value, 4);
    expect(sheet.now!.volumeMl).toBeCloseTo(sheet.made!.volume.value, 6);
    expect(sheet.made!.mass.value).toBeCloseTo(sheet.now!.massG, 6);
    expect(sheet.made!.strength.value).toBeCloseTo(planned.sheet.made!.strength.value, 4);
  });

  it('follows water that goes in after the mark', () => {
    const planned = ended('acid-dilution', []);
    const route = catalogue.find(({ id }) => id === 'acid-dilution')!;
    const plan = planForRoute(route);
    const bodies: EventBody[] = [
      ...route.steps.filter(({ id }) => id !== 'bottle').map(({ id }): EventBody => ({ kind: 'finished', step: id })),
      {
        kind: 'added',
        step: 'bottle',
        role: null,
        bottleId: null,
        reading: exactReading(50, 'g'),
        reason: '',
      },
      { kind: 'finished', step: 'bottle' },
    ];
    const { sheet } = unwrap(runState(plan, eventsAt(START, ...bodies)));
    expect(sheet.made!.mass.value - planned.sheet.made!.mass.value).toBeCloseTo(50, 3);
    const ratio = planned.sheet.made!.volume.value / sheet.made!.volume.value;
    expect(sheet.made!.strength.value / planned.sheet.made!.strength.value).toBeCloseTo(ratio, 6);
    expect(sheet.made!.volume.value).toBeGreaterThan(planned.sheet.made!.volume.value + 45);
  });
});
