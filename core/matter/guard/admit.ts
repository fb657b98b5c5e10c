import { entryOf } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import {
  isDescribedId,
  type Refused,
  refusedIn,
  refusedSentence,
  refusedThing,
  type Substance,
  substanceById,
} from '#matter/substance';
import { classesOf } from './classes.ts';

/**
 * What someone wants to do with a substance: make it so strong, take it so strong from a bottle, boil or leave its water away,
 * let it crystallise, dry it as a solid, or heat it in a still.
 */
export type Deed = 'make' | 'take' | 'concentrate' | 'crystallise' | 'dry' | 'distil';

export interface Wanted {
  readonly substanceId: string;
  /** Mass %, where the deed is about a strength. */
  readonly pct?: number;
}

/** Mass % above which no plan is made here, whatever the route. Beyond lies licensed practice. */
const MADE_TO: Readonly<Record<string, number>> = {
  'sulfuric-acid': 70,
  'nitric-acid': 68,
  'hydrogen-peroxide': 12,
  'hydrochloric-acid': 37,
  bromine: 3,
};

/** Mass % above which a bought bottle is not even diluted: what is sold as 68 % may read a little more. */
const TAKEN_TO: Readonly<Record<string, number>> = { 'nitric-acid': 70, 'hydrogen-peroxide': 36, bromine: 3.5 };
/** Refused by its formula, and planned as a dilute solution of it: what stands at its strength decides. */
const IN_WATER_ONLY: ReadonlySet<string> = new Set(['bromine']);

const GROWS_STRONG =
  'it grows stronger as its water goes, gives off oxygen and can boil over by itself. Use it as strong as it is bought';
const BURNS = 'its vapour goes along with the water, and burns. It is distilled into a condenser, in the still';
const FUMES = 'it goes off into the room along with the water. It is distilled into a condenser, in the still';
const EXPLODES = 'it can explode when it is heated or lies dry and warm';

/** Why a solution of these is not boiled down or left to evaporate: whole classes, and single ones. */
const KEEPS_ITS_WATER: Readonly<Record<string, string>> = {
  peroxide_dilute: GROWS_STRONG,
  peroxide_strong: GROWS_STRONG,
  hypochlorite: 'warm it turns into chlorate and gives off chlorine. It is kept cold, and used as it is',
  isocyanurate:
    'wet and warm it gives off chlorine and nitrogen trichloride, which explodes. It is dissolved cold, and used at once',
  persulfate:
    'it falls apart in warm water and sets fire to what it dries on. It is dissolved cold, and used the same day',
};
const KEPT: Readonly<Record<string, string>> = {
  'ammonium-nitrate': 'it is never heated, dried or isolated: hot or confined it can explode',
  'hydroxylammonium-chloride': EXPLODES,
  'hydroxylammonium-sulfate': EXPLODES,
  'hydroxylammonium-hydrogensulfate': EXPLODES,
  'sulfuric-acid':
    'how strong it gets is told by the temperature of the flask, and not by the water gone. The still does it, to 70 %',
  'hydrochloric-acid': FUMES,
  'nitric-acid': FUMES,
  'formic-acid': FUMES,
  'acetic-acid': FUMES,
  ammonia: FUMES,
  bromine: 'it goes off as a poisonous vapour. It stays in its water, dilute and cold, and is not isolated here',
  iodine: 'it goes off as a poisonous vapour before the water does. It crystallises cold, and is filtered off',
  ethanol: BURNS,
  methanol: BURNS,
  isopropanol: BURNS,
  acetone: BURNS,
  'ethyl-acetate': BURNS,
  'isoamyl-alcohol': BURNS,
  'isoamyl-acetate': BURNS,
  'isoamyl-formate': BURNS,
};
/** Solids that are not dried, boiled down or brought out by heat. */
const DRIED_NEVER: Readonly<Record<string, string>> = {
  'sodium-dithionite':
    'damp and warm it heats itself until it burns, and gives sulfur dioxide. It is kept dry, and used as it is',
  'calcium-ammonium-nitrate':
    'it holds ammonium nitrate, which is never heated, dried or isolated. It is used dissolved, and its ammonia is taken out first',
  'sodium-dichloroisocyanurate': 'damp and warm it gives off chlorine and nitrogen trichloride, which explodes',
  'trichloroisocyanuric-acid': 'damp and warm it gives off chlorine and nitrogen trichloride, which explodes',
  'calcium-hypochlorite':
    'damp and warm it gives off chlorine and oxygen, heats itself, and sets fire to what it touches',
};
/** Solids that are not brought out of their solution here, nor dried, by any method. */
const IN_SOLUTION: Readonly<Record<string, string>> = { 'ammonium-nitrate': entryOf(KEPT, 'ammonium-nitrate') };

/**
 * Whether a thing is planned or computed here, whichever door asks: one sentence of why where it is not. What has happened is
 * never asked: it can always be entered.
 */
