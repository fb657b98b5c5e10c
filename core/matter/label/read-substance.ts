import { itemAt, numberAt } from '#base/lookup';
import { type Problem, problem } from '#base/problem';
import {
  formulaText,
  nearestNames,
  refusedIn,
  refusedSentence,
  refusedSlip,
  type Substance,
  spelt,
  substancesIn,
} from '#matter/substance';
import { askedOf } from './asked.ts';
import { besideName } from './beside.ts';
import type { Claims } from './claims.ts';
import { type Question, said } from './question.ts';
import { unsaid, unsaidOfMetal } from './unsaid.ts';

/** What follows a name and turns it into something else: a remover of rust is no rust, what is free of acetone holds none. */
const TURNED =
  /^[\s-]+(?:-?free|removers?|cleaners?|killers?|inhibitors?|substitutes?|softeners?|filters?|detectors?|tests?|lamps?|batter(?:y|ies)|solders?|polish|proof)(?!\p{L})/iu;
/** What stands before a name and does the same: “non-acetone”, “without chlorine”, “spirits of salt”, “oil of vitriol”. */
const TURNS =
  /(?:(?<!\p{L})(?:non|no|without|free from|free of)[\s-]*|(?<!\p{L})(?:spirits?|oils?|milk|butter|sugar|cream|flowers?|liver|salts?|tincture|essence) of\s+)$/iu;
