import { pointAt } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, type Figure, given } from '#base/figure';
import { entryOf, must, numberAt } from '#base/lookup';
import { fail, ok, type Problem, type Result } from '#base/problem';
import { findUnit, parseNumber } from '#base/units';

/** Powers of what is measured: g, mL, mol. */
type Powers = readonly number[];
const KINDS = ['mass', 'volume', 'amount'] as const;
const INNER = ['g', 'mL', 'mol'] as const;

interface Value {
  readonly powers: Powers;
  /** The sum as it is shown, in the letters of its numbers. */
  readonly text: string;
  readonly compute: (x: Readonly<Record<string, number>>) => number;
}

const TOKEN = /\s*(?:(\d[\d.,]*(?:e[-+]?\d+)?)\s*(%|[a-zµμ°][a-zµμ³3]*(?:\.?\s?oz|\s(?:gal|pint))?)?|([-+*/×÷·−()]))/iy;

type Token =
  | { readonly is: 'number'; readonly figure: Figure; readonly powers: Powers }
  | { readonly is: 'sign'; readonly sign: string };

class Stumble extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.message);
    this.problem = problem;
  }
}

/**
 * “4.5 L / 350 mL”, “46.1 / 92.7 in %”, “(12.4 g - 9.1 g) / 0.95”: plain arithmetic with g, mL, mol and their kin.
 * Undefined where the line is anything else; a sum that mixes kinds, or divides by nothing, is refused.
 */
export function arithmetic(line: string): Result<Found> | undefined {
  const [, body = line, wanted] = /^(.*?)\s+(?:in|to|as)\s+(.+)$/i.exec(line) ?? [];
  const tokens = tokensOf(body);
  if (!tokens?.some((each) => each.is === 'sign' && '+-*/'.includes(each.sign))) return undefined;
  if (tokens.filter((each) => each.is === 'number').length < 2) return undefined;
  try {
    return answer(new Sum(tokens, line).whole(), tokens, { wanted, line });
  } catch (error) {
    if (error instanceof Stumble) return { ok: false, problem: error.problem };
    throw error;
  }
}

function tokensOf(body: string): readonly Token[] | undefined {
  const tokens: Token[] = [];
  const reader = new RegExp(TOKEN);
  while (reader.lastIndex < body.trimEnd().length) {
    const [, number, unit, sign] = reader.exec(body) ?? [];
    if (sign) tokens.push({ is: 'sign', sign: plainSign(sign) });
    else if (number) {
      const token = numberOf(number, unit, tokens.length);
      if (!token) return undefined;
      tokens.push(token);
    } else return undefined;
  }
  return tokens;
}

const SIGNS: Readonly<Record<string, string>> = { '×': '*', '·': '*', '÷': '/', '−': '-' };
const plainSign = (sign: string) => SIGNS[sign] ?? sign;

function numberOf(text: string, unitText: string | undefined, place: number): Token | undefined {
  const read = parseNumber(text);
  const unit = unitText === undefined ? undefined : findUnit(unitText);
  const kind = KINDS.indexOf(unit?.dimension as (typeof KINDS)[number]);
  if (!read.ok || (unitText !== undefined && kind < 0 && unit?.dimension !== 'fraction')) return undefined;
  const naming = { symbol: letter(place), name: `${text}${unit ? ` ${unit.name}` : ''}`, unit: INNER[kind] ?? '' };
  const powers = KINDS.map((_, i) => (i === kind ? 1 : 0));
  return { is: 'number', figure: given(naming, read.value * (unit?.factor ?? 1), 'as typed'), powers };
}

const letter = (place: number) => (place < 26 ? String.fromCharCode(97 + place) : `x${place}`);

/** Reads sums of products of numbers and brackets, in the usual order. */
class Sum {
  private at = 0;
  private readonly tokens: readonly Token[];
  private readonly line: string;

  constructor(tokens: readonly Token[], line: string) {
    this.tokens = tokens;
    this.line = line;
  }

  whole(): Value {
    const value = this.sum();
    if (this.at < this.tokens.length) this.stumble('Two numbers stand side by side; put +, −, × or / between them.');
    return value;
  }

