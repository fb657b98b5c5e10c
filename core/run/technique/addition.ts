import { derive, type Figure, given } from '#base/figure';
import { entryOf } from '#base/lookup';
import { formatNumber } from '#base/units';
import { molarVolume, type Reaction, reactionHeat, solutionHeat } from '#matter/reaction';
import { heatCapacity } from '#matter/solution';
import { isInsoluble, molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { type Contents, entriesOf, phaseG, slurryVolume, solutesG, speciesAmount, total } from '#matter/vessel';
import { chargedSolid } from './charged-solid.ts';
import { type Facts, reactionOf } from './facts.ts';
import type { Adding } from './recipe.ts';
import type { StepView } from './view.ts';

/** A stretch of an addition in which one reaction takes all that goes in. */
export interface Stage {
  readonly reactionId: string;
  /** What is used up in it: “sulfuric acid”. */
  readonly takes: string;
  /** g of the product added that this stretch needs. */
  readonly grams: Figure;
  /** L of gas at the bench for each g, all of them; and which there is most of. */
  readonly gasLPerG: number;
  readonly gasId: SubstanceId | null;
  /** kJ for each g, positive is warm; null where no data are held. */
  readonly kJPerG: number | null;
}

/** An addition that goes in by portions, or a solid that dissolves slowly. */
export interface Addition {
  readonly role: string;
  readonly name: string;
  readonly adding: Adding;
  /** What the plan asks for, excess included. */
  readonly plannedG: number;
  /** g at which the reactions are just complete: its band is the expected window of the end point. */
  readonly enough: Figure;
  readonly stages: readonly Stage[];
  /** The vessel before anything of it is in. */
  readonly liquidMl: number;
  readonly heatCapacityJPerK: number;
  /** g of undissolved solid that stand in it at the end. */
  readonly solidG: number;
}

/** The addition of a role, and what it sets going; undefined where a step says nothing of how it goes in. */
export function additionOf(
  view: StepView,
  role: string | undefined,
  reactions: readonly string[],
  goesIn: boolean,
): Addition | undefined {
  const { facts, adding, before, after } = view;
  const line = view.additions.find((each) => each.role === role);
  const content = role === undefined ? undefined : facts.contents[role];
  if (!adding || role === undefined || !line || !content) return undefined;
  const stages = stagesOf(facts, { role, before, reactions });
  const mass = chargedSolid(line, facts);
  return {
    role,
    name: line.name,
    adding,
    plannedG: goesIn ? line.dose.mass.value : mass.value,
    enough: goesIn ? enoughOf(line.dose.mass, stages) : mass,
    stages,
    liquidMl: slurryVolume(without(before, content.substance.id)),
    heatCapacityJPerK: heatCapacity(before.waterG.value, solutesG(before)),
    solidG: phaseG(
      Object.fromEntries(
        entriesOf(after.solid).filter(([id]) => isInsoluble(substanceOf(id)) && substanceOf(id).form !== 'metal'),
      ),
    ),
  };
}

/** The role whose solid a reaction takes, when its step adds what was weighed before. */
export function solidRole({ contents }: Facts, reaction: Reaction): string | undefined {
  const entry = Object.entries(contents).find(
    ([, { substance, dissolved }]) =>
      !dissolved && reaction.reactants.some(({ substanceId }) => substanceId === substance.species),
  );
  return entry?.[0];
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

/** Of what is in excess no more is wanted than was asked for: the one that runs out first says what is enough. */
function enoughOf(planned: Figure, stages: readonly Stage[]): Figure {
  const all = total('enough for what is in the vessel', 'g', ...stages.map(({ grams }) => grams));
  return planned.value > 0 && planned.value < all.value ? planned : all;
}

/** Its reactions one after the other: what one has taken is not there for the next. */
function stagesOf(
  facts: Facts,
  {
    role,
    before,
    reactions,
  }: { readonly role: string; readonly before: Contents; readonly reactions: readonly string[] },
): readonly Stage[] {
  const { substance } = entryOf(facts.contents, role);
  const spent = new Map<SubstanceId, Figure[]>();
  const left = (id: SubstanceId): Figure | undefined => {
    const n = speciesAmount(before, id);
    const gone = spent.get(id);
    if (!n || !gone) return n;
    const taken = total('taken before', 'mol', ...gone);
    return derive({ symbol: 'n', name: n.name, unit: 'mol' }, 'max(0; n₀ − t)', { 'n₀': n, t: taken }, (x) =>
      Math.max(0, x['n₀'] - x.t),
    );
  };
  return reactions.flatMap((id): readonly Stage[] => {
    const reaction = reactionOf(facts, id);
    const takes = reaction.reactants.find(({ substanceId }) => substanceId === substance.species);
    const others = reaction.reactants
      .filter(({ substanceId }) => substanceId !== substance.species && substanceId !== 'water')
      .map((each) => ({ ...each, present: left(each.substanceId) }));
    // What there is least of, by the equation, is what it takes.
    const [scarce] = others.toSorted((a, b) => (a.present?.value ?? 0) / a.n - (b.present?.value ?? 0) / b.n);
    if (!takes || !scarce?.present || scarce.present.value <= LEAST_MOL) return [];
    for (const { substanceId, n } of others) {
      const share = given({ symbol: 'r', name: 'mol for each', unit: '' }, n / scarce.n, 'the equation');
      const gone = derive(
        { symbol: 'n', name: 'taken', unit: 'mol' },
        'n × r',
        { n: scarce.present, r: share },
        (x) => x.n * x.r,
      );
      spent.set(substanceId, [...(spent.get(substanceId) ?? []), gone]);
    }
    return [stageOf(facts, role, { reaction, takes, other: { ...scarce, present: scarce.present } })];
  });
}

/** Less is the noise of sums. */
const LEAST_MOL = 1e-9;

interface Takes {
  readonly reaction: Reaction;
  readonly takes: Reaction['reactants'][number];
  readonly other: Reaction['reactants'][number] & { readonly present: Figure };
}

function stageOf(facts: Facts, role: string, { reaction, takes, other }: Takes): Stage {
  const { substance, w, dissolved } = entryOf(facts.contents, role);
  const M = molarMassFigure(substance.formula);
  const ratio = takes.n / other.n;
  const grams = derive(
    { symbol: 'm', name: `${facts.names[role]} for the ${substanceOf(other.substanceId).name}`, unit: 'g' },
    `100 × ${takes.n} × n × M ÷ (${other.n} × w)`,
    { n: other.present, M, w },
    (x) => (100 * ratio * x.n * x.M) / x.w,
  );
  const molPerG = w.value / 100 / M.value / takes.n;
  const gases = reaction.products
    .filter(({ substanceId }) => substanceOf(substanceId).form === 'gas')
    .sort((a, b) => b.n - a.n);
  const gasMol = gases.reduce((sum, { n }) => sum + n, 0);
  const dH = heatOf(reaction, takes.n, dissolved ? undefined : substance.id);
  return {
    reactionId: reaction.id,
    takes: substanceOf(other.substanceId).name,
    grams,
    gasLPerG: gasMol * molPerG * molarVolume(facts.bench.tempC, facts.bench.pressureHPa),
    gasId: gases[0]?.substanceId ?? null,
    kJPerG: dH === undefined ? null : -dH * molPerG,
  };
}

/** kJ of an extent of reaction; a solid that goes in dissolves first. */
function heatOf(reaction: Reaction, n: number, solid: SubstanceId | undefined): number | undefined {
  const dH = reactionHeat(reaction);
  if (dH === undefined || solid === undefined || isInsoluble(substanceOf(solid))) return dH;
  const solving = solutionHeat(solid);
  return solving === undefined ? undefined : dH + n * solving;
}

function without(contents: Contents, own: SubstanceId): Contents {
  return { ...contents, solid: Object.fromEntries(entriesOf(contents.solid).filter(([id]) => id !== own)) };
}
