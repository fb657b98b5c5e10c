import { derive, type Figure, given } from '#base/figure';

/** Gas constant in L hPa/(mol K); CODATA 2018, exact. */
const R = 83.14462618;

/** Litres that a mole of an ideal gas takes. */
export function molarVolume(tempC: number, pressureHPa: number): number {
  return (R * (tempC + 273.15)) / pressureHPa;
}

/** Litres of an ideal gas at the bench. Real CO2 takes 0.5 % less, hydrogen 0.1 % more. */
export function gasVolume(amount: Figure, name: string, tempC: number, pressureHPa: number): Figure {
  const T = given({ symbol: 'T', name: 'temperature', unit: 'K' }, tempC + 273.15, 'bench temperature');
  const p = given({ symbol: 'p', name: 'air pressure', unit: 'hPa' }, pressureHPa, 'bench barometer');
  return derive(
    { symbol: 'V(gas)', name: `${name} set free`, unit: 'L' },
    '83.145 × n × T ÷ p',
    { n: amount, T, p },
    (x) => (R * x.n * x.T) / x.p,
    { source: 'ideal gas law', grade: 'A' },
  );
}
