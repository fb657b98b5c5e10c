import { substanceOf } from '#matter/substance';
import { step } from '../catalogue/step.ts';
import { control, type StepKind } from './step-kind.ts';

/** What boils lower goes over into a receiver. */
export const distilKind: StepKind = {
  id: 'distil',
  says: 'distil',
  technique: 'distil',
  needs: 'role',
  make: (recipe, id, of) => {
    const volatile = recipe.roles.find((each) => each.id === of)?.accepts[0];
    const off = control(id, {
      name: 'distil over',
      unit: '% of all',
      min: 1,
      max: 95,
      step: 1,
      start: 40,
      note: 'By volume, counted from the first drop: what comes first is the lightest.',
    });
    return {
      step: step({
        id,
        title: `Distil over {set.${off.id}}`,
        act: 'Boiling stones in, water through the condenser; slowly, and never dry.',
        until: 'So much has come over.',
        expect: 'The head temperature stands while one thing comes.',
        why: 'What boils lower goes over first.',
        op: {
          do: 'distil',
          volatile: volatile === undefined ? 'water' : substanceOf(volatile).species,
          into: 'receiver 1',
          control: off.id,
        },
        leave: { alone: false, lookEveryMin: 5, reason: 'a still is not left' },
        where: 'ventilated',
        cautions: ['hot-liquid', 'boil-dry'],
        handsOnMin: 60,
        waitH: [1, 4],
      }),
      controls: [off],
    };
  },
};
