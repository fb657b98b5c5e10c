import type { CautionId } from '#core/guard';
import type { Reaction } from '#core/reaction';
import { type SubstanceId, substanceOf } from '#core/substance';
import type { Adding, Role } from '#core/technique';
import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { boilDown, collect, coolOvernight, dry } from './common-steps.ts';
import { step } from './step.ts';

type Ingredient = Pick<Role, 'id' | 'name' | 'accepts' | 'refuses' | 'tolerates' | 'measure'>;

interface SaltFromAcid {
  readonly id: string;
  readonly title: string;
  readonly summary: string;
  readonly source: string;
  readonly solidId: SubstanceId;
  readonly anhydrousId: SubstanceId;
  /** Goes in first and fixes the yield; how many mol for each extent. */
  readonly first: Ingredient & { readonly n: number };
  /** Goes into it by parts; so much over, %. */
  readonly second: Ingredient & {
    readonly n: number;
    readonly over: readonly [least: number, start: number, most: number];
  };
  /** The acid is diluted to so much, %: least, start, most; where it is, by which of the two. */
  readonly dilute: { readonly role: 'first' | 'second'; readonly pct: readonly [number, number, number] };
  readonly reaction: Omit<Reaction, 'id'>;
  readonly adding: Adding;
  readonly goes: { readonly act: string; readonly until: string; readonly expect: string; readonly trouble: string };
  readonly where: 'ventilated' | 'outdoors';
  readonly cautions: readonly CautionId[];
  readonly ceilingC: number;
  readonly waitH: readonly [number, number];
  /** Filtered where something is left. */
  readonly residue: string;
  /** Boiled down or left to evaporate, to g of the salt per 100 g of water: least, start, most. */
  readonly thick: {
    readonly how: 'boil' | 'leave';
    readonly to: readonly [number, number, number];
    readonly why: string;
  };
  /** °C: least, start, most. */
  readonly coldC: readonly [number, number, number];
  readonly foamShare: number;
  readonly drying: NonNullable<Route['drying']>;
  readonly sight: string;
  readonly identity: Route['identity'];
  readonly storage: string;
  readonly liquor: string;
}

