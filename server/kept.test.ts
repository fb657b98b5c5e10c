import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { planTitle } from '#run/plan';
import type { TextPart } from '#run/sheet';
import { runState } from '#run/state';
import { batchStore } from './batch/store.ts';
import { stockStore } from './stock/store.ts';
import { type KeptSaying, keptDb, keptNotebook } from './testing/kept-notebook.ts';

/** Schema of the database that each kept notebook was written under. */
const KEPT = [{ build: 1, schema: 2 }];

const wordsOf = (parts: readonly TextPart[]) =>
  parts.map((part) => (part.is === 'text' ? part.text : part.shown)).join('');

describe.each(KEPT)('the notebook of build $build', ({ build, schema }) => {
  const kept = keptNotebook(build);
  const db = keptDb(kept, schema);
  const stock = stockStore(db);
  const batches = batchStore(db, stock);

  it('holds every kind of entry, begun and finished runs of every route', () => {
    const kinds = new Set(
      kept.batches.flatMap(({ events }) => events.map(({ body }) => (body as { kind: string }).kind)),
    );
    expect(kinds.size).toBe(21);
    const routes = kept.batches.map(({ plan }) => (plan as { routeId: string }).routeId);
    expect(new Set(routes).size).toBe(20);
    for (const { status } of kept.said.slice(0, 40)) expect(['done', 'running']).toContain(status);
  });

  it.each(kept.said.map((said) => [`${said.title}, ${said.status}`, said] as const))(
    'still says of %s what it said',
    (_, said) => {
      const { plan, events } = unwrap(batches.one(said.batchId));
      const run = unwrap(runState(plan, events));
      const { sheet } = run;
      const now: KeptSaying = {
        batchId: said.batchId,
        title: planTitle(plan),
        status: run.status,
        abandonedFor: run.abandonedFor,
        startedAt: run.startedAt,
        finishedAt: run.finishedAt,
        steps: run.steps.map(({ key, status, title }) => ({ key, status, title: asThen(wordsOf(title), said, key) })),
        additions: sheet.additions.map(({ role, dose, actual, limiting }) => ({
          role,
          doseG: dose.mass.value,
          actualG: actual?.value ?? null,
          limiting,
        })),
        product: sheet.product?.value ?? null,
        theory: sheet.theory?.value ?? null,
        expectedPct: sheet.yieldPct?.value ?? null,
        madePct: sheet.made?.pct.value ?? null,
        yieldPct: run.yield?.yieldPct.value ?? null,
        yieldSd: run.yield ? sdOf(run.yield.yieldPct) : null,
        got: run.yield?.mass.value ?? null,
        hydrate: run.hydrate?.says ?? null,
        // An earlier build scaled a portion to what stood in the vessel at the end, not when it was taken.
        portions: said.portions,
        bottles: run.bottles,
        log: run.log.length,
      };
      expectSame(now, said, '');
    },
  );

  it('still has every bottle, with its uses and what was put right', () => {
    const bottles = new Map(stock.all().map((each) => [each.id, each]));
    expect(bottles.size).toBe(kept.bottles.length);
    const first = bottles.get(kept.bottles[0]!.id)!;
    expect(first).toMatchObject({ usedG: 0, archived: false, version: 6, card: { assayed: true, strengthBand: 0.8 } });
  });

  it('lists its batches without a fault', () => {
    for (const { number, title } of batches.list()) expect(title, String(number)).toBe(kept.said[number - 1]!.title);
  });
});

/** Words that an earlier build put for a quantity that was not there; such a title says less today. */
const FILLERS = / (?:to|until) (?:the whole|a third|half|some|what there is)(?= |$)/g;

function asThen(title: string, said: KeptSaying, key: string): string {
  const then = said.steps.find((each) => each.key === key)?.title ?? '';
  return then.replace(FILLERS, '') === title ? then : title;
}

/** Alike to a part in a million; texts and counts exactly. */
function expectSame(now: unknown, then: unknown, at: string): void {
  if (typeof then === 'number' && typeof now === 'number') {
    expect(Math.abs(now - then), at).toBeLessThanOrEqual(1e-6 * Math.max(1e-3, Math.abs(then)));
  } else if (typeof then === 'object' && then !== null) {
    expect(typeof now === 'object' && now !== null, at).toBe(true);
    expect(Object.keys(now as object).length, at).toBe(Object.keys(then).length);
    for (const [key, each] of Object.entries(then))
      expectSame((now as Record<string, unknown>)[key], each, `${at}.${key}`);
  } else expect(now, at).toBe(then);
}
