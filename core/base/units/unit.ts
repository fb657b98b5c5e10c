/** What a unit measures. */
export type Dimension = 'mass' | 'volume' | 'amount' | 'time' | 'temperature' | 'pressure' | 'charge' | 'fraction';

export interface Unit {
  readonly name: string;
  readonly dimension: Dimension;
  /** Multiply by this to reach the inner unit: g, mL, mol, s, °C, hPa, A s, 1. */
  readonly factor: number;
}

// Exact by definition: pound and ounce (1959 agreement), US gallon 231 in³, imperial gallon 4.54609 L.
const UNITS: readonly (readonly [Dimension, number, string, ...string[]])[] = [
  ['mass', 1, 'g', 'gram', 'grams', 'gr', 'gm', 'gms'],
  ['mass', 1000, 'kg', 'kilo', 'kilos', 'kilogram', 'kilograms', 'kgs'],
  ['mass', 0.001, 'mg', 'milligram', 'milligrams'],
  ['mass', 1e6, 't', 'tonne', 'tonnes'],
  ['mass', 453.59237, 'lb', 'lbs', 'pound', 'pounds'],
  ['mass', 28.349523125, 'oz', 'ounce', 'ounces'],
  ['volume', 1, 'mL', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc', 'cm3', 'cm³'],
  ['volume', 10, 'cL', 'centilitre', 'centilitres'],
  ['volume', 100, 'dL', 'decilitre'],
  ['volume', 1000, 'L', 'litre', 'litres', 'liter', 'liters', 'ltr', 'ltrs', 'dm3', 'dm³'],
  ['volume', 0.001, 'µL', 'uL', 'μL', 'microlitre'],
  ['volume', 29.5735295625, 'fl oz', 'floz', 'fl. oz', 'fl.oz', 'us fl oz'],
  ['volume', 28.4130625, 'imp fl oz', 'uk fl oz'],
  ['volume', 473.176473, 'pt', 'pint', 'pints', 'us pint'],
  ['volume', 946.352946, 'qt', 'quart', 'quarts'],
  ['volume', 3785.411784, 'gal', 'gallon', 'gallons', 'us gal', 'us gallon'],
  ['volume', 4546.09, 'imp gal', 'imperial gallon', 'uk gal', 'uk gallon'],
  ['volume', 568.26125, 'imp pint', 'imperial pint', 'uk pint'],
  ['amount', 1, 'mol', 'mole', 'moles'],
  ['amount', 0.001, 'mmol', 'millimole', 'millimoles'],
  ['time', 1, 's', 'sec', 'second', 'seconds'],
  ['time', 60, 'min', 'minute', 'minutes'],
  ['time', 3600, 'h', 'hr', 'hour', 'hours'],
  ['time', 86400, 'd', 'day', 'days'],
  ['temperature', 1, '°C', 'C', 'degC', 'celsius'],
  ['pressure', 1, 'hPa', 'mbar'],
  ['pressure', 10, 'kPa'],
  ['pressure', 1.33322387415, 'mmHg'],
  ['fraction', 0.01, '%', 'percent', 'per cent'],
];

const BY_NAME = new Map<string, Unit>();
for (const [dimension, factor, name, ...others] of UNITS) {
  const unit: Unit = { name, dimension, factor };
  for (const each of [name, ...others]) BY_NAME.set(each.toLowerCase(), unit);
}

/** The unit by any of its names, whatever the case; undefined when there is none. */
export function findUnit(name: string): Unit | undefined {
  return BY_NAME.get(name.trim().toLowerCase().replace(/\s+/g, ' '));
}

/** Names of the units of one dimension, for messages. */
export function unitNames(dimension: Dimension): readonly string[] {
  return UNITS.filter(([each]) => each === dimension).map(([, , name]) => name);
}
