import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { amountsIn, liquidOf, namedOf } from '#model/cell';
import {
  BY_EYE,
  type CellAddition,
  type CellReading,
  efficiencyShown,
  type Passed,
  type Watch,
  type WatchAsked,
  watchCell,
} from '#model/electrolysis';
import { type BodyOf, type Live, liveOf, type RunEvent } from '#run/log';
import type { Plan, PlanFacts } from '#run/plan';
import { goThrough } from '#run/sheet';
import { type AdviceOf, massOfReading } from '#run/technique';
import { advise } from './advise.ts';

/** What an instrument showed at a cell: s of the cell’s own time since its current was on. */
export interface CellShown {
  readonly at: string;
  readonly seconds: number;
  readonly volts: number;
  readonly amps: number;
  readonly tempC: number;
}

export interface CellQuestion {
  readonly step: string;
  /** ISO instant. */
  readonly now: string;
  readonly shown: readonly CellShown[];
  readonly ifAmps: number | null;
}

/** The cell of a run, watched: how it stands, how long it still takes, what to do next. */
export interface CellRun {
  readonly watch: Watch;
  readonly plan: AdviceOf<'electrolyse'>;
  /** ms when the current was switched on; null before that. */
  readonly from: number | null;
  /** ms by the clock; of instruments that run faster, by theirs. */
  readonly now: number;
  readonly currents: readonly { readonly at: number; readonly amps: number }[];
  /** What the top-up is taken from, and g of it; null where none is wanted. */
  readonly topUp: { readonly bottleId: string | null; readonly name: string; readonly grams: number } | null;
  readonly roomM3: number;
}

/** The cell of a step; null where its vessels are empty. Refuses as the sheet does. */
export function cellOf(plan: Plan, events: readonly RunEvent[], question: CellQuestion): Result<CellRun | null> {
  const found = askedOf(plan, events, question);
  if (!found.ok) return found;
  if (!found.value) return ok(null);
  const { asked, says, clock, facts } = found.value;
  const watch = watchCell(asked);
  return ok({
    watch,
    plan: says,
    from: clock.from,
    now: clock.now,
    currents: asked.readings.flatMap(({ at: when, amps }) => (amps === undefined ? [] : [{ at: when, amps }])),
    topUp:
      watch.topUp &&
      bottleFor(facts, {
        ...watch.topUp,
        place: (watch.topUp.side === 'cathode' ? says.cathodeIn : says.anodeIn) ?? 'pot',
      }),
    roomM3: plan.bench.roomM3,
  });
}

/** Current efficiency, %, that a cell step has shown by what was measured of it; null where nothing was. */
export function cellEfficiency(
  plan: Plan,
  events: readonly RunEvent[],
  at: Pick<CellQuestion, 'step' | 'now'>,
): number | null {
  const found = askedOf(plan, events, { ...at, shown: [], ifAmps: null });
  return (found.ok && found.value && efficiencyShown(found.value.asked)?.value) || null;
}

interface Asked {
  readonly asked: WatchAsked;
  readonly says: AdviceOf<'electrolyse'>;
  readonly clock: Clock;
  readonly facts: PlanFacts;
}

/** A cell step as the model is asked about it. */
function askedOf(plan: Plan, events: readonly RunEvent[], question: CellQuestion): Result<Asked | null> {
  const live = liveOf(events);
  const gone = goThrough(plan, live);
  if (!gone.ok) return gone;
  const advice = advise(plan, events, question.step, question.now);
  if (!advice.ok) return advice;
  const own = advice.value.own;
  if (own?.do !== 'electrolyse' || !own.says) return ok(null);
  const here = gone.value.steps.find(({ key }) => key === question.step);
  const clock = clockOf(live, question, { startedAt: here?.startedAt ?? null, finishedAt: here?.finishedAt ?? null });
  const { says } = own;
  const at = { live, facts: gone.value.facts, step: question.step, clock };
  const readings = readingsOf(at, question.shown);
  const asked: WatchAsked = {
    setup: says.setup,
    anolyte: amountsIn(says.anolyte),
    catholyte: says.catholyte && amountsIn(says.catholyte),
    anodeMol: says.anodeMol,
    makes: says.makes,
    productSide: says.productSide,
    electrons: says.electrons,
    wantedMol: { value: says.wantedMol, sd: 0.01 * says.wantedMol },
    efficiency: { value: says.efficiency[0], sd: Math.max(1, says.efficiency[1]) },
    from: clock.from ?? clock.now,
    now: clock.now,
    readings,
    meter: meterOf(at),
    seen: seenOf(at, says),
    additions: additionsOf(at, says.cathodeIn),
    ifAmps: question.ifAmps,
    pressureHPa: plan.bench.pressureHPa,
    ceilingC: says.ceilingC ?? 50,
  };
  return ok({ asked, says, clock, facts: gone.value.facts });
}

