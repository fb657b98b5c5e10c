import { must } from '#base/lookup';
import { massFractionFigure } from '#matter/solution';
import { densityTells, temperatureEntry, WATER_20 } from '../gravity.ts';
import type { MeasuredMethod } from '../method.ts';

/** Strength by a hydrometer that shows g/mL. */
export const hydrometer: MeasuredMethod = {
  is: 'measured',
  id: 'hydrometer',
  title: 'hydrometer',
  needs: ['hydrometer'],
  known: [],
  suits: densityTells,
  reaction: () => '',
  steps: [
    'Let it come to room temperature in a tall jar.',
    'Float the hydrometer free of the wall, read at the level of the liquid.',
  ],
  entries: [
    { name: 'gravity', label: 'it shows', unit: '', least: 0.6, most: 2.2, sd: () => MARK },
    temperatureEntry(0.5),
  ],
  strength: ({ content, read, bench }) =>
    massFractionFigure(must(read.gravity, 'gravity'), 'SG', content.substance, read.tempC?.value ?? bench.tempC, true),
  model: (content) => ({ gravity: (content.density?.value ?? 1) / WATER_20 }),
  besidesSd: 0,
  besides: 'what else is dissolved',
  minutes: 10,
  cautions: [],
};

/** Half a mark of a hydrometer with marks at 0.002. */
const MARK = 0.001;
