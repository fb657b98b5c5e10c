import { fields } from '#base/shape';
import { assayPlanShape, foretoldCurve } from '#model/assay';
import { verb } from '../verb.ts';
import { probe } from './probe.ts';

/** The curve that a planned acid-base assay will follow. */
export const foretold = verb({
  name: 'foretold',
  input: fields({ plan: assayPlanShape }),
  run: ({ plan }) => foretoldCurve(plan),
  example: probe.example && { plan: probe.example.plan },
});
