import { derive, type Figure, given } from '#core/figure';
import { ok, type Result } from '#core/problem';
import { densityFigure } from '#core/solution';
import { molarMassFigure, substanceById } from '#core/substance';
import { type Context, wantedFigure } from './context.ts';
import { readingValue } from './event.ts';
import type { Walker } from './walker.ts';

/** Makes the solution up to its volume; its strength then follows from what went in. */
export function makeUpStep(walker: Walker, step: string): Result<true> {
  const { context, actuals, so } = walker;
  const substance = substanceById(context.plan.target.substanceId)!;
  const n = so.contents.amounts[substance.id];
  if (!n || n.value <= 0) return ok(true);
  const M = molarMassFigure(substance.formula);
  const w = wantedFigure(context);
  const rho = densityFigure(substance, w, context.plan.bench.tempC);
  if (!rho.ok) return rho;
  const mass = finalMass(context, n);
  const planned = derive(
    { symbol: 'V', name: 'volume to make up to', unit: 'mL' },
    'm₁ ÷ ρ',
    { 'm₁': mass, ρ: rho.value },
    (x) => x['m₁'] / x.ρ,
  );
  const read = actuals.finals.find((each) => each.step === step);
  const found = read ? readingValue(read.reading) : undefined;
  // Made up to nothing is a slip of the pen, not a volume.
  const value = found && found.value > 0.001 ? found : undefined;
  const volume = given(
    { symbol: 'V', name: value ? 'volume it was made up to' : 'made up to', unit: 'mL' },
    {
      value: value?.value ?? planned.value,
      uncertainty: {
        mark: { name: 'reading the mark', effect: Math.max((value?.value ?? planned.value) * 0.005, value?.sd ?? 0) },
      },
    },
    value ? 'read at the bench' : 'as planned; a jug mark is good to 1 %',
  );
  const strength = derive(
    { symbol: 'c', name: `strength of the ${substance.name} made`, unit: 'mol/L' },
    '1000 × n ÷ V',
    { n, V: volume },
    (x) => (1000 * x.n) / x.V,
  );
  const pct = derive(
    { symbol: 'w', name: 'strength by mass', unit: '%' },
    '100 × n × M ÷ (V × ρ)',
    { n, M, V: volume, ρ: rho.value },
    (x) => (100 * x.n * x.M) / (x.V * x.ρ),
  );
  so.made = { volume: planned, filled: volume, mass, strength, pct };
  const soluteG = n.value * M.value;
  so.contents = {
    ...so.contents,
    waterG: given(
      { symbol: 'm(water)', name: 'water', unit: 'g' },
      Math.max(0, mass.value - soluteG),
      'made up to the mark',
    ),
  };
  return ok(true);
}

/** Mass of the finished solution that holds ξ mol at the wanted strength. */
export function finalMass(context: Context, extent: Figure): Figure {
  const M = molarMassFigure(substanceById(context.plan.target.substanceId)!.formula);
  const w = wantedFigure(context);
  return derive(
    { symbol: 'm₁', name: 'mass of the finished solution', unit: 'g' },
    '100 × n × M ÷ w',
    { n: extent, M, w },
    (x) => (100 * x.n * x.M) / x.w,
  );
}
