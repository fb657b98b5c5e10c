import type { RunState } from './state.ts';
import type { StepState } from './step-state.ts';
import { titleText } from './title.ts';

/** One thing on the clock strip: what waits, runs or is due, with when. */
export interface ClockItem {
  readonly batchId: string;
  readonly step: string;
  readonly kind: 'timer' | 'look' | 'next' | 'alarm';
  /** What is to be done: “look at the dish”. */
  readonly act: string;
  /** The same with the batch it is of: “look at the dish, zinc sulfate”. */
  readonly text: string;
  /** ISO instant it falls due; null for what can be done at any time. */
  readonly at: string | null;
  /** “day 3 of about 6” for a long step. */
  readonly progress: string | null;
}

const DAY_MS = 86_400_000;

/** What one run has for the clock, soonest first. `now` is an ISO instant. */
export function clockOf(batchId: string, title: string, state: RunState, now: string): readonly ClockItem[] {
  if (state.status !== 'running') return [];
  const items: Omit<ClockItem, 'text'>[] = [];
  const timed = new Set<string>();
  for (const { step, text } of state.alarms)
    items.push({ batchId, step, kind: 'alarm', act: text, at: now, progress: null });
  for (const timer of state.timers) {
    const step = state.steps.find((each) => each.key === timer.step);
    if (timer.stopped || step?.status !== 'running') continue;
    timed.add(timer.step);
    items.push({
      batchId,
      step: timer.step,
      kind: 'timer',
      act: timer.name,
      at: timer.endsAt,
      progress: step ? dayOf(step, now) : null,
    });
  }
  for (const step of state.steps) {
    if (step.status !== 'running' || timed.has(step.key)) continue;
    const every = step.leave.lookEveryMin;
    const seen = lastSeen(state, step) ?? step.startedAt;
    const at = every === null || seen === null ? null : new Date(Date.parse(seen) + every * 60_000).toISOString();
    items.push({
      batchId,
      step: step.key,
      kind: 'look',
      act: plainTitle(step),
      at,
      progress: dayOf(step, now),
    });
  }
  if (items.length === 0) {
    const next = state.steps.find((step) => step.status === 'ready');
    if (next)
      items.push({
        batchId,
        step: next.key,
        kind: 'next',
        act: plainTitle(next),
        at: null,
        progress: null,
      });
  }
  return items
    .map((item) => ({ ...item, text: item.kind === 'alarm' ? `${item.act} ${title}` : `${item.act}, ${title}` }))
    .sort((a, b) => (a.at ?? '9').localeCompare(b.at ?? '9'));
}

function lastSeen(state: RunState, step: StepState): string | undefined {
  return state.log.find((line) => line.step === step.key && !line.struck)?.at;
}

/** For a step that takes days: which day this is, of about how many. */
function dayOf(step: StepState, now: string): string | null {
  const [least, most] = step.template?.waitH ?? [0, 0];
  if (most < 30 || step.startedAt === null) return null;
  const day = Math.floor((Date.parse(now) - Date.parse(step.startedAt)) / DAY_MS) + 1;
  return `day ${Math.max(1, day)} of about ${Math.max(1, Math.round((least + most) / 48))}`;
}

function plainTitle(step: StepState): string {
  const text = titleText(step);
  return text.charAt(0).toLowerCase() + text.slice(1);
}
