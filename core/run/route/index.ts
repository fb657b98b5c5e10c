// Routes: how a reagent is made, as data. A route names its roles (what is added), reactions, controls, and steps with
// their reasons, sights and ends; it holds no amounts, those come from the target and the bottles.
// parseTarget() reads “1.5 L of 2 mol/L hydrochloric acid”; routesFor() finds the routes and the bottles that fit.

export type { ShelfBottle } from '#matter/stock';
export { plainWater } from './catalogue/common-roles.ts';
export { catalogue, routeById } from './catalogue/index.ts';
export { routeProblems } from './check.ts';
export { addStep } from './kinds/add-step.ts';
export type { PutIn, StepKind } from './kinds/step-kind.ts';
export { stepKinds } from './kinds/step-kinds.ts';
export { type Route, routeShape, type StepTemplate, stepsAt } from './route.ts';
export { acceptedFor, bottlesForRole, canMake, type RouteChoice, routesFor } from './search.ts';
export { parseTarget, type Target, targetSentence, targetShape, targetText } from './target.ts';
