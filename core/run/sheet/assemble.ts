import { derive, type Figure, given, isAbout, sdOf } from '#base/figure';
import { type Problem, problem, type Result } from '#base/problem';
import { budget, formatNumber } from '#base/units';
import { type OwnVessel, USUAL_STILL } from '#matter/gear';
import { reactionText } from '#matter/reaction';
import { fitVessel } from '#matter/vessel';
import type { Live } from '#run/log';
import type { Plan, PlanFacts } from '#run/plan';
import { type AdditionLine, type NotKnown, techniques } from '#run/technique';
import { cautionsByStep } from './cautions.ts';
import type { Entries } from './entries.ts';
import { foamOf } from './foam.ts';
import { gasOf, gasTotals } from './gas.ts';
import { gaugesOf } from './gauge.ts';
import { type GoneAhead, type GoneThrough, goThrough } from './gone-through.ts';
import { iceByStep } from './ice.ts';
import { nowOf } from './now.ts';
import { namesOf, shownOf } from './quantities.ts';
import { rowOf } from './row.ts';
import type { Names } from './sentence.ts';
import type { Made, Sheet } from './sheet.ts';
import { furthestOf, theoryOf } from './theory.ts';
import { suits, vesselJudge } from './vessel-judge.ts';
import type { StepHeat, Walk } from './walk.ts';

/** g of theory below which there is none to hold a yield against. */
const NOTHING_G = 1e-9;

/** The sheet of a plan, with what really went in where the entries say so. Refuses with the field that is wrong. */
export function sheetOf(plan: Plan, live?: Live): Result<Sheet> {
  const gone = goThrough(plan, live);
  return gone.ok ? { ok: true, value: assemble(gone.value) } : gone;
}

const KNOWN = new WeakMap<GoneThrough, Sheet>();

/** The sheet of a run that was gone through; made once. */
export function assemble(gone: GoneThrough): Sheet {
  const known = KNOWN.get(gone);
  if (known) return known;
  const sheet = made(gone);
  KNOWN.set(gone, sheet);
  return sheet;
}

/** Words for the quantities of a run and of one step of it, before anything else of a sheet is made. */
export function namesAt({ facts, planned }: GoneAhead, step: string): Names {
  return { ...namesOf(facts, planned, sizeOf(facts, planned)), ...stepNamesOf(facts, planned)[step] };
}

/** Not on anybody’s list, and in every kitchen. */
const STEEL_POT: OwnVessel = {
  name: 'stainless steel pot of 3 L',
  material: 'stainless steel',
  capacityMl: 3000,
  diameterMm: 180,
  heightMm: 120,
};

/** How large a run is: what comes off, the volumes in the pot, the vessel for them. */
function sizeOf(facts: PlanFacts, walk: Walk) {
  const { plan } = facts;
  const gases = gasTotals(walk.gases).map(({ id, amount }) => gasOf(facts, id, amount));
  const solution = madeOf(walk.end.figures);
  const liquidMl = Math.max(walk.reactMl, walk.peakMl, solution?.volume.value ?? 0);
  const foamMl = foamOf(facts, walk);
  const judge = vesselJudge(facts, walk);
  const vessels = facts.steps.some(({ op }) => op.do === 'distil') ? [flaskOfStill(plan)] : plan.bench.vessels;
  const bears = (each: OwnVessel) => suits(judge(each));
  const own = fitVessel(vessels, liquidMl, foamMl, bears);
  // Where nothing that one has bears it, a kitchen has a pot that may.
  const pot = own && !bears(own.vessel) && bears(STEEL_POT) ? fitVessel([STEEL_POT], liquidMl, foamMl) : undefined;
  const vessel = pot ?? own ?? null;
  return { gases, solution, liquidMl, foamMl, judge, vessel, worst: worstOf(walk.heats) };
}

function made({ facts, entries, planned: walk, done }: GoneThrough): Sheet {
  const { route } = facts.plan;
  const { figures, additions } = walk.end;
  const { gases, solution, liquidMl, foamMl, judge, vessel, worst } = sizeOf(facts, walk);
  const theory = theoryOf(facts, walk);
  const product = figures['product.mass'] ?? null;
  const yieldPct =
    product && theory && theory.value > NOTHING_G
      ? derive(
          { symbol: 'Y', name: 'expected yield', unit: '%' },
          '100 × m ÷ theory',
          { m: product, theory },
          (x) => (100 * x.m) / x.theory,
        )
      : null;
  const hours = hoursOf(facts, walk);
  const notKnown = notKnownOf(walk);
  const cost = costOf(facts, additions);
  const corrosive = facts.steps.some((step) => step.cautions.includes('corrosive'));
  return {
    route: {
      id: route.id,
      title: route.title,
      source: route.source,
      reaction: route.reactions[0] ? reactionText(route.reactions[0]) : null,
    },
    additions,
    besides: [...walk.outcomes].flatMap(([step, { besides }]) => besides.map((each) => ({ ...each, step }))),
    shortages: shortages(facts, additions, entries),
    gases,
    now: done && nowOf(done),
    heats: walk.heats,
    notKnown,
    vessel,
    liquidMl,
    foamMl,
    figures,
    product,
    atMost: notKnown.some(({ most }) => most === true),
    theory,
    furthest: done ? furthestOf(facts, walk) : null,
    yieldPct,
    made: solution,
    limiting: additions.find((line) => line.limiting)?.role ?? null,
    uncertainty: uncertaintyOf(product ?? solution?.strength ?? null),
    gauges: gaugesOf(facts, {
      gases,
      worst,
      heatNotKnown: walk.heatNotKnown.length > 0 || walk.heats.some((each) => each.notKnown.length > 0),
      vessel,
      hours,
      clashes: vessel ? judge(vessel.vessel) : [],
    }),
    cautions: cautionsByStep(facts, walk, {
      foamMl,
      liquidMl,
      vessel: vessel?.vessel ?? null,
      made: madeFor(facts, solution),
    }),
    row: rowOf({ gases, cost, hours, yieldPct }, corrosive),
    cost,
    hours,
    byProducts: route.byProducts,
    names: namesOf(facts, walk, { gases, vessel, worst }),
    stepNames: stepNamesOf(facts, walk),
    about: [product, solution?.strength].some((figure) => figure && isAbout(figure)),
  };
}

