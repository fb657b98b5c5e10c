import { fail, ok, type Result } from '#base/problem';
import { listed } from '#base/units';
import { admitReaction } from '#matter/guard';
import { balance, complete, type Equation, type Reaction, type ReactionTerm, reactionText } from '#matter/reaction';
import {
  allSubstances,
  describedId,
  findSubstance,
  parseFormula,
  refusedIn,
  refusedSentence,
  type Substance,
  type SubstanceId,
  substanceOf,
} from '#matter/substance';

/** An equation as typed, with what it came to. */
export interface EquationRead {
  readonly reaction: Reaction;
  /** Balanced, as it is written. */
  readonly text: string;
  /** What was done to it: “balanced; 6 H₂O added”. */
  readonly says: string;
  /** Substances that no record holds: they are known by their formula alone. */
  readonly notHeld: readonly SubstanceId[];
}

const ARROW = /\s*(?:<=>|<->|⇌|-+>|→|⟶|=+>?)\s*/;

/**
 * Reads “Zn + H2SO4 + NH3 -> (NH4)2Zn(SO4)2.6H2O + H2”, or the same with names, and balances it; water that lacks is added,
 * and so are gas and salt that nobody wrote. What is dissolved counts without its crystal water. `known` are substances
 * that are meant before all others: those of the bottles and of the product.
 */
export function readEquation(typed: string, id: string, known: readonly SubstanceId[] = []): Result<EquationRead> {
  const sides = typed.trim().split(ARROW);
  const [left = '', right = ''] = sides;
  if (sides.length !== 2 || left.trim() === '' || right.trim() === '')
    return fail('bad-formula', 'An equation has two sides separated by ->, such as Zn + H2SO4 -> ZnSO4 + H2.', {
      field: 'equation',
    });
  const meant = new Meant(known);
  const read = [left, right].map((side) => meant.side(side));
  const wrong = read.find((side) => !side.ok);
  if (wrong && !wrong.ok) return { ok: false, problem: { ...wrong.problem, field: 'equation' } };
  const [from = [], to = []] = read.map((side) => (side.ok ? side.value : []));
  const found = balanced(from, to);
  if (!found.ok) return { ok: false, problem: { ...found.problem, field: 'equation' } };
  const { equation, coefficients } = found.value;
  const reaction: Reaction = {
    id,
    reactants: termsOf(equation.left, coefficients, meant),
    products: termsOf(equation.right, coefficients.slice(equation.left.length), meant),
  };
  const both = reaction.products.find(({ substanceId }) =>
    reaction.reactants.some((t) => t.substanceId === substanceId),
  );
  const allowed = admitReaction(reaction);
  if (!allowed.ok) return { ok: false, problem: { ...allowed.problem, field: 'equation' } };
  if (both)
    return fail('bad-formula', `${substanceOf(both.substanceId).name} stands on both sides: it does not react.`, {
      field: 'equation',
    });
  return ok({
    reaction,
    text: reactionText(reaction),
    says: saysOf(reaction, [...from, ...to]),
    notHeld: meant.notHeld,
  });
}

/** Which substance a person means by a formula or a name. */
class Meant {
  readonly notHeld: SubstanceId[] = [];
  private readonly byFormula = new Map<string, Substance>();
  private readonly known: readonly Substance[];

  constructor(known: readonly SubstanceId[]) {
    this.known = known.map(substanceOf);
  }

  side(text: string): Result<readonly Substance[]> {
    const found: Substance[] = [];
    for (const part of partsOf(text)) {
      const each = this.one(part);
      if (!each.ok) return each;
      if (!found.some(({ id }) => id === each.value.id)) found.push(each.value);
    }
    return ok(found);
  }

  /** The substance of a formula that balancing found or kept. */
  of(formula: string): Substance {
    return this.byFormula.get(formula) ?? this.remember(held(formula) ?? bare(formula));
  }

