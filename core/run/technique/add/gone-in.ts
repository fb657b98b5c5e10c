import type { Figure } from '#base/figure';
import { derive, given } from '#base/figure';
import { add, at, total } from '#matter/vessel';
import {
  type ActualAddition,
  AS_IT_REALLY_IS,
  type Closing,
  type Facts,
  FOLLOWS_THE_BENCH,
  roleOf,
  settingOf,
} from '../facts.ts';
import { extentOf, extentRoles } from './dose.ts';
import { lotsOf } from './lots.ts';

// What what has gone in is enough for, in the order in which it went in: what a step asks for follows from what was in when it was
// done, and from nothing that went in later.

/** Extent that a role is enough for, mol; and what each step that was ended as planned was dosed for. */
export interface GoneIn {
  readonly enoughFor: ReadonlyMap<string, Figure>;
  readonly closedAs: ReadonlyMap<string, ClosedAs>;
}

export interface ClosedAs {
  readonly role: string;
  /** mol of extent that it was dosed for when it was ended. */
  readonly extent: Figure;
}

interface Entered {
  readonly additions: readonly ActualAddition[];
  /** Steps that put something in and were ended with nothing entered, in the order of their ends. */
  readonly closings: readonly Closing[];
  /** mol that the target asks for now, and how many times larger the batch was made in all. */
  readonly wanted: Figure;
  readonly enlarged: number | undefined;
  /** The role that the target names an amount of. */
  readonly cap: string | null;
}

export function goneIn(facts: Facts, { additions, closings, wanted, enlarged, cap }: Entered): GoneIn {
  const closedAs = new Map<string, ClosedAs>();
  if (facts.tables < AS_IT_REALLY_IS) return { enoughFor: inOrder(facts, additions, []), closedAs };
  const before: (ClosedAs & { readonly before: number })[] = [];
  for (const { step, role, before: count, enlarged: then } of closings) {
    const enoughFor = inOrder(facts, additions.slice(0, count), before);
    const extent = leastOf(
      facts,
      { enoughFor, wanted: wantedThen(wanted, then, enlarged), enlarged: then !== undefined, cap },
      role,
    );
    closedAs.set(step, { role, extent });
    before.push({ role, extent, before: count });
  }
  return { enoughFor: inOrder(facts, additions, before), closedAs };
}

/** What was wanted before the batch was made larger. */
function wantedThen(wanted: Figure, then: number | undefined, now: number | undefined): Figure {
  const f = (then ?? 1) / (now ?? 1);
  if (f === 1) return wanted;
  const times = given({ symbol: 'f', name: 'as large as it was', unit: '' }, f, 'before you enlarged the batch');
  return derive(
    { symbol: 'ξ', name: 'extent wanted then', unit: 'mol' },
    'ξ × f',
    { ξ: wanted, f: times },
    (x) => x.ξ * x.f,
  );
}

interface Asking {
  readonly enoughFor: ReadonlyMap<string, Figure>;
  readonly wanted: Figure;
  readonly enlarged: boolean;
  readonly cap: string | null;
}

/**
 * The extent a role is dosed for: the least that the roles added before it allow, or the target while none is in or
 * the batch was enlarged since.
 */
export function leastOf(facts: Facts, { enoughFor, wanted, enlarged, cap }: Asking, roleId: string | null): Figure {
  if (enlarged) return wanted;
  let least: Figure | undefined;
  for (const [id, extent] of enoughFor) {
    if (id === roleId) break;
    // More than was asked for of what is meant to be over is more of it over, and asks for more of nothing else.
    if (facts.tables >= FOLLOWS_THE_BENCH && isMeantOver(facts, id) && extent.value > wanted.value) continue;
    if (!least || extent.value < least.value) least = extent;
  }
  if (!least) return wanted;
  // “From 10 g of it” is 10 g of it, whatever else was overpoured.
  return roleId !== null && roleId === cap && least.value > wanted.value ? wanted : least;
}

/** A role that is planned in excess of what it meets. */
function isMeantOver(facts: Facts, roleId: string): boolean {
  const { dose } = roleOf(facts, roleId);
  return dose.by === 'extent' && dose.excessControl !== undefined && settingOf(facts, dose.excessControl) > 0;
}

/** Each role by itself, first in first: by what was entered of it, else by what its step was ended with. */
function inOrder(
  facts: Facts,
  additions: readonly ActualAddition[],
  closed: readonly (ClosedAs & { readonly before: number })[],
): ReadonlyMap<string, Figure> {
  const roles = extentRoles(facts.recipe);
  const found: { readonly id: string; readonly at: number; readonly extent: Figure }[] = [];
  for (const [at, { role: id }] of additions.entries()) {
    if (found.some((each) => each.id === id)) continue;
    const extent = id === null ? undefined : enteredOf(facts, additions, id);
    if (id !== null && extent) found.push({ id, at, extent });
  }
  // It went in after what was entered before it.
  for (const { role: id, extent, before } of closed)
    if (roles.some((each) => each.id === id) && !found.some((each) => each.id === id))
      found.push({ id, at: before - 0.5, extent });
  return new Map(found.sort((a, b) => a.at - b.at).map(({ id, extent }) => [id, extent]));
}

function enteredOf(facts: Facts, additions: readonly ActualAddition[], id: string): Figure | undefined {
  const role = extentRoles(facts.recipe).find((each) => each.id === id);
  const content = role && facts.contents[role.id];
  if (!role || !content) return undefined;
  const lots = lotsOf(facts, additions, role.id);
  if (lots.length === 0) return undefined;
  const name = facts.names[role.id] ?? role.name;
  // What is no more than a namesake in the role is enough for nothing.
  const amounts = lots.flatMap((lot) =>
    lot.content?.substance.species === content.substance.species
      ? [add(EMPTY, { ...lot.content, name: lot.name }, lot.mass).amount]
      : [],
  );
  const none = given({ symbol: 'n', name, unit: 'mol' }, 0, 'none of it went in');
  return extentOf(role, facts, amounts.length > 0 ? total(name, 'mol', ...amounts) : none);
}

const EMPTY = at({}, 'pot');