/** Time at the cell: that of the clock, or of instruments that run faster. */
interface Clock {
  readonly from: number | null;
  readonly now: number;
  readonly own: (at: string) => number;
}

function clockOf(
  live: Live,
  { step, now, shown }: CellQuestion,
  { startedAt, finishedAt }: { startedAt: string | null; finishedAt: string | null },
): Clock {
  const here = live.flatMap(({ body, happened }) =>
    'step' in body && body.step === step ? [{ body, at: Date.parse(happened.at) }] : [],
  );
  const reads = here.flatMap(({ body, at }) => (body.kind === 'read' && body.quantity === 'current' ? [at] : []));
  const begun = startedAt ? Date.parse(startedAt) : null;
  const firstRead = reads.length > 0 ? Math.min(...reads) : null;
  const from = begun ?? firstRead ?? (shown[0] ? Date.parse(shown[0].at) : null);
  const last = shown.at(-1);
  // A question’s clock may tick coarsely: what has just been entered is not in its future.
  const asked = finishedAt ? Date.parse(finishedAt) : Math.max(Date.parse(now), ...here.map(({ at }) => at));
  if (!last || from === null) return { from, now: Math.max(from ?? 0, asked), own: (at) => Date.parse(at) };
  const own = (at: string): number => {
    const when = Date.parse(at);
    const before = shown.findLast((each) => Date.parse(each.at) <= when);
    return from + 1000 * (before?.seconds ?? 0);
  };
  return { from, now: from + 1000 * last.seconds, own };
}

interface Place {
  readonly live: Live;
  readonly facts: PlanFacts;
  readonly step: string;
  readonly clock: Clock;
}

const readsAt = ({ live, step, clock }: Place) =>
  live.flatMap(({ body, happened }) =>
    body.kind === 'read' && body.step === step ? [{ body, at: clock.own(happened.at) }] : [],
  );

/** Everything that was read, by hand and by instruments; one instant’s readings together. */
function readingsOf(place: Place, shown: readonly CellShown[]): readonly CellReading[] {
  const { clock } = place;
  const by = new Map<number, { at: number } & Record<string, number>>();
  const put = (at: number, key: string, value: number) => by.set(at, { ...(by.get(at) ?? { at }), [key]: value });
  const base = clock.from ?? clock.now;
  for (const { seconds, volts, amps, tempC } of shown) {
    const at = base + 1000 * seconds;
    put(at, 'amps', amps);
    put(at, 'ampsSd', 0.005 * amps + 0.002);
    put(at, 'volts', volts);
    put(at, 'tempC', tempC);
  }
  let moment = Number.NEGATIVE_INFINITY;
  for (const { body, at } of [...readsAt(place)].sort((a, b) => a.at - b.at)) {
    const value = readingValue(body.reading);
    const key = value && KEYS[body.quantity];
    // Before the current was on nothing flowed.
    if (!value || !key || at > clock.now) continue;
    if (at - moment >= ONE_LOOK_MS) moment = at;
    const when = moment;
    if (body.quantity === 'pH') put(when, /cathode|pot/i.test(body.place) ? 'pHk' : 'pHa', value.value);
    else put(when, key, value.value);
    if (body.quantity === 'current') put(when, 'ampsSd', Math.max(value.sd, 0.01 * value.value));
  }
  return [...by.values()];
}

/** Readings of one look are entered one after the other: within a minute they are of one moment, that of the first of them. */
const ONE_LOOK_MS = 60_000;

const KEYS: Readonly<Partial<Record<BodyOf<'read'>['quantity'], string>>> = {
  current: 'amps',
  voltage: 'volts',
  temperature: 'tempC',
  wall: 'wallV',
  pH: 'pH',
};

function meterOf(place: Place): (Passed & { at: number }) | null {
  const read = readsAt(place).findLast(({ body }) => body.quantity === 'charge');
  const value = read && readingValue(read.body.reading);
  return value ? { ampHours: value.value, sd: Math.hypot(value.sd, 0.01 * value.value), at: read.at } : null;
}

