// Keeping: how a reagent keeps in practice, by what it is and how strong: container, months, what is seen, light, cold, vent.
export { type Kept, keepingOf } from './keeping.ts';
