import { cutPhrase, isGasFormula, type Phrase, readStuff, readSubstanceName, type Stuff } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, type Figure, given } from '#base/figure';
import { itemAt, numberAt } from '#base/lookup';
import { fail, ok, type Problem, problem, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { clashesOf, isCapped, overCapOf } from '#matter/guard';
import { balancedText, complete, gasVolume, reactionHeat } from '#matter/reaction';
import { hasDensity } from '#matter/solution';
import {
  allSubstances,
  bareSubstance,
  formulaText,
  molarMassFigure,
  refusedIn,
  refusedSentence,
  refusedThing,
  type Substance,
  substanceOf,
} from '#matter/substance';
import { total } from '#matter/vessel';
import { holding, molesOf } from './amount.ts';

const ARROW = /\s*(?:<=>|->|→|⇌|=)\s*/;
const PLUS = /\s+\+\s+/;
const BY_FORMULA = new Map([...allSubstances].reverse().map((each) => [each.formula, each]));
/** Mass % of a solution of which no strength is written: as bench solutions are. */
const SOME_PCT = 10;
/** Planned dilute in water, and never by itself. */
const IN_WATER_ONLY: ReadonlySet<string> = new Set(['bromine']);
/** Kinds of danger of which no amount is computed. */
const NEVER: ReadonlySet<string> = new Set(['energetic', 'pyrotechnic', 'weapon', 'drug']);
const WRITE = 'Write 7 g KBr + 60 mL 6% H2O2 + H2SO4 -> Br2.';

/** “7 g KBr + 60 mL 6% H2O2 + H2SO4 -> Br2”: an equation with amounts; undefined where no amount is written. */
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
  const written = [...stuffs.map(({ substance }) => substance), ...products];
  const allowed = ofScope(written) ?? ofMeeting(stuffs);
  if (allowed) return { ok: false, problem: { ...allowed, at: [0, line.length] } };
  if (stuffs.every(({ amount }) => !amount))
    return fail('missing-part', `How much of one of them? ${WRITE}`, { at: [0, line.length] });
  const taken = stuffs.map(({ substance }) => substance.formula);
  const made = products.map(({ formula }) => formula);
  const wet = isCrystalFromWater(stuffs, products) ? complete([...taken, 'H2O'], made) : undefined;
  // The water of a crystal comes out of what the rest is dissolved in: there is always enough of it.
  if (wet?.ok) stuffs.push({ substance: substanceOf('water'), known: true, amount: undefined, strength: undefined });
  const balanced = wet?.ok ? wet : complete(taken, made);
  if (!balanced.ok) return { ok: false, problem: { ...balanced.problem, at: [0, line.length] } };
  const { equation, coefficients } = balanced.value;
  const all = [...equation.left, ...equation.right].map(({ text }, i) => ({
    substance: stuffs[i]?.substance ?? products[i - stuffs.length] ?? BY_FORMULA.get(text),
    text,
    n: numberAt(coefficients, i),
  }));
  // What nobody wrote and comes off all the same is asked about too.
  const besides = ofScope(all.map(({ substance, text }) => substance ?? bareSubstance(text, text)));
  if (besides) return { ok: false, problem: { ...besides, at: [0, line.length] } };
  return amounts({ stuffs, all, phrase: { ...phrase.value, text: line }, note: `${balancedText(balanced.value)}.` });
}

function pctMet({ substance, strength }: Stuff): number {
  if (strength?.unit === 'w/w') return strength.value;
  return strength || substance.form === 'dissolved' ? SOME_PCT : 100;
}

/** What of an equation is known and not planned; a poison gas that is made in small amounts is asked about by its amount. */
function ofScope(things: readonly Substance[]): Problem | null {
  for (const { id, formula, name } of things) {
    if (isCapped(formula)) continue;
    const named = refusedIn(name);
    const refused =
      refusedThing({ name, formula }) ?? (named && NEVER.has(named.category) ? named : undefined) ?? wholeName(formula);
    if (refused && !IN_WATER_ONLY.has(id)) return problem('beyond-scope', refusedSentence(refused));
  }
  return null;
}

/** Whether a product takes up water of crystal, and a solution is there that has it. */
function isCrystalFromWater(stuffs: readonly Stuff[], products: readonly Substance[]): boolean {
  const isWet = stuffs.some(({ strength, substance }) => strength !== undefined || substance.form === 'dissolved');
  const hasWater = stuffs.some(({ substance }) => substance.id === 'water');
  return isWet && !hasWater && products.some(({ species, id }) => species !== id);
}

function wholeName(formula: string): ReturnType<typeof refusedIn> {
  const found = refusedIn(formula);
  return found && found.length >= formula.length ? found : undefined;
}

/** Two of what is put together that never may meet, at the strengths that are written; where none is, as strong as in the mixture. */
function ofMeeting(stuffs: readonly Stuff[]): Problem | null {
  const present = stuffs.map((stuff) => ({ substanceId: stuff.substance.id, pct: pctMet(stuff) }));
  for (const [i, added] of present.entries()) {
    const here = present.filter((_, j) => j !== i);
    const worst = clashesOf(here, added, { beside: present }).find(({ severity }) => severity === 'refuse');
    if (worst) return problem('beyond-scope', `Two things meet here that never may. ${worst.sentence}`);
  }
  return null;
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
    const over = overCapOf(text, made.value);
    if (over) return overCap(over, { stuffs, limiting: limiting.i });
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
    if (stuff.amount || stuff.substance.id === 'water') continue;
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

/** A gas that is made beyond its cap, with the most that may be begun with. */
function overCap(
  { says, within }: NonNullable<ReturnType<typeof overCapOf>>,
  { stuffs, limiting }: { readonly stuffs: readonly Stuff[]; readonly limiting: number },
): Result<never> {
  const { amount, substance } = itemAt(stuffs, limiting);
  const unit = amount && { mass: 'g', volume: 'mL', amount: 'mol' }[amount.dimension];
  const most = amount && within > 0 ? Number((amount.value * within * 0.995).toPrecision(2)) : 0;
  const instead = most > 0 ? ` At most ${formatNumber(most, 2)} ${unit} of ${substance.name} at a time here.` : '';
  return fail('beyond-scope', `${says}${instead}`);
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
