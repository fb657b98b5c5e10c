import type { Stretch } from '#base/time';
import { meets } from '#base/time';

/** A stretch that a step holds. */
export interface Held {
  readonly id: string;
  readonly stretch: Stretch;
}

/** What is held of one thing, in order of beginning: what meets a stretch is found without looking at all of it. */
export class Lane<T extends Held> {
  private readonly held: T[] = [];
  /** The longest of it: nothing that begins sooner than this before a stretch reaches into it. */
  private longest = 0;

  add(held: T): void {
    const [from, to] = held.stretch;
    this.held.splice(this.firstFrom(from), 0, held);
    this.longest = Math.max(this.longest, to - from);
  }

  /** Lets go of what one held. */
  remove(id: string): void {
    const at = this.held.findIndex((each) => each.id === id);
    if (at >= 0) this.held.splice(at, 1);
  }

  /** Of what meets a stretch and counts, the one that lasts longest; undefined where nothing does. */
  meeting(stretch: Stretch, counts?: (each: T) => boolean): T | undefined {
    let found: T | undefined;
    for (let i = this.firstFrom(stretch[0] - this.longest); i < this.held.length; i += 1) {
      const each = this.held[i];
      if (!each || each.stretch[0] >= stretch[1]) break;
      if (meets(each.stretch, stretch) && (!found || each.stretch[1] > found.stretch[1]) && (!counts || counts(each)))
        found = each;
    }
    return found;
  }

  /** Where the first stands that begins at a moment or later. */
  private firstFrom(at: number): number {
    let [low, high] = [0, this.held.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.held[middle]?.stretch[0] ?? 0) < at) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
