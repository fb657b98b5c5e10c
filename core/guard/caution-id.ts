/** The usual cautions, by name. */
export const cautionIds = [
  'acid-into-water',
  'corrosive',
  'fume',
  'hydrogen',
  'foam',
  'heat',
  'hot-liquid',
  'boil-dry',
  'quench',
  'ammonia-gas',
  'oxidiser',
  'zinc-salt',
  'copper-salt',
  'molten-alkali',
  'caustic',
  'peroxide',
  'flammable',
  'permit',
  'label',
  'law',
] as const;
export type CautionId = (typeof cautionIds)[number];
