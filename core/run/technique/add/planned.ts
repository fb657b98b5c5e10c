import { datum, derive, type Figure, given } from '#base/figure';
import { entryOf, must } from '#base/lookup';
import { molarMassFigure, type SubstanceId, speciesOf, substanceOf } from '#matter/substance';
import { at, entriesOf, type Place, speciesAmount, subscript, waterWhenDissolved } from '#matter/vessel';
import { solubilityFigure } from '#model/dish';
import { agentOver, liquidClassOf } from '#model/dry';
import { type At, controlFigure, type Facts, reactionOf, roleOf, wantedFigure } from '../facts.ts';
import type { Standing } from '../outcome.ts';
import { leftOverFor } from '../reacting.ts';
import type { DoseRule } from '../recipe.ts';
import { doseForExtent } from './dose.ts';
import { leastOf } from './gone-in.ts';

/** What a planned dose is computed from. */
export interface Dosing {
  readonly facts: Facts;
  readonly standing: Standing;
  readonly step: At;
  readonly place: Place;
}

/** Planned mass of a role, g: by extent, by what is in the vessel, or water by what it dilutes. */
export function plannedMass(dosing: Dosing, roleId: string): Figure {
  const { facts } = dosing;
  const role = roleOf(facts, roleId);
  const { dose } = role;
  const content = facts.contents[roleId];
  const naming = { symbol: 'm', name: `${role.name} to take`, unit: 'g' };
  switch (dose.by) {
    case 'extent':
      return withLeftOver(
        dosing,
        roleId,
        doseForExtent(role, facts, must(content, role.name), extentFor(dosing, roleId)),
      );
    case 'contents': {
      const n = neededFor(dosing, roleId, dose);
      const { substance, w } = must(content, role.name);
      const M = molarMassFigure(substance.formula);
      return derive(naming, '100 × n × M ÷ w', { n, M, w }, (x) => (100 * x.n * x.M) / x.w);
    }
    case 'per-gram': {
      const set = controlFigure(facts, dose.control);
      const m0 = massOfRole(dosing, dose.role);
      return derive(naming, 'm₀ × set ÷ 100', { 'm₀': m0, set }, (x) => (x['m₀'] * x.set) / 100);
    }
    case 'to-dissolve':
      return waterToDissolve(dosing, roleId, dose);
    case 'dilute-to': {
      const set = controlFigure(facts, dose.control);
      const w = entryOf(facts.contents, dose.role).w;
      return derive(naming, 'max(0; m₀ × (w − set) ÷ set)', { 'm₀': massOfRole(dosing, dose.role), w, set }, (x) =>
        Math.max(0, (x['m₀'] * (x.w - x.set)) / x.set),
      );
    }
    case 'to-dry':
      return agentToDry(dosing, roleId, dose.spare);
    case 'share-of-water': {
      const share = controlFigure(facts, dose.control);
      const { makes } = facts.recipe;
      const acidMass = plannedMass(dosing, makes.kind === 'solution' ? makes.role : '');
      const whole = finalMass(facts, extentFor(dosing, null));
      return derive(
        naming,
        'max(0; m₁ − m₀) × set ÷ 100',
        { 'm₁': whole, 'm₀': acidMass, set: share },
        (x) => (Math.max(0, x['m₁'] - x['m₀']) * x.set) / 100,
      );
    }
  }
}

/** For drops that cling, whatever is dissolved: so much for each g of the liquid, at least. */
const DROPS = given({ symbol: 'd', name: 'for drops that cling', unit: 'g/g' }, 0.02, 'practice');

/** g of a drying agent for the water of the liquid that stands in the vessel, down to what the agent leaves. */
function agentToDry({ facts, standing, place }: Dosing, roleId: string, spareControl: string): Figure {
  const naming = { symbol: 'm', name: `${roleOf(facts, roleId).name} to take`, unit: 'g' };
  const contents = at(standing.vessels, place);
  const content = entryOf(facts.contents, roleId);
  const liquids = [...entriesOf(contents.organic), ...entriesOf(contents.aqueous)].sort(
    (a, b) => b[1].value - a[1].value,
  );
  const found = liquids.flatMap(([id, n]) => {
    const liquid = liquidClassOf(id);
    const over = liquid && agentOver(content.substance.species, liquid);
    return over ? [{ id, n, over }] : [];
  })[0];
  if (!found) return given(naming, 0, 'nothing there that it dries');
  const { id, n, over } = found;
  const source = { source: 'capacity in practice, Perrin and Armarego', grade: 'C' } as const;
  const k = datum({ symbol: 'k', name: 'water that a gram takes', unit: 'g/g' }, over.capacity, source);
  const r = datum({ symbol: 'r', name: 'water that it leaves', unit: '%' }, over.leavesPct, source);
  const M = molarMassFigure(substanceOf(id).formula);
  return derive(
    naming,
    'max(max(0; W − r × n × M ÷ 100) × (100 + set) ÷ (k × w); d × n × M)',
    { W: contents.waterG, r, n, M, set: controlFigure(facts, spareControl), k, w: content.w, d: DROPS },
    (x) => Math.max((Math.max(0, x.W - (x.r * x.n * x.M) / 100) * (100 + x.set)) / (x.k * x.w), x.d * x.n * x.M),
  );
}

