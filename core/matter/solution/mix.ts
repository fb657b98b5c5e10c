import { datum, derive, type Figure, given } from '#base/figure';
import { entryOf, itemAt, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { molarMass, molarMassFigure, type Substance } from '#matter/substance';
import { densityFigure, hasDensity, waterDensityFigure } from './density.ts';
import { heatCapacity, integralHeat } from './heat.ts';

/** One thing that goes into a mixture: so many g of a solution (or of water, w 0). */
export interface MixPart {
  readonly name: string;
  readonly mass: Figure;
  /** Mass % of the solute. */
  readonly w: Figure;
}

export interface Mixture {
  readonly w: Figure;
  readonly mass: Figure;
  readonly volume: Figure | undefined;
  /** mL that the parts lose (positive) on mixing. */
  readonly contraction: Figure | undefined;
  readonly amount: Figure | undefined;
  /** K, if mixed at once and nothing is lost; about. */
  readonly rise: Figure | undefined;
}

/**
 * Solutions of one solute (and water) poured together: masses add, volumes do not. The volume comes from the density of
 * the mixture, the rise from the integral heats where they are held (HCl, H2SO4, NaOH).
 */
export function mix(parts: readonly MixPart[], substance: Substance, tempC: number): Result<Mixture> {
  if (parts.length === 0)
    return fail('missing-part', 'Nothing is mixed: name the parts, such as 100 g 28% HCl + 250 g water.');
  const masses = Object.fromEntries(parts.map((part, i) => [`m${sub(i)}`, part.mass]));
  const inputs = { ...masses, ...Object.fromEntries(parts.map((part, i) => [`w${sub(i)}`, part.w])) };
  const mass = derive(
    { symbol: 'm', name: 'mass of the mixture', unit: 'g' },
    Object.keys(masses).join(' + '),
    masses,
    (x) => Object.values(x).reduce((a, b) => a + b, 0),
  );
  if (mass.value <= 0) return fail('out-of-range', 'The parts weigh nothing together; give at least one an amount.');
  const products = parts.map((_, i) => `m${sub(i)} × w${sub(i)}`).join(' + ');
  const w = derive(
    { symbol: 'w', name: `${substance.name}, by mass`, unit: '%' },
    `(${products}) ÷ m`,
    { ...inputs, m: mass } as Record<string, Figure>,
    (x) => parts.reduce((sum, _, i) => sum + entryOf(x, `m${sub(i)}`) * entryOf(x, `w${sub(i)}`), 0) / must(x.m, 'm'),
  );
  const rise = riseOf(parts, substance, w, mass);
  if (!hasDensity(substance))
    return ok({ w, mass, volume: undefined, contraction: undefined, amount: undefined, rise });
  const rho = densityFigure(substance, w, tempC);
  if (!rho.ok) return rho;
  const volume = derive(
    { symbol: 'V', name: 'volume of the mixture', unit: 'mL' },
    'm ÷ ρ',
    { m: mass, ρ: rho.value },
    (x) => x.m / x.ρ,
  );
  const M = molarMassFigure(substance.formula);
  const amount = derive(
    { symbol: 'c', name: `${substance.name}, amount`, unit: 'mol/L' },
    '10 × ρ × w ÷ M',
    { ρ: rho.value, w, M },
    (x) => (10 * x.ρ * x.w) / x.M,
  );
  return ok({ w, mass, volume, contraction: contractionOf(parts, substance, volume, tempC), amount, rise });
}

function contractionOf(
  parts: readonly MixPart[],
  substance: Substance,
  volume: Figure,
  tempC: number,
): Figure | undefined {
  const volumes: Record<string, Figure> = {};
  for (const [i, { mass, w }] of parts.entries()) {
    const rho =
      w.value === 0 ? { ok: true as const, value: waterDensityFigure(tempC) } : densityFigure(substance, w, tempC);
    if (!rho.ok) return undefined;
    volumes[`V${sub(i)}`] = derive(
      { symbol: `V${sub(i)}`, name: 'volume of a part', unit: 'mL' },
      'm ÷ ρ',
      { m: mass, ρ: rho.value },
      (x) => x.m / x.ρ,
    );
  }
  return derive(
    { symbol: 'ΔV', name: 'contraction on mixing', unit: 'mL' },
    `${Object.keys(volumes).join(' + ')} − V`,
    { ...volumes, V: volume } as Record<string, Figure>,
    (x) => Object.keys(volumes).reduce((sum, symbol) => sum + entryOf(x, symbol), 0) - must(x.V, 'V'),
  );
}

function riseOf(parts: readonly MixPart[], substance: Substance, w: Figure, mass: Figure): Figure | undefined {
  const M = molarMass(substance.formula);
  const heatAt = (pct: number) => (pct <= 0 ? undefined : integralHeat(substance, ((100 - pct) / 18.015) * (M / pct)));
  const after = heatAt(w.value);
  if (!after) return undefined;
  let kJ = 0;
  for (const part of parts) {
    const n = (part.mass.value * part.w.value) / 100 / M;
    if (n === 0) continue;
    const before = heatAt(part.w.value);
    if (!before) return undefined;
    kJ += n * (before.kJPerMol - after.kJPerMol);
  }
  const soluteG = (mass.value * w.value) / 100;
  const Q = datum({ symbol: 'Q', name: 'heat of mixing', unit: 'kJ' }, kJ, {
    source: after.source,
    grade: after.grade,
  });
  const C = datum({ symbol: 'C', name: 'heat capacity', unit: 'J/K' }, heatCapacity(mass.value - soluteG, soluteG), {
    source: 'water 4.18, solutes 1.2 J/(g K), good to 10 %',
    grade: 'C',
  });
  return derive(
    { symbol: 'ΔT', name: 'rise if mixed at once', unit: 'K' },
    '1000 × Q ÷ C',
    { Q, C },
    (x) => (1000 * x.Q) / x.C,
  );
}

export interface Dilution {
  readonly stockMass: Figure;
  readonly stockVolume: Figure | undefined;
  readonly water: Figure;
  readonly finalMass: Figure;
  readonly finalVolume: Figure | undefined;
}

/** How much stock and water make so much solution of a lower mass %. `amount` counts the finished solution, g or mL. */
export function dilute(
  substance: Substance,
  stock: Figure,
  wanted: Figure,
  amount: { value: number; unit: 'g' | 'mL' },
  tempC: number,
): Result<Dilution> {
  if (wanted.value > stock.value) {
    return fail(
      'too-weak',
      `The stock is ${round(stock.value)} % and ${round(wanted.value)} % is wanted: water cannot make it stronger.`,
    );
  }
  if (wanted.value <= 0) return fail('impossible-strength', 'A solution of strength 0 is water.');
  const asked = given(
    { symbol: amount.unit === 'g' ? 'm' : 'V', name: 'finished solution', unit: amount.unit },
    amount.value,
    'your target',
  );
  const rho = hasDensity(substance) ? densityFigure(substance, wanted, tempC) : undefined;
  if (rho && !rho.ok) return rho;
  if (amount.unit === 'mL' && !rho)
    return fail(
      'no-density',
      `A volume of ${substance.name} solution needs its density, which is not held; ask in grams.`,
    );
  const finalMass =
    amount.unit === 'g' || !rho
      ? asked
      : derive(
          { symbol: 'm', name: 'mass of the finished solution', unit: 'g' },
          'V × ρ',
          { V: asked, ρ: rho.value },
          (x) => x.V * x.ρ,
        );
  const stockMass = derive(
    { symbol: 'm₀', name: 'stock, mass', unit: 'g' },
    'm × w ÷ w₀',
    { m: finalMass, w: wanted, 'w₀': stock },
    (x) => (x.m * x.w) / x['w₀'],
  );
  const stockRho = hasDensity(substance) ? densityFigure(substance, stock, tempC) : undefined;
  const stockVolume = stockRho?.ok
    ? derive(
        { symbol: 'V₀', name: 'stock, volume', unit: 'mL' },
        'm₀ ÷ ρ₀',
        { 'm₀': stockMass, 'ρ₀': stockRho.value },
        (x) => x['m₀'] / x['ρ₀'],
      )
    : undefined;
  const water = derive(
    { symbol: 'm(water)', name: 'water', unit: 'g' },
    'm − m₀',
    { m: finalMass, 'm₀': stockMass },
    (x) => x.m - x['m₀'],
  );
  const finalVolume = rho
    ? derive(
        { symbol: 'V', name: 'finished solution, volume', unit: 'mL' },
        'm ÷ ρ',
        { m: finalMass, ρ: rho.value },
        (x) => x.m / x.ρ,
      )
    : undefined;
  return ok({ stockMass, stockVolume, water, finalMass, finalVolume });
}

/** Masses (and volumes) of two stocks that make so much of a strength between them; the stronger one first. */
export function blend(
  substance: Substance,
  stocks: readonly [number, number],
  wanted: Figure,
  amount: { value: number; unit: 'g' | 'mL' },
  tempC: number,
): Result<readonly Figure[]> {
  const [high, low] = [...stocks].sort((a, b) => b - a) as [number, number];
  if (!(wanted.value <= high && wanted.value >= low) || high === low) {
    return fail(
      'out-of-range',
      `From ${round(low)} % and ${round(high)} % comes anything between them; ${round(wanted.value)} % does not.`,
    );
  }
  const strong = given({ symbol: 'w₁', name: 'stronger stock', unit: '%' }, high, 'as typed');
  const weak = given({ symbol: 'w₂', name: 'weaker stock', unit: '%' }, low, 'as typed');
  const asked = given(
    { symbol: amount.unit === 'g' ? 'm' : 'V', name: 'finished solution', unit: amount.unit },
    amount.value,
    'your target',
  );
  const rho = hasDensity(substance) ? densityFigure(substance, wanted, tempC) : undefined;
  if (rho && !rho.ok) return rho;
  if (amount.unit === 'mL' && !rho)
    return fail(
      'no-density',
      `A volume of ${substance.name} solution needs its density, which is not held; ask in grams.`,
    );
  const m =
    amount.unit === 'g' || !rho
      ? asked
      : derive(
          { symbol: 'm', name: 'mass of the finished solution', unit: 'g' },
          'V × ρ',
          { V: asked, ρ: rho.value },
          (x) => x.V * x.ρ,
        );
  const ofStrong = derive(
    { symbol: 'm₁', name: `${round(high)} %, mass`, unit: 'g' },
    'm × (w − w₂) ÷ (w₁ − w₂)',
    { m, w: wanted, 'w₁': strong, 'w₂': weak },
    (x) => (x.m * (x.w - x['w₂'])) / (x['w₁'] - x['w₂']),
  );
  const ofWeak = derive(
    { symbol: 'm₂', name: `${round(low)} %, mass`, unit: 'g' },
    'm − m₁',
    { m, 'm₁': ofStrong },
    (x) => x.m - x['m₁'],
  );
  const volumes = [
    { mass: ofStrong, w: strong },
    { mass: ofWeak, w: weak },
  ].flatMap(({ mass, w }) => {
    const at = w.value === 0 ? ok(waterDensityFigure(tempC)) : densityFigure(substance, w, tempC);
    return at.ok
      ? [
          derive(
            { symbol: 'V', name: `${round(w.value)} %, volume`, unit: 'mL' },
            'm ÷ ρ',
            { m: mass, ρ: at.value },
            (x) => x.m / x.ρ,
          ),
        ]
      : [];
  });
  return ok([ofStrong, ofWeak, ...volumes, m]);
}

/** Heat that melts a gram of ice, kJ/g. */
const MELTING = datum({ symbol: 'L', name: 'heat of melting of ice', unit: 'kJ/g' }, 0.33355, {
  source: 'CRC Handbook',
  grade: 'A',
});

/**
 * Ice, in place of as much of the water, that takes up the heat of mixing so that it ends where it began; never more
 * than the water there is. Undefined where the heat is not known. About.
 */
export function iceFor(mixture: Mixture, water: Figure, tempC: number): Figure | undefined {
  if (mixture.rise?.origin.by !== 'formula') return undefined;
  const { Q } = mixture.rise.origin.inputs;
  const T = given(
    { symbol: 'T', name: 'temperature it should keep', unit: '°C' },
    Math.max(0, tempC),
    'as typed, else 20 °C',
  );
  return derive(
    { symbol: 'm(ice)', name: 'ice in place of as much of the water', unit: 'g' },
    'min(m; Q ÷ (L + 0.00418 × T))',
    { m: water, Q: must(Q, 'Q'), L: MELTING, T },
    (x) => Math.max(0, Math.min(x.m, x.Q / (x.L + 0.00418 * x.T))),
    { source: 'heats of mixing and melting; losses left out', grade: 'C' },
  );
}

function sub(i: number): string {
  return String(i + 1).replace(/\d/g, (d) => itemAt('₀₁₂₃₄₅₆₇₈₉', Number(d)));
}

function round(value: number): number {
  return Number(value.toPrecision(3));
}
