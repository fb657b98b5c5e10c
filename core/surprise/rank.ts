import { classesOf, type Present } from '#core/guard';
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

/** Causes of an observation, dangerous ones that fit first, then the likeliest. */
export function causesOf(observation: Observation, scene: Scene): readonly Ranked[] {
  const present = new Set(scene.present.flatMap(({ substanceId, pct }) => [...classesOf(substanceId, pct)]));
  const scored = causes
    .filter((cause) => cause.observation === observation)
    .map((cause) => {
      const missing = cause.needs.filter((group) => !group.some((each) => present.has(each)));
      const score =
        cause.weight *
        UNKNOWN ** missing.length *
        (cause.techniques.length > 0 && scene.technique !== null && !cause.techniques.includes(scene.technique)
          ? WRONG_STEP
          : 1) *
        (cause.overC !== null && scene.tempC < cause.overC ? TOO_COLD : 1);
      return { cause, score, missing };
    });
  const all = scored.reduce((sum, { score }) => sum + score, 0) || 1;
  return scored
    .map(({ cause, score, missing }) => ({
      ...cause,
      likely: score / all,
      fits: missing.length === 0,
      because:
        missing.length === 0
          ? ''
          : `only if something with ${missing.map((group) => group.map(plain).join(' or ')).join(' and ')} got in`,
    }))
    .sort((a, b) => rank(b) - rank(a) || b.likely - a.likely);
}

function rank({ danger, fits }: Ranked): number {
  return danger === 'stop' && fits ? 1 : 0;
}

function plain(name: string): string {
  return name.replace(/_/g, ' ');
}
