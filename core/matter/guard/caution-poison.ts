import { formatNumber } from '#base/units';
import { type CautionRule, litresOf } from './caution-facts.ts';
import type { CautionId } from './caution-id.ts';

/** What poisons, burns or falls apart, and what the cold does: each with the numbers of this batch in this place. */
export const poisons = {
  'acid-gas': ({ gases, roomM3 }) => {
    const litres = litresOf(gases, 'hydrogen-chloride');
    if (litres <= 0) return undefined;
    return {
      id: 'acid-gas',
      severity: 'stop',
      title: `Hydrogen chloride, about ${formatNumber(litres, 2)} L`,
      text: `In ${roomM3} m³ that would be ${formatNumber((litres / 1000 / roomM3) * 1e6, 2)} ppm; 5 ppm is the ceiling (NIOSH), and at 50 ppm it endangers life. Outdoors, upwind; water takes it so fast that it climbs back: an empty flask between, the funnel off before the heat.`,
    };
  },
  'iodine-vapour': ({ roomM3 }) => ({
    id: 'iodine-vapour',
    severity: 'stop',
    title: 'Iodine leaves as vapour',
    text: `0.1 ppm is its ceiling in air (NIOSH): ${formatNumber(((1e-7 * roomM3 * 1e6) / 24.06) * 0.25381 * 1000, 2)} mg in ${roomM3} m³, and 4000 times as much stands over the crystals. Outdoors or under a hood, lid on, gloves; thiosulfate takes it up. It eats metal and balances.`,
  }),
  chlorine: ({ gases, roomM3 }) => {
    const litres = litresOf(gases, 'chlorine');
    if (litres <= 0) return undefined;
    return {
      id: 'chlorine',
      severity: 'stop',
      title: `Chlorine, about ${formatNumber(litres, 2)} L`,
      text: `0.5 ppm is its ceiling (NIOSH), and at 10 ppm it endangers life: in ${roomM3} m³ this would be ${formatNumber((litres / 1000 / roomM3) * 1e6, 2)} ppm. Outdoors only, upwind, with a second bottle of lye that takes all of it, and never alone. A shut tap stops it. Coughing: go at once, and see a doctor the same day, also when it passes.`,
    };
  },
  bromine: ({ roomM3, bromineMol: mol = 0 }) => ({
    id: 'bromine',
    severity: 'stop',
    title: 'Bromine burns and chokes',
    text: `${mol > 0 ? `All of it as vapour would be ${formatNumber(((mol * 24.06) / 1000 / roomM3) * 1e6, 2)} ppm in ${roomM3} m³; ` : ''}0.1 ppm is its limit and 3 ppm endangers life (NIOSH). Outdoors or under a hood, cold, lid on, gloves; a beaker of thiosulfate within reach, for skin, spills and glass. It stays in its water.`,
  }),
  'sulfite-fume': ({ gases }) => {
    const litres = litresOf(gases, 'sulfur-dioxide');
    return {
      id: 'sulfite-fume',
      severity: 'watch',
      title:
        litres > 0 ? `Sulfur dioxide, about ${formatNumber(litres, 2)} L` : 'Sulfur dioxide, where acid meets sulfite',
      text: '2 ppm is its limit, 100 ppm endangers life (NIOSH); with asthma stay away. Outdoors or under a hood. A pungent smell while sulfite is added means acid or warmth: stop adding, cool.',
    };
  },
  frost: ({ freezes = '', startC }) =>
    freezes === ''
      ? undefined
      : {
          id: 'frost',
          severity: 'watch',
          title: `Near frost: ${formatNumber(startC, 2)} °C`,
          text: `${freezes} Keep them indoors or in a pocket until they are used: a full bottle bursts. Balances drift and batteries fail in the cold, pH electrodes and mercury-free thermometers read slowly; hot glass cracks on frozen ground. Ice on tubing and taps closes them.`,
        },
  hydroxylammonium: () => ({
    id: 'hydroxylammonium',
    severity: 'stop',
    title: 'Hydroxylammonium: never hot, never dry, never near metal',
    text: 'Its salts fall apart with violence when heated dry, or with iron or copper. Never boil it to dryness, never make it alkaline (the free base explodes), never the nitrate. Glass and plastic only, below the ceiling of the step. It harms the blood and sensitises: gloves.',
  }),
  'ammonia-gas': ({ gases, roomM3 }) => {
    const litres = litresOf(gases, 'ammonia-gas');
    if (litres <= 0) return undefined;
    return {
      id: 'ammonia-gas',
      severity: 'stop',
      title: `Ammonia, about ${formatNumber(litres, 2)} L`,
      text: `In ${roomM3} m³ that would be ${formatNumber((litres / 1000 / roomM3) * 1e6, 2)} ppm; 35 ppm is the limit for a quarter of an hour (NIOSH), and at 300 ppm it kills. Outdoors, upwind; when it stings, walk away at once, and breathe only then.`,
    };
  },
} as const satisfies Partial<Record<CautionId, CautionRule>>;
