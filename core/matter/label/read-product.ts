import { itemAt, must, numberAt } from '#base/lookup';
import { type Problem, problem } from '#base/problem';
import { keyOf, refusedIn, type Substance, spelt } from '#matter/substance';
import { type ContentSaid, carries } from './by-content.ts';
import type { Claims } from './claims.ts';
import { productsIn } from './find.ts';
import { holds, type Product } from './product.ts';
import { type Question, said } from './question.ts';
import type { ReadStrength } from './read-strength.ts';
import type { Match } from './read-substance.ts';

/** A product name in a label, with all that are sold under it. */
export interface Sold {
  readonly at: readonly [number, number];
  readonly products: readonly Product[];
}

/** What a product name comes to: one product, a question, a refusal, or no more than its name. */
export type Bought =
  | { readonly is: 'product'; readonly product: Product }
  | { readonly is: 'substance'; readonly among: readonly Product[] }
  | { readonly is: 'asked'; readonly question: Question }
  | { readonly is: 'refused'; readonly problem: Problem };

/** What else a label says, by which one is told from another. */
interface Besides {
  readonly named: readonly Match[];
  readonly strengths: readonly ReadStrength[];
  readonly content: ContentSaid | undefined;
}

/** What is said of a form, and the forms it means. */
const FORMS: readonly (readonly [RegExp, RegExp])[] = [
  [/\b(?:powder|powdered)\b/i, /powder/],
  [/\b(?:liquid|solution|fluid|sprays?)\b/i, /solution|liquid/],
  [/\bgel\b/i, /gel/],
  [/\b(?:cream|paste)\b/i, /cream/],
  [/\b(?:crystals?|crystalline)\b/i, /crystals/],
  [/\b(?:granules?|granular|beads?|pearls?|prills?|flakes?|pellets?)\b/i, /granules/],
  [/\b(?:tablets?|tabs?)\b/i, /tablets/],
  [/\b(?:foil|wire|strip|sheet|rod|bar|ingot)\b/i, /metal/],
];
/** A strength this far beyond what is sold is of another product. */
const BEYOND = 1.25;

/** The product names that stand in a label, the longest first; names of chemistry after those of the trade. */
export function soldAs(claims: Claims, named: readonly Match[]): readonly Sold[] {
  const { text, from, to } = spelt(claims.typed);
  const isChemical = (at: Sold['at']) =>
    named.some(
      ({ index, 0: typed, substance }) =>
        index === at[0] && index + typed.length === at[1] && keyOf(substance.name) === keyOf(typed),
    );
  const names = productsIn(text)
    .map(
      (each): Sold => ({
        at: [numberAt(from, each.index), numberAt(to, each.index + each.key.length - 1)],
        products: each.value,
      }),
    )
    // A name may hold its strength: “developer 20 vol”.
    .filter(({ at: [begin, end] }) => !claims.isClaimed(begin, end, 'strength'));
  const rank = ({ at }: Sold) => at[1] - at[0] - (isChemical(at) ? claims.typed.length : 0);
  return names.sort((a, b) => rank(b) - rank(a));
}

/** Decides between the products of a name, by what else the label says; else asks. */
export function boughtAs(typed: string, sold: Sold, { named, strengths, content }: Besides): Bought {
  const [from, to] = sold.at;
  const ends = ({ index, 0: text }: Match) => index + text.length;
  const around = `${typed.slice(0, from)} ${typed.slice(to)}`;
  const within = named.filter((each) => each.index < to && ends(each) > from);
  // A known name that reaches further, or whose water of crystal is named, is what is meant.
  if (within.length > 0 && /hydrate(?!\p{L})|h2o/iu.test(around)) return { is: 'substance', among: [] };
  if (within.some((each) => each.index <= from && ends(each) >= to && each[0].length > to - from))
    return { is: 'substance', among: [] };
  const beside = named.filter((each) => !within.includes(each));
  const without = negated(typed);
  const of = content?.of ?? (strengths[0]?.unit === 'Cl g/L' ? 'available chlorine' : undefined);
  const fitting = sold.products.filter(
    (product) =>
      beside.every(({ substance }) => holds(product, substance)) &&
      !without.some((word) => product.parts.some(({ name }) => keyOf(name).includes(word))) &&
      (of === undefined || product.parts.some(({ substance }) => substance && carries(substance, of))),
  );
  if (fitting.length === 0) return contradicted(typed.slice(from, to), sold.products, beside);
  // Each part named with its strength: the label says it all.
  if (beside.length > 0 && strengths.length >= beside.length && !fitting.every(isRefused))
    return { is: 'substance', among: [] };
  const fits = narrowed(fitting, around, beside.length > 0 ? undefined : strengths[0]);
  // Narrowing leaves at least one.
  const first = itemAt(fits, 0);
  if (fits.every(isRefused)) return refusal(first);
  const plain = bare(typed.slice(from, to));
  const same = within.find((each) => bare(each[0]) === plain)?.substance;
  const main = mainOf(fits);
  const told = strengths.length > 0 || content !== undefined;
  if (same) {
    if ([keyOf(same.name), keyOf(same.formula)].includes(plain) || main?.described)
      return { is: 'substance', among: fits };
    if (main?.species === same.species && (told ? isOneSubstance(fits) : isOneThing(fits)))
      return fits.length === 1 && main.id === same.id
        ? { is: 'product', product: first }
        : { is: 'substance', among: fits };
  }
  if (fits.length === 1) return { is: 'product', product: first };
  if (told && isOneSubstance(fits) && fits.every(({ parts }) => parts.length === 1))
    return {
      is: 'product',
      product: { ...first, name: typed.slice(from, to), besides: '', test: '', decides: '' },
    };
  return { is: 'asked', question: which(typed, sold.at, fits) };
}

