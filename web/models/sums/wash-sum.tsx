import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { formatNumber } from '#base/units';
import { NumberField } from '#web/kit/number-field.tsx';
import { useCompute } from '#web/worker/compute.ts';

/** What the washings are read in, and where they usually count as clean. */
export const READ = {
  conductivity: { unit: 'µS/cm', least: 0.1, most: 1e6 },
  pH: { unit: '', least: 0, most: 14 },
} as const;
export type Read = keyof typeof READ;

interface WashSumProps {
  readonly start: { readonly retainedMl: number; readonly portionMl: number };
  /** g of the product that 100 mL of the water takes along. */
  readonly productGPer100Ml: number;
  /** Readings of the washings so far, in what they are read by. */
  readonly readingsBy: Readonly<Record<Read, readonly number[]>>;
  readonly onRead: (by: Read, value: number) => void;
}

/** Washing: how many portions, what they leave and cost, and “two more” or “stop” from what the washings read. */
export function WashSum({ start, productGPer100Ml, readingsBy, onRead }: WashSumProps) {
  const [retained, setRetained] = useState<number | null>(start.retainedMl);
  const [portion, setPortion] = useState<number | null>(start.portionMl);
  const [goal, setGoal] = useState<number | null>(2);
  const [reading, setReading] = useState<number | null>(null);
  const [clean, setClean] = useState<number | null>(null);
  const [by, setBy] = useState<Read>('conductivity');
  const readings = readingsBy[by];
  const input = useMemo(
    () =>
      retained !== null && portion !== null && goal !== null
        ? {
            retainedMl: retained,
            portionMl: portion,
            goalPct: goal,
            productGPer100Ml,
            readings: readings.map((value, i) => ({ portion: i + 1, value })),
            goalReading: clean,
            quantity: by,
          }
        : undefined,
    [retained, portion, goal, clean, by, readings, productGPer100Ml],
  );
  const { value, problem } = useCompute('wash', input);
  return (
    <div>
      <div className="pane-row thirds">
        <NumberField label="The cake holds" unit="mL" value={retained} min={0} max={100_000} onChange={setRetained} />
        <NumberField label="Each portion" unit="mL" value={portion} min={1} max={100_000} onChange={setPortion} />
        <NumberField label="May stay" unit="%" value={goal} min={0.01} max={100} onChange={setGoal} />
      </div>
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? (
        <p className="add-next" aria-live="polite">
          <b>{value.portions ?? 'no'}</b> portions leave <b>{formatNumber(value.leftPct, 2)} %</b>
          <span className="quiet"> and take about {formatNumber(value.lostG, 2)} g of the product along</span>
        </p>
      ) : null}
      {value && (value.portions ?? 0) > 0 ? (
        <p className="small quiet">
          The same water in{' '}
          {value.splits
            .slice(0, 5)
            .map((way) => `${way.portions}: ${formatNumber(100 * way.left, 2)} %`)
            .join(', ')}
          .
        </p>
      ) : null}
      <Segmented
        aria-label="The washings are read by"
        options={Object.keys(READ) as Read[]}
        value={by}
        onChange={(next) => {
          setBy(next);
          setReading(null);
          setClean(next === 'pH' ? 7 : null);
        }}
      />
      <div className="pane-row">
        <NumberField
          key={`${by}${readings.length}`}
          label="The washings read"
          unit={READ[by].unit}
          value={reading}
          min={0}
          max={READ[by].most}
          onChange={setReading}
        />
        <button
          type="button"
          className="tab"
          disabled={reading === null}
          onClick={() => {
            if (reading === null) return;
            onRead(by, reading);
            setReading(null);
          }}
        >
          Log it
        </button>
        <NumberField
          key={`clean ${by}`}
          label="Clean at"
          unit={READ[by].unit}
          value={clean}
          min={READ[by].least}
          max={READ[by].most}
          onChange={setClean}
        />
        {value?.sentence ? (
          <b className="within" role="status">
            {value.sentence}
          </b>
        ) : null}
      </div>
    </div>
  );
}
