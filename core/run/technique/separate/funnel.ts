import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { amountsOf, type Contents, entriesOf } from '#matter/vessel';
import { distributionOf, mutualOf, type Parted, part, shareIn } from '#model/layers';

/** What stands in a funnel: its two layers, and the share of each other substance that goes with the kept one. */
export interface Funnel {
  readonly parted: Parted;
  /** 0 to 1, by substance. */
  readonly shares: ReadonlyMap<SubstanceId, number>;
  /** What nothing is held of. */
  readonly notHeld: readonly SubstanceId[];
}

/** Undefined where there is none of the liquid, or how it parts from water is not held. */
export function funnelOf(contents: Contents, liquid: SubstanceId): Funnel | undefined {
  const amounts = new Map(amountsOf(contents));
  const grams = (id: SubstanceId) => (amounts.get(id) ?? 0) * molarMass(substanceOf(id).formula);
  // What mixes with it and makes a layer of its own too (alcohol left over) parts with it; the most of them decides how.
  const own = entriesOf(contents.organic)
    .map(([id]) => ({ id, grams: grams(id) }))
    .filter(({ id, grams: g }) => g > 0 && mutualOf(id) !== undefined)
    .toSorted((a, b) => b.grams - a.grams);
  const liquidG = own.reduce((sum, each) => sum + each.grams, 0);
  const [main] = own;
  if (!main || !(grams(liquid) > 0)) return undefined;
  const salts = entriesOf(contents.aqueous)
    .filter(([id]) => isSalt(id))
    .map(([id]) => ({ id, grams: grams(id) }));
  // The salt that is there most stands for all: salts drive by their strength together.
  const [most] = salts.toSorted((a, b) => b.grams - a.grams);
  const saltG = salts.reduce((sum, each) => sum + each.grams, 0);
  const parted = part(main.id, liquidG, { waterG: contents.waterG.value, salt: most?.id ?? null, saltG });
  const [ownMl, waterMl] = [parted.organic?.ml ?? 0, parted.aqueous?.ml ?? 0];
  const share = (parted.organic?.liquidG ?? 0) / liquidG;
  const shares = new Map<SubstanceId, number>(own.map(({ id }) => [id, share]));
  const notHeld: SubstanceId[] = [];
  for (const [id] of amounts) {
    if (shares.has(id)) continue;
    const row = distributionOf(main.id, id);
    if (row) shares.set(id, shareIn(row.D[1], ownMl, waterMl));
    else if (isSalt(id) || substanceOf(id).form !== 'liquid') shares.set(id, contents.organic[id] ? 1 : 0);
    else {
      // It stays in the layer that it was counted in.
      shares.set(id, contents.organic[id] ? 1 : 0);
      notHeld.push(id);
    }
  }
  return { parted, shares, notHeld };
}

const isSalt = (id: SubstanceId) => substanceOf(id).ions !== null || substanceOf(id).form === 'solid';
