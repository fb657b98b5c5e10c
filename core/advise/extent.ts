import {
  combineExtents,
  type ExtentEstimate,
  type ExtentReport,
  extentByCurrent,
  extentByDose,
  extentByGas,
  extentByHeat,
  extentByMass,
  extentBySign,
} from '#core/add';
import { type Figure, sdOf } from '#core/figure';
import { molarVolume, } from '#core/reaction';
import { type Addition, type Plan, type Quantity, readingValue, weighingSd } from '#core/run';
import { molarMass, substanceOf } from '#core/substance';
import type { TimedRead } from './timed-read.ts';

/** Words that tell whether the endpoint is there. */
const TOLD = /\b(still|no longer|stopped|no more|gone)\b/i;

/** How far a step's reaction has come: every reading is a witness; null without any. */
export function extentOfStep(
  plan: Plan,
  addition: Addition,
  inG: Figure | undefined,
  reads: readonly TimedRead[],
): ExtentReport | null {
  const { stages, enough, plannedG } = addition;
  const goes = Math.min(
    plannedG,
    stages.reduce((sum, { grams }) => sum + grams.value, 0),
  );
  const allGasL = stages.reduce((sum, stage) => sum + Math.min(goes, stage.grams.value) * stage.gasLPerG, 0);
  const kJ = stages.reduce((sum, stage) => sum + Math.min(goes, stage.grams.value) * (stage.kJPerG ?? 0), 0);
  const gas = stages[0]?.gasId;
  const gasM = gas ? molarMass(substanceOf(gas).formula) : 0;
  const gramsPerL = gasM / molarVolume(plan.bench.tempC, plan.bench.pressureHPa);
  const found: ExtentEstimate[] = [];
  if (inG) found.push(extentByDose({ value: inG.value, sd: sdOf(inG) }, { value: enough.value, sd: sdOf(enough) }));
  const latest = (quantity: Quantity) => {
    const read = [...reads].reverse().find(({ body }) => body.quantity === quantity);
    return read && readingValue(read.body.reading);
  };
  const gasRead = latest('gas');
  if (gasRead && allGasL > 0) {
    const perL = gasRead.unit === 'mL' ? 1000 : 1;
    found.push(
      extentByGas({ value: gasRead.value / perL, sd: gasRead.sd / perL + (0.02 * gasRead.value) / perL }, allGasL),
    );
  }
  for (const quantity of ['gain', 'loss'] as const) {
    const read = latest(quantity);
    if (read && allGasL > 0)
      found.push(
        extentByMass({ value: read.value, sd: read.sd + weighingSd(plan.bench.balanceG) }, allGasL * gramsPerL),
      );
  }
  const left = latest('left');
  if (left && plannedG > 0)
    found.push(extentByMass({ value: plannedG - left.value, sd: left.sd + weighingSd(plan.bench.balanceG) }, plannedG));
  const temps = reads.flatMap(({ body }) =>
    body.quantity === 'temperature' ? [readingValue(body.reading)?.value ?? Number.NaN] : [],
  );
  const allK = (1000 * kJ) / addition.heatCapacityJPerK;
  if (temps.length >= 2 && allK > 3) found.push(extentByHeat({ value: Math.max(...temps) - temps[0]!, sd: 0.5 }, allK));
  const currents = reads.flatMap(({ body }) => (body.quantity === 'current' ? [readingValue(body.reading)] : []));
  const [firstCurrent, lastCurrent] = [currents[0], currents.at(-1)];
  if (currents.length >= 2 && firstCurrent && lastCurrent && firstCurrent.value > 0)
    found.push(extentByCurrent(lastCurrent, firstCurrent.value));
  const pH = latest('pH');
  if (pH) found.push(extentBySign('pH', pH.value >= 6.5));
  const seen = [...reads]
    .reverse()
    .map(({ body }) => body.reading)
    .find((reading) => reading.is === 'word' && TOLD.test(reading.text));
  if (seen?.is === 'word') found.push(extentBySign('sign', !/\bstill\b/i.test(seen.text)));
  return found.length === 0 ? null : combineExtents(found);
}
