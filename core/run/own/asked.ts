import { ok, type Problem, problem } from '#base/problem';
import type { Bench } from '#matter/gear';
import { admitThing } from '#matter/guard';
import { Claims, readSize, readStrength } from '#matter/label';
import { type Reaction, reactionText } from '#matter/reaction';
import { checkedDescription, describedId, type SubstanceId, substanceById, substanceOf } from '#matter/substance';
import { type Plan, startPlan } from '#run/plan';
import { bottlesForRole, canMake, parseTarget, type Route, type ShelfBottle } from '#run/route';
import { crystalOf } from './crystal.ts';
import { type EquationRead, readEquation } from './equation.ts';
import { ownRoute } from './own-route.ts';
import { refit } from './refit.ts';

/** A batch of one's own as it is typed and taken from the shelf. */
export interface OwnDraft {
  /** “40 g ammonium zinc sulfate”, “500 mL of 1 mol/L calcium chloride”, “zinc acetate from 20 g zinc”. */
  readonly text: string;
  /** Of what no record holds: its formula, empty for what is held; and g in 100 g of water, where that is known. */
  readonly formula: string;
  readonly gPer100gWater: number | null;
  /** Ids of bottles, in the order they were taken. */
  readonly bottles: readonly string[];
  readonly equations: readonly string[];
  /** The route as it was changed by hand; null while it is as it was suggested. */
  readonly mine: Route | null;
  readonly controls: Readonly<Record<string, number>>;
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  /** ISO day. */
  readonly today: string;
}

/** One equation as typed, or why it cannot be read. */
export type EquationAnswer =
  | { readonly ok: true; readonly read: EquationRead }
  | { readonly ok: false; readonly problem: Problem };

export interface OwnAnswer {
  readonly problems: readonly Problem[];
  /** What is made; null while it is not known what that is. */
  readonly made: { readonly id: SubstanceId; readonly name: string; readonly formula: string } | null;
  /** The name that no record holds: its formula is asked for. */
  readonly asksFormulaOf: string | null;
  readonly equations: readonly EquationAnswer[];
  /** Substances that are known by their formula alone. */
  readonly notHeld: readonly string[];
  /** What comes instead of what was asked for; empty for nothing. */
  readonly note: string;
  readonly plan: Plan | null;
}

/** Reads a batch of one's own as far as it is written; a plan as soon as there is enough for one. */
export function ownFrom(draft: OwnDraft): OwnAnswer {
  const stock = draft.bottles.flatMap((id) => draft.shelf.find((each) => each.id === id) ?? []);
  const reagents = stock.map(({ card }) => substanceById(card.substanceId)?.id).filter((id) => id !== undefined);
  const nothing: OwnAnswer = {
    problems: [],
    made: null,
    asksFormulaOf: null,
    equations: draft.equations.map((each, i) => answered(each, i, { known: reagents, mine: draft.mine })),
    notHeld: [],
    note: '',
    plan: null,
  };
  if (draft.text.trim() === '') return nothing;
  const target = parseTarget(draft.text, draft.bench.tempC);
  const other = target.problems.filter(({ field }) => field !== 'substance');
  const refused = target.problems.find(({ code }) => code === 'beyond-scope');
  if (refused) return { ...nothing, problems: [refused] };
  const found = target.substanceId ?? describedFrom(draft, nothing.equations);
  if (found === null) return { ...nothing, problems: other, asksFormulaOf: nameIn(draft.text) };
  if (typeof found !== 'string') return { ...nothing, problems: [found], asksFormulaOf: nameIn(draft.text) };
  const made = substanceOf(found);
  const equations = draft.equations.map((each, i) =>
    answered(each, i, { known: [made.id, ...reagents], mine: draft.mine }),
  );
  const notHeld = [
    ...new Set(equations.flatMap((each) => (each.ok ? each.read.notHeld : [])).map((id) => substanceOf(id).name)),
  ];
  const note = target.strength ? '' : crystalOf(made).note;
  const answer = {
    ...nothing,
    made: { id: made.id, name: made.name, formula: made.formula },
    equations,
    notHeld,
    note,
  };
  const unread = equations.find((each) => !each.ok);
  if (unread || stock.length === 0) return { ...answer, problems: other };
  const reactions = equations.flatMap((each) => (each.ok ? [each.read.reaction] : []));
  const same = draft.mine !== null && hangsOnTheSame(draft.mine, made.id, { reagents, reactions });
  const fresh = same
    ? ok(draft.mine)
    : ownRoute({
        makes: made.id,
        as: target.strength ? 'solution' : 'solid',
        reagents,
        reactions,
      });
  if (!fresh.ok) return { ...answer, problems: [...other, fresh.problem] };
  const route = draft.mine && !same ? refit(draft.mine, fresh.value) : fresh.value;
  if (!target.amount || other.length > 0) return { ...answer, problems: other };
  const fromRole = roleFrom(route, target.fromSubstanceId);
  if (fromRole === undefined) {
    const sentence = 'What stands behind “from” is none of the bottles that were taken.';
    return { ...answer, problems: [problem('no-bottle', sentence, { field: 'target' })] };
  }
  const plan = startPlan({
    route,
    target: { substanceId: made.id, amount: target.amount, strength: target.strength, fromRole },
    bottles: bottlesOf(route, stock, draft.shelf),
    shelf: draft.shelf,
    bench: draft.bench,
    day: draft.today,
  });
  const set = Object.fromEntries(Object.entries(draft.controls).filter(([id]) => Object.hasOwn(plan.controls, id)));
  return { ...answer, plan: { ...plan, controls: { ...plan.controls, ...set } } };
}

