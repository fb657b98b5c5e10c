import type { Recipe } from '#run/technique';
import { step } from '../catalogue/step.ts';
import { control, plain, type StepKind } from './step-kind.ts';

const HALOGENS = ['bromine', 'iodine'] as const;

/** The equations in which peroxide frees a halogen of a halide, and which one. */
function freeing({ reactions }: Recipe) {
  for (const halogen of HALOGENS) {
    const ids = reactions
      .filter(
        ({ reactants, products }) =>
          products.some(({ substanceId }) => substanceId === halogen) &&
          reactants.some(({ substanceId }) => substanceId === 'hydrogen-peroxide'),
      )
      .map(({ id }) => id);
    if (ids.length > 0) return { halogen, reactions: ids };
  }
  return undefined;
}

/** Peroxide frees a halogen, as fast as it goes. Of other equations no rate is held, and it is words only. */
export const oxidiseKind: StepKind = {
  id: 'oxidise',
  says: 'let peroxide free a halogen',
  technique: 'oxidise',
  needs: null,
  make: (recipe, id) => {
    const found = freeing(recipe);
    const words = {
      act: 'Leave it cool and dark, stopper loose. Look at its colour and note it.',
      until: 'The colour is no deeper than at the look before.',
      why: 'Its pace goes with acid, halide and peroxide.',
      where: 'outdoors' as const,
      leave: { alone: true, lookEveryMin: 60, reason: 'cool and with its stopper loose, out of reach' },
      waitH: [0.5, 24] as [number, number],
    };
    if (!found)
      return plain(
        step({
          ...words,
          id,
          title: 'Let it stand: how fast it goes is not known',
          expect: 'It colours.',
          op: { do: 'hold' },
        }),
      );
    const temp = control(`${id}-t`, {
      name: 'left at',
      unit: '°C',
      min: 0,
      max: 40,
      step: 1,
      start: 18,
      note: 'Warmer is quicker, and fumes more.',
    });
    const hours = control(`${id}-h`, {
      name: 'for',
      unit: 'h',
      min: 0.25,
      max: 168,
      step: 0.25,
      start: 5,
      note: 'After its most it fades.',
    });
    return {
      step: step({
        ...words,
        id,
        title: `Leave it at {set.${temp.id}} for {set.${hours.id}}`,
        expect: '[{freed.mass} of it, about {freed.conversion} of the halide.]',
        op: { do: 'oxidise', reactions: found.reactions, halogen: found.halogen, temp: temp.id, hours: hours.id },
        cautions: [found.halogen === 'bromine' ? 'bromine' : 'iodine-vapour'],
      }),
      controls: [temp, hours],
    };
  },
};
