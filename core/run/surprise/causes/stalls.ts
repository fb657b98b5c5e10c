import type { Cause } from '../cause.ts';
import { ACID, PRACTICE, pair } from './pair.ts';

/** Causes of: nothing happens, it stops early, no crystals, it will not filter. */
export const stalls: readonly Cause[] = [
  // Nothing, stalls
  pair(
    'no-change',
    'the reagent is spent or was never that strong',
    '',
    'pH paper: neutral where it should be acid.',
    'Add a tenth more and watch; enter what went in.',
    { weight: 3 },
  ),
  pair(
    'no-change',
    'oxide or grease on the metal',
    'metal_active|metal_iron|metal_copper',
    'A scratched place starts.',
    'Sand it, wash off the grease; a drop of copper sulfate starts zinc.',
    { via: 'Zn + CuSO4 -> ZnSO4 + Cu', weight: 3 },
  ),
  pair('no-change', 'too cold or too dilute', '', 'It starts when warmed by hand.', 'Warm to 40 °C.', { weight: 2 }),
  pair('no-change', 'the wrong product', '', 'Its identity test fails.', 'Read the label again; test a pinch.', {
    weight: 1,
    source: PRACTICE,
  }),
  pair(
    'stall',
    'the acid is weaker than its label',
    `${ACID} metal_active|metal_iron|carbonate|zinc`,
    'pH paper shows 3 or more with solid left.',
    'Weigh the solid left and log it: the strength is computed from it. Then top up.',
    { via: 'Zn + H2SO4 -> ZnSO4 + H2', weight: 3 },
  ),
  pair(
    'stall',
    'a crust shuts the solid off',
    'metal_active|metal_iron|carbonate',
    'Scraped, it goes on.',
    'Stir, water, break the lumps.',
    { via: 'CaCO3 + H2SO4 -> CaSO4 + CO2 + H2O', weight: 2 },
  ),
  pair(
    'stall',
    'what is left is not the metal: alloy, lead, carbon',
    'metal_active|zinc',
    'Dark, soft specks that do not fizz in fresh acid.',
    'Filter them off: it is done.',
    { weight: 2 },
  ),
  pair('stall', 'it has cooled', '', 'A warm bath starts it again.', 'Keep it at 40 °C.', {
    weight: 2,
    source: PRACTICE,
  }),
  pair('no-crystals', 'not yet saturated', '', 'A crystal dropped in dissolves.', 'Evaporate a fifth more.', {
    weight: 3,
    techniques: ['evaporate', 'boil-down'],
    source: PRACTICE,
  }),
  pair('no-crystals', 'supersaturated, without a seed', '', 'A seed grows at once.', 'Scratch the glass, seed, cool.', {
    weight: 3,
    techniques: ['evaporate', 'boil-down'],
    source: PRACTICE,
  }),
  pair(
    'no-crystals',
    'too much acid or another salt left in',
    'acid_strong',
    'Acid to indicator paper.',
    'Neutralise a little, or wash the crop that does come.',
    { weight: 1, techniques: ['evaporate', 'boil-down'], source: PRACTICE },
  ),
  pair(
    'slow-filter',
    'slime of hydroxide or carbonate',
    'zinc|copper_salt|iron|aluminium|carbonate',
    'It squeezes under a finger like jelly.',
    'Warm to 60 °C for half an hour, settle, decant before filtering.',
    { weight: 3, source: PRACTICE },
  ),
  pair(
    'slow-filter',
    'paper clogged with fines',
    '',
    'A fresh paper runs for a minute.',
    'Let it settle, pour the clear first.',
    { weight: 2, source: PRACTICE },
  ),
  // Hypochlorite
  pair(
    'no-crystals',
    'too much alkali left beside the hypochlorite',
    'hypochlorite',
    'A drop in peroxide until it no longer fizzes, then phenolphthalein: deep pink.',
    'A little more chlorine, a test portion after each; stop at pale pink. Then colder, and a day more.',
    { weight: 3, techniques: ['crystallise', 'filter', 'hold'], source: PRACTICE },
  ),
  pair(
    'slow-filter',
    'excess alkali: the slurry stays a slime',
    'hypochlorite',
    'Phenolphthalein, in a drop that peroxide has quieted: deep pink.',
    'A little more chlorine, a test portion after each; glass wool, never paper.',
    { weight: 3, source: PRACTICE },
  ),
  pair(
    'stall',
    'the lump in the generator has crusted over, or is used up',
    'isocyanurate|hypochlorite',
    'Shake it once, tap shut: gas for a minute is a crust; none is a spent lump.',
    'Stir the lump; or end it and weigh the absorber. Never powder on top.',
    { weight: 3, danger: 'act', techniques: ['absorb'], source: PRACTICE },
  ),
  pair(
    'no-change',
    'bromide, acid and peroxide are too thin',
    'bromide peroxide_dilute|peroxide_strong',
    'Ask the course at the step: under a tenth of the bromide it never comes.',
    'More acid first, not more peroxide; or begin again in half the water.',
    { weight: 3, techniques: ['oxidise', 'add', 'hold'], source: 'Mohammad and Liebhafsky 1934' },
  ),
  // Layers
  pair(
    'cloud',
    'an emulsion: drops of one layer in the other',
    'ester|alcohol|ketone',
    'Left alone for a quarter of an hour the band grows thinner.',
    'No more shaking: a spoon of salt, an hour, or through cotton; turn it over instead of shaking next time.',
    { weight: 3, techniques: ['separate', 'add'], source: PRACTICE },
  ),
];
