/** One example of each kind of line, in the order the field offers them. */
export const examples: readonly string[] = [
  '28% HCl in mol/L',
  '9,5 % NH3 at 5 C in g/L',
  '30 vol H2O2 in %',
  'SG 1.142 HCl in %',
  '12.5 g CuSO4.5H2O in mol',
  '0.25 mol Na2S2O3.5H2O in g',
  '343 mL 28% HCl in mol',
  '12 L CO2 at 25 C in mol',
  'M KAl(SO4)2.12H2O',
  'dilute 28% HCl to 500 mL 2 mol/L',
  'mix 100 g 28% HCl + 250 g water',
  'balance KMnO4 + H2O2 + H2SO4 -> MnSO4 + K2SO4 + O2 + H2O',
  '2 A 3 h Cu',
  '5 g Cu at 2 A 90%',
  'pH 0.1 mol/L CH3COOH',
  '2 lb in g',
];
