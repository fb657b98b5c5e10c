/** One answer to a question about a label. */
export interface Choice {
  readonly says: string;
  /** What shows that it is this one; empty where the pack says so. */
  readonly decides: string;
  /** The label as it reads once this is chosen. */
  readonly text: string;
}

/** What a label leaves open, with the answers there are. */
export interface Question {
  readonly asks: string;
  readonly choices: readonly Choice[];
}

/** A text with a stretch of it said otherwise; a strength that stands in it already is not said twice. */
export function said(typed: string, [from, to]: readonly [number, number], by: string): string {
  const around = typed.slice(0, from) + typed.slice(to);
  const words = /\d\s*%/.test(around) ? by.replace(/\s*\d[\d.,]*\s*%(?:\s*[wv]\/[wv])?/g, '') : by;
  return `${typed.slice(0, from)}${words}${typed.slice(to)}`.replace(/\s+/g, ' ').trim();
}
