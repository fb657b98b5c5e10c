import { classesOf, firstMoves, type Present, togetherIn } from '#core/guard';
import type { TechniqueName } from '#core/technique';
import type { Cause, Observation } from './cause.ts';
import { causes } from './causes/index.ts';

/** Where a surprise happens: what is in the vessel, how hot it is, and what kind of step it is. */
export interface Scene {
  readonly present: readonly Present[];
  readonly tempC: number;
  /** What one is at; null where the run has no step of it. */
  readonly technique: TechniqueName | null;
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
  const present = new Set(scene.present.flatMap(({ substanceId, pct }) => [...classesOf(substanceId, pct)]));
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
        (cold ? TOO_COLD : 1);
      return { cause, score, because: becauseOf(missing, cold && cause.danger !== 'stop' ? cause.overC : null) };
    });
  for (const cause of forbidden(observation, scene)) scored.push({ cause, score: cause.weight, because: '' });
  const all = scored.reduce((sum, { score }) => sum + score, 0) || 1;
  return scored
    .map(({ cause, score, because }) => ({ ...cause, likely: score / all, fits: because === '', because }))
    .sort((a, b) => rank(b) - rank(a) || b.likely - a.likely);
}

function rank({ danger, fits, source }: Ranked): number {
  if (danger !== 'stop' || !fits) return 0;
  return source === CLASH ? 2 : 1;
}

const CLASH = 'what must not meet, by what is in the vessel';

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
