import { presentIn } from '#matter/guard';
import { at, type Contents, contentsMass, entriesOf, phases, slurryVolume } from '#matter/vessel';
import type { Now } from './sheet.ts';
import type { Walk } from './walk.ts';

/** What is in the vessels now, by a walk of what is done. */
export function nowOf({ end: { vessels, progress, figures } }: Walk): Now {
  const pot = at(vessels, 'pot');
  return {
    contents: present(pot),
    // What was made up stands at its mark.
    volumeMl: figures['made.filled']?.value ?? slurryVolume(pot),
    massG: contentsMass(pot),
    present: presentIn(pot),
    liquor: vessels.liquor ?? null,
    vessels,
    extent: progress.extent ?? null,
  };
}

/** Without what has been used up. */
function present(contents: Contents): Contents {
  const still = phases.map((phase) => [
    phase,
    Object.fromEntries(entriesOf(contents[phase]).filter(([, n]) => n.value > 1e-9)),
  ]);
  return { ...contents, ...Object.fromEntries(still) };
}
