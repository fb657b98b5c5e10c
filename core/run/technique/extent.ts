import { type Figure, sdOf } from '#base/figure';
import { numberAt } from '#base/lookup';
import { type Quantity, readingValue } from '#base/reading';
import { molarVolume } from '#matter/reaction';
import { molarMass, substanceOf } from '#matter/substance';
import {
  combineExtents,
  type ExtentEstimate,
  type ExtentReport,
  extentByCurrent,
  extentByDose,
  extentByGas,
  extentByHeat,
  extentByMass,
  extentBySight,
} from '#model/add';
import { weighingSd } from './add/mass.ts';
import type { Addition, Stage } from './addition.ts';
import type { Adding } from './recipe.ts';
import type { StepView } from './view.ts';

/** How far a step's reaction has come: every reading is a witness; null without any. */
export function extentOfStep(view: StepView, addition: Addition, inG: Figure | undefined): ExtentReport | null {
  const { readings: reads, facts } = view;
  const { bench } = facts;
  const { stages, enough, plannedG, adding } = addition;
  const goes = Math.min(
    plannedG,
    stages.reduce((sum, { grams }) => sum + grams.value, 0),
  );
  // One stretch after the other, as far as the dose reaches.
  const reached = inStretches(stages, goes);
  const allGasL = reached.reduce((sum, { stage, grams }) => sum + grams * stage.gasLPerG, 0);
  // A stretch whose heat is not held makes the whole not known: no part of it stands for all.
  const kJ = stages.some(({ kJPerG }) => kJPerG === null)
    ? 0
    : reached.reduce((sum, { stage, grams }) => sum + grams * (stage.kJPerG ?? 0), 0);
  const gas = stages[0]?.gasId;
  const gasM = gas ? molarMass(substanceOf(gas).formula) : 0;
  const gramsPerL = gasM / molarVolume(bench.tempC, bench.pressureHPa);
  const found: ExtentEstimate[] = [];
  if (inG) found.push(extentByDose({ value: inG.value, sd: sdOf(inG) }, { value: enough.value, sd: sdOf(enough) }));
  const latest = (quantity: Quantity) => {
    const read = reads.findLast(({ body }) => body.quantity === quantity);
    return read && readingValue(read.body.reading);
  };
  const gasRead = latest('gas');
  if (gasRead && allGasL > 0) {
    const perL = gasRead.unit === 'mL' ? 1000 : 1;
    found.push(
      extentByGas({ value: gasRead.value / perL, sd: gasRead.sd / perL + (0.02 * gasRead.value) / perL }, allGasL),
    );
  }
  const scale = weighingSd(bench.balanceG);
  for (const quantity of ['gain', 'loss'] as const) {
    const read = latest(quantity);
    if (read && allGasL > 0) found.push(extentByMass({ value: read.value, sd: read.sd + scale }, allGasL * gramsPerL));
  }
  const left = latest('left');
  if (left && plannedG > 0) found.push(extentByMass({ value: plannedG - left.value, sd: left.sd + scale }, plannedG));
  const temps = reads.flatMap(({ body }) =>
    body.quantity === 'temperature' ? [readingValue(body.reading)?.value ?? Number.NaN] : [],
  );
  const allK = (1000 * kJ) / addition.heatCapacityJPerK;
  if (temps.length >= 2 && allK > 3)
    found.push(extentByHeat({ value: Math.max(...temps) - numberAt(temps, 0), sd: 0.5 }, allK));
  const currents = reads.flatMap(({ body }) => (body.quantity === 'current' ? [readingValue(body.reading)] : []));
  const [firstCurrent, lastCurrent] = [currents[0], currents.at(-1)];
  if (currents.length >= 2 && firstCurrent && lastCurrent && firstCurrent.value > 0)
    found.push(extentByCurrent(lastCurrent, firstCurrent.value));
  const pH = latest('pH');
  if (pH && adding.pH) found.push(extentBySight('pH', atEnd(pH.value, adding.pH)));
  const seen = reads.findLast(({ body }) => body.reading.is === 'sight')?.body.reading;
  if (seen?.is === 'sight') found.push(extentBySight('sight', seen.enough));
  return found.length === 0 ? null : combineExtents(found);
}

/** g of a dose that each stretch takes, in their order. */
function inStretches(
  stages: readonly Stage[],
  grams: number,
): readonly { readonly stage: Stage; readonly grams: number }[] {
  let rest = grams;
  return stages.map((stage) => {
    const here = Math.max(0, Math.min(rest, stage.grams.value));
    rest -= here;
    return { stage, grams: here };
  });
}

/** Papers are read to half a pH. */
const PAPER = 0.5;

/** Whether a pH is at its end point: risen to it, or fallen. */
export function atEnd(pH: number, { at, goes }: NonNullable<Adding['pH']>): boolean {
  return goes === 'up' ? pH >= at - PAPER : pH <= at + PAPER;
}
