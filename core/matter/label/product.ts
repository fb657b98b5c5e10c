import { itemAt } from '#base/lookup';
import { type ProductRow, products as rows } from '#matter/data';
import { molarMass, parseFormula, type Substance, substanceById } from '#matter/substance';

/** Something in a product. */
export interface Part {
  /** Null where no one formula stands for it. */
  readonly substance: Substance | null;
  readonly name: string;
  /** % in `unit`; null where a label gives it by the tablet, whose mass is not known. */
  readonly typical: number | null;
  readonly low: number;
  readonly high: number;
  readonly unit: 'w/w' | 'w/v' | 'v/v';
  /** A per cent on such a pack is of available chlorine, and not of the substance. */
  readonly byChlorine: boolean;
}

/** A kind of shop product. */
export interface Product extends Omit<ProductRow, 'parts'> {
  readonly parts: readonly Part[];
}

/** Every kind of product held. */
export const allProducts: readonly Product[] = rows.map((row) => ({ ...row, parts: row.parts.map(partOf) }));

/** Whether a substance, with or without its water, is one of a product's parts. */
export function holds({ parts }: Product, { species }: Substance): boolean {
  return parts.some(({ substance }) => substance?.species === species);
}

function partOf({ of, name = '', pct, per }: ProductRow['parts'][number]): Part {
  const substance = of === null ? null : (substanceById(of) ?? null);
  const [typical, low, high] = pct;
  const named = { substance, name: substance?.name ?? name, byChlorine: per === 'available chlorine w/w' };
  switch (per) {
    case 'w/w':
    case 'w/v':
    case 'v/v':
      return {
        ...named,
        typical: Math.min(100, typical),
        low,
        high: per === 'w/v' ? high : Math.min(100, high),
        unit: per,
      };
    case 'mg/tablet':
    case 'g/tablet':
      return { ...named, typical: null, low, high, unit: 'w/w' };
    default: {
      const times = substance ? 1 / shareOf(substance, per) : 1;
      const by = (value: number) => Math.min(100, value * times);
      return { ...named, typical: by(typical), low: by(low), high: by(high), unit: 'w/w' };
    }
  }
}

/** Mass share of what such a per cent counts in the pure substance. */
function shareOf(
  { formula }: Substance,
  per: 'available chlorine w/w' | 'N %' | 'K2O %' | 'Cu % w/w' | 'Fe % w/w',
): number {
  const atoms = (symbol: string) => {
    const read = parseFormula(formula);
    return read.ok ? (read.value.elements[symbol] ?? 0) : 0;
  };
  switch (per) {
    case 'available chlorine w/w':
      // Each chlorine that is +1 sets free as much iodine as one Cl2.
      return (atoms('Cl') * molarMass('Cl2')) / molarMass(formula);
    case 'K2O %':
      return (atoms('K') * molarMass('K2O')) / 2 / molarMass(formula);
    default: {
      const symbol = itemAt(per.split(' '), 0);
      return (atoms(symbol) * molarMass(symbol)) / molarMass(formula);
    }
  }
}
