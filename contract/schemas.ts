import { array, boolean, lazy, mixed, number, object, type Schema, string } from 'yup';
import {
  type Plan,
  type Quantity,
  quantities,
  type Reading,
  type RunEvent,
  readingLeast,
  readingProblem,
} from '#core/run';
import { type Strength, strengthUnits } from '#core/solution';
import { type BottleCard, containers, groups } from '#core/stock';
import { signs } from '#core/surprise';
import { type Bench, materials } from '#core/vessel';
import type { NewLesson } from './api.ts';

// Everything that crosses the boundary, as Yup schemas. Numbers are finite, texts are bounded, unknown keys are refused.

const finite = () =>
  number()
    .test(
      'finite',
      ({ path }) => `${path} is a finite number`,
      (value) => value === undefined || value === null || Number.isFinite(value),
    )
    .typeError(({ path }) => `${path} is a number`);
const text = (most: number) => string().max(most, ({ path, max }) => `${path} has at most ${max} signs`);
const shape = <T extends object>(fields: Parameters<typeof object>[0]) =>
  object(fields)
    .noUnknown(true, ({ path, unknown }) => `${path || 'the body'} has an unknown key: ${unknown}`)
    .required() as unknown as Schema<T>;

/** A client-made id: a readable prefix and enough randomness never to meet another. */
export const idOf = (prefix: string) =>
  string()
    .matches(
      new RegExp(`^${prefix}_[A-Za-z0-9_-]{6,40}$`),
      ({ path }) => `${path} looks like ${prefix}_ and 6 to 40 letters or digits`,
    )
    .required();

const instant = () =>
  string()
    .matches(
      /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,6})?)?(Z|[+-]\d{2}:\d{2})$/,
      ({ path }) => `${path} is an instant such as 2026-03-14T09:30:00Z`,
    )
    .test(
      'real',
      ({ path }) => `${path} is not a real date`,
      (value) => value === undefined || !Number.isNaN(Date.parse(value)),
    )
    .required();
const day = () =>
  string()
    .matches(/^\d{4}-\d{2}-\d{2}$/, ({ path }) => `${path} is a day such as 2026-03-14`)
    .test(
      'real',
      ({ path }) => `${path} is not a real day`,
      (value) => value === undefined || !Number.isNaN(Date.parse(value)),
    )
    .required();

const strength = object({
  value: finite().required(),
  unit: string()
    .oneOf(Object.keys(strengthUnits) as (keyof typeof strengthUnits)[])
    .required(),
}).noUnknown();

export const cardSchema = shape<BottleCard>({
  name: text(120).required(),
  substanceId: text(80).required(),
  strength: strength.nullable().defined() as Schema<Strength | null>,
  others: array()
    .of(shape({ substanceId: text(80).required(), strength: strength.required() }))
    .max(6)
    .required(),
  strengthBand: finite().moreThan(0).max(1e6).nullable().defined(),
  assayed: boolean().required(),
  size: object({ value: finite().moreThan(0).max(1e6).required(), unit: string().oneOf(['g', 'mL']).required() })
    .noUnknown()
    .nullable()
    .defined(),
  price: finite().min(0).max(1e7).nullable().defined(),
  container: string()
    .oneOf([...containers])
    .required(),
  group: string()
    .oneOf([...groups])
    .required(),
  since: day(),
  labelText: text(300).defined(),
  fromBatch: text(60).nullable().defined(),
  note: text(2000).defined(),
});

const bottleBodies: Readonly<Record<string, Schema>> = {
  corrected: shape({ kind: string().required(), card: cardSchema }),
  used: shape({
    kind: string().required(),
    grams: finite().moreThan(0).max(1e6).required(),
    forBatch: text(60).nullable().defined(),
    why: text(300).defined(),
  }),
  archived: shape({ kind: string().required(), why: text(300).defined() }),
  restored: shape({ kind: string().required() }),
  undone: shape({ kind: string().required(), of: text(80).required() }),
};

export const newBottleSchema = shape<{ id: string; eventId: string; card: BottleCard }>({
  id: idOf('bottle'),
  eventId: idOf('ev'),
  card: cardSchema,
});

export const bottleEventSchema = shape({
  id: idOf('ev'),
  happenedAt: instant(),
  /** The version an edit was based on; a stale one is refused. */
  basedOn: finite().integer().min(1).optional(),
  body: byKind(bottleBodies),
});

