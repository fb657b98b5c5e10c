import type { CautionId } from '#core/guard';
import { type SubstanceId, substanceOf } from '#core/substance';
import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { collect, coolOvernight, dry } from './common-steps.ts';
import { step } from './step.ts';

interface Recrystallised {
  readonly id: string;
  /** The solid that crystallises, and its substance without crystal water. */
  readonly substanceId: SubstanceId;
  readonly anhydrousId: SubstanceId;
  readonly plain: string;
  /** Products it may be made from. */
  readonly accepts: readonly SubstanceId[];
  /** °C: least, start, most. */
  readonly hotC: readonly [number, number, number];
  /** °C: least and start, where the table does not reach the fridge. */
  readonly coldC?: readonly [number, number];
  readonly sight: string;
  /** Said where it dissolves above a temperature at which something else crystallises. */
  readonly above?: string;
  /** What goes in besides while it is hot. */
  readonly also?: string;
  readonly oxidiser?: boolean;
  /** What is to be minded of the solid itself. */
  readonly mind?: CautionId;
  /** Why drying has a ceiling, and where it lies. */
  readonly drying: Route['drying'];
  readonly tolerates: string;
  readonly identity: Route['identity'];
  readonly storage: string;
  readonly source: string;
}

/** A product made pure by dissolving it hot in little water, filtering, and cooling. */
function recrystallised(of: Recrystallised): Route {
  const solid = substanceOf(of.substanceId);
  const [least, start, most] = of.hotC;
  const [coldest, cold] = of.coldC ?? [0, 6];
  return {
    id: of.id,
    title: `${of.plain}, dissolved hot, filtered, cooled`,
    summary: `The product dissolves in little hot water; what is not ${of.plain} stays in the filter or in the liquor.`,
    source: of.source,
    makes: { kind: 'solid', substanceId: of.substanceId, anhydrousId: of.anhydrousId },
    roles: [
      {
        id: 'crude',
        name: `crude ${of.plain}`,
        accepts: of.accepts,
        refuses: [],
        tolerates: of.tolerates,
        measure: 'mass',
        dose: { by: 'extent', perExtent: 1 },
      },
      plainWater({ by: 'to-dissolve', role: 'crude', control: 'hot', spare: 'spare' }),
    ],
    reactions: [],
    controls: [
      {
        id: 'hot',
        name: 'dissolve at',
        unit: '°C',
        min: least,
        max: most,
        step: 1,
        start,
        note: 'Hotter takes less water and gives more crystals; too hot it crystallises in the filter.',
      },
      {
        id: 'spare',
        name: 'water to spare',
        unit: '%',
        min: 0,
        max: 50,
        step: 1,
        start: 10,
        note: 'A little over keeps it from setting in the filter; more of it stays in the liquor.',
      },
      {
        id: 'water-left',
        name: 'leave to evaporate to',
        unit: '% of water',
        min: 30,
        max: 100,
        step: 1,
        start: 100,
        note: '100 %: by cooling alone. Less: left to evaporate for days it gives large clear crystals; simmered down, more of them sooner, and less pure.',
      },
      {
        id: 'cold',
        name: 'cool to',
        unit: '°C',
        min: coldest,
        max: 30,
        step: 1,
        start: cold,
        note: 'Colder leaves less in the mother liquor.',
      },
    ],
    handling: { lossPct: 2, sdPct: 1, holdG: 1 },
    foamShare: 0,
    drying: of.drying,
    byProducts: [
      { name: 'mother liquor', keep: 'Boil it down by half for a second, less pure crop.' },
      { name: 'what the filter held', keep: 'Dirt and anticaking matter.' },
    ],
    identity: of.identity,
    storage: of.storage,
    steps: [
      step({
        id: 'crude',
        title: 'Weigh {crude.mass} of {crude.name}',
        act: 'Crush lumps, weigh {crude.mass} into {vessel}.',
        expect: of.sight,
        why: 'All the rest follows from it.',
        skipCosts: 'Nothing to dissolve.',
        op: { do: 'add', role: 'crude' },
        cautions: of.mind ? [of.mind] : [],
      }),
      step({
        id: 'water',
        title: 'Pour on {water.volume} of water',
        act: 'Measure {water.volume} of water onto it.',
        expect: 'Most of it still lies at the bottom.',
        why: 'Just enough to dissolve it hot, with a little to spare.',
        skipCosts: 'Too little and it sets in the filter; too much and it stays in the liquor.',
        op: { do: 'add', role: 'water' },
      }),
      step({
        id: 'heat',
        title: 'Warm to {set.hot} until it is dissolved',
        act: `Stir and warm slowly to {set.hot}.${of.also ?? ''} Coloured: a spoon of charcoal, five minutes, filter twice.`,
        until: 'Nothing crystalline is left; haze and specks do not count.',
        expect: 'Clear, perhaps with a haze.',
        trouble: 'Still solid at {set.hot}: a spoon of water at a time.',
        why: 'Hot water holds what cold water gives back.',
        skipCosts: 'Crystals grow round the old dirt.',
        op: { do: 'dissolve' },
        leave: { alone: false, lookEveryMin: 5, reason: 'hot and open' },
        cautions: of.oxidiser ? ['hot-liquid', 'oxidiser'] : ['hot-liquid'],
        ceilingC: most + 5,
        handsOnMin: 20,
      }),
      step({
        id: 'filter',
        title: 'Filter hot',
        act: `Through a warmed funnel and a fluted paper; rinse with a spoon of hot water.${of.above ? ` ${of.above}` : ''}`,
        expect: 'Clear.',
        trouble: 'Crystals in the neck: a spoon of hot water.',
        why: 'Dust and anticaking matter would sit in every crystal.',
        skipCosts: 'Grey crystals.',
        op: { do: 'filter', keep: 'filtrate' },
        cautions: ['hot-liquid'],
        handsOnMin: 10,
      }),
      step({
        id: 'open',
        title: 'Leave to evaporate until {dish.volume} is left',
        act: 'In a wide dish, a paper over it, undisturbed for days. Or simmer it down in an hour: smaller crystals that hold more liquor.',
        until: 'About {dish.volume} is left.',
        expect: 'A few clear crystals at the bottom, growing.',
        trouble: 'A crust at the rim: push it under; it seeds.',
        why: 'What leaves slowly leaves large, clear crystals; the less water, the less stays in the liquor.',
        skipCosts: 'More of it stays in the liquor.',
        op: { do: 'evaporate', control: 'water-left' },
        timer: { name: 'look at the dish', minutes: 1440 },
        leave: { alone: true, lookEveryMin: 1440, reason: 'open and cool; away from children and animals' },
        waitH: [48, 168],
        only: { control: 'water-left', under: 100 },
      }),
      coolOvernight({
        title: 'Cool slowly to {set.cold}',
        act: 'Covered, undisturbed, to room temperature; then to {set.cold}.',
        trouble: 'None by morning: scratch the glass, drop in a crystal.',
        why: 'Slow crystals are clear ones and hold little liquor.',
        skipCosts: 'Half the yield stays dissolved.',
        timer: { name: 'cooling', minutes: 480 },
        leave: { alone: true, lookEveryMin: 480, reason: 'cooling needs nobody' },
        waitH: [6, 16],
      }),
      collect({}),
      dry({ title: 'Dry below {dry.ceiling} to constant mass', ceilingC: of.drying?.ceilingC ?? 60 }),
      step({
        id: 'jar',
        title: 'Into a jar, with a label',
        act: `Close. Label: ${solid.name}, recrystallised, date, batch.`,
        expect: 'Crystals that do not stick.',
        why: 'A hydrate is kept only by a closed lid.',
        cautions: ['label'],
      }),
    ],
  };
}