/** A salt made by taking something up in an acid, brought out of its liquor, caught and dried. */
function saltFromAcid(of: SaltFromAcid): Route {
  const { first, second, dilute, thick } = of;
  const solid = substanceOf(of.solidId);
  const [least, start, most] = thick.to;
  const [coldest, cold, warmest] = of.coldC;
  const [leastPct, startPct, mostPct] = dilute.pct;
  const [overLeast, overStart, overMost] = second.over;
  const acid = dilute.role === 'first' ? first : second;
  const { n: nFirst, ...roleFirst } = first;
  const { n: nSecond, over: _, ...roleSecond } = second;
  const reaction = { id: 'forms', ...of.reaction };
  return {
    id: of.id,
    title: of.title,
    summary: of.summary,
    source: of.source,
    makes: { kind: 'solid', substanceId: of.solidId, anhydrousId: of.anhydrousId },
    roles: [
      { ...roleFirst, dose: { by: 'extent', perExtent: nFirst } },
      { ...roleSecond, dose: { by: 'extent', perExtent: nSecond, excessControl: 'over' } },
      plainWater({ by: 'dilute-to', role: acid.id, control: 'acid-strength' }),
    ],
    reactions: [reaction],
    controls: [
      {
        id: 'over',
        name: `${second.name} in excess`,
        unit: '%',
        min: overLeast,
        max: overMost,
        step: 1,
        start: overStart,
        note: 'What is over stays in the liquor, and in what the crystals hold of it.',
      },
      {
        id: 'acid-strength',
        name: 'acid diluted to',
        unit: '%',
        min: leastPct,
        max: mostPct,
        step: 1,
        start: startPct,
        note: 'Stronger heats and fumes more; weaker leaves more water to drive off.',
      },
      {
        id: 'thick-to',
        name: thick.how === 'boil' ? 'boil down to' : 'leave to evaporate to',
        unit: 'g per 100 g water',
        min: least,
        max: most,
        step: 1,
        start,
        note: 'Further gives more crystals, and holds more of what else is in the liquor.',
      },
      {
        id: 'cold',
        name: 'cool to',
        unit: '°C',
        min: coldest,
        max: warmest,
        step: 1,
        start: cold,
        note: 'Colder leaves less in the mother liquor.',
      },
    ],
    handling: { lossPct: 3, sdPct: 1.5, holdG: 0.5 },
    foamShare: of.foamShare,
    drying: of.drying,
    byProducts: [{ name: 'mother liquor', keep: of.liquor }],
    identity: of.identity,
    storage: of.storage,
    steps: [
      ...addsFirst(of),
      step({
        id: second.id,
        title: `Weigh or measure the ${second.name}`,
        act: `Have {${second.id}.${second.measure}} of {${second.id}.name} ready; it goes in by parts at this step.`,
        expect: 'All of it at hand.',
        why: `A little more than the ${first.name} takes, so that none of that is left.`,
        op: { do: 'add', role: second.id },
        cautions: of.cautions.filter((id) => id === 'corrosive' || id === 'caustic'),
        where: of.where,
      }),
      step({
        id: 'react',
        title: `Let the ${second.name} react, a part at a time`,
        act: of.goes.act,
        until: of.goes.until,
        expect: of.goes.expect,
        trouble: of.goes.trouble,
        why: 'Slowly, heat and gas have time to leave.',
        skipCosts: 'All at once it could change by {heat.rise}.',
        op: { do: 'react', reaction: reaction.id },
        adding: of.adding,
        leave: { alone: false, lookEveryMin: 15, reason: 'until it has calmed' },
        where: of.where,
        cautions: of.cautions,
        ceilingC: of.ceilingC,
        handsOnMin: 25,
        waitH: of.waitH,
      }),
      step({
        id: 'filter',
        title: 'Filter',
        act: `Through a paper; rinse with a spoon of water. ${of.residue}`,
        expect: 'Clear.',
        why: 'What did not dissolve must not sit in the crystals.',
        skipCosts: 'Dull crystals.',
        op: { do: 'filter', keep: 'filtrate' },
        handsOnMin: 10,
        waitH: [0.1, 0.5],
      }),
      thick.how === 'boil'
        ? boilDown({
            op: { do: 'boil-down', control: 'thick-to' },
            why: thick.why,
            skipCosts: 'Few crystals.',
            where: 'ventilated',
            cautions: ['hot-liquid', 'boil-dry'],
            ceilingC: 115,
          })
        : step({
            id: 'grow',
            title: 'Leave to evaporate to {dish.volume}',
            act: 'In a wide dish, a paper over it, warm and airy.',
            until: 'It has shrunk to about {dish.volume}.',
            expect: 'Crystals from the rim inwards.',
            why: thick.why,
            skipCosts: 'Most of it stays dissolved.',
            op: { do: 'evaporate', control: 'thick-to', by: 'salt' },
            timer: { name: 'look at the dish', minutes: 1440 },
            leave: { alone: true, lookEveryMin: 1440, reason: 'open and cool; away from children and animals' },
            waitH: [48, 240],
          }),
      coolOvernight({ handsOnMin: 5 }),
      collect({ expect: `${of.sight}; {liquor.volume} of mother liquor.` }),
      dry({ ceilingC: of.drying.ceilingC }),
      step({
        id: 'jar',
        title: 'Into a jar, with a label',
        act: `Close. Label: ${solid.name}, date, batch.`,
        expect: 'It runs freely.',
        why: 'Without a label it is any white or coloured salt.',
        cautions: ['label'],
      }),
    ],
  };
}

