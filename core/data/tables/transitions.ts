import type { TransitionRow } from '../rows.ts';

/**
 * Temperatures at which one solid gives way to another in its saturated solution, where the solubility table has no row for
 * it. CRC Handbook; Linke-Seidell; Lange's Handbook. Zinc sulfate's lower hydrate is given from 60 to 70 °C: the lower is taken.
 * Calcium nitrate passes through a trihydrate from 42.7 °C that the table does not hold.
 */
export const transitions: readonly TransitionRow[] = [
  { solute: 'MgSO4', from: 'MgSO4.11H2O', to: 'MgSO4.7H2O', tempC: 1.8 },
  { solute: 'MgSO4', from: 'MgSO4.7H2O', to: 'MgSO4.6H2O', tempC: 48.2 },
  { solute: 'MgSO4', from: 'MgSO4.6H2O', to: 'MgSO4.H2O', tempC: 68 },
  { solute: 'CuSO4', from: 'CuSO4.5H2O', to: 'CuSO4.3H2O', tempC: 95.9 },
  { solute: 'ZnSO4', from: 'ZnSO4.7H2O', to: 'ZnSO4.6H2O', tempC: 39 },
  { solute: 'ZnSO4', from: 'ZnSO4.6H2O', to: 'ZnSO4.H2O', tempC: 60 },
  { solute: 'FeSO4', from: 'FeSO4.7H2O', to: 'FeSO4.4H2O', tempC: 56.7 },
  { solute: 'FeSO4', from: 'FeSO4.4H2O', to: 'FeSO4.H2O', tempC: 64 },
  { solute: 'Ca(NO3)2', from: 'Ca(NO3)2.4H2O', to: 'Ca(NO3)2', tempC: 51 },
  { solute: 'NaBr', from: 'NaBr.2H2O', to: 'NaBr', tempC: 50.7 },
  { solute: 'Na2S2O3', from: 'Na2S2O3.5H2O', to: 'Na2S2O3.2H2O', tempC: 48.2 },
  { solute: 'Na2S2O3', from: 'Na2S2O3.2H2O', to: 'Na2S2O3', tempC: 66 },
  { solute: 'Na_formate', from: 'HCOONa.3H2O', to: 'HCOONa.2H2O', tempC: 17 },
  { solute: 'Na_formate', from: 'HCOONa.2H2O', to: 'HCOONa', tempC: 26.5 },
  { solute: 'Ca_acetate', from: 'Ca(CH3COO)2.2H2O', to: 'Ca(CH3COO)2.H2O', tempC: 84 },
  { solute: 'NaOH', from: 'NaOH.4H2O', to: 'NaOH.H2O', tempC: 12.3 },
  { solute: 'NaOH', from: 'NaOH.H2O', to: 'NaOH', tempC: 62 },
  { solute: 'KOH', from: 'KOH.2H2O', to: 'KOH.H2O', tempC: 33 },
];
