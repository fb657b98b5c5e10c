import type { SubstanceId } from '#matter/substance';
import type { Route } from '../route.ts';
import { step } from './step.ts';
import { bottleAndLabel, bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

interface Solvent {
  readonly id: string;
  readonly substanceId: SubstanceId;
  readonly name: string;
  readonly stop: number;
  readonly limit: string;
}

/** A watery solvent salted out with table salt, the upper layer distilled. */
const recovered = ({ id, substanceId, name, stop, limit }: Solvent): Route => ({
  id,
  title: `salt the water out, distil the ${name}`,
  summary: `Table salt makes a brine of much of the water, which is drained off below; the rest is distilled from a water bath. ${limit}`,
  source: 'Perrin and Armarego, Purification of Laboratory Chemicals; boiling curves, Perry',
  makes: { kind: 'liquid', role: 'wet', substanceId, vessel: 'receiver 2' },
  roles: [
    {
      id: 'wet',
      name: `used ${name}`,
      accepts: [substanceId],
      refuses: [],
      tolerates: 'Oil, dye and salt stay in the flask. Never anything that was with peroxide, bleach or nitric acid.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1 },
    },
    {
      id: 'salt',
      name: 'table salt',
      accepts: ['sodium-chloride'],
      refuses: [],
      tolerates: 'Any dry salt.',
      measure: 'mass',
      dose: { by: 'to-dry', spare: 'spare' },
    },
  ],
  reactions: [],
  controls: [
    {
      id: 'spare',
      name: 'salt to spare',
      unit: '%',
      min: 0,
      max: 200,
      step: 10,
      start: 50,
      note: 'Some must lie undissolved at the end.',
    },
    cutAt('cut-1', 'fore-run up to', { start: 3, note: 'What is more volatile comes first.' }),
    cutAt('cut-2', 'stop at', { start: stop, max: 92, note: 'Water comes at the end: the head climbs.' }),
  ],
  handling: null,
  foamShare: 0,
  drying: null,
  byProducts: [
    { name: 'brine', keep: 'Smells of the solvent: let it stand open outdoors, then the drain.' },
    { name: 'rest in the flask', keep: 'Solvent waste.' },
  ],
  identity: [{ test: 'its boiling point in the still', sight: 'stands within a degree' }],
  storage: 'Closed, cool, away from flames, oxidisers and bleach.',
  steps: [
    step({
      id: 'ready',
      title: 'No flame, vent led away',
      act: 'Outdoors or by an open window, nothing lit, nothing that sparks. Extinguisher in reach. Ask what it was used with: nothing that was with peroxide, bleach or nitric acid is distilled.',
      expect: 'A known history.',
      why: 'Vapour creeps along the floor to a flame metres away.',
      skipCosts: 'A flash fire.',
      where: 'ventilated',
      cautions: ['flammable'],
    }),
    step({
      id: 'wet',
      title: 'Measure {wet.volume} into a jar',
      act: 'Pour {wet.volume} ({wet.mass}) of {wet.name} into a jar that can be shaken.',
      expect: 'One liquid.',
      why: 'The charge.',
      skipCosts: 'Nothing to recover.',
      op: { do: 'add', role: 'wet', in: 'jar' },
      where: 'ventilated',
      cautions: ['flammable'],
    }),
    step({
      id: 'salt',
      title: 'Shake with {salt.mass} of table salt',
      act: 'Add {salt.mass} of salt, shake, vent, shake again.',
      expect: 'Two layers; some salt undissolved.',
      trouble: 'No layers: it holds little water, or too much. Distil it as it is.',
      why: 'Brine holds little of the solvent.',
      skipCosts: 'All the water goes into the flask.',
      op: { do: 'add', role: 'salt', in: 'jar' },
      cautions: ['flammable'],
    }),
    step({
      id: 'part',
      title: 'Let it part, take the upper layer into the flask',
      act: 'Half an hour, then decant or draw the upper layer into the flask; stones.',
      expect: 'About {dried.water} of water stay in the brine.',
      why: 'What stays below need not be boiled.',
      skipCosts: 'A weaker cut.',
      op: { do: 'dry-over', in: 'jar', role: 'salt', liquid: substanceId, into: 'pot' },
      waitH: [0.3, 0.7],
    }),
    putTogether({
      act: 'Over a water bath, never a flame. Cold water in the condenser, the vent led away, receivers numbered and weighed.',
      cautions: ['flammable'],
    }),
    bringToBoil({ cautions: ['flammable'] }),
    cut(
      { volatile: substanceId, into: 'receiver 1', control: 'cut-1' },
      { id: 'fore-run', title: 'Distil: the fore-run, {distil.volume}', cautions: ['flammable'] },
    ),
    cut(
      { volatile: substanceId, into: 'receiver 2', control: 'cut-2' },
      { id: 'heart', title: `Distil: the ${name}, until the head is at {distil.head}`, cautions: ['flammable'] },
    ),
    coolAndBook({}),
    bottleAndLabel({ cautions: ['label', 'flammable'] }),
  ],
});

export const recoveredAcetone = recovered({
  id: 'recovered-acetone',
  substanceId: 'acetone',
  name: 'acetone',
  stop: 82,
  limit: 'Acetone has no azeotrope with water: a column gets it dry enough for most uses.',
});

export const recoveredIsopropanol = recovered({
  id: 'recovered-isopropanol',
  substanceId: 'isopropanol',
  name: 'propan-2-ol',
  stop: 88,
  limit: 'The still ends at its azeotrope, about 88 %; beyond it, potassium carbonate or a sieve.',
});
