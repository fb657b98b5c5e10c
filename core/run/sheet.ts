import { derive, type Figure, given, isAbout, sdOf } from '#core/figure';
import { type Caution, type CautionFacts, cautionFor, quenchSays, scopeLimit } from '#core/guard';
import { fail, ok, type Problem, problem, type Result } from '#core/problem';
import { gasVolume, reactionText } from '#core/reaction';
import type { CautionId } from '#core/route';
import { molarMassFigure, substanceById, substanceOf } from '#core/substance';
import { budget, formatNumber } from '#core/units';
import { fitVessel, type Material } from '#core/vessel';
import { type Actuals, actualsOf, noActuals } from './actual.ts';
import { addingOf } from './adding.ts';
import type { Sheet, SheetGas } from './batch-sheet.ts';
import { type Context, contextOf, controlFigure } from './context.ts';
import type { RunEvent } from './event.ts';
import { gaugesOf } from './gauge.ts';
import { suits, vesselJudge } from './material.ts';
import { namesOf } from './names.ts';
import { nowOf } from './now.ts';
import type { Plan } from './plan.ts';
import { productPerExtent, wantedExtent } from './scale.ts';
import { plannedOrder, runOrder } from './steps.ts';
import { walk } from './walk.ts';
import type { StepHeat } from './walk-heat.ts';
import { gasTotals } from './walk-react.ts';
import type { ChargeLine, Walk } from './walker.ts';

export type { Sheet, SheetGas } from './batch-sheet.ts';
export type { Gauge } from './gauge.ts';
export type { StepHeat } from './walk-heat.ts';
export type { ChargeLine } from './walker.ts';

/** The sheet of a plan, with what really went in where `events` say so. Refuses with the field that is wrong. */
export function sheetOf(plan: Plan, events: readonly RunEvent[] = []): Result<Sheet> {
  const found = contextOf(plan);
  if (!found.ok) return found;
  const context = found.value;
  if (context.targetPct !== undefined) {
    const allowed = scopeLimit(plan.target.substanceId, context.targetPct);
    if (!allowed.ok) return allowed;
    const { makes } = context.route;
    const dilutes = makes.kind === 'solution' && makes.substanceId === undefined;
    const stock = dilutes ? context.contents[makes.role] : undefined;
    if (stock && stock.w.value < context.targetPct) return tooWeak(context, stock.w.value);
  }
  const planned = wantedExtent(context);
  if (!planned.ok) return planned;
  const actuals = events.length === 0 ? noActuals : actualsOf(events);
  const extent = enlarged(planned.value, actuals.enlarged);
  const steps = events.length === 0 ? plannedOrder(context.steps) : runOrder(plan, events);
  const walked = walk(context, extent, actuals, { steps });
  if (!walked.ok) return walked;
  const now = events.length === 0 ? walked : walk(context, extent, actuals, { steps, soFar: true });
  return now.ok ? assemble(context, walked.value, events.length === 0 ? null : now.value, actuals) : now;
}

/** What is wanted of a batch that was made larger. */
function enlarged(extent: Figure, factor: number | undefined): Figure {
  if (factor === undefined) return extent;
  const f = given({ symbol: 'f', name: 'made larger', unit: '' }, factor, 'you enlarged the batch');
  return derive(
    { symbol: 'ξ', name: 'extent wanted, enlarged', unit: 'mol' },
    'ξ × f',
    { ξ: extent, f },
    (x) => x.ξ * x.f,
  );
}

function tooWeak(context: Context, pct: number): Result<never> {
  const wanted = formatNumber(context.targetPct ?? 0, 3);
  return fail(
    'too-weak',
    `The bottle is ${formatNumber(pct, 3)} % and the target ${wanted} %: water cannot make it stronger. Ask for less, or choose a stronger bottle.`,
    {
      field: 'target.strength',
    },
  );
}

