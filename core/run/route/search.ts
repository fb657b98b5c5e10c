import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { listed } from '#base/units';
import { type Product, productNamed } from '#matter/label';
import { massFraction } from '#matter/solution';
import type { ShelfBottle } from '#matter/stock';
import { type SubstanceId, substanceById, substanceOf } from '#matter/substance';
import type { Role } from '#run/technique';
import { catalogue } from './catalogue/index.ts';
import type { Route } from './route.ts';

export interface RouteChoice {
  readonly route: Route;
  /** The bottle for each role; null for plain water or where none fits. */
  readonly bottles: Readonly<Record<string, string | null>>;
  /** What is missing, one sentence each. */
  readonly missing: readonly string[];
}

/** A bottle for a role, with why it comes where it does: whole words, empty for nothing to say. */
export interface FittingBottle extends ShelfBottle {
  readonly why: string;
}

/**
 * Bottles on the shelf that can play a role, best first: bought before made, what the role accepts first; then not empty, not
 * much weaker than the rest, assayed, fresh, and fullest. Waste is never offered.
 */
export function bottlesForRole(role: Role, shelf: readonly ShelfBottle[], wanted?: string): readonly FittingBottle[] {
  const accepts: readonly string[] = acceptedFor(role, wanted);
  const fits = shelf.filter(
    ({ archived, card }) =>
      !archived && card.group !== 'waste' && accepts.includes(card.substanceId) && mixedIn(card) === undefined,
  );
  const strongest = Math.max(0, ...fits.map(({ card }) => pctOf(card)));
  const keys = new Map(fits.map((bottle) => [bottle.id, keyOf(bottle, accepts, strongest)]));
  const sorted = [...fits].sort((a, b) => compare(must(keys.get(a.id), 'keys'), must(keys.get(b.id), 'keys')));
  return sorted.map((bottle, i) => {
    const next = sorted[i + 1];
    const differs =
      i === 0 && next
        ? must(keys.get(bottle.id), 'keys').findIndex((each, k) => each !== must(keys.get(next.id), 'keys')[k])
        : -1;
    return { ...bottle, why: WHY[differs] ?? '' };
  });
}

/** What a role takes; of a solution that is only made up, what is asked for, dry or with its crystal water. */
export function acceptedFor({ accepts }: Role, wanted: string | undefined): readonly SubstanceId[] {
  const species = wanted === undefined ? undefined : substanceById(wanted)?.species;
  return species === undefined ? accepts : accepts.filter((id) => substanceOf(id).species === species);
}

/** The kind of product that a bottle is, where nothing is made from such a one: what else is in it would be in the product. */
function mixedIn({ product }: ShelfBottle['card']): Product | undefined {
  const kind = product === undefined ? undefined : productNamed(product);
  return kind && !kind.source ? kind : undefined;
}

/** What decides, in the order of the keys below. */
const WHY = [
  '',
  'the others are empty',
  'strong enough; the others are much weaker',
  'assayed; the others are not',
  'the freshest',
  'the fullest',
] as const;

type Key = readonly number[];

function keyOf(bottle: ShelfBottle, accepts: readonly string[], strongest: number): Key {
  const { card } = bottle;
  const rank = (card.group === 'bought' ? 0 : 1) * 10 + accepts.indexOf(card.substanceId);
  const left = leftOf(bottle);
  const weak = pctOf(card) < WEAK * Math.min(strongest, STRONG_PCT) ? 1 : 0;
  return [rank, left > 0 ? 0 : 1, weak, card.assayed ? 0 : 1, -yearOf(card), -left];
}

/** Much weaker: under half of the strongest, as far as that is within what shops sell. */
const WEAK = 0.5;
const STRONG_PCT = 12;

/** Mass % of what the label says; a solid without a strength is taken as pure, one that cannot be read as none of it. */
function pctOf({ strength, substanceId }: ShelfBottle['card']): number {
  if (strength === null) return 100;
  const substance = substanceById(substanceId);
  const w = substance && massFraction(strength, substance, 20);
  return w?.ok ? w.value : 0;
}

/** Years and halves of it: what differs by less is as fresh. */
function yearOf({ since }: ShelfBottle['card']): number {
  const at = Date.parse(since);
  return Number.isFinite(at) ? Math.floor(at / HALF_YEAR_MS) : 0;
}
const HALF_YEAR_MS = 183 * 86_400_000;

