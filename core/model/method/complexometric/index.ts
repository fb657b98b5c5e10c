import { formatNumber } from '#base/units';
import { conditionalLogK, edtaJump } from '#matter/equilibrium';
import type { Sight, TitrationMethod } from '../method.ts';

const METALS: readonly (readonly [species: string, ion: string, indicator: string])[] = [
  ['magnesium-sulfate', 'Mg^2+', 'EBT'],
  ['magnesium-chloride', 'Mg^2+', 'EBT'],
  ['magnesium-acetate-anhydrous', 'Mg^2+', 'EBT'],
  ['zinc-sulfate', 'Zn^2+', 'EBT'],
  ['zinc-chloride', 'Zn^2+', 'EBT'],
  ['zinc-acetate', 'Zn^2+', 'EBT'],
  ['zinc', 'Zn^2+', 'EBT'],
  ['calcium-chloride', 'Ca^2+', 'calcon'],
  ['calcium-acetate', 'Ca^2+', 'calcon'],
  ['calcium-carbonate', 'Ca^2+', 'calcon'],
  ['copper-sulfate', 'Cu^2+', 'PAN'],
];

/** A metal by EDTA, one to one, at the pH where its hold counts. */
export const complexometric: TitrationMethod = {
  is: 'titration',
  id: 'complexometric',
  title: 'metal by EDTA',
  pairs: METALS.map(([flask, ion, indicator]) => ({
    flask,
    burette: 'edta-disodium-anhydrous',
    ratio: 1,
    reaction: `${ion} + H2C10H12N2O8^2- -> ${ion.replace('^2+', '')}C10H12N2O8^2- + 2 H+`,
    indicator,
  })),
  steps: ({ flask, indicator, reaction }) => [
    /^(?:zinc|calcium-carbonate)$/.test(flask)
      ? 'Weigh {sample} into the flask, dissolve in the least hydrochloric acid, neutralise, bring to 50 mL.'
      : 'Weigh {sample} into the flask with 50 mL of distilled water.',
    PH_FOR[indicator] ?? '',
    sharpness(reaction, indicator),
    indicator === 'PAN'
      ? 'Warm to 60 °C with 20 mL of spirit: cold it turns slowly.'
      : 'A pinch of indicator ground in salt.',
  ],
  sights: ({ indicator }) => (indicator === 'PAN' ? COPPER : SIGHTS),
  endSdMl: 0.05,
  besidesSd: 0.002,
  besides: 'other metals count along (calcium with magnesium, zinc with both)',
  minutes: 40,
  usual: 0.05,
  cautions: ['The pH 10 buffer smells of ammonia: outdoors or by an open window.'],
};

/** mol/L of metal in the flask near its end, as these amounts make it. */
const NEAR_END = 0.003;
/** mol/L of free ammonia in 5 mL of buffer in 60. */
const AMMONIA = 0.05;
const PH_OF: Readonly<Record<string, number>> = { EBT: 10, calcon: 12, PAN: 5 };
/** Units of pM around the end from which on a colour turns at a drop. */
const SHARP = 1.5;

/** How sharply the free metal falls at the end there, in words. */
function sharpness(reaction: string, indicator: string): string {
  const metal = (['Mg', 'Zn', 'Ca', 'Cu'] as const).find((each) => reaction.startsWith(each));
  const pH = PH_OF[indicator];
  if (!metal || pH === undefined) return '';
  const jump = edtaJump(conditionalLogK(metal, pH, indicator === 'EBT' ? AMMONIA : 0), NEAR_END);
  return jump >= SHARP
    ? `At pH ${pH} the end is sharp: the free metal falls ${formatNumber(10 ** jump, 1)} times within the last 2 %.`
    : `At pH ${pH} the end is drawn out: compare with a flask that is past it.`;
}

const PH_FOR: Readonly<Record<string, string>> = {
  EBT: 'Add 5 mL of pH 10 ammonia buffer.',
  calcon: 'Bring it to pH 12 with lye and wait two minutes.',
  PAN: 'Bring it to pH 5 with acetate buffer.',
};

const SIGHTS: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'wine red: go on', tint: 'pink' },
  { says: 'violet: slowly, by drops', tint: 'violet' },
  { says: 'the last red is gone, clear blue: stop', tint: 'blue' },
  { says: 'blue all along: past it, an upper limit', tint: 'blue' },
];
const COPPER: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'red-violet: go on', tint: 'violet' },
  { says: 'dirty violet: by drops', tint: 'violet' },
  { says: 'green without violet: stop', tint: 'green' },
  { says: 'green all along: past it, an upper limit', tint: 'green' },
];
