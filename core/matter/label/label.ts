import { itemAt, must } from '#base/lookup';
import { type Problem, problem } from '#base/problem';
import { formatNumber, listed, parseNumber } from '#base/units';
import { admit, clashesOf } from '#matter/guard';
import { diluteDensity, hasDensity, massFraction } from '#matter/solution';
import type { BottleCard, Container } from '#matter/stock';
import { type Substance, substanceById } from '#matter/substance';
import { asSold, spiritByVolume } from './as-sold.ts';
import { hydrateByContent, readContent, strengthByContent } from './by-content.ts';
import { Claims, type LabelPart } from './claims.ts';
import { asked, identify } from './identify.ts';
import { othersOf, typically } from './of-product.ts';
import type { Product } from './product.ts';
import type { Question } from './question.ts';
import { readSize } from './read-size.ts';
import { type ReadStrength, readStrengths, strengthReading } from './read-strength.ts';
import { readingOf } from './read-substance.ts';
import { UNKNOWN_G_PER_ML, unknownAcids } from './unknown-acids.ts';

export interface LabelReading {
  readonly parts: readonly LabelPart[];
  /** The card as far as it is understood; undefined until the substance is. */
  readonly card: BottleCard | undefined;
  /** What must still be said before it can stand on the shelf. */
  readonly problems: readonly Problem[];
  /** What was assumed and can be corrected. */
  readonly assumptions: readonly string[];
  /** Where more than one thing may be meant: which, with the answers there are. */
  readonly question: Question | null;
}

/** Longest label read; more is refused, since no label sentence is that long. */
const MAX_LENGTH = 300;
const NUMBER = String.raw`\d[\d.,]*`;
const PRICE_MARKED = new RegExp(
  String.raw`(?:[£$€]\s*(${NUMBER}))|(?:(${NUMBER})\s*(?:eur|gbp|usd|euros?|pounds? sterling|dollars?)(?![a-z]))`,
  'giu',
);
const PRICE_BARE = /(?<![\d.,])([-\u2212]?\d{1,4}[.,]\d{2})(?![\d.,])/gu;
const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];
const DATE_ISO = /(?:bought|since|opened|from)?\s*(\d{4}-\d{2}-\d{2})/giu;
const DATE_MONTH = new RegExp(
  String.raw`(?:bought|since|opened)\s+(?:in\s+)?(${MONTHS.map((m) => `${m}|${m.slice(0, 3)}`).join('|')})(?:\s+(\d{4}))?(?![a-z])`,
  'giu',
);

/**
 * Reads what a person types off a label. Every part understood is claimed where it stands; words left over are the
 * product's name. Nothing is guessed in silence: what is missing is a problem, what is assumed is listed.
 * `today` is an ISO date (for “bought march”), `tempC` the shelf's temperature.
 */
