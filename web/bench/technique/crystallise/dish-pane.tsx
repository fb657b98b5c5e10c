import { lazy, Suspense, useMemo, useState } from 'react';
import { dryShare, type Method } from '#core/dish';
import { hoursSpan } from '#core/rate';
import { formulaText, substanceById } from '#core/substance';
import { formatNumber } from '#core/units';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { useCompute } from '#web/worker/compute.ts';

const DishChart = lazy(async () => ({ default: (await import('./dish-chart.tsx')).DishChart }));

interface Set {
  readonly waterG: number;
  readonly hotC: number;
  readonly coldC: number;
  readonly boilAwayG: number;
  readonly crops: number;
  readonly impurityPct: number;
}

/** The dish: the solubility curve, this batch’s path over it, live; methods and one more recrystallisation beside it. */
export function DishPane({ run }: PaneProps) {
  const { plan } = run.batch;
  const { productId, sheet } = run.state;
  const start = useMemo(() => startOf(run), [run]);
  const [set, setSet] = useState<Set>(() => ({
    waterG: start.waterG,
    hotC: Math.min(start.hotC, 95),
    coldC: Math.round(plan.controls.cold ?? 10),
    boilAwayG: 0,
    crops: 1,
    impurityPct: 2,
  }));
  const { value, problem } = useCompute(
    'dish',
    useMemo(
      () =>
        start.grams > 0
          ? {
              substanceId: productId,
              grams: start.grams,
              ...set,
              airC: plan.bench.tempC,
              humidityPct: 60,
              pressureHPa: plan.bench.pressureHPa,
              dishCm2: dishArea(sheet.vessel?.vessel.diameterMm),
            }
          : undefined,
      [start.grams, productId, set, plan.bench, sheet.vessel],
    ),
  );
  if (start.grams <= 0) return <p className="quiet">Nothing is in the dish yet.</p>;
  const control = (key: keyof Set, name: string, unit: string, min: number, max: number, step = 1) => (
    <LiveSlider
      name={name}
      unit={unit}
      min={min}
      max={max}
      step={step}
      value={set[key]}
      onChange={(next) => setSet((before) => ({ ...before, [key]: next }))}
    />
  );
  return (
    <div className="dish">
      <p className="small quiet">
        About {formatNumber(start.grams, 3)} g of it in {formatNumber(set.waterG, 3)} g of water. Acid and other salts
        are left out.
      </p>
      <div className="controls">
        {control('waterG', 'water', 'g', Math.max(1, Math.round(start.waterG * 0.3)), Math.round(start.waterG * 2))}
        {control('hotC', 'hot', '°C', 10, 100)}
        {control('coldC', 'cold', '°C', 0, 40)}
        {control('boilAwayG', 'boil away', 'g', 0, Math.max(1, Math.round(set.waterG * 0.9)))}
        {control('crops', 'crops', '', 1, 3)}
        {control('impurityPct', 'impurity', '%', 0, 20, 0.5)}
      </div>
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? (
        <>
          <p className="add-next" aria-live="polite">
            <b>{formatNumber(value.crystalsG, 3)} g</b> of crystals, <b>{formatNumber(value.yieldPct, 3)} %</b>
            <span className="quiet"> {formulaText(value.path.states.at(-1)?.phase ?? '')}</span>
          </p>
          <Suspense fallback={<p className="quiet small">Drawing …</p>}>
            <DishChart
              path={value.path}
              label={`Solubility curve with this batch: ${value.path.states.map((each) => `${each.label} ${formatNumber(each.tempC, 3)} °C`).join(', ')}`}
            />
          </Suspense>
          <Methods methods={value.methods} />
          <p className="small">{value.once}</p>
        </>
      ) : null}
    </div>
  );
}

/** What is in the dish: the dry substance as the product’s solid, and the water besides what its crystals hold. */
function startOf({ state }: PaneProps['run']): { grams: number; waterG: number; hotC: number } {
  const { sheet, productId } = state;
  const { now } = sheet;
  const solid = substanceById(productId);
  const grams = sheet.theory?.value ?? 0;
  if (!solid) return { grams: 0, waterG: 1, hotC: 80 };
  const water = now?.contents.waterG.value ?? 0;
  const bound = (1 - dryShare(solid.formula)) * grams;
  // Before anything is in, as much water as dissolves it warm is a fair guess.
  return { grams, waterG: Math.max(1, Math.round(water > bound ? water - bound : grams)), hotC: 80 };
}

function dishArea(diameterMm = 150): number {
  return Math.max(20, Math.round((Math.PI / 4) * (diameterMm / 10) ** 2));
}

function Methods({ methods }: { methods: readonly Method[] }) {
  if (methods.length === 0) return null;
  return (
    <table className="plain-table">
      <caption className="small quiet">The methods side by side; purity and hours are about</caption>
      <thead>
        <tr>
          <th scope="col">method</th>
          <th scope="col" className="right">
            crystals
          </th>
          <th scope="col" className="right">
            yield
          </th>
          <th scope="col" className="right">
            impurity kept
          </th>
          <th scope="col">hours</th>
          <th scope="col">risk</th>
        </tr>
      </thead>
      <tbody>
        {methods.map((method) => (
          <tr key={method.id}>
            <td>{method.id}</td>
            <td className="right">{formatNumber(method.crystalsG, 3)} g</td>
            <td className="right">{formatNumber(method.yieldPct, 2)} %</td>
            <td className="right">{formatNumber(method.impurityKeptPct, 2)} %</td>
            <td className="whole">{hoursSpan(method.hours)}</td>
            <td>{method.risk}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
