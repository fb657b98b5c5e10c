import { type Problem, problem } from '#core/problem';
import { findSubstance, formulaText, nearestNames, type Substance, substanceNames } from '#core/substance';
import type { Claims } from './claims.ts';

const NAMES = new RegExp(
  `(?<![\\p{L}\\p{N}])(${substanceNames().map(escapePattern).join('|')})(?![\\p{L}\\p{N}])`,
  'giu',
);

/** Every substance named, in the order they stand; hydrates and longer names of one substance count once. */
export function readSubstances(claims: Claims, problems: Problem[]): readonly Substance[] {
  const matches = claims
    .free(NAMES)
    .flatMap((match) => {
      const substance = findSubstance(match[1] ?? '');
      return substance ? [{ match, substance }] : [];
    })
    .sort((x, y) => y.match[0].length - x.match[0].length);
  const kept: typeof matches = [];
  for (const each of matches) {
    if (!kept.some(({ substance }) => substance.id === each.substance.id || related(each.substance, substance)))
      kept.push(each);
  }
  kept.sort((x, y) => x.match.index - y.match.index);
  for (const { match, substance } of kept)
    claims.claim('substance', match, `${substance.name}, ${formulaText(substance.formula)}`);
  if (kept.length === 0) problems.push(noSubstance(claims));
  return kept.map(({ substance }) => substance);
}

/** The one substance named, by any of its names; a second, different one is a problem, and so is none. */
export function readSubstance(claims: Claims, problems: Problem[]): Substance | undefined {
  const [first, second] = readSubstances(claims, problems);
  if (first && second) {
    const sentence = `Both ${first.name} and ${second.name} are named; one is wanted here. Take out the other.`;
    problems.push(problem('unknown-substance', sentence, { field: 'substance' }));
  }
  return first;
}

function noSubstance(claims: Claims): Problem {
  const words = claims.leftOver();
  const field = { field: 'substance' };
  if (words === '') {
    return problem(
      'missing-part',
      'What is it? Name the substance, such as “hydrochloric acid” or “washing soda”.',
      field,
    );
  }
  const near = nearestIn(words);
  const meant = near.map((name) => `“${name}”`).join(' or ');
  const hint = near.length > 0 ? `Did you mean ${meant}?` : 'Use its chemical or common name.';
  return problem('unknown-substance', `No substance known here is named in “${words.slice(0, 60)}”. ${hint}`, field);
}

function related(a: Substance, b: Substance): boolean {
  return a.species === b.species || b.name.includes(a.name);
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
