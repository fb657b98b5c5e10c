import { derive, type Figure, given } from '#core/figure';
import { molarMassFigure, type Substance } from '#core/substance';
import { densityFigure, hasDensity, waterDensityFigure } from './density.ts';
import { SIXTY_F } from './strength.ts';

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
  const rho = hasDensity(substance) ? densityFigure(substance, w, tempC) : undefined;
  if (!rho?.ok) return [byMass, ...inWater];
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

/** % by volume at 20 °C, the way spirits are sold. */
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
