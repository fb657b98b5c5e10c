// A batch of one's own: equations as typed, balanced; a route made of them, of the catalogue's shape; steps of every technique
// inserted, moved, removed. What a built-in route knows is one way of filling in what a person can also write.

export { admitRoute, OWN_ROUTE, ROUTE_VERSION } from './admit-route.ts';
export { type EquationAnswer, type OwnAnswer, type OwnDraft, ownFrom } from './asked.ts';
export { changeRole, moveStep, putStep, removeStep, reword, workIn } from './edit.ts';
export { type EquationRead, readEquation, typedEquation } from './equation.ts';
export { leavesOpen } from './leaves-open.ts';
export { roleId } from './own-route.ts';
export { type RouteFile, routeFile, routeFileShape } from './route-file.ts';
export { sharesOf } from './shares.ts';
