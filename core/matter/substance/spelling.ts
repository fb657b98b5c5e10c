import { must, numberAt } from '#base/lookup';
// One name, however it is spelt: British and American, with hyphens or spaces, Roman or Arabic numbers, Latin names of metals,
// plurals. All spellings come to one key; a text comes to its key with where each letter of it stood.

/** A text in its common spelling. `from` and `to` say where each of its letters stood in what was typed, [from, to). */
export interface Spelt {
  readonly text: string;
  readonly from: readonly number[];
  readonly to: readonly number[];
}

/** What was found, and its groups. */
type Found = readonly (string | undefined)[];

type Rule = readonly [pattern: RegExp, by: string | ((found: Found) => string)];

const ROMAN = ['i', 'ii', 'iii', 'iv', 'v', 'vi', 'vii'] as const;
/** Salts that keep a hydrogen: “bi-” in the old books. */
const HALF = '(?=(?:carbonate|sulfate|sulfite|phosphate|oxalate|tartrate))';

const RULES: readonly Rule[] = [
  [/[·•∙⋅]/gu, '.'],
  [
    /[₀-₉]/gu,
    ([digit = '₀']) => String(must(digit.codePointAt(0), 'codePointAt') - must('₀'.codePointAt(0), 'codePointAt')),
  ],
  // “CuSO4 · 5 H2O”, “CuSO4 x 5H2O”, “CuSO4*5 H2O”, “CuSO4+5H2O”: water of crystal, however it is set off.
  [/(?<=[\p{L}\d)\]]) ?(?:[.*x×+-] ?| )(?=(?:[0-2][.,]5|\d{1,2}) ?h2o(?![\p{L}\d]))/gu, '.'],
  [/(?<=\.(?:[0-2][.,]5|\d{1,2})) (?=h2o(?![\p{L}\d]))/gu, ''],
  [/[’‘]/gu, "'"],
  [/sulph/gu, 'sulf'],
  [/(?<!\p{L})aluminum/gu, 'aluminium'],
  [/fertilizer/gu, 'fertiliser'],
  [/(?<=[\p{L}),])[-\u2010-\u2015](?=\p{L})/gu, ' '],
  [/\s+/gu, ' '],
  [/(?<!\p{L})ferrous(?!\p{L})/gu, 'iron(ii)'],
  [/(?<!\p{L})ferric(?!\p{L})/gu, 'iron(iii)'],
  [/(?<!\p{L})cuprous(?!\p{L})/gu, 'copper(i)'],
  [/(?<!\p{L})cupric(?!\p{L})/gu, 'copper(ii)'],
  [/(?<!\p{L})stannous(?!\p{L})/gu, 'tin(ii)'],
  [/(?<!\p{L})stannic(?!\p{L})/gu, 'tin(iv)'],
  [/(?<!\p{L})manganous(?!\p{L})/gu, 'manganese(ii)'],
  [/ ?\( ?([1-7]) ?\+? ?\)/gu, ([, digit]) => `(${ROMAN[Number(digit) - 1]})`],
  [/ ?\( ?(i{1,3}|iv|v|vi|vii) ?\)/gu, ([, roman]) => `(${roman})`],
  [/(?<=\p{L}) (ii|iii|iv)(?!\p{L})/gu, ([, roman]) => `(${roman})`],
  [new RegExp(`(?<!\\p{L})bi ?${HALF}`, 'gu'), 'hydrogen'],
  [new RegExp(`hydrogen ${HALF}`, 'gu'), 'hydrogen'],
  // Words of few letters keep their s: gas, brass.
  [/(?<=\p{L}{4})(?<![sui])s(?!\p{L})/gu, ''],
];

/** A text in its common spelling, letter by letter. */
export function spelt(typed: string): Spelt {
  const lower = typed.toLowerCase();
  // A letter that grows in lower case would shift all that follows.
  const letters = lower.length === typed.length ? lower : typed;
  let now: Spelt = {
    text: letters,
    from: Array.from({ length: letters.length }, (_, i) => i),
    to: Array.from({ length: letters.length }, (_, i) => i + 1),
  };
  for (const [pattern, by] of RULES) now = replaced(now, pattern, by);
  return now;
}

function replaced(now: Spelt, pattern: RegExp, by: Rule[1]): Spelt {
  const matches = [...now.text.matchAll(pattern)];
  if (matches.length === 0) return now;
  let text = '';
  const from: number[] = [];
  const to: number[] = [];
  let at = 0;
  const keep = (until: number) => {
    text += now.text.slice(at, until);
    for (let i = at; i < until; i++) {
      from.push(numberAt(now.from, i));
      to.push(numberAt(now.to, i));
    }
  };
  for (const match of matches) {
    keep(match.index);
    const end = match.index + match[0].length;
    const said = typeof by === 'string' ? by : by(match);
    text += said;
    for (let i = 0; i < said.length; i++) {
      from.push(numberAt(now.from, match.index));
      to.push(numberAt(now.to, end - 1));
    }
    // What falls away belongs to the letter before it.
    if (said === '' && to.length > 0) to[to.length - 1] = numberAt(now.to, end - 1);
    at = end;
  }
  keep(now.text.length);
  return { text, from, to };
}

/** What all spellings of a name have in common. */
export function keyOf(name: string): string {
  const typed = name.trim();
  const known = KEYS.get(typed);
  if (known !== undefined) return known;
  const lower = typed.toLowerCase();
  // Where each letter stood is not asked for here, and finding it is most of the work.
  const key = RULES.reduce(inPlainText, lower.length === typed.length ? lower : typed);
  if (KEYS.size >= MOST_KEYS) KEYS.clear();
  KEYS.set(typed, key);
  return key;
}

/** Names come again and again; what is typed letter by letter does not fill the memory. */
const KEYS = new Map<string, string>();
const MOST_KEYS = 20_000;

function inPlainText(text: string, [pattern, by]: Rule): string {
  if (typeof by === 'string') return text.replace(pattern, by);
  // The last two of what a replacer is given are the place and the whole text.
  return text.replace(pattern, (...found) => by(found.slice(0, -2)));
}
