import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { add, type Contents, emptyContents } from '#matter/vessel';
import { factsOf, type Plan } from '#run/plan';
import { type At, emptyStanding, type Standing, type StepEntries } from '#run/technique';

export const figure = (value: number, unit = 'g') => given({ symbol: 'x', name: 'x', unit }, value, 'test');

/** A vessel with so much of each thing, g: solids as they lie, `dissolved` in its water. */
export function vesselOf(
  waterG: number,
  grams: Readonly<Partial<Record<SubstanceId, number>>>,
  dissolved = true,
): Contents {
  const product = (id: SubstanceId) => ({ substance: substanceOf(id), w: figure(100, '%'), name: id });
  const water = add(emptyContents, { ...product('water'), dissolved: true }, figure(waterG)).contents;
  return Object.entries(grams).reduce(
    (now, [id, mass]) => add(now, { ...product(id as SubstanceId), dissolved }, figure(mass ?? 0)).contents,
    water,
  );
}

export const standingWith = (pot: Contents, figures: Standing['figures'] = {}): Standing => ({
  ...emptyStanding,
  vessels: { pot },
  figures,
});

const NOTHING: StepEntries = {
  additions: [],
  readings: {},
  liquor: {},
  readAfter: {},
  since: [],
  early: [],
  dryMass: false,
  wetMass: false,
  finished: false,
  skipped: false,
  currents: [],
  from: null,
  to: null,
};

/** A step of a plan with what was entered at it, as a technique is given it. */
export function atStep(plan: Plan, entries: Partial<StepEntries> = {}, controls: Plan['controls'] = {}): At {
  const facts = unwrap(factsOf({ ...plan, controls: { ...plan.controls, ...controls } }));
  const here = { ...NOTHING, ...entries };
  return {
    facts,
    key: 'step',
    entries: here,
    going: {
      wanted: figure(0.2, 'mol'),
      enoughFor: new Map(),
      closedAs: new Map(),
      takenThen: new Map(),
      enlarged: false,
      cap: null,
      exact: false,
      onlyDone: false,
      entriesAt: () => here,
    },
  };
}
