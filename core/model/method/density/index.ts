import { derive } from '#base/figure';
import { must } from '#base/lookup';
import { massFractionFigure } from '#matter/solution';
import { densityTells, temperatureEntry, WATER_20 } from '../gravity.ts';
import { type MeasuredMethod, weighingSd } from '../method.ts';

/** Strength by the weight of a measured volume: as good as the volume is. Tells nothing of a liquid that holds something else besides. */
export const density: MeasuredMethod = {
  is: 'measured',
  id: 'density',
  title: 'density, a weighed volume',
  needs: [],
  known: [],
  suits: densityTells,
  reaction: () => '',
  steps: [
    'Weigh a dry flask or syringe of known volume.',
    'Fill it to the mark at room temperature, without bubbles, and weigh again.',
    'Calibrate it first with water: 100 mL of water at 20 °C weigh 99.7 g on a balance in air.',
  ],
  entries: [
    { name: 'grams', label: 'it weighs', unit: 'g', least: 0.1, most: 5000, sd: (bench) => weighingSd(bench) },
    { name: 'mL', label: 'the volume', unit: 'mL', least: 0.1, most: 5000, sd: (_, value) => VOLUME * value },
    temperatureEntry(0.5),
  ],
  strength: ({ content, read, bench }) => {
    const { grams, mL } = read;
    const rho = derive(
      { symbol: 'ρ', name: 'density found', unit: 'g/mL' },
      'm ÷ V × 0.99985 + 0.0012',
      { m: must(grams, 'grams'), V: must(mL, 'mL') },
      (x) => (x.m / x.V) * BRASS + AIR,
    );
    const gravity = derive(
      { symbol: 'd', name: 'against water at 20 °C', unit: '' },
      'ρ ÷ 0.99820',
      { ρ: rho },
      (x) => x.ρ / WATER_20,
    );
    return massFractionFigure(gravity, 'SG', content.substance, read.tempC?.value ?? bench.tempC, true);
  },
  model: (content) => {
    const rho = content.density?.value ?? 1;
    return { grams: 100 * rho, mL: 100 };
  },
  besidesSd: 0,
  besides: 'what else is dissolved',
  minutes: 15,
  cautions: [],
};

/** A flask or syringe calibrated with water. */
const VOLUME = 0.001;
/** What air bears up, g/mL, of the liquid and of the weights that the balance is set by. */
const AIR = 0.0012;
const BRASS = 1 - AIR / 8;
