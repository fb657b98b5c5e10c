import { derive, type Figure, given, sdOf } from '#base/figure';
import { readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import { classesOf } from '#matter/guard';
import type { Reaction } from '#matter/reaction';
import { massFractionFigure } from '#matter/solution';
import type { Content } from '#matter/stock';
import { molarMassFigure, type SubstanceId } from '#matter/substance';
import { total } from '#matter/vessel';
import { inferStrength } from '#model/add';
import { weighingSd } from '../add/mass.ts';
import type { Addition } from '../addition.ts';
import { chargedSolid } from '../charged-solid.ts';
import type { AdditionLine } from '../outcome.ts';
import { lastRead, type StepView, type TimedRead } from '../view.ts';

/** A solid that did not all dissolve, taken as an assay of what should have dissolved it. */
export interface StallAdvice {
  readonly bottleId: string | null;
  readonly strength: Figure;
  readonly labelPct: number;
  /** What the solid that is left says of the reagent: spent before its label, spent as its label says, more than it says, or still at work. */
  readonly verdict: 'weaker' | 'as labelled' | 'stronger' | 'unreacted';
  /** Whether it has stopped, by two weighings, by what was seen, or because the step was ended. */
  readonly stopped: boolean;
  readonly sentence: string;
  /** ± of 95 %, as the card of a bottle takes it. */
  readonly band: number;
  /** How much more of it takes up the rest; null where that is not to be told, or not needed. */
  readonly more: { readonly mass: Figure; readonly volumeMl: number | null } | null;
}

/** Acid to the paper: an acid that should have dissolved the solid is still there. */
const ACID_PH = 3.5;

interface Meeting {
  readonly solid: Content;
  readonly solidLine: AdditionLine;
  readonly reagent: Content;
  readonly line: AdditionLine;
  /** mol of the reagent for each of the solid. */
  readonly ratio: number;
}

/** By what was left when it was last weighed, of what had gone in by then; what went in since takes up so much of it. */
export function stallOf(now: StepView, addition: Addition, reaction: Reaction): StallAdvice | null {
  const then = now.whenRead('left');
  const view = then ? { ...then, finished: true } : now;
  const met = meetingOf(view, addition, reaction);
  const read = view.readings.findLast(({ body }) => body.quantity === 'left');
  const left = read && readingValue(read.body.reading);
  if (!met || !left || left.value <= 0) return null;
  const { balanceG } = view.facts.bench;
  const { solid, reagent, line } = met;
  const leftover = given(
    { symbol: 'm(left)', name: `${solid.substance.name} left`, unit: 'g' },
    {
      value: left.value,
      uncertainty: {
        'left:weighed': { name: 'weighing what was left', effect: Math.max(left.sd, weighingSd(balanceG)) },
      },
    },
    'weighed at the bench',
  );
  const strength = strengthBy(view, met, leftover);
  const band = 2 * sdOf(strength);
  const labelPct = reagent.w.value;
  const stopped = view.finished || hasStopped(balanceG, view.readings);
  const verdict = verdictOf(view, met, { found: strength.value, band, stopped });
  const by = verdict === 'stronger' ? reagent.w : strength;
  const rest = then ? afterSince(met, leftover, sinceOf(met, { now, then, strength: by })) : leftover;
  const more = verdict === 'unreacted' || !(strength.value > 0) ? null : moreOf(met, rest, by);
  const shown = `${formatNumber(strength.value, 3)} ± ${formatNumber(band, 2)} %`;
  const wet = read.body.state === 'wet' ? ' It was weighed wet, so this is wide: dry it to be sure.' : '';
  return {
    bottleId: line.bottleId,
    strength,
    labelPct,
    band,
    verdict,
    stopped,
    more: more && { mass: more, volumeMl: reagent.density ? more.value / reagent.density.value : null },
    sentence: `${formatNumber(left.value, 3)} g of ${solid.substance.name} ${then ? 'were left when it was weighed, before more went in' : 'left'}. ${SAYS[verdict]({ name: line.name, shown, label: formatNumber(labelPct, 3) })}${stopped || verdict === 'unreacted' ? '' : CHECK}${wet}`,
  };
}

/** mol of the reagent that went in since a reading: of its own bottle by the strength that was found, of others by their labels. */
function sinceOf(
  { reagent, line }: Meeting,
  { now, then, strength }: { now: StepView; then: StepView; strength: Figure },
): readonly Figure[] {
  const M = molarMassFigure(reagent.substance.formula);
  return now.besides.slice(then.besides.length).flatMap(({ substanceId, bottleId, amount, mass }) => {
    if (!isOf(substanceId, reagent) || !amount) return [];
    if (bottleId !== line.bottleId) return [amount];
    const naming = { symbol: 'n', name: `${reagent.substance.name} that went in since`, unit: 'mol' };
    return [derive(naming, 'm × w ÷ (100 × M)', { m: mass, w: strength, M }, (x) => (x.m * x.w) / (100 * x.M))];
  });
}

/** g of the solid that what went in since leaves. */
function afterSince({ solid, ratio }: Meeting, left: Figure, since: readonly Figure[]): Figure {
  if (since.length === 0) return left;
  const n = total('that went in since', 'mol', ...since);
  const p = solid.wet ? given({ symbol: 'w', name: 'dry', unit: '%' }, 100, 'its dry part was counted') : solid.w;
  const r = given({ symbol: 'r', name: 'mol for each mol of solid', unit: '' }, ratio, 'the reaction');
  return derive(
    { symbol: 'm(left)', name: `${solid.substance.name} left since`, unit: 'g' },
    'max(0; l − n ÷ r × M × 100 ÷ p)',
    { l: left, n, r, M: molarMassFigure(solid.substance.formula), p },
    (x) => Math.max(0, x.l - (x.n / x.r) * x.M * (100 / x.p)),
  );
}

const CHECK =
  ' Has it stopped? Weigh again in an hour, or try it with paper: the same weight twice, or no longer acid, says so.';

/** The solid and what should dissolve it, with the lines they went in by. */
function meetingOf(view: StepView, addition: Addition, reaction: Reaction): Meeting | undefined {
  const { facts, additions } = view;
  const solid = facts.contents[addition.role];
  const other = reaction.reactants.find(({ substanceId }) => substanceId !== solid?.substance.species);
  const own = reaction.reactants.find((each) => each !== other);
  const role = Object.keys(facts.contents).find((id) => facts.contents[id]?.substance.species === other?.substanceId);
  const line = additions.find((each) => each.role === role);
  const solidLine = additions.find((each) => each.role === addition.role);
  const reagent = role === undefined ? undefined : facts.contents[role];
  if (!solid || !other || !own || !reagent || !line || !solidLine) return undefined;
  return { solid, solidLine, reagent, line, ratio: other.n / own.n };
}

/** The strength that the reagent's own bottle had: what other bottles brought of it is taken by their labels. */
function strengthBy({ besides, facts }: StepView, met: Meeting, leftover: Figure): Figure {
  const { solid, solidLine, reagent, line, ratio } = met;
  const charged = chargedSolid(solidLine, { contents: { [solidLine.role]: solid } });
  const gone = derive(
    { symbol: 'm', name: `${solid.substance.name} that dissolved`, unit: 'g' },
    'max(0; m₀ − l)',
    { 'm₀': charged, l: leftover },
    (x) => Math.max(0, x['m₀'] - x.l),
  );
  const same = besides.filter((each) => isOf(each.substanceId, reagent));
  const ofIt = same.filter(({ bottleId }) => bottleId === line.bottleId).map(({ mass }) => mass);
  const others = same.filter(({ bottleId }) => bottleId !== line.bottleId).flatMap(({ amount }) => amount ?? []);
  const poured = total(line.name, 'g', line.actual ?? line.dose.mass, ...ofIt);
  // What went in wet was counted by its dry part, which is as good as pure.
  const pure = given({ symbol: 'w', name: 'dry', unit: '%' }, 100, 'its dry part was counted');
  const byMass = inferStrength(
    {
      gone,
      w: solid.wet ? pure : solid.w,
      formula: solid.substance.formula,
      name: solid.substance.name,
    },
    {
      poured,
      formula: reagent.substance.formula,
      name: reagent.substance.name,
      elsewhere: others.length === 0 ? undefined : total('from other bottles, by their labels', 'mol', ...others),
    },
    ratio,
  );
  return byVolume(byMass, { poured, reagent, tempC: facts.bench.tempC }) ?? byMass;
}

/**
 * What was poured by volume weighed what it weighs at its true strength, not at the one on its label: the strength whose
 * solution holds as much in the same volume. Undefined where any of it was weighed.
 */
function byVolume(
  byMass: Figure,
  { poured, reagent, tempC }: { readonly poured: Figure; readonly reagent: Content; readonly tempC: number },
): Figure | undefined {
  const V = volumeOf(poured);
  if (!V || !(V.value > 0)) return undefined;
  const held = derive(
    { symbol: 'c', name: `${reagent.substance.name} in a litre, by what it dissolved`, unit: 'g/L' },
    '10 × w × m ÷ V',
    { w: byMass, m: poured, V },
    (x) => (10 * x.w * x.m) / x.V,
  );
  const w = massFractionFigure(held, 'g/L', reagent.substance, tempC);
  return w.ok ? { ...w.value, name: byMass.name } : undefined;
}

/** mL that a mass was measured as, its parts together; undefined where a part was weighed. */
function volumeOf({ origin }: Figure): Figure | undefined {
  if (origin.by !== 'formula') return undefined;
  if (origin.formula === 'V × ρ') return origin.inputs.V;
  const parts = Object.values(origin.inputs);
  if (origin.formula !== Object.keys(origin.inputs).join(' + ')) return undefined;
  const volumes = parts.flatMap((part) => volumeOf(part) ?? []);
  return volumes.length === parts.length ? total('poured', 'mL', ...volumes) : undefined;
}

function isOf(id: SubstanceId, { substance }: Content): boolean {
  return id === substance.species || id === substance.id;
}

function verdictOf(
  view: StepView,
  { reagent }: Meeting,
  { found, band, stopped }: { readonly found: number; readonly band: number; readonly stopped: boolean },
): StallAdvice['verdict'] {
  const pH = lastRead(view.readings, 'pH', 0);
  // The paper decides: what is still acid is not spent, however little it has dissolved yet.
  if (pH !== null && pH <= ACID_PH && isAcid(reagent)) return 'unreacted';
  if (!stopped && (stillFizzes(view.readings) || stillFalls(view.readings))) return 'unreacted';
  // The label has a band of its own: what lies within both is as it says.
  const label = reagent.w.value;
  const apart = Math.hypot(band, 2 * sdOf(reagent.w));
  if (found + apart < label) return 'weaker';
  return found - apart > label ? 'stronger' : 'as labelled';
}

const ACIDS = ['acid_strong', 'acid_weak', 'acid_nitric', 'formic_oxalic'];

function isAcid({ substance, w }: Content): boolean {
  const classes = classesOf(substance.id, w.value);
  return ACIDS.some((each) => classes.has(each));
}

interface Said {
  readonly name: string;
  readonly shown: string;
  readonly label: string;
}

const SAYS: Readonly<Record<StallAdvice['verdict'], (said: Said) => string>> = {
  weaker: ({ name, shown, label }) =>
    `If it has stopped, ${name} was ${shown}, not ${label} %: it is spent. Add more of it, or filter.`,
  'as labelled': ({ name, shown, label }) =>
    `${name} is spent: by what it dissolved it was ${shown}, as its ${label} % says. Waiting or warming brings nothing; add more of it, or filter.`,
  stronger: ({ name, shown, label }) =>
    `It dissolved more than ${label} % could: ${name} was ${shown}, something else dissolves it too, or what is left was weighed wet. Check it before relying on it.`,
  unreacted: ({ name }) =>
    `${name} is not spent: there is acid left that has not reacted yet. Warm it within its ceiling, stir, crush what lies there, and wait; adding more only leaves more over.`,
};

/** g of the reagent that take up what is left. */
function moreOf({ solid, reagent, ratio }: Meeting, left: Figure, w: Figure): Figure {
  return derive(
    { symbol: 'm', name: `${reagent.substance.name} that takes up the rest`, unit: 'g' },
    'l × p ÷ (100 × M) × r × Mr × 100 ÷ w',
    {
      l: left,
      p: solid.wet ? { ...solid.w, value: 100, uncertainty: {} } : solid.w,
      M: molarMassFigure(solid.substance.formula),
      r: given({ symbol: 'r', name: 'mol for each mol of solid', unit: '' }, ratio, 'the reaction'),
      Mr: molarMassFigure(reagent.substance.formula),
      w,
    },
    (x) => ((x.l * x.p) / (100 * x.M)) * x.r * x.Mr * (100 / x.w),
  );
}

/** Two readings in a row that agree, or the word for it. */
function hasStopped(balanceG: number, reads: readonly TimedRead[]): boolean {
  const left = reads.flatMap(({ body }) =>
    body.quantity === 'left' ? [readingValue(body.reading)?.value ?? Number.NaN] : [],
  );
  const [before, last] = left.slice(-2);
  if (before !== undefined && last !== undefined && before - last <= Math.max(4 * weighingSd(balanceG), 0.03 * last))
    return true;
  const seen = reads.findLast(({ body }) => body.reading.is === 'sight')?.body.reading;
  return seen?.is === 'sight' && seen.enough;
}

/** It was less the second time: it goes on dissolving. */
function stillFalls(reads: readonly TimedRead[]): boolean {
  return reads.filter(({ body }) => body.quantity === 'left').length > 1;
}

function stillFizzes(reads: readonly TimedRead[]): boolean {
  const seen = reads.findLast(({ body }) => body.reading.is === 'sight')?.body.reading;
  return seen?.is === 'sight' && !seen.enough;
}
