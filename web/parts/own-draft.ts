import { reactionText } from '#matter/reaction';
import { substanceById } from '#matter/substance';
import { liveOf, type RunEvent } from '#run/log';
import type { OwnDraft } from '#run/own';
import { type Plan, planTitle } from '#run/plan';
import { asInserted } from '#run/sheet';
import { newId } from '../api/ids.ts';

/** What is written of a batch of one's own so far. */
export type Draft = Omit<OwnDraft, 'shelf' | 'bench' | 'today'>;

export const EMPTY_DRAFT: Draft = {
  text: '',
  formula: '',
  gPer100gWater: null,
  bottles: [],
  equations: [''],
  mine: null,
  controls: {},
};

/** A plan to be changed where a batch of one's own is written. */
export function draftOf(plan: Plan): Draft {
  const bottles = plan.route.roles.flatMap(({ id }) => plan.bottles[id] ?? []);
  // What no record holds is known by what was said of it.
  const described = substanceById(plan.target.substanceId)?.described;
  return {
    ...EMPTY_DRAFT,
    text: planTitle(plan),
    formula: described?.formula ?? '',
    gPer100gWater: described?.gPer100gWater ?? null,
    bottles,
    equations: plan.route.reactions.length > 0 ? plan.route.reactions.map(reactionText) : [''],
    mine: plan.route,
    controls: plan.controls,
  };
}

/** A route to be changed: a copy, under an id of its own. */
export function copyOf(plan: Plan): Draft {
  const title = `${plan.route.title}, my own`.slice(0, 200);
  return { ...draftOf(plan), mine: { ...plan.route, id: newOwnRouteId(), title } };
}

export function newOwnRouteId(): string {
  return newId('own').replace('_', '-');
}

/** A finished run as the draft of the next: with the steps that were inserted at the bench. */
export function draftAgain(plan: Plan, events: readonly RunEvent[]): ReturnType<typeof draftOf> {
  return draftOf(asInserted(plan, liveOf(events)));
}
