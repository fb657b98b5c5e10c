import { fields, flag, number, type Of, optional, text } from '#base/shape';
import { type ClashSeverity, type IncompatibilityRow, incompatibilities, incompatibleMore } from '#matter/data';
import { substanceById } from '#matter/substance';
import { classesOf } from './classes.ts';
import { keepAwayOf } from './keep-away.ts';

/** Something that is in a vessel, stands near one, or is about to go in: a substance, or what is only kept away from. */
export const presentShape = fields({
  substanceId: text(240),
  pct: number({ min: 0, max: 100 }),
  /** Grams of it, where they are known: a drop is no bottle. */
  g: optional(number({ min: 0 })),
  /** Whether it lies dry: a powder or crystals, whatever its strength. */
  dry: optional(flag()),
});
export type Present = Of<typeof presentShape>;

export interface Clash {
  readonly severity: ClashSeverity;
  readonly sentence: string;
  readonly releases: string;
}

/** What else decides how two things meet. */
export interface Meeting {
  /** °C; not known, what only happens hot is said too. */
  readonly tempC?: number;
  /** What is there besides the two. */
  readonly beside?: readonly Present[];
}

const ORDER = { refuse: 0, danger: 1, caution: 2 } as const;
/** So little of a thing is a drop: dangers shrink with it, refusals do not. */
const DROP_G = 0.1;
/** Mass % of water from which a mixture is a solution, and of a substance up to which its label means one. */
const WET_PCT = 20;
const SOLUTION_PCT = 50;

const ROWS = new Map<string, readonly IncompatibilityRow[]>();
for (const row of [...incompatibilities, ...incompatibleMore])
  for (const name of new Set([row.a, row.b])) ROWS.set(name, [...(ROWS.get(name) ?? []), row]);

/** What adding `added` to `present` could do, worst first: refuse, a stated reason (danger), or a reminder (caution). */
export function clashesOf(present: readonly Present[], added: Present, meeting: Meeting = {}): readonly Clash[] {
  const incoming = classesOf(added.substanceId, added.pct);
  const rows = new Set([...incoming].flatMap((name) => ROWS.get(name) ?? []));
  const said = new Map<string, Clash>();
  const around = { all: [...present, added, ...(meeting.beside ?? [])], tempC: meeting.tempC };
  for (const each of present) {
    if (each.substanceId === added.substanceId) continue;
    const here = classesOf(each.substanceId, each.pct);
    for (const row of rows) {
      const severity = worst(
        here.has(row.a) && incoming.has(row.b) ? gravity(row, [each, added], around) : null,
        here.has(row.b) && incoming.has(row.a) ? gravity(row, [added, each], around) : null,
      );
      if (severity === null) continue;
      const condition =
        row.condition === '' ? '' : ` ${row.condition.charAt(0).toUpperCase()}${row.condition.slice(1)}.`;
      const clash: Clash = {
        severity,
        sentence: `${nameOf(added)} and ${nameOf(each)}: ${row.releases}. ${row.reason}.${condition}`,
        releases: row.releases,
      };
      const before = said.get(row.releases);
      if (!before || ORDER[clash.severity] < ORDER[before.severity]) said.set(row.releases, clash);
    }
  }
  return [...said.values()].sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}

/** How grave a row is of its two, `a` first; null where it says nothing of them. */
function gravity(
  row: IncompatibilityRow,
  [a, b]: readonly [Present, Present],
  { all, tempC }: { readonly all: readonly Present[]; readonly tempC: number | undefined },
): ClashSeverity | null {
  if (row.overC !== undefined && tempC !== undefined && tempC < row.overC) return null;
  const reached = row.grades.find(([, aFrom, bFrom]) => a.pct >= aFrom && b.pct >= bFrom)?.[0] ?? null;
  if (reached === null) return null;
  const { third } = row;
  if (third && !all.some(({ substanceId, pct }) => pct >= third[1] && classesOf(substanceId, pct).has(third[0])))
    return row.otherwise ?? null;
  const graded = row.dissolved !== undefined && isSolution(a, b, all) ? row.dissolved : reached;
  if (graded === null || graded === 'refuse' || !isDrop(a, b)) return graded;
  return graded === 'danger' ? 'caution' : null;
}

function isSolution(a: Present, b: Present, all: readonly Present[]): boolean {
  if (all.some(({ substanceId, pct }) => substanceId === 'water' && pct >= WET_PCT)) return true;
  return [a, b].some((each) => each.dry !== true && each.pct < SOLUTION_PCT);
}

const isDrop = (...two: readonly Present[]) => two.some(({ g }) => g !== undefined && g < DROP_G);

function worst(one: ClashSeverity | null, other: ClashSeverity | null): ClashSeverity | null {
  if (one === null || other === null) return one ?? other;
  return ORDER[one] <= ORDER[other] ? one : other;
}

/** What a thing in a clash is called. */
export function nameOf({ substanceId }: Pick<Present, 'substanceId'>): string {
  return substanceById(substanceId)?.name ?? keepAwayOf(substanceId)?.name ?? substanceId;
}