/** How well a strength by colour or density is worth, and a look that says it is enough. */
const LEAST_PCT = 0.03;
const ENOUGH_SD = 0.02;

/** What was seen of the product: strength on its side, metal gained or lost, a look that says enough. */
function seenOf(place: Place, says: AdviceOf<'electrolyse'>): WatchAsked['seen'] {
  const M = molarMass(substanceOf(says.makes).formula);
  const side = says.productSide === 'a' ? says.anolyte : (says.catholyte ?? says.anolyte);
  const grams = sideGrams(side);
  // Of a basic carbonate one holds two of the metal.
  const metals = says.electrons / 2;
  const metalM = 63.546;
  return readsAt(place).flatMap(({ body, at }): WatchAsked['seen'] => {
    if (body.quantity === 'sight')
      return body.reading.is === 'sight' && body.reading.enough
        ? [{ at, how: BY_EYE, mol: { value: says.wantedMol, sd: ENOUGH_SD * says.wantedMol } }]
        : [];
    const value = readingValue(body.reading);
    if (!value) return [];
    if (body.quantity === 'strength') {
      const mol = ((value.value / 100) * grams) / M;
      const sd = Math.max(LEAST_PCT * mol, ((value.sd / 100) * grams) / M);
      return [{ at, how: body.place === '' ? 'by strength' : body.place, mol: { value: mol, sd } }];
    }
    if (body.quantity === 'gain' || body.quantity === 'loss') {
      const mol = value.value / metalM / metals;
      return [
        { at, how: 'by weight of the metal', mol: { value: mol, sd: Math.hypot(value.sd, 0.02) / metalM / metals } },
      ];
    }
    return [];
  });
}

function sideGrams(n: readonly number[]): number {
  const named = namedOf(amountsIn(n));
  if (!named) return 0;
  return (
    named.waterMol * molarMass('H2O') +
    named.dissolved.reduce((sum, [id, mol]) => sum + mol * molarMass(substanceOf(id).formula), 0)
  );
}

/** What was put in while it ran, into its side. */
function additionsOf({ live, facts, step, clock }: Place, cathodeIn: string | null): readonly CellAddition[] {
  return live.flatMap(({ body, happened }): readonly CellAddition[] => {
    if (body.kind !== 'added' || body.step !== step) return [];
    const role = Object.keys(facts.bottles).find((each) => facts.bottles[each] === body.bottleId);
    const content = body.bottleId === null || role === undefined ? undefined : facts.contents[role];
    if (body.bottleId !== null && !content) return [];
    const name = role ?? 'water';
    const mass = massOfReading(body.reading, { name, content, water: facts.water, bench: facts.bench });
    if (!mass) return [];
    const side = cathodeIn !== null && body.in === cathodeIn ? 'cathode' : 'anode';
    return [
      {
        at: clock.own(happened.at),
        side,
        amounts: amountsOf(content?.substance.id, { grams: mass.value, pct: content?.w.value ?? 100 }),
      },
    ];
  });
}

function amountsOf(
  id: SubstanceId | undefined,
  { grams, pct }: { grams: number; pct: number },
): CellAddition['amounts'] {
  if (id === undefined) return liquidOf(grams, []).n;
  const substance = substanceOf(id);
  const mol = (grams * pct) / 100 / molarMass(substance.formula);
  const bound = molarMass(substance.formula) - molarMass(substanceOf(substance.species).formula);
  return liquidOf(mol * bound, [[substance.species, mol]]).n;
}

/** The bottle whose substance it is, and g of it as it stands there. */
function bottleFor(
  { contents, bottles, names, steps }: PlanFacts,
  { substanceId, mol, place }: { readonly substanceId: SubstanceId; readonly mol: number; readonly place: string },
): CellRun['topUp'] {
  const goesThere = (each: string) =>
    steps.some(({ op }) => op.do === 'add' && op.role === each && (op.in ?? 'pot') === place);
  const roles = Object.keys(contents).filter((each) => contents[each]?.substance.species === substanceId);
  const role = roles.find(goesThere) ?? roles[0];
  const content = role === undefined ? undefined : contents[role];
  if (role === undefined || !content)
    return {
      bottleId: null,
      name: substanceOf(substanceId).name,
      grams: mol * molarMass(substanceOf(substanceId).formula),
    };
  return {
    bottleId: bottles[role] ?? null,
    name: names[role] ?? content.substance.name,
    grams: (100 * mol * molarMass(content.substance.formula)) / content.w.value,
  };
}
