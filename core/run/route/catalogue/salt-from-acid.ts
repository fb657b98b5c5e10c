import type { CautionId } from '#matter/guard';
import type { Reaction } from '#matter/reaction';
import { type SubstanceId, substanceOf } from '#matter/substance';
import type { Adding, Role } from '#run/technique';
import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { boilDown, collect, coolOvernight, dry } from './common-steps.ts';
import { step } from './step.ts';

type Ingredient = Pick<Role, 'id' | 'name' | 'accepts' | 'refuses' | 'tolerates' | 'measure'>;

export interface SaltFromAcid {
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
export function saltFromAcid(of: SaltFromAcid): Route {
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
