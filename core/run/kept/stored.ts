/** Something that was stored as JSON and is not known to be of today's shape. */
export type Stored = Readonly<Record<string, unknown>>;

/** What was stored, taken at its word: it was checked at the door when it was written. */
export function read<T>(stored: unknown): T {
  return stored as T;
}
