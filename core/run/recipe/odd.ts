import { formatNumber } from '#base/units';
import type { Material } from '#matter/gear';
import { admit, clashesOf, classesOf, materialClashes } from '#matter/guard';
import { isInsoluble, molarMass, speciesOf } from '#matter/substance';
import { solubilityOf, solubilityRange } from '#model/dish';
import { ceilingOf } from '#model/dry';
import type { Ingredient, RecipeRead } from './recipe.ts';

type Judged = Pick<RecipeRead, 'odd' | 'missing'>;

/** What does not fit in a recipe, and what it leaves out. */
export function oddIn(read: RecipeRead, text: string): Judged {
  return {
    odd: [
      ...outOfScope(read),
      ...outOfProportion(read),
      ...aboveTheory(read),
      ...waterShort(read),
      ...tooHot(read),
      ...wrongOrder(text),
      ...neverTogether(read),
      ...boiledDown(read),
      ...moltenIn(text, read),
      ...wrongVessel(text, read),
    ],
    missing: [...missingReagent(read), ...notSaid(read)],
  };
}

function outOfScope({ makes }: RecipeRead): readonly string[] {
  const allowed = makes ? admit({ substanceId: makes.id }, 'make') : undefined;
  return allowed && !allowed.ok ? [allowed.problem.message] : [];
}

/** From so many times what the others can use on, a nought too many is likelier than an excess. */
const TENFOLD = 6;
/** Beyond this an excess is worth a word. */
const MUCH = 1.6;

function outOfProportion({ ingredients }: RecipeRead): readonly string[] {
  const counted = ingredients.flatMap((each) => (each.times === null ? [] : [{ ...each, times: each.times }]));
  const far = counted.filter(({ times }) => times >= TENFOLD);
  // All but one far over: it is the one that is too little.
  const [scarce] = counted.filter(({ limits }) => limits);
  if (counted.length > 2 && far.length === counted.length - 1 && scarce)
    return [
      `${cap(scarce.substance.name)} is about ${formatNumber(1 / Math.min(...far.map(({ times }) => 1 / times)), 2)} times too little for the rest: a nought may be missing.`,
    ];
  return counted.flatMap((each) => {
    const times = each.times;
    if (times >= TENFOLD)
      return [
        `${cap(each.substance.name)}: ${formatNumber(times, 2)} times what ${nameOfLimit(ingredients)} can use. A tenfold slip?`,
      ];
    if (times > MUCH)
      return [
        `${cap(each.substance.name)} is ${formatNumber(100 * (times - 1), 2)} % in excess: it stays in the liquor.`,
      ];
    return [];
  });
}

function nameOfLimit(ingredients: readonly Ingredient[]): string {
  return ingredients.find(({ limits }) => limits)?.substance.name ?? 'the rest';
}

function aboveTheory({ promisedG, theoryG, makes }: RecipeRead): readonly string[] {
  if (promisedG === null || theoryG === null || promisedG <= theoryG * 1.02) return [];
  return [
    `It promises ${formatNumber(promisedG, 3)} g of ${makes?.name}; at most ${formatNumber(theoryG, 3)} g can come of what goes in.`,
  ];
}

/** Water has to hold what is dissolved in it while it is hot. */
function waterShort({ ingredients, waterG }: RecipeRead): readonly string[] {
  // How much water comes with a solution of which nothing says how strong it is, is not known; and what reacts with an acid dissolves by that.
  if (ingredients.some(({ taken, substance }) => taken || (substance.form === 'dissolved' && substance.id !== 'water')))
    return [];
  return ingredients.flatMap(({ substance, grams, pct, limits, times }) => {
    const species = speciesOf(substance);
    const range = solubilityRange(species);
    const part = limits || times !== null;
    if (!range || grams === null || isInsoluble(species) || pct < 90 || !part) return [];
    const hot = Math.min(95, range[1]);
    const s = solubilityOf(species, hot);
    if (!s.ok) return [];
    const share = molarMass(species.formula) / molarMass(substance.formula);
    const anhydrous = grams * (pct / 100) * share;
    const own = grams * (1 - share);
    const wants = (100 * anhydrous) / s.value.gPer100gWater;
    if (waterG + own >= wants * 0.98) return [];
    return [
      `Water is short: ${formatNumber(grams, 3)} g of ${substance.name} want at least ${formatNumber(Math.max(0, wants - own), 2)} g of water even at ${formatNumber(hot, 2)} °C; there ${waterG < 1 ? 'is none' : `are ${formatNumber(waterG, 2)} g`}.`,
    ];
  });
}

/** Where the product is dried or heated beyond what it bears. */
function tooHot({ makes, steps }: RecipeRead): readonly string[] {
  const ceiling = makes ? ceilingOf(makes) : undefined;
  if (!ceiling || !makes) return [];
  const hottest = Math.max(
    ...steps.filter(({ kinds }) => kinds.includes('dry')).flatMap(({ tempsC }) => tempsC),
    Number.NEGATIVE_INFINITY,
  );
  if (hottest <= ceiling.tempC + 2) return [];
  return [`It is dried at ${hottest} °C: ${makes.name} is dried below ${ceiling.tempC} °C; ${ceiling.why}.`];
}

