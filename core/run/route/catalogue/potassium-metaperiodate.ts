import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { collect, coolOvernight, dry } from './common-steps.ts';
import { step } from './step.ts';

const persulfates = ['potassium', 'sodium'] as const;

/** What persulfate oxidises in hot lye; and what of it, left over, only gives oxygen. */
const oxidised = persulfates.map((metal) => ({
  id: `oxidise-${metal}`,
  reactants: [
    { substanceId: 'potassium-iodate' as const, n: 1 },
    { substanceId: `${metal}-persulfate` as const, n: 1 },
    { substanceId: 'potassium-hydroxide' as const, n: 2 },
  ],
  products: [
    { substanceId: 'potassium-periodate' as const, n: 1 },
    ...sulfates(metal, 1),
    { substanceId: 'water' as const, n: 1 },
  ],
}));
const wasted = persulfates.map((metal) => ({
  id: `oxygen-${metal}`,
  reactants: [
    { substanceId: `${metal}-persulfate` as const, n: 2 },
    { substanceId: 'potassium-hydroxide' as const, n: 4 },
  ],
  products: [...sulfates(metal, 2), { substanceId: 'oxygen' as const, n: 1 }, { substanceId: 'water' as const, n: 2 }],
}));

function sulfates(metal: (typeof persulfates)[number], n: number) {
  return metal === 'potassium'
    ? [{ substanceId: 'potassium-sulfate' as const, n: 2 * n }]
    : [
        { substanceId: 'potassium-sulfate' as const, n },
        { substanceId: 'sodium-sulfate' as const, n },
      ];
}

const ids = (reactions: Route['reactions']) => reactions.map(({ id }) => id);

