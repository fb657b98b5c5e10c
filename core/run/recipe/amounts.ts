/** An amount as a recipe gives it, in grams or millilitres. */
export interface FoundAmount {
  /** Null for “a little”, “some”, “enough”. */
  readonly value: number | null;
  readonly unit: 'g' | 'mL' | 'part';
  /** Half-width of what it may be, as a share: a spoon is no balance. */
  readonly band: number;
  readonly typed: string;
  readonly from: number;
  readonly to: number;
}

interface OldUnit {
  readonly names: string;
  readonly factor: number;
  readonly unit: FoundAmount['unit'];
  readonly band: number;
}

// Kitchen measures as they are sold today (US cup 240 mL, spoon 15 and 5 mL); apothecaries’ measures of the British Pharmacopoeia.
const UNITS: readonly OldUnit[] = [
  { names: 'kg|kilos?|kilograms?', factor: 1000, unit: 'g', band: 0.01 },
  { names: 'mg|milligrams?', factor: 0.001, unit: 'g', band: 0.02 },
  { names: 'g|gr?ms?|grams?|grammes?', factor: 1, unit: 'g', band: 0.01 },
  { names: 'lbs?|pounds?', factor: 453.592_37, unit: 'g', band: 0.02 },
  { names: 'fl\\.? ?oz|fluid ounces?', factor: 29.573_53, unit: 'mL', band: 0.05 },
  { names: 'oz|ounces?', factor: 28.349_523, unit: 'g', band: 0.02 },
  { names: 'grains?', factor: 0.064_799, unit: 'g', band: 0.02 },
  { names: 'dra(?:ch)?ms?', factor: 3.887_93, unit: 'g', band: 0.05 },
  { names: 'ml|millilit(?:re|er)s?|cc|ccm|cm3', factor: 1, unit: 'mL', band: 0.02 },
  { names: 'cl|centilit(?:re|er)s?', factor: 10, unit: 'mL', band: 0.02 },
  { names: 'l|lit(?:re|er)s?', factor: 1000, unit: 'mL', band: 0.02 },
  { names: 'tbsps?|tbs|tablespoons?(?:ful)?s?', factor: 15, unit: 'mL', band: 0.2 },
  { names: 'tsps?|teaspoons?(?:ful)?s?', factor: 5, unit: 'mL', band: 0.25 },
  { names: 'cups?(?:ful)?s?', factor: 240, unit: 'mL', band: 0.1 },
  { names: 'pints?', factor: 520, unit: 'mL', band: 0.1 },
  { names: 'quarts?', factor: 1040, unit: 'mL', band: 0.1 },
  { names: 'gallons?', factor: 4160, unit: 'mL', band: 0.1 },
  { names: 'drops?', factor: 0.05, unit: 'mL', band: 0.3 },
  { names: 'pinch(?:es)?', factor: 0.4, unit: 'g', band: 0.5 },
  { names: 'parts?', factor: 1, unit: 'part', band: 0.05 },
];

const FRACTIONS: Readonly<Record<string, number>> = {
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 0.125,
};
const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  twelve: 12,
  half: 0.5,
  'half a': 0.5,
  'a quarter of a': 0.25,
};

const NUMBER = String.raw`\d+(?:[.,]\d+)?(?:\s*[½¼¾⅓⅔⅛]|\s+\d\/\d|\/\d+)?|[½¼¾⅓⅔⅛]`;
const WORD = Object.keys(WORDS)
  .sort((a, b) => b.length - a.length)
  .join('|');
const AMOUNT = new RegExp(
  String.raw`(?<![\p{L}\d.,/])(?:(${NUMBER})(?:\s*(?:-|–|to)\s*(${NUMBER}))?|(${WORD}))\s*(?:level |heaped |heaping |large |small )?(${UNITS.map(({ names }) => names).join('|')})(?![\p{L}\d/])\.?`,
  'giu',
);
const LITTLE =
  /(?<!\p{L})(?:a little|a few drops of|some|enough|a splash of|a dash of|an excess of|excess|a bit of|plenty of)(?!\p{L})/giu;

/** Every amount in a text, in the order they stand. */
export function amountsIn(text: string): readonly FoundAmount[] {
  const found: FoundAmount[] = [];
  for (const match of text.matchAll(AMOUNT)) {
    const [typed, low, high, word, unit = ''] = match;
    const of = UNITS.find(({ names }) => new RegExp(`^(?:${names})$`, 'i').test(unit));
    if (!of) continue;
    const first = word === undefined ? numberOf(low ?? '') : (WORDS[word.toLowerCase()] ?? Number.NaN);
    const second = high === undefined ? first : numberOf(high);
    const value = ((first + second) / 2) * of.factor;
    if (!Number.isFinite(value) || value <= 0) continue;
    const spread = first + second > 0 ? Math.abs(second - first) / (first + second) : 0;
    found.push({
      value,
      unit: of.unit,
      band: Math.max(of.band, spread),
      typed,
      from: match.index,
      to: match.index + typed.length,
    });
  }
  for (const match of text.matchAll(LITTLE)) {
    const [typed] = match;
    const from = match.index;
    if (found.some((each) => from < each.to && from + typed.length > each.from)) continue;
    found.push({ value: null, unit: 'g', band: 1, typed, from, to: from + typed.length });
  }
  return found.sort((a, b) => a.from - b.from);
}

/** “1 1/2”, “1½”, “3/4”, “2,5”. */
function numberOf(text: string): number {
  let sum = 0;
  for (const part of text.trim().split(/\s+|(?=[½¼¾⅓⅔⅛])/u)) {
    const [top, bottom] = part.split('/');
    const known = FRACTIONS[part];
    if (known !== undefined) sum += known;
    else sum += bottom === undefined ? Number(part.replace(',', '.')) : Number(top) / Number(bottom);
  }
  return sum;
}

const DEGREES = /(\d{2,4})\s*(?:°|º|degrees?|deg\.?)?\s*(fahrenheit|celsius|centigrade|f|c)(?![\p{L}])/giu;

/** Temperatures in a text, °C. */
export function degreesIn(text: string): readonly number[] {
  return [...text.matchAll(DEGREES)].map(([, n, scale = '']) =>
    /^f/i.test(scale) ? Math.round(((Number(n) - 32) * 5) / 9) : Number(n),
  );
}
