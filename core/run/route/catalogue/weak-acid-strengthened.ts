import type { SubstanceId } from '#matter/substance';
import type { Route } from '../route.ts';
import { step } from './step.ts';
import { bottleAndLabel, bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

interface WeakAcid {
  readonly id: string;
  readonly substanceId: SubstanceId;
  readonly name: string;
  readonly title: string;
  readonly summary: string;
  readonly water: number;
  readonly stop: number;
  readonly tolerates: string;
}

/** Water boiled off a weak acid, then the acid distilled off what stays. */
const strengthened = ({ id, substanceId, name, title, summary, water, stop, tolerates }: WeakAcid): Route => ({
  id,
  title,
  summary,
  source: 'Ito and Yoshida, J. Chem. Eng. Data 8 (1963) 315',
  makes: { kind: 'liquid', role: 'acid', substanceId, vessel: 'receiver 2' },
  roles: [
    {
      id: 'acid',
      name,
      accepts: [substanceId],
      refuses: [],
      tolerates,
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1 },
    },
  ],
  reactions: [],
  controls: [
    cutAt('cut-1', 'water up to', {
      start: water,
      note: 'Every mL of this cut takes some acid along: later is stronger, and less.',
    }),
    cutAt('cut-2', 'stop at', { start: stop, max: 93, note: 'The rest scorches.' }),
  ],
  handling: null,
  foamShare: 0.1,
  drying: null,
  byProducts: [
    { name: 'water cut', keep: `Weak ${name}: cleaning, or the next charge.` },
    { name: 'brown rest', keep: 'Soda, then the drain.' },
  ],
  identity: [{ test: 'a pinch of bicarbonate', sight: 'fizzes' }],
  storage: 'Glass or polyethylene, closed; formic acid under a cap that vents.',
  steps: [
    step({
      id: 'ready',
      title: 'Outdoors or by an open window',
      act: 'Goggles, gloves. The vapour bites eyes and throat.',
      expect: 'Soda in reach.',
      why: 'Hot acid vapour is stronger than the acid smells cold.',
      skipCosts: 'Burning eyes.',
      where: 'ventilated',
      cautions: ['corrosive', 'fume', 'law'],
    }),
    step({
      id: 'acid',
      title: 'Charge the flask with {acid.volume}',
      act: 'Pour in {acid.volume} ({acid.mass}) of {acid.name}; stones.',
      expect: 'At most two thirds full.',
      why: 'The charge.',
      skipCosts: 'Nothing to distil.',
      op: { do: 'add', role: 'acid' },
      where: 'ventilated',
      cautions: ['corrosive'],
    }),
    putTogether(),
    bringToBoil({ where: 'ventilated' }),
    cut(
      { volatile: substanceId, into: 'receiver 1', control: 'cut-1' },
      { id: 'water', title: 'Distil: the water cut, {distil.volume}', where: 'ventilated', cautions: ['fume'] },
    ),
    cut(
      { volatile: substanceId, into: 'receiver 2', control: 'cut-2' },
      { id: 'strong', title: 'Distil: the acid, {distil.volume}', where: 'ventilated', cautions: ['fume', 'boil-dry'] },
    ),
    coolAndBook({ where: 'ventilated' }),
    bottleAndLabel(),
  ],
});

export const formicAcid = strengthened({
  id: 'formic-acid',
  substanceId: 'formic-acid',
  name: 'formic acid',
  title: 'distil water off weak formic acid',
  summary:
    'Water comes first, then acid that climbs to its azeotrope, about 77 %: no still gets past it, and hot strong acids would turn it into carbon monoxide.',
  water: 40,
  stop: 90,
  tolerates: 'Descaler without dye or soap.',
});

export const strongerVinegar = strengthened({
  id: 'stronger-vinegar',
  substanceId: 'acetic-acid',
  name: 'vinegar',
  title: 'boil water off vinegar, distil the rest (a poor way)',
  summary:
    'Acetic acid and water hardly part: vinegar of 8 % with half of it boiled off and thrown away is about 11 %, and a third of the acid went with the water. By way of an acetate and an acid it gets to 30 %.',
  water: 50,
  stop: 92,
  tolerates: 'White vinegar: sugar and colour scorch.',
});
