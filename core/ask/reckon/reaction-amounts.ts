import { cutPhrase, isGasFormula, type Phrase, pointAt, readStuff, readSubstanceName, type Stuff } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, type Figure, given } from '#base/figure';
import { itemAt, numberAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { balancedText, complete, gasVolume, reactionHeat } from '#matter/reaction';
import { hasDensity } from '#matter/solution';
import {
  allSubstances,
  formulaText,
  molarMassFigure,
  refusedIn,
  refusedSentence,
  type Substance,
} from '#matter/substance';
import { total } from '#matter/vessel';
import { holding, molesOf } from './amount.ts';

const ARROW = /\s*(?:<=>|->|→|⇌|=)\s*/;
const PLUS = /\s+\+\s+/;
const BY_FORMULA = new Map([...allSubstances].reverse().map((each) => [each.formula, each]));
/** Kinds of danger of which no amount is computed. */
const NEVER: ReadonlySet<string> = new Set(['energetic', 'pyrotechnic', 'weapon', 'drug']);
const WRITE = 'Write 8 g KBr + 60 mL 6% H2O2 + H2SO4 -> Br2.';

/** “8 g KBr + 60 mL 6% H2O2 + H2SO4 -> Br2”: an equation with amounts; undefined where no amount is written. */
export function reactionVerb(line: string): Result<Found> | undefined {
  const sides = line.split(ARROW);
  if (sides.length !== 2 || !/\d\s*[a-zµ]+\b.*\p{L}/iu.test(itemAt(sides, 0)) || !hasAmount(itemAt(sides, 0)))
    return undefined;
  const phrase = cutPhrase(itemAt(sides, 1));
  if (!phrase.ok) return phrase;
  const left = itemAt(sides, 0)
    .split(PLUS)
    .map((part) => readStuff(part.replace(/^\d+\s+(?=[A-Z(])/, ''), line));
  const right = phrase.value.body.split(PLUS).map((part) => readSubstanceName(part.trim(), line));
  for (const each of [...left, ...right]) if (!each.ok) return each;
  const stuffs = left.flatMap((each) => (each.ok ? [each.value] : []));
  const products = right.flatMap((each) => (each.ok ? [each.value.substance] : []));
  const named = [...stuffs.map(({ substance }) => substance), ...products].flatMap(
    ({ formula, name }) => refusedIn(formula) ?? refusedIn(name) ?? [],
  );
  const refused = named.find(({ category }) => NEVER.has(category));
  if (refused)
    return fail('beyond-scope', refusedSentence(refused), {
      at: pointAt(line, itemAt(sides, 1)),
    });
  if (stuffs.every(({ amount }) => !amount))
    return fail('missing-part', `How much of one of them? ${WRITE}`, { at: [0, line.length] });
  const balanced = complete(
    stuffs.map(({ substance }) => substance.formula),
    products.map(({ formula }) => formula),
  );
  if (!balanced.ok) return { ok: false, problem: { ...balanced.problem, at: [0, line.length] } };
  const { equation, coefficients } = balanced.value;
  const all = [...equation.left, ...equation.right].map(({ text }, i) => ({
    substance: stuffs[i]?.substance ?? products[i - stuffs.length] ?? BY_FORMULA.get(text),
    text,
    n: numberAt(coefficients, i),
  }));
  const warned = named.map(({ name, why }) => ` ${name}: ${lowered(why)}.`).join('');
  const note = `${balancedText(balanced.value)}.${warned}`;
  return amounts({ stuffs, all, phrase: { ...phrase.value, text: line }, note });
}

function lowered(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

function hasAmount(side: string): boolean {
  return /(?<![\w.,])\d[\d.,]*\s*(?:k?g|mg|m?l|cl|m?mol|oz|lb)(?![\w/])/i.test(side);
}

interface Reacting {
  readonly stuffs: readonly Stuff[];
  readonly all: readonly { readonly substance: Substance | undefined; readonly text: string; readonly n: number }[];
  readonly phrase: Phrase;
  readonly note: string;
}

function amounts({ stuffs, all, phrase, note }: Reacting): Result<Found> {
  const reach: { i: number; extent: Figure; n: Figure }[] = [];
  for (const [i, stuff] of stuffs.entries()) {
    if (!stuff.amount) continue;
    const n = molesOf(stuff, phrase);
    if (!n.ok) return n;
    reach.push({ i, n: n.value, extent: per(n.value, itemAt(all, i).n, stuff.substance.name) });
  }
  const limiting = reach.reduce((least, each) => (each.extent.value < least.extent.value ? each : least));
  const { extent } = limiting;
  const figures: Figure[] = [];
  for (const { substance, text, n } of all.slice(stuffs.length)) {
    const made = times(extent, n, substance?.name ?? text);
    figures.push(inGrams(made, substance?.name ?? text, text));
    if (isGasFormula(text)) figures.push(gasVolume(made, substance?.name ?? text, phrase.tempC, phrase.pressureHPa));
  }
  for (const { i, n } of reach) {
    if (i === limiting.i) continue;
    const { substance } = itemAt(stuffs, i);
    const used = times(extent, -itemAt(all, i).n, substance.name);
    figures.push(
      inGrams(total(`${substance.name} left over`, 'mol', n, used), `${substance.name} left over`, substance.formula),
    );
  }
  for (const [i, stuff] of stuffs.entries()) {
    if (stuff.amount) continue;
    const needed = times(extent, itemAt(all, i).n, `${stuff.substance.name} needed`);
    const isLiquid = stuff.strength !== undefined && hasDensity(stuff.substance);
    const dose = holding(needed, stuff, isLiquid ? 'volume' : 'mass', phrase);
    if (!dose.ok) return dose;
    figures.push({ ...dose.value, name: `${stuff.substance.name} needed${stuff.strength ? '' : ', pure'}` });
  }
  const heat = heatOf(all, stuffs.length, extent);
  if (heat) figures.push(heat);
  const limits = reach.length > 1 ? ` ${itemAt(stuffs, limiting.i).substance.name} limits.` : '';
  const unknown = heat ? '' : ' Heat: not known.';
  return ok({ figures, note: `${note}${limits}${unknown} If it goes to its end.` });
}

function per(n: Figure, count: number, name: string): Figure {
  const ν = given({ symbol: 'ν', name: `of ${name}`, unit: '' }, count, 'balanced');
  return derive({ symbol: 'ξ', name: `extent by ${name}`, unit: 'mol' }, 'n ÷ ν', { n, ν }, (x) => x.n / x.ν);
}

function times(extent: Figure, count: number, name: string): Figure {
  const ν = given({ symbol: 'ν', name: `of ${name}`, unit: '' }, count, 'balanced');
  return derive({ symbol: 'n', name, unit: 'mol' }, 'ξ × ν', { ξ: extent, ν }, (x) => x.ξ * x.ν);
}

function inGrams(n: Figure, name: string, formula: string): Figure {
  const M = molarMassFigure(formula);
  return derive({ symbol: `m(${formulaText(formula)})`, name, unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M);
}

/** kJ set free, everything that dissolves dissolved; undefined where one enthalpy lacks. */
function heatOf(all: Reacting['all'], left: number, extent: Figure): Figure | undefined {
  const terms = all.map(({ text, n }) => {
    const known = BY_FORMULA.get(text);
    // The water of a hydrate stands with the products, and would be counted once too little.
    return known && known.species === known.id ? [{ substanceId: known.id, n }] : [];
  });
  if (terms.some((each) => each.length === 0)) return undefined;
  const reactants = terms.slice(0, left).flat();
  const products = terms.slice(left).flat();
  const kJ = reactionHeat({ id: 'typed', reactants, products });
  if (kJ === undefined) return undefined;
  const ΔH = given(
    { symbol: 'ΔH', name: 'enthalpy of the reaction as written', unit: 'kJ/mol' },
    kJ,
    'formation enthalpies',
  );
  return derive(
    { symbol: 'q', name: kJ <= 0 ? 'heat set free, about' : 'heat taken up, about', unit: 'kJ' },
    '|ξ × ΔH|',
    { ξ: extent, ΔH },
    (x) => Math.abs(x.ξ * x.ΔH),
  );
}
