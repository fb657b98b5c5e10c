import { itemAt } from '#base/lookup';
import type { SubstanceId } from '#matter/substance';
import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { bottleAndLabel } from './still-steps.ts';

type Role = Route['roles'][number];

interface Gas {
  readonly id: string;
  readonly title: string;
  readonly summary: string;
  readonly source: string;
  readonly makes: SubstanceId;
  readonly gas: 'hydrogen-chloride' | 'ammonia-gas';
  readonly gasName: string;
  readonly roles: readonly [Role, Role];
  readonly reactions: Route['reactions'];
  readonly water: { readonly start: number; readonly max: number };
  readonly arrives: number;
  readonly ceiling: { readonly start: number; readonly max: number };
  readonly heat: string;
  readonly end: string;
  readonly residue: string;
  readonly cautions: Route['steps'][number]['cautions'];
  readonly identity: Route['identity'];
  readonly storage: string;
}

/** A gas out of two solids, led over cold water that takes it up. */
const intoWater = (of: Gas): Route => ({
  id: of.id,
  title: of.title,
  summary: of.summary,
  source: of.source,
  makes: { kind: 'liquid', role: of.roles[0].id, substanceId: of.makes, vessel: 'absorber' },
  roles: [
    ...of.roles,
    plainWater({ by: 'per-gram', role: of.roles[0].id, control: 'water' }, 'Distilled, a part of it as ice.'),
  ],
  reactions: of.reactions,
  controls: [
    {
      id: 'excess',
      name: 'of the second in excess',
      unit: '%',
      min: 0,
      max: 100,
      step: 5,
      start: 20,
      note: 'Solids meet badly: an excess brings the last of the gas.',
    },
    {
      id: 'water',
      name: 'water in the absorber',
      unit: 'g/100 g',
      min: 40,
      max: of.water.max,
      step: 5,
      start: of.water.start,
      note: 'Less gives a stronger solution that fumes and lets gas past.',
    },
    {
      id: 'arrives',
      name: 'of the gas that arrives',
      unit: '%',
      min: 20,
      max: 100,
      step: 5,
      start: of.arrives,
      note: 'What stays in the melt, the tube and the flask never arrives: weigh the absorber to know.',
    },
    {
      id: 'ceiling',
      name: 'absorber kept under',
      unit: '°C',
      min: 5,
      max: of.ceiling.max,
      step: 1,
      start: of.ceiling.start,
      note: 'Warm water holds less, and the funnel fumes.',
    },
  ],
  handling: null,
  foamShare: 0.3,
  drying: null,
  byProducts: [{ name: 'rest in the generator', keep: of.residue }],
  identity: of.identity,
  storage: of.storage,
  steps: [
    step({
      id: 'ready',
      title: 'Outdoors: generator, empty trap, absorber',
      act: 'Upwind, goggles, gloves. Flask, tube, an empty flask as large as the absorber between, then the funnel that just touches the water, never a tube that dips: it sucks back.',
      expect: 'All of it open at the end.',
      why: 'Water takes this gas so fast that it climbs back into the hot flask.',
      skipCosts: 'A flask that bursts, or lungs that burn.',
      where: 'outdoors',
      cautions: of.cautions,
    }),
    step({
      id: 'first',
      title: `Weigh {${of.roles[0].id}.mass} of {${of.roles[0].id}.name} into the flask`,
      act: `Weigh {${of.roles[0].id}.mass} in, dry.`,
      expect: 'A dry powder.',
      why: 'It limits.',
      skipCosts: 'No gas.',
      op: { do: 'add', role: of.roles[0].id },
      where: 'outdoors',
    }),
    step({
      id: 'water',
      title: 'Weigh the absorber with {water.volume} of water',
      act: 'Ice for as much of it as the sum says. Weigh it all, write the mass down: what it gains is the gas.',
      expect: 'A weighed jar of ice water.',
      why: 'Its gain is the only thing that tells how far it is.',
      skipCosts: 'Nobody knows when to stop.',
      op: { do: 'add', role: 'water', in: 'absorber' },
    }),
    step({
      id: 'second',
      title: `Mix in {${of.roles[1].id}.mass} of {${of.roles[1].id}.name}, close at once`,
      act: `Tip {${of.roles[1].id}.mass} in, shake once, put the tube on.`,
      expect: 'Little happens yet.',
      why: 'Gas begins with warmth.',
      skipCosts: 'No gas.',
      op: { do: 'add', role: of.roles[1].id },
      where: 'outdoors',
      cautions: of.cautions,
    }),
    step({
      id: 'gas',
      title: 'Warm slowly, lead {absorbed.gas} over the water',
      act: `${of.heat} Ice round the absorber; swirl it, and weigh it now and then.`,
      until: of.end,
      expect: '[{absorbed.gas} in all; the absorber gains {absorbed.gained}, and takes {absorbed.ice} of ice.]',
      trouble:
        'Water climbs: warm the flask or take the funnel off. Fumes at the absorber: slower, more ice. Nothing more: stir or warm.',
      why: 'Fast, the water warms and lets it past.',
      skipCosts: 'A weak solution.',
      op: {
        do: 'absorb',
        reaction: itemAt(of.reactions, 0).id,
        gas: of.gas,
        as: of.makes,
        into: 'absorber',
        arrives: 'arrives',
        ceiling: 'ceiling',
      },
      leave: { alone: false, lookEveryMin: 2, reason: 'it sucks back within a minute' },
      where: 'outdoors',
      cautions: of.cautions,
      handsOnMin: 45,
      waitH: [0.5, 2],
    }),
    step({
      id: 'off',
      title: 'Funnel off first, then the heat; weigh the absorber',
      act: 'Lift the funnel out, then take the heat away. Weigh the absorber; enter what it gained at the step before.',
      expect: 'About {absorbed.gained} more than at first.',
      why: 'Heat off first sucks it back.',
      skipCosts: 'The product in the generator.',
      where: 'outdoors',
      cautions: of.cautions,
    }),
    bottleAndLabel({}),
  ],
});