function assemble(context: Context, so: Walk, soFar: Walk | null, actuals: Actuals): Result<Sheet> {
  const { plan, route } = context;
  const gases = gasTotals(so.gases).map(({ id, amount }) => gasOf(context, id, amount));
  const gas = gases[0] ?? null;
  const liquidMl = Math.max(so.reactMl, so.peakMl, so.made?.volume.value ?? 0);
  const foamMl = route.foamShare * so.reactMl;
  const judge = vesselJudge(context, so);
  const vessel = fitVessel(plan.bench.vessels, liquidMl, foamMl, (each) => suits(judge(each))) ?? null;
  const theory = theoryOf(context, so);
  const yieldPct =
    so.product && theory && theory.value > 0
      ? derive(
          { symbol: 'Y', name: 'expected yield', unit: '%' },
          '100 × m ÷ theory',
          { m: so.product, theory },
          (x) => (100 * x.m) / x.theory,
        )
      : null;
  const main = so.product ?? so.made?.strength ?? null;
  const hours = hoursOf(context, so);
  const facts = factsOf(context, foamMl, liquidMl);
  const worstRise = so.heats.reduce<StepHeat | undefined>(
    (a, b) => (a && Math.abs(a.rise.value) >= Math.abs(b.rise.value) ? a : b),
    undefined,
  );
  const boil = so.boil ? { volume: aboutMl('boil down to', so.boil.volumeMl), away: so.boil.awayG } : null;
  const dish = so.dishMl === undefined ? null : aboutMl('left in the dish', so.dishMl);
  const liquor = so.liquorMl === undefined ? null : aboutMl('mother liquor', so.liquorMl);
  const sheet: Omit<Sheet, 'names'> = {
    route: {
      id: route.id,
      title: route.title,
      source: route.source,
      reaction: route.reactions[0] ? reactionText(route.reactions[0]) : null,
    },
    charges: so.charges,
    shortages: shortages(context, so.charges, actuals),
    gas,
    gases,
    add: addingOf(context, so, soFar),
    now: soFar && nowOf(soFar),
    heats: so.heats,
    vessel,
    liquidMl,
    foamMl,
    boil,
    dish,
    crystals: so.crystals ?? null,
    solubility: so.solubility ?? null,
    liquor,
    product: so.product ?? null,
    theory,
    yieldPct,
    made: so.made ?? null,
    limiting: so.charges.find((line) => line.limiting)?.role ?? null,
    uncertainty: uncertaintyOf(main),
    gauges: gaugesOf(context, {
      gases,
      worstRise,
      vessel,
      hours,
      clashes: vessel ? judge(vessel.vessel) : [],
    }),
    cautions: cautionsByStep(context, so, facts, vessel?.vessel.material ?? 'glass'),
    cost: costOf(context, so.charges),
    hours,
    byProducts: route.byProducts,
    about: [so.product, so.made?.strength].some((figure) => figure && isAbout(figure)),
  };
  return ok({ ...sheet, names: namesOf(context, sheet) });
}

function gasOf({ plan }: Context, id: string, amount: Figure): SheetGas {
  const { name } = substanceOf(id);
  return { id, name, volume: gasVolume(amount, name, plan.bench.tempC, plan.bench.pressureHPa) };
}

function theoryOf(context: Context, so: Walk): Figure | null {
  const { substanceId } = context.route.makes;
  if (substanceId === undefined || !so.extent) return null;
  const solid = substanceById(substanceId)!;
  const nu = productPerExtent(context.route);
  const M = molarMassFigure(solid.formula);
  const naming = { symbol: 'theory', name: `${solid.name}, all of the limiting reagent`, unit: 'g' };
  const formula = nu === 1 ? 'ξ × M' : `${nu} × ξ × M`;
  const all = derive(naming, formula, { ξ: so.extent, M }, (x) => nu * x.ξ * x.M);
  const kept = context.steps.flatMap(({ op }) => (op.do === 'dry' && op.waterControl ? [op.waterControl] : []))[0];
  if (kept === undefined) return all;
  return derive(
    naming,
    '100 × m ÷ (100 − set)',
    { m: all, set: controlFigure(context, kept) },
    (x) => (100 * x.m) / (100 - x.set),
  );
}

