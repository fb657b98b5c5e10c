import { sdOf } from '#base/figure';
import { type AnodeMaterial, type CellGear, USUAL_CELL } from '#matter/gear';
import type { SubstanceId } from '#matter/substance';
import { type CellSetup, FARADAY, type Ranged } from '#model/cell';
import { reactionOf, settingOf } from '../facts.ts';
import type { StepView } from '../view.ts';
import { type CellOp, cellFound, sideOfProduct } from './sides.ts';

/** A cell as its step finds it, for the model that the panel runs, and what is wanted of it. */
export interface ElectrolyseAdvice {
  readonly setup: CellSetup;
  readonly anolyte: readonly number[];
  readonly catholyte: readonly number[] | null;
  readonly anodeMol: number | null;
  readonly anode: AnodeMaterial;
  readonly gear: CellGear;
  readonly makes: SubstanceId;
  readonly productSide: 'a' | 'k';
  /** For each mol of what is made. */
  readonly electrons: number;
  /** Charge that was planned, A·h, with its standard uncertainty; and the efficiency it rests on, %. */
  readonly chargeAh: readonly [value: number, sd: number];
  readonly efficiency: readonly [value: number, sd: number];
  /** mol of it that the plan asks for. */
  readonly wantedMol: number;
  readonly amps: number;
  readonly book: Ranged;
  readonly anodeIn: CellOp['anodeIn'];
  readonly cathodeIn: CellOp['anodeIn'] | null;
  readonly ceilingC: number | null;
}

/** What is known of a cell before anything is read of it; null while its vessels are empty. */
export function advice(view: StepView, op: CellOp): ElectrolyseAdvice | null {
  const { facts, figures } = view;
  const found = cellFound(view.vesselsBefore, op, facts);
  const charge = figures['cell.charge'];
  const efficiency = figures['cell.efficiency'];
  if (!found || !charge || !efficiency) return null;
  const each = reactionOf(facts, op.reaction).products.find(({ substanceId }) => substanceId === op.makes)?.n ?? 1;
  const electrons = op.electrons / each;
  const wanted = (36 * charge.value * efficiency.value) / (electrons * FARADAY);
  return {
    setup: found.setup,
    anolyte: found.anolyte,
    catholyte: found.catholyte,
    anodeMol: found.anodeMol,
    anode: found.setup.anode,
    gear: facts.bench.cell ?? USUAL_CELL,
    makes: op.makes,
    productSide: sideOfProduct(op),
    electrons,
    // For what is wanted, a charge is known no better than the efficiency.
    chargeAh: [charge.value, Math.max(sdOf(charge), (charge.value * sdOf(efficiency)) / Math.max(1, efficiency.value))],
    efficiency: [efficiency.value, sdOf(efficiency)],
    wantedMol: wanted,
    amps: settingOf(facts, op.current),
    book: found.book,
    anodeIn: op.anodeIn,
    cathodeIn: op.cathodeIn ?? null,
    ceilingC: view.ceilingC,
  };
}
