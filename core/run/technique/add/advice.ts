import type { Figure } from '#base/figure';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { formatNumber } from '#base/units';
import { molarMass } from '#matter/substance';
import { fitVessel, total } from '#matter/vessel';
import { type ExtentReport, nextPortion, type PortionAdvice, type StopBand, stopBand, unreacted } from '#model/add';
import { type Addition, additionOf, excessPrice, type Stage } from '../addition.ts';
import { type DissolveAdvice, dissolveAdvice } from '../dissolve/advice.ts';
import { atEnd, extentOfStep } from '../extent.ts';
import { solidMade } from '../facts.ts';
import type { Adding } from '../recipe.ts';
import { lastRead, type StepView } from '../view.ts';
import type { fields } from './op.ts';

export interface AddAdvice {
  readonly name: string;
  readonly role: string;
  readonly bottleId: string | null;
  readonly plannedG: number;
  readonly inG: number;
  readonly band: StopBand;
  readonly enough: Figure;
  /** What takes it now, and from how many grams on. */
  readonly stages: readonly {
    readonly takes: string;
    readonly fromG: number;
    readonly toG: number;
    readonly gasL: number;
  }[];
  readonly next: PortionAdvice;
  readonly endpoint: string;
  /** What a look or a test tells: not yet, and enough. */
  readonly sights: NonNullable<Adding['sights']>;
  /** Whether test paper and foam tell anything here. */
  readonly byPaper: boolean;
  readonly foams: boolean;
  /** g in a mL, for what is measured by volume; null for what is weighed. */
  readonly gPerMl: number | null;
  /** What it costs to go too far, or to have gone too far. */
  readonly price: string;
  /** It says enough long before the dose is in: what that means, and what then; empty when it does not. */
  readonly early: string;
}

/** What to do next at a step of adding. */
export interface Adds {
  readonly add: AddAdvice | null;
  readonly extent: ExtentReport | null;
  /** For the water that a solid is to dissolve in. */
  readonly dissolve: DissolveAdvice | null;
}

export function advice(view: StepView, op: FieldsOf<typeof fields>): Adds | null {
  const addition = additionOf(view, op.role, op.reacts ?? [], true);
  const dissolve = view.finished ? null : dissolveAdvice(view, op.role);
  if (!addition) return dissolve && { add: null, extent: null, dissolve };
  const masses = view.portions.map(({ mass }) => mass);
  return {
    add: addAdvice(view, addition),
    extent: extentOfStep(view, addition, masses.length > 0 ? total('in so far', 'g', ...masses) : undefined),
    dissolve,
  };
}

/** The next portion of an addition, and where it stands against its end point. */
function addAdvice(view: StepView, addition: Addition): AddAdvice {
  const { adding, plannedG, enough, stages } = addition;
  const { portions, readings, at: now, facts } = view;
  const { bench } = facts;
  const inG = portions.reduce((sum, { mass }) => sum + mass.value, 0);
  const stage = stageAt(stages, inG);
  const vessel = view.vessel?.vessel ?? fitVessel(bench.vessels, addition.liquidMl, 0)?.vessel;
  const pending = unreacted(
    portions.map(({ mass, at }) => ({ grams: mass.value, minutesAgo: (now - at) / 60_000 })),
    adding.halfLifeMin,
  );
  const band = stopBand(enough, inG);
  const next = nextPortion({
    leftG: leftToAdd(view, addition, band.toG) - inG,
    plannedG,
    unreactedG: pending,
    gasMlPerG: 1000 * (stage?.gasLPerG ?? 0),
    kJPerG: stage?.kJPerG ?? null,
    halfLifeMin: adding.halfLifeMin,
    foamPerGas: learnedFoam(view, stages) ?? adding.foamPerGas,
    foamNowMl: lastRead(readings, 'foam', now - 3 * 60_000),
    capacityMl: vessel?.capacityMl ?? 0,
    liquidMl: addition.liquidMl + inG * 0.5,
    heatCapacityJPerK: addition.heatCapacityJPerK + inG * 3,
    tempC: lastRead(readings, 'temperature', 0) ?? bench.tempC,
    airC: bench.tempC,
    ceilingC: view.ceilingC ?? 60,
    roomM3: view.outdoors ? null : bench.roomM3,
    gasLimitPct: stage?.gasId === 'hydrogen' ? 1 : 0.5,
    solidG: addition.solidG * Math.min(1, inG / Math.max(1e-9, enough.value)),
    stepG: Math.max(bench.balanceG, 0.1),
  });
  let fromG = 0;
  const stretches = stages.map(({ takes, grams, gasLPerG }) => {
    const stretch = { takes, fromG, toG: fromG + grams.value, gasL: grams.value * gasLPerG };
    fromG = stretch.toG;
    return stretch;
  });
  return {
    name: addition.name,
    role: addition.role,
    bottleId: facts.bottles[addition.role] ?? null,
    plannedG,
    inG,
    band,
    enough,
    stages: stretches,
    next,
    endpoint: adding.endpoint,
    sights: adding.sights ?? FIZZ,
    byPaper: adding.pH !== undefined,
    foams: adding.foamPerGas > 0,
    gPerMl: densityOf(view, addition),
    price: priceOf(addition, band),
    early: earlyOf(view, addition, inG),
  };
}

