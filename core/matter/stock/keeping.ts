import { type KeepingRow, keepings } from '#matter/data';
import { type Substance, substanceOf } from '#matter/substance';

const ROWS = new Map(keepings.map((row) => [row.id, row]));

/** What practice knows of how a reagent keeps, for one kind of it. */
export interface Kept {
  /** The kind: “10-30 %”, “solid”. */
  readonly as: string;
  /** Least, usual, most months to a loss of about 5 %; null where no number is held. */
  readonly months: KeepingRow['months'];
  readonly sentences: readonly string[];
  readonly grade: KeepingRow['grade'];
  readonly source: string;
}

/**
 * How a bottle's content keeps, in practice: the rows of its substance, or of its species, that speak of a solid or a solution
 * as it is one, and of its strength where they name one in %. Empty where nothing is held.
 */
export function keepingOf(
  substance: Substance,
  content: { readonly dissolved: boolean; readonly pct: number },
): readonly Kept[] {
  const ids = substance.keeping.length > 0 ? substance.keeping : substanceOf(substance.species).keeping;
  return ids
    .flatMap((id) => ROWS.get(id) ?? [])
    .filter(({ state, strength }) => isLike(state, content.dissolved) && reaches(strength, content.pct))
    .map(kept);
}

function isLike(state: string, dissolved: boolean): boolean {
  return state === 'solution' ? dissolved : !dissolved || state === 'liquid';
}

/** Whether a strength is within what a row speaks of; rows without a % speak of any. */
function reaches(strength: string, pct: number): boolean {
  const range = /(\d+(?:\.\d+)?)\s*-\s*(\d+(?:\.\d+)?) %/.exec(strength);
  if (range) return pct >= Number(range[1]) && pct <= Number(range[2]);
  const side = /^(>=|>|<) (\d+(?:\.\d+)?) %/.exec(strength);
  if (side) return side[1] === '<' ? pct < Number(side[2]) : pct >= Number(side[2]);
  return true;
}

const NOTHING = new Set(['', 'none', 'no']);

function kept({
  strength,
  months,
  container,
  notIn,
  onTheShelf,
  seen,
  light,
  vent,
  check,
  grade,
  source,
}: KeepingRow): Kept {
  const sentences = [
    [`In ${container}`, NOTHING.has(notIn) ? '' : `not in ${notIn}`],
    [NOTHING.has(onTheShelf) ? '' : `On the shelf: ${onTheShelf}`],
    [NOTHING.has(seen) ? '' : `To be seen: ${seen}`],
    [light === 'dark' ? 'Keep it dark' : ''],
    [vent === 'yes' ? 'A vented cap' : ''],
    [NOTHING.has(check) ? '' : `Check: ${check}`],
  ].flatMap((parts) => {
    const said = parts.filter((each) => each !== '').join(', ');
    return said === '' ? [] : [`${said}.`];
  });
  return { as: strength, months, sentences, grade, source };
}
