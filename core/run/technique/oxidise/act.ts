import { datum, derive, type Figure, given } from '#base/figure';
import { must } from '#base/lookup';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { type Reaction, reactionHeat, reactionText } from '#matter/reaction';
import { molarMassFigure, substanceOf } from '#matter/substance';
import { amountOf, at, type Contents, holding, ledOff, parted, react, together } from '#matter/vessel';
import { HALIDE_FACTOR, type HalideAnswer, halideCourse } from '#model/rate';
import { type At, settingOf } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import { type Mixture, mixtureOf } from './mixture.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

const HOUR_MS = 3_600_000;

/** As warm and as long as it was, where that was entered; else as it is set. */
export function stoodAt(op: Op, { facts, entries }: Pick<At, 'facts' | 'entries'>) {
  const read = entries.readings.temperature && readingValue(entries.readings.temperature);
  const { from, to } = entries;
  const tempC = read?.value ?? settingOf(facts, op.temp);
  const hours = from !== null && to !== null && to > from ? (to - from) / HOUR_MS : settingOf(facts, op.hours);
  return { tempC: Math.min(60, Math.max(-5, tempC)), hours: Math.min(2000, Math.max(1e-6, hours)) };
}

/** Halogen is made as far as rate and hours allow; some of the peroxide goes off as oxygen. */
export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const before = at(standing.vessels, place);
  const mixture = mixtureOf(before, op, step.facts);
  if (!mixture) return ok(doing);
  const stood = stoodAt(op, step);
  const found = halideCourse({ ...mixture.input, ...stood });
  if (!found.ok) return ok(doing);
  const { after } = found.value;
  const share = madeShare(mixture, after.halogenM);
  const there = must(amountOf(before, mixture.halide), 'amountOf');
  doing.figures = figuresOf(mixture, op, { answer: found.value, share, there });
  doing.progress = {
    begun: doing.progress.begun,
    extent: allOfIt(mixture, op, there),
    limiting: mixture.halide,
    madeBy: new Map([...doing.progress.madeBy, [op.halogen, mixture.halide]]),
  };
  if (isUnderWay(step)) return ok(doing);
  let now = partly(doing, before, { reaction: mixture.reaction, share: limitingShare(before, mixture, share) });
  now = partly(doing, now, { reaction: DECAY, share: decayShare(now, after.oxygenM * mixture.litres) });
  doing.vessels = holding(doing.vessels, place, now);
  Object.assign(doing.figures, liquidFigures(doing.vessels, step.facts));
  return ok(doing);
}

const perHalogen = ({ perHalogen: value }: Mixture): Figure =>
  given({ symbol: 'ν', name: 'halide for each', unit: '' }, value, 'the reaction');

/** mol of halogen that all of the halide could come to. */
const allOfIt = (mixture: Mixture, { halogen }: Op, there: Figure): Figure =>
  derive(
    { symbol: 'n', name: `${substanceOf(halogen).name}, all of it`, unit: 'mol' },
    'n₀ ÷ ν',
    { 'n₀': there, ν: perHalogen(mixture) },
    (v) => v['n₀'] / v.ν,
  );

function figuresOf(
  mixture: Mixture,
  { halogen }: Op,
  { answer, share, there }: { readonly answer: HalideAnswer; readonly share: Figure; readonly there: Figure },
): Record<string, Figure> {
  const { name, formula } = substanceOf(halogen);
  const { enoughH, after } = answer;
  return {
    'freed.mass': derive(
      { symbol: 'm', name: `${name} by then`, unit: 'g' },
      's × n ÷ ν × M',
      { s: share, n: there, ν: perHalogen(mixture), M: molarMassFigure(formula) },
      (v) => ((v.s * v.n) / v.ν) * v.M,
    ),
    'freed.conversion': derive(
      { symbol: 'X', name: 'of the halide that turned', unit: '%' },
      '100 × s',
      { s: share },
      (v) => 100 * v.s,
    ),
    'freed.hours': given(
      { symbol: 't', name: 'to nine tenths of its most', unit: 'h' },
      { value: enoughH, uncertainty: { rate: { name: 'rate law, to a factor of two', effect: enoughH / 3 } } },
      'rate law',
    ),
    'freed.oxygen': given(
      { symbol: 'V', name: 'oxygen that goes off', unit: 'mL' },
      1000 * after.oxygenM * mixture.litres * 24.05,
      'rate law',
    ),
  };
}

