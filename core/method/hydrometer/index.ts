import { hasDensity, massFractionFigure } from '#core/solution';
import type { MeasuredMethod } from '../method.ts';

/** Strength by a hydrometer that shows g/mL. */
export const hydrometer: MeasuredMethod = {
  is: 'measured',
  id: 'hydrometer',
  title: 'hydrometer',
  needs: ['hydrometer'],
  known: [],
  suits: ({ substance, dissolved, others }) => {
    if (!dissolved || !hasDensity(substance)) return 'no density table is held for it';
    return others.length > 0 ? 'something else in it weighs too' : null;
  },
  reaction: () => '',
  steps: [
    'Let it come to room temperature in a tall jar.',
    'Float the hydrometer free of the wall, read at the level of the liquid.',
  ],
  entries: [
    { name: 'gravity', label: 'it shows', unit: '', least: 0.6, most: 2.2, sd: () => MARK },
    {
      name: 'tempC',
      label: 'temperature',
      unit: '°C',
      least: -5,
      most: 60,
      sd: () => 0.5,
      taken: ({ tempC }) => tempC,
    },
  ],
  strength: ({ content, read, bench }) =>
    massFractionFigure(read.gravity!, 'SG', content.substance, read.tempC?.value ?? bench.tempC, true),
  model: (content) => ({ gravity: (content.density?.value ?? 1) / WATER_20 }),
  besidesSd: 0,
  besides: 'what else is dissolved',
  minutes: 10,
  cautions: [],
};

/** Half a mark of a hydrometer with marks at 0.002. */
const MARK = 0.001;
/** g/mL: hydrometers marked 20/20 count against it. */
const WATER_20 = 0.9982;
