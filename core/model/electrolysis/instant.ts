/** What instruments at a cell show at a moment: min of the cell’s own time since its current was on. */
export interface CellInstant {
  readonly minutes: number;
  readonly volts: number;
  readonly amps: number;
  readonly tempC: number;
}
