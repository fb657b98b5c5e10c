import type { Stretch } from '#base/time';
import { type Held, Lane } from './lane.ts';
import type { WeekInput } from './task.ts';

/** Gear in use: as many lanes of a thing as there are pieces of it, one where nobody said. */
export class Gear {
  private readonly pieces: NonNullable<WeekInput['pieces']>;
  private readonly lanes = new Map<string, readonly Lane<Held>[]>();

  constructor(pieces: NonNullable<WeekInput['pieces']>) {
    this.pieces = pieces;
  }

  private lanesOf(gear: string): readonly Lane<Held>[] {
    const known = this.lanes.get(gear);
    if (known) return known;
    const count = Object.hasOwn(this.pieces, gear) ? (this.pieces[gear] ?? 1) : 1;
    const made = Array.from({ length: count }, () => new Lane<Held>());
    this.lanes.set(gear, made);
    return made;
  }

  /** Who has the piece that is back first, where all of them are in use; undefined where one is there for the whole stretch. */
  inUse(gear: string, stretch: Stretch): Held | undefined {
    let first: Held | undefined;
    for (const lane of this.lanesOf(gear)) {
      const held = lane.meeting(stretch);
      if (!held) return undefined;
      if (!first || held.stretch[1] < first.stretch[1]) first = held;
    }
    return first;
  }

  /** Takes a piece that is there; where none is, by force of a place by hand, the first. */
  hold(gear: string, held: Held): void {
    const lanes = this.lanesOf(gear);
    (lanes.find((lane) => !lane.meeting(held.stretch)) ?? lanes[0])?.add(held);
  }

  /** Gives back what one held of a thing. */
  release(gear: string, id: string): void {
    for (const lane of this.lanesOf(gear)) lane.remove(id);
  }
}
