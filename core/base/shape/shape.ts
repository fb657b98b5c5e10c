// A shape describes a value that crosses a boundary: its type follows from it, and so do the check at the door, the text
// of a refusal and the values that tests make up. One description, so that none of them can say another thing.

/** The description of a value of type T. `T` stands in no field: it is only what the compiler reads off. */
export type Shape<T = unknown> = (
  | { readonly is: 'text'; readonly max: number; readonly min: number; readonly like?: Like }
  | {
      readonly is: 'number';
      readonly min?: number;
      readonly moreThan?: number;
      readonly max?: number;
      readonly whole?: true;
    }
  | { readonly is: 'flag' }
  | { readonly is: 'one'; readonly of: readonly string[] }
  | { readonly is: 'substance' }
  | { readonly is: 'list'; readonly of: Shape; readonly min: number; readonly max: number }
  | { readonly is: 'map'; readonly of: Shape; readonly max: number }
  | { readonly is: 'fields'; readonly fields: Fields }
  | { readonly is: 'tagged'; readonly tag: string; readonly kinds: () => Readonly<Record<string, Fields>> }
  | { readonly is: 'nullable'; readonly of: Shape }
  | { readonly is: 'optional'; readonly of: Shape }
  | { readonly is: 'checked'; readonly of: Shape; readonly problem: (value: never) => string }
) & { readonly [TYPE]?: T };

declare const TYPE: unique symbol;

/** What a text has to look like, and how that is said: “looks like ev_ and 6 to 40 letters or digits”. */
export interface Like {
  readonly pattern: RegExp;
  readonly says: string;
  readonly real?: 'date';
  readonly example: string;
}

export type Fields = Readonly<Record<string, Shape>>;

/** The type that a shape describes. */
export type Of<S> = S extends Shape<infer T> ? T : never;

type OptionalKeys<F extends Fields> = { [K in keyof F]: F[K] extends { is: 'optional' } ? K : never }[keyof F];

/** The object that fields describe; what is optional may be left out. */
export type FieldsOf<F extends Fields> = { readonly [K in Exclude<keyof F, OptionalKeys<F>>]: Of<F[K]> } & {
  readonly [K in OptionalKeys<F>]?: Of<F[K]> | undefined;
};

/** The union that a set of tagged kinds describes. */
export type TaggedOf<Tag extends string, K extends Readonly<Record<string, Fields>>> = {
  [Name in keyof K & string]: Simple<Readonly<Record<Tag, Name>> & FieldsOf<K[Name]>>;
}[keyof K & string];

type Simple<T> = { [K in keyof T]: T[K] };

/** A text of so many characters at most; of one at least, unless `min` is 0. */
export const text = (max: number, min = 1): Shape<string> => ({ is: 'text', max, min });
export const note = (max: number): Shape<string> => text(max, 0);
export const number = (
  limits: { readonly min?: number; readonly moreThan?: number; readonly max?: number; readonly whole?: true } = {},
): Shape<number> => ({ is: 'number', ...limits });
export const flag = (): Shape<boolean> => ({ is: 'flag' });
export const one = <const V extends string>(...of: readonly V[]): Shape<V> => ({ is: 'one', of });
export const list = <T>(of: Shape<T>, max: number, min = 0): Shape<readonly T[]> => ({ is: 'list', of, max, min });
export const map = <T>(of: Shape<T>, max: number): Shape<Readonly<Record<string, T>>> => ({ is: 'map', of, max });
export const fields = <const F extends Fields>(
  of: F,
): Shape<Simple<FieldsOf<F>>> & { readonly is: 'fields'; readonly fields: F } => ({
  is: 'fields',
  fields: of,
});
export const nullable = <T>(of: Shape<T>): Shape<T | null> => ({ is: 'nullable', of });
export const optional = <T>(of: Shape<T>): Shape<T> & { readonly is: 'optional' } => ({ is: 'optional', of });
export const tagged = <const Tag extends string, const K extends Readonly<Record<string, Fields>>>(
  tag: Tag,
  kinds: K,
): Shape<TaggedOf<Tag, K>> => ({ is: 'tagged', tag, kinds: () => kinds });

/** A shape whose value must besides make sense: `problem` says what is wrong with it, in words that follow its name; '' for nothing. */
export const checked = <T>(of: Shape<T>, problem: (value: T) => string): Shape<T> => ({ is: 'checked', of, problem });

const looks = (pattern: RegExp, says: string, example: string, real?: 'date'): Shape<string> => ({
  is: 'text',
  min: 1,
  max: 80,
  like: { pattern, says, example, ...(real ? { real } : {}) },
});

/** A client-made id: a readable prefix and enough randomness never to meet another. */
export const id = (prefix: string): Shape<string> =>
  looks(
    new RegExp(`^${prefix}_[A-Za-z0-9_-]{6,40}$`),
    `looks like ${prefix}_ and 6 to 40 letters or digits`,
    `${prefix}_example01`,
  );
export const instant = (): Shape<string> =>
  looks(
    /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,6})?)?(Z|[+-]\d{2}:\d{2})$/,
    'is an instant such as 2026-03-14T09:30:00Z',
    '2026-03-14T09:30:00Z',
    'date',
  );
export const day = (): Shape<string> =>
  looks(/^\d{4}-\d{2}-\d{2}$/, 'is a day such as 2026-03-14', '2026-03-14', 'date');

/** Least and most of something. */
export const span = (limits: Parameters<typeof number>[0] = {}): Shape<readonly [number, number]> =>
  checked<readonly [number, number]>(
    {
      is: 'list',
      of: number(limits),
      min: 2,
      max: 2,
    },
    ([from, to]) => (from <= to ? '' : `goes backwards, from ${from} to ${to}: the smaller comes first.`),
  );
