import { useMemo, useState } from 'react';
import { hoursSaid, hoursSpan } from '#base/time';
import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import type { SubstanceId } from '#matter/substance';
import { dishCm2For } from '#model/dish';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import { useCompute } from '#web/worker/compute.ts';

interface EvaporateSumProps {
  readonly substanceId: SubstanceId;
  readonly fromMl: number;
  readonly toMl: number;
  readonly bench: Bench;
}

/** Getting water off: hours on the plate or in an open dish, the vessels on the way, and what to mind at its end. */
export function EvaporateSum({ substanceId: productId, fromMl, toMl: startMl, bench }: EvaporateSumProps) {
  const [toMl, setTo] = useState(startMl);
  const [watts, setWatts] = useState(0);
  const [dishCm2, setDish] = useState(() => dishCm2For(fromMl));
  const [airC, setAir] = useState(Math.round(bench.tempC));
  const [humidityPct, setHumidity] = useState(55);
  const { value, problem } = useCompute(
    'evaporate',
    useMemo(
      () => ({
        substanceId: productId,
        fromMl,
        toMl: Math.min(toMl, fromMl),
        awayG: Math.max(0, fromMl - toMl),
        vessels: [...bench.vessels],
        watts: watts === 0 ? null : watts,
        evaporationGPerH: bench.evaporationGPerH,
        dishCm2,
        liquidC: airC,
        airC,
        humidityPct,
        pressureHPa: bench.pressureHPa,
      }),
      [productId, fromMl, toMl, bench, watts, dishCm2, airC, humidityPct],
    ),
  );
  return (
    <div>
      <p className="small quiet">
        About {formatNumber(fromMl, 3)} mL now. The plate takes {formatNumber(bench.evaporationGPerH, 3)} g an hour by
        your bench; set watts to go by its power, half of which reaches the liquid.
      </p>
      <div className="controls">
        <LiveSlider name="down to" unit="mL" min={0} max={fromMl} value={Math.min(toMl, fromMl)} onChange={setTo} />
        <LiveSlider
          name="plate"
          unit="W"
          min={0}
          max={1500}
          step={50}
          value={watts}
          shown={watts === 0 ? 'bench' : undefined}
          onChange={setWatts}
        />
        <LiveSlider name="dish" unit="cm²" min={20} max={2000} step={20} value={dishCm2} onChange={setDish} />
        <LiveSlider name="air" unit="°C" min={0} max={40} value={airC} onChange={setAir} />
        <LiveSlider name="humidity" unit="%" min={10} max={95} value={humidityPct} onChange={setHumidity} />
      </div>
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? (
        <>
          <p className="add-next" aria-live="polite">
            Boiled in <b>about {hoursSaid(value.boilH)}</b>
            <span className="quiet">
              {value.dishH
                ? `; left to evaporate, ${hoursSpan(value.dishH)}, ${formatNumber(24 * value.dishGPerH, 2)} g a day`
                : '; left in this air, never'}
            </span>
          </p>
          {value.stretches.length > 0 ? (
            <ol className="plain small">
              {value.stretches.map(({ vessel, fromMl: from, toMl: to, topUpMl }) => (
                <li key={vessel.name}>
                  {vessel.name}: {formatNumber(from, 3)} to {formatNumber(to, 3)} mL
                  {topUpMl > 0 ? `, the last ${formatNumber(topUpMl, 2)} mL poured in as it sinks` : ''}
                </li>
              ))}
            </ol>
          ) : null}
          {value.warnings.map((warning) => (
            <p key={warning} className="caution small">
              {warning}
            </p>
          ))}
        </>
      ) : null}
    </div>
  );
}
