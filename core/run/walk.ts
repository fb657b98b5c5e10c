import type { Figure } from '#core/figure';
import { ok, type Result } from '#core/problem';
import { substanceById } from '#core/substance';
import { type Contents, emptyContents, isInsoluble, liquidVolume } from '#core/vessel';
import type { Actuals } from './actual.ts';
import type { Context } from './context.ts';
import type { OrderedStep } from './steps.ts';
import { addUnplanned, chargedExtents, chargeStep } from './walk-charge.ts';
import {
  boilStep,
  collectStep,
  crystalStep,
  dryStep,
  evaporateStep,
  precipitateStep,
  redissolveStep,
} from './walk-crystals.ts';
import { fuseStep } from './walk-fuse.ts';
import { withdraw } from './walk-keep.ts';
import { pairStep } from './walk-pair.ts';
import { passOn } from './walk-pass.ts';
import { reactStep } from './walk-react.ts';
import { makeUpStep } from './walk-solution.ts';
import type { ChargeLine, Mutable, Walk, Walker } from './walker.ts';

/** How a walk goes: the run's steps in order, doses rounded or exact, and whether only what is done counts. */
export interface Way {
  readonly steps: readonly OrderedStep[];
  /** Doses unrounded: used once, to find the yield that the target is scaled by. */
  readonly exact?: boolean;
  /** Only what has really happened: nothing planned goes in, no step that is not done acts. */
  readonly soFar?: boolean;
}

/** Walks the run's steps with planned doses, or what really went in where that is known. */
export function walk(context: Context, extent: Figure, actuals: Actuals, way: Way): Result<Walk> {
  const so: Mutable<Walk> = {
    contents: emptyContents,
    liquor: undefined,
    charges: [],
    heats: [],
    gases: [],
    extent: undefined,
    limiting: undefined,
    madeBy: new Map(),
    happened: [],
    before: new Map(),
    after: new Map(),
    boil: undefined,
    dishMl: undefined,
    crystals: undefined,
    solubility: undefined,
    liquorMl: undefined,
    product: undefined,
    made: undefined,
    peakMl: 0,
    reactMl: 0,
  };
  const { exact = false, soFar = false } = way;
  const walker: Walker = {
    context,
    actuals,
    wanted: extent,
    charged: chargedExtents(context, actuals),
    exact,
    soFar,
    so,
  };
  const before = new Map<string, Contents>();
  const after = new Map<string, Contents>();
  so.before = before;
  so.after = after;
  for (const { key, op } of way.steps) {
    before.set(key, so.contents);
    const acts = !actuals.skipped.has(key) && (!soFar || actuals.finished.has(key));
    if (op.do === 'charge') chargeStep(walker, key, op);
    else if (acts) {
      const done = act(walker, key, op);
      if (!done.ok) return done;
    }
    addUnplanned(walker, key, op.do === 'charge' ? op.role : null);
    passOn(walker, key);
    withdraw(walker, key);
    after.set(key, so.contents);
    so.peakMl = Math.max(so.peakMl, liquidVolume(so.contents));
  }
  so.charges = markLimiting(context, so.charges, so.limiting);
  return ok(so);
}

function act(walker: Walker, key: string, op: OrderedStep['op']): Result<true> {
  const { so } = walker;
  switch (op.do) {
    case 'react':
      reactStep(walker, key, op.reaction);
      return ok(true);
    case 'fuse':
      fuseStep(walker, key, op);
      return ok(true);
    case 'boil-down':
      boilStep(walker, op.control);
      return ok(true);
    case 'evaporate':
      evaporateStep(walker, op.control);
      return ok(true);
    case 'crystallise':
      return crystalStep(walker, op.control);
    case 'precipitate':
      precipitateStep(walker);
      return ok(true);
    case 'filter-off':
      filterOff(so);
      return ok(true);
    case 'pair':
      return pairStep(walker, op);
    case 'collect':
      collectStep(walker);
      return ok(true);
    case 'dry':
      dryStep(walker, op.waterControl);
      return ok(true);
    case 'redissolve':
      redissolveStep(walker);
      return ok(true);
    case 'make-up':
      return makeUpStep(walker, key);
    case 'charge':
    case 'dissolve':
    case 'nothing':
      return ok(true);
  }
}

/** What does not dissolve stays in the paper; what the paper holds of the liquor is left out. */
function filterOff(so: Mutable<Walk>): void {
  const stays = (id: string) => isInsoluble(id) || substanceById(id)?.form === 'metal';
  const amounts = Object.fromEntries(Object.entries(so.contents.amounts).filter(([id]) => !stays(id)));
  so.contents = { ...so.contents, amounts, inertG: emptyContents.inertG };
}

function markLimiting(
  context: Context,
  charges: readonly ChargeLine[],
  limiting: string | undefined,
): readonly ChargeLine[] {
  return charges.map((line) => {
    const substance = context.contents[line.role]?.substance;
    return { ...line, limiting: limiting !== undefined && (substance?.species) === limiting };
  });
}
