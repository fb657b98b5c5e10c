import { Checkbox, Select } from 'antd';
import { useMemo, useState } from 'react';
import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import { USUAL_STILL } from '#matter/gear';
import { between, distillable, pointAt } from '#model/still';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { ApparatusForm } from '../models/still/apparatus-form.tsx';
import { CutPlanner, type Wanted } from '../models/still/cut-planner.tsx';
import { StillChart } from '../models/still/still-chart.tsx';
import { WarningList } from '../models/still/warning-list.tsx';
import '../models/still/still.css';
import { useCompute } from '../worker/compute.ts';

const CHOICES = distillable.map(({ id, name }) => ({ value: id as string, label: name }));

/** Any two liquids in one’s own still: a solvent off a high-boiling ester, a spirit, an acid, at the air’s pressure or a pump’s. */
export function StillPanel({ bench }: { bench: Bench }) {
  const [first, setFirst] = useState('ethanol');
  const [second, setSecond] = useState('water');
  const [grams, setGrams] = useState<number | null>(400);
  const [pct, setPct] = useState<number | null>(40);
  const [pressureHPa, setPressure] = useState<number | null>(Math.round(bench.pressureHPa));
  const [bathC, setBath] = useState<number | null>(null);
  const [heldBackMl, setHeld] = useState<number | null>(null);
  const [foams, setFoams] = useState(false);
  const [apparatus, setApparatus] = useState(bench.still ?? USUAL_STILL);
  const [wanted, setWanted] = useState<Wanted>({ by: 'recovery', pct: 70 });
  const [marks, setMarks] = useState<readonly [number, number] | null>(null);
  const [edits, setEdits] = useState(false);
  const { value, problem } = useCompute(
    'still',
    useMemo(
      () =>
        grams === null || pct === null || pressureHPa === null
          ? undefined
          : {
              first,
              second,
              grams,
              pct,
              pressureHPa,
              staying: [],
              apparatus,
              airC: bench.tempC,
              wanted,
              outsideHPa: bench.pressureHPa,
              ...(foams ? { foams } : {}),
              ...(bathC === null ? {} : { bathC }),
              ...(heldBackMl === null ? {} : { heldBackMl }),
            },
      [first, second, grams, pct, pressureHPa, apparatus, bench, wanted, foams, bathC, heldBackMl],
    ),
  );
  const liquid = (label: string, chosen: string, onChange: (id: string) => void) => (
    <Field label={label}>
      {(bound) => (
        <Select
          {...bound}
          style={{ width: 170 }}
          showSearch={{ optionFilterProp: 'label' }}
          value={chosen}
          options={CHOICES}
          onChange={onChange}
        />
      )}
    </Field>
  );
  return (
    <>
      <div className="pane-row">
        {liquid('Distil', first, setFirst)}
        {liquid('out of', second, setSecond)}
        <NumberField label="Charge" unit="g" required min={1} max={50_000} value={grams} onChange={setGrams} />
        <NumberField
          label="Of the first in it"
          unit="% by mass"
          required
          min={0}
          max={100}
          value={pct}
          onChange={setPct}
        />
        <NumberField
          label="Pressure in the still"
          unit="hPa"
          required
          min={20}
          max={1100}
          value={pressureHPa}
          onChange={setPressure}
        />
        <NumberField label="The bath ends at" unit="°C" min={20} max={400} value={bathC} onChange={setBath} />
        <NumberField label="Held above the flask" unit="mL" min={0} max={5000} value={heldBackMl} onChange={setHeld} />
      </div>
      <p className="row">
        <Checkbox checked={foams} onChange={(event) => setFoams(event.target.checked)}>
          it foams
        </Checkbox>
        <button type="button" className="link" aria-expanded={edits} onClick={() => setEdits(!edits)}>
          {edits ? 'Close' : 'Your still'}: {formatNumber(apparatus.flaskMl, 3)} mL flask,{' '}
          {formatNumber(apparatus.plates, 2)} plates, {formatNumber(apparatus.heaterW, 3)} W
        </button>
      </p>
      {edits ? <ApparatusForm value={apparatus} onChange={setApparatus} /> : null}
      <div aria-live="polite">{problem ? <p className="problem">{problem.message}</p> : null}</div>
      {value && !problem ? (
        <Course
          value={value}
          marks={marks}
          firstG={((grams ?? 0) * (pct ?? 0)) / 100}
          {...{ wanted, setWanted, setMarks }}
        />
      ) : null}
    </>
  );
}

interface CourseProps {
  readonly value: NonNullable<ReturnType<typeof useCompute<'still'>>['value']>;
  readonly firstG: number;
  readonly marks: readonly [number, number] | null;
  readonly wanted: Wanted;
  readonly setWanted: (wanted: Wanted) => void;
  readonly setMarks: (marks: readonly [number, number]) => void;
}

function Course({ value, firstG, marks, wanted, setWanted, setMarks }: CourseProps) {
  const { points, azeotrope, warnings, cut, source, about } = value;
  const end = points.at(-1)?.overMl ?? 0;
  const from = Math.min(marks?.[0] ?? 0.05 * end, end);
  const to = Math.min(Math.max(from, marks?.[1] ?? 0.7 * end), end);
  const kept = between(points, [from, to], { firstG, otherG: 0, countsOther: false });
  return (
    <>
      <div className="still-plan-grid">
        <div>
          <StillChart
            points={points}
            dots={[]}
            marks={[
              {
                id: 'from',
                text: 'keep from',
                ml: from,
                past: false,
                onMove: (ml) => setMarks([Math.min(ml, to), to]),
              },
              { id: 'to', text: 'to', ml: to, past: false, onMove: (ml) => setMarks([from, Math.max(ml, from)]) },
            ]}
            nowMl={null}
            azeotrope={azeotrope}
            holds={[{ fromMl: from, toMl: to, pct: kept.pct }]}
          />
          <p className="quiet small">
            {about ? 'About. ' : ''}After {source}.
          </p>
        </div>
        <div>
          <p className="step-act-small">
            Kept: <b>{formatNumber(kept.ml, 3)} mL</b> of {formatNumber(kept.pct, 3)} %,{' '}
            {formatNumber(kept.recoveryPct, 3)} % of it, the head from {pointAt(points, 'headC', from).toFixed(1)} to{' '}
            {pointAt(points, 'headC', to).toFixed(1)} °C, the flask at {pointAt(points, 'potC', to).toFixed(1)} °C at
            the end.
          </p>
          <CutPlanner
            wanted={wanted}
            plan={cut}
            now={kept}
            onWanted={setWanted}
            onUse={({ fromMl, toMl }) => setMarks([fromMl, toMl])}
          />
        </div>
      </div>
      <WarningList warnings={warnings} />
    </>
  );
}
