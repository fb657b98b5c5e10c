import { useMemo } from 'react';
import { must } from '#base/lookup';
import type { Result } from '#base/problem';
import type { RunEvent } from '#run/log';
import type { RecordAnswer, RecordAsked } from '#run/outcome';
import type { Plan } from '#run/plan';
import type { Advice, CellQuestion, CellRun, RunState, StillRun } from '#run/state';
import { askWorker, whenRestarted } from './door.ts';
import { keepNewest } from './newest.ts';
import { Receiver, type SentState } from './sent-state.ts';
import type { RunChange } from './sessions.ts';
import { type Computed, useLatest } from './use-latest.ts';

/** A run as the page has it. */
export interface OpenRun {
  readonly batchId: string;
  readonly plan: Plan;
  readonly events: readonly RunEvent[];
}

// What the worker was sent of each run: only what came since goes over.
const sent = new Map<string, OpenRun>();
whenRestarted(() => sent.clear());

function changeSince(run: OpenRun): RunChange {
  const before = sent.get(run.batchId);
  keepNewest(sent, run.batchId, run);
  if (!before || before.plan !== run.plan) return { batchId: run.batchId, plan: run.plan, keep: 0, events: run.events };
  let keep = 0;
  while (keep < before.events.length && before.events[keep]?.id === run.events[keep]?.id) keep++;
  return { batchId: run.batchId, plan: null, keep, events: run.events.slice(keep) };
}

/** The state of a run, folded in the worker; an entry more sends that entry alone. */
export function useRunState(run: OpenRun | undefined): Computed<RunState> {
  return useLatest(run, stateOf);
}

const receiver = new Receiver();

async function stateOf(open: OpenRun): Promise<Result<RunState>> {
  const { batchId } = open;
  const answer: Result<SentState> = await askWorker(
    async (door) => await door.run(changeSince(open), receiver.has(batchId)),
  );
  if (!answer.ok) return answer;
  const state = receiver.receive(batchId, answer.value);
  if (state) return { ok: true, value: state };
  // Another question of the same run was answered in between: this one is asked for whole.
  const whole: Result<SentState> = await askWorker(async (door) => await door.run(changeSince(open), 0));
  return whole.ok
    ? { ok: true, value: must(receiver.receive(batchId, whole.value), 'state that was sent whole') }
    : whole;
}

/** What to do next at a step, from the same fold. `now` is an ISO instant. */
export function useAdviceAt(run: OpenRun, step: string, now: string): Computed<Advice> {
  const question = useMemo(() => ({ run, step, now }), [run, step, now]);
  return useLatest(
    question,
    async (at): Promise<Result<Advice>> =>
      await askWorker(async (door) => await door.advise(changeSince(at.run), at.step, at.now)),
  );
}

/** Every distillation of a run, in their order; none where nothing is distilled. */
export function useStills(run: OpenRun): Computed<readonly StillRun[]> {
  return useLatest(
    run,
    async (open): Promise<Result<readonly StillRun[]>> =>
      await askWorker(async (door) => await door.stills(changeSince(open))),
  );
}

/** A cell of a run, watched; null where it is empty. A newer question takes the place of an older one. */
export function useCellRun(run: OpenRun, question: CellQuestion): Computed<CellRun | null> {
  const asked = useMemo(() => ({ run, question }), [run, question]);
  return useLatest(
    asked,
    async (at): Promise<Result<CellRun | null>> =>
      await askWorker(async (door) => await door.cell(changeSince(at.run), at.question)),
  );
}

/** What a record shows beside the run's state. `asked` is the same object until it is asked otherwise. */
export function useRecordOf(
  run: OpenRun,
  asked: RecordAsked & { readonly number: number; readonly today: string },
): Computed<RecordAnswer> {
  const question = useMemo(() => ({ run, asked }), [run, asked]);
  return useLatest(
    question,
    async (at): Promise<Result<RecordAnswer>> =>
      await askWorker(async (door) => await door.record(changeSince(at.run), at.asked)),
  );
}
