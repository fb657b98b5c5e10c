import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { pino } from 'pino';
import { seeded } from '#base/figure';
import { itemAt } from '#base/lookup';
import { unwrap } from '#base/problem';
import { verbs } from '#contract/verbs';
import { BenchDefaults, USUAL_HOURS, USUAL_STILL } from '#matter/gear';
import type { BottleCard, BottleState } from '#matter/stock';
import type { AssayBody, AssayEntry } from '#model/assay';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { runState } from '#run/state';
import { NO_CHOICES } from '#run/week';
import { createApp } from '#server/app';
import { type Db, openDb } from '#server/db/open';
import { notebookHome } from '#server/home';
import { instrumentStore } from '#server/instrument/store';
import { type DemoAssay, demoAssays } from './assays.ts';
import { madeCard, shopCard } from './cards.ts';
import { CELL, cellOnSecondDay, DEMO_CELL } from './cell.ts';
import { DISTILLATION, distillation } from './distillation.ts';
import { ESTER, esterInFunnel } from './ester.ts';
import { whenFree } from './evenings.ts';
import { IODINE, iodineUnderIce } from './iodine.ts';
import { live } from './live.ts';
import { type DemoBatch, demoBatches, demoBottles, demoLessons, demoPlans } from './scenario.ts';

const DAY = 86_400_000;
const SEED = 20_260_314;

const dayOf = (at: number) => new Date(at).toISOString().slice(0, 10);