const VOGEL = 'Vogel, Practical Organic Chemistry, 5th ed., 2.20; Linke-Seidell, Solubilities';

export const recrystallisations: readonly Route[] = [
  recrystallised({
    id: 'alum-recrystallised',
    substanceId: 'potassium-alum',
    anhydrousId: 'potassium-alum-dry',
    plain: 'alum',
    accepts: ['potassium-alum'],
    hotC: [40, 65, 80],
    sight: 'White lumps or powder.',
    drying: {
      ceilingC: 40,
      short: 'loses water above',
      why: 'alum weathers in warm dry air and melts in its own water at 92 °C',
    },
    tolerates: 'Iron stays in the liquor; ammonium alum crystallises along with it.',
    identity: [{ test: 'ammonia to its solution', sight: 'white jelly' }],
    storage: 'Closed jar.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'magnesium-sulfate-recrystallised',
    substanceId: 'magnesium-sulfate-heptahydrate',
    anhydrousId: 'magnesium-sulfate',
    plain: 'magnesium sulfate',
    accepts: ['magnesium-sulfate-heptahydrate', 'magnesium-sulfate'],
    hotC: [30, 65, 90],
    above: 'Filtered hot and cooled below 48 °C before it is seeded: above it the hexahydrate crystallises.',
    sight: 'White needles.',
    drying: {
      ceilingC: 35,
      short: 'goes to the hexahydrate above 48',
      why: 'the heptahydrate loses water from 48 °C, in dry air below that',
    },
    tolerates: 'Common salt and scent stay in the liquor.',
    identity: [{ test: 'ammonia and phosphate', sight: 'white grains' }],
    storage: 'Closed jar, it weathers.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'copper-sulfate-recrystallised',
    substanceId: 'copper-sulfate-pentahydrate',
    anhydrousId: 'copper-sulfate',
    plain: 'copper sulfate',
    accepts: ['copper-sulfate-pentahydrate', 'copper-sulfate'],
    hotC: [50, 80, 90],
    mind: 'copper-salt',
    also: ' A few drops of sulfuric acid keep basic salt in solution.',
    sight: 'Blue crystals, perhaps green or white at the edges.',
    drying: {
      ceilingC: 40,
      short: 'loses water above',
      why: 'the pentahydrate begins to lose water near 50 °C in dry air',
    },
    tolerates: 'Iron stays in the liquor with a drop of acid.',
    identity: [{ test: 'ammonia in excess', sight: 'deep blue' }],
    storage: 'Closed jar. Harmful, kills water life: nothing of it to a drain.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'boric-acid-recrystallised',
    substanceId: 'boric-acid',
    anhydrousId: 'boric-acid',
    plain: 'boric acid',
    accepts: ['boric-acid'],
    hotC: [60, 90, 95],
    sight: 'White flakes.',
    drying: { ceilingC: 60, short: 'goes to metaboric acid above 100', why: 'it loses water slowly above 70 °C' },
    tolerates: 'Borax stays in the liquor.',
    identity: [{ test: 'a little in burning methylated spirit, outdoors', sight: 'a green edge to the flame' }],
    storage: 'Closed jar. Harms fertility: gloves, no dust.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'oxalic-acid-recrystallised',
    substanceId: 'oxalic-acid-dihydrate',
    anhydrousId: 'oxalic-acid',
    plain: 'oxalic acid',
    accepts: ['oxalic-acid-dihydrate', 'oxalic-acid'],
    hotC: [40, 70, 80],
    sight: 'White needles.',
    drying: { ceilingC: 35, short: 'loses water above', why: 'the dihydrate loses water from about 50 °C' },
    tolerates: 'Filler and sulfate stay in the liquor.',
    identity: [{ test: 'warm, with a drop of permanganate and acid', sight: 'the violet fades' }],
    storage: 'Closed jar. Poisonous: away from food.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'citric-acid-recrystallised',
    substanceId: 'citric-acid-monohydrate',
    anhydrousId: 'citric-acid',
    plain: 'citric acid',
    accepts: ['citric-acid', 'citric-acid-monohydrate'],
    hotC: [25, 55, 70],
    above: 'Cooled below 36 °C before it is seeded: above it the anhydrous acid crystallises.',
    coldC: [10, 12],
    sight: 'White grains.',
    drying: {
      ceilingC: 35,
      short: 'loses water above',
      why: 'the monohydrate goes over to the anhydrous acid at 36.6 °C',
    },
    tolerates: 'Colour and anticaking matter.',
    identity: [{ test: 'boiled with limewater', sight: 'clouds hot, clears cold' }],
    storage: 'Closed jar, it cakes.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'sodium-nitrate-recrystallised',
    substanceId: 'sodium-nitrate',
    anhydrousId: 'sodium-nitrate',
    plain: 'sodium nitrate',
    accepts: ['sodium-nitrate'],
    hotC: [40, 90, 100],
    oxidiser: true,
    sight: 'White grains or crust.',
    drying: {
      ceilingC: 110,
      short: 'tested for ammonium first',
      why: 'the pure salt stands far more, but what is organic in it burns with it, and a rest of ammonium nitrate must never be heated',
    },
    tolerates:
      'Soda and chloride stay in the liquor. Good enough as it is for a solution of nitrate; for nitric acid or a flame test, once more.',
    identity: [
      { test: 'a drop of acid', sight: 'no fizz: no soda left' },
      { test: 'a pinch warmed with lye, damp red litmus over it', sight: 'stays red: no ammonium left' },
    ],
    storage: 'Closed jar, an oxidiser: away from sugar, sulfur, charcoal, sawdust and anything that burns.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'potassium-nitrate-recrystallised',
    substanceId: 'potassium-nitrate',
    anhydrousId: 'potassium-nitrate',
    plain: 'potassium nitrate',
    accepts: ['potassium-nitrate'],
    hotC: [40, 75, 90],
    oxidiser: true,
    sight: 'White needles or grains.',
    drying: { ceilingC: 110, short: 'an oxidiser', why: 'nothing that burns may be left in it' },
    tolerates: 'Chloride and sodium salts stay in the liquor.',
    identity: [{ test: 'silver nitrate to its solution', sight: 'stays clear: no chloride left' }],
    storage: 'Closed jar, an oxidiser: away from sugar, sulfur, charcoal, sawdust and anything that burns.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'sodium-thiosulfate-recrystallised',
    substanceId: 'sodium-thiosulfate-pentahydrate',
    anhydrousId: 'sodium-thiosulfate',
    plain: 'sodium thiosulfate',
    accepts: ['sodium-thiosulfate-pentahydrate', 'sodium-thiosulfate'],
    hotC: [30, 40, 46],
    above: 'A trace of washing soda keeps it from turning acid.',
    sight: 'Large clear grains.',
    drying: {
      ceilingC: 33,
      short: 'melts in its own water at 48',
      why: 'it weathers in warm dry air and melts at 48 °C',
    },
    tolerates: 'Sulfate and sulfite stay in the liquor.',
    identity: [
      { test: 'a drop of iodine solution', sight: 'loses its colour at once' },
      { test: 'a drop of acid', sight: 'clouds with sulfur, smells sharp' },
    ],
    storage: 'Closed jar, cool; away from acids.',
    source: VOGEL,
  }),
  recrystallised({
    id: 'tartaric-acid-recrystallised',
    substanceId: 'tartaric-acid',
    anhydrousId: 'tartaric-acid',
    plain: 'tartaric acid',
    accepts: ['tartaric-acid'],
    hotC: [30, 80, 90],
    sight: 'White grains.',
    drying: { ceilingC: 100, short: 'browns above', why: 'it melts near 170 °C and browns before that' },
    tolerates: 'Colour and starch of baking mixes; those are filtered off.',
    identity: [{ test: 'potassium chloride, shaken', sight: 'white grains of cream of tartar' }],
    storage: 'Closed jar.',
    source: VOGEL,
  }),
];