/** Hydrochloric acid from table salt: the reuse of hydrogensulfate and of the salt that another batch left. */
export const hydrochloricByGas = intoWater({
  id: 'hydrochloric-acid-by-gas',
  title: 'salt and hydrogensulfate heated dry, the gas over ice water',
  summary:
    'Dry table salt and pool hydrogensulfate melted together give hydrogen chloride; iced water takes it up to some 25 %. Cleaner than the acid of the shop, and it uses up salt and hydrogensulfate that another batch left.',
  source: 'Brauer, Handbook of Preparative Inorganic Chemistry; heats after NBS Circular 500',
  makes: 'hydrochloric-acid',
  gas: 'hydrogen-chloride',
  gasName: 'hydrogen chloride',
  roles: [
    {
      id: 'salt',
      name: 'table salt',
      accepts: ['sodium-chloride'],
      refuses: [],
      tolerates: 'Dry. Iodised salt gives a trace of iodine.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1 },
    },
    {
      id: 'hydrogensulfate',
      name: 'sodium hydrogensulfate',
      accepts: ['sodium-hydrogensulfate'],
      refuses: [{ substanceId: 'sulfuric-acid', why: 'Strong sulfuric acid gives the gas all at once, in the cold.' }],
      tolerates: 'Pool granules.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1, excessControl: 'excess' },
    },
  ],
  reactions: [
    {
      id: 'gas',
      reactants: [
        { substanceId: 'sodium-chloride', n: 1 },
        { substanceId: 'sodium-hydrogensulfate', n: 1 },
      ],
      products: [
        { substanceId: 'sodium-sulfate', n: 1 },
        { substanceId: 'hydrogen-chloride', n: 1 },
      ],
    },
  ],
  water: { start: 160, max: 1000 },
  arrives: 80,
  ceiling: { start: 25, max: 40 },
  heat: 'A small flame or plate under dry glass: gas from about 180 °C, quick at 250 °C.',
  end: 'It no longer gains between two weighings, or all of it is over.',
  residue: 'Sodium sulfate, acid: dissolve it, it serves as sulfate.',
  cautions: ['acid-gas', 'corrosive'],
  identity: [
    { test: 'silver nitrate, one drop', sight: 'white, curdy, soluble in ammonia' },
    { test: 'indicator paper', sight: 'red' },
  ],
  storage: 'Glass or HDPE, closed, away from metal, bleach and ammonia.',
});

/** Ammonia from fertiliser and lime. */
export const ammoniaByGas = intoWater({
  id: 'ammonia-by-gas',
  title: 'ammonium salt and slaked lime warmed, the gas over cold water',
  summary:
    'Ammonium sulfate and slaked lime, a little damp and warm, give ammonia; cold water under an inverted funnel takes it up to 15 or 20 %.',
  source: 'Brauer, Handbook of Preparative Inorganic Chemistry; Jennings and Shannon 1938',
  makes: 'ammonia',
  gas: 'ammonia-gas',
  gasName: 'ammonia',
  roles: [
    {
      id: 'salt',
      name: 'ammonium sulfate',
      accepts: ['ammonium-sulfate'],
      refuses: [{ substanceId: 'ammonium-nitrate', why: 'Ammonium nitrate is never heated.' }],
      tolerates: 'Lawn fertiliser without iron.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 0.5 },
    },
    {
      id: 'lime',
      name: 'slaked lime',
      accepts: ['calcium-hydroxide'],
      refuses: [{ substanceId: 'sodium-hydroxide', why: 'Lye gives the gas all at once.' }],
      tolerates: 'Carbonate in old lime gives less.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 0.5, excessControl: 'excess' },
    },
  ],
  reactions: [
    {
      id: 'gas',
      reactants: [
        { substanceId: 'ammonium-sulfate', n: 1 },
        { substanceId: 'calcium-hydroxide', n: 1 },
      ],
      products: [
        { substanceId: 'calcium-sulfate-dihydrate', n: 1 },
        { substanceId: 'ammonia-gas', n: 2 },
      ],
    },
  ],
  water: { start: 100, max: 600 },
  arrives: 85,
  ceiling: { start: 20, max: 30 },
  heat: 'A spoon of water onto the powder, then a water bath under it: gas at once, most of it below the boil.',
  end: 'It no longer gains between two weighings.',
  residue: 'Gypsum and lime: harmless, smells for a day outdoors.',
  cautions: ['ammonia-gas', 'caustic'],
  identity: [{ test: 'copper sulfate solution', sight: 'deep blue' }],
  storage: 'Cool, closed, full; opened outdoors. Never beside acids, bleach or iodine.',
});
