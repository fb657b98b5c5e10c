import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { USUAL_STILL } from '#matter/gear';
import type { GasSetup } from '#model/absorb';
import { amountsIn, liquidOf } from '#model/cell';
import type { StillAsked } from '#model/still';
import { cellOf } from '#run/state';
import { done, on, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';
import { openDb } from '../db/open.ts';
import { Feeds } from './feeds.ts';
import { readCellCsv, readCsv } from './replay.ts';
import { SimulatedAbsorber } from './simulated-absorber.ts';
import { SimulatedCell } from './simulated-cell.ts';
import { SimulatedStill } from './simulated-still.ts';
import { instrumentStore } from './store.ts';

const asked: StillAsked = {
  first: 'hydrochloric-acid',
  second: 'water',
  pressureHPa: 1009,
  grams: 300,
  pct: 18,
  staying: [],
  apparatus: USUAL_STILL,
  airC: 16,
  wanted: null,
};
const truth = { pct: 17.3, plates: 1.5, heatShare: 0.75 };

describe('a simulated still', () => {
  it('shows a head that climbs and a balance that fills, changes its receiver, and goes on after a restart as before', () => {
    const still = SimulatedStill.begin(asked, truth, { seed: 3, sampleSeconds: 5 });
    const shown = still.advance(3600);
    expect(shown).toHaveLength(720);
    const last = shown.at(-1)!;
    expect(last.headC).toBeGreaterThan(106);
    expect(last.massG).toBeGreaterThan(80);
    still.command({ does: 'switch' });
    const [after] = SimulatedStill.from(JSON.parse(JSON.stringify(still.state())) as object).advance(5);
    expect(after).toMatchObject({ receiver: 1 });
    expect(after!.massG).toBeLessThan(3);
    expect(Math.abs(after!.headC - last.headC)).toBeLessThan(0.5);
    const cold = SimulatedStill.from(
      JSON.parse(JSON.stringify(SimulatedStill.begin(asked, truth, { seed: 3, sampleSeconds: 5 }).state())) as object,
    );
    expect(cold.advance(60).at(-1)!.headC).toBeLessThan(30);
  });

  it('is over when it is cold, the heat off', () => {
    const still = SimulatedStill.begin(asked, truth, { seed: 1, sampleSeconds: 30 });
    still.advance(3600);
    expect(still.over).toBe(false);
    still.command({ does: 'heat', watts: 0 });
    still.advance(6 * 3600);
    expect(still.over).toBe(true);
  });
});

describe('a simulated absorber', () => {
  const setup: GasSetup = {
    gas: 'chlorine',
    sourceMol: 0.06,
    funnel: { ml: 14, molPerL: 5.4, perGas: 1 },
    arrives: 0.85,
    along: 0.03,
    waterG: 25,
    lyeMol: 0.1,
    holdsMol: 0,
    startC: 10,
    bathC: 0,
    wattsPerK: 1.5,
  };

  it('shows a balance that gains as long as its tap is open, and goes on after a restart as before', () => {
    const bottle = SimulatedAbsorber.begin({ setup, mlPerMin: 0.4 }, { seed: 5, sampleSeconds: 10 });
    const shown = bottle.advance(1200);
    expect(shown).toHaveLength(120);
    expect(shown.at(-1)!.massG).toBeGreaterThan(2);
    expect(shown.at(-1)!.massG).toBeLessThan(3);
    bottle.command({ does: 'drip', mlPerMin: 0 });
    const again = SimulatedAbsorber.from(JSON.parse(JSON.stringify(bottle.state())) as object)
      .advance(1800)
      .at(-1)!;
    expect(again.massG - shown.at(-1)!.massG).toBeLessThan(0.4);
    expect(bottle.over).toBe(false);
    bottle.advance(20 * 3600);
    expect(bottle.over).toBe(true);
  });
});

describe('a file of readings', () => {
  it('is read with commas or semicolons, points or commas, and tells where the receiver was changed', () => {
    const rows = unwrap(
      readCsv('time;head;pot;mass\n0;107,2;107,4;0\n1;107,3;107,5;4,2\n9;107,6;107,7;38\n10;107,7;107,8;0,4\n'),
    );
    expect(rows.map(({ receiver }) => receiver)).toEqual([0, 0, 0, 1]);
    expect(rows[1]).toMatchObject({ minutes: 1, headC: 107.3, massG: 4.2 });
  });

  it.each([
    ['', /empty/],
    ['a,b\n1,2', /no time/],
    ['time,head,pot,mass\n', /no rows/],
    ['time,head,pot,mass\n0,warm,107,1', /Row 2: head is “warm”/],
    ['time,head,pot,mass\n5,107,107,1\n4,107,107,2', /Row 3: the time 4/],
    ['time,head,pot,mass\n0,1070,107,1', /no temperature/],
    ['time,head,pot,mass\n0,107,107,-4', /a mass of -4 g/],
  ])('%j is refused where it is wrong', (csv, says) => {
    const found = readCsv(csv);
    expect(found.ok).toBe(false);
    if (!found.ok) expect(found.problem.message).toMatch(says);
  });
});

describe('feeds', () => {
  const { plan } = on('constant-boiling-acid', '300 g hydrochloric acid', { acid: 'hydrochloric acid 28 % 5 L' });
  const DILUTE = on('acid-dilution', '1 L of 1 mol/L hydrochloric acid', { acid: 'hydrochloric acid 28 % 5 L' }).plan;

  function opened() {
    const db = openDb(':memory:');
    const id = 'batch_still01';
    db.prepare(
      "INSERT INTO batch (id, number, version, created_at, plan, plan_version) VALUES (?, 1, 1, '2026-03-14T08:00:00Z', '{}', 1)",
    ).run(id);
    const store = instrumentStore(db);
    const batches = {
      one: (asked: string) => ({
        ok: true as const,
        value: { plan: asked === 'batch_other1' ? DILUTE : plan, events: [] },
      }),
    };
    return { id, store, feeds: () => new Feeds({ store, batches, now: () => '2026-03-14T09:00:00.000Z' }) };
  }
  const soon = (ms: number) => new Promise((done) => setTimeout(done, ms));

  it('are kept while nobody looks, told to those who listen, and taken up again by another server', async () => {
    const { id, store, feeds } = opened();
    const first = feeds();
    expect(first.status(id).kind).toBeNull();
    unwrap(first.start(id, { kind: 'simulated', speed: 600, seed: 2 }));
    await soon(700);
    const kept = first.readings(id, 0, null);
    expect(kept.length).toBeGreaterThan(1);
    expect(kept.map(({ seq }) => seq)).toEqual(kept.map((_, i) => i + 1));
    const heard: number[] = [];
    const stop = first.listen(id, (readings) => heard.push(readings.length));
    await soon(700);
    stop();
    expect(heard.some((count) => count > 0)).toBe(true);
    unwrap(first.change(id, { running: false }));
    const last = store.last(id);
    await soon(600);
    expect(store.last(id)).toBe(last);
    const second = feeds();
    expect(second.status(id)).toMatchObject({ kind: 'simulated', running: false, last });
    unwrap(second.change(id, { running: true, watts: 100, switch: true }));
    await soon(700);
    const after = second.readings(id, last, null);
    expect(after[0]!.seq).toBe(last + 1);
    expect(after[0]).toMatchObject({ receiver: 1, watts: 100 });
    expect(after[0]!.minutes).toBeGreaterThan(kept.at(-1)!.minutes);
  });

  it('are thinned for a chart, the change of a receiver kept', () => {
    const { id, store, feeds } = opened();
    const instants = Array.from({ length: 5000 }, (_, i) => ({
      minutes: i / 10,
      headC: 107,
      potC: 107,
      massG: i % 2500,
      watts: 240,
      receiver: i < 2500 ? 0 : 1,
      at: '2026-03-14T09:00:00.000Z',
    }));
    store.addAll(id, instants);
    const thin = feeds().readings(id, 0, 100);
    expect(thin.length).toBeLessThan(120);
    expect(thin.at(-1)!.seq).toBe(5000);
    expect(thin.some(({ seq }) => seq === 2500)).toBe(true);
    expect(thin.some(({ seq }) => seq === 2501)).toBe(true);
  });

  it('are refused where they would show nothing, or stand already', () => {
    const { id, feeds } = opened();
    const all = feeds();
    expect(all.change(id, { speed: 10 })).toMatchObject({ ok: false, problem: { code: 'not-found' } });
    expect(all.start('batch_other1', { kind: 'simulated', speed: 1 })).toMatchObject({
      ok: false,
      problem: { code: 'no-route' },
    });
    expect(all.start(id, { kind: 'replay', speed: 1, csv: 'nonsense' })).toMatchObject({
      ok: false,
      problem: { code: 'invalid-input' },
    });
    unwrap(all.start(id, { kind: 'replay', speed: 600, csv: 'time,head,pot,mass\n0,20,20,0\n1,107,107,2' }));
    unwrap(all.change(id, { running: false }));
  });
});

describe('a supply at a cell', () => {
  const epsom = 'magnesium sulfate heptahydrate 99% 2 kg';
  const { plan, added } = on('copper-sulfate-by-cell', '30 g copper sulfate', {
    salt: epsom,
    'pot-salt': epsom,
    strap: 'copper 99% 500 g',
  });
  const filled = eventsAt(
    START,
    added('salt', 'salt', 50),
    ...done('salt'),
    added('jar-water', 'jar-water', 225, 'mL'),
    ...done('jar-water', 'pot-ready'),
    added('pot-salt', 'pot-salt', 33),
    ...done('pot-salt'),
    added('pot-water', 'pot-water', 130, 'mL'),
    ...done('pot-water'),
    added('strap', 'strap', 25),
    ...done('strap', 'connect'),
  );
  const cellFeeds = () => {
    const db = openDb(':memory:');
    db.prepare(
      "INSERT INTO batch (id, number, version, created_at, plan, plan_version) VALUES ('batch_cell0001', 1, 1, '2026-03-14T08:00:00Z', '{}', 1)",
    ).run();
    const store = instrumentStore(db);
    return {
      store,
      feeds: new Feeds({
        store,
        batches: { one: () => ({ ok: true, value: { plan, events: filled } }) },
        now: () => START,
      }),
    };
  };

  it('shows volts, amps and degrees of the model, obeys, is topped up, and goes on after a restart', () => {
    const { plan: cell } = unwrap(cellOf(plan, filled, { step: 'run', now: START, shown: [], ifAmps: null }))!;
    const begun = {
      setup: cell.setup,
      anolyte: amountsIn(cell.anolyte),
      catholyte: amountsIn(cell.catholyte!),
      anodeMol: cell.anodeMol,
    };
    const supply = SimulatedCell.begin(begun, { seed: 3, sampleSeconds: 60 });
    supply.command({ does: 'supply', volts: 5, amps: 0.4 });
    const shown = supply.advance(4 * 3600);
    expect(shown).toHaveLength(240);
    const last = shown.at(-1)!;
    expect(last.amps).toBeGreaterThan(0.1);
    expect(last.amps).toBeLessThan(0.42);
    expect(last.tempC).toBeGreaterThan(plan.bench.tempC);
    const again = SimulatedCell.from(JSON.parse(JSON.stringify(supply.state())) as object);
    expect(again.advance(60)[0]!.minutes).toBeCloseTo(241, 6);
    // Left alone it falls; with salt in the pot it carries more.
    const [alone, topped] = [again, SimulatedCell.from(JSON.parse(JSON.stringify(supply.state())) as object)];
    topped.command({ does: 'top-up', side: 'cathode', amounts: liquidOf(10, [['magnesium-sulfate', 0.15]]).n });
    const [a, b] = [alone.advance(24 * 3600).at(-1)!, topped.advance(24 * 3600).at(-1)!];
    expect(b.amps).toBeGreaterThan(a.amps);
    topped.command({ does: 'supply', amps: 0 });
    expect(topped.over).toBe(true);
  });

  it('is kept while nobody looks, and read back thinned', () => {
    const { store, feeds } = cellFeeds();
    expect(feeds.start('batch_cell0001', { kind: 'simulated', speed: 600, seed: 4 }).ok).toBe(true);
    store.addAll(
      'batch_cell0001',
      Array.from({ length: 1000 }, (_, i) => ({ minutes: i, volts: 4, amps: 0.3, tempC: 22, at: START })),
    );
    expect(store.last('batch_cell0001')).toBe(1000);
    const thin = feeds.readings('batch_cell0001', 0, 100);
    expect(thin.length).toBeLessThan(120);
    expect(thin.at(-1)).toMatchObject({ seq: 1000, volts: 4 });
    expect(feeds.change('batch_cell0001', { volts: 3, amps: 0.2 }).ok).toBe(true);
    feeds.close();
  });

  it('may be a file, whose faults are said by row', () => {
    const rows = unwrap(readCellCsv('time;volts;amps;temperature\n0;4,0;0,42;18\n30;4,0;0,41;21,5\n'));
    expect(rows[1]).toEqual({ minutes: 30, volts: 4, amps: 0.41, tempC: 21.5 });
    const wrong = (text: string) => {
      const read = readCellCsv(text);
      return read.ok ? '' : read.problem.message;
    };
    expect(wrong('')).toMatch(/empty/);
    expect(wrong('time,volts,amps\n0,1,1\n')).toMatch(/no temperature/);
    expect(wrong('time,volts,amps,temperature\n0,4,-0.3,20\n')).toMatch(/0 or more/);
    expect(wrong('time,volts,amps,temperature\n5,4,0.3,20\n2,4,0.3,20\n')).toMatch(/before the row above/);
    expect(wrong('time,volts,amps,temperature\n5,4,0.3,200\n')).toMatch(/no temperature of a cell/);
    expect(wrong('time,volts,amps,temperature\n5,vier,0.3,20\n')).toMatch(/no number/);
  });
});