/** “Water” is water by itself, and after these. */
const PLAIN_WATER =
  /(?:^|[\s,;(])(?:distilled|deionised|deionized|demineralised|demineralized|purified|pure|plain|tap|rain|battery|ultrapure)\s+$|^\s*$/iu;

/** A stretch of what was typed. */
interface Stretch {
  readonly index: number;
  readonly 0: string;
}

/** A substance that is named, where it stands. */
export interface Match extends Stretch {
  readonly substance: Substance;
}

/** Every substance named, in the order they stand; hydrates and longer names of one substance count once. */
export function readSubstances(
  claims: Claims,
  problems: Problem[],
  matches: readonly Match[] = namesIn(claims),
): readonly Substance[] {
  const kept: Match[] = [];
  const again: Match[] = [];
  for (const each of [...matches].sort((x, y) => y[0].length - x[0].length)) {
    const twice = kept.some(
      ({ substance }) => substance.id === each.substance.id || related(each.substance, substance),
    );
    (twice ? again : kept).push(each);
  }
  kept.sort((x, y) => x.index - y.index);
  // A second name of the same thing says no more, and is accounted for.
  for (const match of [...kept, ...again]) claims.claim('substance', match, readingOf(match.substance));
  if (kept.length === 0) {
    problems.push(noSubstance(claims));
    return [];
  }
  const metal = kept.every(({ substance }) => substance.form === 'metal');
  const left = unsaid(claims.leftOver()) ?? (metal ? unsaidOfMetal(claims.leftOver()) : undefined);
  if (left !== undefined) {
    problems.push(partOnly(kept, left));
    return [];
  }
  return kept.map(({ substance }) => substance);
}

/** Why what is named is not planned here; undefined where a longer name makes another thing of it. */
export function refusalOf(typed: string, longer: readonly Stretch[]): Problem | undefined {
  const refused = refusedIn(typed);
  if (!refused || longer.some((each) => isLonger(each, refused))) return undefined;
  return problem('beyond-scope', `${refusedSentence(refused)} Keep it apart from everything else.`, {
    field: 'substance',
  });
}

/** What a name is read as, shown under it. */
export function readingOf({ name, formula }: Substance): string {
  return `${name}, ${formulaText(formula)}`;
}

/** A known name that holds the refused one and says more: calcium ammonium nitrate is no ammonium nitrate. */
function isLonger({ index, 0: text }: Stretch, refused: { readonly index: number; readonly length: number }): boolean {
  const end = refused.index + refused.length;
  return index <= refused.index && index + text.length >= end && text.length > refused.length;
}

/** The names that stand in what is not spoken for, in any spelling, each where it was typed. */
export function namesIn(claims: Claims): readonly Match[] {
  const { typed } = claims;
  const { text, from, to } = spelt(typed);
  return substancesIn(text).flatMap((match): readonly Match[] => {
    const index = numberAt(from, match.index);
    const end = numberAt(to, match.index + match.key.length - 1);
    const substance = match.value;
    const before = typed.slice(0, index);
    const after = typed.slice(end);
    if (claims.isClaimed(index, end) || isTurned(substance, after) || TURNS.test(before)) return [];
    if (substance.id === 'water' && !PLAIN_WATER.test(before) && !alone(before)) return [];
    return [{ index, 0: typed.slice(index, end), substance }];
  });
}

/** A copper cleaner is for copper, and a citric acid cleaner is of citric acid. */
function isTurned({ name }: Substance, after: string): boolean {
  return TURNED.test(after) && !(/ acid$/.test(name) && /^[\s-]+cleaners?(?!\p{L})/iu.test(after));
}

/** Nothing but numbers and units before it. */
function alone(before: string): boolean {
  return !/\p{L}{3}/u.test(before.replace(/\b(?:litres?|liters?|grams?|bottle|jar)\b/giu, ''));
}

/** The one substance named, by any of its names; a second, different one is a problem, and so is none. */
export function readSubstance(claims: Claims, problems: Problem[]): Substance | undefined {
  const matches = namesIn(claims);
  const refused = refusalOf(claims.typed, matches);
  const asked = refused ? undefined : (askedOf(claims.typed, matches) ?? onlyPartRead(claims, matches));
  const stop = refused ?? (asked && problem('unknown-substance', asked.asks, { field: 'substance' }));
  if (stop) {
    problems.push(stop);
    return undefined;
  }
  const [first, second] = readSubstances(claims, problems, matches);
  if (first && second) {
    const sentence = `Both ${first.name} and ${second.name} are named; one is wanted here. Take out the other.`;
    problems.push(problem('unknown-substance', sentence, { field: 'substance' }));
  }
  return first;
}

/** Asks where words beside a name may make it another: a part of a name is never taken for it. */
export function onlyPartRead(claims: Claims, named: readonly Stretch[]): Question | undefined {
  const { typed } = claims;
  const stretches = [...named].sort((a, b) => b[0].length - a[0].length);
  const isRead = (from: number, to: number) =>
    claims.isClaimed(from, to) || stretches.some((each) => each.index < to && each.index + each[0].length > from);
  for (const each of stretches) {
    const beside = besideName(typed, each, isRead);
    // A word that is known to make another thing is said by its own sentence.
    if (!beside || unsaid(beside.words.join(' ')) !== undefined) continue;
    const whole = typed.slice(...beside.at);
    const near = nearestNames(whole, 2, A_SLIP);
    const isSlip = near.length > 0;
    return {
      asks: isSlip
        ? `“${whole}” is not known here. Did you mean ${near.map((name) => `“${name}”`).join(' or ')}?`
        : `I read only “${each[0]}” of “${whole}”. Is it ${each[0]} and nothing else?`,
      choices: (isSlip ? near : [each[0]]).map((name) => ({
        says: isSlip ? name : `${name}, nothing else`,
        decides: '',
        text: said(typed, beside.at, name),
      })),
    };
  }
  return undefined;
}

/** Part of a name was read and another part of it was not: the whole may be something else altogether. */
function partOnly(kept: readonly Match[], word: string): Problem {
  const read = kept.map(({ substance }) => substance.name).join(' and ');
  return problem(
    'unknown-substance',
    `“${word}” changes what it is, and is not understood: “${itemAt(kept, 0)[0]}” alone would be ${read}. Write the whole name as the label has it, or its formula.`,
    { field: 'substance' },
  );
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
  const slip = refusedSlip(words);
  if (slip) return problem('beyond-scope', `${refusedSentence(slip)} Keep it apart from everything else.`, field);
  const near = nearestIn(words);
  const meant = near.map((name) => `“${name}”`).join(' or ');
  const hint = near.length > 0 ? `Did you mean ${meant}?` : 'Use its chemical or common name.';
  return problem('unknown-substance', `No substance known here is named in “${words.slice(0, 60)}”. ${hint}`, field);
}

function related(a: Substance, b: Substance): boolean {
  return a.species === b.species || b.name.includes(a.name);
}

/** Letters that a slip of the pen has wrong at most. */
export const A_SLIP = 2;
/** A shorter name is two letters from too many others. */
const LEAST_LETTERS = 6;

/** Nearest names to the whole of what is left, or to any two or one of its words. */
function nearestIn(words: string): readonly string[] {
  const slips = words.length >= LEAST_LETTERS ? nearestNames(words.slice(0, 60), 2, A_SLIP) : [];
  if (slips.length > 0) return slips;
  // A word that makes another thing of its neighbours leaves no near name that would do.
  if (unsaid(words) !== undefined || !/\p{L}{2}/u.test(words)) return [];
  const list = words.split(/\s+/).slice(0, 8);
  const pairs = list.slice(1).map((word, i) => `${list[i]} ${word}`);
  const tries = [words.slice(0, 60), ...pairs, ...list.filter((word) => word.length > 4)];
  return [...new Set(tries.flatMap((each) => nearestNames(each, 2)))].slice(0, 3);
}
