import { clashesOf, presentIn } from '#matter/guard';
import { at } from '#matter/vessel';
import { opOf, type PlanFacts, type RunStep } from '#run/plan';
import type { Sheet } from '#run/sheet';
import { placeOf } from '#run/technique';

/**
 * Why a step that is still to come may not be done as it stands: its bottle must never meet what is in the vessel now, by what
 * was entered and not by what was planned. Empty where nothing holds it.
 */
export function heldBy(step: RunStep, facts: PlanFacts, { now, additions }: Sheet): string {
  const op = opOf(step);
  if (!now || op.do !== 'add' || step.status === 'done' || step.status === 'skipped') return '';
  const content = facts.contents[op.role];
  const goneIn = additions.some((line) => line.step === step.key && line.actual);
  const there = presentIn(at(now.vessels, placeOf(op)));
  if (goneIn || there.length === 0) return '';
  const coming = content
    ? { substanceId: content.substance.id, pct: Math.min(100, content.w.value) }
    : { substanceId: 'water', pct: 100 };
  const worst = clashesOf(there, coming, { tempC: facts.bench.tempC }).find(({ severity }) => severity === 'refuse');
  return worst?.sentence ?? '';
}
