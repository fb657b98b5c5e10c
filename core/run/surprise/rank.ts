import type { Material } from '#matter/gear';
import { clashesOf, classesOf, firstMoves, type Present, togetherIn } from '#matter/guard';
import { keyOf, substancesIn } from '#matter/substance';
import type { TechniqueName } from '#run/technique';
import type { Cause, Observation } from './cause.ts';
import { causes } from './causes/index.ts';

/** Where a surprise happens: what is in the vessel, how hot it is, and what kind of step it is. */
export interface Scene {
  readonly present: readonly Present[];
  readonly tempC: number;
  /** What one is at; null where the run has no step of it. */
  readonly technique: TechniqueName | null;
  /** What the vessel is made of, where that can take part: “aluminium”. */
  readonly material?: Material | undefined;
  /** Causes that were looked into before, and what came of it. */
  readonly known?: readonly LookedInto[] | undefined;
}

/** A cause that was looked into: it was this, or it was not. */
export interface LookedInto {
  readonly cause: string;
  readonly verdict: 'it was this' | 'it was not this';
}

export interface Ranked extends Cause {
  /** Share of the causes that fit, 0 to 1, by weight and by how well each fits. */
  readonly likely: number;
  /** Said to make it possible: what is in the vessel, or that it would need something that is not known to be in it. */
  readonly because: string;
  readonly fits: boolean;
}

/** A cause whose substances are not known to be there may still be true: a residue, a mislabelled bottle. */
const UNKNOWN = 0.08;
const WRONG_STEP = 0.3;
const TOO_COLD = 0.3;

/**
 * Causes of an observation: first whatever must never have met and is there together, whatever was seen; then dangerous ones that
 * fit, then the likeliest.
 */
export function causesOf(observation: Observation, scene: Scene): readonly Ranked[] {
  const present = new Set([
    ...scene.present.flatMap(({ substanceId, pct }) => [...classesOf(substanceId, pct)]),
    ...(OF_MATERIAL[scene.material ?? 'glass'] ?? []),
  ]);
  const scored = causes
    .filter((cause) => cause.observation === observation)
    .map((cause) => {
      const missing = cause.needs.filter((group) => !group.some((each) => present.has(each)));
      const cold = cause.overC !== null && scene.tempC < cause.overC;
      const score =
        cause.weight *
        UNKNOWN ** missing.length *
        (cause.techniques.length > 0 && scene.technique !== null && !cause.techniques.includes(scene.technique)
          ? WRONG_STEP
          : 1) *
        (cold ? TOO_COLD : 1) *
        lookedInto(scene, cause.cause);
      return { cause, score, because: becauseOf(missing, cold && cause.danger !== 'stop' ? cause.overC : null) };
    });
  for (const cause of [...forbidden(observation, scene), ...poisonous(observation, scene)])
    scored.push({ cause, score: cause.weight * lookedInto(scene, cause.cause), because: '' });
  const all = scored.reduce((sum, { score }) => sum + score, 0) || 1;
  return scored
    .map(({ cause, score, because }) => ({
      ...cause,
      move: allowedMove(cause.move, scene),
      likely: score / all,
      fits: because === '',
      because,
    }))
    .sort((a, b) => rank(b) - rank(a) || b.likely - a.likely);
}

function rank({ danger, fits, source }: Ranked): number {
  if (danger !== 'stop' || !fits) return 0;
  return source === CLASH ? 2 : 1;
}

const CLASH = 'what must not meet, by what is in the vessel';

/** What a vessel brings along, besides what is in it. */
const OF_MATERIAL: Readonly<Partial<Record<Material, readonly string[]>>> = {
  aluminium: ['metal_active', 'aluminium'],
  iron: ['metal_iron', 'iron', 'transition_metal'],
  'stainless steel': ['metal_iron', 'iron', 'transition_metal'],
  copper: ['metal_copper', 'transition_metal'],
};

/** Looked into and found wanting, a cause hardly counts; found to be it, it counts for much when the same is seen again. */
const RULED_OUT = 0.03;
const CONFIRMED = 4;

function lookedInto({ known = [] }: Scene, cause: string): number {
  const last = known.findLast((each) => each.cause === cause);
  if (!last) return 1;
  return last.verdict === 'it was this' ? CONFIRMED : RULED_OUT;
}

/** A move as it may be made: what it would put in is asked of what is in the vessel. */
function allowedMove(move: string, { present, tempC }: Scene): string {
  const kept = move.split(/(?<=[.;]) /).filter((part) => {
    if (/^(?:never|no|not|do not)\b/i.test(part)) return true;
    const puts = substancesIn(keyOf(part)).map(({ value }) => value.id);
    return !puts.some((substanceId) =>
      clashesOf(present, { substanceId, pct: substanceId === 'water' ? 100 : 30 }, { tempC }).some(
        ({ severity }) => severity !== 'caution',
      ),
    );
  });
  return kept.length > 0
    ? kept.join(' ')
    : 'Put nothing in: it would react with what is there. Leave it alone, and keep away.';
}

/** Gases that poison, in the words of the table. */
const POISON =
  /chlorine|sulfur dioxide|nitrogen (?:di)?oxide|nitric oxide|hydrogen sulfide|cyan|bromine|carbon monoxide|chloramine/;
/** Signs of a gas, whatever it is. */
const SIGNS: ReadonlySet<Observation> = new Set([
  'gas',
  'brown-fume',
  'green-gas',
  'white-fume',
  'foam',
  'heat',
  'bleach-smell',
  'sulfur-smell',
  'egg-smell',
]);

/** Pairs that give off a poison, and are only dangerous and not forbidden: they lead where a gas is seen or smelt. */
function poisonous(observation: Observation, { present, tempC }: Scene): readonly Cause[] {
  if (!SIGNS.has(observation)) return [];
  return present.flatMap((added, i) =>
    clashesOf(present.slice(0, i), added, { tempC, beside: present })
      .filter(({ severity, releases }) => severity === 'danger' && POISON.test(releases))
      .map(({ sentence, releases }) => ({
        observation,
        cause: `${releases}, of two things in it`,
        needs: [],
        via: '',
        danger: 'stop' as const,
        now: firstMoves.now,
        check: sentence,
        move: firstMoves.move,
        weight: 2 as const,
        overC: null,
        techniques: [],
        source: CLASH,
      })),
  );
}

/** Two things there that must never meet, each pair a cause of anything: what they give off may have no colour and no smell. */
function forbidden(observation: Observation, { present }: Scene): readonly Cause[] {
  return togetherIn(present).map(({ says }) => ({
    observation,
    cause: says,
    needs: [],
    via: '',
    danger: 'stop',
    ...firstMoves,
    weight: 3,
    overC: null,
    techniques: [],
    source: CLASH,
  }));
}

/** What it would take to be this, in words; empty where it fits. A grave one fits in the cold too: it may be hot where it began. */
function becauseOf(missing: readonly (readonly string[])[], overC: number | null): string {
  if (missing.length > 0)
    return `only if something with ${missing.map((group) => group.map(plain).join(' or ')).join(' and ')} got in`;
  return overC === null ? '' : `only above about ${overC} °C`;
}

function plain(name: string): string {
  return name.replace(/_/g, ' ');
}
