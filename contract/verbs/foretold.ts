import { assayPlanShape, foretoldCurve } from '#core/assay';
import { fields } from '#core/shape';
import { verb } from '../verb.ts';
import { probe } from './probe.ts';

/** The curve that a planned acid-base assay will follow. */
export const foretold = verb({
  name: 'foretold',
  input: fields({ plan: assayPlanShape }),
  run: ({ plan }) => foretoldCurve(plan),
  example: probe.example && { plan: probe.example.plan },
});