function aboutMl(name: string, value: number): Figure {
  const uncertainty = { volume: { name: 'volumes of mixtures', effect: value * 0.03 } };
  return given(
    { symbol: 'V', name, unit: 'mL' },
    { value, uncertainty },
    'water plus what its solutes add; about, within 4 %',
  );
}

function hoursOf({ plan, steps }: Context, so: Walk): Sheet['hours'] {
  const handsOn = steps.reduce((sum, step) => sum + step.handsOnMin, 0) / 60;
  let least = 0;
  let most = 0;
  for (const step of steps) {
    // Boiling down takes what the heater takes, give or take a third.
    const boiling =
      step.op.do === 'boil-down' && so.boil ? so.boil.awayG.value / plan.bench.evaporationGPerH : undefined;
    least += boiling === undefined ? step.waitH[0] : boiling * 0.67;
    most += boiling === undefined ? step.waitH[1] : boiling * 1.5;
  }
  return { handsOn, wait: [least, most] };
}

function factsOf(context: Context, foamMl: number, liquidMl: number): Omit<CautionFacts, 'riseK' | 'gas' | 'quench'> {
  const acids = Object.entries(context.contents)
    .filter(([, content]) => content.substance.id.endsWith('-acid'))
    .map(([role, content]) => ({
      substanceId: content.substance.id,
      name: context.names[role] ?? role,
      pct: content.w.value,
    }));
  return {
    acids,
    products: Object.values(context.contents).map(({ substance, w }) => ({ substanceId: substance.id, pct: w.value })),
    roomM3: context.plan.bench.roomM3,
    startC: context.plan.bench.tempC,
    foamMl,
    liquidMl,
  };
}

function cautionsByStep(
  context: Context,
  so: Walk,
  facts: Omit<CautionFacts, 'riseK' | 'gas' | 'quench'>,
  material: Material,
): Record<string, readonly Caution[]> {
  const by: Record<string, readonly Caution[]> = {};
  for (const [i, step] of context.steps.entries()) {
    const riseK = so.heats.find((each) => each.step === step.id)?.rise.value ?? null;
    const gas = step.cautions.some((id) => OF_GAS.has(id)) ? gasAfter(context, so, i) : null;
    // A hot liquor that is cooled: the boil stands before the cold.
    const quench =
      step.op.do === 'crystallise' ? quenchSays(material, 98, context.plan.controls[step.op.control] ?? 5) : '';
    const ids: readonly CautionId[] = quench === '' ? step.cautions : [...step.cautions, 'quench'];
    const said = ids.flatMap((id) => cautionFor(id, { ...facts, gas, riseK, quench }) ?? []);
    if (said.length > 0) by[step.id] = said;
  }
  return by;
}

/** Cautions that are about the gas of a step. */
const OF_GAS: ReadonlySet<CautionId> = new Set(['hydrogen', 'foam', 'ammonia-gas']);

/** The largest gas of a step, or of the next one that gives some, or of the one before; litres. */
function gasAfter(context: Context, so: Walk, at: number): CautionFacts['gas'] {
  const later = new Set(context.steps.slice(at).map(({ id }) => id));
  const first = so.gases.find((each) => later.has(each.step)) ?? so.gases[0];
  const [total] = gasTotals(so.gases.filter((each) => each.step === first?.step));
  return total ? { id: total.id, litres: gasOf(context, total.id, total.amount).volume.value } : null;
}

function shortages({ contents, names }: Context, charges: readonly ChargeLine[], actuals: Actuals): readonly Problem[] {
  return charges.flatMap((line) => {
    const left = contents[line.role]?.leftG;
    if (!left || line.actual || actuals.finished.has(line.step)) return [];
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

function costOf({ plan, contents }: Context, charges: readonly ChargeLine[]): Figure | null {
  let cost = 0;
  let known = false;
  for (const line of charges) {
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