const QUALITY =
  /(?<!\p{L})(?:pure|plain|powder(?:ed)?|granular|granule|metal|food|technical|grade|fine|dry)(?!\p{L})/gu;

/** A name without words that say how good or how fine it is. */
function bare(name: string): string {
  return keyOf(name).replace(QUALITY, ' ').replace(/\s+/g, ' ').trim();
}

function isOneSubstance(products: readonly Product[]): boolean {
  return new Set(products.map(({ parts }) => parts[0]?.substance?.id)).size === 1;
}

/** Points of mass % by which what is sold under one name may differ and be one thing. */
const ALIKE = 6;

/** Whether all that is sold under a name is the same, as near as one weighs. */
function isOneThing(products: readonly Product[]): boolean {
  if (products.length === 1) return true;
  const mains = products.flatMap(({ parts: [main] }) => (main && main.typical !== null ? [main] : []));
  const typical = mains.map((each) => must(each.typical, 'typical'));
  return (
    mains.length === products.length &&
    products.every(({ parts }) => parts.slice(1).every((each) => (each.typical ?? 0) < ALIKE)) &&
    isOneSubstance(products) &&
    Math.max(...typical) - Math.min(...typical) <= ALIKE
  );
}

const NOT =
  /(?<!\p{L})(?:non|without|free of|free from|no)[\s-]+(\p{L}{4,})|(?<!\p{L})(\p{L}{4,})[\s-]+free(?!\p{L})/gu;

/** What a label says is not in it. */
function negated(typed: string): readonly string[] {
  return [...keyOf(typed).matchAll(NOT)].map(([, after, before]) => must(after ?? before, 'name behind “not”'));
}

/** Which of several it is: what is said under one name, each by its own. */
export function which(typed: string, at: readonly [number, number], products: readonly Product[]): Question {
  return {
    asks: `“${typed.slice(...at)}” is sold as more than one thing. Which is it?`,
    choices: products.map((product) => ({
      says: `${product.name}: ${contains(product)}${isRefused(product) ? ' (not used here)' : ''}`,
      decides: decisive(product),
      text: said(typed, at, product.name),
    })),
  };
}

/** “sodium hypochlorite 2.5 to 8.25 %”. */
export function contains({ parts }: Product): string {
  return parts
    .map(({ name, typical, low, high, unit }) =>
      typical === null ? name : `${name} ${shown(low)} to ${shown(high)} %${unit === 'w/w' ? '' : ` ${unit}`}`,
    )
    .join(', ');
}

function shown(value: number): string {
  return String(Number(value.toPrecision(3)));
}

function decisive({ decides, test }: Product): string {
  const asked = /decide: (.+)$/.exec(decides)?.[1];
  return [asked, test === '' ? undefined : `test: ${test}`].filter((each) => each !== undefined).join('; ');
}

/** The main substance that all of them share. */
function mainOf(products: readonly Product[]): Substance | undefined {
  const mains = products.map(({ parts }) => parts[0]?.substance ?? null);
  const [first] = mains;
  return first && mains.every((each) => each?.species === first.species) ? first : undefined;
}

/** Those that a form, a part or a strength on the label leaves. */
function narrowed(
  products: readonly Product[],
  around: string,
  strength: ReadStrength | undefined,
): readonly Product[] {
  let left = products;
  const keep = (by: (product: Product) => boolean) => {
    const kept = left.filter(by);
    if (kept.length > 0) left = kept;
  };
  const words = keyOf(around);
  for (const word of ['lead', 'antimony', 'chlorate', 'bifluoride'])
    if (new RegExp(`(?<!\\p{L})${word}(?![\\p{L}]|[ -]?free)`, 'u').test(words))
      keep(({ parts, besides }) => parts.some(({ name }) => name.includes(word)) || besides.includes(word));
  for (const [typed, form] of FORMS) if (typed.test(around)) keep((product) => form.test(product.form));
  if (strength)
    keep(({ parts: [main] }) => {
      if (!main || main.typical === null) return false;
      return strength.value >= main.low / BEYOND && strength.value <= main.high * BEYOND;
    });
  return left;
}

/** By its own row, or since what it mainly is may not be had here. */
export function isRefused({ scope, parts: [main] }: Product): boolean {
  return scope === 'refused' || (main !== undefined && refusedIn(main.name)?.length === main.name.length);
}

/** A product is named, and beside it what is in none such: a code decides, a word of the trade does not. */
function contradicted(name: string, products: readonly Product[], beside: readonly Match[]): Bought {
  const [first] = beside;
  if (!first || /\p{L}/u.test(name)) return { is: 'substance', among: [] };
  const sentence = `${name} is ${products.map((each) => each.name).join(' or ')}, and no ${first.substance.name}. Take out which of the two it is not.`;
  return { is: 'refused', problem: problem('unknown-substance', sentence, { field: 'substance' }) };
}

function refusal({ name, note }: Product): Bought {
  const why = note === '' ? '' : `: ${note}`;
  return {
    is: 'refused',
    problem: problem(
      'beyond-scope',
      `${capital(name)} is known and not planned here${why}. Keep it apart from everything else.`,
      { field: 'substance' },
    ),
  };
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
