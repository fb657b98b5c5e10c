import { EvaporateSum } from '#web/models/sums/evaporate-sum.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** Getting water off at this step. */
export function EvaporatePane({ run, step }: PaneProps) {
  const { sheet, productId } = run.state;
  const { goal, began } = courseOf(sheet, step);
  const now = sheet.now?.volumeMl ?? 0;
  // Before it is reached, what is in the vessel now; afterwards what it began with.
  const fromMl = Math.max(1, Math.round(now > goal + 1 ? now : began));
  return <EvaporateSum substanceId={productId} fromMl={fromMl} toMl={Math.round(goal)} bench={run.batch.plan.bench} />;
}

/** Where the step is to end and where it began, mL: a millilitre that goes is a gram of water. */
function courseOf({ figures, liquidMl }: PaneProps['run']['state']['sheet'], { technique }: PaneProps['step']) {
  const boiled = figures['boil.volume']?.value;
  const away = figures['boil.away']?.value;
  if (technique === 'boil-down' && boiled !== undefined) return { goal: boiled, began: boiled + (away ?? 0) };
  const began = boiled ?? liquidMl;
  return { goal: figures['dish.volume']?.value ?? began / 3, began };
}
