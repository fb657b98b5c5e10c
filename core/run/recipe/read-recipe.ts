import { fail, ok, type Result } from '#base/problem';
import { type Reaction, reactionText } from '#matter/reaction';
import { density } from '#matter/solution';
import { molarMass, refusedIn, refusedSentence, type Substance, type SubstanceId } from '#matter/substance';
import { amountsIn, degreesIn, type FoundAmount } from './amounts.ts';
import { namedIn } from './named.ts';
import { oddIn } from './odd.ts';
import { balancedWith } from './reaction-of.ts';
import type { Ingredient, RecipeRead, RecipeStep } from './recipe.ts';

/** g that a mL of a solid weighs as it lies in a spoon; salts are 0.6 to 1.3. */
const HEAPED = { gPerMl: 0.9, band: 0.35 } as const;
/** A recipe in parts is taken as so many times this, g: only the proportions count. */
const PART_G = 10;

const GIVES =
  /(?<!\b(?:to|how) )\b(?:gives?|yields?|makes?|produces?|affords?|obtain(?:s|ed)?|get|comes? to|expect)\b/i;
const TITLE = /^(?:to make|making|preparation of|for|recipe for)?\s*/i;

/** Reads a recipe. Refused only where nothing in it is known, or it is for what is not planned here. */
export function readRecipe(text: string): Result<RecipeRead> {
  if (text.trim() === '')
    return fail('missing-part', 'Paste or type a recipe: what goes in, what is done.', { field: 'recipe' });
  if (text.length > 8000)
    return fail('too-large', 'That is longer than a recipe; leave out what is not to be done, to 8000 letters.', {
      field: 'recipe',
    });
  const refused = refusedIn(text);
  if (refused) return fail('beyond-scope', refusedSentence(refused), { field: 'recipe' });
  const clauses = clausesOf(text);
  const promised = clauses.flatMap((clause) => promiseIn(clause))[0];
  const makes = promised?.substance ?? titled(text);
  const found = clauses.filter((clause) => !promiseIn(clause)[0]).flatMap((clause) => ingredientsIn(clause));
  const others = found.filter(
    ({ substance }) => makes === null || substance.id === 'water' || !isSame(substance, makes),
  );
  // What is only made purer is taken and made.
  const purifies = makes !== null && others.every(({ substance }) => substance.id === 'water');
  const merged = mergedOf(purifies ? found : others);
  const water = merged.filter(({ substance }) => substance.id === 'water');
  const reagents = merged.filter(({ substance }) => substance.id !== 'water');
  if (reagents.length === 0)
    return fail(
      'unknown-substance',
      'Nothing in this text is a substance that is known here, with an amount or without.',
      { field: 'recipe' },
    );
  const balanced = makes && !purifies ? balancedWith(reagents, makes) : null;
  const reaction = balanced?.reaction ?? null;
  const counted = purifies
    ? reagents.map((each) => ({ ...each, times: 1, limits: true }))
    : withTimes(reagents, reaction);
  const limiting = counted.find(({ limits }) => limits);
  const theoryG = makes && limiting ? theoryOf(makes, reaction, limiting) : null;
  const brought = reagents.reduce((sum, each) => sum + ((each.grams ?? 0) * (100 - each.pct)) / 100, 0);
  const read: RecipeRead = {
    makes,
    promisedG: promised?.grams ?? null,
    ingredients: [...counted, ...water.map((each) => ({ ...each, times: null, limits: false }))],
    waterG: water.reduce((sum, { grams }) => sum + (grams ?? 0), 0) + brought,
    reaction,
    equation: reaction ? reactionText(reaction) : '',
    purifies,
    lacks: balanced?.lacks ?? null,
    theoryG,
    steps: sentencesOf(text).flatMap((sentence) => stepIn(sentence)),
    odd: [],
    missing: [],
  };
  return ok({ ...read, ...oddIn(read, text) });
}

