import { array, boolean, type Schema, string } from 'yup';
import type { Plan } from '#core/plan';
import { type Bench, materials } from '#core/vessel';
import type { NewLesson } from '../api.ts';
import { cardSchema } from './bottle.ts';
import { day, finite, idOf, record, shape, strength, text } from './parts.ts';

export const vesselsSchema = array()
  .of(
    shape({
      name: text(60).required(),
      capacityMl: finite().moreThan(0).max(100_000).required(),
      diameterMm: finite().moreThan(0).max(2000).required(),
      heightMm: finite().moreThan(0).max(2000).required(),
      material: string()
        .oneOf([...materials])
        .optional(),
      sacrificial: boolean().optional(),
    }),
  )
  .min(1)
  .max(60)
  .required();

export const benchSchema = shape<Bench>({
  place: text(60).required(),
  tempC: finite().min(0).max(45).required(),
  pressureHPa: finite().min(600).max(1100).required(),
  balanceG: finite().min(1e-6).max(100).required(),
  cylindersMl: array().of(finite().moreThan(0).max(10_000).required()).min(1).max(20).required(),
  vessels: vesselsSchema,
  measures: array()
    .of(
      shape({
        name: text(60).required(),
        of: text(60).defined(),
        gramsEach: finite().moreThan(0).max(10_000).required(),
        sdG: finite().min(0).max(10_000).required(),
      }),
    )
    .max(40)
    .required(),
  roomM3: finite().moreThan(0).max(100_000).required(),
  evaporationGPerH: finite().moreThan(0).max(100_000).required(),
});

export const planSchema = shape<Plan>({
  routeId: text(80).required(),
  target: shape({
    substanceId: text(80).required(),
    amount: shape({ value: finite().required(), unit: string().oneOf(['g', 'mL']).required() }),
    strength: strength.nullable().defined(),
    fromRole: text(40).nullable().defined(),
  }),
  bottles: record(text(60).nullable().defined(), 20) as unknown as Schema,
  stock: record(shape({ card: cardSchema, usedG: finite().min(0).max(1e7).required() }), 20) as unknown as Schema,
  controls: record(finite().required(), 30) as unknown as Schema,
  bench: benchSchema,
  day: day(),
});

export const newBatchSchema = shape<{ id: string; plan: Plan }>({ id: idOf('batch'), plan: planSchema });
export const planChangeSchema = shape<{ basedOn: number; plan: Plan }>({
  basedOn: finite().integer().min(1).required(),
  plan: planSchema,
});
export const benchChangeSchema = shape<{ basedOn: number; bench: Bench }>({
  basedOn: finite().integer().min(0).required(),
  bench: benchSchema,
});

/** A part of a batch that becomes its own, and a batch that goes into another. */
export const splitSchema = shape<{ id: string; share: number; why: string }>({
  id: idOf('batch'),
  share: finite().moreThan(0).lessThan(1).required(),
  why: text(500).defined(),
});
export const joinSchema = shape<{ id: string; from: string }>({ id: idOf('ev'), from: idOf('batch') });

export const newLessonSchema = shape<NewLesson>({
  id: idOf('lesson'),
  routeId: text(80).defined(),
  step: text(60).nullable().defined(),
  bottleId: text(60).nullable().defined(),
  batchId: text(60).nullable().defined(),
  text: text(1000).required(),
});