/** Periodate out of iodate: hot lye, persulfate by portions, acid to just acid, cold. */
export const potassiumMetaperiodate: Route = {
  id: 'potassium-metaperiodate',
  title: 'iodate and persulfate in boiling lye, acidified with nitric acid, chilled',
  summary:
    'In boiling potassium hydroxide solution persulfate takes iodate to periodate, with oxygen from what is over. Acidified just past neutral with nitric acid and chilled, the metaperiodate crystallises: cold water holds a fifth of a gram in a hundred.',
  source: 'Brauer, Handbook of Preparative Inorganic Chemistry; solubilities, CRC Handbook',
  makes: { kind: 'solid', substanceId: 'potassium-periodate', anhydrousId: 'potassium-periodate' },
  roles: [
    {
      id: 'iodate',
      name: 'iodate',
      accepts: ['potassium-iodate'],
      refuses: [
        { substanceId: 'potassium-iodide', why: 'Iodide takes four times the persulfate: make iodate of it first.' },
      ],
      tolerates: 'It need not all dissolve at the start.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1 },
    },
    plainWater({ by: 'per-gram', role: 'iodate', control: 'thin' }, 'Distilled, at the boil.'),
    {
      id: 'lye',
      name: 'potassium hydroxide',
      accepts: ['potassium-hydroxide'],
      refuses: [{ substanceId: 'sodium-hydroxide', why: 'Sodium periodate is lost in this much water.' }],
      tolerates: 'Flakes hold 10 to 15 % of water: the dose counts it.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 2, excessControl: 'lye-excess' },
    },
    {
      id: 'persulfate',
      name: 'persulfate',
      accepts: ['potassium-persulfate', 'sodium-persulfate'],
      refuses: [
        { substanceId: 'ammonium-persulfate', why: 'In hot lye it gives ammonia, which it then burns.' },
        { substanceId: 'potassium-peroxymonosulfate', why: 'Another oxidiser, with half its weight of other salts.' },
      ],
      tolerates: 'Old persulfate is weaker: see that oxygen still comes at the end.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1, excessControl: 'persulfate-excess' },
    },
    {
      id: 'acid',
      name: 'nitric acid',
      accepts: ['nitric-acid'],
      refuses: [
        { substanceId: 'hydrochloric-acid', why: 'Periodate makes chlorine of it.' },
        { substanceId: 'sulfuric-acid', why: 'More sulfate crystallises with the periodate.' },
      ],
      tolerates: 'Any strength up to 65 %; diluted it is easier to stop in time.',
      measure: 'volume',
      dose: { by: 'contents', reactions: ['acidify'], excessControl: 'acid-excess' },
    },
  ],
  reactions: [
    ...oxidised,
    ...wasted,
    {
      id: 'acidify',
      reactants: [
        { substanceId: 'potassium-hydroxide', n: 1 },
        { substanceId: 'nitric-acid', n: 1 },
      ],
      products: [
        { substanceId: 'potassium-nitrate', n: 1 },
        { substanceId: 'water', n: 1 },
      ],
    },
  ],
  controls: [
    {
      id: 'thin',
      name: 'boiling water',
      unit: 'g/100 g',
      min: 700,
      max: 4000,
      step: 100,
      start: 2000,
      note: 'With little of it potassium sulfate crystallises in the cold too; each 100 g keep 0.2 g of periodate.',
    },
    {
      id: 'lye-excess',
      name: 'potassium hydroxide in excess',
      unit: '%',
      min: 20,
      max: 300,
      step: 10,
      start: 80,
      note: 'Persulfate that is over takes its share of it; each gram takes acid again.',
    },
    {
      id: 'persulfate-excess',
      name: 'persulfate in excess',
      unit: '%',
      min: 0,
      max: 100,
      step: 5,
      start: 20,
      note: 'Some falls apart before it meets iodate: it leaves as oxygen.',
    },
    {
      id: 'acid-excess',
      name: 'acid in excess',
      unit: '%',
      min: 0,
      max: 30,
      step: 1,
      start: 3,
      note: 'Just acid, pH 4 to 5: alkaline, another periodate comes, and dissolves again.',
    },
    {
      id: 'cold',
      name: 'chill to',
      unit: '°C',
      min: 0,
      max: 20,
      step: 1,
      start: 5,
      note: 'Colder leaves less periodate, and more sulfate crystallises.',
    },
  ],
  handling: { lossPct: 12, sdPct: 5, holdG: 0.2 },
  foamShare: 0.3,
  drying: {
    ceilingC: 100,
    short: 'oxidiser, loses oxygen hot',
    why: 'warm it needs no more; paper and dust burn with it',
  },
  byProducts: [
    {
      name: 'mother liquor',
      keep: 'Sulfate, nitrate, a little periodate: sulfite until it no longer browns iodide, then the drain.',
    },
  ],
  identity: [
    {
      test: 'a pinch with copper sulfate in hot potassium hydroxide solution, a little persulfate',
      sight: 'deep brown-red: copper held by periodate; blue or black without it',
    },
    { test: 'with iodide and bicarbonate', sight: 'brown at once; iodate would stay pale' },
  ],
  storage: 'Closed glass, away from anything that burns, from acids and metals.',
  steps: [
    step({
      id: 'ready',
      title: 'Goggles, gloves, sleeves; a hood or the open air',
      act: 'Boiling lye spits: face shield or goggles, gloves, sleeves. A vessel three times as large as its charge, stainless or borosilicate. Nothing that burns near: persulfate sets fire to it.',
      expect: 'All in reach.',
      why: 'Caustic mist and oxygen rise from it.',
      skipCosts: 'Burns.',
      where: 'ventilated',
      cautions: ['caustic', 'oxidiser'],
    }),
    step({
      id: 'water',
      title: 'Bring {water.volume} of water to the boil',
      act: '{water.volume}, to the boil, then off the heat.',
      expect: 'Boiling water.',
      why: 'It must hold all of the potassium sulfate.',
      op: { do: 'add', role: 'water' },
      handsOnMin: 10,
    }),
    step({
      id: 'iodate',
      title: 'Stir in {iodate.mass} of {iodate.name}',
      act: 'Stir; some may lie there still.',
      expect: 'White, most of it dissolves.',
      why: 'It limits.',
      skipCosts: 'Nothing to oxidise.',
      op: { do: 'add', role: 'iodate' },
    }),
    step({
      id: 'lye',
      title: 'Add {lye.mass} of {lye.name}, a few flakes at a time',
      act: 'Off the heat, a few flakes at a time into the hot liquid, waiting each time: a spoon at once makes it boil over.',
      until: 'All in, quiet.',
      expect: 'It hisses and may boil by itself.',
      trouble: 'Boils up: wait, stir, smaller.',
      why: 'Only in alkali does persulfate take iodate to periodate.',
      skipCosts: 'Iodate again.',
      op: { do: 'add', role: 'lye' },
      where: 'ventilated',
      cautions: ['caustic', 'heat', 'hot-liquid'],
      ceilingC: 108,
      handsOnMin: 15,
    }),
    step({
      id: 'persulfate',
      title: 'Boil gently; {persulfate.mass} of {persulfate.name} by portions',
      act: 'Keep it just boiling. A teaspoon, wait until the fizzing falls, the next. Make good what boils away.',
      until: 'All in, and a quarter of an hour more without a bubble.',
      expect: '[It fizzes: {gas.oxygen} of oxygen in all.]',
      trouble: 'No fizzing at the end and paper below pH 12: the hydroxide is spent; more of it.',
      why: 'Persulfate lives minutes at the boil: by portions it meets iodate.',
      skipCosts: 'Half of it leaves as oxygen.',
      op: { do: 'add', role: 'persulfate', reacts: [...ids(oxidised), ...ids(wasted)] },
      adding: {
        halfLifeMin: 4,
        foamPerGas: 0.3,
        endpoint: 'a quarter of an hour without a bubble',
        sights: { notYet: 'it fizzes where a spoon falls', enough: 'quiet for a quarter of an hour' },
        overshoot: 'What is over leaves as oxygen, and takes its hydroxide.',
      },
      where: 'ventilated',
      cautions: ['caustic', 'oxidiser', 'hot-liquid', 'foam'],
      ceilingC: 108,
      handsOnMin: 45,
      waitH: [0.5, 1],
    }),
    step({
      id: 'acid',
      title: 'Acidify: {acid.volume} of {acid.name}, dose, test, dose',
      act: 'Still warm, by portions, stirring; a drop onto paper after each. From pH 9 down in small ones. Near 9 a white salt may come and go: it is the alkaline periodate.',
      until: 'Paper at pH 4 to 5.',
      expect: 'White crystals begin from pH 6 down.',
      trouble: 'Violet or brown: iodide was in it. Below pH 3: a flake of potassium hydroxide.',
      why: 'Above pH 9 it is a salt of another periodic acid; just acid it is the metaperiodate.',
      skipCosts: 'A fine powder that dissolves again in the wash.',
      op: { do: 'add', role: 'acid', reacts: ['acidify'] },
      adding: {
        halfLifeMin: 0.2,
        foamPerGas: 0,
        endpoint: 'paper at pH 4 to 5',
        sights: { notYet: 'white comes and goes again', enough: 'white crystals stay' },
        pH: { at: 4.5, goes: 'down' },
        overshoot: 'Acid over keeps a little more dissolved; a flake of potassium hydroxide takes it back.',
      },
      where: 'ventilated',
      cautions: ['corrosive', 'hot-liquid', 'law'],
      handsOnMin: 20,
    }),
    coolOvernight({
      title: 'Chill to {set.cold}',
      act: 'Covered, to {set.cold}, overnight.',
      expect:
        'About {crystals.mass} of white grains[; {crystals.besides} of potassium sulfate may crystallise with it: wash it out, or more water].',
      why: 'At 5 °C only a fifth of a gram stays in 100 g.',
    }),
    collect({
      title: 'Suck off, wash twice with ice water',
      act: 'Suction; two small portions of ice-cold water: each 100 mL takes 0.2 g along.',
      until: 'A drop of the wash no longer clouds barium chloride much.',
    }),
    dry({ cautions: ['oxidiser'] }),
    step({
      id: 'jar',
      title: 'Test a pinch, into a jar, label',
      act: 'The copper test below with a pinch. Closed glass. Label: potassium metaperiodate, oxidiser, date.',
      expect: 'About {product.mass}, white.',
      why: 'Iodate looks the same.',
      cautions: ['label', 'oxidiser'],
    }),
  ],
};
