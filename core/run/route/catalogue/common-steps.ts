import type { StepTemplate } from '../route.ts';
import { step } from './step.ts';

// Steps that many routes share, with their usual words; a route says only what is different for it.

type Over = Partial<StepTemplate>;

/** Dried to constant mass. */
export const dry = (over: Over): StepTemplate =>
  step({
    id: 'dry',
    title: 'Dry in air below {dry.ceiling} to constant mass',
    act: 'Spread on paper below {dry.ceiling}. Weigh, wait four hours, weigh again.',
    until: 'Two weighings differ by less than 0.5 %.',
    expect: 'About {product.mass}.',
    why: 'Wet crystals weigh more than they are.',
    skipCosts: 'A yield that looks too good.',
    op: { do: 'dry' },
    timer: { name: 'weigh again', minutes: 240 },
    leave: { alone: true, lookEveryMin: 720, reason: 'drying in air needs nobody' },
    waitH: [12, 48],
    ...over,
  });

/** Crystals filtered off and rinsed. */
export const collect = (over: Over): StepTemplate =>
  step({
    id: 'collect',
    title: 'Filter off and rinse',
    act: 'Drain, press, rinse once with a spoon of ice-cold water.',
    expect: '{liquor.volume} of mother liquor.',
    why: 'The liquor holds the impurity.',
    skipCosts: 'The impurity dries onto the crystals.',
    op: { do: 'filter', keep: 'solid' },
    handsOnMin: 10,
    ...over,
  });

/** A precipitate grown coarse and settled. */
export const settle = (over: Over): StepTemplate =>
  step({
    id: 'settle',
    title: 'Warm to 60 °C and let it settle',
    act: 'Warm for half an hour, then let it stand.',
    until: 'A clear layer stands above the white.',
    expect: 'The white settles to a third of the height.',
    why: 'Warmed, the grains grow and can be filtered.',
    skipCosts: 'A slime that clogs the paper.',
    op: { do: 'precipitate' },
    timer: { name: 'settling', minutes: 60 },
    leave: { alone: true, lookEveryMin: 60, reason: 'warm, not hot' },
    waitH: [1, 3],
    ...over,
  });

/** A cake washed in three portions. */
export const washThrice = (over: Over): StepTemplate =>
  step({
    id: 'wash',
    title: 'Wash with hot water, three portions',
    act: 'Three portions of hot water, each drained before the next.',
    until: 'Barium chloride no longer clouds the washings.',
    expect: 'The last washings neutral to indicator paper.',
    why: 'Each portion carries the sodium sulfate down to about a fifth.',
    skipCosts: 'Several percent of sodium sulfate in the product, and a yield that looks too good.',
    op: { do: 'wash' },
    handsOnMin: 15,
    waitH: [0.3, 1],
    ...over,
  });

/** A solution boiled down. */
export const boilDown = (over: Over): StepTemplate =>
  step({
    id: 'boil-down',
    title: 'Boil down to {boil.volume}',
    act: 'Simmer to {boil.volume}; {boil.away} of water has to go.',
    until: 'The liquid stands at {boil.volume}.',
    expect: 'Clear to the end.',
    why: 'Brings it near saturation.',
    op: { do: 'boil-down', control: 'boil-to' },
    leave: { alone: false, lookEveryMin: 10, reason: 'it can boil dry or splash' },
    handsOnMin: 20,
    waitH: [0.5, 4],
    ...over,
  });

/** Crystals grown in the cold. */
export const coolOvernight = (over: Over): StepTemplate =>
  step({
    id: 'cool',
    title: 'Cool to {set.cold}',
    act: 'Stand it at {set.cold} overnight.',
    until: 'No more crystals between two looks.',
    expect: 'About {crystals.mass}.',
    why: 'Cold leaves less in the liquor.',
    skipCosts: 'A tenth to a fifth of the yield.',
    op: { do: 'crystallise', control: 'cold' },
    timer: { name: 'cold night', minutes: 720 },
    leave: { alone: true, lookEveryMin: 720, reason: 'cold and covered, away from food' },
    handsOnMin: 5,
    waitH: [8, 16],
    ...over,
  });

/** A solution made up to its volume. */
export const makeUp = (over: Over = {}): StepTemplate =>
  step({
    id: 'make-up',
    title: 'Make up to {made.volume}',
    act: 'Add water to {made.volume} ({made.mass} in all if you make up on the balance). Stopper and turn over ten times.',
    until: 'The level stands at the mark, or the balance shows {made.mass}.',
    expect: 'One clear liquid without streaks.',
    trouble: 'Past the mark: note the real volume; the strength is worked out from it.',
    why: 'The strength is what went in over the volume it ends up in.',
    skipCosts: 'A strength nobody knows.',
    op: { do: 'make-up' },
    ...over,
  });
