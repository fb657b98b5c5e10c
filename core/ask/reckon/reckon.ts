import { cutPhrase, pointAt, readStuff, wantedStrength } from '#ask/phrase';
import {
  absorbVerb,
  azeotropeVerb,
  boilOffVerb,
  boilVerb,
  bufferVerb,
  ceilingVerb,
  cellHeatVerb,
  clashVerb,
  conductivityVerb,
  crystalsVerb,
  currentVerb,
  cutVerb,
  dissolveVerb,
  dryVerb,
  electronsVerb,
  esterVerb,
  type Found,
  hydrateVerb,
  layersVerb,
  metalVerb,
  moistureVerb,
  precipitateVerb,
  priceVerb,
  saltOutVerb,
  solubilityVerb,
  sublimeVerb,
  titrateVerb,
  titreVerb,
  washVerb,
} from '#ask/sums';
import { type Figure, given, sdOf, type WorkingLine, workingOf } from '#base/figure';
import { fail, ok, type Problem, type ProblemCode, type Result } from '#base/problem';
import { COVERAGE, findUnit, parseQuantity } from '#base/units';
import { classesOf, lawUnchosen } from '#matter/guard';
import { findSubstance, refusedFormula, refusedSentence, refusedThing, substanceById } from '#matter/substance';
import { convertAmount, inUnit } from './amount.ts';
import { arithmetic } from './arithmetic.ts';
import { byVolume } from './by-volume.ts';
import { inRoom } from './in-room.ts';
import { diluteVerb, mixVerb } from './mixing.ts';
import { needsVerb, neutraliseVerb } from './neutral.ts';
import { reactionVerb } from './reaction-amounts.ts';
import { asStrength, shareOf } from './share.ts';
import { convertStrength } from './strength.ts';
import { balanceVerb, molarMassVerb, phVerb } from './verbs.ts';
import { yieldVerb } from './yield-of.ts';

export interface Reckoning {
  readonly answers: readonly Figure[];
  /** Said beside the answers: a balanced equation whole, a rule that was used. */
  readonly note: string | null;
  readonly cautions: readonly string[];
}

const MOST = 300;

/** Answers one line of the Reckoner's grammar (docs/reckoner.md), or says which words it stumbled over. */
export function reckon(text: string): Result<Reckoning> {
  const line = text.trim();
  if (line === '') return fail('missing-part', 'Type a sum, such as 28% HCl in mol/L.', { at: [0, 0] });
  if (line.length > MOST)
    return fail('too-large', `A line has at most ${MOST} characters.`, { at: [MOST, line.length] });
  const found = outOfScope(line) ?? dispatch(line);
  if (!found.ok) return shifted(found.problem, text);
  if (found.value.figures.some(({ value }) => !Number.isFinite(value))) {
    return fail('out-of-range', 'That comes to no finite number; check the amounts.', { at: [0, text.length] });
  }
  return ok({ answers: found.value.figures, note: found.value.note ?? null, cautions: cautionsOf(found.value) });
}

const BENCH_VERBS = {
  precipitate: precipitateVerb,
  'salt out': saltOutVerb,
  hydrate: hydrateVerb,
  ceiling: ceilingVerb,
  dry: dryVerb,
  titrate: titrateVerb,
  titre: titreVerb,
  titer: titreVerb,
  buffer: bufferVerb,
  boil: boilVerb,
  azeotrope: azeotropeVerb,
  cut: cutVerb,
  conductivity: conductivityVerb,
  ester: esterVerb,
  absorb: absorbVerb,
  sublime: sublimeVerb,
  moisture: moistureVerb,
  metal: metalVerb,
  layers: layersVerb,
} as const;

/** What a line may begin with, besides a lone M. */
const VERBS = [
  'balance',
  'dilute',
  'mix',
  'pH',
  'neutralise',
  'yield',
  'crystals',
  'dissolve',
  'wash',
  'precipitate',
  'salt out',
  'hydrate',
  'ceiling',
  'dry',
  'evaporate',
  'clash',
  'price',
  'titrate',
  'titre',
  'titer',
  'buffer',
  'boil',
  'azeotrope',
  'cut',
  'conductivity',
  'absorb',
  'ester',
  'layers',
  'sublime',
  'moisture',
  'metal',
  'when',
  'fits',
  'molar mass',
] as const;
const VERB = new RegExp(String.raw`^(${VERBS.join('|')}|neutralize|molar mass of|m)\b[\s:]*(.*)$`, 'is');

