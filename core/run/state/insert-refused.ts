import { admit, type Deed, presentIn } from '#matter/guard';
import { at } from '#matter/vessel';
import { stepKinds } from '#run/route';
import type { Sheet } from '#run/sheet';
import { techniques } from '#run/technique';

/** Least mass % at which a thing in the vessel decides. */
const COUNTS_PCT = 10;

/**
 * Why a step of a kind is not inserted at the bench: what stands in the vessel now is never boiled down, left to evaporate, crystallised or
 * dried here. Empty where nothing holds it. What was done all the same is entered at a step that does nothing by itself.
 */
export function insertRefused(kindId: string, { now }: Sheet): string {
  const kind = stepKinds.find(({ id }) => id === kindId);
  if (!kind || !now) return '';
  const { deed }: { readonly deed?: Deed } = techniques[kind.technique];
  if (!deed) return '';
  for (const { substanceId, pct } of presentIn(at(now.vessels, 'pot'))) {
    if (pct < COUNTS_PCT || substanceId === 'water') continue;
    const allowed = admit({ substanceId, pct }, deed);
    if (!allowed.ok) return allowed.problem.message;
  }
  return '';
}
