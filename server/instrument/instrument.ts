import type { CellInstant } from '#model/electrolysis';
import type { Instant } from '#model/still';

/** What any of them shows. */
export type Shown = Instant | CellInstant;

/** What is told to a still or a supply: instruments that only watch do not hear it. */
export type Command =
  | { readonly does: 'heat'; readonly watts: number }
  | { readonly does: 'switch' }
  | { readonly does: 'drip'; readonly mlPerMin: number }
  | { readonly does: 'supply'; readonly volts?: number; readonly amps?: number }
  | { readonly does: 'top-up'; readonly side: 'anode' | 'cathode'; readonly amounts: readonly number[] };

/**
 * Instruments at a still (two thermometers, a balance under the receiver, a heater with its wattmeter) at a cell (a supply with
 * its meters, a thermometer), or at a gas that is absorbed (a balance, two thermometers). A simulation, a file or a line from outside; whoever reads them cannot tell.
 */
export interface Instrument<S extends Shown = Shown> {
  /** What was shown while so many seconds passed. */
  advance(seconds: number): readonly S[];
  command(command: Command): void;
  /** Plain data from which it goes on after a restart. */
  state(): object;
  /** There is nothing more to come. */
  readonly over: boolean;
}
