import type { Cause } from '../cause.ts';
import { ACID, AWAY, BRETHERICK, pair } from './pair.ts';

/** Causes of: bleach, ammonia, burnt, rotten eggs, vinegar. */
export const smells: readonly Cause[] = [
  // Smells
  pair(
    'bleach-smell',
    'hypochlorite and acid: chlorine',
    `hypochlorite|isocyanurate ${ACID}`,
    'You smell it: that is enough.',
    'Thiosulfate and soda once the air is clear.',
    { via: 'NaClO + 2 HCl -> NaCl + Cl2 + H2O', danger: 'stop', now: AWAY, weight: 3, source: BRETHERICK },
  ),
  pair(
    'bleach-smell',
    'hypochlorite and ammonia: chloramine',
    'hypochlorite|isocyanurate ammonia|amine_urea',
    'Sharp, makes the eyes run.',
    'Much water once the air is clear.',
    { via: 'NaClO + NH3 -> NH2Cl + NaOH', danger: 'stop', now: AWAY, weight: 3, source: BRETHERICK },
  ),
  pair(
    'bleach-smell',
    'hypochlorite ageing in an open vessel',
    'hypochlorite',
    'Faint, as of laundry.',
    'Close it loosely, keep it cool.',
    { via: '3 NaClO -> 2 NaCl + NaClO3', weight: 1 },
  ),
  pair(
    'ammonia-smell',
    'ammonium salt made alkaline',
    'ammonia alkali_strong|alkali_mild|carbonate|quicklime',
    'Damp red litmus turns blue.',
    'Outdoors; acid slowly if it is too much.',
    { via: '(NH4)2SO4 + 2 NaOH -> Na2SO4 + 2 NH3 + 2 H2O', danger: 'act', weight: 3 },
  ),
  pair(
    'ammonia-smell',
    'urea in a fertiliser product',
    'amine_urea alkali_strong',
    'It comes only on boiling.',
    'Another product: urea is the wrong one.',
    { via: 'CO(NH2)2 + 2 NaOH -> Na2CO3 + 2 NH3', overC: 60 },
  ),
  pair(
    'sulfur-smell',
    'sulfite or thiosulfate with acid: sulfur dioxide',
    `sulfite|thiosulfate ${ACID}`,
    'Dichromate or permanganate paper fades.',
    'Soda at once, outdoors.',
    {
      via: 'Na2SO3 + H2SO4 -> Na2SO4 + SO2 + H2O',
      danger: 'stop',
      now: `${AWAY} Dangerous to asthmatics.`,
      weight: 3,
      source: BRETHERICK,
    },
  ),
  pair(
    'sulfur-smell',
    'hot strong sulfuric acid on metal or sugar',
    'sulfuric_conc metal_copper|metal_active|fuel',
    'Only with hot, strong acid.',
    'Cool and dilute.',
    { via: 'Cu + 2 H2SO4 -> CuSO4 + SO2 + 2 H2O', danger: 'stop', now: AWAY, source: BRETHERICK },
  ),
  pair(
    'egg-smell',
    'sulfide in the metal or product with acid',
    `${ACID}`,
    'Lead acetate paper blackens.',
    'Outdoors, more air; stop the acid if you still smell it.',
    {
      via: 'ZnS + H2SO4 -> ZnSO4 + H2S',
      danger: 'stop',
      now: `${AWAY} It numbs the nose: when the smell goes, the danger has not.`,
      weight: 2,
      source: BRETHERICK,
    },
  ),
  pair(
    'vinegar-smell',
    'acetate with stronger acid',
    'acid_strong',
    'The smell of vinegar, acid to indicator paper.',
    'Nothing, or a little soda.',
    { via: 'CH3COONa + HCl -> CH3COOH + NaCl', weight: 1 },
  ),
  pair(
    'vinegar-smell',
    'acetic acid left over',
    'acid_weak',
    'Paper below pH 6.',
    'Carbonate in pinches until it no longer fizzes.',
    { via: 'NaHCO3 + CH3COOH -> CH3COONa + CO2 + H2O', weight: 3 },
  ),
];
