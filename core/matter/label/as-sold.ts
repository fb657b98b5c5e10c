import { massFraction } from '#matter/solution';
import { formulaText, type Substance, type SubstanceId, substanceOf } from '#matter/substance';
import { type Question, said } from './question.ts';
import type { ReadStrength } from './read-strength.ts';

/** Salts that are sold with this water under the bare name; the dry one says that it is dry. */
const SOLD: Readonly<Partial<Record<SubstanceId, SubstanceId>>> = {
  'barium-chloride': 'barium-chloride-dihydrate',
  'calcium-nitrate': 'calcium-nitrate-tetrahydrate',
  'copper-acetate': 'copper-acetate-monohydrate',
  'copper-chloride': 'copper-chloride-dihydrate',
  'copper-sulfate': 'copper-sulfate-pentahydrate',
  'iron-sulfate': 'iron-sulfate-heptahydrate',
  'magnesium-chloride': 'magnesium-chloride-hexahydrate',
  'magnesium-sulfate': 'magnesium-sulfate-heptahydrate',
  'sodium-thiosulfate': 'sodium-thiosulfate-pentahydrate',
  'zinc-acetate': 'zinc-acetate-dihydrate',
  'zinc-sulfate': 'zinc-sulfate-heptahydrate',
};

/** Sold with water and without it under one name: nobody can tell which from the bare name. */
const EITHER: Readonly<Partial<Record<SubstanceId, SubstanceId>>> = {
  'calcium-chloride': 'calcium-chloride-dihydrate',
  'sodium-acetate': 'sodium-acetate-trihydrate',
  'sodium-sulfate': 'sodium-sulfate-decahydrate',
};

const DRY = /(?<!\p{L})(?:anhydrous|dried|dry|calcined|exsiccated|water-free|waterless)(?!\p{L})/iu;
const ANHYDROUS = /(?<!\p{L})anhydrous(?!\p{L})/iu;
const HYDRATE = /(?<!an)hydrate|h2o/iu;
/** Names of the hydrate itself, by which a solution is not meant without its water. */
const SAYS_WATER = /hydrate|h2o|crystals|salts?(?!\p{L})/iu;
const SPIRITS: ReadonlySet<string> = new Set(['ethanol', 'isopropanol', 'methanol']);
const BY_MASS = /w\s*\/\s*w|m\s*\/\s*m|mass|weight/i;

export interface Sold<T> {
  readonly value: T;
  /** What was taken for granted; undefined where the label said it. */
  readonly assumption?: string;
  /** What must be said first. */
  readonly question?: Question;
}

/**
 * The form of a salt that stands on the shelf: a solid with the water it is sold with, a solution counted without. A name
 * under which both are sold, and a formula without water for a salt that is sold with it, are asked about.
 */
export function asSold(
  substance: Substance,
  typed: string,
  { isLiquid, at }: { readonly isLiquid: boolean; readonly at: readonly [number, number] },
): Sold<Substance> {
  // A common name of the hydrate, said to be without: “copper sulfate anhydrous”.
  if (ANHYDROUS.test(typed) && !HYDRATE.test(typed)) return { value: substanceOf(substance.species) };
  if (isLiquid) return inSolution(substance, typed);
  const either = EITHER[substance.id];
  const sold = SOLD[substance.id] ?? either;
  if (!sold || DRY.test(typed)) return { value: substance };
  const hydrate = substanceOf(sold);
  const formula = new RegExp(`(?<![\\p{L}\\d])${escaped(substance.formula)}(?![\\p{L}\\d])`, 'u').test(typed);
  if (!formula && !either)
    return {
      value: hydrate,
      assumption: `Taken as ${formulaText(hydrate.formula)}, as it is sold; write “anhydrous” where the pack says so.`,
    };
  const dry = `${substance.name} anhydrous`;
  return {
    value: substance,
    question: {
      asks: `Which: with its water, ${formulaText(hydrate.formula)}, or without? It is sold ${either ? 'both ways' : 'with it, mostly'}: write “${hydrate.name}” or “${dry}”.`,
      choices: [hydrate.name, dry].map((name) => ({ says: name, decides: '', text: said(typed, at, name) })),
    },
  };
}

/** Strengths of solutions count the salt without its water, unless the label names it with. */
function inSolution(substance: Substance, typed: string): Sold<Substance> {
  const dry = substanceOf(substance.species);
  const named = (Object.values(SOLD) as readonly string[]).includes(substance.id) && !SAYS_WATER.test(typed);
  if (dry.id === substance.id || !named) return { value: substance };
  return {
    value: dry,
    assumption: `A solution: its strength counts ${formulaText(dry.formula)}, without water of crystal.`,
  };
}

/** Spirits are sold by volume: a bare % of one is that, where its density is held. */
export function spiritByVolume(strength: ReadStrength, substance: Substance, typed: string): Sold<ReadStrength> {
  const written = typed.slice(...strength.at);
  if (strength.unit !== 'w/w' || !SPIRITS.has(substance.id) || BY_MASS.test(written)) return { value: strength };
  const volume: ReadStrength = { ...strength, unit: 'v/v' };
  if (!massFraction(volume, substance, 20).ok) return { value: strength };
  return {
    value: volume,
    assumption: '“%” of a spirit is taken by volume, as it is sold; write “% w/w” where the pack says by mass.',
  };
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');
