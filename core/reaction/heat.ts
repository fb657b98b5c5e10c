import { thermochem } from '#core/data';
import { hydrateWater } from '#core/substance';
import { type Reaction, reactionSubstance } from './reaction.ts';

const HF = new Map(thermochem.map((row) => [row.id, row]));

/** Formation enthalpies by substance: the ions of what is dissolved, the solid or gas of what is not. */
const DISSOLVED: Record<string, readonly (readonly [string, number])[]> = {
  'acetic-acid': [['HOAc_aq', 1]],
  'sodium-acetate': [
    ['Na_aq', 1],
    ['OAc_aq', 1],
  ],
  'sulfuric-acid': [
    ['H_aq', 2],
    ['SO4_aq', 1],
  ],
  'hydrochloric-acid': [
    ['H_aq', 1],
    ['Cl_aq', 1],
  ],
  'zinc-sulfate': [
    ['Zn_aq', 1],
    ['SO4_aq', 1],
  ],
  'zinc-chloride': [
    ['Zn_aq', 1],
    ['Cl_aq', 2],
  ],
  'iron-sulfate': [
    ['Fe2_aq', 1],
    ['SO4_aq', 1],
  ],
  'iron-sulfate-ferric': [
    ['Fe3_aq', 2],
    ['SO4_aq', 3],
  ],
  'hydrogen-peroxide': [['H2O2_aq', 1]],
  'sodium-sulfate': [
    ['Na_aq', 2],
    ['SO4_aq', 1],
  ],
  'carbon-dioxide': [['CO2_g', 1]],
  hydrogen: [['H2_g', 1]],
  water: [['H2O_l', 1]],
};
const SOLID: Record<string, string> = {
  zinc: 'Zn_s',
  'sodium-carbonate': 'Na2CO3_s',
  'sodium-carbonate-monohydrate': 'Na2CO3_1H2O',
  'sodium-carbonate-decahydrate': 'Na2CO3_10H2O',
};

/**
 * Enthalpy of one extent of reaction, kJ (negative is warm), everything dissolved at infinite dilution, solids as they
 * are charged: `charged` names the bottle's own substance for a reactant (the decahydrate for the carbonate), whose
 * crystal water then joins the solution. Real solutions of 1 to 3 mol/L differ by up to 5 %. Undefined when a value lacks.
 */
export function reactionHeat(reaction: Reaction, charged: Readonly<Record<string, string>>): number | undefined {
  let sum = 0;
  for (const { substanceId, n } of reaction.products) {
    const value = formation(substanceId);
    if (value === undefined) return undefined;
    sum += n * value;
  }
  for (const { substanceId, n } of reaction.reactants) {
    // A solid whose own value lacks is taken as dissolved already.
    const bottled = charged[substanceId] ?? substanceId;
    const form = formation(bottled) === undefined ? substanceId : bottled;
    const value = formation(form);
    if (value === undefined) return undefined;
    const water = form === substanceId ? 0 : hydrateWater(reactionSubstance(form).formula);
    sum += n * (water * (formation('water') ?? 0) - value);
  }
  return sum;
}

function formation(substanceId: string): number | undefined {
  const solid = SOLID[substanceId];
  if (solid) return HF.get(solid)?.dHf;
  const parts = DISSOLVED[substanceId];
  if (!parts) return undefined;
  let sum = 0;
  for (const [id, n] of parts) {
    const dHf = HF.get(id)?.dHf;
    if (dHf === undefined) return undefined;
    sum += n * dHf;
  }
  return sum;
}
