import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import type { Reaction } from '#matter/reaction';
import { type SubstanceId, substanceOf } from '#matter/substance';

/** What a batch takes for each mol of the reaction that makes its product. */
export interface Shares {
  /** mol of each species that a bottle brings, in the order it is met. */
  readonly perExtent: ReadonlyMap<SubstanceId, number>;
  /** Reactions in the order they go, each after those that make what it takes. */
  readonly order: readonly Reaction[];
}

/**
 * Follows the equations backwards from the product: what no bottle brings must be made by another of them. Water is there.
 * `brought` are species.
 */
export function sharesOf(
  reactions: readonly Reaction[],
  makes: SubstanceId,
  brought: ReadonlySet<SubstanceId>,
): Result<Shares> {
  const makers = reactions.filter((each) => makesIt(each, makes)).reverse();
  if (makers.length === 0) {
    const name = substanceOf(makes).name;
    return fail('no-route', `None of the equations makes ${name}: it has to stand on a right side.`, {
      field: 'equation',
    });
  }
  // Where it can be made in several ways, the one that the bottles serve.
  const tried = makers.map((last) => sharesBy(last, reactions, brought));
  return tried.find(({ ok: done }) => done) ?? itemAt(tried, 0);
}

function sharesBy(last: Reaction, reactions: readonly Reaction[], brought: ReadonlySet<SubstanceId>): Result<Shares> {
  const perExtent = new Map<SubstanceId, number>();
  const order: Reaction[] = [];
  const use = (reaction: Reaction, times: number, within: readonly Reaction[]): Result<true> => {
    for (const { substanceId, n } of reaction.reactants) {
      if (substanceId === 'water') continue;
      if (brought.has(substanceId)) {
        perExtent.set(substanceId, (perExtent.get(substanceId) ?? 0) + n * times);
        continue;
      }
      const maker = reactions.find((each) => !within.includes(each) && makesIt(each, substanceId));
      const made = maker?.products.find((each) => each.substanceId === substanceId);
      if (!maker || !made) {
        const name = substanceOf(substanceId).name;
        return fail(
          'no-bottle',
          `${name} comes from nowhere: take a bottle of it, or write the equation that makes it.`,
          {
            field: 'bottles',
          },
        );
      }
      const done = use(maker, (times * n) / made.n, [...within, maker]);
      if (!done.ok) return done;
    }
    if (!order.includes(reaction)) order.push(reaction);
    return ok(true);
  };
  const used = use(last, 1, [last]);
  return used.ok ? ok({ perExtent, order }) : used;
}

function makesIt({ products }: Reaction, id: SubstanceId): boolean {
  return products.some(({ substanceId }) => substanceId === id);
}