/** Water before acid, whichever of the two brings it. */
function addsFirst({ first, dilute, cautions, where }: SaltFromAcid): Route['steps'] {
  const water = step({
    id: 'water',
    title: 'Water first: {water.volume}',
    act: 'Measure {water.volume} of water into {vessel}. At 0 mL the acid is thin enough as it is.',
    expect: 'Water at about {bench.temp}.',
    why: 'Acid goes into water, never the other way round.',
    skipCosts: 'Strong acid heats, fumes and leaves the salt no water to dissolve in.',
    op: { do: 'add', role: 'water' },
  });
  const own = step({
    id: first.id,
    title: `Measure the ${first.name}: {${first.id}.${first.measure}}`,
    act: `{${first.id}.${first.measure}} ({${first.id}.mass}) of {${first.id}.name} into {vessel}.`,
    expect: 'It lies or stands there quietly.',
    why: 'It fixes how much can come.',
    skipCosts: 'Nothing to react with.',
    op: { do: 'add', role: first.id },
    where: dilute.role === 'first' ? 'ventilated' : 'anywhere',
    cautions: dilute.role === 'first' ? cautions.filter((id) => id === 'corrosive' || id === 'acid-into-water') : [],
  });
  return where === 'outdoors' ? [water, { ...own, where: 'outdoors' }] : [water, own];
}

const BRAUER = 'Brauer, Handbook of Preparative Inorganic Chemistry; Linke-Seidell, Solubilities';

const household = (id: string, n: number): SaltFromAcid['second'] => ({
  id,
  name: 'ammonia',
  accepts: ['ammonia'],
  refuses: [],
  tolerates: 'Plain ammonia without soap or scent.',
  measure: 'volume',
  n,
  over: [0, 3, 15],
});

const hydrochloric = (n: number): SaltFromAcid['first'] => ({
  id: 'acid',
  name: 'hydrochloric acid',
  accepts: ['hydrochloric-acid'],
  refuses: [{ substanceId: 'sulfuric-acid', why: 'Sulfuric acid gives the sulfate.' }],
  tolerates: 'Iron colours the liquor; one more crystallising leaves it behind.',
  measure: 'volume',
  n,
});

const sulfuric = (n: number): SaltFromAcid['first'] => ({
  id: 'acid',
  name: 'sulfuric acid',
  accepts: ['sulfuric-acid'],
  refuses: [{ substanceId: 'hydrochloric-acid', why: 'Hydrochloric acid gives the chloride.' }],
  tolerates: 'Battery acid is clean enough.',
  measure: 'volume',
  n,
});

const neutral = {
  act: 'A splash at a time, stirring, outdoors and with the wind at your back; cool the vessel in water when it gets warm.',
  until: 'Paper shows pH 6 to 7; it smells faintly of ammonia.',
  expect: 'White smoke over it, warmth, no solid.',
  trouble:
    'Smells strongly: too much ammonia, it leaves in the boil. Still acid at the end: the ammonia was weaker than its label; go on by spoons and log it.',
} as const;

