import { useMemo, useState } from 'react';
import type { DryingMethod } from '#core/dry';
import { grainOf } from '#core/precipitate';
import { hoursSpan } from '#core/rate';
import { formatNumber, formatPlain } from '#core/units';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { useCompute } from '#web/worker/compute.ts';

/** Drying: the methods side by side under the ceiling, for this cake on this plate in this air; the weighings stand above. */
export function DryPane({ run }: PaneProps) {
  const { plan } = run.batch;
  const { productId, sheet, weighing, hydrate } = run.state;
  const { drying } = plan.route;
  const dryG = sheet.product?.value ?? 0;
  const weighed = weighing.grams === null ? undefined : Math.max(0, weighing.grams - dryG);
  const [waterG, setWaterG] = useState(() => Math.max(1, Math.round(weighed ?? dryG * grainOf(productId).holds)));
  const [areaCm2, setArea] = useState(300);
  const [humidityPct, setHumidity] = useState(55);
  const [roomC, setRoom] = useState(Math.round(plan.bench.tempC));
  const ceiling = useMemo(() => (drying ? { tempC: drying.ceilingC, why: drying.why } : null), [drying]);
  const { value, problem } = useCompute(
    'dry',
    useMemo(
      () => ({
        substanceId: productId,
        waterG,
        areaCm2,
        roomC,
        humidityPct,
        pressureHPa: plan.bench.pressureHPa,
        ceiling,
      }),
      [productId, waterG, areaCm2, roomC, humidityPct, plan.bench.pressureHPa, ceiling],
    ),
  );
  return (
    <div>
      <p className="small quiet">
        About {formatNumber(dryG, 3)} g dry is expected
        {weighed === undefined ? '' : `; ${formatNumber(weighed, 2)} g over it at the last weighing`}. Hours are about,
        within a factor of two.
      </p>
      <div className="controls">
        <LiveSlider
          name="water in it"
          unit="g"
          min={0}
          max={Math.max(20, Math.round(3 * dryG))}
          value={waterG}
          onChange={setWaterG}
        />
        <LiveSlider name="spread over" unit="cm²" min={20} max={2000} step={20} value={areaCm2} onChange={setArea} />
        <LiveSlider name="humidity" unit="%" min={10} max={95} value={humidityPct} onChange={setHumidity} />
        <LiveSlider name="room" unit="°C" min={0} max={40} value={roomC} onChange={setRoom} />
      </div>
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? (
        <>
          <p className="add-next" aria-live="polite">
            {value.ceiling ? (
              <>
                Not above <b>{formatPlain(value.ceiling.tempC)} °C</b>
                <span className="quiet">: {value.ceiling.why}</span>
              </>
            ) : (
              'No ceiling is known for it.'
            )}
          </p>
          <Methods methods={value.methods} />
        </>
      ) : null}
      {hydrate ? (
        <p className={hydrate.says === 'as its formula' ? 'within small' : 'caution small'} role="status">
          {hydrate.sentence}
        </p>
      ) : null}
    </div>
  );
}

const WORD: Readonly<Record<DryingMethod['verdict'], string>> = { good: 'good', mind: 'mind it', no: 'not so' };
const TONE: Readonly<Record<DryingMethod['verdict'], string>> = { good: 'within', mind: 'watch', no: 'stop' };

function Methods({ methods }: { methods: readonly DryingMethod[] }) {
  return (
    <table className="plain-table">
      <caption className="small quiet">The methods of drying it, side by side</caption>
      <thead>
        <tr>
          <th scope="col">method</th>
          <th scope="col" className="right">
            at
          </th>
          <th scope="col">hours</th>
          <th scope="col">verdict</th>
          <th scope="col">why</th>
        </tr>
      </thead>
      <tbody>
        {methods.map((method) => (
          <tr key={method.id}>
            <td>{method.id}</td>
            <td className="right">{formatPlain(Math.round(method.tempC))} °C</td>
            <td className="whole">{method.hours ? hoursSpan(method.hours) : 'never'}</td>
            <td className="whole">
              <b className={TONE[method.verdict]}>{WORD[method.verdict]}</b>
            </td>
            <td>{method.says}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
