// Plans: what is to be made, by which route, from which bottles, at which bench. A plan carries its own copies of all of
// them. factsOf() looks everything up and checks it, once; stepsOf() gives the steps of its run with what the entries made
// of them.
export { MOST_G } from './check.ts';
export { factsOf, type PlanFacts } from './facts.ts';
export { PLAN_VERSION, type Plan, type PlanStart, planShape, planTitle, productTitle, startPlan } from './plan.ts';
export { type OrderedStep, opOf, plannedOrder, type RunStep, type StepStatus, stepsOf } from './steps.ts';
export { stockIn } from './stock-in.ts';
export { usualCard } from './usual-card.ts';
