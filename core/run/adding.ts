import { derive, type Figure } from '#core/figure';
import { molarVolume, type Reaction, reactionHeat, } from '#core/reaction';
import type { Adding, Op, StepTemplate } from '#core/route';
import { heatCapacity } from '#core/solution';
import { molarMass, molarMassFigure, substanceById, substanceOf } from '#core/substance';
import { formatNumber } from '#core/units';
import { type Contents, isInsoluble, liquidVolume, solutesG, total } from '#core/vessel';
import type { Context } from './context.ts';
import type { Walk } from './walker.ts';

/** A stretch of an addition in which one reaction takes all that goes in. */
export interface Stage {
  readonly reactionId: string;
  /** What is used up in it: “sulfuric acid”. */
  readonly takes: string;
  /** g of the product added that this stretch needs. */
  readonly grams: Figure;
  /** L of gas at the bench for each g, all of them; and which there is most of. */
  readonly gasLPerG: number;
  readonly gasId: string | null;
  /** kJ for each g, positive is warm; null where no data are held. */
  readonly kJPerG: number | null;
}

/** An addition that goes in by portions, as the sheet sees it. */
export interface Addition {
  readonly role: string;
  readonly name: string;
  readonly adding: Adding;
  /** What the sheet asks for, excess included. */
  readonly plannedG: number;
  /** g at which the reactions are just complete: its band is the expected window of the endpoint. */
  readonly enough: Figure;
  readonly stages: readonly Stage[];
  /** The vessel before anything of it is in. */
  readonly liquidMl: number;
  readonly heatCapacityJPerK: number;
  /** g of undissolved solid that each g added brings, at the end. */
  readonly solidG: number;
}

/** Additions of a sheet, by step; `soFar` is what has really happened, where anything has. */
export function addingOf(context: Context, so: Walk, soFar: Walk | null): Readonly<Record<string, Addition>> {
  const by: Record<string, Addition> = {};
  for (const step of context.steps) {
    if (!step.adding) continue;
    const added = additionAt(context, soFar?.before.has(step.id) ? soFar : so, step, step.adding);
    if (added) by[step.id] = added;
  }
  return by;
}

/** What an excess from before costs in this addition: grams of it, gas, foam. Empty where there is none. */
export function excessPrice({ stages, name, adding }: Addition): string {
  const [first] = stages;
  if (!first || stages.length < 2) return '';
  const litres = first.grams.value * first.gasLPerG;
  const foam =
    adding.foamPerGas > 0 ? ` (${formatNumber(1000 * litres * adding.foamPerGas, 2)} mL of foam if at once)` : '';
  const gas = litres > 0 ? ` and gives ${formatNumber(litres, 2)} L of gas${foam}` : '';
  return `The ${first.takes} left over takes ${formatNumber(first.grams.value, 2)} g of ${name}${gas}.`;
}

function additionAt(context: Context, so: Walk, step: StepTemplate, adding: Adding): Addition | undefined {
  const { op } = step;
  const before = so.before.get(step.id);
  const { role, ids } = whatGoesIn(context, op);
  const line = so.charges.find((each) => each.role === role);
  if (!before || !role || !line) return undefined;
  const stages = ids.flatMap(
    (id) => stageOf(context, role, before, context.route.reactions.find((each) => each.id === id)!) ?? [],
  );
  const own = context.contents[role]!.substance;
  const enough =
    op.do === 'charge'
      ? total('enough for what is in the vessel', 'g', ...stages.map(({ grams }) => grams))
      : (line.actual ?? line.dose.mass);
  const solids = (contents: Contents) =>
    Object.entries(contents.amounts).reduce(
      (sum, [id, n]) => sum + (isInsoluble(id) ? n.value * molarMass(substanceById(id)!.formula) : 0),
      0,
    );
  return {
    role,
    name: line.name,
    adding,
    plannedG: op.do === 'charge' ? line.dose.mass.value : (line.actual ?? line.dose.mass).value,
    enough,
    stages,
    liquidMl: liquidVolume(withoutMetal(before, own.id)),
    heatCapacityJPerK: heatCapacity(before.waterG.value, solutesG(before)),
    solidG: solids(so.after.get(step.id) ?? before),
  };
}

/** What an addition adds, and what it sets going. */
function whatGoesIn(context: Context, op: Op): { role?: string | undefined; ids: readonly string[] } {
  if (op.do === 'charge') return { role: op.role, ids: op.reacts ?? [] };
  return op.do === 'react' ? { role: metalRole(context, op.reaction), ids: [op.reaction] } : { ids: [] };
}

/** The role whose metal or solid a reaction takes, when its step adds what was weighed before. */
function metalRole(context: Context, reactionId: string): string | undefined {
  const reaction = context.route.reactions.find((each) => each.id === reactionId);
  const entry = Object.entries(context.contents).find(
    ([, { substance, dissolved }]) =>
      !dissolved &&
      reaction?.reactants.some(({ substanceId }) => substanceId === (substance.species)),
  );
  return entry?.[0];
}

function stageOf(context: Context, role: string, before: Contents, reaction: Reaction): Stage | undefined {
  const { substance, w } = context.contents[role]!;
  const own = substance.species;
  const takes = reaction.reactants.find(({ substanceId }) => substanceId === own);
  const other = reaction.reactants.find(({ substanceId }) => substanceId !== own && substanceId !== 'water');
  const present = other && before.amounts[other.substanceId];
  if (!takes || !other || !present || present.value <= 0) return undefined;
  const M = molarMassFigure(substance.formula);
  const ratio = takes.n / other.n;
  const grams = derive(
    { symbol: 'm', name: `${context.names[role]} for the ${substanceOf(other.substanceId).name}`, unit: 'g' },
    `100 × ${takes.n} × n × M ÷ (${other.n} × w)`,
    { n: present, M, w },
    (x) => (100 * ratio * x.n * x.M) / x.w,
  );
  const molPerG = w.value / 100 / M.value / takes.n;
  const gases = reaction.products
    .filter(({ substanceId }) => substanceOf(substanceId).form === 'gas')
    .sort((a, b) => b.n - a.n);
  const gasMol = gases.reduce((sum, { n }) => sum + n, 0);
  const { tempC, pressureHPa } = context.plan.bench;
  const dH = reactionHeat(reaction, { [own]: substance.id });
  return {
    reactionId: reaction.id,
    takes: substanceOf(other.substanceId).name,
    grams,
    gasLPerG: gasMol * molPerG * molarVolume(tempC, pressureHPa),
    gasId: gases[0]?.substanceId ?? null,
    kJPerG: dH === undefined ? null : -dH * molPerG,
  };
}

function withoutMetal(contents: Contents, own: string): Contents {
  const amounts = Object.fromEntries(Object.entries(contents.amounts).filter(([id]) => id !== own));
  return { ...contents, amounts };
}
