import { derive, type Figure, given } from '#base/figure';
import type { Reaction } from '#matter/reaction';
import type { SubstanceId } from '#matter/substance';
import { FARADAY } from '#model/cell';
import type { Passed } from '#model/electrolysis';
import type { At, Facts } from '../facts.ts';
import type { Passage } from './passage.ts';
import type { CellFound, CellOp } from './sides.ts';

// How far a current brings its reaction: by the charge and its efficiency, or by what is there.

/** A cell’s step as it is counted. */
export interface Course {
  readonly op: CellOp;
  readonly facts: Facts;
  readonly step: At;
  readonly found: CellFound;
  readonly passage: Passage;
  readonly reaction: Reaction;
  readonly passed: Passed | null;
  /** mol of reaction that its reagents allow. */
  readonly most: Figure;
}

export const coefficientOf = ({ products }: Reaction, id: SubstanceId): number =>
  products.find(({ substanceId }) => substanceId === id)?.n ?? 1;

/** How far such cells are apart from one another: published ranges are about so wide, widest where half goes astray. */
const APART = 0.3;
const LEAST_SD = 1;

/** %, as the model has it. */
function modelPct({ op, passage, reaction }: Course): number {
  const extent = passage.madeMol / coefficientOf(reaction, op.makes);
  return passage.coulombs > 0 ? (100 * extent * op.electrons * FARADAY) / passage.coulombs : 0;
}

/** %; of all that was spent, what went into what is wanted: as one’s own cells have shown, or else by the model. */
export function efficiencyOf(course: Course): Figure {
  const { cellEfficiency: own } = course.facts.bench;
  const value = own?.pct ?? modelPct(course);
  const effect = own ? Math.max(LEAST_SD, own.sd) : LEAST_SD + APART * value * (1 - Math.min(100, value) / 100);
  return given(
    { symbol: 'η', name: 'current efficiency, in all', unit: '%' },
    { value, uncertainty: { 'cell:efficiency': { name: 'current efficiency', effect } } },
    own ? 'finished cells of this bench' : 'the cell’s model, within the range that such cells are met in; about',
  );
}

/** How much more charge it takes than the model lets pass, where one’s own cells are less efficient. */
export function timesTheModel(course: Course): number {
  if (course.passed) return 1;
  const pct = efficiencyOf(course).value;
  return pct > 0 ? modelPct(course) / pct : 1;
}

/** mol of reaction: so much as was planned, or as the charge has done. */
export function extentBy(course: Course): Figure {
  const { op, passage, reaction, passed, most } = course;
  const each = coefficientOf(reaction, op.makes);
  const naming = { symbol: 'ξ', name: 'extent of the cell’s reaction', unit: 'mol' };
  // Without salt to spare what is there limits it, and the colour ends it: the charge that takes is what is not known.
  if (!passed && !op.spare) {
    const reached = most.value > 0 ? Math.min(1, Math.max(0, passage.madeMol / each / most.value)) : 0;
    const f = given(
      { symbol: 'f', name: passage.short ? 'as far as the cell gets' : 'as far as it is run', unit: '' },
      reached,
      passage.short ? 'the cell’s model' : 'you set it',
    );
    return derive(naming, 'f × ξ₀', { f, 'ξ₀': most }, (x) => x.f * x['ξ₀']);
  }
  // With salt to spare a planned charge is passed: how much it makes is not known better than its efficiency.
  const charge = passed ?? { ampHours: (timesTheModel(course) * passage.coulombs) / 3600, sd: 0 };
  // What a strap that parted, or spent salt, could not take did nothing here.
  const did = passed ? Math.min(1, passage.coulombs / Math.max(1e-9, 3600 * charge.ampHours)) : 1;
  const Q = chargeFigure({ ampHours: did * charge.ampHours, sd: did * charge.sd });
  return derive(
    naming,
    'min(ξ₀; 3600 × Q × η ÷ (100 × z × F))',
    { 'ξ₀': most, Q, η: efficiencyOf(course), z: electronsFigure(op), F: FARADAY_FIGURE },
    (x) => Math.min(x['ξ₀'], (36 * x.Q * x.η) / (x.z * x.F)),
    { source: "Faraday's law", grade: 'B' },
  );
}

export const FARADAY_FIGURE = given(
  { symbol: 'F', name: 'Faraday constant', unit: 'C/mol' },
  FARADAY,
  'CODATA 2018, exact',
);
export const electronsFigure = ({ electrons }: CellOp): Figure =>
  given({ symbol: 'z', name: 'electrons for each reaction', unit: '' }, electrons, 'the cell’s reaction');

export function chargeFigure({ ampHours, sd }: Passed): Figure {
  return given(
    { symbol: 'Q', name: 'charge that has passed', unit: 'A·h' },
    { value: ampHours, uncertainty: { 'cell:charge': { name: 'charge by the readings', effect: sd } } },
    'currents that were read, straight lines between them; or a meter',
  );
}
