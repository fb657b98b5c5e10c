import { firstMoves, isOpen, presentIn, type Together, togetherIn } from '#matter/guard';
import { metIn } from '#matter/hazard';
import { amountsOf, vesselNames } from '#matter/vessel';
import type { BodyOf } from '#run/log';
import type { Plan } from '#run/plan';
import { airKindOf, type GoneThrough, goThrough, pouredStrengths, type Sheet } from '#run/sheet';

/**
 * What stands in one vessel and must never: pairs that are refused, and what an unplanned thing makes dangerous with what was
 * there, its gas in grams, its share of this room and its minutes.
 */
export function togetherNow({ now }: Sheet, { facts, live }: GoneThrough): readonly Together[] {
  if (!now) return [];
  // Only what the plan does not ask for makes anything dangerous that the plan has not been judged by.
  const wasPlain = live.every(({ body }) => body.kind !== 'poured-in' && (body.kind !== 'added' || !isUnplanned(body)));
  const { bench } = facts;
  const air = { roomM3: bench.roomM3, kind: airKindOf(facts) };
  const meant = wasPlain ? null : plannedIn(facts.plan);
  const poured = pouredStrengths(facts, live);
  return vesselNames.flatMap((name) => {
    const contents = now.vessels[name];
    if (!contents) return [];
    const refused = togetherIn(presentIn(contents));
    if (!meant || amountsOf(contents).every(([id, n]) => n <= LEAST_MOL || meant.has(id))) return refused;
    const met = metIn(contents, { air, tempC: bench.tempC, pressureHPa: bench.pressureHPa }, poured).filter(
      ({ two, leave, warmerK, severity }) =>
        (leave || warmerK > 0 || (severity === 'danger' && isOpen(air))) && two.some((id) => !meant.has(id)),
    );
    const known = new Set(refused.map(({ why }) => why));
    return [
      ...met.map(({ says, why }) => ({ says, why, moves: Object.values(firstMoves) })),
      ...refused.filter(({ why }) => !met.some((each) => each.why === why)),
    ].filter(({ why }, i, all) => known.has(why) || all.findIndex((each) => each.why === why) === i);
  });
}

/** mol of a thing that is a trace of it. */
const LEAST_MOL = 1e-6;

const isUnplanned = ({ role, stock }: BodyOf<'added'>) => role === null || stock !== undefined;

/** Everything that stands in a vessel at some step of the plan, nothing unplanned entered. */
function plannedIn(plan: Plan): ReadonlySet<string> {
  const gone = goThrough(plan);
  if (!gone.ok) return new Set();
  const { before, outcomes } = gone.value.planned;
  const all = [...before.values(), ...[...outcomes.values()].map(({ vessels }) => vessels)];
  return new Set([
    'water',
    ...all.flatMap((vessels) =>
      Object.values(vessels).flatMap((contents) =>
        contents ? amountsOf(contents).flatMap(([id, n]) => (n > LEAST_MOL ? [id] : [])) : [],
      ),
    ),
  ]);
}
