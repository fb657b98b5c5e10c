import { useMemo, useState } from 'react';
import { exactReading } from '#core/run';
import { formatNumber } from '#core/units';
import { NumberField } from '../parts/number-field.tsx';
import { useCompute } from '../worker/compute.ts';
import type { PaneProps } from './pane-props.ts';

/** g of liquor that a g of cake holds: crystals little, fresh carbonates and hydroxides a lot. About. */
const HOLDS = { crystals: 0.3, precipitate: 2 } as const;

/** Washing: how many portions, what they leave and cost, and “two more” or “stop” from what the washings read. */
export function WashPane({ run, step }: PaneProps) {
  const { sheet } = run.state;
  const cake = sheet.crystals?.value ?? sheet.product?.value ?? 20;
  const precipitated = run.state.steps.some(({ template }) => template?.op.do === 'precipitate');
  const [retained, setRetained] = useState<number | null>(
    Math.round(cake * (precipitated ? HOLDS.precipitate : HOLDS.crystals)),
  );
  const [portion, setPortion] = useState<number | null>(Math.max(5, Math.round(cake * 2)));
  const [goal, setGoal] = useState<number | null>(2);
  const [reading, setReading] = useState<number | null>(null);
  const [clean, setClean] = useState<number | null>(null);
  const readings = run.events.flatMap(({ body }) =>
    body.kind === 'read' && body.step === step.key && body.place === 'washings' && body.reading.is === 'exact'
      ? [body.reading.value]
      : [],
  );
  const input = useMemo(
    () =>
      retained !== null && portion !== null && goal !== null
        ? {
            retainedMl: retained,
            portionMl: portion,
            goalPct: goal,
            productGPer100Ml: sheet.solubility && !precipitated ? sheet.solubility.value : 0.002,
            readings: readings.map((value, i) => ({ portion: i + 1, value })),
            goalReading: clean,
          }
        : undefined,
    [retained, portion, goal, clean, readings, precipitated, sheet.solubility],
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
          {value.ways
            .slice(0, 5)
            .map((way) => `${way.portions}: ${formatNumber(100 * way.left, 2)} %`)
            .join(', ')}
          .
        </p>
      ) : null}
      <div className="pane-row">
        <NumberField
          key={readings.length}
          label="The washings read"
          unit="µS/cm"
          value={reading}
          min={0}
          max={1e6}
          onChange={setReading}
        />
        <button
          type="button"
          className="tab"
          disabled={reading === null}
          onClick={() => {
            if (reading === null) return;
            run.enter({
              kind: 'read',
              step: step.key,
              quantity: 'conductivity',
              reading: exactReading(reading, 'µS/cm'),
              place: 'washings',
            });
            setReading(null);
          }}
        >
          Log it
        </button>
        <NumberField label="Clean at" unit="µS/cm" value={clean} min={0.1} max={1e6} onChange={setClean} />
        {value?.sentence ? (
          <b className="within" role="status">
            {value.sentence}
          </b>
        ) : null}
      </div>
    </div>
  );
}