const WATER_TO_ACID =
  /(?:add|pour|put|run)[^.;\n]{0,40}\bwater\b[^.;\n]{0,30}(?:in)?to[^.;\n]{0,30}\bacid\b|\bacid\b[^.;\n]{0,40}(?:then|and)[^.;\n]{0,20}(?:add|pour)[^.;\n]{0,30}\bwater\b/i;

function wrongOrder(text: string): readonly string[] {
  return WATER_TO_ACID.test(text)
    ? ['Dangerous order: water into acid boils and spits. The acid goes into the water, slowly.']
    : [];
}

function neverTogether({ ingredients }: RecipeRead): readonly string[] {
  return ingredients.flatMap((each, i) =>
    clashesOf(
      ingredients.slice(0, i).map(({ substance, pct, grams }) => ({
        substanceId: substance.id,
        pct,
        ...(grams === null ? {} : { g: grams }),
      })),
      { substanceId: each.substance.id, pct: each.pct },
      { tempC: 20 },
    )
      .filter(({ severity }) => severity !== 'caution')
      .slice(0, 1)
      .map(({ severity, sentence }) => `${severity === 'refuse' ? 'Dangerous together' : 'Mind'}: ${sentence}`),
  );
}

/** What loses its water in a recipe and must keep it. */
function boiledDown({ ingredients, steps }: RecipeRead): readonly string[] {
  if (!steps.some(({ kinds }) => kinds.includes('boil-down'))) return [];
  return ingredients.flatMap(({ substance, grams }) => {
    const allowed =
      substance.id === 'water' || grams === null ? undefined : admit({ substanceId: substance.id }, 'concentrate');
    return allowed && !allowed.ok ? [cap(allowed.problem.message)] : [];
  });
}

const MELTS = /\b(?:melt|fuse|molten)/i;
const EATEN_BY_ALKALI = /\b(glass|beaker|flask|jar|porcelain|ceramic|crucible|alumini?um|quartz)\b/i;

/** Molten alkali in what it eats. */
function moltenIn(text: string, { ingredients }: RecipeRead): readonly string[] {
  const [, named] = EATEN_BY_ALKALI.exec(text) ?? [];
  const alkali = ingredients.find(
    ({ substance, pct }) => pct > 80 && classesOf(substance.id, pct).has('alkali_strong'),
  );
  if (!MELTS.test(text) || named === undefined || !alkali) return [];
  return [
    `Wrong vessel: “${named}”. Molten ${alkali.substance.name} eats it and breaks through; iron or nickel holds it.`,
  ];
}

/** Vessels of a metal that recipes name. */
const VESSEL_OF =
  /\b(alumini?um|cast[- ]iron|iron|copper|galvani[sz]ed|(?:stainless )?steel|stainless)\s+(?:\p{L}+\s+)?(?:pan|pot|saucepan|bowl|tray|dish|foil|tin|vessel|bucket|kettle|can)\b/iu;
const MATERIAL: Readonly<Record<string, Material>> = {
  aluminium: 'aluminium',
  aluminum: 'aluminium',
  iron: 'iron',
  copper: 'copper',
  'cast iron': 'iron',
  'cast-iron': 'iron',
};

/** A vessel that what goes in would eat. */
function wrongVessel(text: string, { ingredients }: RecipeRead): readonly string[] {
  const [named, metal = ''] = VESSEL_OF.exec(text) ?? [];
  const material = MATERIAL[metal.toLowerCase()] ?? (/^stainless|^steel/i.test(metal) ? 'stainless steel' : undefined);
  if (named === undefined || material === undefined) return [];
  const present = ingredients.map(({ substance, pct }) => ({ substanceId: substance.id, pct }));
  const worst = materialClashes(material, present, 20).find(({ severity }) => severity !== 'caution');
  return worst ? [`Wrong vessel: “${named}”. ${cap(worst.sentence)}`] : [];
}

function missingReagent({ makes, reaction, lacks, purifies }: RecipeRead): readonly string[] {
  if (!makes) return ['It does not say what it makes: write “gives … of …”, or a title.'];
  if (lacks) return [`${cap(lacks.name)} is missing: without it nothing balances, with it the equation does.`];
  if (reaction || purifies) return [];
  return [`No equation leads from what goes in to ${makes.name}: something that reacts is missing.`];
}

function notSaid({ ingredients, steps, makes }: RecipeRead): readonly string[] {
  const said = new Set(steps.flatMap(({ kinds }) => kinds));
  const solid = makes !== null && makes.form === 'solid';
  return [
    ...ingredients.filter(({ grams }) => grams === null).map(({ substance }) => `How much ${substance.name}?`),
    ...ingredients
      .filter(({ taken }) => taken)
      .map(({ substance }) => `How strong the ${substance.name} is: nothing says.`),
    ...(solid && !said.has('filter-off') ? ['How the product is parted from the liquid.'] : []),
    ...(solid && !said.has('dry') ? ['How it is dried.'] : []),
    ...(steps.some(({ kinds }) => kinds.includes('hold')) || steps.length > 1 ? [] : ['How long anything takes.']),
  ];
}

function cap(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
