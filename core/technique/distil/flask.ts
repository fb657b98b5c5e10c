import type { Figure } from '#core/figure';
import { type Apparatus, type Charge, type Mixture, mixtureById, stayingOf, USUAL_STILL, withWater } from '#core/still';
import { molarMass, type SubstanceId, substanceOf } from '#core/substance';
import { amountsOf, type Contents } from '#core/vessel';
import type { Facts } from '../facts.ts';

/** g/mol. */
export const WATER_M = molarMass('H2O');

/** What stands in the flask, for the model. */
export interface Flask {
  readonly mixture: Mixture;
  readonly charge: Charge;
  /** mol of what counts, g of water. */
  readonly n: Figure;
  readonly waterG: Figure;
}

/** The flask of a vessel’s contents; undefined where nothing of it is there, or no boiling data are held. */
export function flaskOf(contents: Contents, volatile: SubstanceId, { bench }: Facts): Flask | undefined {
  const id = withWater(volatile);
  const n = contents.aqueous[volatile] ?? contents.organic[volatile];
  if (!id || !n || !(n.value > 0)) return undefined;
  const mixture = mixtureById(id, bench.pressureHPa);
  const stays = amountsOf(contents).filter(([each]) => each !== volatile && substanceOf(each).water !== 'gas');
  const staying = stayingOf(stays);
  return {
    mixture,
    n,
    waterG: contents.waterG,
    charge: {
      first: n.value,
      second: Math.max(0, contents.waterG.value) / WATER_M,
      // Dirt weighs, and boils nothing differently.
      staying: { ...staying, grams: staying.grams + Math.max(0, contents.inertG.value) },
    },
  };
}

export function apparatusOf({ bench }: Facts): Apparatus {
  return bench.still ?? USUAL_STILL;
}
