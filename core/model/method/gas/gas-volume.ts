import { derive, type Figure } from '#base/figure';

/** What sets which gas free. */
export interface GasFacts {
  readonly gas: 'CO2' | 'O2' | 'H2';
  /** Moles of the substance a mole of gas. */
  readonly perGas: number;
  readonly reaction: string;
  /** Relative standard uncertainty from gas that water keeps, and what to do about it. */
  readonly lostSd: number;
  readonly lost: string;
}

const CO2 = {
  gas: 'CO2',
  lostSd: 0.02,
  lost: 'carbon dioxide: over salt water or oil, and once saturated with it',
} as const;
const O2 = { gas: 'O2', lostSd: 0.003, lost: 'oxygen hardly dissolves' } as const;
const H2 = { gas: 'H2', lostSd: 0.002, lost: 'hydrogen hardly dissolves' } as const;

const FACTS: Readonly<Record<string, GasFacts>> = {
  'sodium-carbonate': { ...CO2, perGas: 1, reaction: 'Na2CO3 + 2 H+ -> 2 Na+ + CO2 + H2O' },
  'sodium-hydrogencarbonate': { ...CO2, perGas: 1, reaction: 'NaHCO3 + H+ -> Na+ + CO2 + H2O' },
  'potassium-carbonate': { ...CO2, perGas: 1, reaction: 'K2CO3 + 2 H+ -> 2 K+ + CO2 + H2O' },
  'potassium-hydrogencarbonate': { ...CO2, perGas: 1, reaction: 'KHCO3 + H+ -> K+ + CO2 + H2O' },
  'calcium-carbonate': { ...CO2, perGas: 1, reaction: 'CaCO3 + 2 H+ -> Ca^2+ + CO2 + H2O' },
  'magnesium-carbonate': { ...CO2, perGas: 1, reaction: 'MgCO3 + 2 H+ -> Mg^2+ + CO2 + H2O' },
  'zinc-carbonate': { ...CO2, perGas: 1, reaction: 'ZnCO3 + 2 H+ -> Zn^2+ + CO2 + H2O' },
  'ammonium-hydrogencarbonate': { ...CO2, perGas: 1, reaction: 'NH4HCO3 + H+ -> NH4+ + CO2 + H2O' },
  'hydrogen-peroxide': { ...O2, perGas: 2, reaction: '2 H2O2 -> 2 H2O + O2' },
  zinc: { ...H2, perGas: 1, reaction: 'Zn + 2 H+ -> Zn^2+ + H2' },
  magnesium: { ...H2, perGas: 1, reaction: 'Mg + 2 H+ -> Mg^2+ + H2' },
  iron: { ...H2, perGas: 1, reaction: 'Fe + 2 H+ -> Fe^2+ + H2' },
  aluminium: { ...H2, perGas: 2 / 3, reaction: '2 Al + 6 H+ -> 2 Al^3+ + 3 H2' },
};

export function gasOf(species: string): GasFacts | undefined {
  return Object.hasOwn(FACTS, species) ? FACTS[species] : undefined;
}

/** hPa of water vapour over water at °C: Buck 1981, within 0.1 % from 0 to 45 °C. */
export function waterVapourHPa(tempC: number): number {
  return 6.1121 * Math.exp((18.678 - tempC / 234.5) * (tempC / (257.14 + tempC)));
}

/** R in hPa mL/(mol K). */
const R = 83_144.62618;

/** Moles of dry gas in what stands over water at the air's pressure. Ideal: CO2 takes 0.5 % less. */
export function dryGasMol({
  volumeMl,
  tempC,
  hPa,
}: {
  readonly volumeMl: Figure;
  readonly tempC: Figure;
  readonly hPa: Figure;
}): Figure {
  return derive(
    { symbol: 'n', name: 'gas, dry', unit: 'mol' },
    '(p − pw(t)) × V ÷ (R × (t + 273.15))',
    { p: hPa, V: volumeMl, t: tempC },
    (x) => ((x.p - waterVapourHPa(x.t)) * x.V) / (R * (x.t + 273.15)),
    { source: 'ideal gas law; water vapour after Buck 1981', grade: 'A' },
  );
}