/** Fills an empty notebook with Millrace Shed's, through the same HTTP door that the interface uses. */
async function seed(db: Db, home: string): Promise<void> {
  let clock = Date.now();
  const app = createApp({ db, home, log: pino({ level: 'silent' }), now: () => new Date(clock).toISOString() });
  const server = createServer(app);
  // Between two entries a slow machine computes for longer than a connection is usually kept.
  server.keepAliveTimeout = 600_000;
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const random = seeded(SEED);
  let count = 0;
  const id = (prefix: string) => `${prefix}_demo${String(++count).padStart(5, '0')}`;
  const start = Date.now();

  const send = async <T>(method: string, path: string, body?: unknown): Promise<T> => {
    const response = await fetch(`${origin}/api${path}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
    if (!response.ok) throw new Error(`${method} ${path}: ${await response.text()}`);
    return (await response.json()) as T;
  };

  const putBottle = (card: BottleCard) =>
    send<BottleState>('POST', '/bottles', { id: id('bottle'), eventId: id('ev'), card });

  const runBatch = async (batch: DemoBatch) => {
    const shelf = await send<BottleState[]>('GET', '/bottles');
    const found = unwrap(
      verbs.target.run({ text: batch.target, shelf, bench, today: dayOf(start - batch.daysAgo * DAY) }),
    );
    const first = found.choices.find((choice) => choice.missing.length === 0);
    if (!first)
      throw new Error(
        `${batch.target}: ${JSON.stringify(found.problems)} ${found.choices.map((choice) => choice.missing.join(' ')).join(' ')}`,
      );
    const plan: Plan = { ...first.plan, controls: { ...first.plan.controls, ...batch.controls } };
    const asked = start - batch.daysAgo * DAY - (batch.hours ?? 0) * 3_600_000;
    const { begun, events } = batch.hours === undefined ? before(plan, batch, asked) : at(plan, batch, asked);
    clock = begun - 3_600_000;
    const batchId = id('batch');
    await send('POST', '/batches', { id: batchId, plan });
    if (batch.stopsAt === 'planned') return;
    for (const { writtenAt, ...event } of events) {
      clock = Date.parse(writtenAt);
      await send('POST', `/batches/${batchId}/events`, { events: [event] });
    }
    if (batch.bottled) await bottle(batchId, plan, events);
  };

  const at = (plan: Plan, batch: DemoBatch, begun: number) => ({
    begun,
    events: batch.stopsAt === 'planned' ? [] : live(plan, batch, begun, random, id),
  });

  // Evenings stretch a batch: it began so many days sooner that nothing of it lies ahead.
  const before = (plan: Plan, batch: DemoBatch, asked: number) => {
    let found = at(plan, batch, whenFree(asked));
    for (let days = 1; days < 60; days++) {
      const last = Math.max(found.begun, ...found.events.map(({ happened }) => Date.parse(happened.at)));
      if (last < start - 300_000) return found;
      found = at(plan, batch, whenFree(asked - days * DAY));
    }
    return found;
  };

  const bottle = async (batchId: string, plan: Plan, events: ReturnType<typeof live>) => {
    const state = unwrap(runState(plan, events));
    const card = madeCard({ batchId, plan, state, since: dayOf(clock) });
    if (!card) return;
    await send('POST', `/batches/${batchId}/events`, {
      events: [
        {
          id: id('ev'),
          happened: { at: new Date(clock).toISOString(), giveOrTakeMin: 0 },
          body: { kind: 'bottled', bottleId: id('bottle'), card },
        },
      ],
    });
  };

  /** Chosen, run and written on its bottle as a person does it: each replicate takes what it is expected to, a little off. */
  const runAssay = async ({ bottle: name, methodId, byMass, daysAgo, holds, strays, note }: DemoAssay) => {
    clock = start - daysAgo * DAY - 3_600_000;
    const shelf = await send<BottleState[]>('GET', '/bottles');
    const of = shelf.find(({ card }) => card.name === name);
    if (!of) throw new Error(`no bottle ${name}`);
    const kept = shelf.map(({ id: bottleId, card, usedG, archived }) => ({ id: bottleId, card, usedG, archived }));
    const asked = {
      bottle: { id: of.id, card: of.card, usedG: of.usedG },
      shelf: kept,
      bench,
      day: dayOf(clock),
      tolerancePct: 1,
    };
    const choice = unwrap(verbs.methods.run(asked)).find(
      (each) => each.methodId === methodId && each.design?.plan.byMass === byMass,
    );
    if (!choice?.design) throw new Error(`${name}: no way by ${methodId}`);
    const plan = { ...choice.design.plan, id: id('assay') };
    await send('POST', '/assays', { plan });
    const entries: AssayEntry[] = [];
    const enter = async (body: AssayBody) => {
      clock += 60_000;
      const entry = { id: id('ev'), happenedAt: new Date(clock).toISOString(), body };
      entries.push(entry);
      await send('POST', `/assays/${plan.id}/events`, { events: [entry] });
    };
    let level = 160;
    // What is weighed stands in the flask: a stronger bottle takes more, a stronger titrant less.
    const factor = plan.turned ? 1 / holds : holds;
    const first = unwrap(verbs.assay.run({ plan, entries: [] })).advice.expected?.titre ?? 20;
    for (const [i, stray] of strays.entries()) {
      const replicate = String(i + 1);
      const sampleG = Number((plan.sampleG * (1 + 0.01 * (i - 1))).toFixed(2));
      const titre = Number((((first * sampleG) / plan.sampleG) * factor * (1 + stray)).toFixed(2));
      await enter({ kind: 'read', replicate, name: 'sampleG', value: sampleG });
      await enter({ kind: 'read', replicate, name: 'level', value: Number(level.toFixed(2)) });
      level -= titre;
      await enter({ kind: 'read', replicate, name: 'level', value: Number(level.toFixed(2)) });
      await enter({ kind: 'ended', replicate, as: 'sign', note: '' });
      level = level < 60 ? 160 : level;
    }
    if (note) await enter({ kind: 'noted', text: note });
    if (strays.length > 0) await send('POST', `/assays/${plan.id}/apply`, { id: id('ev') });
  };

  const choiceFor = async (target: string, routeId: string) => {
    const shelf = await send<BottleState[]>('GET', '/bottles');
    const found = unwrap(verbs.target.run({ text: target, shelf, bench, today: dayOf(start) }));
    const choice = found.choices.find((each) => each.plan.route.id === routeId);
    if (!choice || choice.missing.length > 0) throw new Error(`${target}: ${choice?.missing.join(' ')}`);
    return choice;
  };

  const enterBatch = async (plan: Plan, events: readonly RunEvent[]) => {
    const batchId = id('batch');
    clock = Date.parse(itemAt(events, 0).writtenAt) - 600_000;
    await send('POST', '/batches', { id: batchId, plan });
    for (const { writtenAt, ...event } of events) {
      clock = Date.parse(writtenAt);
      await send('POST', `/batches/${batchId}/events`, { events: [event] });
    }
    return batchId;
  };

  /** A cell on its second day, read by hand. */
  const runCell = async () => {
    const { plan } = await choiceFor(CELL.target, CELL.routeId);
    const set = { ...plan, controls: { ...plan.controls, current: CELL.amps } };
    await enterBatch(set, cellOnSecondDay(set, start, id));
  };

  /** Iodine on its way onto a cold cover, its exotherm logged. */
  const runIodine = async () => {
    const { plan } = await choiceFor(IODINE.target, IODINE.routeId);
    await enterBatch(plan, iodineUnderIce(plan, start, id));
  };

  /** An ester in its funnel, weighed warm and cold. */
  const runEster = async () => {
    const { plan } = await choiceFor(ESTER.target, ESTER.routeId);
    await enterBatch(plan, esterInFunnel(plan, start, id));
  };

  /** Plans for the days to come, one of them wanted by a day. */
  const keepPlans = async () => {
    clock = start - 3_600_000;
    const wanted: Record<string, string> = {};
    for (const { target, wantedInDays } of demoPlans) {
      const shelf = await send<BottleState[]>('GET', '/bottles');
      const { choices } = unwrap(verbs.target.run({ text: target, shelf, bench, today: dayOf(start) }));
      const choice = choices.find(({ missing }) => missing.length === 0);
      if (!choice) throw new Error(`${target}: ${choices.map(({ missing }) => missing.join(' ')).join(' ')}`);
      const batchId = id('batch');
      await send('POST', '/batches', { id: batchId, plan: choice.plan });
      if (wantedInDays !== undefined)
        wanted[batchId] = new Date(new Date(start + wantedInDays * DAY).setHours(20, 0, 0, 0)).toISOString();
    }
    await send('PUT', '/week', { basedOn: 0, choices: { ...NO_CHOICES, wanted } });
  };

  /** A distillation under way: planned and entered like any batch; what its instruments showed is laid beside it. */
  const runStill = async () => {
    const { plan } = await choiceFor(DISTILLATION.target, DISTILLATION.routeId);
    const { events, feed, instants } = distillation(plan, start, id);
    const batchId = await enterBatch(plan, events);
    const store = instrumentStore(db);
    const kept = { ...feed, batchId, startedAt: itemAt(instants, 0).at };
    store.keep(kept);
    store.addAll(batchId, instants);
  };

  const bench = {
    ...BenchDefaults,
    still: USUAL_STILL,
    cell: DEMO_CELL,
    place: 'shed',
    tempC: 16,
    pressureHPa: 1009,
    measures: [
      { name: 'tea scoop', of: 'washing soda', gramsEach: 5.2, sdG: 0.3 },
      { name: 'scoop', of: 'baking soda', gramsEach: 10.4, sdG: 0.5 },
    ],
    air: 'window' as const,
    country: 'UK' as const,
    calls: { poison: '01632 960 014', checkIn: '01632 960 027', other: '' },
    // Somewhere in the English Midlands.
    hours: { ...USUAL_HOURS, quiet: { from: 21, to: 8 }, where: { lat: 52.4, lon: -2.2 } },
    away: [
      { id: 'away:petrol', place: 'by the mower' },
      { id: 'away:charcoal', place: 'by the mower' },
    ],
  };
  await send('PUT', '/bench', { basedOn: 0, bench });
  for (const each of demoBottles) {
    clock = start - each.boughtDaysAgo * DAY;
    await putBottle(shopCard(each, dayOf(clock)));
  }
  for (const batch of demoBatches) await runBatch(batch);
  await runStill();
  await runCell();
  await runIodine();
  await runEster();
  await keepPlans();
  for (const assay of demoAssays) await runAssay(assay);
  clock = start;
  for (const lesson of demoLessons)
    await send('POST', '/lessons', { id: id('lesson'), bottleId: null, batchId: null, ...lesson });
  await new Promise((done) => server.close(done));
}

/** Whether a notebook has anything in it: what somebody has is never touched. */
function isUsed(file: string): boolean {
  if (!existsSync(file)) return false;
  const db = openDb(file);
  const { n } = db
    .prepare<[], { n: number }>('SELECT (SELECT COUNT(*) FROM bottle) + (SELECT COUNT(*) FROM batch) AS n')
    .get() ?? { n: 0 };
  db.close();
  return n > 0;
}

const home = notebookHome();
if (!isUsed(join(home, 'still.db'))) {
  console.log('Making the demo notebook …');
  // Made aside and moved into place when it is whole: cut short, it leaves nothing half, and no notebook of anyone’s own is
  // ever written to without the disk.
  const aside = join(home, 'making');
  rmSync(aside, { recursive: true, force: true });
  mkdirSync(aside, { recursive: true });
  const db = openDb(join(aside, 'still.db'));
  db.pragma('synchronous = OFF');
  await seed(db, aside);
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
  for (const name of ['still.db-wal', 'still.db-shm']) rmSync(join(home, name), { force: true });
  for (const name of ['attachments', 'still.db'])
    if (existsSync(join(aside, name))) {
      rmSync(join(home, name), { recursive: true, force: true });
      renameSync(join(aside, name), join(home, name));
    }
  rmSync(aside, { recursive: true, force: true });
}
