import { readingProblem } from '#base/reading';
import {
  checked,
  type FieldsOf,
  fields,
  flag,
  id,
  instant,
  note,
  nullable,
  number,
  type Of,
  optional,
  type Shape,
  tagged,
  text,
} from '#base/shape';
import type { LogNames } from './entry-kind.ts';
import { entryKinds } from './kinds/index.ts';

type Kinds = typeof entryKinds;

/** What was entered, besides corrections. */
export type PlainBody = {
  [K in keyof Kinds]: Flat<{ readonly kind: K } & FieldsOf<Kinds[K]['fields']>>;
}[keyof Kinds];
type Flat<T> = { [K in keyof T]: T[K] };

/** Names an earlier entry; `body` replaces it, or null strikes it out. */
export interface CorrectedBody {
  readonly kind: 'corrected';
  readonly of: string;
  readonly body: PlainBody | null;
  readonly reason: string;
}

export type EventBody = PlainBody | CorrectedBody;
export type EventKind = PlainBody['kind'];
export type BodyOf<K extends EventKind> = Extract<PlainBody, { kind: K }>;

/** When something happened, as far as is known: an instant, and how many minutes it may be off. */
export const happenedShape = fields({ at: instant(), giveOrTakeMin: number({ min: 0, max: 525_600 }) });
export type Happened = Of<typeof happenedShape>;

/** An entry as it was written; what corrects another stands beside what it corrects. */
export interface RunEvent {
  /** Made by the client, so that sending it twice is harmless. */
  readonly id: string;
  readonly happened: Happened;
  readonly writtenAt: string;
  readonly body: EventBody;
}

/** Version of entries as they are stored; an older one is brought up to it when it is read. */
export const EVENT_VERSION = 2;

/** The fields of every kind. */
const entryFields = Object.fromEntries(Object.entries(entryKinds).map(([kind, { fields: of }]) => [kind, of])) as {
  readonly [K in EventKind]: Kinds[K]['fields'];
};

const belowZero = (body: EventBody) =>
  body.kind === 'read' && readingProblem(body.quantity, body.reading) !== ''
    ? 'has a reading below zero; of this quantity it is 0 or more'
    : '';

/** An entry of any kind but a correction. */
export const plainBodyShape: Shape<PlainBody> = checked(tagged('kind', entryFields), belowZero);

/** What an entry holds: one of its kinds, or a correction of another. */
export const eventBodyShape: Shape<EventBody> = checked(
  tagged('kind', {
    ...entryFields,
    corrected: { of: id('ev'), body: nullable(plainBodyShape), reason: note(500) },
  }),
  belowZero,
);

/** An entry as a client sends it; when it was written is for the server to say. */
export const newEventShape = fields({
  id: id('ev'),
  happened: happenedShape,
  body: eventBodyShape,
  /** The page it was made in: the same from two pages is asked about. */
  tab: optional(text(40)),
  /** Asked about, and it did happen once more. */
  again: optional(flag()),
});

/** A whole entry, as the compute door takes it. */
export const runEventShape: Shape<RunEvent> = fields({
  id: text(80),
  happened: happenedShape,
  writtenAt: instant(),
  body: eventBodyShape,
});

/** What each kind must have besides its fields: a kind without a text does not compile. */
const texts: { readonly [K in EventKind]: { readonly text: (body: BodyOf<K>, names: LogNames) => string } } =
  entryKinds;

/** One entry as it is read in the log. */
export function bodyText<K extends EventKind>(body: BodyOf<K>, names: LogNames): string {
  return texts[body.kind as K].text(body, names);
}
