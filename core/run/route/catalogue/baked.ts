import type { Reaction } from '#matter/reaction';
import { type SubstanceId, substanceOf } from '#matter/substance';
import type { Route } from '../route.ts';
import { dry } from './common-steps.ts';
import { step } from './step.ts';

interface Baked {
  readonly id: string;
  readonly title: string;
  readonly summary: string;
  readonly source: string;
  readonly fromId: SubstanceId;
  readonly from: string;
  readonly tolerates: string;
  readonly refuses: Route['roles'][number]['refuses'];
  readonly madeId: SubstanceId;
  readonly reaction: Omit<Reaction, 'id'>;
  readonly ovenC: readonly [low: number, high: number];
  readonly sight: readonly [before: string, after: string];
  readonly drying: NonNullable<Route['drying']>;
  readonly identity: Route['identity'];
  readonly storage: string;
}

/** A solid that heat turns into another, with nothing added: what leaves is weighed. */
function baked(of: Baked): Route {
  const [low, high] = of.ovenC;
  const made = substanceOf(of.madeId);
  return {
    id: of.id,
    title: of.title,
    summary: of.summary,
    source: of.source,
    makes: { kind: 'solid', substanceId: of.madeId, anhydrousId: of.madeId },
    roles: [
      {
        id: 'crude',
        name: of.from,
        accepts: [of.fromId],
        refuses: of.refuses,
        tolerates: of.tolerates,
        measure: 'mass',
        dose: { by: 'extent', perExtent: 1 },
      },
    ],
    reactions: [{ id: 'bake', ...of.reaction }],
    controls: [],
    handling: { lossPct: 0.5, sdPct: 0.3 },
    foamShare: 0,
    drying: of.drying,
    byProducts: [],
    identity: of.identity,
    storage: of.storage,
    steps: [
      step({
        id: 'crude',
        title: 'Weigh {crude.mass} of {crude.name} into a dry dish',
        act: 'Weigh the empty dish, then {crude.mass} into it, spread no deeper than 2 cm. Note both.',
        expect: of.sight[0],
        why: 'The loss of mass tells when it is done.',
        skipCosts: 'Nothing to tell the end by.',
        op: { do: 'add', role: 'crude' },
      }),
      step({
        id: 'bake',
        title: `Bake at ${low} to ${high} °C`,
        act: `In an oven or a sand bath at ${low} to ${high} °C, stirring twice. Ventilate: {gas.carbon-dioxide} of carbon dioxide leaves.`,
        until: 'Two weighings an hour apart differ by less than 0.1 %.',
        expect: of.sight[1],
        trouble: 'Still losing after three hours: the oven is colder than its dial; go on.',
        why: 'What leaves is carbon dioxide and water; nothing else has to be added or washed out.',
        skipCosts: 'A mixture of the two, of a strength nobody knows.',
        op: { do: 'react', reaction: 'bake' },
        timer: { name: 'weigh again', minutes: 60 },
        leave: { alone: true, lookEveryMin: 60, reason: 'an oven with a closed door' },
        where: 'ventilated',
        cautions: ['hot-liquid'],
        ceilingC: high,
        handsOnMin: 10,
        waitH: [1, 4],
      }),
      step({
        id: 'crust',
        title: 'Let it cool closed, over a drying agent',
        act: 'Into a jar or desiccator while still warm; cool it closed.',
        expect: 'A powder or a soft crust.',
        why: 'Warm and open it takes water back from the air.',
        op: { do: 'dry-up' },
        waitH: [0.5, 2],
      }),
      dry({
        title: 'Weigh to constant mass',
        act: 'Weigh; bake half an hour more, cool closed, weigh again.',
        ceilingC: of.drying.ceilingC,
        timer: { name: 'weigh again', minutes: 60 },
        leave: { alone: true, lookEveryMin: 60, reason: 'an oven with a closed door' },
        waitH: [1, 3],
      }),
      step({
        id: 'jar',
        title: 'Into a dry jar, with a label',
        act: `Close at once. Label: ${made.name}, baked, date, batch.`,
        expect: 'It runs freely.',
        why: 'It draws water and carbon dioxide from the air.',
        cautions: ['label'],
      }),
    ],
  };
}

export const bakedSolids: readonly Route[] = [
  baked({
    id: 'sodium-carbonate-baked',
    title: 'baking soda baked to constant mass',
    summary: 'Food-grade bicarbonate baked at 270 to 300 °C is sodium carbonate pure enough to be a standard.',
    source: 'Vogel, Quantitative Chemical Analysis: sodium carbonate as a primary standard; Kolthoff',
    fromId: 'sodium-hydrogencarbonate',
    from: 'baking soda',
    tolerates: 'Food grade, nothing but bicarbonate on the label.',
    refuses: [{ substanceId: 'potassium-hydrogencarbonate', why: 'Potassium bicarbonate gives potassium carbonate.' }],
    madeId: 'sodium-carbonate',
    reaction: {
      reactants: [{ substanceId: 'sodium-hydrogencarbonate', n: 2 }],
      products: [
        { substanceId: 'sodium-carbonate', n: 1 },
        { substanceId: 'carbon-dioxide', n: 1 },
        { substanceId: 'water', n: 1 },
      ],
    },
    ovenC: [270, 300],
    sight: ['A white powder.', 'White still; it loses 37 % of its mass.'],
    drying: {
      ceilingC: 300,
      short: 'loses carbon dioxide above',
      why: 'above 300 °C it begins to lose carbon dioxide',
    },
    identity: [
      { test: 'a pinch in water, phenolphthalein', sight: 'deep pink (bicarbonate: hardly any)' },
      { test: 'a drop of acid', sight: 'fizzes' },
    ],
    storage: 'Closed jar, over a drying agent where it is a standard; baked again before use.',
  }),
  baked({
    id: 'copper-oxide',
    title: 'basic copper carbonate heated to black oxide',
    summary: 'The green carbonate heated to 300 °C gives off carbon dioxide and water and is black copper(II) oxide.',
    source: 'Brauer, Handbook of Preparative Inorganic Chemistry; Vogel',
    fromId: 'copper-carbonate',
    from: 'basic copper carbonate',
    tolerates: 'Washed free of sulfate, dry: sulfate stays in it.',
    refuses: [],
    madeId: 'copper-oxide',
    reaction: {
      reactants: [{ substanceId: 'copper-carbonate', n: 1 }],
      products: [
        { substanceId: 'copper-oxide', n: 2 },
        { substanceId: 'carbon-dioxide', n: 1 },
        { substanceId: 'water', n: 1 },
      ],
    },
    ovenC: [290, 350],
    sight: ['A green powder.', 'Brown, then evenly black; it loses 28 % of its mass.'],
    drying: { ceilingC: 600, short: 'stays as it is', why: 'it gives off oxygen only at red heat' },
    identity: [
      { test: 'a pinch in warm dilute sulfuric acid', sight: 'dissolves to a blue solution, no fizz' },
      { test: 'ammonia in excess to that', sight: 'deep blue' },
    ],
    storage: 'Closed jar. Harmful, kills water life: nothing of it to a drain.',
  }),
];
