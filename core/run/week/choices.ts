import { fields, instant, list, map, type Of, one, text } from '#base/shape';
import { aims } from './task.ts';

/** What a person has decided about their weeks; times as instants, so that they hold when a day is over. */
export const choicesShape = fields({
  aim: one(...aims),
  /** Steps put somewhere by hand. */
  pins: map(instant(), 200),
  /** When a batch is to be done, by its id. */
  wanted: map(instant(), 100),
  /** Kept plans, bottles and labels that are left out of the weeks. */
  out: list(text(120), 200),
  /** The order of the plan that was kept, its held-back batches, and where each step stood in it. */
  order: list(text(160), 600),
  holds: map(instant(), 200),
  said: map(instant(), 600),
});
export type WeekChoices = Of<typeof choicesShape>;

export const NO_CHOICES: WeekChoices = {
  aim: 'soonest',
  pins: {},
  wanted: {},
  out: [],
  order: [],
  holds: {},
  said: {},
};
