export interface LabelPart {
  readonly kind: 'substance' | 'strength' | 'size' | 'price' | 'date' | 'name';
  /** Where it stands in the typed text, [from, to). */
  readonly at: readonly [number, number];
  /** What was understood, in words. */
  readonly reading: string;
}

/** Which stretch of the text is spoken for. */
export class Claims {
  readonly #text: string;
  readonly #parts: LabelPart[] = [];
  constructor(text: string) {
    this.#text = text;
  }
  get typed(): string {
    return this.#text;
  }
  /** Whether any of a stretch is spoken for, parts of one kind left aside. */
  isClaimed(from: number, to: number, but?: LabelPart['kind']): boolean {
    return this.#parts.some(({ at, kind }) => kind !== but && from < at[1] && to > at[0]);
  }
  /** Matches of a pattern that touch nothing claimed yet. */
  free(pattern: RegExp): RegExpExecArray[] {
    return [...this.#text.matchAll(pattern)].filter((match) => {
      const from = match.index;
      const to = from + match[0].length;
      return to > from && !this.isClaimed(from, to);
    });
  }
  claim(kind: LabelPart['kind'], match: { index: number; 0: string }, reading: string): void {
    const lead = match[0].length - match[0].trimStart().length;
    const from = match.index + lead;
    this.#parts.push({ kind, at: [from, from + match[0].trim().length], reading });
  }
  /** Reads the parts of one kind otherwise, once it is known what they belong to. */
  revise(kind: LabelPart['kind'], from: string, to: string): void {
    this.#parts.forEach((part, i) => {
      if (part.kind === kind && part.reading === from) this.#parts[i] = { ...part, reading: to };
    });
  }
  /** Where a reading of a kind stands; the end of the text where it stands nowhere. */
  placeOf(kind: LabelPart['kind'], reading: string): readonly [number, number] {
    const part = this.#parts.find((each) => each.kind === kind && each.reading === reading);
    return part?.at ?? [this.#text.length, this.#text.length];
  }
  /** What nobody has claimed, tidied; parts of the kinds given count as unclaimed. */
  leftOver(...keep: LabelPart['kind'][]): string {
    let rest = this.#text;
    for (const { at, kind } of [...this.parts()].reverse()) {
      if (!keep.includes(kind)) rest = `${rest.slice(0, at[0])}  ${rest.slice(at[1])}`;
    }
    return rest
      .replace(/[“”"]/g, '')
      .replace(/(^|\s)[,;:.–-]+(?=\s|$)/g, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .replace(/[,;:]+$/, '');
  }
  /** The words right before a place, when they match; claimed with what follows by whoever asks. */
  wordBefore(index: number, pattern: RegExp): RegExpExecArray | null {
    return pattern.exec(this.#text.slice(0, index));
  }
  parts(): readonly LabelPart[] {
    return [...this.#parts].sort((a, b) => a.at[0] - b.at[0]);
  }
}
