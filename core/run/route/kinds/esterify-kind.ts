import { step } from '../catalogue/step.ts';
import { control, type StepKind } from './step-kind.ts';

/** An acid and an alcohol kept warm until they are at their end. */
export const esterifyKind: StepKind = {
  id: 'esterify',
  says: 'keep warm to an ester',
  technique: 'esterify',
  needs: 'reaction',
  make: (_recipe, id, of) => {
    const temp = control(`${id}-t`, {
      name: 'kept at',
      unit: '°C',
      min: 15,
      max: 120,
      step: 1,
      start: 60,
      note: 'Ten degrees warmer is about twice as fast, up to the boil.',
    });
    const hours = control(`${id}-h`, {
      name: 'for',
      unit: 'h',
      min: 0.25,
      max: 72,
      step: 0.25,
      start: 3,
      note: 'At its end more hours bring nothing.',
    });
    return {
      step: step({
        id,
        title: `Keep at {set.${temp.id}} for {set.${hours.id}}`,
        act: 'Water bath, under a condenser, never closed. No flame.',
        until: 'The hours are over.',
        expect: 'It smells of the ester[; about {ester.conversion} turns].',
        why: 'It comes to its end and stays there.',
        op: { do: 'esterify', reaction: of, temp: temp.id, hours: hours.id },
        leave: { alone: false, lookEveryMin: 30, reason: 'vapour that burns over a warm bath' },
        where: 'ventilated',
        cautions: ['flammable', 'hot-liquid'],
        handsOnMin: 15,
        waitH: [1, 6],
      }),
      controls: [temp, hours],
    };
  },
};
