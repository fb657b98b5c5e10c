import { datum, derive, type Figure, given } from '#base/figure';
import { must } from '#base/lookup';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { type Reaction, reactionHeat, reactionText } from '#matter/reaction';
import { molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { amountOf, at, type Contents, entriesOf, holding, phases, total, withAmount } from '#matter/vessel';
import { formedAtEnd, HOURS_FACTOR } from '#model/ester';
import { type At, reactionOf, settingOf } from '../facts.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import { type Flask, flaskOf, formedIn } from './flask.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

const HOUR_MS = 3_600_000;

/** As warm and as long as it was, where that was entered; else as it is set. */
export function keptAt(op: Op, { facts, entries }: Pick<At, 'facts' | 'entries'>) {
  const read = entries.readings.temperature && readingValue(entries.readings.temperature);
  const { from, to } = entries;
  return {
    tempC: read?.value ?? settingOf(facts, op.temp),
    hours: from !== null && to !== null && to > from ? (to - from) / HOUR_MS : settingOf(facts, op.hours),
  };
}

/** Ester and water are made as far as equilibrium and hours allow. */
export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const before = at(standing.vessels, place);
  const flask = flaskOf(before, reactionOf(step.facts, op.reaction));
  if (!flask) return ok(doing);
  const { tempC, hours } = keptAt(op, step);
  const found = formedIn(flask, tempC, hours);
  const formed = formedFigure(flask, before, found);
  if (found.after === null)
    doing.notKnown.push({
      what: 'rate',
      says: 'Nothing in it is known to make it run: without a strong acid it may take weeks, and this is the most that can come.',
      most: true,
    });
  doing.figures = figuresOf(flask, formed, { found, hours });
  const least = flask.charge.acid <= flask.charge.alcohol ? flask.acid : flask.alcohol;
  doing.progress = {
    begun: [...new Set([...doing.progress.begun, op.reaction])],
    // All of the limiting reagent is what it could come to.
    extent: amountOf(before, least),
    limiting: least,
    madeBy: new Map([...doing.progress.madeBy, [flask.ester, least]]),
  };
  if (isUnderWay(step)) return ok(doing);
  bookHeat(doing, reactionOf(step.facts, op.reaction), formed);
  doing.vessels = holding(doing.vessels, place, made(before, flask, formed));
  return ok(doing);
}

function bookHeat(doing: Doing, reaction: Reaction, formed: Figure): void {
  const dH = reactionHeat(reaction);
  if (dH === undefined) {
    doing.notKnown.push({ what: 'heat', says: `No heat is held for ${reactionText(reaction)}.` });
    return;
  }
  const q = datum({ symbol: 'q', name: 'heat of esterification', unit: 'kJ/mol' }, -dH, {
    source: 'formation enthalpies, Hess; next to none',
    grade: 'C',
  });
  const naming = { symbol: 'Q', name: 'heat of esterification', unit: 'kJ' };
  doing.heats.push({
    of: reactionText(reaction),
    heat: derive(naming, 'x × q', { x: formed, q }, (v) => v.x * v.q),
  });
}

/** mol of ester formed: the equilibrium, and the share of it that the hours bring. */
function formedFigure(flask: Flask, before: Contents, { K, end, after }: ReturnType<typeof formedIn>): Figure {
  const { row, acid, alcohol, charge } = flask;
  const constant = datum(
    { symbol: 'K', name: 'equilibrium constant, in moles', unit: '' },
    { value: K, uncertainty: { K: { name: 'equilibrium as published', effect: (row.kHigh - row.kLow) / 4 } } },
    row,
  );
  const come = after === null || !(end > 0) ? 1 : Math.min(1, after / end);
  // A factor in the pace moves what is still to come by as much of its own logarithm.
  const effect = after === null ? 0 : (1 - come) * -Math.log(Math.max(1e-6, 1 - come)) * (Math.log(HOURS_FACTOR) / 2);
  const share = datum(
    { symbol: 's', name: 'of that, come by then', unit: '' },
    { value: come, uncertainty: { rate: { name: 'rate law, to a factor of two', effect } } },
    { source: 'rate of ester hydrolysis and K', grade: 'C' },
  );
  return derive(
    { symbol: 'x', name: 'ester formed', unit: 'mol' },
    's × x(K; n(acid), n(alcohol))',
    {
      s: share,
      K: constant,
      'n(acid)': must(amountOf(before, acid), 'amountOf'),
      'n(alcohol)': must(amountOf(before, alcohol), 'amountOf'),
    },
    (v) => v.s * formedAtEnd({ ...charge, acid: v['n(acid)'], alcohol: v['n(alcohol)'] }, v.K),
    { source: 'mass action in an ideal mixture', grade: 'C' },
  );
}

function made(before: Contents, { acid, alcohol, ester }: Flask, formed: Figure): Contents {
  let now = less(less(before, acid, formed), alcohol, formed);
  now = withAmount(now, 'organic', ester, formed);
  const water = derive(
    { symbol: 'm(water)', name: 'water made', unit: 'g' },
    'x × M',
    { x: formed, M: molarMassFigure('H2O') },
    (v) => v.x * v.M,
  );
  return { ...now, waterG: total('water', 'g', now.waterG, water) };
}

/** So much less of a substance, in the phase that it stands in. */
function less(contents: Contents, id: SubstanceId, formed: Figure): Contents {
  const n = must(amountOf(contents, id), 'amountOf');
  const phase = phases.find((each) => contents[each][id] !== undefined) ?? 'aqueous';
  const left = derive(
    { symbol: 'n', name: `${substanceOf(id).name} left`, unit: 'mol' },
    'n₀ − x',
    { 'n₀': n, x: formed },
    (v) => Math.max(0, v['n₀'] - v.x),
  );
  const bare = Object.fromEntries(
    phases.map((each) => [each, Object.fromEntries(entriesOf(contents[each]).filter(([other]) => other !== id))]),
  );
  return withAmount({ ...contents, ...bare }, phase, id, left);
}

function figuresOf(
  { ester, charge }: Flask,
  formed: Figure,
  { found, hours }: { found: ReturnType<typeof formedIn>; hours: number },
): Record<string, Figure> {
  const M = molarMassFigure(substanceOf(ester).formula);
  const least = given(
    { symbol: 'n', name: 'limiting reagent', unit: 'mol' },
    Math.min(charge.acid, charge.alcohol),
    'as it stands in the flask',
  );
  const last = found.course?.findLast(([, x]) => x <= 0.95 * found.end)?.[0];
  return {
    'ester.mass': derive(
      { symbol: 'm', name: `${substanceOf(ester).name} in the flask`, unit: 'g' },
      'x × M',
      { x: formed, M },
      (v) => v.x * v.M,
    ),
    'ester.conversion': derive(
      { symbol: 'X', name: 'of the limiting reagent that turned', unit: '%' },
      '100 × x ÷ n',
      { x: formed, n: least },
      (v) => (100 * v.x) / v.n,
    ),
    'ester.hours': given(
      { symbol: 't', name: 'to 95 % of its end', unit: 'h' },
      {
        value: last ?? hours,
        uncertainty: { rate: { name: 'rate law, to a factor of two', effect: (last ?? hours) / 3 } },
      },
      'rate law',
    ),
  };
}
