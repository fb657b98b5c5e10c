import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import {
  type Amounts,
  at,
  type CellSetup,
  type CellState,
  cationPlaces,
  charges,
  dissolves,
  namedOf,
} from '#model/cell';

/** The salt that each side has most of, mol; what a side feeds on. */
export interface MainSalts {
  readonly anode: readonly [SubstanceId, number] | null;
  readonly cathode: readonly [SubstanceId, number] | null;
  /** mol of charge of what carries on the cathode’s side. */
  readonly carries: number;
}

export function mainSalts({ a, k }: CellState): MainSalts {
  const most = (n: Amounts) => [...(namedOf(n)?.dissolved ?? [])].sort((x, y) => y[1] - x[1])[0] ?? null;
  return { anode: most(a), cathode: most(k), carries: carriedBy(k) };
}

/** mol of charge of the metals that are dissolved. */
function carriedBy(n: Amounts): number {
  return cationPlaces.reduce<number>((sum, i) => sum + (i === at['H+'] ? 0 : charges[i] * n[i]), 0);
}

/**
 * Share of it that is left on either side. What turns into an alkali that stays dissolved carries better than before: it is not
 * short of salt, as one is whose metal falls as hydroxide.
 */
export function leftOf({ a, k }: CellState, salts: MainSalts): { anode: number; cathode: number } {
  const share = (n: Amounts, salt: MainSalts['anode']) => {
    if (!salt || !(salt[1] > 0)) return 1;
    return (namedOf(n)?.dissolved.find(([id]) => id === salt[0])?.[1] ?? 0) / salt[1];
  };
  const carries = salts.carries > 0 ? Math.min(1, carriedBy(k) / salts.carries) : 1;
  return { anode: share(a, salts.anode), cathode: Math.max(carries, share(k, salts.cathode)) };
}

/** What to put into which side, and when, h. */
export interface PlannedTopUp {
  readonly atH: number;
  readonly side: 'anode' | 'cathode';
  readonly substanceId: SubstanceId;
  readonly grams: number;
}

/** A side wants more when so much is left of its salt; short of it the current falls. */
const LOW = 0.5;
const PART = 0.6;

/** What to put in and when, as it is planned; nothing into the side that what is made comes from by design. */
export function topUpsOf(
  { anode, divider }: CellSetup,
  salts: MainSalts,
  left: readonly { readonly atH: number; readonly anode: number; readonly cathode: number }[],
): readonly PlannedTopUp[] {
  if (divider === 'none') return [];
  return (['anode', 'cathode'] as const).flatMap((side) => {
    const salt = salts[side];
    const at = left.find((each) => each[side] < LOW);
    // What the anode side is to turn into is not put back.
    if (!salt || !at || (side === 'anode' && dissolves(anode))) return [];
    const mol = PART * salt[1];
    return [{ atH: at.atH, side, substanceId: salt[0], grams: mol * molarMass(substanceOf(salt[0]).formula) }];
  });
}
