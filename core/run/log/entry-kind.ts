import type { Fields, FieldsOf } from '#base/shape';

/** Names that a log line may use: of a bottle, of a role. */
export interface LogNames {
  readonly bottle: (id: string) => string | undefined;
  readonly role: (id: string) => string | undefined;
}

/**
 * A kind of entry at the bench: what it holds, how it is read in the log, what it does to its step and what has to be
 * computed again. Its check at the door and its made-up values follow from its fields.
 */
export interface EntryKind<F extends Fields> {
  readonly fields: F;
  readonly text: (body: FieldsOf<F>, names: LogNames) => string;
  /**
   * What it does to its step. `begins`: as everything that is entered at a step that waits; `none`: it belongs to no step, or
   * moves none.
   */
  readonly step: 'starts' | 'ends' | 'skips' | 'reopens' | 'begins' | 'inserts' | 'none';
  /** What it changes: amounts in vessels, the order of steps, or only the record. */
  readonly changes: 'amounts' | 'steps' | 'record';
}

export const entryKind = <const F extends Fields>(kind: EntryKind<F>): EntryKind<F> => kind;
