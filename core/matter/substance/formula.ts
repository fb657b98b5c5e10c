import { itemAt, lastOf, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { atomicWeights } from '#matter/data';

export interface Formula {
  /** Atoms of each element in one formula unit, hydrate water included. */
  readonly elements: Readonly<Record<string, number>>;
  /** Elementary charges. */
  readonly charge: number;
  /** Molecules of water after the dot. */
  readonly water: number;
}

const SYMBOLS = new Set(atomicWeights.map((row) => row.symbol));
const SUBSCRIPTS = '₀₁₂₃₄₅₆₇₈₉';
const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/**
 * Reads CuSO4.5H2O, CuSO4·5H2O, KAl(SO4)2.12H2O, [Fe(CN)6]^4-, Fe3+, SO4--, SO₄²⁻.
 * A digit right before a lone final sign is the charge when it follows an element or bracket that then has no count:
 * Fe3+ is Fe with 3+; SO4-- is SO4 with 2-; write SO4^2- where it could be either.
 */
export function parseFormula(text: string): Result<Formula> {
  const typed = text.trim();
  if (typed === '') return fail('missing-part', 'No formula is written; for example Na2CO3.10H2O.');
  if (typed.length > 120)
    return fail('bad-formula', 'That formula is longer than any substance here; 120 characters are the most.');
  const plain = normalise(typed);
  const { body, charge } = splitCharge(plain);
  const two = /^(.*[A-Za-z)\]])(\d)(\d)[+-]$/.exec(plain);
  if (two) {
    const sign = plain.at(-1);
    return fail(
      'bad-formula',
      `“${typed}” can mean a count of ${two[2]}${two[3]} or a charge of ${two[3]}${sign}; write ${two[1]}${two[2]}^${two[3]}${sign}.`,
    );
  }
  const elements: Record<string, number> = {};
  let water = 0;
  for (const [index, { count, text: part }] of dotParts(body).entries()) {
    const group = readGroup(part, typed);
    if (!group.ok) return group;
    if (index > 0 && isWater(group.value)) water += count;
    for (const [symbol, n] of Object.entries(group.value)) elements[symbol] = (elements[symbol] ?? 0) + n * count;
  }
  return ok({ elements, charge, water });
}

/** The formula with true subscripts, for showing. */
export function formulaText(formula: string): string {
  return formula
    .replace(/\./g, '·')
    .replace(/([A-Za-z)\]])(\d+)/g, (_, before: string, digits: string) => before + subscript(digits));
}

function subscript(digits: string): string {
  return digits.replace(/\d/g, (d) => itemAt(SUBSCRIPTS, Number(d)));
}

function normalise(text: string): string {
  return text
    .replace(/[·•∙*⋅]/g, '.')
    .replace(/[−–]/g, '-')
    .replace(/[₀-₉]/g, (d) => String(SUBSCRIPTS.indexOf(d)))
    .replace(/[⁰¹²³⁴-⁹]+(?=[⁺⁻]|$)/g, (run) => `^${[...run].map((d) => SUPERSCRIPTS.indexOf(d)).join('')}`)
    .replace(/⁺/g, '+')
    .replace(/⁻/g, '-')
    .replace(/\s+/g, '');
}

/** Parts between dots with the count before each: CaSO4.0.5H2O is CaSO4 once and H2O half a time. */
function dotParts(body: string): { count: number; text: string }[] {
  const parts: { count: number; text: string }[] = [];
  const dot = /\.(\d+\.\d+|\d*)(?=[^\d]|$)/g;
  let from = 0;
  let count = 1;
  for (const match of body.matchAll(dot)) {
    parts.push({ count, text: body.slice(from, match.index) });
    count = match[1] ? Number(match[1]) : 1;
    from = match.index + match[0].length;
  }
  parts.push({ count, text: body.slice(from) });
  const lead = /^(\d+)(.+)$/.exec(itemAt(parts, 0).text);
  if (lead) parts[0] = { count: Number(lead[1]), text: itemAt(lead, 2) };
  return parts;
}

function splitCharge(text: string): { body: string; charge: number } {
  const caret = /^(.*)\^\(?(\d*)([+-])\)?$/.exec(text);
  if (caret) return { body: itemAt(caret, 1), charge: signed(caret[2] ? Number(caret[2]) : 1, itemAt(caret, 3)) };
  const repeated = /^(.*?[^+-])(\++|-+)$/.exec(text);
  if (!repeated) return { body: text, charge: 0 };
  const [, body = '', signs = ''] = repeated;
  const trailing = /^([A-Z][a-z]?|\[.*\])(\d)$/.exec(body);
  if (signs.length === 1 && trailing) return { body: itemAt(trailing, 1), charge: signed(Number(trailing[2]), signs) };
  return { body, charge: signed(signs.length, itemAt(signs, 0)) };
}

function signed(size: number, sign: string): number {
  return sign === '-' ? -size : size;
}

function isWater(elements: Readonly<Record<string, number>>): boolean {
  return elements.H === 2 && elements.O === 1 && Object.keys(elements).length === 2;
}

function readGroup(text: string, whole: string): Result<Record<string, number>> {
  const stack: { opener: string; elements: Record<string, number> }[] = [{ opener: '', elements: {} }];
  const closes: Record<string, string> = { ')': '(', ']': '[', '}': '{' };
  let i = 0;
  const count = () => {
    const digits = /^\d+/.exec(text.slice(i))?.[0] ?? '';
    i += digits.length;
    return digits === '' ? 1 : Number(digits);
  };
  if (text === '') return fail('bad-formula', `“${whole}” has an empty part; write it like CuSO4.5H2O.`);
  while (i < text.length) {
    const c = itemAt(text, i);
    if (c === '(' || c === '[' || c === '{') {
      stack.push({ opener: c, elements: {} });
      i += 1;
      continue;
    }
    if (c in closes) {
      const inner = must(stack.pop(), 'stack');
      if (stack.length === 0 || inner.opener !== closes[c]) {
        return fail('bad-formula', `“${whole}” closes a bracket that was not opened.`);
      }
      i += 1;
      const n = count();
      const outer = lastOf(stack).elements;
      for (const [symbol, k] of Object.entries(inner.elements)) outer[symbol] = (outer[symbol] ?? 0) + k * n;
      continue;
    }
    const symbol = /^[A-Z][a-z]?/.exec(text.slice(i))?.[0];
    const element = [symbol, symbol?.[0]].find((s) => s !== undefined && SYMBOLS.has(s));
    if (!element) {
      return fail(
        'bad-formula',
        `“${whole}” has no element “${symbol ?? c}”; write symbols with a capital, like NaCl.`,
      );
    }
    i += element.length;
    const n = count();
    if (n === 0) return fail('bad-formula', `“${whole}” counts 0 atoms of ${element}; leave it out or give a count.`);
    const top = lastOf(stack).elements;
    top[element] = (top[element] ?? 0) + n;
  }
  if (stack.length > 1) return fail('bad-formula', `“${whole}” opens a bracket that is not closed.`);
  return ok(itemAt(stack, 0).elements);
}
