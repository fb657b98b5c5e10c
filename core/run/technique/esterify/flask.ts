import type { Reaction } from '#matter/reaction';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { amountsOf, type Contents } from '#matter/vessel';
import { agentOver, liquidClassOf } from '#model/dry';
import {
  type Charge,
  constantAt,
  courseOf,
  type EsterPair,
  esterOf,
  formedAfter,
  formedAtEnd,
  litresOf,
  strongOf,
} from '#model/ester';

const WATER_M = molarMass('H2O');

/** What stands in a flask to become an ester. */
export interface Flask {
  readonly row: EsterPair;
  readonly acid: SubstanceId;
  readonly alcohol: SubstanceId;
  readonly ester: SubstanceId;
  readonly charge: Charge;
  readonly litres: number;
  /** mol of strong acid that the catalysts count for. */
  readonly strong: number;
}

/** The flask of a reaction; undefined where it makes no ester that is held, or one of the two lacks. */
export function flaskOf(contents: Contents, reaction: Reaction): Flask | undefined {
  const ids = reaction.reactants.map(({ substanceId }) => substanceId);
  const ester = reaction.products.find(({ substanceId }) => substanceId !== 'water')?.substanceId;
  const [a, b] = ids;
  const pair = a && b && (esterOf(a, b) ? ([a, b] as const) : ([b, a] as const));
  const row = pair && esterOf(pair[0], pair[1]);
  if (!pair || !row || !ester) return undefined;
  const amounts = new Map(amountsOf(contents));
  const [acid, alcohol] = pair;
  const [nAcid, nAlcohol] = [amounts.get(acid) ?? 0, amounts.get(alcohol) ?? 0];
  if (!(nAcid > 0 && nAlcohol > 0)) return undefined;
  const strong = [...amounts].reduce((sum, [id, mol]) => sum + (strongOf(id, mol) ?? 0), 0);
  const grams = [...amounts].map(([id, mol]) => [id, mol * molarMass(substanceOf(id).formula)] as const);
  return {
    row,
    acid,
    alcohol,
    ester,
    strong,
    charge: {
      acid: nAcid,
      alcohol: nAlcohol,
      water: contents.waterG.value / WATER_M,
      ester: amounts.get(ester) ?? 0,
      // Sulfuric acid holds a mol of water, a drying salt in the flask what it takes out of the alcohol.
      taken: (amounts.get('sulfuric-acid') ?? 0) + heldBySalts(grams, alcohol),
    },
    litres: litresOf([...grams, ['water', contents.waterG.value]]),
  };
}

/** mol of water that drying salts in the flask hold, by what they take out of such an alcohol. */
function heldBySalts(grams: readonly (readonly [SubstanceId, number])[], alcohol: SubstanceId): number {
  const liquid = liquidClassOf(alcohol);
  return grams.reduce((sum, [id, g]) => {
    const over = liquid && DRIERS.has(id) ? agentOver(id, liquid) : undefined;
    return sum + (over ? (g * over.capacity) / WATER_M : 0);
  }, 0);
}

/** Salts that are not spent on an acid. */
const DRIERS: ReadonlySet<string> = new Set(['magnesium-sulfate', 'calcium-sulfate']);

/** How far it comes, mol of ester formed: at its end, and after so many hours; null where what makes it run is not known. */
export function formedIn(flask: Flask, tempC: number, hours: number) {
  const K = constantAt(flask.row, tempC);
  const end = formedAtEnd(flask.charge, K);
  const { acid, alcohol, charge, litres, strong } = flask;
  const course = courseOf({ acidId: acid, alcoholId: alcohol, charge, litres, strong }, { K, end, tempC });
  return { K, end, course, after: course && formedAfter(course, hours) };
}
