import { derive, type Figure, given, sdOf } from '#base/figure';
import { molarMassFigure } from '#matter/substance';
import { amountOf, at, type Contents, contentsMass, slurryVolume } from '#matter/vessel';
import type { At, Facts } from '../facts.ts';
import type { Doing, Standing } from '../outcome.ts';
import { byDensity, readAt } from './read.ts';
import { asStrongAs, fills } from './stands.ts';

/** A solution that was made up follows what goes in and out after the mark. */
export function solutionMoved(
  doing: Doing,
  standing: Standing,
  { before, facts }: { before: Contents; facts: Facts },
): void {
  const filled = doing.figures['made.filled'] ?? standing.figures['made.filled'];
  if (facts.recipe.makes.kind !== 'solution' || !filled) return;
  const now = at(doing.vessels, 'pot');
  const moved = slurryVolume(now, facts.tables) - slurryVolume(before, facts.tables);
  // What was left as it stood, and only found to be less or more of it, has its reading.
  if (Math.abs(moved) < 1e-9) return;
  const V = changed(filled, moved);
  doing.figures = { ...doing.figures, ...madeFigures(now, V, { substance: facts.target.substance, ...NOT_READ }) };
}

const NOT_READ = { pct: undefined, density: undefined };

/** A solution that was made up is what is read of it. */
export function solutionAsRead(doing: Doing, step: At & { readonly filled: Figure | undefined }): void {
  const { facts, filled } = step;
  const { substance } = facts.target;
  const stood = doing.figures['made.filled'] ?? filled;
  if (!stood) return;
  const read = readAt(step);
  if (!read.volume && !read.mass && !read.strength && !read.density) return;
  const V = read.volume ?? (read.mass ? byMass(stood, read.mass, contentsMass(at(doing.vessels, 'pot'))) : stood);
  if (V !== stood) fills(doing, 'pot', { V, stood });
  const pct = read.strength ?? (read.density && byDensity(read.density, substance.id, facts));
  if (pct) asStrongAs(doing, 'pot', { id: substance.id, pct });
  doing.figures = {
    ...doing.figures,
    ...(pct && { 'made.measured': pct }),
    ...madeFigures(at(doing.vessels, 'pot'), V, { substance, pct, density: read.density }),
  };
}

/** What was poured off, or taken as a portion, after a step takes its share of what was made up. */
export function passedOn(
  doing: Doing,
  standing: Standing,
  { before, facts }: { before: Contents; facts: Facts },
): void {
  const filled = doing.figures['made.filled'] ?? standing.figures['made.filled'];
  const now = at(doing.vessels, 'pot');
  const [had, has] = [contentsMass(before), contentsMass(now)];
  if (facts.recipe.makes.kind !== 'solution' || !filled || !(had > 0) || Math.abs(has - had) < 1e-9) return;
  const share = given({ symbol: 'kept', name: 'part that is there', unit: '' }, has / had, 'as entered');
  const V = derive(
    { symbol: 'V', name: 'volume of what was made', unit: 'mL' },
    'V₀ × kept',
    { 'V₀': filled, kept: share },
    (x) => x['V₀'] * x.kept,
  );
  doing.figures = { ...doing.figures, ...madeFigures(now, V, { substance: facts.target.substance, ...NOT_READ }) };
}

function changed(filled: Figure, ml: number): Figure {
  const d = given({ symbol: 'ΔV', name: 'what went in or out since', unit: 'mL' }, ml, 'as entered');
  return derive({ symbol: 'V', name: 'volume of what was made', unit: 'mL' }, 'V₀ + ΔV', { 'V₀': filled, ΔV: d }, (x) =>
    Math.max(0, x['V₀'] + x.ΔV),
  );
}

function byMass(stood: Figure, m: Figure, modelG: number): Figure {
  const model = given({ symbol: 'm₀', name: 'mass, as computed', unit: 'g' }, modelG, 'by what went in');
  return derive(
    { symbol: 'V', name: 'volume of what was made, by its mass', unit: 'mL' },
    'V₀ × m ÷ m₀',
    { 'V₀': stood, m, 'm₀': model },
    (x) => (x['V₀'] * x.m) / x['m₀'],
  );
}

/** What a made-up solution is, as it stands there now. */
function madeFigures(
  contents: Contents,
  V: Figure,
  {
    substance,
    pct,
    density,
  }: {
    readonly substance: Facts['target']['substance'];
    readonly pct: Figure | undefined;
    readonly density: Figure | undefined;
  },
): Record<string, Figure> {
  const n = amountOf(contents, substance.id);
  if (!n || !(V.value > 0)) return { 'made.filled': V };
  const M = molarMassFigure(substance.formula);
  const mass = massOf(contents);
  const strength = derive(
    { symbol: 'c', name: `strength of the ${substance.name} made`, unit: 'mol/L' },
    '1000 × n ÷ V',
    { n, V },
    (x) => (1000 * x.n) / x.V,
  );
  const dense =
    density && pct
      ? derive(
          { symbol: 'c', name: `strength of the ${substance.name} made, by its density`, unit: 'mol/L' },
          '10 × ρ × w ÷ M',
          { ρ: density, w: pct, M },
          (x) => (10 * x.ρ * x.w) / x.M,
        )
      : undefined;
  return {
    'made.filled': V,
    'made.mass': mass,
    'made.strength': dense ?? strength,
    'made.pct':
      pct ??
      derive(
        { symbol: 'w', name: 'strength by mass', unit: '%' },
        '100 × n × M ÷ m',
        { n, M, m: mass },
        (x) => (100 * x.n * x.M) / x.m,
      ),
  };
}

function massOf(contents: Contents): Figure {
  return given(
    { symbol: 'm', name: 'mass of what was made', unit: 'g' },
    {
      value: contentsMass(contents),
      uncertainty: { mark: { name: 'reading the mark', effect: sdOf(contents.waterG) } },
    },
    'as it stands there',
  );
}
