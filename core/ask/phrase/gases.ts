const NAMES = new Map(
  Object.entries({
    hydrogen: 'H2',
    oxygen: 'O2',
    nitrogen: 'N2',
    chlorine: 'Cl2',
    'carbon dioxide': 'CO2',
    'carbon monoxide': 'CO',
    'sulfur dioxide': 'SO2',
    'ammonia gas': 'NH3',
    methane: 'CH4',
    'hydrogen sulfide': 'H2S',
    'nitrogen dioxide': 'NO2',
    'nitric oxide': 'NO',
  }),
);

/** The formula of a gas by its name, for “12 L carbon dioxide”. */
export function gasByName(name: string): string | undefined {
  return NAMES.get(name.toLowerCase());
}

const GASES = new Set([...NAMES.values(), 'HCl', 'O3', 'He', 'Ar', 'Ne', 'N2O', 'C2H2', 'C2H4', 'C2H6']);

export function isGasFormula(formula: string): boolean {
  return GASES.has(formula);
}
