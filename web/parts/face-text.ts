import { formatNumber, formatPlain } from '#base/units';
import type { Strength } from '#matter/solution';
import type { BottleCard, BottleFace } from '#matter/stock';

const SHORT: Readonly<Record<Strength['unit'], string>> = {
  'w/w': '%',
  'w/v': '% w/v',
  'v/v': '% v',
  'mol/L': 'mol/L',
  'mol/kg': 'm',
  'g/L': 'g/L',
  'g/100g': 'g/hg',
  SG: 'sg',
  Bé: '°Bé',
  Tw: '°Tw',
  vol: 'vol',
  'Cl g/L': 'g/L Cl',
  proof: 'pf',
  ppm: 'ppm',
};

/** The strength as it fits a small label: “28 %”, “30 vol”, “~100 %” where it is only taken so. */
export function labelStrength(card: BottleCard): string {
  if (card.strength === null) return '~100 %';
  return `${formatPlain(card.strength.value, 3)} ${SHORT[card.strength.unit]}`;
}

/** “3.2 L left”, “420 g left”, “size not known”. */
export function leftText(card: BottleCard, face: BottleFace | undefined): string {
  if (card.size === null || face?.level === null || face?.level === undefined) return 'size not known';
  const value = card.size.value * face.level;
  if (value <= 0.5) return 'empty';
  const big = card.size.unit === 'g' ? 'kg' : 'L';
  return value >= 1000
    ? `${formatNumber(value / 1000, 2)} ${big} left`
    : `${formatNumber(value, 2)} ${card.size.unit} left`;
}