const record = (each: Schema, most: number) =>
  lazy((value: unknown) => {
    const keys = typeof value === 'object' && value !== null ? Object.keys(value).slice(0, most + 1) : [];
    if (keys.length > most) return mixed().test('few', `at most ${most} entries`, () => false);
    return shape(Object.fromEntries(keys.map((key) => [key, each])));
  });

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
const doubted = () => shape({ value: finite().min(0).max(1e7).required(), sd: finite().min(0).max(1e7).required() });
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
    why: text(500).defined(),
  }),
  'poured-in': shape({
    kind: string(),
    step: step(),
    batchId: idOf('batch'),
    number: finite().integer().min(1).required(),
    amounts: record(doubted(), 60) as unknown as Schema,
    waterG: doubted(),
    inertG: doubted(),
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
const storedEvent = shape<RunEvent>({
  id: text(80).required(),
  happened: shape({ at: instant(), giveOrTakeMin: finite().min(0).max(525_600).required() }),
  writtenAt: instant(),
  body: byKind({ ...eventBodies, corrected: correctedBody }),
});

export const benchSchema = shape<Bench>({
  place: text(60).required(),
  tempC: finite().min(0).max(45).required(),
  pressureHPa: finite().min(600).max(1100).required(),
  balanceG: finite().moreThan(0).max(100).required(),
  cylindersMl: array().of(finite().moreThan(0).max(10_000).required()).min(1).max(20).required(),
  vessels: array()
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
    .required(),
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

const shelfBottle = shape({
  id: text(60).required(),
  card: cardSchema,
  usedG: finite().min(0).required(),
  archived: boolean().required(),
});
const tempC = () => finite().min(0).max(45).required();

const presentFields = () => ({ substanceId: text(80).required(), pct: finite().min(0).max(100).required() });
const present = () => array().of(shape(presentFields())).max(200).required();

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

/** Inputs of the compute door, by verb. */
export const computeInputs = {
  reckon: shape({ text: text(2000).defined() }),
  label: shape({ text: text(2000).defined(), today: day(), tempC: tempC() }),
  bottle: shape({
    id: text(60).required(),
    card: cardSchema,
    usedG: finite().min(0).required(),
    tempC: tempC(),
    today: day(),
  }),
  ageing: shape({
    id: text(60).required(),
    card: cardSchema,
    today: day(),
    tempC: tempC(),
    light: string().oneOf(['dark', 'daylight']).required(),
  }),
  shelf: shape({ bottles: array().of(shelfBottle).max(5000).required(), tempC: tempC(), today: day() }),
  wish: shape({
    text: text(2000).defined(),
    shelf: array().of(shelfBottle).max(5000).required(),
    bench: benchSchema,
    today: day(),
  }),
  sheet: shape({ plan: planSchema }),
  advise: shape({
    plan: planSchema,
    events: array().of(storedEvent).max(50_000).required(),
    step: text(60).required(),
    now: instant(),
  }),
  surprise: shape({
    sign: string()
      .oneOf(Object.keys(signs) as (keyof typeof signs)[])
      .required(),
    present: present(),
    tempC: finite().min(-80).max(500).required(),
    panel: text(20).defined(),
  }),
  clash: shape({ present: present(), added: shape(presentFields()) }),
  dish: shape({
    substanceId: text(80).required(),
    grams: finite().moreThan(0).max(20_000).required(),
    waterG: finite().moreThan(0).max(100_000).required(),
    hotC: finite().min(0).max(110).required(),
    coldC: finite().min(-10).max(110).required(),
    boilAwayG: finite().min(0).max(100_000).required(),
    crops: finite().integer().min(1).max(4).required(),
    impurityPct: finite().min(0).max(50).required(),
    airC: tempC(),
    humidityPct: finite().min(0).max(100).required(),
    pressureHPa: finite().min(600).max(1100).required(),
    dishCm2: finite().moreThan(0).max(10_000).required(),
  }),
  wash: shape({
    retainedMl: finite().min(0).max(100_000).required(),
    portionMl: finite().moreThan(0).max(100_000).required(),
    goalPct: finite().moreThan(0).max(100).required(),
    productGPer100Ml: finite().min(0).max(500).required(),
    readings: array()
      .of(shape({ portion: finite().min(0).max(200).required(), value: finite().min(0).required() }))
      .max(200)
      .required(),
    goalReading: finite().moreThan(0).nullable().defined(),
  }),
  run: shape({ plan: planSchema, events: array().of(storedEvent).max(50_000).required() }),
} as const;

function byKind(bodies: Readonly<Record<string, Schema>>): Schema {
  return lazy((value: unknown) => pick(bodies, value, 'kind')) as unknown as Schema;
}

/** The schema that a tagged value chooses by its tag; a refusal that names the tags when it chooses none. */
function pick(schemas: Readonly<Record<string, Schema>>, value: unknown, tag: string) {
  const given = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[tag] : undefined;
  const found = typeof given === 'string' && Object.hasOwn(schemas, given) ? schemas[given] : undefined;
  return (
    found ??
    mixed().test(
      'tag',
      ({ path }) => `${path}.${tag} is one of ${Object.keys(schemas).join(', ')}`,
      () => false,
    )
  );
}

function hasNegative(value: unknown): boolean {
  if (typeof value !== 'object' || value === null) return false;
  return ['value', 'low', 'high'].some((key) => Number((value as Record<string, unknown>)[key] ?? 0) < 0);
}
