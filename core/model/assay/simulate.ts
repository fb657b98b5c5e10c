import { fail, ok, type Result } from '#base/problem';
import { phAt } from '#matter/equilibrium';
import { methodById } from '#model/method';
import { titrationIf } from './flask.ts';
import type { AssayEntry } from './record/entries.ts';
import { toldBy } from './record/fold.ts';
import type { AssayPlan } from './record/plan.ts';
import { settingOf } from './reduce/reduce.ts';

/** How far the bottle of a rehearsal strays from its label at most, relative; noise of the simulated probe, pH. */
const STRAYS = 0.08;
const NOISE = 0.015;

export interface SimulatedReading {
  readonly pH: number;
}

/**
 * What a simulated pH probe shows in a replicate after so much titrant: the solver's pH of a bottle that holds a little more or less
 * than its label, with a probe's noise. The seed decides both, so a rehearsal can be run again.
 */
export function simulatedPh(
  plan: AssayPlan,
  entries: readonly AssayEntry[],
  { replicate, titreMl, seed }: { readonly replicate: string; readonly titreMl: number; readonly seed: number },
): Result<SimulatedReading> {
  const told = toldBy(entries);
  const setting = settingOf(told.dilution ? { ...plan, dilution: told.dilution } : plan, methodById(plan.methodId));
  if (!setting.ok) return setting;
  const held = setting.value.content.w.value * (1 + STRAYS * wave(seed));
  const at = told.replicates.find(({ key }) => key === replicate);
  const titration = titrationIf(setting.value, at, held);
  if (!titration) return fail('no-data', 'A pH probe follows acids and bases; for this no constants are held.');
  const found = phAt(titration, titreMl);
  if (found.outcome !== 'solved') return fail('out-of-range', found.why);
  return ok({ pH: Number((found.pH + NOISE * wave(seed * 31 + titreMl * 97)).toFixed(2)) });
}

/** −1 to 1, without a pattern that one sees. */
function wave(x: number): number {
  const s = Math.sin(x * 12.9898 + 78.233) * 43_758.5453;
  return 2 * (s - Math.floor(s)) - 1;
}
