import type { Instant } from '#core/still';

/** What is told to a still: instruments that only watch do not hear it. */
export type Command = { readonly does: 'heat'; readonly watts: number } | { readonly does: 'switch' };

/**
 * Instruments at a still: two thermometers, a balance under the receiver, a heater with its wattmeter. A simulation, a file or a
 * line from outside; whoever reads them cannot tell.
 */
export interface Instrument {
  /** What was shown while so many seconds passed. */
  advance(seconds: number): readonly Instant[];
  command(command: Command): void;
  /** Plain data from which it goes on after a restart. */
  state(): object;
  /** There is nothing more to come. */
  readonly over: boolean;
}
