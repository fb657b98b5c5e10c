/** Units that a strength is spoken of in, in words. */
export const strengthUnits = {
  'w/w': '% by mass',
  'w/v': 'g per 100 mL',
  'v/v': '% by volume',
  'mol/L': 'mol/L',
  'mol/kg': 'mol per kg of water',
  'g/L': 'g/L',
  'g/100g': 'g per 100 g of water',
  SG: 'specific gravity 20/20',
  Bé: 'degrees Baumé',
  Tw: 'degrees Twaddell',
  vol: 'volumes of oxygen',
  'Cl g/L': 'g/L available chlorine',
  proof: 'degrees proof (US)',
  ppm: 'mg per kg',
} as const;

export type StrengthUnit = keyof typeof strengthUnits;