export function parseLabel(text: string, today: string, tempC: number): LabelReading {
  if (text.length > MAX_LENGTH) {
    const sentence = `This is ${text.length} characters long; a label line here has at most ${MAX_LENGTH}.`;
    return {
      parts: [],
      card: undefined,
      problems: [problem('too-large', sentence, { field: 'label' })],
      assumptions: [],
      question: null,
    };
  }
  const claims = new Claims(text);
  const problems: Problem[] = [];
  const assumptions: string[] = [];
  const since = readDate(claims, today, problems) ?? today;
  const content = readContent(claims);
  const stated = readDensity(claims);
  const written = readStrengths(claims, problems);
  const size = readSize(claims, problems);
  const price = readPrice(claims, problems) ?? (size ? readLastNumber(claims) : undefined);
  const isLiquid = size?.unit === 'mL' || /\b(?:solution|liquid)\b/i.test(text);
  const identity = identify(claims, { strengths: written, content }, problems);
  let { question } = identity;
  const strengths = identity.strengths.length > 0 ? identity.strengths : written;
  const unknown = identity.product ? undefined : unknownAcids(identity.substances, { strengths, isLiquid });
  const product = unknown?.product ?? identity.product;
  const substances = identity.substances.map((each) => {
    const sold = asSold(content ? hydrateByContent(each, content) : each, text, {
      isLiquid,
      at: claims.placeOf('substance', readingOf(each)),
    });
    if (sold.assumption) assumptions.push(sold.assumption);
    // A kind of product says itself with how much water it is sold.
    const isSaid = product !== null && !/ or |also/.test(product.sold);
    if (sold.question && !isSaid) question = asked(sold.question, problems).question;
    claims.revise('substance', readingOf(each), readingOf(sold.value));
    return sold.value;
  });
  const [substance] = substances;
  if (!substance) return { parts: claims.parts(), card: undefined, problems, assumptions, question };

  const paired = unknown ?? pair(substances, strengths, problems, assumptions);
  if (unknown) assumptions.push(unknown.says);
  const said =
    byChlorine(product, paired.strength) ??
    paired.strength ??
    (content && strengthByContent(substance, content, problems)) ??
    glacial(substance, text) ??
    (product ? typically(product, substance) : undefined);
  const others = product && substances.length === 1 ? othersOf(product, said) : paired.others;
  const strength = said && inItsTrade(said, substance, { claims, assumptions });
  const dilute =
    stated === undefined && isLiquid && !hasDensity(substance) ? diluteDensity(strength, substance) : undefined;
  if (dilute !== undefined)
    assumptions.push(`So dilute, it is taken to weigh about ${formatNumber(dilute, 3)} g a millilitre.`);
  const gPerMl = stated ?? dilute ?? (unknown && isLiquid && !hasDensity(substance) ? UNKNOWN_G_PER_ML : undefined);
  if (gPerMl === undefined || hasDensity(substance)) checkStrength(strength, substance, tempC, problems);
  if (strength?.assumed) assumptions.push(strength.assumed);
  const tablets = product?.parts[0]?.typical === null ? product.parts[0] : undefined;
  if (!strength && tablets) {
    const sentence = `How strong is it? A tablet is labelled with ${tablets.low} to ${tablets.high} mg: weigh one, and write mg of it ÷ mg that it weighs as a per cent.`;
    problems.push(problem('missing-part', sentence, { field: 'strength' }));
  } else if (!strength && substance.form !== 'dissolved')
    assumptions.push(`No strength on the label: taken as pure ${substance.name}.`);
  if (size?.unit === 'mL' && !hasDensity(substance) && gPerMl === undefined) {
    const sentence = `${capital(substance.name)} has no density table here, so a volume says nothing of its mass; give its size in grams, or its density, such as 1.05 g/mL.`;
    problems.push(problem('no-density', sentence, { field: 'size' }));
  }
  if (!size && !problems.some((each) => each.field === 'size'))
    problems.push(problem('missing-part', 'How much is in it? Add a size, such as 500 g or 1 L.', { field: 'size' }));
  const words = claims.leftOver('substance', 'name');
  if (product?.note && !unknown) assumptions.push(`Of such a product: ${product.note}.`);
  if (product?.besides && product.besides !== 'none' && !unknown) assumptions.push(`Also in it: ${product.besides}.`);
  if (product && !product.source)
    assumptions.push('Too mixed to make a reagent from: it stands on the shelf, and no plan takes it.');
  if (substance.described) assumptions.push(`Nothing more is held of ${substance.name} than its formula.`);
  const taken = admit({ substanceId: substance.id, pct: pctOf(strength, substance, tempC) }, 'take');
  if (!taken.ok) assumptions.push(taken.problem.message);
  const card: BottleCard = {
    ...(product && { product: product.name }),
    ...(gPerMl !== undefined && { gPerMl }),
    name: words === '' ? capital(substance.name) : capital(words),
    substanceId: substance.id,
    strength: strength ? { value: strength.value, unit: strength.unit } : null,
    others,
    strengthBand: strength?.band ?? null,
    assayed: false,
    size: size ?? null,
    price: price ?? null,
    container: containerFor(substance, size),
    group: 'bought',
    since,
    labelText: text.trim(),
    fromBatch: null,
    note: '',
  };
  // What a shop sells together was made to keep.
  const clash = product ? undefined : clashWithin(card, tempC);
  if (clash) problems.push(clash);
  return { parts: claims.parts(), card, problems, assumptions, question };
}