/** Whether product, bottles and equations are still those that a route was written for: then it stays as it is. */
function hangsOnTheSame(
  route: Route,
  made: SubstanceId,
  { reagents, reactions }: { readonly reagents: readonly SubstanceId[]; readonly reactions: readonly Reaction[] },
): boolean {
  const roles = route.roles.filter(({ accepts }) => accepts.length > 0);
  const texts = (all: readonly Reaction[]) => all.map(reactionText).sort().join('; ');
  return (
    canMake(route, made) &&
    reagents.every((id) => roles.some(({ accepts }) => accepts.includes(id))) &&
    roles.every(({ accepts }) => reagents.some((id) => accepts.includes(id))) &&
    texts(route.reactions) === texts(reactions)
  );
}

function answered(
  typed: string,
  i: number,
  { known, mine }: { readonly known: readonly SubstanceId[]; readonly mine: Route | null },
): EquationAnswer {
  // What a route says already stays as the route has it.
  const own = mine?.reactions.find((each) => reactionText(each) === typed.trim());
  if (own) return { ok: true, read: { reaction: own, text: reactionText(own), says: 'of this route', notHeld: [] } };
  const read = readEquation(typed, `equation-${i + 1}`, known);
  return read.ok ? { ok: true, read: read.value } : { ok: false, problem: read.problem };
}

/** What no record holds, by the formula that was given or that stands first on the right of the last equation. */
function describedFrom(draft: OwnDraft, equations: OwnAnswer['equations']): SubstanceId | Problem | null {
  const last = equations.at(-1);
  const first = last?.ok
    ? last.read.reaction.products.find(({ substanceId }) => last.read.notHeld.includes(substanceId))
    : undefined;
  const formula = draft.formula.trim() || (first ? substanceOf(first.substanceId).formula : '');
  if (formula === '') return null;
  const nothing = { gPerMl: null, meltsC: null, hazards: '' };
  const said = checkedDescription({
    name: nameIn(draft.text),
    formula,
    form: 'solid',
    gPer100gWater: draft.gPer100gWater,
    ...nothing,
  });
  if (!said.ok) return said.problem;
  const allowed = admitThing(said.value);
  return allowed.ok ? describedId(said.value) : allowed.problem;
}

/** The name in a target: what is neither an amount nor a strength. */
function nameIn(text: string): string {
  const [target = ''] = text.split(/\bfrom\b/i);
  const claims = new Claims(target);
  const unheard: Problem[] = [];
  readStrength(claims, unheard);
  readSize(claims, unheard);
  return claims
    .leftOver()
    .replace(/^(?:of|make)\s+/i, '')
    .replace(/\s+of$/i, '')
    .slice(0, 60);
}

/** Null where the amount counts the product; undefined where no role holds what stands behind “from”. */
function roleFrom(route: Route, from: SubstanceId | null): string | null | undefined {
  if (from === null) return null;
  return route.roles.find(({ accepts }) => accepts.includes(from))?.id;
}

/** The bottles that were taken, each in its role; a role whose bottle was not taken has the best of the shelf. */
function bottlesOf(
  { roles }: Route,
  stock: readonly ShelfBottle[],
  shelf: readonly ShelfBottle[],
): Readonly<Record<string, string | null>> {
  return Object.fromEntries(
    roles.map((role) => {
      const accepts: readonly string[] = role.accepts;
      const mine = stock.find(({ card }) => accepts.includes(card.substanceId));
      return [role.id, mine?.id ?? bottlesForRole(role, shelf)[0]?.id ?? null];
    }),
  );
}
