import { firstMoves, isOpen, presentIn, type Together, togetherIn } from '#matter/guard';
import { metIn } from '#matter/hazard';
import { amountsOf, vesselNames } from '#matter/vessel';
import type { Plan } from '#run/plan';
import {
  airKindOf,
  asPoured,
  type GoneThrough,
  goThrough,
  isUnplanned,
  pouredStrengths,
  type Sheet,
  warmedBy,
} from '#run/sheet';

/**
 * What stands in one vessel and must never: pairs that are refused, and what an unplanned thing makes dangerous with what was
 * there, its gas in grams, its share of this room and its minutes.
 */
export function togetherNow(sheet: Sheet, gone: GoneThrough): readonly Together[] {
  const { facts, live } = gone;
  const { now } = sheet;
  if (!now) return [];
  // Only what the plan does not ask for makes anything dangerous that the plan has not been judged by.
  const wasPlain = live.every(({ body }) => body.kind !== 'poured-in' && (body.kind !== 'added' || !isUnplanned(body)));
  const { bench } = facts;
  const air = { roomM3: bench.roomM3, kind: airKindOf(facts) };
  const meant = wasPlain ? null : plannedIn(facts.plan);
  const poured = pouredStrengths(facts, live);
  const unmet = asPoured(gone);
  const standing = vesselNames.flatMap((name) => {
    const contents = unmet?.[name] ?? now.vessels[name];
    if (!contents) return [];
    const refused = togetherIn(presentIn(contents));
    if (!meant || amountsOf(contents).every(([id, n]) => n <= LEAST_MOL || meant.has(id))) return refused;
    const place = { air, tempC: bench.tempC, pressureHPa: bench.pressureHPa, heatTold: unmet !== null };
    const met = metIn(contents, place, poured).filter(
      ({ two, leave, warmerK, severity }) =>
        (leave || warmerK > 0 || (severity === 'danger' && isOpen(air))) && two.some((id) => !meant.has(id)),
    );
    const known = new Set(refused.map(({ why }) => why));
    return [
      ...met.map(({ says, why }) => ({ says, why, moves: Object.values(firstMoves) })),
      ...refused.filter(({ why }) => !met.some((each) => each.why === why)),
    ].filter(({ why }, i, all) => known.has(why) || all.findIndex((each) => each.why === why) === i);
  });
  const hot = warmedBy(sheet, live).map(({ says }) => ({ says, why: BOILS, moves: Object.values(HOT) }));
  return [...standing, ...hot];
}

const BOILS = 'It may boil up and spit, also when it is stirred or moved later.';

const HOT = {
  now: 'Put nothing more in, neither water nor ice. Step back, and keep your face away from over it.',
  cover: 'Put no lid on it. If it boils up, leave it: what runs over is wiped up when it is cold.',
  after: 'Let it cool to the hand before anything else is done with it.',
} as const;

/** mol of a thing that is a trace of it. */
const LEAST_MOL = 1e-6;

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
