import { derive, type Figure, given } from '#base/figure';
import { must } from '#base/lookup';
import { type Bench, cylinderFor, roundTo } from '#matter/gear';
import type { Content } from '#matter/stock';
import { molarMassFigure } from '#matter/substance';
import { type Facts, settingOf } from '../facts.ts';
import type { Recipe, Role } from '../recipe.ts';

/** What a role's planned dose is, and how it is measured out. */
export interface Dose {
  readonly mass: Figure;
  /** Undefined for solids. */
  readonly volume: Figure | undefined;
  /** The amount to measure, at the instrument's resolution. */
  readonly take: { readonly value: number; readonly unit: 'g' | 'mL' };
  readonly takeMassG: number;
  readonly with: string;
}

/** One plus the excess of a role, as a figure; 1 without a control. */
function excessFigure(role: Role, facts: Facts): Figure | undefined {
  if (role.dose.by !== 'extent' || !role.dose.excessControl) return undefined;
  const value = settingOf(facts, role.dose.excessControl);
  return value === 0
    ? undefined
    : given({ symbol: 'excess', name: `${role.name} in excess`, unit: '%' }, value, 'you set it');
}

/** mol of a role for each extent, by what its bottle holds. */
function perExtentOf({ id, dose }: Role, { contents }: Facts): number {
  if (dose.by !== 'extent') return 1;
  const species = contents[id]?.substance.species;
  return dose.others?.find(({ substanceId }) => substanceId === species)?.perExtent ?? dose.perExtent;
}

/** Mass of product for ξ mol of extent: through the excess, the molar mass and the strength. */
export function doseForExtent(role: Role, facts: Facts, content: Content, extent: Figure): Figure {
  const perExtent = perExtentOf(role, facts);
  const excess = excessFigure(role, facts);
  const M = molarMassFigure(content.substance.formula);
  const n = derive(
    { symbol: 'n', name: `${role.name} wanted`, unit: 'mol' },
    `${perExtent === 1 ? '' : `${perExtent} × `}ξ${excess ? ' × (100 + excess) ÷ 100' : ''}`,
    inputs({ ξ: extent }, excess),
    (x) => perExtent * must(x.ξ, 'ξ') * (1 + (x.excess ?? 0) / 100),
  );
  return derive(
    { symbol: 'm', name: `${role.name} to take`, unit: 'g' },
    '100 × n × M ÷ w',
    { n, M, w: content.w },
    (x) => (100 * x.n * x.M) / x.w,
  );
}

/** The extent that an amount of a role stands for: the inverse of {@link doseForExtent}. */
export function extentOf(role: Role, facts: Facts, amount: Figure): Figure {
  const perExtent = perExtentOf(role, facts);
  const excess = excessFigure(role, facts);
  return derive(
    { symbol: 'ξ', name: `extent that ${role.name} is enough for`, unit: 'mol' },
    `n${perExtent === 1 ? '' : ` ÷ ${perExtent}`}${excess ? ' × 100 ÷ (100 + excess)' : ''}`,
    inputs({ n: amount }, excess),
    (x) => must(x.n, 'n') / perExtent / (1 + (x.excess ?? 0) / 100),
  );
}

function inputs(own: Record<string, Figure>, excess: Figure | undefined): Record<string, Figure> {
  return excess ? { ...own, excess } : own;
}

/** How to measure a mass out: by cylinder for liquids poured by volume, else on the balance, at its resolution. */
export function measured(role: Role, mass: Figure, density: Figure | undefined, bench: Bench): Dose {
  const volume =
    density &&
    derive(
      { symbol: 'V', name: `${role.name} to take, volume`, unit: 'mL' },
      'm ÷ ρ',
      { m: mass, ρ: density },
      (x) => x.m / x.ρ,
    );
  const takeMassG = roundTo(mass.value, bench.balanceG);
  if (role.measure === 'volume' && volume && density) {
    const cylinder = cylinderFor(volume.value, bench.cylindersMl);
    const value = roundTo(volume.value, cylinder.stepMl);
    return { mass, volume, take: { value, unit: 'mL' }, takeMassG, with: cylinder.text };
  }
  return { mass, volume, take: { value: takeMassG, unit: 'g' }, takeMassG, with: `balance, ${bench.balanceG} g` };
}

/** Roles that fix the extent, in the order of the recipe. */
export function extentRoles(recipe: Recipe): readonly Role[] {
  return recipe.roles.filter((role) => role.dose.by === 'extent');
}
