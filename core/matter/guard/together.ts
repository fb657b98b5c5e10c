import { clashesOf, nameOf, type Present } from './incompatible.ts';

/** Two things that are in one vessel and must never be. */
export interface Together {
  /** Which two, and what they give off. */
  readonly says: string;
  readonly why: string;
  /** What to do first, in this order. */
  readonly moves: readonly string[];
}

/** What to do when it has happened, whatever the two are: in this order. */
export const firstMoves = {
  now: 'Put nothing more in. Get away from it and out of what comes off, upwind or out of the room, and keep others out.',
  check: 'Do not bend over it, and do not smell at it: what was poured in tells enough.',
  move: 'Leave it alone until nothing comes off any more and it is cold. Whoever breathed it: fresh air, and the poison centre, also when it seems over.',
} as const;

/** Every pair among what is in a vessel that is refused, by the strengths it has there. */
export function togetherIn(present: readonly Present[]): readonly Together[] {
  return present.flatMap((added, i) =>
    present.slice(0, i).flatMap((here) => {
      const worst = clashesOf([here], added, { beside: present }).find(({ severity }) => severity === 'refuse');
      if (!worst) return [];
      const says = `${nameOf(here)} and ${nameOf(added)} are in it together: ${worst.releases}`;
      return [{ says, why: worst.sentence, moves: Object.values(firstMoves) }];
    }),
  );
}
