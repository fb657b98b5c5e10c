import { type Figure, sdOf } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import type { ValueWithSd } from '#base/reading';
import { type Clash, clashesOf, type Present } from '#matter/guard';
import { amountOf, amountsOf } from '#matter/vessel';
import { type EventBody, liveOf, type RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { assemble, goThrough, type Now } from '#run/sheet';

/** A run as it stands: which batch, its plan and its events. */
export interface Standing {
  readonly batchId: string;
  readonly number: number;
  readonly plan: Plan;
  readonly events: readonly RunEvent[];
}

/** Part of a batch becomes a batch of its own: what is entered here, and the other's plan and first entries. */
export function splitRun(
  run: Standing,
  share: number,
  otherId: string,
  why: string,
): Result<{ readonly here: readonly EventBody[]; readonly plan: Plan; readonly there: readonly EventBody[] }> {
  if (!(share > 0 && share < 1))
    return fail('out-of-range', 'A part is more than 0 % and less than 100 % of the batch.', { field: 'share' });
  const found = standing(run);
  if (!found.ok) return found;
  const { now, step, before } = found.value;
  const { amount } = run.plan.target;
  const plan = { ...run.plan, target: { ...run.plan.target, amount: { ...amount, value: amount.value * share } } };
  return ok({
    here: [{ kind: 'poured-off', step, share, batchId: otherId, why }],
    plan,
    there: [
      ...before.map((key): EventBody => ({ kind: 'step-skipped', step: key, reason: `done in batch ${run.number}` })),
      pouredIn(run, now, share, step),
    ],
  });
}

/** A whole batch goes into another of the same route: what is entered in each. */
export function joinRuns(
  into: Standing,
  from: Standing,
  happened = false,
): Result<{ readonly into: readonly EventBody[]; readonly from: readonly EventBody[] }> {
  if (into.batchId === from.batchId)
    return fail('out-of-range', 'A batch cannot be joined with itself.', { field: 'from' });
  if (into.plan.route.id !== from.plan.route.id)
    return fail('out-of-range', 'Only batches of the same route can be joined.', { field: 'from' });
  const here = standing(into);
  if (!here.ok) return here;
  const there = standing(from);
  if (!there.ok) return there;
  const clash = happened ? undefined : worstBetween(here.value.now.present, there.value.now.present);
  if (clash)
    return fail('beyond-scope', `These two never go into one vessel. ${clash.sentence} If it has happened, say so.`, {
      field: 'from',
    });
  return ok({
    into: [pouredIn(from, there.value.now, 1, here.value.step)],
    from: [
      { kind: 'poured-off', step: there.value.step, share: 1, batchId: into.batchId, why: '' },
      { kind: 'abandoned', reason: `joined into batch ${into.number}` },
    ],
  });
}

/** The worst that two vessels would do together, where it is refused. */
function worstBetween(here: readonly Present[], there: readonly Present[]): Clash | undefined {
  return there
    .flatMap((each) => clashesOf(here, each, { beside: there }))
    .find(({ severity }) => severity === 'refuse');
}

/** What is in the vessel, the last step done, and all that are behind. */
function standing({ plan, events }: Standing): Result<{ now: Now; step: string; before: readonly string[] }> {
  const gone = goThrough(plan, liveOf(events));
  if (!gone.ok) return gone;
  const { now } = assemble(gone.value);
  const { steps } = gone.value;
  const open = steps.findIndex(({ status }) => status !== 'done' && status !== 'skipped');
  const behind = open < 0 ? steps : steps.slice(0, open);
  const last = behind.at(-1);
  if (!now || now.massG <= 0 || !last)
    return fail('out-of-range', 'There is nothing in the vessel yet that could be poured.', { field: 'share' });
  return ok({ now, step: last.key, before: behind.filter(({ inserted }) => !inserted).map(({ key }) => key) });
}

function pouredIn({ batchId, number }: Standing, now: Now, share: number, step: string): EventBody {
  const part = (figure: Figure): ValueWithSd => ({ value: figure.value * share, sd: sdOf(figure) * share });
  const amounts = amountsOf(now.contents).flatMap(([id]) => {
    const n = amountOf(now.contents, id);
    return n ? [[id, part(n)] as const] : [];
  });
  return {
    kind: 'poured-in',
    step,
    batchId,
    number,
    amounts: Object.fromEntries(amounts),
    waterG: part(now.contents.waterG),
    inertG: part(now.contents.inertG),
    extentMol: now.extent ? part(now.extent) : null,
  };
}