const FIZZ = { notYet: 'still fizzes', enough: 'no longer fizzes' } as const;

/**
 * g to go to in all. What takes the reagents up in the vessel may want more than the plan; but a reagent that was dosed
 * to stay short of an excess added before is never urged beyond its dose: the excess is the safeguard.
 */
function leftToAdd({ facts }: StepView, { role, plannedG }: Addition, windowG: number): number {
  const dosed = facts.recipe.roles.find((each) => each.id === role)?.dose.by;
  return dosed === 'extent' ? plannedG : Math.max(plannedG, windowG);
}

/** g in a mL of what is poured by volume. */
function densityOf({ additions }: StepView, { role }: Addition): number | null {
  const dose = additions.find((line) => line.role === role)?.dose;
  return dose?.take.unit === 'mL' && dose.volume && dose.volume.value > 0 ? dose.mass.value / dose.volume.value : null;
}

/** Less than this part of what is needed is early. */
const EARLY = 0.85;

/**
 * It set, cleared or fell silent while the dose says it is far from enough. The paper decides where there is one: not at its
 * end, what has met no reagent is still what it was; at its end, less was there than the labels say.
 */
function earlyOf(view: StepView, addition: Addition, inG: number): string {
  const { adding, enough } = addition;
  const seen = view.readings.findLast(({ body }) => body.reading.is === 'sight')?.body.reading;
  const saysEnough = seen?.is === 'sight' && seen.enough;
  const part = inG / Math.max(1e-9, enough.value);
  if (!saysEnough || part >= EARLY) return '';
  const made = solidMade(view.facts);
  const n = made && view.now?.solid[made.solid.id];
  const madeText =
    made && n ? `${formatNumber(n.value * molarMass(made.solid.formula), 2)} g of ${made.solid.name}` : 'nothing yet';
  const rest = enough.value - inG;
  const density = densityOf(view, addition);
  const needed = density ? `${formatNumber(rest / density, 2)} mL` : `${formatNumber(rest, 2)} g`;
  const pH = lastRead(view.readings, 'pH', 0);
  const head = `It says enough with ${formatNumber(100 * part, 2)} % of the dose in: by the labels that can have made ${madeText}, and ${needed} more are needed.`;
  if (!adding.pH || pH === null) return `${head} Try it with paper before going on: it decides.`;
  if (atEnd(pH, adding.pH))
    return `${head} The paper agrees that it is enough: less was in the vessel than the labels say, or what goes in is stronger. Stop here.`;
  const stays = adding.pH.goes === 'down' ? 'alkaline' : 'acid, or in solution';
  return `${head} The paper does not agree (pH ${formatNumber(pH, 2)}): what has not met it is still ${stays}. Break it up and go on in small portions until the paper is there; only then wash.`;
}

/** What was left over costs, what is in excess by now, and what going too far would. */
function priceOf(addition: Addition, band: StopBand): string {
  const over = band.place === 'past' ? `${formatNumber(band.overG, 2)} g of ${addition.name} are in excess.` : '';
  return [excessPrice(addition), over, addition.adding.overshoot].filter((each) => each !== '').join(' ');
}

/** The stretch in which the next gram falls; the last one when all are behind. */
function stageAt(stages: readonly Stage[], inG: number): Stage | undefined {
  let end = 0;
  for (const stage of stages) {
    end += stage.grams.value;
    if (inG < end) return stage;
  }
  return stages.at(-1);
}

/** mL of foam for each mL of gas, from the highest foam that was read against the portion before it. */
function learnedFoam({ portions, readings }: StepView, stages: readonly Stage[]): number | undefined {
  let most: number | undefined;
  for (const { body, at } of readings) {
    const foam = body.quantity === 'foam' ? readingValue(body.reading)?.value : undefined;
    const before = portions.filter((each) => each.at <= at).at(-1);
    if (foam === undefined || !before) continue;
    const inBefore = portions.filter((each) => each.at < before.at).reduce((sum, { mass }) => sum + mass.value, 0);
    const gasMl = 1000 * before.mass.value * (stageAt(stages, inBefore)?.gasLPerG ?? 0);
    if (gasMl > 0) most = Math.max(most ?? 0, foam / gasMl);
  }
  return most;
}
