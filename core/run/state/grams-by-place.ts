import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { amountOf, type Contents, type Place, type Vessels } from '#matter/vessel';

/** The same substance as a gas counts with it. */
const AS_GAS: Readonly<Record<string, SubstanceId>> = {
  'hydrochloric-acid': 'hydrogen-chloride',
  ammonia: 'ammonia-gas',
};

function gramsIn(contents: Contents, id: SubstanceId): number {
  const gas = AS_GAS[id];
  return [id, ...(gas ? [gas] : [])].reduce(
    (sum, each) => sum + (amountOf(contents, each)?.value ?? 0) * molarMass(substanceOf(each).formula),
    0,
  );
}

/** g of a substance, as a gas too, in every place that has any. */
export function gramsByPlace(vessels: Vessels, id: SubstanceId): Readonly<Partial<Record<Place, number>>> {
  const all = (Object.entries(vessels) as [Place, Contents | undefined][]).flatMap(([place, contents]) => {
    const grams = contents ? gramsIn(contents, id) : 0;
    return grams > 1e-9 ? [[place, grams] as const] : [];
  });
  return Object.fromEntries(all);
}
