// Kept: what earlier builds stored, and how it is read today. Plans, entries and cards carry the version they were stored
// under; each is brought up to today's when it is read, and never rewritten where it lies. routes-1.ts holds the routes as
// they were when plans did not yet carry their own.
export { bottleBodyFrom, eventBodyFrom, eventFrom } from './event.ts';
export { planFrom, type RoutesThen } from './plan.ts';
export { routes1 } from './routes-1.ts';
export type { Stored } from './stored.ts';
