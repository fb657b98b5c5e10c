import { array, boolean, object, type Schema, string } from 'yup';
import type { Strength } from '#core/solution';
import { type BottleCard, containers, groups } from '#core/stock';
import { byKind, day, finite, idOf, instant, shape, strength, text } from './parts.ts';

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
