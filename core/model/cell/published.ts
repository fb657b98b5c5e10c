import { itemAt, lastOf } from '#base/lookup';
import { type CellRow, cellConstants, cellEfficiencies, dividerRows, openCells } from '#matter/data';

/** A published figure with its range. */
export interface Ranged {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly source: string;
  readonly grade: 'A' | 'B' | 'C';
}

const ranged = (rows: readonly CellRow[], id: string): Ranged => {
  const row = rows.find((each) => each.id === id);
  if (row?.value == null) throw new Error(`no figure ${id}`);
  const { value, low, high, source, grade } = row;
  return { value, low: low ?? value, high: high ?? value, source, grade };
};

export const constantOf = (id: string): Ranged => ranged(cellConstants, id);
export const efficiencyOf = (id: string): Ranged => ranged(cellEfficiencies, id);
export const dividerOf = (id: string): Ranged => ranged(dividerRows, id);

const evaporation = openCells.map(({ id, value }) => [Number.parseFloat(id), value ?? 0] as const);

/** kg of water that a m² of open liquid loses in an hour, by its temperature; within a factor of two. */
export function evaporatesKgPerM2H(tempC: number): number {
  const above = evaporation.findIndex(([t]) => t >= tempC);
  if (above < 0) return lastOf(evaporation)[1];
  const [t1, y1] = itemAt(evaporation, above);
  const [t0, y0] = evaporation[above - 1] ?? [t1 - 20, y1 / 4];
  return Math.max(0, y0 + ((y1 - y0) * (tempC - t0)) / (t1 - t0));
}

const LOSSES = (
  [
    [250, 'heat loss, 250 mL beaker, no lid, about 40 C'],
    [500, 'heat loss, 500 mL beaker'],
    [1000, 'heat loss, 1 L beaker or jar'],
    [2000, 'heat loss, 2 L tub'],
    [5000, 'heat loss, 5 L bucket'],
  ] as const
).map(([ml, id]) => ({ ml, wPerK: constantOf(id).value }));

/** W that a cell loses for each K over the air, what evaporates counted in; by its volume to the power of two thirds between the rows. */
export function lossWPerK(ml: number): number {
  const far = (each: number) => Math.abs(Math.log(each / ml));
  const near = LOSSES.reduce((best, row) => (far(row.ml) < far(best.ml) ? row : best));
  return near.wPerK * (Math.max(20, ml) / near.ml) ** (2 / 3);
}
