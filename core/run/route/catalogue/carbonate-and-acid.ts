import { type SubstanceId, substanceOf } from '#matter/substance';
import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { collect, coolOvernight, dry } from './common-steps.ts';
import { step } from './step.ts';

interface SaltOf {
  readonly id: string;
  readonly carbonateId: SubstanceId;
  readonly carbonate: string;
  readonly acidId: SubstanceId;
  readonly acid: string;
  readonly anhydrousId: SubstanceId;
  /** The caution of its metal. */
  readonly metal: 'copper-salt' | 'zinc-salt';
  readonly solidId: SubstanceId;
  /** Coefficients: acid, salt, carbon dioxide, water for one carbonate. */
  readonly n: readonly [number, number, number, number];
  /** °C to which it is cooled: least, start, most, as far as the solubility is known. */
  readonly coldC: readonly [number, number, number];
  /** g of the salt in 100 g of water at which the dish is taken to be cooled: least, start, most. */
  readonly leaveTo: readonly [number, number, number];
  readonly ceilingC: number;
  readonly ceilingWhy: string;
  readonly colour: string;
  readonly identity: Route['identity'];
  readonly source: string;
}

/** A metal’s salt of a weak acid: its basic carbonate dissolves in the acid, the solution is left to evaporate and gives crystals. */
function saltOf(of: SaltOf): Route {
  const solid = substanceOf(of.solidId);
  const [nAcid, nSalt, nGas, nWater] = of.n;
  const [coldest, cold, warmest] = of.coldC;
  const [thinnest, thick, thickest] = of.leaveTo;
  return {
    id: of.id,
    title: `${of.carbonate} + ${of.acid}, left to evaporate`,
    summary: `The carbonate dissolves in the acid; the solution is evaporated without cooking and gives crystals.`,
    source: of.source,
    makes: { kind: 'solid', substanceId: of.solidId, anhydrousId: of.anhydrousId },
    roles: [
      {
        id: 'carbonate',
        name: of.carbonate,
        accepts: [of.carbonateId],
        refuses: [],
        tolerates: 'Washed free of sulfate: what is left of it crystallises along.',
        measure: 'mass',
        dose: { by: 'extent', perExtent: 1 },
      },
      {
        id: 'acid',
        name: of.acid,
        accepts: [of.acidId],
        refuses: [],
        tolerates: 'Colour and scent stay in the liquor. Strong acid is thinned first: the salt needs the water.',
        measure: 'volume',
        dose: { by: 'extent', perExtent: nAcid, excessControl: 'acid-excess' },
      },
      plainWater({ by: 'dilute-to', role: 'acid', control: 'acid-strength' }),
    ],
    reactions: [
      {
        id: 'dissolve',
        reactants: [
          { substanceId: of.carbonateId, n: 1 },
          { substanceId: of.acidId, n: nAcid },
        ],
        products: [
          { substanceId: of.anhydrousId, n: nSalt },
          { substanceId: 'carbon-dioxide', n: nGas },
          { substanceId: 'water', n: nWater },
        ],
      },
    ],
    controls: [
      {
        id: 'acid-excess',
        name: 'acid in excess',
        unit: '%',
        min: 0,
        max: 40,
        step: 1,
        start: 8,
        note: 'A little over keeps basic salt from precipitating; much of it makes sticky crystals.',
      },
      {
        id: 'acid-strength',
        name: 'acid thinned to',
        unit: '%',
        min: 4,
        max: 30,
        step: 1,
        start: 12,
        note: 'Stronger dissolves faster, foams higher and heats; the water it lacks has to be there for the salt to dissolve and to crystallise.',
      },
      {
        id: 'leave-to',
        name: 'leave to evaporate to',
        unit: 'g per 100 g water',
        min: thinnest,
        max: thickest,
        step: 1,
        start: thick,
        note: 'More of it crystallises from less water, and holds more of what else is in there. Days in a wide dish; never cooked, or basic salt precipitates.',
      },
      {
        id: 'cold',
        name: 'cool to',
        unit: '°C',
        min: coldest,
        max: warmest,
        step: 1,
        start: cold,
        note: 'As far as its solubility is known.',
      },
    ],
    handling: { lossPct: 3, sdPct: 1.5, holdG: 1 },
    foamShare: 0.3,
    drying: { ceilingC: of.ceilingC, short: 'loses acid and water above', why: of.ceilingWhy },
    byProducts: [{ name: 'mother liquor', keep: 'Leave it to evaporate for a second crop; nothing of it to a drain.' }],
    identity: of.identity,
    storage: 'Closed jar. Harmful, kills water life: nothing of it to a drain.',
    steps: [
      step({
        id: 'water',
        title: 'Water first: {water.volume}',
        act: 'Measure {water.volume} of water into {vessel}. At 0 mL the acid is thin enough as it is.',
        expect: 'Water at about {bench.temp}.',
        why: 'The salt has to dissolve in it, and takes some of it into its crystals.',
        skipCosts: 'Strong acid on its own cannot dissolve the carbonate: it cakes, foams and heats.',
        op: { do: 'add', role: 'water' },
      }),
      step({
        id: 'acid',
        title: 'Measure {acid.volume} of {acid.name}',
        act: 'Measure {acid.volume} ({acid.mass}) into {vessel}, into the water, stirring.',
        expect: 'Clear, acid.',
        why: 'It fixes how much carbonate can dissolve.',
        skipCosts: 'Nothing dissolves.',
        op: { do: 'add', role: 'acid' },
        where: 'ventilated',
        cautions: ['corrosive', 'fume'],
      }),
      step({
        id: 'carbonate',
        title: 'Weigh {carbonate.mass} of carbonate',
        act: 'Weigh {carbonate.mass} of {carbonate.name}. Keep it aside.',
        expect: of.colour,
        why: 'It limits: the acid is a little over.',
        skipCosts: 'Nothing to make the salt of.',
        op: { do: 'add', role: 'carbonate' },
        cautions: [of.metal],
      }),
      step({
        id: 'dissolve',
        title: 'Stir it in by spoons until it is dissolved',
        act: 'A spoon at a time, stirring, warm at most to 50 °C.',
        until: 'No more fizzing, nothing left at the bottom.',
        expect: `Fizzing; the colour goes into the solution.`,
        trouble:
          'Thick at first: it thins as it dissolves. Solid left and no fizz: try with paper. Acid still: warm it, stir, wait. No longer acid: the acid is spent. Weigh what is left, say whether it was dry, and log it.',
        why: 'Slowly, the gas has time to leave; hot, basic salt precipitates.',
        skipCosts: 'Undissolved carbonate in the crystals.',
        op: { do: 'react', reaction: 'dissolve' },
        adding: { halfLifeMin: 5, foamPerGas: 0.25, endpoint: 'no more fizzing, nothing left', overshoot: '' },
        where: 'ventilated',
        cautions: ['foam', 'heat'],
        ceilingC: 50,
        handsOnMin: 30,
        waitH: [0.5, 3],
      }),
      step({
        id: 'filter',
        title: 'Filter',
        act: 'Through a paper; rinse with a spoon of water with a drop of acid in it.',
        expect: 'Clear.',
        why: 'What did not dissolve must not sit in the crystals.',
        skipCosts: 'Dull crystals.',
        op: { do: 'filter', keep: 'filtrate' },
        handsOnMin: 10,
      }),
      step({
        id: 'grow',
        title: 'Leave to evaporate to {dish.volume}',
        act: 'In a wide dish, a paper over it, warm and airy, never cooked.',
        until: 'The liquor has shrunk to about {dish.volume}.',
        expect: 'Crystals from the rim inwards.',
        trouble: 'A pale crust or cloud: basic salt. A few drops of acid.',
        why: 'Boiled, acid goes off with the steam and basic salt precipitates.',
        skipCosts: 'Most of it stays dissolved.',
        op: { do: 'evaporate', control: 'leave-to', by: 'salt' },
        timer: { name: 'look at the dish', minutes: 1440 },
        leave: { alone: true, lookEveryMin: 1440, reason: 'open and cool; away from children and animals' },
        ceilingC: 50,
        waitH: [48, 240],
      }),
      coolOvernight({
        why: 'The last of it crystallises in the cold.',
        skipCosts: 'A tenth of the yield.',
        leave: { alone: true, lookEveryMin: 720, reason: 'covered, away from food' },
        handsOnMin: 5,
      }),
      collect({
        act: 'Drain, press, rinse with a spoon of cold water with a drop of acid in it.',
        why: 'The liquor is acid and sticky.',
        skipCosts: 'Crystals that stick and smell.',
      }),
      dry({ ceilingC: of.ceilingC }),
      step({
        id: 'jar',
        title: 'Into a jar, with a label',
        act: `Close. Label: ${solid.name}, date, batch, harmful, not to drains.`,
        expect: 'Crystals that do not stick.',
        why: 'Open, they lose acid to the air.',
        cautions: ['label'],
      }),
    ],
  };
}

