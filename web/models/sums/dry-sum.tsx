import { type ReactNode, useMemo, useState } from 'react';
import { hoursSpan } from '#base/time';
import { formatPlain } from '#base/units';
import type { SubstanceId } from '#matter/substance';
import type { DryingMethod } from '#model/dry';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import { useCompute } from '#web/worker/compute.ts';

interface DrySumProps {
  readonly substanceId: SubstanceId;
  /** g of water to begin with, and the most that the control offers. */
  readonly waterG: number;
  readonly mostG: number;
  readonly roomC: number;
  readonly pressureHPa: number;
  readonly ceiling: { readonly tempC: number; readonly why: string } | null;
  readonly children?: ReactNode;
}

/** Drying: the methods side by side under the ceiling, for this much water on this plate in this air. */
export function DrySum({
  substanceId,
  waterG: startG,
  mostG,
  roomC: startC,
  pressureHPa,
  ceiling,
  children,
}: DrySumProps) {
  const [waterG, setWaterG] = useState(startG);
  const [areaCm2, setArea] = useState(300);
  const [humidityPct, setHumidity] = useState(55);
  const [roomC, setRoom] = useState(startC);
  const { value, problem } = useCompute(
    'dry',
    useMemo(
      () => ({ substanceId, waterG, areaCm2, roomC, humidityPct, pressureHPa, ceiling }),
      [substanceId, waterG, areaCm2, roomC, humidityPct, pressureHPa, ceiling],
    ),
  );
  return (
    <div>
      {children}
      <div className="controls">
        <LiveSlider name="water in it" unit="g" min={0} max={mostG} value={waterG} onChange={setWaterG} />
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