function clausesOf(text: string): readonly string[] {
  return text
    .split(
      /\n|;|(?<!\d|\b(?:lbs?|oz|fl|tbsps?|tsps?|tbs|gals?|pts?|qts?|deg|approx|abt|c|dr|gr))\.(?!\d)|(?<=\d)\.(?=\s|$)|(?<=[°º]\s?C)\.(?=\s|$)/i,
    )
    .map((each) => each.trim())
    .filter((each) => each !== '');
}

function sentencesOf(text: string): readonly string[] {
  return clausesOf(text).filter((each) => /\p{L}{3}/u.test(each));
}

interface Raw extends Omit<Ingredient, 'times' | 'limits'> {}

/** Each amount with what follows it, up to the next; and what is named without any. */
function ingredientsIn(clause: string): readonly Raw[] {
  const amounts = amountsIn(clause);
  return amounts.flatMap((amount, i) => {
    const before = clause.slice(amounts[i - 1]?.to ?? 0, amount.from);
    const behind = clause.slice(amount.to, amounts[i + 1]?.from ?? clause.length);
    // “potassium iodide, 5 g”: the name comes before where nothing follows.
    const named = namedIn(behind) ?? namedIn(before, 'last');
    return named ? [rawOf(amount, named)] : [];
  });
}

function rawOf(amount: FoundAmount, { substance, pct, words }: NonNullable<ReturnType<typeof namedIn>>): Raw {
  const liquid = substance.form === 'dissolved' || substance.form === 'liquid';
  const taken = pct === null && liquid && substance.id !== 'water';
  const strength = pct ?? 100;
  const g = gramsOf(amount, { substance, pct: strength, liquid });
  const M = molarMass(substance.formula);
  return {
    substance,
    typed: `${amount.typed} ${words}`.trim(),
    says: saysOf(amount, g, { substance, pct: strength, taken }),
    grams: g?.grams ?? null,
    band: g?.band ?? 1,
    pct: strength,
    taken,
    mol: g === null || taken ? null : (g.grams * strength) / 100 / M,
  };
}

function gramsOf(
  { value, unit, band }: FoundAmount,
  { substance, pct, liquid }: { readonly substance: Substance; readonly pct: number; readonly liquid: boolean },
): { readonly grams: number; readonly band: number } | null {
  if (value === null) return null;
  if (unit === 'g') return { grams: value, band };
  if (unit === 'part') return { grams: value * PART_G, band };
  if (substance.id === 'water') return { grams: value, band };
  if (!liquid) return { grams: value * HEAPED.gPerMl, band: Math.hypot(band, HEAPED.band) };
  const rho = density(substance, Math.min(pct, 100), 20);
  return rho.ok
    ? { grams: value * rho.value.gPerMl, band }
    : { grams: value * (substance.described?.gPerMl ?? 1), band: Math.max(band, 0.1) };
}

function saysOf(
  { value, unit }: FoundAmount,
  g: { readonly grams: number; readonly band: number } | null,
  { substance, pct, taken }: { readonly substance: Substance; readonly pct: number; readonly taken: boolean },
): string {
  const strength = pct < 99.5 ? `, ${Number(pct.toPrecision(3))} %` : '';
  if (value === null || g === null) return `${substance.name}${strength}: how much is not said`;
  const about = g.band > 0.04 ? 'about ' : '';
  const grams = `${about}${Number(g.grams.toPrecision(3))} g`;
  const part = unit === 'part' ? ' (a part taken as 10 g, by mass)' : '';
  return `${grams} of ${substance.name}${strength}${taken ? ', its strength not said' : ''}${part}`;
}

/** What is named twice is taken in all. */
function mergedOf(all: readonly Raw[]): readonly Raw[] {
  const by = new Map<SubstanceId, Raw>();
  for (const each of all) {
    const had = by.get(each.substance.id);
    if (!had) {
      by.set(each.substance.id, each);
      continue;
    }
    if (each.grams === null) continue;
    const grams = (had.grams ?? 0) + each.grams;
    const mol = had.mol === null && had.grams !== null ? null : (had.mol ?? 0) + (each.mol ?? 0);
    by.set(each.substance.id, {
      ...had,
      grams,
      mol,
      typed: `${had.typed}; ${each.typed}`,
      says: `${had.says}; ${each.says}`,
    });
  }
  return [...by.values()];
}

