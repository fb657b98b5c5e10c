import type { AssayBody } from '../record/entries.ts';

type Level = Extract<AssayBody, { kind: 'read' }> | Extract<AssayBody, { kind: 'refilled' }>;

/**
 * What went out of a burette (its marks grow) or a dropper bottle (its mass falls) by the levels that were read, fillings up
 * taken out; null before there are two. In the unit of the levels.
 */
export function titreOf(levels: readonly Level[], byMass: boolean): number | null {
  const sign = byMass ? -1 : 1;
  let used = 0;
  let at: number | null = null;
  let any = false;
  for (const each of levels) {
    const level = each.kind === 'read' ? each.value : each.from;
    if (at !== null) {
      used += sign * (level - at);
      any = true;
    }
    at = each.kind === 'read' ? each.value : each.to;
  }
  return any ? used : null;
}

/** Where it stands now; null when nothing was read. */
export function levelNow(levels: readonly Level[]): number | null {
  const last = levels.at(-1);
  if (!last) return null;
  return last.kind === 'read' ? last.value : last.to;
}
