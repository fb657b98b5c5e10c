/** ms that the notebook’s clock is ahead of this device’s; null until it has said its time. */
let ahead: number | null = null;

/** What was measured of the notebook’s clock against this device’s, ms. */
export function clockIsAhead(ms: number): void {
  ahead = ms;
}

/** ms that the notebook’s clock is ahead of this device’s, negative where it is behind; null where it is not known. */
export function clockAhead(): number | null {
  return ahead;
}

/** The time by the notebook’s clock, ms: a device whose clock is wrong writes nothing into the future. */
export function notebookTime(): number {
  return Date.now() + (ahead ?? 0);
}

/** The same as an ISO instant. */
export function notebookInstant(): string {
  return new Date(notebookTime()).toISOString();
}
