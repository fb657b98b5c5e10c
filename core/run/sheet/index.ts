// Sheets: all that follows from a plan and what was entered, every number a figure. A run is gone through twice, as it will be
// and as far as it is done; the sheet is put together from that. Quantities by name fill the sentences of steps.

export { asInserted } from './as-inserted.ts';
export { asPoured, isUnplanned } from './as-poured.ts';
export { assemble, namesAt, sheetOf } from './assemble.ts';
export { type Entries, entriesOf } from './entries.ts';
export { airKindOf, capsOf } from './gate.ts';
export type { Gauge } from './gauge.ts';
export { type GoneThrough, goneAhead, goThrough } from './gone-through.ts';
export { pouredStrengths } from './poured.ts';
export type { SheetRow } from './row.ts';
export { fillTemplate, type Named, type Names, type TextPart } from './sentence.ts';
export type { Made, Now, Sheet, SheetGas } from './sheet.ts';
export type { Furthest } from './theory.ts';
export { toleranceSentence } from './tolerance.ts';
export type { StepHeat, Walk } from './walk.ts';
export { type Warmed, warmedBy } from './warmed-by.ts';
