import { derive, type Figure, given } from '#base/figure';
import { molarMassFigure, type Substance, type SubstanceId, substanceOf, waterGivenBack } from '#matter/substance';
import { boundWater, type Contents, dissolvesAs, entriesOf, withAmount } from './contents.ts';
import { total } from './total.ts';

/** What went into solution: the solid as it was, and mol of it. */
export interface Dissolved {
  readonly id: SubstanceId;
  readonly amount: Figure;
}

/** g of anhydrous substance that 100 g of water hold; undefined where that is not known, and all of it is taken to dissolve; or that it stays as it is. */
export type SolubilityOf = (species: Substance) => Figure | undefined | 'stays';

const NEXT_TO_NOTHING = 1e-12;

/**
 * Lets the solids of a vessel dissolve as far as its water holds them; crystal water joins it. Each solid by itself: a
 * common ion is left out. Nothing dissolves without water.
 */
export function dissolve(contents: Contents, solubility: SolubilityOf): { contents: Contents; dissolved: Dissolved[] } {
  let now = contents;
  const dissolved: Dissolved[] = [];
  for (const [id, n] of entriesOf(contents.solid)) {
    const species = dissolvesAs(id);
    if (!species || n.value <= 0 || now.waterG.value <= 0) continue;
    const s = solubility(species);
    if (s === 'stays') continue;
    const goes = part(now, id, n, species, s);
    if (goes.value <= NEXT_TO_NOTHING) continue;
    now = moved(now, id, n, goes);
    dissolved.push({ id, amount: goes });
  }
  return { contents: now, dissolved };
}

/** mol of a solid that go into solution: all of it, or as much as saturates the water. */
function part(contents: Contents, id: SubstanceId, n: Figure, species: Substance, s: Figure | undefined): Figure {
  if (!s || !Number.isFinite(s.value)) return n;
  const solid = substanceOf(id);
  const M = molarMassFigure(species.formula);
  const h = waterGivenBack(solid) * molarMassFigure('H2O').value;
  const there =
    contents.aqueous[species.id] ??
    given({ symbol: 'n₁', name: `${species.name} in solution`, unit: 'mol' }, 0, 'none yet');
  // x mol bring h·x g of water with them: (n₁ + x)·M = s·(W + h·x)/100.
  const room = (x: { s: number; W: number; M: number; n1: number }) => {
    const per = x.M - (x.s * h) / 100;
    // More soluble than its own crystal water: it melts into its water, all of it.
    return per <= 0 ? Number.POSITIVE_INFINITY : ((x.s * x.W) / 100 - x.n1 * x.M) / per;
  };
  if (room({ s: s.value, W: contents.waterG.value, M: M.value, n1: there.value }) >= n.value) return n;
  return derive(
    { symbol: 'n', name: `${solid.name} that dissolves`, unit: 'mol' },
    'min(n; what saturates the water)',
    { n, s, W: contents.waterG, M, 'n₁': there },
    (x) => Math.max(0, Math.min(x.n, room({ s: x.s, W: x.W, M: x.M, n1: x['n₁'] }))),
  );
}

function moved(contents: Contents, id: SubstanceId, n: Figure, goes: Figure): Contents {
  const solid = substanceOf(id);
  const rest =
    goes === n
      ? {}
      : {
          [id]: derive({ symbol: 'n', name: `${solid.name} undissolved`, unit: 'mol' }, 'n − x', { n, x: goes }, (v) =>
            Math.max(0, v.n - v.x),
          ),
        };
  const others = Object.fromEntries(entriesOf(contents.solid).filter(([each]) => each !== id));
  const water = boundWater(goes, solid, `crystal water of ${solid.name}`);
  const waterG = water.value > 0 ? total('water', 'g', contents.waterG, water) : contents.waterG;
  return withAmount({ ...contents, solid: { ...others, ...rest }, waterG }, 'aqueous', solid.species, goes);
}
