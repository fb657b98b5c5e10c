import { cutPhrase, type Phrase, pointAt, readStuff, type Stuff } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { molarMassFigure, parseFormula, type Substance } from '#matter/substance';
import { molesOf } from './amount.ts';

const HOW = 'Write yield 31 g ferric alum from 24 g FeSO4.7H2O.';

/** What is commonest on both sides and comes in with other reagents too is counted by last. */
const LAST = ['K', 'Na', 'N', 'S', 'Cl', 'C'];

/**
 * “yield 31 g ferric alum from 24 g FeSO4.7H2O”: the share of the starting material’s element that is in the product. Counted by one
 * element they share, a metal first; carbon alone only where a molecule becomes one, for it may come in with others.
 */
export function yieldVerb(rest: string, line: string): Result<Found> {
  const parts = /^(.+?)\s+(?:from|of)\s+(\d.+)$/is.exec(rest.trim()) ?? /^(.+?)\s+from\s+(.+)$/is.exec(rest.trim());
  if (!parts) return fail('missing-part', HOW, { at: pointAt(line, rest) });
  const [made, from] = [readStuff(itemAt(parts, 1), line), readStuff(itemAt(parts, 2), line)];
  if (!made.ok) return made;
  if (!from.ok) return from;
  for (const [stuff, word] of [[made.value, itemAt(parts, 1)] as const, [from.value, itemAt(parts, 2)] as const])
    if (!stuff.amount || !(stuff.amount.value > 0))
      return fail('missing-part', `How much ${stuff.substance.name}? A yield takes two amounts above 0. ${HOW}`, {
        at: pointAt(line, word),
      });
  const element = sharedElement(made.value.substance, from.value.substance);
  if (!element.ok) return { ok: false, problem: { ...element.problem, at: pointAt(line, itemAt(parts, 2)) } };
  const phrase = cutPhrase(line);
  return phrase.ok ? counted({ made: made.value, from: from.value, by: element.value, phrase: phrase.value }) : phrase;
}

interface Shared {
  readonly element: string;
  readonly made: number;
  readonly from: number;
}

/** What both hold besides oxygen and hydrogen, and how many atoms of it. */
function sharedElement(made: Substance, from: Substance): Result<Shared> {
  const [inMade, inFrom] = [parseFormula(made.formula), parseFormula(from.formula)];
  if (!inMade.ok) return inMade;
  if (!inFrom.ok) return inFrom;
  const shared = Object.entries(inMade.value.elements)
    .map(([element, n]) => ({ element, made: n, from: inFrom.value.elements[element] ?? 0 }))
    .filter((each) => each.from > 0 && !['H', 'O'].includes(each.element))
    .sort((a, b) => LAST.indexOf(a.element) - LAST.indexOf(b.element));
  const [best] = shared;
  if (!best || (best.element === 'C' && best.made !== best.from))
    return fail(
      'out-of-range',
      `${made.name} and ${from.name} share no element a yield could be counted by; give the reaction with balance, and the amounts in mol.`,
    );
  return ok(best);
}

interface Yielding {
  readonly made: Stuff;
  readonly from: Stuff;
  readonly by: Shared;
  readonly phrase: Phrase;
}

function counted({ made, from, by, phrase }: Yielding): Result<Found> {
  const [n, start] = [molesOf(made, phrase), molesOf(from, phrase)];
  if (!n.ok) return n;
  if (!start.ok) return start;
  const inputs = {
    n: n.value,
    s: start.value,
    a: given({ symbol: 'a', name: `${by.element} in ${made.substance.formula}`, unit: '' }, by.made, 'counted'),
    b: given({ symbol: 'b', name: `${by.element} in ${from.substance.formula}`, unit: '' }, by.from, 'counted'),
  };
  const share = derive(
    { symbol: 'η', name: `yield by ${by.element}`, unit: '%' },
    '100 × n × a ÷ (s × b)',
    inputs,
    (x) => (100 * x.n * x.a) / (x.s * x.b),
  );
  const whole = { ...inputs, M: molarMassFigure(made.substance.formula) };
  const theory = derive(
    { symbol: 'm', name: `${made.substance.name}, all of it`, unit: 'g' },
    's × b ÷ a × M',
    whole,
    (x) => ((x.s * x.b) / x.a) * x.M,
  );
  const over =
    share.value > 100.5
      ? ' More than all of it: weighed wet, another salt with it, or more went in than was counted.'
      : '';
  return ok({
    figures: [share, theory],
    note: `Counted by ${by.element}: right where all the ${by.element} came from ${from.substance.name}.${over}`,
  });
}