  private sum(): Value {
    let value = this.product();
    for (let sign = this.take('+-'); sign; sign = this.take('+-')) {
      const [a, b] = [value, this.product()];
      if (a.powers.some((each, i) => each !== b.powers[i]))
        this.stumble(`${unitOf(a.powers) || 'A number'} and ${unitOf(b.powers) || 'a number'} do not add up.`);
      const by = sign === '+' ? 1 : -1;
      value = {
        powers: a.powers,
        text: `${a.text} ${sign === '+' ? '+' : '−'} ${b.text}`,
        compute: (x) => a.compute(x) + by * b.compute(x),
      };
    }
    return value;
  }

  private product(): Value {
    let value = this.factor();
    for (let sign = this.take('*/'); sign; sign = this.take('*/')) {
      const [a, b, times] = [value, this.factor(), sign === '*'];
      value = {
        powers: a.powers.map((each, i) => each + (times ? 1 : -1) * numberAt(b.powers, i)),
        text: `${a.text} ${times ? '×' : '÷'} ${b.text}`,
        compute: (x) => (times ? a.compute(x) * b.compute(x) : a.compute(x) / b.compute(x)),
      };
    }
    return value;
  }

  private factor(): Value {
    if (this.take('-')) {
      const inner = this.factor();
      return { ...inner, text: `−${inner.text}`, compute: (x) => -inner.compute(x) };
    }
    if (this.take('(')) {
      const inner = this.sum();
      if (!this.take(')')) this.stumble('A bracket is not closed.');
      return { ...inner, text: `(${inner.text})` };
    }
    const token = this.tokens[this.at];
    if (token?.is !== 'number') return this.stumble('A number is missing, after a sign or in a bracket.');
    this.at += 1;
    const { symbol } = token.figure;
    return { powers: token.powers, text: symbol, compute: (x) => entryOf(x, symbol) };
  }

  private take(signs: string): string | undefined {
    const token = this.tokens[this.at];
    if (token?.is !== 'sign' || !signs.includes(token.sign)) return undefined;
    this.at += 1;
    return token.sign;
  }

  private stumble(message: string): never {
    throw new Stumble({ code: 'not-a-number', message, at: [0, this.line.length] });
  }
}

function unitOf(powers: Powers): string {
  const part = (sign: 1 | -1) =>
    INNER.flatMap((unit, i) => {
      const power = numberAt(powers, i) * sign;
      return power > 0 ? [power === 1 ? unit : `${unit}^${power}`] : [];
    }).join(' ');
  const below = part(-1);
  return below === '' ? part(1) : `${part(1) || '1'}/${below}`;
}

function answer(
  { powers, text, compute }: Value,
  tokens: readonly Token[],
  { wanted, line }: { readonly wanted: string | undefined; readonly line: string },
): Result<Found> {
  const inputs = Object.fromEntries(
    tokens.flatMap((each) => (each.is === 'number' ? [[each.figure.symbol, each.figure]] : [])),
  );
  const unit = wanted === undefined ? undefined : findUnit(wanted);
  const here = unitOf(powers);
  const kind = KINDS.indexOf(unit?.dimension as (typeof KINDS)[number]);
  const fits =
    wanted === undefined ||
    (unit?.dimension === 'fraction' ? powers.every((each) => each === 0) : INNER[kind] === here);
  if (!fits)
    return fail('unit-does-not-fit', `That comes out in ${here || 'a plain number'}, not in “${wanted}”.`, {
      at: pointAt(line, must(wanted, 'wanted')),
    });
  const factor = unit?.factor ?? 1;
  const formula = factor === 1 ? text : `(${text}) ÷ ${factor}`;
  const value = compute(Object.fromEntries(Object.entries(inputs).map(([key, figure]) => [key, figure.value])));
  if (!Number.isFinite(value))
    return fail('out-of-range', 'That divides by nothing; there is no such number.', { at: [0, line.length] });
  return ok({
    figures: [
      derive({ symbol: 'y', name: 'comes to', unit: unit?.name ?? here }, formula, inputs, (x) => compute(x) / factor),
    ],
  });
}
