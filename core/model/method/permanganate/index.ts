import type { Pair, Sight, TitrationMethod } from '../method.ts';

const pairs: readonly Pair[] = [
  { flask: 'hydrogen-peroxide', ratio: 2.5, reaction: '2 MnO4- + 5 H2O2 + 6 H+ -> 2 Mn^2+ + 5 O2 + 8 H2O' },
  { flask: 'oxalic-acid', ratio: 2.5, reaction: '2 MnO4- + 5 H2C2O4 + 6 H+ -> 2 Mn^2+ + 10 CO2 + 8 H2O' },
  { flask: 'sodium-oxalate', ratio: 2.5, reaction: '2 MnO4- + 5 C2O4^2- + 16 H+ -> 2 Mn^2+ + 10 CO2 + 8 H2O' },
  { flask: 'iron-sulfate', ratio: 5, reaction: 'MnO4- + 5 Fe^2+ + 8 H+ -> Mn^2+ + 5 Fe^3+ + 4 H2O' },
  { flask: 'ammonium-iron-sulfate-anhydrous', ratio: 5, reaction: 'MnO4- + 5 Fe^2+ + 8 H+ -> Mn^2+ + 5 Fe^3+ + 4 H2O' },
  {
    flask: 'hydroxylammonium-sulfate',
    ratio: 1.25,
    reaction: '2 NH3OH+ + 4 Fe^3+ -> N2O + 4 Fe^2+ + 6 H+ + H2O; MnO4- + 5 Fe^2+ + 8 H+ -> Mn^2+ + 5 Fe^3+ + 4 H2O',
  },
  { flask: 'sodium-nitrite', ratio: 2.5, reaction: '2 MnO4- + 5 NO2- + 6 H+ -> 2 Mn^2+ + 5 NO3- + 3 H2O' },
].map((each) => ({ ...each, burette: 'potassium-permanganate', indicator: 'permanganate_self' }));

/** What permanganate oxidises in acid, to its own first lasting pink. */
export const permanganate: TitrationMethod = {
  is: 'titration',
  id: 'permanganate',
  title: 'permanganate, its own colour',
  pairs,
  steps: ({ flask }) => [
    'Weigh {sample} into the flask with 50 mL of water.',
    'Add 10 mL of sulfuric acid of about 10 %: dilute, never strong.',
    warmthFor(flask),
  ],
  sights: () => SIGHTS,
  endSdMl: 0.03,
  besidesSd: 0.002,
  besides: 'what else permanganate oxidises (stabiliser, chloride)',
  minutes: 35,
  usual: 0.02,
  cautions: [
    'Never permanganate into strong sulfuric acid: it can explode. Dilute the acid to 10 % first.',
    'No hydrochloric acid: it would give chlorine and eat permanganate.',
  ],
};

/** What is done with the acid sample before permanganate goes in. */
function warmthFor(flask: string): string {
  if (/oxal/.test(flask)) return 'Warm to 60 to 70 °C and keep it warm: cold, the first drops fade slowly.';
  if (/hydroxylammonium/.test(flask))
    return 'Add 3 g of ferric alum, boil five minutes outdoors (nitrous oxide), cool, thin to 100 mL, then titrate.';
  return 'Titrate cold, swirling.';
}

const SIGHTS: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'pink fades at once: go on', tint: 'clear' },
  { says: 'pink fades slowly: by drops', tint: 'pink' },
  { says: 'pink stays 30 s: stop', tint: 'pink' },
  { says: 'strong pink: past it, an upper limit', tint: 'violet' },
];
