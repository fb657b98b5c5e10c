import { incompatibilities } from '#core/data';
import { fields, number, type Of, text } from '#core/shape';
import { substanceById } from '#core/substance';
import { classesOf } from './classes.ts';

/** Something that is in a vessel, or about to be. */
export const presentShape = fields({ substanceId: text(80), pct: number({ min: 0, max: 100 }) });
export type Present = Of<typeof presentShape>;

export interface Clash {
  readonly severity: 'refuse' | 'danger' | 'caution';
  readonly sentence: string;
  readonly releases: string;
}

const ORDER = { refuse: 0, danger: 1, caution: 2 } as const;

/** What adding `added` to `present` could do, worst first: refuse, a stated reason (danger), or a reminder (caution). */
export function clashesOf(present: readonly Present[], added: Present): readonly Clash[] {
  const incoming = classesOf(added.substanceId, added.pct);
  const said = new Map<string, Clash>();
  for (const each of present) {
    if (each.substanceId === added.substanceId) continue;
    const here = classesOf(each.substanceId, each.pct);
    for (const row of incompatibilities) {
      const meets = (here.has(row.a) && incoming.has(row.b)) || (here.has(row.b) && incoming.has(row.a));
      if (!meets) continue;
      const names = `${nameOf(added)} and ${nameOf(each)}`;
      const condition =
        row.condition === '' ? '' : ` ${row.condition.charAt(0).toUpperCase()}${row.condition.slice(1)}.`;
      const clash: Clash = {
        severity: row.severity,
        sentence: `${names}: ${row.releases}. ${row.reason}.${condition}`,
        releases: row.releases,
      };
      const before = said.get(row.releases);
      if (!before || ORDER[clash.severity] < ORDER[before.severity]) said.set(row.releases, clash);
    }
  }
  return [...said.values()].sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}

function nameOf({ substanceId }: Present): string {
  return substanceById(substanceId)?.name ?? substanceId;
}
