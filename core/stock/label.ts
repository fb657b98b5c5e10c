import { type Problem, problem } from '#core/problem';
import { hasDensity, massFraction } from '#core/solution';
import type { Substance } from '#core/substance';
import { parseNumber } from '#core/units';
import type { BottleCard, Container } from './bottle.ts';
import { Claims, type LabelPart } from './claims.ts';
import { readSize } from './read-size.ts';
import { type ReadStrength, readStrengths } from './read-strength.ts';
import { readSubstances } from './read-substance.ts';

export interface LabelReading {
  readonly parts: readonly LabelPart[];
  /** The card as far as it is understood; undefined until the substance is. */
  readonly card: BottleCard | undefined;
  /** What must still be said before it can stand on the shelf. */
  readonly problems: readonly Problem[];
  /** What was assumed and can be corrected. */
  readonly assumptions: readonly string[];
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
    };
  }
  const claims = new Claims(text);
  const problems: Problem[] = [];
  const assumptions: string[] = [];
  const since = readDate(claims, today, problems) ?? today;
  const strengths = readStrengths(claims, problems);
  const size = readSize(claims, problems);
  const price = readPrice(claims, problems);
  const substances = readSubstances(claims, problems);
  const [substance] = substances;
  if (!substance) return { parts: claims.parts(), card: undefined, problems, assumptions };

  const { strength, others } = pair(substances, strengths, problems, assumptions);
  checkStrength(strength, substance, tempC, problems);
  if (strength?.assumed) assumptions.push(strength.assumed);
  if (!strength && substance.form !== 'dissolved')
    assumptions.push(`No strength on the label: taken as pure ${substance.name}.`);
  if (strength?.unit === 'w/w' && substance.form === 'liquid') {
    assumptions.push('“%” is taken by mass; spirits are often sold by volume: write “% v/v” for that.');
  }
  if (size?.unit === 'mL' && !hasDensity(substance)) {
    const sentence = `${capital(substance.name)} has no density table here, so a volume says nothing of its mass; give its size in grams.`;
    problems.push(problem('no-density', sentence, { field: 'size' }));
  }
  if (!size && !problems.some((each) => each.field === 'size'))
    problems.push(problem('missing-part', 'How much is in it? Add a size, such as 500 g or 1 L.', { field: 'size' }));
  const words = claims.leftOver('substance');
  const card: BottleCard = {
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
  return { parts: claims.parts(), card, problems, assumptions };
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
    const names = substances.map(({ name }) => name).join(' and ');
    const sentence = `${names} are both named: a mixture needs a strength for each, and a bottle of one substance only its own name.`;
    problems.push(problem('missing-part', sentence, { field: 'substance' }));
    return { strength: strengths[0], others: [] };
  }
  assumptions.push(`A mixture: plans compute with its ${first!.name} only; what the others do is not computed.`);
  const others = rest.map(({ id }, i) => {
    const { value, unit } = strengths[i + 1]!;
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