/** Mass % of what a label says; 0 where it gives none, so that nothing is refused for want of a number. */
function pctOf(strength: ReadStrength | undefined, substance: Substance, tempC: number): number {
  const w = strength ? massFraction(strength, substance, tempC) : undefined;
  return w?.ok ? w.value : 0;
}

/** A bare per cent on a pack of pool chlorine is what it gives, not what it is. */
function byChlorine(product: Product | null, strength: ReadStrength | undefined): ReadStrength | undefined {
  const main = product?.parts[0];
  if (!main?.byChlorine || !main.substance || strength?.unit !== 'w/w') return undefined;
  // More than it can give is said of the substance itself: that is no fault of the label.
  return strengthByContent(main.substance, { of: 'available chlorine', pct: strength.value, unit: 'w/w' }, []);
}

/** What is in one bottle and may not be: the worst of it. */
function clashWithin({ substanceId, strength, others }: BottleCard, tempC: number): Problem | undefined {
  const present = [{ substanceId, strength }, ...others].flatMap((each) => {
    const substance = substanceById(each.substanceId);
    const w = substance && each.strength ? massFraction(each.strength, substance, tempC) : undefined;
    return substance ? [{ substanceId: each.substanceId, pct: w?.ok ? w.value : 100 }] : [];
  });
  const clashes = present.slice(1).flatMap((each, i) => clashesOf(present.slice(0, i + 1), each));
  // What only the strong ones do is no matter of a cleaner.
  const worst = clashes.find(({ severity, releases }) => severity === 'refuse' && !/when strong/.test(releases));
  return worst
    ? problem('beyond-scope', `These are in no one bottle: ${worst.sentence}`, { field: 'substance' })
    : undefined;
}

/** A strength in the unit its trade means. */
function inItsTrade(
  said: ReadStrength,
  substance: Substance,
  { claims, assumptions }: { readonly claims: Claims; readonly assumptions: string[] },
): ReadStrength {
  const sold = spiritByVolume(said, substance, claims.typed);
  if (sold.assumption) assumptions.push(sold.assumption);
  else if (said.unit === 'w/w' && substance.form === 'liquid') assumptions.push('“%” is taken by mass.');
  claims.revise('strength', strengthReading(said), strengthReading(sold.value));
  return sold.value;
}

/** What “glacial” says of acetic acid: it froze on a cold day, which is 99.5 % and up. */
function glacial({ id }: Substance, typed: string): ReadStrength | undefined {
  if (id !== 'acetic-acid' || !/\bglacial\b/i.test(typed)) return undefined;
  const assumed = '“Glacial” is taken as 99.5 to 100 %.';
  return { value: 99.75, unit: 'w/w', band: 0.25, at: [0, 0], assumed };
}

/** Which strength belongs to which active: one each, in the order they stand. What cannot be paired is asked about. */
function pair(
  substances: readonly Substance[],
  strengths: readonly ReadStrength[],
  problems: Problem[],
  assumptions: string[],
): { strength: ReadStrength | undefined; others: BottleCard['others'] } {
  const [first, ...rest] = substances;
  if (rest.length === 0) {
    if (strengths.length > 1) assumptions.push('Two strengths are given for one substance; the first is used.');
    return { strength: strengths[0], others: [] };
  }
  if (strengths.length !== substances.length) {
    const names = listed(substances.map(({ name }) => name));
    const sentence = `${names} are both named: a mixture needs a strength for each, and a bottle of one substance only its own name.`;
    problems.push(problem('missing-part', sentence, { field: 'substance' }));
    return { strength: strengths[0], others: [] };
  }
  assumptions.push(
    `A mixture: all of it goes into the vessel; doses count its ${must(first, 'part of a mixture').name}.`,
  );
  const others = rest.map(({ id }, i) => {
    const { value, unit } = itemAt(strengths, i + 1);
    return { substanceId: id, strength: { value, unit } };
  });
  return { strength: strengths[0], others };
}

