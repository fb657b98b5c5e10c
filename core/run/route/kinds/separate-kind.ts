import type { SubstanceId } from '#matter/substance';
import { mutualOf } from '#model/layers';
import type { Recipe } from '#run/technique';
import { step } from '../catalogue/step.ts';
import { plain, type StepKind } from './step-kind.ts';

/** What of a recipe makes a layer of its own: what it makes first, then what reacts, then what is charged. */
function layering({ makes, reactions, roles }: Recipe): SubstanceId | undefined {
  const made = makes.substanceId === undefined ? [] : [makes.substanceId];
  const reacting = reactions.flatMap(({ products }) => products.map(({ substanceId }) => substanceId));
  return [...made, ...reacting, ...roles.flatMap(({ accepts }) => accepts)].find((id) => mutualOf(id) !== undefined);
}

/** Two layers parted, the water run off. Of a liquid whose layers are not held it is words only. */
export const separateKind: StepKind = {
  id: 'separate',
  says: 'part two layers',
  technique: 'separate',
  needs: null,
  make: (recipe, id) => {
    const liquid = layering(recipe);
    return plain(
      step({
        id,
        title: 'Let it part, run the water off',
        act: 'Open until a swirl brings no bubble; then vent after each turn. A few minutes, then run the lower layer off, slowly at the end. Throw nothing away before it is weighed.',
        until: 'The line between stands in the tap.',
        expect: liquid === undefined ? 'Two clear layers.' : 'Two clear layers[; the water takes {layer.lost} along].',
        trouble: 'No line: a spoon of salt. Which is which: a drop of water into either.',
        why: 'Salts and acid leave with the water.',
        op: liquid === undefined ? { do: 'plain' } : { do: 'separate', liquid },
        handsOnMin: 10,
      }),
    );
  },
};
