import { array, boolean, lazy, mixed, object, type Schema, string } from 'yup';
import { type Quantity, quantities, type Reading, type RunEvent, readingLeast, readingProblem } from '#core/log';
import { cardSchema } from './bottle.ts';
import { byKind, finite, idOf, instant, pick, record, shape, text } from './parts.ts';

const readingKinds: Readonly<Record<string, Schema>> = {
  exact: shape({ is: string().required(), value: finite().required(), unit: text(20).defined() }),
  band: shape({
    is: string().required(),
    low: finite().required(),
    high: finite()
      .required()
      .when('low', ([low], schema) => schema.min(Number(low), ({ path }) => `${path} is not below the low end`)),
    unit: text(20).defined(),
  }),
  over: shape({ is: string().required(), value: finite().required(), unit: text(20).defined() }),
  under: shape({ is: string().required(), value: finite().required(), unit: text(20).defined() }),
  counted: shape({
    is: string().required(),
    count: finite().required(),
    measure: text(60).required(),
    each: finite().moreThan(0).max(1e5).required(),
    sd: finite().min(0).max(1e5).required(),
    unit: text(20).defined(),
  }),
  word: shape({ is: string().required(), text: text(200).required() }),
};

const reading = lazy((value: unknown) => pick(readingKinds, value, 'is')) as unknown as Schema<Reading>;
const amount = lazy((value: unknown) =>
  (pick(readingKinds, value, 'is') as Schema)
    .test(
      'not-negative',
      ({ path }) => `${path} is 0 or more`,
      (each) => !hasNegative(each),
    )
    .test(
      'not-a-tonne',
      ({ path }) => `${path} is at most a tonne`,
      (each) => (readingLeast(each as Reading) ?? 0) <= 1e6,
    ),
) as unknown as Schema<Reading>;

const step = () => text(60).required();
/** A bottle as it stood when something was taken from it. */
const bottleThen = object({ card: cardSchema, usedG: finite().min(0).max(1e7).required() }).noUnknown();
const valueWithSd = () =>
  shape({ value: finite().min(0).max(1e7).required(), sd: finite().min(0).max(1e7).required() });
const eventBodies: Readonly<Record<string, Schema>> = {
  started: shape({ kind: string(), step: step() }),
  charged: shape({
    kind: string(),
    step: step(),
    role: text(40).nullable().defined(),
    bottleId: text(60).nullable().defined(),
    reading: amount,
    reason: text(500).defined(),
    stock: bottleThen.optional().default(undefined) as unknown as Schema,
  }),
  read: shape({
    kind: string(),
    step: step(),
    quantity: string()
      .oneOf([...quantities])
      .required(),
    reading,
    place: text(60).defined(),
  }).test(
    'sense',
    ({ path }) => `${path}.reading is 0 or more for this quantity`,
    (body) => {
      const { quantity, reading: read } = (body ?? {}) as { quantity?: Quantity; reading?: Reading };
      return !quantity || !read || readingProblem(quantity, read) === '';
    },
  ),
  noted: shape({ kind: string(), step: step(), text: text(4000).required() }),
  photographed: shape({
    kind: string(),
    step: step(),
    attachmentId: idOf('att'),
    caption: text(300).defined(),
    colour: string()
      .matches(/^#[0-9a-f]{6}$/)
      .optional(),
  }),
  'timer-set': shape({
    kind: string(),
    step: step(),
    timer: idOf('timer'),
    name: text(80).required(),
    minutes: finite().moreThan(0).max(525_600).required(),
  }),
  'timer-stopped': shape({ kind: string(), timer: idOf('timer') }),
  withdrawn: shape({
    kind: string(),
    step: step(),
    reading: amount,
    purpose: text(300).defined(),
    returned: boolean().required(),
  }),
  'step-inserted': shape({
    kind: string(),
    step: idOf('step'),
    after: step(),
    beside: boolean().required(),
    repeats: text(60).nullable().defined(),
    does: string().oneOf(['as-before', 'redissolve']).optional(),
    title: text(120).required(),
    why: text(500).defined(),
    leave: shape({ alone: boolean().required(), lookEveryMin: finite().moreThan(0).max(525_600).nullable().defined() }),
  }),
  'portion-tested': shape({
    kind: string(),
    step: step(),
    portion: idOf('ev'),
    reading: amount,
    says: text(300).defined(),
  }),
  enlarged: shape({
    kind: string(),
    step: step(),
    factor: finite()
      .moreThan(1, ({ path }) => `${path} is more than 1`)
      .max(20)
      .required(),
    why: text(500).defined(),
  }),
  'poured-off': shape({
    kind: string(),
    step: step(),
    share: finite().moreThan(0).max(1).required(),
    batchId: text(60).nullable().defined(),
    bottleId: idOf('bottle').optional(),
    why: text(500).defined(),
  }),
  'poured-in': shape({
    kind: string(),
    step: step(),
    batchId: idOf('batch'),
    number: finite().integer().min(1).required(),
    amounts: record(valueWithSd(), 60) as unknown as Schema,
    waterG: valueWithSd(),
    inertG: valueWithSd(),
    extentMol: object({ value: finite().min(0).required(), sd: finite().min(0).required() })
      .noUnknown()
      .nullable()
      .defined(),
  }),
  looked: shape({ kind: string(), step: step() }),
  'step-skipped': shape({ kind: string(), step: step(), reason: text(500).required() }),
  finished: shape({ kind: string(), step: step() }),
  reopened: shape({ kind: string(), step: step() }),
  acknowledged: shape({ kind: string(), caution: text(60).required() }),
  abandoned: shape({ kind: string(), reason: text(500).required() }),
  bottled: shape({ kind: string(), bottleId: idOf('bottle') }),
};

const correctedBody = shape({
  kind: string(),
  of: idOf('ev'),
  body: lazy((value: unknown) => (value === null ? mixed().nullable() : pick(eventBodies, value, 'kind'))),
  reason: text(500).defined(),
});

export const runEventSchema = shape<Omit<RunEvent, 'writtenAt'>>({
  id: idOf('ev'),
  happened: shape({ at: instant(), giveOrTakeMin: finite().min(0).max(525_600).required() }),
  body: byKind({ ...eventBodies, corrected: correctedBody }),
});

export const runEventsSchema = shape<{ events: Omit<RunEvent, 'writtenAt'>[] }>({
  events: array().of(runEventSchema).min(1).max(500).required(),
});

/** A whole event as the compute door takes it, with when it was written. */
export const storedEvent = shape<RunEvent>({
  id: text(80).required(),
  happened: shape({ at: instant(), giveOrTakeMin: finite().min(0).max(525_600).required() }),
  writtenAt: instant(),
  body: byKind({ ...eventBodies, corrected: correctedBody }),
});

function hasNegative(value: unknown): boolean {
  if (typeof value !== 'object' || value === null) return false;
  return ['value', 'low', 'high'].some((key) => Number((value as Record<string, unknown>)[key] ?? 0) < 0);
}
