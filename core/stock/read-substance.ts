import { type Problem, problem } from '#core/problem';
import { findSubstance, formulaText, nearestNames, type Substance, substanceNames } from '#core/substance';
import type { Claims } from './claims.ts';

const NAMES = new RegExp(
  `(?<![\\p{L}\\p{N}])(${substanceNames().map(escapePattern).join('|')})(?![\\p{L}\\p{N}])`,
  'giu',
);

/** The substance named, by any of its names; a second, different one is a problem, and so is none. */
export function readSubstance(claims: Claims, problems: Problem[]): Substance | undefined {
  const matches = claims.free(NAMES).map((match) => ({ match, substance: findSubstance(match[1] ?? '') }));
  const [first] = matches.sort((a, b) => b.match[0].length - a.match[0].length);
  if (first?.substance) {
    claims.claim('substance', first.match, `${first.substance.name}, ${formulaText(first.substance.formula)}`);
    const other = matches.find(
      ({ substance }) => substance && substance.id !== first.substance?.id && !related(substance, first.substance!),
    );
    if (other?.substance) {
      const sentence = `Both ${first.substance.name} and ${other.substance.name} are named; a bottle here holds one. Take out the other.`;
      problems.push(
        problem('unknown-substance', sentence, {
          field: 'substance',
          at: [other.match.index, other.match.index + other.match[0].length],
        }),
      );
    }
    return first.substance;
  }
  const words = claims.leftOver();
  if (words === '') {
    problems.push(
      problem('missing-part', 'What is it? Name the substance, such as “hydrochloric acid” or “washing soda”.', {
        field: 'substance',
      }),
    );
    return undefined;
  }
  const near = nearestIn(words);
  const hint =
    near.length > 0
      ? ` Did you mean ${near.map((name) => `“${name}”`).join(' or ')}?`
      : ' Use its chemical or common name.';
  problems.push(
    problem('unknown-substance', `No substance known here is named in “${words.slice(0, 60)}”.${hint}`, {
      field: 'substance',
    }),
  );
  return undefined;
}

function related(a: Substance, b: Substance): boolean {
  return (
    a.anhydrous === b.id ||
    b.anhydrous === a.id ||
    (a.anhydrous !== undefined && a.anhydrous === b.anhydrous) ||
    b.name.includes(a.name)
  );
}

/** Nearest names to the whole of what is left, or to any two or one of its words. */
function nearestIn(words: string): readonly string[] {
  const list = words.split(/\s+/).slice(0, 8);
  const pairs = list.slice(1).map((word, i) => `${list[i]} ${word}`);
  const tries = [words.slice(0, 60), ...pairs, ...list.filter((word) => word.length > 4)];
  return [...new Set(tries.flatMap((each) => nearestNames(each, 2)))].slice(0, 3);
}

function escapePattern(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');
}