  private one(part: string): Result<Substance> {
    const bareText = part.replace(/\((?:aq|s|l|g)\)$/i, '').trim();
    // A count is left out; the formula keeps its own.
    const text = bareText.replace(/^\d+(?:[.,]\d+)?\s*(?=\p{L}|[([{])/u, '').trim();
    if (text === '') return fail('bad-formula', 'A place is empty: one formula or name stands between two plus signs.');
    const formula = parseFormula(text);
    const mine = this.known.find((each) => isMeant(each, text, formula.ok ? formula.value.elements : undefined));
    const found = mine ?? held(text);
    if (found) return ok(this.remember(substanceOf(found.species)));
    const refused = formula.ok ? undefined : refusedIn(text);
    if (refused) return fail('beyond-scope', refusedSentence(refused));
    if (!formula.ok)
      return fail('bad-formula', `“${text}” is neither a formula nor a name that is known here: write its formula.`);
    if (formula.value.charge !== 0)
      return fail('bad-formula', `${text} is an ion: write the salt or the acid that it comes from.`);
    const unknown = bare(text);
    this.notHeld.push(unknown.id);
    return ok(this.remember(unknown));
  }

  private remember(substance: Substance): Substance {
    this.byFormula.set(substance.formula, substance);
    return substance;
  }
}

function isMeant(each: Substance, text: string, elements: Readonly<Record<string, number>> | undefined): boolean {
  if (each.name.toLowerCase() === text.toLowerCase() || each.formula === text) return true;
  if (!elements) return false;
  return [each, substanceOf(each.species)].some(({ formula }) => {
    const own = parseFormula(formula);
    return own.ok && sameAtoms(own.value.elements, elements);
  });
}

function sameAtoms(a: Readonly<Record<string, number>>, b: Readonly<Record<string, number>>): boolean {
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => a[key] === b[key]);
}

/** By any name or formula; also what is only given off, and never stands on a shelf. */
function held(text: string): Substance | undefined {
  const exact = findSubstance(text) ?? allSubstances.find(({ formula, name }) => formula === text || name === text);
  // Gases and elements are often written small.
  return (
    exact ?? allSubstances.find(({ formula, onShelf }) => !onShelf && formula.toLowerCase() === text.toLowerCase())
  );
}

/** Known by its formula alone. */
function bare(formula: string): Substance {
  const nothing = { gPerMl: null, gPer100gWater: null, meltsC: null, hazards: '' };
  return substanceOf(describedId({ name: formula, formula, form: 'solid', ...nothing }));
}

/** At “ + ”, and at a + without spaces before a new formula or name. */
function partsOf(side: string): readonly string[] {
  return side.split(/\s+\+\s+|\+(?=[\p{Lu}([{\d])|\s+and\s+/u).map((each) => each.trim());
}

interface Found {
  readonly equation: Equation;
  readonly coefficients: readonly number[];
}

/** As written; else with water on one side; else with what nobody writes: gases and the salt of the ions that are over. */
function balanced(from: readonly Substance[], to: readonly Substance[]): Result<Found> {
  const left = from.map(({ formula }) => formula);
  const right = to.map(({ formula }) => formula);
  const text = (l: readonly string[], r: readonly string[]) => `${l.join(' + ')} -> ${r.join(' + ')}`;
  const plain = balance(text(left, right));
  if (plain.ok || plain.problem.code === 'several-reactions') return plain;
  const dry = (side: readonly string[]) => side.filter((each) => each !== 'H2O');
  // Water may stand on the wrong side, or on neither: hydrates bring it and take it.
  const tries = [
    () => balance(text([...dry(left), 'H2O'], dry(right))),
    () => balance(text(dry(left), [...dry(right), 'H2O'])),
    () => balance(text(dry(left), dry(right))),
    () => complete(left, right),
    () => complete([...dry(left), 'H2O'], dry(right)),
  ];
  for (const attempt of tries) {
    const tried = attempt();
    if (tried.ok) return tried;
  }
  return plain;
}

function termsOf(species: Equation['left'], n: readonly number[], meant: Meant): readonly ReactionTerm[] {
  return species.map(({ text }, i) => ({ substanceId: meant.of(text).id, n: n[i] ?? 1 }));
}

function saysOf({ reactants, products }: Reaction, written: readonly Substance[]): string {
  const there = new Set(written.map(({ id }) => id));
  const added = [...reactants, ...products].filter(({ substanceId }) => !there.has(substanceId));
  const texts = added.map(({ substanceId, n }) => `${n === 1 ? '' : `${n} `}${substanceOf(substanceId).formula}`);
  const gone = there.has('water') && ![...reactants, ...products].some(({ substanceId }) => substanceId === 'water');
  return ['balanced', ...(texts.length > 0 ? [`${listed(texts)} added`] : []), ...(gone ? ['water cancels'] : [])].join(
    '; ',
  );
}

/** A reaction as one would type it again. */
export function typedEquation({ reactants, products }: Reaction): string {
  const side = (terms: readonly ReactionTerm[]) =>
    terms.map(({ substanceId, n }) => `${n === 1 ? '' : `${n} `}${substanceOf(substanceId).formula}`).join(' + ');
  return `${side(reactants)} -> ${side(products)}`;
}