export const saltsFromAcids: readonly Route[] = [
  saltFromAcid({
    id: 'ammonium-chloride',
    title: 'ammonia into diluted hydrochloric acid, boiled down, cooled',
    summary: 'Household ammonia into acid until it is neutral; boiled down and cooled, the chloride crystallises.',
    source: BRAUER,
    solidId: 'ammonium-chloride',
    anhydrousId: 'ammonium-chloride',
    first: hydrochloric(1),
    second: household('ammonia', 1),
    dilute: { role: 'first', pct: [5, 15, 20] },
    reaction: {
      reactants: [
        { substanceId: 'hydrochloric-acid', n: 1 },
        { substanceId: 'ammonia', n: 1 },
      ],
      products: [{ substanceId: 'ammonium-chloride', n: 1 }],
    },
    adding: {
      halfLifeMin: 0.2,
      foamPerGas: 0,
      endpoint: 'paper at pH 6 to 7',
      pH: { at: 6.5, goes: 'up' },
      overshoot: 'What is over leaves as ammonia in the boil.',
    },
    goes: neutral,
    where: 'outdoors',
    cautions: ['corrosive', 'acid-into-water', 'heat', 'ammonia-gas'],
    ceilingC: 60,
    waitH: [0.2, 1],
    residue: 'Often nothing is on it.',
    thick: { how: 'boil', to: [45, 72, 85], why: 'Twice as much dissolves hot as cold: it comes on cooling.' },
    coldC: [0, 5, 30],
    foamShare: 0,
    drying: {
      ceilingC: 80,
      short: 'goes off as vapour',
      why: 'it falls apart into ammonia and hydrogen chloride, slowly from 100 °C',
    },
    sight: 'Feathery white crystals',
    identity: [
      { test: 'a pinch warmed with lye, damp red litmus over it', sight: 'smells of ammonia, litmus blue' },
      { test: 'silver nitrate with a drop of nitric acid', sight: 'white curd' },
    ],
    storage: 'Closed jar, dry. Away from lye and hypochlorite.',
    liquor: 'Boil down again for a second crop.',
  }),
  saltFromAcid({
    id: 'ammonium-sulfate',
    title: 'ammonia into diluted sulfuric acid, left to evaporate, cooled',
    summary:
      'Household ammonia into diluted battery acid until neutral; little more dissolves hot than cold, so most of the water has to leave.',
    source: BRAUER,
    solidId: 'ammonium-sulfate',
    anhydrousId: 'ammonium-sulfate',
    first: sulfuric(1),
    second: household('ammonia', 2),
    dilute: { role: 'first', pct: [5, 20, 30] },
    reaction: {
      reactants: [
        { substanceId: 'sulfuric-acid', n: 1 },
        { substanceId: 'ammonia', n: 2 },
      ],
      products: [{ substanceId: 'ammonium-sulfate', n: 1 }],
    },
    adding: {
      halfLifeMin: 0.2,
      foamPerGas: 0,
      endpoint: 'paper at pH 6',
      pH: { at: 6, goes: 'up' },
      overshoot: 'What is over leaves as ammonia.',
    },
    goes: neutral,
    where: 'outdoors',
    cautions: ['corrosive', 'acid-into-water', 'heat', 'ammonia-gas'],
    ceilingC: 70,
    waitH: [0.2, 1],
    residue: 'Often nothing is on it.',
    thick: {
      how: 'leave',
      to: [110, 240, 400],
      why: 'Hot it dissolves hardly better than cold: crystals come as the water leaves.',
    },
    coldC: [0, 6, 30],
    foamShare: 0,
    drying: {
      ceilingC: 100,
      short: 'loses ammonia above',
      why: 'it gives off ammonia slowly from 105 °C and becomes acid',
    },
    sight: 'Clear hard crystals',
    identity: [
      { test: 'a pinch warmed with lye, damp red litmus over it', sight: 'smells of ammonia, litmus blue' },
      { test: 'barium chloride with a drop of acid', sight: 'white cloud that stays' },
    ],
    storage: 'Closed jar. Away from lye and hypochlorite.',
    liquor: 'Let it evaporate further for a second crop, or feed a lawn with it, diluted.',
  }),
  saltFromAcid({
    id: 'calcium-acetate',
    title: 'eggshell or chalk in vinegar, left to evaporate',
    summary: 'Clean crushed eggshell in vinegar until it no longer fizzes; filtered, the liquor is left to evaporate.',
    source: BRAUER,
    solidId: 'calcium-acetate-monohydrate',
    anhydrousId: 'calcium-acetate',
    first: {
      id: 'acid',
      name: 'vinegar',
      accepts: ['acetic-acid'],
      refuses: [{ substanceId: 'hydrochloric-acid', why: 'Hydrochloric acid gives the chloride, which never dries.' }],
      tolerates: 'Spirit vinegar only: malt and wine vinegar leave brown matter.',
      measure: 'volume',
      n: 2,
    },
    second: {
      id: 'chalk',
      name: 'eggshell or chalk',
      accepts: ['calcium-carbonate'],
      refuses: [
        {
          substanceId: 'calcium-sulfate-dihydrate',
          why: 'Gypsum does not dissolve in vinegar: blackboard chalk often is gypsum.',
        },
      ],
      tolerates: 'Boil eggshell in water and peel its skin; the rest of the skin stays on the filter.',
      measure: 'mass',
      n: 1,
      over: [0, 10, 50],
    },
    dilute: { role: 'first', pct: [4, 12, 25] },
    reaction: {
      reactants: [
        { substanceId: 'acetic-acid', n: 2 },
        { substanceId: 'calcium-carbonate', n: 1 },
      ],
      products: [
        { substanceId: 'calcium-acetate', n: 1 },
        { substanceId: 'carbon-dioxide', n: 1 },
        { substanceId: 'water', n: 1 },
      ],
    },
    adding: {
      halfLifeMin: 30,
      foamPerGas: 0.3,
      endpoint: 'no more fizzing, with some left at the bottom',
      overshoot: 'What is over stays on the filter.',
    },
    goes: {
      act: 'By spoons; warm to 50 °C towards the end. Some shell stays: that is meant.',
      until: 'It no longer fizzes with solid left, and paper shows pH 6 to 7.',
      expect: 'Fizzing, froth from the skins, then a slow end of hours.',
      trouble: 'All gone and still acid: a spoon more. Froth climbs: wait, or a drop of spirit on it.',
    },
    where: 'ventilated',
    cautions: ['foam'],
    ceilingC: 60,
    waitH: [2, 24],
    residue: 'Shell and skin stay on it.',
    thick: {
      how: 'leave',
      to: [60, 220, 320],
      why: 'It dissolves better cold than hot: boiled, it crusts; left to evaporate, it crystallises.',
    },
    coldC: [0, 10, 30],
    foamShare: 0.6,
    drying: { ceilingC: 80, short: 'loses its water above', why: 'the monohydrate loses its water from about 100 °C' },
    sight: 'White silky needles',
    identity: [
      { test: 'oxalic acid to its solution', sight: 'white powder at once' },
      { test: 'warmed with a drop of sulfuric acid', sight: 'smells of vinegar' },
    ],
    storage: 'Closed jar; it draws water.',
    liquor: 'Evaporate it to the end: hardly anything else is in it.',
  }),
  saltFromAcid({
    id: 'iron-sulfate',
    title: 'iron in diluted sulfuric acid, boiled down a little, cooled',
    summary:
      'Steel wool or filings in excess, in diluted acid: the iron left over keeps it from browning. Filtered hot, boiled down a little, cooled.',
    source: BRAUER,
    solidId: 'iron-sulfate-heptahydrate',
    anhydrousId: 'iron-sulfate',
    first: sulfuric(1),
    second: {
      id: 'iron',
      name: 'iron',
      accepts: ['iron'],
      refuses: [],
      tolerates:
        'Steel wool washed free of oil; carbon and silicon stay as black specks. No galvanised or stainless steel.',
      measure: 'mass',
      n: 1,
      over: [0, 5, 40],
    },
    dilute: { role: 'first', pct: [10, 20, 30] },
    reaction: {
      reactants: [
        { substanceId: 'sulfuric-acid', n: 1 },
        { substanceId: 'iron', n: 1 },
      ],
      products: [
        { substanceId: 'iron-sulfate', n: 1 },
        { substanceId: 'hydrogen', n: 1 },
      ],
    },
    adding: {
      halfLifeMin: 15,
      foamPerGas: 0.05,
      endpoint: 'no more bubbles, with iron left',
      overshoot: 'Iron left over holds the liquor green.',
    },
    goes: {
      act: 'A fifth at a time, outdoors; then warm to 60 °C until it hardly bubbles. Iron stays: that is meant.',
      until: 'No more bubbles with iron left; the liquor is clear green.',
      expect: 'Brisk, evil-smelling gas, then slow; a green liquor with black specks.',
      trouble:
        'Yellow or brown: air got in; a pinch of iron and a drop of acid. All iron gone and still acid: more iron.',
    },
    where: 'outdoors',
    cautions: ['corrosive', 'acid-into-water', 'hydrogen', 'heat'],
    ceilingC: 70,
    waitH: [1, 12],
    residue: 'Filter warm and quickly: air browns it.',
    thick: {
      how: 'boil',
      to: [28, 44, 50],
      why: 'At 60 °C it holds twice what it holds cold; boiled further it crusts and browns.',
    },
    coldC: [0, 5, 25],
    foamShare: 0.1,
    drying: {
      ceilingC: 25,
      short: 'weathers and browns above',
      why: 'the heptahydrate loses water in warm dry air and browns in damp air',
    },
    sight: 'Pale green crystals',
    identity: [
      { test: 'a crystal with a drop of hydrogen peroxide and acid', sight: 'turns yellow-brown' },
      { test: 'barium chloride with a drop of acid', sight: 'white cloud that stays' },
    ],
    storage: 'Small closed jar, full; what browns is no longer iron(II).',
    liquor: 'A second crop is brown; use it for ferric salts.',
  }),
  saltFromAcid({
    id: 'copper-chloride',
    title: 'basic copper carbonate in hydrochloric acid, left to evaporate',
    summary: 'Carbonate into acid until it is dissolved; the green liquor is left to evaporate to blue-green needles.',
    source: BRAUER,
    solidId: 'copper-chloride-dihydrate',
    anhydrousId: 'copper-chloride',
    first: {
      id: 'carbonate',
      name: 'basic copper carbonate',
      accepts: ['copper-carbonate'],
      refuses: [],
      tolerates: 'Washed free of sulfate: what is left of it crystallises along.',
      measure: 'mass',
      n: 1,
    },
    second: { ...hydrochloric(4), over: [0, 3, 20] },
    dilute: { role: 'second', pct: [8, 18, 20] },
    reaction: {
      reactants: [
        { substanceId: 'copper-carbonate', n: 1 },
        { substanceId: 'hydrochloric-acid', n: 4 },
      ],
      products: [
        { substanceId: 'copper-chloride', n: 2 },
        { substanceId: 'carbon-dioxide', n: 1 },
        { substanceId: 'water', n: 3 },
      ],
    },
    adding: {
      halfLifeMin: 2,
      foamPerGas: 0.25,
      endpoint: 'nothing green left at the bottom',
      overshoot: 'Acid over makes the crystals sticky; it leaves slowly in the dish.',
    },
    goes: {
      act: 'The acid by splashes onto the carbonate and water, stirring.',
      until: 'No more fizzing, nothing left at the bottom.',
      expect: 'Fizzing; a clear green liquor.',
      trouble: 'A pale cloud: basic salt; a few drops of acid.',
    },
    where: 'ventilated',
    cautions: ['corrosive', 'foam', 'copper-salt'],
    ceilingC: 50,
    waitH: [0.2, 2],
    residue: 'What is left is dirt.',
    thick: {
      how: 'leave',
      to: [80, 240, 350],
      why: 'Boiled, it gives off acid and clouds; left to evaporate, it crystallises.',
    },
    coldC: [0, 5, 25],
    foamShare: 0.3,
    drying: { ceilingC: 45, short: 'loses water above', why: 'the dihydrate browns as it loses water' },
    sight: 'Blue-green needles',
    identity: [
      { test: 'ammonia in excess', sight: 'deep blue' },
      { test: 'silver nitrate with a drop of nitric acid', sight: 'white curd' },
    ],
    storage: 'Closed jar, it draws water. Harmful, kills water life: nothing of it to a drain.',
    liquor: 'Leave it to evaporate for a second crop; nothing of it to a drain.',
  }),
];