/** What the sentences of each step name: its own figures, and the ice that it wants. */
function stepNamesOf(facts: PlanFacts, { outcomes, heats }: Walk): Record<string, Names> {
  const ice = iceByStep(facts, heats);
  const entries = [...outcomes].flatMap(([key, { figures }]) => {
    const own = { ...shownOf(figures), ...ice.get(key) };
    return Object.keys(own).length === 0 ? [] : [[key, own] as const];
  });
  return Object.fromEntries(entries);
}

/** What is distilled stands in the still’s own flask: a sphere, drawn as wide as it is high. */
function flaskOfStill({ bench }: Plan): OwnVessel {
  const { flaskMl } = bench.still ?? USUAL_STILL;
  const diameterMm = 20 * Math.cbrt((3 * flaskMl) / (4 * Math.PI));
  return { name: `${flaskMl} mL flask`, capacityMl: flaskMl, diameterMm, heightMm: diameterMm, material: 'glass' };
}

function worstOf(heats: readonly StepHeat[]): StepHeat | undefined {
  return heats.reduce<StepHeat | undefined>(
    (a, b) => (a && Math.abs(a.rise.value) >= Math.abs(b.rise.value) ? a : b),
    undefined,
  );
}

/** Everything that no datum is held for, said once. */
function notKnownOf({ outcomes }: Walk): readonly NotKnown[] {
  const by = new Map<string, NotKnown>();
  for (const { notKnown } of outcomes.values()) for (const each of notKnown) by.set(each.says, each);
  return [...by.values()];
}

/** What is made, as strong as it is made: what the law has a word on too. */
function madeFor({ target: { substance } }: PlanFacts, solution: Made | null) {
  return { substanceId: substance.id, pct: solution ? solution.pct.value : 100 };
}

function madeOf(figures: Readonly<Record<string, Figure | null>>): Made | null {
  const { 'made.filled': volume, 'made.mass': mass } = figures;
  const { 'made.strength': strength, 'made.pct': pct } = figures;
  return volume && mass && strength && pct ? { volume, mass, strength, pct } : null;
}

function hoursOf(facts: PlanFacts, { outcomes }: Walk): Sheet['hours'] {
  const handsOn = facts.steps.reduce((sum, step) => sum + step.handsOnMin, 0) / 60;
  let least = 0;
  let most = 0;
  for (const step of facts.steps) {
    const outcome = outcomes.get(step.id);
    const own = outcome && techniques[step.op.do].hours?.(outcome, facts);
    const [from, to] = own ?? step.waitH;
    least += from;
    most += to;
  }
  return { handsOn, wait: [least, most] };
}

function shortages(
  { contents, names }: PlanFacts,
  additions: readonly AdditionLine[],
  entries: Entries,
): readonly Problem[] {
  return additions.flatMap((line) => {
    const left = contents[line.role]?.leftG;
    if (!left || line.actual || entries.at(line.step).finished) return [];
    const short = line.dose.mass.value - left.value;
    if (short <= left.value * 0.005) return [];
    const sentence = `${names[line.role]} holds ${formatNumber(left.value, 3)} g; ${formatNumber(line.dose.mass.value, 3)} g are wanted. Make less, or add a bottle.`;
    return [problem('no-bottle', sentence, { field: `bottles.${line.role}` })];
  });
}

function uncertaintyOf(main: Figure | null): Sheet['uncertainty'] {
  const shares = main ? budget(main).filter((each) => each.share >= 0.01) : [];
  const [first, second] = shares;
  if (!main || !first) return { shares: [], sentence: 'Nothing in this plan carries a uncertainty worth naming.' };
  const band = main.value === 0 ? 0 : (200 * sdOf(main)) / Math.abs(main.value);
  const rest = second && second.share >= 0.05 ? `, ${percent(second.share)} from ${second.name}` : '';
  const remedy =
    first.id.startsWith('label:') || first.id.startsWith('purity:') ? ' Assay that bottle, or accept it.' : '';
  return {
    shares,
    sentence: `± ${formatNumber(band, 2)} %: ${percent(first.share)} of the uncertainty comes from ${first.name}${rest}.${remedy}`,
  };
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

function costOf({ plan, contents }: PlanFacts, additions: readonly AdditionLine[]): Figure | null {
  let cost = 0;
  let known = false;
  for (const line of additions) {
    const price = line.bottleId === null ? null : (plan.stock[line.bottleId]?.card.price ?? null);
    const sizeG = contents[line.role]?.sizeG?.value;
    if (price === null || !sizeG) continue;
    known = true;
    cost += (price * (line.actual ?? line.dose.mass).value) / sizeG;
  }
  return known
    ? given(
        { symbol: 'cost', name: 'reagents', unit: '' },
        cost,
        'price × part of each bottle used; bottles without a price are left out',
      )
    : null;
}
