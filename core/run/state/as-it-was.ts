import { liveOf, type RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { goneAhead, type Names, namesAt, type Sheet } from '#run/sheet';

const KNOWN = new WeakMap<Plan, Map<string, Names>>();

/** The quantities of a step now: of the whole run, and its own. */
export function namesNow(sheet: Sheet, step: string): Names {
  const own = sheet.stepNames[step];
  return own ? { ...sheet.names, ...own } : sheet.names;
}

/**
 * The quantities of a step that is done, as they were when it was: what changed later does not rewrite what was asked for.
 * Found once for each time a step was ended.
 */
export function namesWhenDone(plan: Plan, events: readonly RunEvent[], step: string, now: Sheet): Names {
  const at = events.findLastIndex(({ body }) => body.kind === 'finished' && body.step === step);
  const ended = events[at];
  // Nothing since could have changed it.
  if (!ended || at === events.length - 1) return namesNow(now, step);
  const kept = KNOWN.get(plan) ?? new Map<string, Names>();
  KNOWN.set(plan, kept);
  const known = kept.get(ended.id);
  if (known) return known;
  const then = goneAhead(plan, liveOf(events.slice(0, at + 1)));
  const names = then.ok ? namesAt(then.value, step) : namesNow(now, step);
  kept.set(ended.id, names);
  return names;
}
