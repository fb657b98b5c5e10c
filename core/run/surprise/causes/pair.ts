import type { Cause, Observation } from '../cause.ts';

export const VOGEL = 'Vogel, Qualitative Inorganic Analysis, 5th ed.';
export const BRETHERICK = 'Bretherick’s Handbook of Reactive Chemical Hazards, 7th ed.';
export const PRACTICE = 'Vogel, Practical Organic Chemistry, 5th ed., ch. 2';

/** Any acid, as a group of `needs`. */
export const ACID = 'acid_strong|acid_weak';
/** What to do at once where a gas must not be breathed. */
export const AWAY = 'Step back upwind, leave the room, let it air; do not cover it.';

type More = Partial<Pick<Cause, 'via' | 'danger' | 'now' | 'weight' | 'overC' | 'techniques' | 'source'>>;

/** One cause of an observation; the source is Vogel’s analysis unless it says otherwise. */
export function pair(
  observation: Observation,
  cause: string,
  needs: string,
  check: string,
  move: string,
  more: More = {},
): Cause {
  return {
    observation,
    cause,
    // “acid_strong|acid_weak carbonate”: one of the first, and the second.
    needs: needs === '' ? [] : needs.split(' ').map((group) => group.split('|')),
    check,
    move,
    via: '',
    danger: 'note',
    now: '',
    weight: 2,
    overC: null,
    techniques: [],
    source: VOGEL,
    ...more,
  };
}
