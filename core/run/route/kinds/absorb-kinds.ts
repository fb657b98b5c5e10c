import type { SubstanceId } from '#matter/substance';
import type { OpOf, Recipe } from '#run/technique';
import { step } from '../catalogue/step.ts';
import { addStep } from './add-step.ts';
import { control, plain, type StepKind } from './step-kind.ts';

type Gas = OpOf<'absorb'>['gas'];

/** Gases that water takes, and what each is once it is dissolved. */
const DISSOLVED: readonly (readonly [gas: Gas, as: SubstanceId])[] = [
  ['hydrogen-chloride', 'hydrochloric-acid'],
  ['ammonia-gas', 'ammonia'],
];

function gasOf({ reactions }: Recipe, id: string) {
  const made = reactions.find((each) => each.id === id)?.products.map(({ substanceId }) => substanceId) ?? [];
  return DISSOLVED.find(([gas]) => made.includes(gas));
}

const absorb: StepKind = {
  id: 'absorb',
  says: 'lead a gas into water',
  technique: 'absorb',
  needs: 'reaction',
  make: (recipe, id, of) => {
    const found = gasOf(recipe, of);
    const words = {
      act: 'An empty flask between, as large as the absorber; a funnel that just touches the water, never a tube that dips. Weigh the absorber before and after.',
      until: 'The absorber gains nothing more.',
      expect: 'The water warms.',
      trouble: 'It climbs back: funnel off, warm the flask.',
      why: 'What the absorber gains is all that tells how far it is.',
      where: 'outdoors' as const,
      leave: { alone: false, lookEveryMin: 2, reason: 'it sucks back within a minute' },
      handsOnMin: 45,
      waitH: [0.5, 2] as [number, number],
    };
    // Of a gas that water hardly takes, or of none, it is words only.
    if (!found)
      return plain(step({ ...words, id, title: 'Lead the gas over water', op: { do: 'react', reaction: of } }));
    const [gas, as] = found;
    const arrives = control(`${id}-a`, {
      name: 'of the gas that arrives',
      unit: '%',
      min: 20,
      max: 100,
      step: 5,
      start: 80,
      note: 'What stays in the melt, the tube and the flask never arrives.',
    });
    const ceiling = control(`${id}-c`, {
      name: 'absorber kept under',
      unit: '°C',
      min: 5,
      max: 40,
      step: 1,
      start: 25,
      note: 'Warm water holds less.',
    });
    return {
      step: step({
        ...words,
        id,
        title: 'Lead the gas over water[, {absorbed.gas}]',
        expect: 'The absorber gains[ {absorbed.gained}] and warms.',
        op: { do: 'absorb', reaction: of, gas, as, into: 'absorber', arrives: arrives.id, ceiling: ceiling.id },
        cautions: [gas === 'ammonia-gas' ? 'ammonia-gas' : 'acid-gas'],
      }),
      controls: [arrives, ceiling],
    };
  },
};

/** What stands in the absorber before the gas comes. */
const intoAbsorber: StepKind = {
  id: 'add-absorber',
  says: 'add to the absorber',
  technique: 'add',
  needs: 'role',
  make: (recipe, id, of) => {
    const added = addStep(recipe, { id, role: of, reacts: [] });
    return plain({ ...added, op: { do: 'add', role: of, in: 'absorber' } });
  },
};

export const absorbKinds: readonly StepKind[] = [intoAbsorber, absorb];