function leftOf({ card, usedG }: ShelfBottle): number {
  return card.size === null ? 1 : Math.max(0, card.size.value - usedG);
}

function compare(a: Key, b: Key): number {
  for (const [i, each] of a.entries()) if (each !== b[i]) return each - (b[i] ?? 0);
  return 0;
}

/** The three that share most words with a name. */
function nearestOf(name: string, known: readonly string[]): readonly string[] {
  const words = new Set(name.toLowerCase().split(/[^a-z]+/));
  const shared = (each: string) =>
    each
      .toLowerCase()
      .split(/[^a-z]+/)
      .filter((word) => word !== '' && words.has(word)).length;
  return known.toSorted((a, b) => shared(b) - shared(a)).slice(0, 3);
}

/** The routes to a substance, a person's own first, each with the bottles the shelf offers and what is missing. */
export function routesFor(
  substanceId: SubstanceId,
  shelf: readonly ShelfBottle[],
  own: readonly Route[] = [],
): Result<readonly RouteChoice[]> {
  const { name } = substanceOf(substanceId);
  const all = [...own, ...catalogue];
  const routes = all.filter((route) => canMake(route, substanceId));
  if (routes.length === 0) {
    const near = nearestOf(name, [...new Set(all.flatMap(productNames))]);
    const sentence = `No route here makes ${name}. The nearest there are: ${listed(near)}. With its equation it can be a batch of your own.`;
    return fail('no-route', sentence, { field: 'target' });
  }
  return ok(
    routes.map((route) => {
      const { makes } = route;
      const dilutes = makes.kind === 'solution' && makes.substanceId === undefined;
      const wanted: Readonly<Record<string, string>> = dilutes ? { [makes.role]: substanceId } : {};
      const picks = route.roles.map((role) => [role, bottlesForRole(role, shelf, wanted[role.id])[0]] as const);
      return {
        route,
        bottles: Object.fromEntries(picks.map(([role, bottle]) => [role.id, bottle?.id ?? null])),
        missing: picks.flatMap(([role, bottle]) =>
          role.accepts.length > 0 && !bottle ? [missingText(role, shelf, wanted[role.id])] : [],
        ),
      };
    }),
  );
}

/** Whether a route makes this at all. */
export function canMake(route: Route, substanceId: SubstanceId): boolean {
  if (route.makes.kind === 'solid')
    return [route.makes.substanceId, route.makes.anhydrousId, ...(route.makes.also ?? [])].some(
      (id) => id === substanceId,
    );
  const { role, substanceId: made } = route.makes;
  if (made !== undefined) return made === substanceId;
  const { species } = substanceOf(substanceId);
  return route.roles.some(
    (each) => each.id === role && each.accepts.some((accepted) => substanceOf(accepted).species === species),
  );
}

function productNames(route: Route): string[] {
  const { makes: made } = route;
  if (made.kind === 'solid') return [substanceOf(made.substanceId).name];
  if (made.substanceId !== undefined) return [`${substanceOf(made.substanceId).name} solution`];
  const role = route.roles.find((each) => each.id === made.role);
  const species = new Set((role?.accepts ?? []).map((id) => substanceOf(id).species));
  return [...species].map((id) => `${substanceOf(id).name.replace(/, anhydrous$/, '')} solution`);
}

/** A bottle that looks right but is refused says why. */
function missingText(role: Role, shelf: readonly ShelfBottle[], wanted: string | undefined): string {
  const accepts = acceptedFor(role, wanted);
  const refused = role.refuses.find(({ substanceId }) =>
    shelf.some((bottle) => !bottle.archived && bottle.card.substanceId === substanceId),
  );
  const names = accepts.map((id) => substanceOf(id).name).join(' or ');
  const mixed = shelf
    .filter(({ archived, card }) => !archived && accepts.some((id) => id === card.substanceId))
    .flatMap(({ card }) => mixedIn(card) ?? [])[0];
  if (mixed) {
    const besides = mixed.besides === '' ? mixed.note : `there is ${mixed.besides} in it`;
    return `No ${role.name} on the shelf that will do: ${mixed.name} is too mixed, ${besides}.`;
  }
  return refused
    ? `No ${role.name} on the shelf. ${refused.why}`
    : `No ${role.name} on the shelf: put ${names} on it first.`;
}