/** What is asked of one’s own bench is answered where that is: beside the notebook. */
function ofTheNotebook(word: 'when' | 'fits'): Result<never> {
  const asks = word === 'when' ? 'when something would be done' : 'what fits into so much time';
  return fail(
    'missing-part',
    `“${word}” says ${asks} in your own week: type it in the page’s Reckoner, or use the verb ${word}.`,
    { at: [0, word.length] },
  );
}

/** What is only arithmetic of a formula, or warns of it. */
const OF_ANYTHING: ReadonlySet<string> = new Set([
  'balance',
  'clash',
  'molar mass',
  'molar mass of',
  'm',
  'ph',
  'price',
]);

/** A line that plans with something that is known and not planned, written as a formula. An equation with amounts asks by itself. */
function outOfScope(line: string): Result<never> | undefined {
  const word = VERB.exec(line)?.[1]?.toLowerCase();
  if (word === undefined || OF_ANYTHING.has(word)) return undefined;
  for (const written of line.split(/[\s,;+]+/)) {
    const refused = refusedThing({ name: written, formula: written });
    if (refused && /[A-Z].*[A-Z\d]/.test(written))
      return fail('beyond-scope', refusedSentence(refused), { at: pointAt(line, written) });
  }
  return undefined;
}

function dispatch(line: string): Result<Found> {
  const verb = VERB.exec(line);
  const rest = verb?.[2] ?? '';
  // A lone capital M asks for a molar mass; a lower-case m never stands first.
  const word = verb?.[1] === 'm' ? undefined : verb?.[1]?.toLowerCase();
  if (word === 'when' || word === 'fits') return ofTheNotebook(word);
  if (word === 'balance') return balanceVerb(rest, line);
  if (word === 'dilute') return diluteVerb(rest, line);
  if (word === 'mix') return mixVerb(rest, line);
  if (word === 'ph') return phVerb(rest, line);
  if (word === 'crystals') return crystalsVerb(rest, line);
  if (word === 'dissolve') return dissolveVerb(rest, line);
  if (word === 'wash') return washVerb(rest, line);
  if (word?.startsWith('neutral')) return neutraliseVerb(rest, line);
  if (word === 'yield') return yieldVerb(rest, line);
  if (word === 'price') return priceVerb(rest, line);
  if (word === 'clash') return clashVerb(rest, line);
  if (word === 'evaporate') return boilOffVerb(rest, line);
  if (word !== undefined && Object.hasOwn(BENCH_VERBS, word))
    return BENCH_VERBS[word as keyof typeof BENCH_VERBS](rest, line);
  if (word === 'm' || word?.startsWith('molar')) return molarMassVerb(rest, line);
  const reacting = reactionVerb(line);
  if (reacting) return reacting;
  if (/->|→|⇌/.test(line) || (/=/.test(line) && /\+/.test(line))) return balanceVerb(line, line);
  const cell = electronsVerb(line) ?? cellHeatVerb(line) ?? currentVerb(line);
  if (cell) return cell;
  const solubility = solubilityVerb(line);
  if (solubility) return solubility;
  return needsVerb(line) ?? inRoom(line) ?? arithmetic(line) ?? shareOf(line) ?? convert(line);
}

/** “… in UNIT”: an amount, a strength, a density, or a bare unit. */
function convert(line: string): Result<Found> {
  const phrase = cutPhrase(line);
  if (!phrase.ok) return phrase;
  const bare = bareUnits(phrase.value.body, phrase.value.wanted);
  if (bare) return bare;
  const stuff = readStuff(phrase.value.body, line);
  if (!stuff.ok) return strangeVerb(line) ?? stuff;
  const { wanted } = phrase.value;
  const { strength, amount, substance } = stuff.value;
  // By its formula as by its name: what is known and not planned is weighed out by no line.
  const refused = stuff.value.known ? undefined : refusedFormula(substance.formula);
  if (refused) return fail('beyond-scope', refusedSentence(refused), { at: pointAt(line, phrase.value.body) });
  if (wanted === undefined && !amount && !strength) {
    return fail(
      'missing-part',
      `What about ${substance.name}? Say “M ${substance.formula}”, or an amount and “in mol”.`,
      { at: [line.length, line.length] },
    );
  }
  const impure = asStrength(stuff.value, phrase.value);
  if (impure) return impure;
  const isUnitOfAmount =
    wanted !== undefined && ['mass', 'volume', 'amount'].includes(findUnit(wanted)?.dimension ?? '');
  // “M” after “in” is mol/L for a strength; mol, g and mL are amounts.
  const asksStrength =
    amount === undefined || (wanted !== undefined && wantedStrength(wanted) !== undefined && !isUnitOfAmount);
  const held = asksStrength ? undefined : byVolume(stuff.value, phrase.value);
  if (held) return held.ok ? ok({ figures: held.value }) : held;
  const figure = asksStrength ? convertStrength(stuff.value, phrase.value) : convertAmount(stuff.value, phrase.value);
  if (!figure.ok) return figure;
  const pct = strength?.unit === 'w/w' ? { cautionAbout: { substanceId: substance.id, pct: strength.value } } : {};
  return ok({ figures: [figure.value], ...pct });
}

