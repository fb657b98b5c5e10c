import { useMemo, useState } from 'react';
import { itemAt } from '#base/lookup';
import { formatNumber } from '#base/units';
import type { Apparatus } from '#matter/gear';
import { between, type Cut, chargedOf, pointAt, type StillAnswer } from '#model/still';
import type { Plan } from '#run/plan';
import type { StillRun } from '#run/state';
import { useCompute } from '#web/worker/compute.ts';
import { useStills } from '#web/worker/run-session.ts';
import { ApparatusForm } from './apparatus-form.tsx';
import { CutPlanner, type Wanted } from './cut-planner.tsx';
import { StillChart } from './still-chart.tsx';
import { WarningList } from './warning-list.tsx';
import './still.css';

interface StillPlanProps {
  readonly plan: Plan;
  readonly onControl: (control: string, value: number) => void;
  readonly onApparatus: (next: Apparatus) => void;
  /** Keeps the still as one’s own, for every plan to come. */
  readonly onKeep: () => void;
}

const NO_EVENTS: [] = [];

/** The distillation of a plan before anything is lit: its course, its cuts to be dragged, its limits, what to mind. */
export function StillPlan({ plan, ...rest }: StillPlanProps) {
  const open = useMemo(() => ({ batchId: `plan ${plan.route.id}`, plan, events: NO_EVENTS }), [plan]);
  const stills = useStills(open);
  return stills.value?.map((run) => <Course key={run.cuts[0]?.step} plan={plan} run={run} {...rest} />) ?? null;
}

function Course({ plan, run, onControl, onApparatus, onKeep }: StillPlanProps & { run: StillRun }) {
  const { asked } = run;
  const [wanted, setWanted] = useState<Wanted>({ by: 'recovery', pct: 50 });
  const [edits, setEdits] = useState(false);
  const foams = plan.route.foamShare >= 0.5;
  const answer = useCompute(
    'still',
    useMemo(
      () => ({ ...asked, wanted, outsideHPa: plan.bench.pressureHPa, ...(foams ? { foams } : {}) }),
      [asked, wanted, plan.bench.pressureHPa, foams],
    ),
  );
  // While a mark is dragged it stands where the hand is; the plan follows.
  const [dragged, setDragged] = useState<Readonly<Record<string, number>>>({});
  const { value } = answer;
  if (!value) return answer.problem ? <p className="problem">{answer.problem.message}</p> : null;
  const marks = run.cuts.map((cut) => ({ cut, ml: dragged[cut.control] ?? cut.toMl }));
  const move = (at: number, ml: number) => {
    const { cut } = itemAt(marks, at);
    const control = plan.route.controls.find(({ id }) => id === cut.control);
    if (!control) return;
    const low = (marks[at - 1]?.ml ?? 0) + 1;
    const high = (marks[at + 1]?.ml ?? value.chargeMl) - 1;
    const to = Math.min(Math.max(low, high), Math.max(low, ml));
    const share = (100 * to) / value.chargeMl;
    const set = Math.min(control.max, Math.max(control.min, Math.round(share / control.step) * control.step));
    setDragged((before) => ({ ...before, [cut.control]: (set * value.chargeMl) / 100 }));
    onControl(cut.control, set);
  };
  const charged = chargedOf(asked, run.volatile);
  const holds = marks.map(({ ml }, i) => {
    const fromMl = marks[i - 1]?.ml ?? 0;
    return { fromMl, toMl: ml, ...between(value.points, [fromMl, ml], charged) };
  });
  const kept = run.cuts.findIndex(({ into }) => into === run.kept);
  const now = holds[kept] ?? { pct: 0, recoveryPct: 0 };
  const use = ({ fromMl, toMl }: Cut) => {
    // A cut that begins with the first drop leaves no fore-run: as little as there can be.
    if (kept > 0) move(kept - 1, fromMl);
    if (kept >= 0) move(kept, toMl);
  };
  return (
    <section className="still-plan" aria-label="The still">
      <h2>The still</h2>
      <div className="still-plan-grid">
        <div>
          <StillChart
            points={value.points}
            dots={[]}
            marks={marks.map(({ cut, ml }, i) => ({
              id: cut.control,
              text: run.cuts[i + 1] ? `${i + 1} | ${i + 2}` : 'stop',
              ml,
              past: false,
              ...(cut.by === 'share' ? { onMove: (to: number) => move(i, to) } : {}),
            }))}
            nowMl={null}
            azeotrope={value.azeotrope}
            holds={holds}
          />
          <p className="quiet small">
            Drag the marks, or move them with the arrow keys.{' '}
            {value.about ? 'About: what stays in the flask is only roughly counted. ' : ''}
            After {value.source}.
          </p>
        </div>
        <div>
          <Cuts run={run} answer={value} marks={marks.map(({ ml }) => ml)} holds={holds} />
          {kept >= 0 && run.cuts[kept]?.by === 'share' ? (
            <CutPlanner wanted={wanted} plan={value.cut} now={now} onWanted={setWanted} onUse={use} />
          ) : null}
          <button type="button" className="link" aria-expanded={edits} onClick={() => setEdits(!edits)}>
            {edits ? 'Close' : 'Your still'}: {formatNumber(asked.apparatus.flaskMl, 3)} mL flask,{' '}
            {formatNumber(asked.apparatus.plates, 2)} plates, {formatNumber(asked.apparatus.heaterW, 3)} W
          </button>
          {edits ? (
            <>
              <ApparatusForm value={asked.apparatus} onChange={onApparatus} />
              <button type="button" className="link" onClick={onKeep}>
                Keep it as my still
              </button>
            </>
          ) : null}
        </div>
      </div>
      <WarningList warnings={value.warnings} />
    </section>
  );
}

interface CutsProps {
  readonly run: StillRun;
  readonly answer: StillAnswer;
  readonly marks: readonly number[];
  readonly holds: readonly { readonly ml: number; readonly pct: number; readonly recoveryPct: number }[];
}

function Cuts({ run, answer, marks, holds }: CutsProps) {
  const { points } = answer;
  return (
    <table className="still-table">
      <thead>
        <tr>
          <th scope="col">into</th>
          <th scope="col">mL</th>
          <th scope="col">until the head is</th>
          <th scope="col">%</th>
          <th scope="col">of it</th>
        </tr>
      </thead>
      <tbody>
        {run.cuts.map((cut, i) => (
          <tr key={cut.step} data-state={cut.into === run.kept ? 'filling' : 'expected'}>
            <th scope="row">{cut.into}</th>
            <td>{formatNumber(holds[i]?.ml ?? 0, 3)}</td>
            <td>
              {pointAt(points, 'headC', marks[i] ?? 0).toFixed(1)} °C
              {cut.by === 'pot' ? `, flask ${pointAt(points, 'potC', marks[i] ?? 0).toFixed(0)} °C` : ''}
            </td>
            <td>{formatNumber(holds[i]?.pct ?? 0, 3)}</td>
            <td>{formatNumber(holds[i]?.recoveryPct ?? 0, 2)} %</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