export function admit({ substanceId, pct }: Wanted, deed: Deed): Result<true> {
  const substance = substanceById(substanceId);
  // Whoever asks says what he does not know, in his own words.
  if (!substance) return ok(true);
  // What its owner described is judged by what it is, whatever is done with it and whatever it is called.
  const described = describedRefused(substanceId);
  if (described) return outOfScope(described);
  switch (deed) {
    case 'make':
      if (nameRefused(substance)) return refusedByName(substance);
      return within(MADE_TO[substance.id], { substance, pct }, (limit) => `Ask for ${limit} % or less`);
    case 'take':
      return within(TAKEN_TO[substance.id], { substance, pct }, () => 'Keep it apart from everything else');
    case 'concentrate':
      return refusedFor(reasonToKeep(substance), substance, 'boiled down or evaporated');
    case 'distil':
      return refusedFor(reasonNotToBoil(substance), substance, 'heated in a still');
    case 'crystallise':
      return refusedFor(IN_SOLUTION[substance.id], substance, 'crystallised');
    case 'dry':
      return dried(substance);
  }
}

/** Why something that its owner described is out of scope, by what it is made of or called; undefined for all else. */
export function describedRefused(substanceId: string): Refused | undefined {
  if (!isDescribedId(substanceId)) return undefined;
  const substance = substanceById(substanceId);
  return substance && refusedThing(substance);
}

/** Whether the thing itself is among what is known and not planned, by its name or its formula. */
function nameRefused({ id, name, formula }: Substance): Refused | undefined {
  if (IN_WATER_ONLY.has(id)) return undefined;
  return refusedThing({ name, formula }) ?? wholeIn(formula);
}

function wholeIn(formula: string): Refused | undefined {
  const found = refusedIn(formula);
  return found && found.length >= formula.length ? found : undefined;
}

function refusedByName(substance: Substance): Result<true> {
  const refused = nameRefused(substance);
  return refused ? outOfScope(refused) : ok(true);
}

function outOfScope(refused: Refused): Result<never> {
  return fail('beyond-scope', refusedSentence(refused), { field: 'target.substanceId' });
}

/** Whether something that is described, and not looked up, is planned with or computed here. */
export function admitThing(thing: { readonly name: string; readonly formula: string }): Result<true> {
  const refused = refusedThing(thing);
  return refused ? fail('beyond-scope', refusedSentence(refused), { field: 'formula' }) : ok(true);
}

function within(
  limit: number | undefined,
  { substance, pct }: { readonly substance: Substance; readonly pct: number | undefined },
  instead: (limit: number) => string,
): Result<true> {
  if (limit === undefined || pct === undefined || pct <= limit) return ok(true);
  const sentence = `${substance.name} above ${limit} % is not planned here: it is for a licensed laboratory. ${instead(limit)}.`;
  return fail('beyond-scope', sentence, { field: 'target.strength' });
}

function reasonToKeep({ id, species, form, name }: Substance): string | undefined {
  if (form === 'gas') return `${name} is a gas, and no solution that loses water`;
  const named = KEPT[id];
  if (named !== undefined) return named;
  for (const each of classesOf(id, 100)) if (Object.hasOwn(KEEPS_ITS_WATER, each)) return KEEPS_ITS_WATER[each];
  return DRIED_NEVER[species];
}

/** What a condenser makes no safer: it falls apart or explodes hot. What only fumes or burns is what a still is for. */
function reasonNotToBoil({ id }: Substance): string | undefined {
  const kept = KEPT[id];
  if (kept !== undefined && NEVER_HOT.has(id)) return kept;
  for (const each of classesOf(id, 100)) {
    if (Object.hasOwn(KEEPS_ITS_WATER, each)) return KEEPS_ITS_WATER[each];
    if (each === 'permanganate') return 'hot it sets fire to what distils over it, and lies dry at the end';
  }
  return DRIED_NEVER[id];
}

const NEVER_HOT: ReadonlySet<string> = new Set([
  'ammonium-nitrate',
  'hydroxylammonium-chloride',
  'hydroxylammonium-sulfate',
  'hydroxylammonium-hydrogensulfate',
]);

function dried(substance: Substance): Result<true> {
  if (substance.form === 'dissolved' || substance.form === 'gas' || substance.form === 'liquid') {
    const sentence = `${substance.name} is no solid: what is dried in air, in an oven or over a drying agent here is a solid.`;
    return fail('unit-does-not-fit', sentence, { field: 'substanceId' });
  }
  return refusedFor(
    IN_SOLUTION[substance.id] ?? DRIED_NEVER[substance.species] ?? DRIED_NEVER[substance.id],
    substance,
    'dried',
  );
}

function refusedFor(why: string | undefined, { name }: Substance, deed: string): Result<true> {
  if (why === undefined) return ok(true);
  return fail('beyond-scope', `${name} is not ${deed} here: ${why}.`, { field: 'substanceId' });
}
