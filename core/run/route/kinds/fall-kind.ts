import { type SubstanceId, substanceOf } from '#matter/substance';
import { solubilityRange } from '#model/dish';
import type { Recipe } from '#run/technique';
import { step } from '../catalogue/step.ts';
import { control, plain, type StepKind } from './step-kind.ts';

/** A salt that the equations make beside what is wanted. */
function besideIt({ makes, reactions }: Recipe): SubstanceId | undefined {
  const wanted = makes.kind === 'solid' ? [makes.substanceId, makes.anhydrousId] : [makes.substanceId];
  return reactions
    .flatMap(({ products }) => products.map(({ substanceId }) => substanceId))
    .find((id) => !wanted.includes(id) && substanceOf(id).form === 'solid' && substanceOf(id).water !== 'insoluble');
}

/** A salt that is not the product falls in the cold, or is salted out. */
export const fallKind: StepKind = {
  id: 'fall',
  says: 'let a by-product fall',
  technique: 'fall',
  needs: null,
  make: (recipe, id) => {
    const substanceId = besideIt(recipe);
    const words = {
      act: 'Cool it slowly, covered, and let it stand. Weigh what has fallen once it is dry.',
      until: 'No more between two looks.',
      expect: 'A salt that is not the product[, about {fallen.mass}].',
      why: 'What falls now is not in the product later.',
      leave: { alone: true, lookEveryMin: 720, reason: 'cold and covered' },
      waitH: [3, 24] as [number, number],
    };
    if (substanceId === undefined)
      return plain(
        step({
          ...words,
          id,
          title: 'Let it stand in the cold: nothing is known to fall',
          expect: 'It may stay clear.',
          op: { do: 'hold' },
        }),
      );
    const { name } = substanceOf(substanceId);
    const held = solubilityRange(substanceOf(substanceId)) !== undefined;
    const set = held
      ? control(`${id}-c`, {
          name: 'chill to',
          unit: '°C',
          min: 0,
          max: 30,
          step: 1,
          start: 5,
          note: 'Colder lets more fall.',
        })
      : control(`${id}-s`, {
          name: 'of it that falls',
          unit: '%',
          min: 0,
          max: 100,
          step: 1,
          start: 50,
          note: 'Its solubility is not held: weigh it to know.',
        });
    return {
      step: step({
        ...words,
        id,
        title: held ? `Chill to {set.${set.id}}: ${name} falls` : `Let ${name} fall`,
        op: { do: 'fall', substanceId, ...(held ? { cold: set.id } : { share: set.id }) },
      }),
      controls: [set],
    };
  },
};
