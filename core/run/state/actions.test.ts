import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { parseLabel } from '#matter/label';
import { cardShape } from '#matter/stock';
import { newEventShape } from '#run/log';
import {
  advise,
  clashOnAdding,
  furtherUse,
  redissolveEntries,
  redissolveProblem,
  runState,
  stallAssay,
} from '#run/state';
import { own } from '#testing/asking';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
const caught = [
  alum.added('crude', 'crude', 80),
  ...done('crude'),
  alum.added('water', 'water', 130, 'mL'),
  ...done('water', 'heat', 'filter', 'cool', 'collect'),
];
const step = (of: ReturnType<typeof alum.run>, key: string) => of.steps.find((each) => each.key === key)!;
const ids = () => {
  let n = 0;
  return () => `step_new000${++n}`;
};

describe('redissolving', () => {
  it('is for what was caught and dissolves in water', () => {
    expect(redissolveProblem(alum.run(...caught))).toBe('');
    expect(redissolveProblem(alum.run(...caught.slice(0, -1)))).toContain('Filter it off first');
    const carbonate = on('zinc-carbonate-from-salt', '20 g zinc carbonate', {
      salt: 'zinc chloride 1 mol/L 500 mL',
      soda: 'washing soda crystals 1 kg',
    });
    expect(redissolveProblem(carbonate.run())).toContain('does not dissolve');
  });

  it('gives entries that the run takes as they come, and goes back to growing crystals', () => {
    const before = alum.run(...caught);
    const entries = redissolveEntries(before, step(before, 'collect'), { waterG: 90, hotC: 70, why: 'grey' }, ids());
    const after = alum.run(...caught, ...entries);
    expect(after.steps.filter(({ inserted }) => inserted)).toHaveLength(entries.length - 1);
    const [first] = entries;
    expect(first).toMatchObject({ kind: 'step-inserted', does: 'redissolve', why: 'grey' });
    expect(after.status).toBe('running');
    // Done again, less comes back than before, and not nothing.
    const keys = after.steps.filter(({ inserted }) => inserted).map(({ key }) => key);
    const whole = alum.run(...caught, ...entries, ...done(...keys)).sheet;
    expect(whole.product!.value).toBeLessThan(before.sheet.product!.value);
    expect(whole.product!.value).toBeGreaterThan(0.5 * before.sheet.product!.value);
  });

  it('lets go of the drying that was begun', () => {
    const before = alum.run(...caught, read('dry', 'mass', 70, 'g'));
    const entries = redissolveEntries(before, step(before, 'dry'), { waterG: 90, hotC: 70, why: '' }, ids());
    expect(entries[0]).toMatchObject({ kind: 'step-skipped', step: 'dry', reason: 'redissolved' });
  });
});

describe('using a product further before it is dry', () => {
  const run = alum.run(...caught);
  const taking = {
    batch: { id: 'batch_abc123', number: 7 },
    step: 'dry',
    bottleId: 'bottle_wet001',
    today: '2026-03-15',
    why: '',
  };

  it('makes a bottle as strong as is expected, and both entries or neither', () => {
    const part = unwrap(furtherUse(run, { ...taking, wetG: 90, takenG: 45 }));
    expect(part.card).toMatchObject({
      group: 'intermediate',
      fromBatch: 'batch_abc123',
      size: { value: 45, unit: 'g' },
    });
    expect(part.card.name).toContain('wet, batch 7');
    expect(part.card.strength!.value).toBeCloseTo((100 * run.sheet.product!.value) / 90, 1);
    expect(part.card.strength!.value + part.card.others[0]!.strength.value).toBeCloseTo(100, 2);
    expect(part.entries).toEqual([
      {
        kind: 'poured-off',
        step: 'dry',
        share: 0.5,
        batchId: null,
        bottleId: 'bottle_wet001',
        card: part.card,
        why: 'used further, wet',
      },
    ]);
  });

  it('all of it ends the run', () => {
    const all = unwrap(furtherUse(run, { ...taking, wetG: 90, takenG: 90 }));
    expect(all.entries[0]).toEqual({ kind: 'bottled', bottleId: 'bottle_wet001', card: all.card });
    const after = alum.run(...caught, ...all.entries);
    expect(after.status).toBe('done');
    expect(after.bottles).toEqual(['bottle_wet001']);
  });

  it('is refused for more than there is, whatever is typed', () => {
    fc.assert(
      fc.property(fc.double(), fc.double(), (wetG, takenG) => {
        const result = furtherUse(run, { ...taking, wetG, takenG });
        if (!result.ok) {
          expect(result.problem.message).toMatch(/\.$/);
          return;
        }
        expect(takenG).toBeGreaterThan(0);
        expect(takenG).toBeLessThanOrEqual(wetG);
        expect(result.value.card.strength!.value).toBeLessThanOrEqual(100);
      }),
    );
  });
});

