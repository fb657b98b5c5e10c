import type { Cause } from '../cause.ts';
import { PRACTICE, pair } from './pair.ts';

/** Causes of: a layer, a falling current, a crack, what will not dry. */
export const odds: readonly Cause[] = [
  // Layers, current, cracks, drying
  pair(
    'layer',
    'a salt has driven the alcohol or acetone out',
    'alcohol|ketone carbonate|sulfate|chloride',
    'The upper layer burns on a spoon outdoors.',
    'Separate it, or add water.',
    { danger: 'act', source: PRACTICE },
  ),
  pair(
    'layer',
    'perfume or oil of the product',
    '',
    'It floats and smells.',
    'Skim it with paper, filter through a wet paper.',
    { source: PRACTICE },
  ),
  pair(
    'current',
    'the ion is used up',
    'copper_salt|zinc|sulfate',
    'The colour has gone, gas at the cathode.',
    'It is nearly done: measure, then stop.',
    { via: '2 CuSO4 + 2 H2O -> 2 Cu + O2 + 2 H2SO4', weight: 3 },
  ),
  pair('current', 'a film on the anode', '', 'Wiped, the current comes back.', 'Clean it; lower current density.', {
    weight: 2,
    source: PRACTICE,
  }),
  pair(
    'current',
    'a contact corroded or dried out',
    '',
    'The voltage stands but no current at the clip.',
    'Sand the clip, keep it out of the spray.',
    { weight: 2, source: PRACTICE },
  ),
  pair('crack', 'thermal shock', '', 'A clean arc, at the level of the liquid.', 'Into the tray; do not lift it.', {
    danger: 'stop',
    now: 'Do not lift it. Heat off, let it cool in its tray, then pour with gloves.',
    weight: 3,
    source: PRACTICE,
  }),
  pair('crack', 'crystals pressing as they grow', '', 'It froze or set solid.', 'Warm slowly in a bath.', {
    danger: 'act',
    weight: 1,
    source: PRACTICE,
  }),
  pair(
    'wet',
    'a salt that draws water from the air',
    'chloride|nitrate|calcium|alkali_strong',
    'It is drier by day than by night.',
    'Desiccator; no air drying.',
    { weight: 3, source: PRACTICE },
  ),
  pair(
    'wet',
    'mother liquor in the crystals',
    'acid_strong|acid_weak',
    'Paper pressed on it turns acid.',
    'Rinse once with ice-cold water, press, dry again.',
    { weight: 2, techniques: ['dry'], source: PRACTICE },
  ),
  pair('wet', 'spread too thick', '', 'Wet inside, dry outside.', 'Crush and spread it thinly.', {
    weight: 3,
    techniques: ['dry'],
    source: PRACTICE,
  }),
];