const DECAY: Reaction = {
  id: 'peroxide-decay',
  reactants: [{ substanceId: 'hydrogen-peroxide', n: 2 }],
  products: [
    { substanceId: 'water', n: 2 },
    { substanceId: 'oxygen', n: 1 },
  ],
};

/** Part of the halide that turned; a factor in the pace moves what is still to come by as much of its own logarithm. */
function madeShare({ input }: Mixture, halogenM: number): Figure {
  const value = Math.min(1, (2 * halogenM) / input.halideM);
  const effect = ((1 - value) * value * Math.log(HALIDE_FACTOR)) / 2;
  return datum(
    { symbol: 's', name: 'part of the halide that turned', unit: '' },
    { value, uncertainty: { rate: { name: 'rate law, to a factor of two', effect } } },
    { source: 'Liebhafsky and Mohammad 1933; Mohammad and Liebhafsky 1934; Bray and Livingston 1923', grade: 'C' },
  );
}

/** Of everything, the part that holds as much of what limits as is to react. */
function limitingShare(contents: Contents, { reaction, halide }: Mixture, share: Figure): Figure {
  const own = must(
    reaction.reactants.find(({ substanceId }) => substanceId === halide),
    'reactants',
  );
  const naming = { symbol: 'f', name: 'part of the mixture that has reacted', unit: '' };
  const most = reaction.reactants
    .map(({ substanceId, n }) => (amountOf(contents, substanceId)?.value ?? 0) / n)
    .reduce((least, each) => Math.min(least, each), Number.POSITIVE_INFINITY);
  const all = (amountOf(contents, halide)?.value ?? 0) / own.n;
  const r = given(
    { symbol: 'r', name: 'halide for what limits', unit: '' },
    most > 0 ? all / most : 0,
    'what is in it',
  );
  return derive(naming, 'min(1; s × r)', { s: share, r }, (v) => Math.min(1, v.s * v.r));
}

function decayShare(contents: Contents, oxygenMol: number): Figure {
  const peroxide = amountOf(contents, 'hydrogen-peroxide')?.value ?? 0;
  const value = peroxide > 0 ? Math.min(1, (2 * oxygenMol) / peroxide) : 0;
  return given({ symbol: 'f', name: 'part of the peroxide that fell apart', unit: '' }, value, 'rate law');
}

/** A part of what stands there reacts to its end, the rest not at all. */
function partly(
  doing: Doing,
  contents: Contents,
  { reaction, share }: { reaction: Reaction; share: Figure },
): Contents {
  if (!(share.value > 0)) return contents;
  const { kept, gone } = parted(contents, share);
  const done = react(kept, reaction);
  if (!done) return contents;
  doing.vessels = ledOff(doing.vessels, done.gases);
  doing.gases.push(...done.gases);
  bookHeat(doing, reaction, done.extent);
  return together(done.contents, gone);
}

function bookHeat(doing: Doing, reaction: Reaction, extent: Figure): void {
  const dH = reactionHeat(reaction);
  if (dH === undefined) {
    doing.notKnown.push({ what: 'heat', says: `No heat is held for ${reactionText(reaction)}.` });
    return;
  }
  const q = datum({ symbol: 'q', name: 'heat of reaction', unit: 'kJ/mol' }, -dH, {
    source: 'formation enthalpies, Hess',
    grade: 'B',
  });
  doing.heats.push({
    of: reactionText(reaction),
    heat: derive({ symbol: 'Q', name: 'heat of reaction', unit: 'kJ' }, 'ξ × q', { ξ: extent, q }, (x) => x.ξ * x.q),
  });
}
