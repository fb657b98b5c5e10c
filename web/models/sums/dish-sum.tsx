import { lazy, Suspense, useMemo, useState } from 'react';
import { hoursSpan } from '#base/time';
import { formatNumber } from '#base/units';
import { formulaText, type SubstanceId } from '#matter/substance';
import type { Method } from '#model/dish';
import { LiveSlider } from '#web/kit/live-slider.tsx';
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

interface DishSumProps {
  readonly substanceId: SubstanceId;
  /** What is in the dish to begin with: g of the solid, g of water besides what its crystals hold. */
  readonly start: Pick<Set, 'waterG' | 'hotC' | 'coldC'> & { readonly grams: number };
  readonly airC: number;
  readonly pressureHPa: number;
  readonly dishCm2: number;
}

/** The dish: the solubility curve, a path over it, live; methods and one more recrystallisation beside it. */
export function DishSum({ substanceId, start, airC, pressureHPa, dishCm2 }: DishSumProps) {
  const [set, setSet] = useState<Set>(() => ({
    waterG: start.waterG,
    hotC: Math.min(start.hotC, 95),
    coldC: start.coldC,
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
              substanceId,
              grams: start.grams,
              ...set,
              airC,
              humidityPct: 60,
              pressureHPa,
              dishCm2,
            }
          : undefined,
      [start.grams, substanceId, set, airC, pressureHPa, dishCm2],
    ),
  );
  if (start.grams <= 0) return <p className="quiet">Nothing is in the dish yet.</p>;
  const control = (
    key: keyof Set,
    [name, unit]: readonly [string, string],
    [min, max, step = 1]: readonly [min: number, max: number, step?: number],
  ) => (
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
        {control('waterG', ['water', 'g'], [Math.max(1, Math.round(start.waterG * 0.3)), Math.round(start.waterG * 2)])}
        {control('hotC', ['hot', '°C'], [10, 100])}
        {control('coldC', ['cold', '°C'], [0, 40])}
        {control('boilAwayG', ['boil away', 'g'], [0, Math.max(1, Math.round(set.waterG * 0.9))])}
        {control('crops', ['crops', ''], [1, 3])}
        {control('impurityPct', ['impurity', '%'], [0, 20, 0.5])}
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
