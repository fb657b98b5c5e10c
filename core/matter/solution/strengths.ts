import { derive, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { molarMassFigure, type Substance } from '#matter/substance';
import { density, densityFigure, hasDensity, waterDensityFigure } from './density.ts';
import { isLight, SIXTY_F } from './strength.ts';
import { type StrengthUnit, strengthUnits } from './strength-units.ts';

const BAUME_KINDS = new Set([
  'hydrochloric-acid',
  'sulfuric-acid',
  'nitric-acid',
  'phosphoric-acid',
  'sodium-hydroxide',
]);

/**
 * A strength in every unit that is used for this substance, at a temperature in °C. `w` is its mass % as a figure.
 * Liquids get units by volume where a density table is held; solids get mass % and mol/kg of product.
 */
export function strengthsOf(w: Figure, substance: Substance, tempC: number, dissolved: boolean): readonly Figure[] {
  const M = molarMassFigure(substance.formula);
  const byMass = { ...w, name: 'by mass', symbol: 'w' };
  if (!dissolved) {
    const perKg = derive(
      { symbol: 'n', name: 'amount in 1 kg', unit: 'mol/kg' },
      '10 × w ÷ M',
      { w, M },
      (x) => (10 * x.w) / x.M,
    );
    return [byMass, perKg];
  }
  const molality = derive(
    { symbol: 'b', name: 'amount per kg of water', unit: 'mol/kg' },
    '1000 × w ÷ (M × (100 − w))',
    { w, M },
    (x) => (1000 * x.w) / (x.M * (100 - x.w)),
  );
  const inWater = w.value < 100 ? [molality] : [];
  const rho = densityFigure(substance, w, tempC);
  if (!rho.ok) return [byMass, ...inWater];
  const ρ = rho.value;
  const amount = derive(
    { symbol: 'c', name: 'amount', unit: 'mol/L' },
    '10 × ρ × w ÷ M',
    { ρ, w, M },
    (x) => (10 * x.ρ * x.w) / x.M,
  );
  const mass = derive(
    { symbol: 'γ', name: 'mass in volume', unit: 'g/L' },
    '10 × ρ × w',
    { ρ, w },
    (x) => 10 * x.ρ * x.w,
  );
  return [byMass, amount, mass, ...inWater, { ...ρ, name: 'density' }, ...special(substance, w, amount)];
}

/** The units that only some trades use. */
function special(substance: Substance, w: Figure, amount: Figure): readonly Figure[] {
  const c = amount;
  if (substance.id === 'hydrogen-peroxide') {
    return [
      derive({ symbol: 'vol', name: 'volumes of oxygen', unit: 'vol' }, '11.207 × c', { c }, (x) => 11.207 * x.c),
    ];
  }
  if (substance.id === 'sodium-hypochlorite') {
    return [derive({ symbol: 'Cl', name: 'available chlorine', unit: 'g/L' }, '70.90 × c', { c }, (x) => 70.9 * x.c)];
  }
  if (substance.form === 'liquid') return byVolume(substance, w);
  if (!BAUME_KINDS.has(substance.id)) return [];
  const at60F = densityFigure(substance, w, SIXTY_F);
  if (!at60F.ok) return [];
  const d = derive(
    { symbol: 'd', name: 'specific gravity 60/60 °F', unit: '' },
    'ρ ÷ ρw',
    { ρ: at60F.value, ρw: waterDensityFigure(SIXTY_F) },
    (x) => x.ρ / x.ρw,
  );
  const twaddell = derive(
    { symbol: 'Tw', name: 'degrees Twaddell', unit: '°Tw' },
    '200 × (d − 1)',
    { d },
    (x) => 200 * (x.d - 1),
  );
  const baume = derive(
    { symbol: 'Bé', name: 'degrees Baumé', unit: '°Bé' },
    '145 − 145 ÷ d',
    { d },
    (x) => 145 - 145 / x.d,
  );
  return [d, baume, twaddell];
}

/** % by volume at 20 °C, as spirits are sold. */
function byVolume(substance: Substance, w: Figure): readonly Figure[] {
  const whole = given({ symbol: 'w', name: 'pure', unit: '%' }, 100, 'pure substance');
  const mixed = densityFigure(substance, w, 20);
  const pure = densityFigure(substance, whole, 20);
  if (!mixed.ok || !pure.ok) return [];
  return [
    derive(
      { symbol: 'φ', name: 'by volume, 20 °C', unit: '%' },
      'w × ρ ÷ ρ₁₀₀',
      { w, ρ: mixed.value, 'ρ₁₀₀': pure.value },
      (x) => (x.w * x.ρ) / x['ρ₁₀₀'],
    ),
  ];
}

/** A mass % in one unit of strength, at a temperature; refuses a unit that does not fit the substance. */
export function strengthIn(w: Figure, unit: StrengthUnit, substance: Substance, tempC: number): Result<Figure> {
  const M = molarMassFigure(substance.formula);
  if (unit === 'w/w') return ok({ ...w, symbol: 'w', name: 'by mass' });
  if (unit === 'ppm')
    return ok(derive({ symbol: 'w', name: 'by mass', unit: 'ppm' }, '10000 × w', { w }, (x) => 1e4 * x.w));
  if (unit === 'g/100g' || unit === 'mol/kg') {
    if (w.value >= 100) return fail('unit-does-not-fit', `Pure ${substance.name} holds no water to count against.`);
    if (unit === 'g/100g')
      return ok(
        derive(
          { symbol: 'r', name: 'per 100 g of water', unit: 'g/100g' },
          '100 × w ÷ (100 − w)',
          { w },
          (x) => (100 * x.w) / (100 - x.w),
        ),
      );
    return ok(
      derive(
        { symbol: 'b', name: 'amount per kg of water', unit: 'mol/kg' },
        '1000 × w ÷ (M × (100 − w))',
        { w, M },
        (x) => (1000 * x.w) / (x.M * (100 - x.w)),
      ),
    );
  }
  if (!hasDensity(substance) && !density(substance, w.value, tempC).ok)
    return fail(
      'no-density',
      `${strengthUnits[unit]} needs the density of ${substance.name} solutions, which is not held.`,
    );
  return byDensity(w, unit, substance, tempC);
}

function byDensity(w: Figure, unit: StrengthUnit, substance: Substance, tempC: number): Result<Figure> {
  const M = molarMassFigure(substance.formula);
  const gravity = { SG: 20, Bé: SIXTY_F, Tw: SIXTY_F, 'v/v': 20, proof: 20 } as Readonly<Record<string, number>>;
  const rho = densityFigure(substance, w, gravity[unit] ?? tempC);
  if (!rho.ok) return rho;
  const ρ = rho.value;
  const c = derive(
    { symbol: 'c', name: 'amount', unit: 'mol/L' },
    '10 × ρ × w ÷ M',
    { ρ, w, M },
    (x) => (10 * x.ρ * x.w) / x.M,
  );
  switch (unit) {
    case 'mol/L':
      return ok(c);
    case 'g/L':
      return ok(
        derive({ symbol: 'γ', name: 'mass in volume', unit: 'g/L' }, '10 × ρ × w', { ρ, w }, (x) => 10 * x.ρ * x.w),
      );
    case 'w/v':
      return ok(derive({ symbol: 'γ', name: 'g per 100 mL', unit: '% w/v' }, 'ρ × w', { ρ, w }, (x) => x.ρ * x.w));
    case 'SG':
    case 'Bé':
    case 'Tw':
      if (unit === 'Tw' && ρ.value < waterDensityFigure(SIXTY_F).value)
        return fail('unit-does-not-fit', 'Degrees Twaddell count what is heavier than water.');
      return ok(gravityIn(ρ, unit, substance));
    case 'v/v':
    case 'proof': {
      const [share] = byVolume(substance, w);
      if (!share)
        return fail('no-density', `% by volume needs the density of pure ${substance.name}, which is not held.`);
      return ok(
        unit === 'v/v'
          ? share
          : derive(
              { symbol: 'proof', name: 'degrees proof (US)', unit: 'proof' },
              '2 × φ',
              { φ: share },
              (x) => 2 * x.φ,
            ),
      );
    }
    case 'vol':
      return substance.id === 'hydrogen-peroxide'
        ? ok(
            derive({ symbol: 'vol', name: 'volumes of oxygen', unit: 'vol' }, '11.207 × c', { c }, (x) => 11.207 * x.c),
          )
        : fail('unit-does-not-fit', `Volumes of oxygen count peroxide, not ${substance.name}.`);
    case 'Cl g/L':
      return substance.id === 'sodium-hypochlorite'
        ? ok(derive({ symbol: 'Cl', name: 'available chlorine', unit: 'g/L' }, '70.90 × c', { c }, (x) => 70.9 * x.c))
        : fail('unit-does-not-fit', `Available chlorine counts hypochlorite, not ${substance.name}.`);
    default:
      return fail('unknown-unit', `${unit} is not computed here.`);
  }
}

function gravityIn(ρ: Figure, unit: 'SG' | 'Bé' | 'Tw', substance: Substance): Figure {
  const at = unit === 'SG' ? 20 : SIXTY_F;
  const d = derive(
    { symbol: 'd', name: unit === 'SG' ? 'specific gravity 20/20' : 'specific gravity 60/60 °F', unit: '' },
    'ρ ÷ ρw',
    { ρ, ρw: waterDensityFigure(at) },
    (x) => x.ρ / x.ρw,
  );
  if (unit === 'SG') return d;
  if (unit === 'Tw')
    return derive(
      { symbol: 'Tw', name: 'degrees Twaddell', unit: '°Tw' },
      '200 × (d − 1)',
      { d },
      (x) => 200 * (x.d - 1),
    );
  if (isLight(substance))
    return derive(
      { symbol: 'Bé', name: 'degrees Baumé (light)', unit: '°Bé' },
      '140 ÷ d − 130',
      { d },
      (x) => 140 / x.d - 130,
    );
  return derive(
    { symbol: 'Bé', name: 'degrees Baumé (heavy)', unit: '°Bé' },
    '145 − 145 ÷ d',
    { d },
    (x) => 145 - 145 / x.d,
  );
}
