import { derive, type Figure } from '#base/figure';
import type { Reaction } from '#matter/reaction';
import { molarMassFigure, parseFormula, type SubstanceId, substanceOf } from '#matter/substance';
import { speciesAmount, total, type Vessels } from '#matter/vessel';
import type { PlanFacts } from '#run/plan';
import { controlFigure, speciesMade } from '#run/technique';
import { productPerExtent } from './scale.ts';
import type { Walk } from './walk.ts';

const NAMING = { symbol: 'theory', name: 'theory', unit: 'g' } as const;

/** g of product that all of the limiting reagent comes to, with the water it is dried to keep; null before anything reacts. */
export function theoryOf(facts: PlanFacts, { end: { progress } }: Walk): Figure | null {
  const { substanceId } = facts.recipe.makes;
  const { extent } = progress;
  if (substanceId === undefined || !extent) return null;
  const nu = productPerExtent(facts.recipe);
  const M = molarMassFigure(substanceOf(substanceId).formula);
  const naming = { ...NAMING, name: `${substanceOf(substanceId).name}, all of the limiting reagent` };
  const formula = nu === 1 ? 'ξ × M' : `${nu} × ξ × M`;
  return asDried(
    facts,
    derive(naming, formula, { ξ: extent, M }, (x) => nu * x.ξ * x.M),
  );
}

/** What a product could come to if what was short by its label was not: the most there can be, and of what it is all. */
export interface Furthest {
  readonly mass: Figure;
  /** What carries the product: “sodium silicate”. */
  readonly of: string;
  /** What was short: “hydrochloric acid”. */
  readonly short: string;
}

/**
 * Where a reagent that only sets the product free ran out (acid on water glass, soda on a zinc salt), the rest of what
 * carries it is still there, and may have come down with it. Null where nothing is left that could, or where what ran out is
 * itself part of the product.
 */
export function furthestOf(facts: PlanFacts, walk: Walk): Furthest | null {
  const { vessels } = walk.end;
  const { substanceId } = facts.recipe.makes;
  const species = speciesMade(facts);
  if (substanceId === undefined || species === undefined) return null;
  const carriers = carriersOf(species);
  let best: {
    readonly left: Figure;
    readonly reaction: Reaction;
    readonly carrier: SubstanceId;
    readonly short: SubstanceId;
  } | null = null;
  for (const reaction of facts.recipe.reactions) {
    if (!reaction.products.some((each) => each.substanceId === species)) continue;
    const parts = reaction.reactants
      .filter((each) => each.substanceId !== 'water')
      .map(({ substanceId: id, n }) => ({ id, n, left: everywhere(vessels, id), carries: carries(id, carriers) }));
    const out = parts.filter(({ left }) => !left || left.value < LEAST);
    const rest = parts.filter(({ left }) => left && left.value >= LEAST);
    const [short] = out;
    const [carrier] = rest;
    if (!short || out.length > 1 || short.carries || !carrier?.left || rest.length > 1 || !carrier.carries) continue;
    if (!best || carrier.left.value > best.left.value)
      best = { left: carrier.left, reaction, carrier: carrier.id, short: short.id };
  }
  if (!best) return null;
  const { left, reaction, carrier, short } = best;
  const coefficient = reaction.reactants.find((each) => each.substanceId === carrier)?.n ?? 1;
  const nu = reaction.products.find((each) => each.substanceId === species)?.n ?? 1;
  const M = molarMassFigure(substanceOf(substanceId).formula);
  const rest = derive(
    { ...NAMING, symbol: 'm', name: `${substanceOf(substanceId).name} that the rest could give` },
    `${nu} × n × M ÷ ${coefficient}`,
    { n: left, M },
    (x) => (nu * x.n * x.M) / coefficient,
  );
  const made = theoryOf(facts, walk);
  return {
    mass: made ? total('all there could be', 'g', made, asDried(facts, rest)) : asDried(facts, rest),
    of: substanceOf(carrier).name,
    short: substanceOf(short).name,
  };
}

/** mol; less than this is none. */
const LEAST = 1e-6;
/** Elements that acids and bases bring and take. */
const COMMON: ReadonlySet<string> = new Set(['H', 'O', 'C']);

function carriersOf(id: SubstanceId): ReadonlySet<string> {
  return new Set(elementsOf(id).filter((element) => !COMMON.has(element)));
}

function carries(id: SubstanceId, carriers: ReadonlySet<string>): boolean {
  return elementsOf(id).some((element) => carriers.has(element));
}

function elementsOf(id: SubstanceId): readonly string[] {
  const formula = parseFormula(substanceOf(id).formula);
  return formula.ok ? Object.keys(formula.value.elements) : [];
}

function everywhere(vessels: Vessels, id: SubstanceId): Figure | undefined {
  const parts = Object.values(vessels).flatMap((contents) => (contents && speciesAmount(contents, id)) ?? []);
  return parts.length === 0 ? undefined : total(substanceOf(id).name, 'mol', ...parts);
}

/** With the water that it is dried to keep. */
function asDried(facts: PlanFacts, all: Figure): Figure {
  const kept = facts.steps.flatMap(({ op }) => (op.do === 'dry' && op.waterControl ? [op.waterControl] : []))[0];
  if (kept === undefined) return all;
  return derive(
    { symbol: all.symbol, name: all.name, unit: all.unit },
    '100 × m ÷ (100 − set)',
    { m: all, set: controlFigure(facts, kept) },
    (x) => (100 * x.m) / (100 - x.set),
  );
}