const SOURCE =
  'Brauer, Handbook of Preparative Inorganic Chemistry; Linke-Seidell, Solubilities (a single or two points: about)';

export const saltsOfWeakAcids: readonly Route[] = [
  saltOf({
    id: 'copper-acetate',
    carbonateId: 'copper-carbonate',
    carbonate: 'basic copper carbonate',
    acidId: 'acetic-acid',
    acid: 'vinegar or acetic acid',
    anhydrousId: 'copper-acetate',
    metal: 'copper-salt',
    solidId: 'copper-acetate-monohydrate',
    n: [4, 2, 1, 3],
    coldC: [23, 25, 40],
    leaveTo: [10, 55, 120],
    ceilingC: 50,
    ceilingWhy: 'warm, it gives off acetic acid',
    colour: 'Green to blue powder.',
    identity: [
      { test: 'ammonia in excess', sight: 'deep blue' },
      { test: 'warmed with a drop of sulfuric acid', sight: 'smells of vinegar' },
    ],
    source: SOURCE,
  }),
  saltOf({
    id: 'copper-formate',
    carbonateId: 'copper-carbonate',
    carbonate: 'basic copper carbonate',
    acidId: 'formic-acid',
    acid: 'formic acid',
    anhydrousId: 'copper-formate',
    metal: 'copper-salt',
    solidId: 'copper-formate-tetrahydrate',
    n: [4, 2, 1, 3],
    coldC: [18, 20, 22],
    leaveTo: [15, 55, 100],
    ceilingC: 25,
    ceilingWhy: 'the tetrahydrate loses water in warm air',
    colour: 'Green to blue powder.',
    identity: [{ test: 'ammonia in excess', sight: 'deep blue' }],
    source: SOURCE,
  }),
  saltOf({
    id: 'zinc-acetate',
    carbonateId: 'basic-zinc-carbonate',
    carbonate: 'basic zinc carbonate',
    acidId: 'acetic-acid',
    acid: 'vinegar or acetic acid',
    anhydrousId: 'zinc-acetate',
    metal: 'zinc-salt',
    solidId: 'zinc-acetate-dihydrate',
    n: [10, 5, 2, 8],
    coldC: [18, 20, 40],
    leaveTo: [35, 130, 250],
    ceilingC: 40,
    ceilingWhy: 'warm, it gives off acetic acid and goes basic',
    colour: 'White powder.',
    identity: [{ test: 'warmed with a drop of sulfuric acid', sight: 'smells of vinegar' }],
    source: SOURCE,
  }),
];