/** A dose with what the acid or lye that is left over in the vessel takes of it first. */
function withLeftOver({ facts, standing, place }: Dosing, roleId: string, dose: Figure): Figure {
  const { substance, w } = entryOf(facts.contents, roleId);
  const contents = at(standing.vessels, place);
  const inputs: Record<string, Figure> = {};
  const terms: string[] = [];
  const factors: number[] = [];
  for (const { reactants } of leftOverFor(facts, substance.species)) {
    const own = reactants.find(({ substanceId }) => substanceId === substance.species);
    const other = reactants.find(({ substanceId }) => substanceId !== substance.species);
    const present = other && speciesAmount(contents, other.substanceId);
    if (!own || !other || !present || !(present.value > 0)) continue;
    const symbol = `n${subscript(terms.length + 1)}`;
    inputs[symbol] = present;
    factors.push(own.n / other.n);
    terms.push(own.n === other.n ? symbol : `${own.n} × ${symbol} ÷ ${other.n}`);
  }
  if (terms.length === 0) return dose;
  const M = molarMassFigure(substance.formula);
  return derive(
    { symbol: 'm', name: `${roleOf(facts, roleId).name} to take, with what is left over before it`, unit: 'g' },
    `m₀ + 100 × (${terms.join(' + ')}) × M ÷ w`,
    { ...inputs, 'm₀': dose, M, w },
    (x: Readonly<Record<string, number>>) => {
      const n = factors.reduce((sum, factor, i) => sum + factor * entryOf(x, `n${subscript(i + 1)}`), 0);
      return entryOf(x, 'm₀') + (100 * n * entryOf(x, 'M')) / entryOf(x, 'w');
    },
  );
}

/** What a role really brought, or what is planned of it. */
function massOfRole(dosing: Dosing, roleId: string): Figure {
  const line = dosing.standing.additions.find((each) => each.role === roleId);
  return line ? (line.actual ?? line.dose.mass) : plannedMass(dosing, roleId);
}

/** The extent a role is dosed for: what it was when its step was ended as planned, else by what is in now. */
function extentFor({ facts, step: { key, going } }: Dosing, roleId: string | null): Figure {
  const closed = going.closedAs.get(key);
  return closed && (roleId === null || roleId === closed.role) ? closed.extent : leastOf(facts, going, roleId);
}

/** g of water that dissolves what a role brought, at its hot temperature, with some to spare. */
function waterToDissolve(
  { facts, standing, place }: Dosing,
  roleId: string,
  dose: Extract<DoseRule, { by: 'to-dissolve' }>,
): Figure {
  const naming = { symbol: 'm', name: `${roleOf(facts, roleId).name} to take`, unit: 'g' };
  const species = speciesOf(entryOf(facts.contents, dose.role).substance);
  const contents = at(standing.vessels, place);
  const n = speciesAmount(contents, species.id);
  const hot = controlFigure(facts, dose.control);
  const set = controlFigure(facts, dose.spare);
  if (!n) return given(naming, 0, 'nothing to dissolve yet');
  const M = molarMassFigure(species.formula);
  const s = solubilityFigure(species, hot, facts.tables);
  const W = waterWhenDissolved(contents);
  return derive(naming, 'max(0; n × M × (100 + set) ÷ s − W)', { n, M, s, set, W }, (x) =>
    Math.max(0, (x.n * x.M * (100 + x.set)) / x.s - x.W),
  );
}

/** mol of a role's substance for its reactions to go to their end with what is in the vessel now. */
function neededFor(
  { facts, standing, place }: Dosing,
  roleId: string,
  dose: Extract<DoseRule, { by: 'contents' }>,
): Figure {
  const contents = at(standing.vessels, dose.of ?? place);
  const own = entryOf(facts.contents, roleId).substance.species;
  const inputs: Record<string, Figure> = {};
  const terms: string[] = [];
  const factors: number[] = [];
  const counted = new Set<SubstanceId>();
  const symbolAt = (i: number) => `n${subscript(i + 1)}`;
  for (const id of dose.reactions) {
    const reaction = reactionOf(facts, id);
    const takes = reaction.reactants.find((each) => each.substanceId === own);
    const others = reaction.reactants.filter((each) => each.substanceId !== own && each.substanceId !== 'water');
    const amounts = others.map(({ substanceId }) => speciesAmount(contents, substanceId));
    const [other] = others;
    const [present] = amounts;
    // It goes only with all that it takes; what two reactions take is there but once.
    const goes = amounts.every((each) => each !== undefined && each.value > 0);
    if (!takes || !other || !present || !goes || counted.has(other.substanceId)) continue;
    counted.add(other.substanceId);
    const symbol = symbolAt(terms.length);
    inputs[symbol] = present;
    factors.push(takes.n / other.n);
    terms.push(takes.n === other.n ? symbol : `${takes.n} × ${symbol} ÷ ${other.n}`);
  }
  const naming = { symbol: 'n', name: `${roleOf(facts, roleId).name} wanted by what is in the vessel`, unit: 'mol' };
  if (terms.length === 0) return given(naming, 0, 'nothing in the vessel takes it');
  const sum = (values: Readonly<Record<string, number>>) =>
    factors.reduce((all, factor, i) => all + factor * (values[symbolAt(i)] ?? 0), 0);
  const set = dose.excessControl === undefined ? undefined : controlFigure(facts, dose.excessControl);
  if (!set || set.value === 0) return derive(naming, terms.join(' + '), inputs, sum);
  return derive(
    naming,
    `(${terms.join(' + ')}) × (100 + set) ÷ 100`,
    { ...inputs, set },
    (x) => (sum(x) * (100 + (x.set ?? 0))) / 100,
  );
}

/** g of the finished solution that holds ξ mol at the wanted strength. */
export function finalMass(facts: Facts, extent: Figure): Figure {
  const M = molarMassFigure(facts.target.substance.formula);
  const w = wantedFigure(facts);
  return derive(
    { symbol: 'm₁', name: 'mass of the finished solution', unit: 'g' },
    '100 × n × M ÷ w',
    { n: extent, M, w },
    (x) => (100 * x.n * x.M) / x.w,
  );
}
