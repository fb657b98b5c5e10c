// Choosing: which routes lead to a target from this shelf, what the shelf can make at all, and routes with their methods side by
// side. Each is asked of plans and their sheets; nothing here knows a run.

export { type Asking, choicesFor, type PlanChoice, type TargetAnswer } from './choices.ts';
export { type Makeable, type MakeableAnswer, makeableFrom, type Opened } from './makeable.ts';
export { type MethodColumn, type MethodRow, sideBySide } from './side-by-side.ts';
