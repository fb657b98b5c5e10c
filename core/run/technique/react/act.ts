import { derive, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import type { Reaction } from '#matter/reaction';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { at, holding, type Place } from '#matter/vessel';
import { contentFor } from '../add/lots.ts';
import { chargedSolid } from '../charged-solid.ts';
import { type At, reactionOf } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { letReact, solidReactant, spendOther } from '../reacting.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const place = placeOf(op);
  const doing = begin(standing);
  const reaction = reactionOf(facts, op.reaction);
  const underWay = isUnderWay(step);
  const stuck = step.entries.finished || underWay ? stuckSolid(standing, step, { reaction, place }) : undefined;
  // Nothing says how far it has come.
  if (underWay && !stuck && !isGone(step)) return ok(doing);
  const contents = at(doing.vessels, place);
  if (stuck)
    doing.vessels = holding(doing.vessels, place, {
      ...contents,
      solid: { ...contents.solid, [stuck.id]: stuck.goes },
    });
  letReact(doing, facts, place, op.reaction);
  if (stuck) {
    const now = at(doing.vessels, place);
    // What was weighed back lies there still.
    doing.vessels = holding(doing.vessels, place, { ...now, solid: { ...now.solid, [stuck.id]: stuck.stays } });
    // While it is at work the reagent is not spent; where more of it was poured on, it was.
    if (!underWay || isTopped(step, reaction, stuck.id)) spendOther(doing, place, reaction, stuck.id);
  }
  return ok(doing);
}

/** Whether more of what dissolves the solid went in after it was weighed back. */
function isTopped({ facts, entries }: At, { reactants }: Reaction, solidId: SubstanceId): boolean {
  const others = reactants.filter(({ substanceId }) => substanceId !== solidId).map(({ substanceId }) => substanceId);
  return entries.since.some((each) => others.some((id) => id === contentFor(facts, each)?.substance.species));
}

/** Nothing is left to be seen of the solid. */
function isGone({ entries: { readings } }: At): boolean {
  return readings.left !== undefined && readingValue(readings.left)?.value === 0;
}

/** Solid that was weighed back when the step was done: it took no part, and goes out with the filter. */
function stuckSolid(
  standing: Standing,
  { facts, entries }: At,
  { reaction, place }: { reaction: Reaction; place: Place },
) {
  const read = entries.readings.left;
  const left = read && readingValue(read);
  const id = solidReactant(reaction);
  const there = id && at(standing.vessels, place).solid[id];
  if (!left || !(left.value > 0) || !id || !there) return undefined;
  const line = standing.additions.find(({ role }) => facts.contents[role]?.substance.id === id);
  const mass = line && chargedSolid(line, facts);
  if (!mass || !(mass.value > 0)) return undefined;
  const uncertainty = { 'left:weighed': { name: 'weighing what was left', effect: left.sd } };
  const m = given(
    { symbol: 'm(left)', name: `${nameOf(id)} left`, unit: 'g' },
    { value: left.value, uncertainty },
    'weighed at the bench',
  );
  const goes = derive(
    { symbol: 'n', name: `${nameOf(id)} that dissolved`, unit: 'mol' },
    'n₀ × max(0; 1 − m ÷ m₀)',
    { 'n₀': there, m, 'm₀': mass },
    (x) => x['n₀'] * Math.max(0, 1 - x.m / x['m₀']),
  );
  const stays = derive(
    { symbol: 'n', name: `${nameOf(id)} left`, unit: 'mol' },
    'n₀ − n',
    { 'n₀': there, n: goes },
    (x) => x['n₀'] - x.n,
  );
  return { id, goes, stays };
}

function nameOf(id: SubstanceId): string {
  return substanceOf(id).name;
}
