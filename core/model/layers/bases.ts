import { molarVolume } from '#matter/reaction';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { solubilityOf } from '#model/dish';

/** A base for the acid in a funnel: what of it, in how little water, and with what gas. */
export interface BaseChoice {
  readonly base: SubstanceId;
  readonly grams: number;
  /** g of water that dissolve the base, that keep the salt dissolved which it makes; null: no solubility held. */
  readonly dissolvesInG: number | null;
  readonly keepsSaltInG: number | null;
  readonly salt: SubstanceId | null;
  /** L of carbon dioxide at the room’s warmth; 0 of a hydroxide. */
  readonly gasL: number;
}

const ROOM_C = 20;

/** Bases by what an acid of one proton takes of them, and the gas that comes. */
const BASES: readonly { base: SubstanceId; perAcid: number; gas: number; metal: 'sodium' | 'potassium' }[] = [
  { base: 'sodium-hydrogencarbonate', perAcid: 1, gas: 1, metal: 'sodium' },
  { base: 'sodium-carbonate', perAcid: 0.5, gas: 0.5, metal: 'sodium' },
  { base: 'potassium-hydrogencarbonate', perAcid: 1, gas: 1, metal: 'potassium' },
  { base: 'potassium-carbonate', perAcid: 0.5, gas: 0.5, metal: 'potassium' },
];

const SALTS: Readonly<Record<string, { readonly sodium: SubstanceId; readonly potassium: SubstanceId | null }>> = {
  'acetic-acid': { sodium: 'sodium-acetate', potassium: 'potassium-acetate' },
  'formic-acid': { sodium: 'sodium-formate', potassium: 'potassium-formate' },
  'salicylic-acid': { sodium: 'sodium-salicylate', potassium: null },
  'benzoic-acid': { sodium: 'sodium-benzoate', potassium: null },
};

/** What takes so many mol of an acid of one proton out, each base with the water it needs; the least water first. */
export function basesFor(acid: string, mol: number, tempC: number): readonly BaseChoice[] {
  return BASES.map(({ base, perAcid, gas, metal }): BaseChoice => {
    const salt = SALTS[acid]?.[metal] ?? null;
    const grams = mol * perAcid * molarMass(substanceOf(base).formula);
    return {
      base,
      grams,
      salt,
      dissolvesInG: waterFor(base, grams),
      keepsSaltInG: salt ? waterFor(salt, mol * molarMass(substanceOf(salt).formula)) : null,
      gasL: mol * gas * molarVolume(tempC, 1013.25),
    };
  }).sort((a, b) => need(a) - need(b));
}

/** Least water that does both; what is not known comes last. */
const need = ({ dissolvesInG, keepsSaltInG }: BaseChoice) =>
  dissolvesInG === null || keepsSaltInG === null ? Number.POSITIVE_INFINITY : Math.max(dissolvesInG, keepsSaltInG);

function waterFor(id: SubstanceId, grams: number): number | null {
  const found = solubilityOf(substanceOf(id), ROOM_C);
  return found.ok ? (100 * grams) / found.value.gPer100gWater : null;
}