describe('a stall taken as an assay', () => {
  const zinc = on('zinc-sulfate', '60 g zinc sulfate', { zinc: 'zinc 99 % 1 kg', acid: 'sulfuric acid 37 % 1 L' });
  const stalled = [
    ...done('ready'),
    zinc.added('zinc', 'zinc', 20),
    ...done('zinc', 'water'),
    zinc.added('acid', 'acid', 60),
    ...done('acid'),
    read('dissolve', 'left', 9, 'g'),
    read('dissolve', 'left', 8.4, 'g'),
    read('dissolve', 'left', 8.4, 'g'),
  ];

  it('writes the strength it tells on the bottle’s card, with its band, and makes it hold for the whole run', () => {
    const { stall } = own(unwrap(advise(zinc.plan, eventsAt(START, ...stalled), 'dissolve', START)), 'react')!;
    // (20 − 8.4) g of 99 % zinc: 0.17565 mol; as sulfuric acid 17.23 g in 60 g: 28.7 %.
    expect(stall!.strength.value).toBeCloseTo(28.7, 1);
    expect(stall!.verdict).toBe('weaker');
    const card = zinc.plan.stock.bottle_acid!.card;
    const { card: now, entries } = stallAssay(card, stall!, { step: 'dissolve', today: '2026-03-15' });
    expect(now).toMatchObject({ assayed: true, since: '2026-03-15', strength: { unit: 'w/w' } });
    expect(now.strength!.value).toBeCloseTo(28.7, 1);
    expect(now.strengthBand).toBeGreaterThan(0);
    expect(now.name).toBe(card.name);
    expect(entries).toMatchObject([{ kind: 'assayed', step: 'dissolve', bottleId: 'bottle_acid' }]);
    const after = unwrap(runState(zinc.plan, eventsAt(START, ...stalled, ...entries)));
    expect(after.log[0]!.text).toContain('28.7');
    // One bottle, one strength: what was poured before counts at it too, and what is poured after.
    const poured = after.sheet.additions.find(({ role }) => role === 'acid')!;
    expect(poured.amount.value).toBeCloseTo((60 * 0.287) / 98.078, 3);
    const more = unwrap(
      runState(zinc.plan, eventsAt(START, ...stalled, ...entries, zinc.added('dissolve', 'acid', 10))),
    );
    expect(more.sheet.besides[0]!.amount!.value).toBeCloseTo((10 * 0.287) / 98.078, 3);
  });
});

describe('what a bottle does in a vessel', () => {
  const card = (label: string) => parseLabel(label, '2026-01-01', 20).card!;
  const clash = (label: string, present: string, change: object = {}) =>
    unwrap(
      clashOnAdding({
        present: [{ substanceId: present, pct: 10 }],
        bottle: { id: 'b', card: { ...card(label), ...change }, usedG: 0 },
        tempC: 20,
        today: '2026-01-02',
      }),
    );

  it('goes by the strength it has, in whatever unit its label gives it', () => {
    const byMass = clash('sulfuric acid 96 % 1 L', 'sodium-chloride').map(({ sentence }) => sentence);
    const byVolume = clash('sulfuric acid 18 mol/L 1 L', 'sodium-chloride').map(({ sentence }) => sentence);
    expect(byVolume).toEqual(byMass);
    const dilute = clash('sulfuric acid 5 % 1 L', 'sodium-chloride').map(({ sentence }) => sentence);
    expect(dilute).not.toEqual(byMass);
  });

  it('tells the worst where no strength is known, and the worst first', () => {
    const all = clash('sulfuric acid 37 % 1 L', 'sodium-hypochlorite', { strength: null });
    expect(all[0]!.severity).toBe('refuse');
    const order = ['refuse', 'danger', 'caution'];
    const ranks = all.map(({ severity }) => order.indexOf(severity));
    expect([...ranks].sort()).toEqual(ranks);
  });

  it('counts every active of a mixed product', () => {
    const mixed = clash('vinegar 5 % 1 L', 'sodium-hypochlorite', {
      substanceId: 'water',
      strength: { value: 95, unit: 'w/w' },
      others: [{ substanceId: 'acetic-acid', strength: { value: 5, unit: 'w/w' } }],
    });
    expect(mixed.some(({ releases }) => releases.includes('chlorine'))).toBe(true);
  });
});

describe('entries that the core gives', () => {
  it('have shapes that doors are derived from', () => {
    expect(newEventShape.is).toBe('fields');
    expect(Object.keys(newEventShape.fields)).toEqual(['id', 'happened', 'body', 'tab', 'again']);
    expect(cardShape.is).toBe('fields');
  });
});
