import type { Route } from '../route.ts';
import { freed, generatorControls, leadIn, off, roles, upToTheGas } from './chlorine-generator.ts';
import { collect, coolOvernight } from './common-steps.ts';
import { step } from './step.ts';
import { bottleAndLabel } from './still-steps.ts';

const common = {
  source:
    'Brauer, Handbook of Preparative Inorganic Chemistry; heats NBS 1982; salt beside lye after Harvie, Møller and Weare',
  roles,
  reactions: [
    ...freed,
    {
      id: 'take-up',
      reactants: [
        { substanceId: 'chlorine', n: 1 },
        { substanceId: 'sodium-hydroxide', n: 2 },
      ],
      products: [
        { substanceId: 'sodium-hypochlorite', n: 1 },
        { substanceId: 'sodium-chloride', n: 1 },
        { substanceId: 'water', n: 1 },
      ],
    },
  ],
  foamShare: 0.1,
  drying: null,
  byProducts: [
    { name: 'second bottle of lye', keep: 'Holds what passed: weigh it, use it up as weak bleach.' },
    { name: 'rest in the generator', keep: 'Sulfite until nothing smells, then the drain: cyanuric acid is harmless.' },
  ],
  identity: [
    { test: 'a drop on iodide and starch', sight: 'deep blue' },
    { test: 'a test portion in peroxide', sight: 'fizzes: oxygen; afterwards phenolphthalein pink with lye left' },
  ],
} as const satisfies Partial<Route>;

/** Hypochlorite solution, stronger and cleaner than the shop’s, from chlorine that is made in place. */
export const hypochloriteByChlorine: Route = {
  ...common,
  id: 'hypochlorite-by-chlorine',
  title: 'chlorine made in place, led into cold lye',
  summary:
    'Outdoors, acid dripped onto a lump of pool chlorine frees chlorine; iced lye takes it up and becomes hypochlorite and salt. At most a tenth of a mol of it. The gain in weight says when to stop, before the lye is spent.',
  makes: { kind: 'liquid', role: 'lye', substanceId: 'sodium-hypochlorite', vessel: 'absorber' },
  controls: generatorControls({
    start: 550,
    min: 250,
    max: 2000,
    note: 'Less makes it stronger, and strong bleach loses its strength faster.',
  }),
  handling: null,
  storage:
    'Dark, in the refrigerator, in HDPE with a vented cap; alkaline. Half of 10 % is gone in seven months at 25 °C.',
  steps: [
    ...upToTheGas,
    leadIn({
      expect:
        '[{absorbed.gas} of chlorine in all; the lye gains {absorbed.gained} and takes {absorbed.ice} of ice. The second bottle holds {absorbed.guard} of lye, enough for all of it.]',
    }),
    off,
    bottleAndLabel({
      act: 'Let it settle cold, pour it off any salt into HDPE with a vented cap: hypochlorite, about {product.pct}, date, keep from acid. Titrate a portion.',
    }),
  ],
};

/** Crystals of it, in the cold. */
export const hypochloriteCrystals: Route = {
  ...common,
  id: 'hypochlorite-crystals',
  title: 'chlorine into strong cold lye, salt filtered, chilled',
  summary:
    'As the solution, in strong lye: salt falls and is filtered off through glass, and the cold brings pale green crystals of the pentahydrate. A few grams, cold for life: they melt at 25 °C.',
  makes: {
    kind: 'solid',
    substanceId: 'sodium-hypochlorite-pentahydrate',
    anhydrousId: 'sodium-hypochlorite',
  },
  controls: [
    ...generatorControls({
      start: 150,
      min: 110,
      max: 250,
      note: 'Thinner filters better and crystallises less.',
    }),
    {
      id: 'cold',
      name: 'crystallise at',
      unit: '°C',
      min: 0,
      max: 10,
      step: 1,
      start: 2,
      note: 'Colder leaves less in the liquor; a refrigerator does.',
    },
  ],
  handling: { lossPct: 10, sdPct: 5, holdG: 0.5 },
  storage:
    'In the refrigerator, below 7 °C, HDPE with a vented cap, alone. It melts at 25 °C and falls apart; never dried.',
  steps: [
    ...upToTheGas,
    leadIn({
      expect:
        '[{absorbed.gas} of chlorine in all; the lye gains {absorbed.gained}, takes {absorbed.ice} of ice, and drops about {absorbed.salt} of salt][: a slurry of {absorbed.slurry} solid; up to about 20 % it pours and stirs, past 30 % it sets].',
    }),
    off,
    step({
      id: 'salt',
      title: 'Filter the salt off, cold, through glass',
      act: 'Ice-cold, through a glass frit or glass wool, never paper or cotton: it eats them and can set them on fire when dry. Press it well.',
      until: 'It drips no longer.',
      expect: 'A green-yellow filtrate.',
      trouble: 'Slimy, will not filter: too much lye is left. Little chlorine more, a test portion after each.',
      why: 'Salt left in keeps the crystals wet and impure.',
      skipCosts: 'Salt among the crystals.',
      op: { do: 'filter', keep: 'filtrate', in: 'absorber', holds: 0.4 },
      where: 'outdoors',
      ceilingC: 15,
      cautions: ['oxidiser'],
      handsOnMin: 20,
    }),
    coolOvernight({
      title: 'Into the refrigerator at {set.cold}, one to three days',
      act: 'Closed loosely, at {set.cold}. Scratch the glass, or a grain of an earlier batch. In the cold they come within one to three days.',
      until: 'No more crystals between two days.',
      expect:
        'About {crystals.mass}, pale green needles. How much more comes beside the lye and salt left is not known: this is by pure water.',
      trouble: 'None after three days: too much lye, or too thin. A little more chlorine, or ice out.',
      op: { do: 'crystallise', control: 'cold', in: 'absorber' },
      timer: { name: 'look for crystals', minutes: 1440 },
      leave: { alone: true, lookEveryMin: 1440, reason: 'cold and vented, away from food' },
      waitH: [24, 72],
      cautions: ['oxidiser'],
    }),
    collect({
      title: 'Suck off cold on glass, press, no rinse',
      act: 'Everything cold. Glass frit, press with glass. No water: it dissolves them.',
      expect: '{liquor.volume} of strong liquor: keep it as bleach.',
      op: { do: 'filter', keep: 'solid', in: 'absorber' },
      ceilingC: 15,
      cautions: ['oxidiser'],
    }),
    step({
      id: 'jar',
      title: 'Weigh damp into a cold vented jar, label',
      act: 'HDPE, cap vented, into the refrigerator at once. Label: sodium hypochlorite pentahydrate, damp, date, keep cold, keep from acid.',
      expect: 'About {product.mass}, damp.',
      why: 'At room temperature it melts within the hour.',
      cautions: ['label', 'oxidiser'],
    }),
  ],
};
