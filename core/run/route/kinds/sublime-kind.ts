import { must } from '#base/lookup';
import type { SubstanceId } from '#matter/substance';
import { sublimationOf } from '#model/sublime';
import type { Recipe } from '#run/technique';
import { step } from '../catalogue/step.ts';
import { control, plain, type StepKind } from './step-kind.ts';

/** What a recipe makes, or charges, that goes over as vapour. */
function subliming({ makes, roles }: Recipe): SubstanceId | undefined {
  const made = makes.kind === 'solid' ? [makes.substanceId] : [];
  return [...made, ...roles.flatMap(({ accepts }) => accepts)].find((id) => sublimationOf(id) !== undefined);
}

/** A solid sublimed onto a cold cover. Of what has no vapour pressure held it is words only. */
export const sublimeKind: StepKind = {
  id: 'sublime',
  says: 'sublime',
  technique: 'sublime',
  needs: null,
  make: (recipe, id) => {
    const substanceId = subliming(recipe);
    const words = {
      act: 'Dry, in a dish on sand or a water bath, a watch glass with ice on top. No flame. Lifted only when all is cold.',
      until: 'Nothing more goes over.',
      expect: 'Crystals under the glass.',
      why: 'What does not sublime stays behind.',
      where: 'outdoors' as const,
      cautions: substanceId === 'iodine' ? ['iodine-vapour' as const] : [],
      leave: { alone: false, lookEveryMin: 15, reason: 'ice melts, and vapour finds the rim' },
      handsOnMin: 30,
      waitH: [0.5, 8] as [number, number],
    };
    if (substanceId === undefined)
      return plain(step({ ...words, id, title: 'Sublime it: how fast is not known', op: { do: 'plain' } }));
    const [low, high] = must(sublimationOf(substanceId), 'sublimationOf').tempC;
    const pot = control(`${id}-t`, {
      name: 'dish at',
      unit: '°C',
      min: Math.ceil(low),
      max: Math.floor(high),
      step: 1,
      start: Math.round(low + 0.65 * (high - low)),
      note: 'Warmer is quicker and loses more.',
    });
    const cover = control(`${id}-c`, {
      name: 'cover at',
      unit: '°C',
      min: -10,
      max: Math.max(-9, Math.ceil(low) - 1),
      step: 1,
      start: Math.min(5, Math.max(-9, Math.ceil(low) - 1)),
      note: 'Ice in the watch glass.',
    });
    const dish = control(`${id}-d`, {
      name: 'dish',
      unit: 'cm²',
      min: 15,
      max: 200,
      step: 5,
      start: 60,
      note: 'A dish of 9 cm has 60; wider goes faster.',
    });
    return {
      step: step({
        ...words,
        id,
        title: `Sublime at {set.${pot.id}}[, about {sublimed.hours}]`,
        op: { do: 'sublime', substanceId, pot: pot.id, cover: cover.id, dish: dish.id },
      }),
      controls: [pot, cover, dish],
    };
  },
};