/** What it is promised to give, where a clause says so. */
function promiseIn(clause: string): readonly { readonly substance: Substance; readonly grams: number | null }[] {
  const match = GIVES.exec(clause);
  if (!match) return [];
  const behind = clause.slice(match.index + match[0].length);
  const named = namedIn(behind);
  if (!named || named.substance.id === 'water') return [];
  const amount = amountsIn(behind).find(({ unit, value }) => unit === 'g' && value !== null);
  return [{ substance: named.substance, grams: amount?.value ?? null }];
}

/** What the first line names, where it is a title and takes nothing. */
function titled(text: string): Substance | null {
  const [line = ''] = text.trim().split(/\n|:|\.\s/);
  if (amountsIn(line).some(({ value }) => value !== null)) {
    const [amount] = amountsIn(line);
    const named = namedIn(line.replace(TITLE, ''));
    return amount && named && /^(?:to make|making|preparation|recipe|for)\b/i.test(line.trim())
      ? named.substance
      : null;
  }
  return namedIn(line.replace(TITLE, ''))?.substance ?? null;
}

function isSame(a: Substance, b: Substance): boolean {
  return a.species === b.species;
}

function withTimes(reagents: readonly Raw[], reaction: Reaction | null): readonly Ingredient[] {
  const extents = reagents.map(({ substance, mol }) => {
    const term = reaction?.reactants.find(({ substanceId }) => substanceId === substance.species);
    return term && mol !== null ? mol / term.n : null;
  });
  const known = extents.filter((each) => each !== null);
  const least = known.length > 0 ? Math.min(...known) : null;
  return reagents.map((each, i) => {
    const extent = extents[i] ?? null;
    return {
      ...each,
      times: extent !== null && least ? extent / least : null,
      limits: extent !== null && extent === least,
    };
  });
}

function theoryOf(makes: Substance, reaction: Reaction | null, limiting: Ingredient): number | null {
  if (reaction === null) return limiting.mol === null ? null : limiting.mol * molarMass(makes.formula);
  const { reactants, products } = reaction;
  const term = reactants.find(({ substanceId }) => substanceId === limiting.substance.species);
  const made = products.find(({ substanceId }) => substanceId === makes.species);
  if (!term || !made || limiting.mol === null) return null;
  return (limiting.mol / term.n) * made.n * molarMass(makes.formula);
}

const VERBS: readonly (readonly [kind: string, words: RegExp])[] = [
  ['dissolve', /\b(?:dissolv|stir(?:red)? into)/i],
  ['add', /\b(?:add|pour|mix|put|drop|sprinkle)/i],
  ['filter-off', /\b(?:filter|strain)/i],
  ['wash', /\b(?:wash|rinse)/i],
  ['boil-down', /\b(?:boil (?:it |them |this )?down|evaporat|concentrat|reduce)/i],
  ['crystallise', /\b(?:cool|chill|crystalli[sz]|fridge|refrigerat|ice)/i],
  ['dry', /\b(?:dry|dried|oven|bake)/i],
  ['hold', /\b(?:leave|stand|wait|overnight|hours?|simmer|heat|warm|boil)\b/i],
];

function stepIn(sentence: string): readonly RecipeStep[] {
  const kinds = VERBS.flatMap(([kind, words]) => {
    const at = sentence.search(words);
    return at >= 0 ? [{ kind, at }] : [];
  })
    .sort((a, b) => a.at - b.at)
    .map(({ kind }) => kind);
  return kinds.length > 0 ? [{ text: sentence, kinds, tempsC: degreesIn(sentence) }] : [];
}