function checkStrength(
  strength: ReadStrength | undefined,
  substance: Substance,
  tempC: number,
  problems: Problem[],
): void {
  if (!strength) {
    if (substance.form === 'dissolved' && !problems.some((each) => each.field === 'strength')) {
      const sentence = `How strong is it? ${capital(substance.name)} is sold in many strengths; add one, such as 10 %.`;
      problems.push(problem('missing-part', sentence, { field: 'strength' }));
    }
    return;
  }
  if (strength.value === 0) {
    problems.push(
      problem('impossible-strength', 'A strength of 0 means none is in it; write what the label says.', {
        field: 'strength',
        at: strength.at,
      }),
    );
    return;
  }
  const w = massFraction(strength, substance, tempC);
  if (!w.ok) problems.push({ ...w.problem, field: 'strength', at: strength.at });
}

const DENSITY =
  /(?:density:?\s*(?:of\s*)?(\d[.,]\d+)(?:\s*(?:g\s*\/\s*(?:ml|cm3|cc)|kg\s*\/\s*l))?|(\d[.,]\d+)\s*(?:g\s*\/\s*(?:ml|cm3|cc)|kg\s*\/\s*l))(?![\p{L}])/giu;

/** A density that the label states, g/mL. */
function readDensity(claims: Claims): number | undefined {
  const match = claims.free(DENSITY)[0];
  const number = match && parseNumber(match[1] ?? match[2] ?? '');
  if (!match || !number?.ok || number.value < 0.3 || number.value > 5) return undefined;
  claims.claim('strength', match, `density ${number.value} g/mL`);
  return number.value;
}

const LAST_NUMBER = /(?<=\s)(\d{1,3})\s*$/gu;

/** A bare number at the end, behind the size, is the price. */
function readLastNumber(claims: Claims): number | undefined {
  const match = claims.free(LAST_NUMBER)[0];
  if (!match) return undefined;
  claims.claim('price', match, `price ${Number(match[1]).toFixed(2)}`);
  return Number(match[1]);
}

function readPrice(claims: Claims, problems: Problem[]): number | undefined {
  const match = claims.free(PRICE_MARKED)[0] ?? claims.free(PRICE_BARE)[0];
  if (!match) return undefined;
  const number = parseNumber(match[1] ?? match[2] ?? '');
  if (!number.ok) {
    problems.push({ ...number.problem, field: 'price' });
    return undefined;
  }
  if (number.value < 0) {
    problems.push(problem('out-of-range', 'A price is 0 or more.', { field: 'price' }));
    return undefined;
  }
  claims.claim('price', match, `price ${number.value.toFixed(2)}`);
  return number.value;
}

function readDate(claims: Claims, today: string, problems: Problem[]): string | undefined {
  const iso = claims.free(DATE_ISO)[0];
  if (iso) {
    const day = iso[1] ?? '';
    const known = !Number.isNaN(Date.parse(day)) && new Date(day).toISOString().startsWith(day);
    if (!known || day > today) {
      problems.push(
        problem('out-of-range', `${day} is ${known ? 'still to come' : 'not a day'}; write it like ${today}.`, {
          field: 'since',
        }),
      );
    }
    claims.claim('date', iso, `since ${day}`);
    return known && day <= today ? day : undefined;
  }
  const month = claims.free(DATE_MONTH)[0];
  if (!month) return undefined;
  const number = MONTHS.findIndex((each) => each.startsWith((month[1] ?? '').toLowerCase().slice(0, 3))) + 1;
  const thisYear = Number(today.slice(0, 4));
  const year = month[2] ? Number(month[2]) : thisYear - (number > Number(today.slice(5, 7)) ? 1 : 0);
  const day = `${year}-${String(number).padStart(2, '0')}-01`;
  claims.claim('date', month, `since ${day}, to correct`);
  return day <= today ? day : undefined;
}

function containerFor(substance: Substance, size: BottleCard['size'] | undefined): Container {
  if (substance.form === 'metal') return 'strip';
  if (substance.form === 'solid') return (size?.value ?? 0) >= 1000 ? 'bag' : 'jar';
  return (size?.value ?? 0) >= 2000 ? 'jug' : 'bottle';
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