/** A word that is no substance, before an amount, is meant to do something with it. */
function strangeVerb(line: string): Result<never> | undefined {
  const word = /^([a-z]{4,})\s+[-\d]/i.exec(line)?.[1];
  if (word === undefined || findSubstance(word)) return undefined;
  return fail('unknown-verb', `“${word.slice(0, 40)}” is nothing the Reckoner does; it knows ${VERBS.join(', ')}.`, {
    at: pointAt(line, word),
  });
}

/** “2 lb in g”: no substance at all. */
function bareUnits(body: string, wanted: string | undefined): Result<Found> | undefined {
  const to = wanted === undefined ? undefined : findUnit(wanted);
  if (!to || to.dimension === 'temperature') return undefined;
  const quantity = parseQuantity(body, [to.dimension]);
  if (!quantity.ok) return undefined;
  const start = given(
    { symbol: 'x', name: `${quantity.value.typed} ${quantity.value.unit}`, unit: '' },
    quantity.value.value,
    'as typed',
  );
  return ok({ figures: [inUnit(start, to.factor, to.name)] });
}

function cautionsOf({ cautionAbout, pours }: Found): readonly string[] {
  if (!cautionAbout) return [];
  const order =
    pours && needsOrder(cautionAbout.substanceId, cautionAbout.pct)
      ? ['Pour it slowly into the water, stirring; never water onto it: it boils and spits.']
      : [];
  // A conversion is no purchase: what law says of a thing stands with its bottle.
  const law = pours ? lawUnchosen([{ ...cautionAbout, deed: 'have' }]) : '';
  return law === '' ? order : [...order, `${law}.`];
}

/** Strong acids that come as liquids, and alkalis, heat the water they meet until it boils and spits; acids in crystals cool it. */
const ACIDS_THAT_HEAT = ['acid_strong', 'acid_nitric'];
const HEATS_FROM_PCT = 10;

function needsOrder(substanceId: string, pct: number): boolean {
  if (pct < HEATS_FROM_PCT) return false;
  const classes = classesOf(substanceId, pct);
  const isCrystals = substanceById(substanceId)?.form === 'solid';
  return classes.has('alkali_strong') || (!isCrystals && ACIDS_THAT_HEAT.some((each) => classes.has(each)));
}

/** Points into the text as typed, with its leading spaces. */
function shifted(problem: Problem, text: string): Result<never> {
  const lead = text.length - text.trimStart().length;
  const [from, to] = problem.at ?? [0, text.trim().length];
  const { field: _, ...rest } = problem;
  return { ok: false, problem: { ...rest, at: [from + lead, to + lead] } };
}

export interface Answer {
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  /** Half-width of the 95 % band, in the unit; 0 for what is exact. */
  readonly uncertainty: number;
}

export type ReckonJson =
  | {
      readonly answers: readonly Answer[];
      readonly working: readonly WorkingLine[];
      readonly cautions: readonly string[];
      readonly note?: string;
    }
  | {
      readonly problem: {
        readonly code: ProblemCode;
        readonly message: string;
        readonly at: readonly [number, number];
      };
    };

/** The same as plain JSON, for the command line and HTTP. */
export function reckonJson(text: string): ReckonJson {
  const result = reckon(text);
  if (!result.ok) {
    const { code, message, at } = result.problem;
    return { problem: { code, message, at: at ?? [0, text.length] } };
  }
  const { answers, note, cautions } = result.value;
  const lines = new Map<string, WorkingLine>();
  for (const figure of answers)
    for (const each of workingOf(figure)) lines.set(`${each.name}|${each.symbol}|${each.result}`, each);
  return {
    answers: answers.map((figure) => ({
      label: figure.name,
      value: figure.value,
      unit: figure.unit,
      uncertainty: COVERAGE * sdOf(figure),
    })),
    working: [...lines.values()],
    cautions,
    ...(note ? { note } : {}),
  };
}
