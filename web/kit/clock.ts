/** ms that the notebook’s clock is ahead of this device’s; null until it has said its time. */
let ahead: number | null = null;

/** Below this a difference is the way there and back, and no wrong clock, ms. */
const SKEW_MS = 5000;
/** An answer that took longer says too little of when it was given, ms. */
const PROMPT_MS = 2000;

/** What an answer says of the notebook’s clock: the time it says, to the second, and when it was asked and had. */
export function clockSaid(said: string | null, askedAt: number, hadAt: number): void {
  const there = Date.parse(said ?? '');
  if (Number.isNaN(there)) return;
  // A slow answer is no wrong clock: better an old measurement than that one, and any than none.
  if (hadAt - askedAt > PROMPT_MS && ahead !== null) return;
  const middle = there + 500 - (askedAt + hadAt) / 2;
  ahead = Math.abs(middle) < SKEW_MS + (hadAt - askedAt) / 2 ? 0 : middle;
}

/** ms that the notebook’s clock is ahead of this device’s, negative where it is behind; null where it is not known. */
export function clockAhead(): number | null {
  return ahead;
}

/** The time by the notebook’s clock, ms: a device whose clock is wrong writes nothing into the future. */
export function notebookTime(): number {
  return Date.now() + (ahead ?? 0);
}

let last = 0;

/** The same as an ISO instant for an entry; what is entered later is never earlier, however the clock was measured meanwhile. */
export function notebookInstant(): string {
  const now = notebookTime();
  // A clock that was put right by more than a measurement strays is believed.
  last = now < last && last - now < 2 * SKEW_MS ? last : now;
  return new Date(last).toISOString();
}
