import { type SubstanceId, substanceOf } from '#matter/substance';
import { acceptedFor, bottlesForRole, canMake, catalogue, type Route, type ShelfBottle } from '#run/route';
import type { Role } from '#run/technique';

/** What a role of a route is filled with. */
export type ChainInput =
  | { readonly by: 'bottle'; readonly role: string; readonly bottleId: string; readonly substanceId: SubstanceId }
  | { readonly by: 'made'; readonly role: string; readonly node: ChainNode }
  | { readonly by: 'bought'; readonly role: string; readonly substanceId: SubstanceId };

/** A route with what fills its roles, made ones first to be made. */
export interface ChainNode {
  readonly route: Route;
  readonly makes: SubstanceId;
  readonly inputs: readonly ChainInput[];
}

/** One way to a reagent. */
export interface Chain {
  readonly last: ChainNode;
  /** In the order they are done. */
  readonly steps: readonly ChainNode[];
  /** Substances that no bottle and no route brings. */
  readonly buys: readonly SubstanceId[];
  /** Of all steps, as their routes say. */
  readonly handsOnH: number;
  readonly waitH: readonly [least: number, most: number];
}

export interface ChainAsking {
  readonly wanted: SubstanceId;
  /** A reagent that the chain has to begin with; null for any. */
  readonly from: SubstanceId | null;
  readonly shelf: readonly ShelfBottle[];
  readonly routes?: readonly Route[] | undefined;
}

/** Routes behind one another at most. */
const DEEPEST = 4;
/** Ways kept at each substance: the best by what has to be bought, then by work. */
const KEPT = 6;

/** The ways to a reagent from a shelf, best first: fewest to buy, then fewest hours of work, then shortest wait. */
export function findChains({ wanted, from, shelf, routes = [] }: ChainAsking): readonly Chain[] {
  const search = new Search(shelf, from, [...routes, ...catalogue].filter(makesOfOther));
  const found = search.nodes(wanted, DEEPEST, new Set());
  const start = from === null ? null : substanceOf(from).species;
  return found
    .map(chainOf)
    .filter((chain) => start === null || beginsWith(chain, start, shelf))
    .sort(better)
    .slice(0, KEPT);
}

/** A solution that is only made up, and what is only made purer or stronger, lead from nothing to something else. */
function makesOfOther({ reactions, makes, roles }: Route): boolean {
  const made = makes.kind === 'solid' ? makes.anhydrousId : makes.substanceId;
  if (made === undefined || reactions.length === 0) return false;
  return !roles.some(({ accepts }) => accepts.some((id) => substanceOf(id).species === substanceOf(made).species));
}

class Search {
  private readonly known = new Map<string, readonly ChainNode[]>();
  private readonly fits = new Map<string, ShelfBottle | undefined>();
  private readonly shelf: readonly ShelfBottle[];
  private readonly from: SubstanceId | null;
  private readonly routes: readonly Route[];

  constructor(shelf: readonly ShelfBottle[], from: SubstanceId | null, routes: readonly Route[]) {
    this.shelf = shelf.filter(
      ({ archived, card, usedG }) => !archived && (card.size === null || usedG < card.size.value),
    );
    this.from = from;
    this.routes = routes;
  }

  /** Ways to a substance over so many routes at most; none that comes back to where it was. */
  nodes(wanted: SubstanceId, deep: number, within: ReadonlySet<string>): readonly ChainNode[] {
    const species = substanceOf(wanted).species;
    if (deep === 0 || within.has(species)) return [];
    const key = `${wanted} ${deep} ${[...within].sort().join(' ')}`;
    const known = this.known.get(key);
    if (known) return known;
    const found = this.routes
      .filter((route) => canMake(route, wanted))
      .flatMap((route) => this.of(route, wanted, { deep, within: new Set([...within, species]) }))
      .sort((a, b) => better(chainOf(a), chainOf(b)))
      .slice(0, KEPT);
    this.known.set(key, found);
    return found;
  }

  private of(
    route: Route,
    wanted: SubstanceId,
    { deep, within }: { readonly deep: number; readonly within: ReadonlySet<string> },
  ): readonly ChainNode[] {
    const roles = route.roles.filter(({ accepts }) => accepts.length > 0);
    let ways: readonly (readonly ChainInput[])[] = [[]];
    for (const role of roles) {
      const choices = this.choices(role, deep, within);
      ways = ways.flatMap((way) => choices.map((choice) => [...way, choice])).slice(0, KEPT * KEPT);
    }
    const made = route.makes.substanceId ?? wanted;
    return ways.map((inputs) => ({ route, makes: made, inputs }));
  }

  /** A bottle that stands there is taken; where none does, or a chain has to begin further back, it is made or bought. */
  private choices(role: Role, deep: number, within: ReadonlySet<string>): readonly ChainInput[] {
    const bottle = this.bottle(role);
    const there: ChainInput[] = bottle
      ? [{ by: 'bottle', role: role.id, bottleId: bottle.id, substanceId: bottle.card.substanceId as SubstanceId }]
      : [];
    const wants = bottle === undefined || this.from !== null;
    const accepted = acceptedFor(role, undefined);
    // Hydrates of one species are one thing to make.
    const each = accepted.filter(
      (id, i) => accepted.findIndex((other) => substanceOf(other).species === substanceOf(id).species) === i,
    );
    const made = wants
      ? each
          .flatMap((id) => this.nodes(id, deep - 1, within))
          .map((node): ChainInput => ({ by: 'made', role: role.id, node }))
      : [];
    const first = accepted[0];
    const bought: ChainInput[] =
      bottle === undefined && first ? [{ by: 'bought', role: role.id, substanceId: first }] : [];
    return [...there, ...made.slice(0, KEPT), ...bought];
  }

  private bottle(role: Role): ShelfBottle | undefined {
    const key = role.accepts.join(' ');
    if (!this.fits.has(key)) this.fits.set(key, bottlesForRole(role, this.shelf)[0]);
    return this.fits.get(key);
  }
}

function chainOf(last: ChainNode): Chain {
  const steps: ChainNode[] = [];
  const buys = new Set<SubstanceId>();
  const visit = (node: ChainNode) => {
    for (const input of node.inputs) {
      if (input.by === 'made') visit(input.node);
      if (input.by === 'bought') buys.add(input.substanceId);
    }
    steps.push(node);
  };
  visit(last);
  const all = steps.flatMap(({ route }) => route.steps);
  return {
    last,
    steps,
    buys: [...buys],
    handsOnH: all.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0) / 60,
    waitH: [all.reduce((sum, { waitH }) => sum + waitH[0], 0), all.reduce((sum, { waitH }) => sum + waitH[1], 0)],
  };
}

function better(a: Chain, b: Chain): number {
  return a.buys.length - b.buys.length || a.handsOnH - b.handsOnH || a.waitH[1] - b.waitH[1];
}

/** Whether it takes a reagent at its beginning, bought or from a bottle. */
function beginsWith({ steps, buys }: Chain, species: SubstanceId, shelf: readonly ShelfBottle[]): boolean {
  const bottles = steps.flatMap(({ inputs }) =>
    inputs.flatMap((each) => (each.by === 'bottle' ? [each.bottleId] : [])),
  );
  const held = bottles.flatMap((id) => shelf.find((each) => each.id === id)?.card.substanceId ?? []);
  return [...held, ...buys].some((id) => substanceOf(id as SubstanceId).species === species);
}
