import { parseLabel, productsIn } from '#matter/label';
import { massFraction } from '#matter/solution';
import { type Substance, spelt, substanceById, substancesIn } from '#matter/substance';

/** What a stretch of a recipe names, and how strong it is. */
export interface Found {
  readonly substance: Substance;
  /** Mass %; null where nothing says, and it is taken as pure. */
  readonly pct: number | null;
  /** The words that were taken for it. */
  readonly words: string;
  /** Where they stand in the stretch, as it is spelt. */
  readonly index: number;
}

const STRENGTH =
  /\d+(?:[.,]\d+)?\s*(?:%|per ?cent|vol(?:ume)?s?(?!\p{L})|mol\/L|M(?![\p{L}]))(?:\s*(?:w\/w|w\/v|v\/v|by mass|by volume))?/iu;

/** The first or last thing that is named in a text; undefined where nothing is that is known. */
export function namedIn(typed: string, which: 'first' | 'last' = 'first'): Found | undefined {
  const { text } = spelt(typed);
  const names = [
    ...substancesIn(text).map(({ index, key }) => ({ index, words: key })),
    ...productsIn(text).map(({ index, key }) => ({ index, words: key })),
  ];
  const sorted = names.sort((a, b) => a.index - b.index || b.words.length - a.words.length);
  const last = sorted.at(-1);
  const first = which === 'first' ? sorted[0] : sorted.find(({ index }) => index === last?.index);
  if (!first) return undefined;
  const strength = STRENGTH.exec(typed)?.[0].replace(/per ?cent/i, '%') ?? '';
  for (const label of [`${first.words} ${strength}`.trim(), first.words]) {
    const { card } = parseLabel(label, '2026-01-01', 20);
    const substance = card && substanceById(card.substanceId);
    if (!card || !substance) continue;
    const w = card.strength && massFraction(card.strength, substance, 20);
    return { substance, pct: w?.ok ? w.value : null, ...first };
  }
  // A name of the record alone, where a label would have to say more.
  const [bare] = substancesIn(first.words);
  return bare ? { substance: bare.value, pct: null, ...first } : undefined;
}
