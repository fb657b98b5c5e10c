import type { CautionId } from '#matter/guard';
import { type SubstanceId, substanceOf } from '#matter/substance';
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
export function recrystallised(of: Recrystallised): Route {
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
