// Everything that crosses the boundary, as Yup schemas. Numbers are finite, texts are bounded, unknown keys are refused.
export { bottleEventSchema, cardSchema, newBottleSchema } from './schema/bottle.ts';
export { computeInputs } from './schema/compute-inputs.ts';
export { idOf } from './schema/parts.ts';
export {
  benchChangeSchema,
  benchSchema,
  joinSchema,
  newBatchSchema,
  newLessonSchema,
  planChangeSchema,
  planSchema,
  splitSchema,
} from './schema/plan.ts';
export { runEventSchema, runEventsSchema } from './schema/run-event.ts';
