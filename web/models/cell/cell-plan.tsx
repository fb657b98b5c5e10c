import { useMemo } from 'react';
import { formatNumber } from '#base/units';
import { type CellGear, supplyText, USUAL_CELL } from '#matter/gear';
import { molarMass, substanceOf } from '#matter/substance';
import { gelPlug } from '#model/cell';
import { type AtCurrent, anodeSaid, type CellAnswer, type CellAsked, MOST_V, suppliesFor } from '#model/electrolysis';
import type { Plan } from '#run/plan';
import type { CellRun } from '#run/state';
import { useCompute } from '#web/worker/compute.ts';
import { useCellRun } from '#web/worker/run-session.ts';
import { CurrentChart } from './current-chart.tsx';
import { GearForm } from './gear-form.tsx';
import { CellWarnings } from './warning-list.tsx';
import './cell.css';

interface CellPlanProps {
  readonly plan: Plan;
  /** Whether one’s own cell is being changed. */
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly onControl: (control: string, value: number) => void;
  readonly onGear: (next: CellGear) => void;
  /** Keeps the cell as one’s own, for every plan to come. */
  readonly onKeep: () => void;
}

const NO_EVENTS: [] = [];

/** The cell of a plan before its current is on: hours at several currents, which supply is enough, the divider, top-ups, what to mind. */
export function CellPlan({ plan, ...rest }: CellPlanProps) {
  const step = plan.route.steps.find(({ op }) => op.do === 'electrolyse');
  const asked = useMemo(() => ({ batchId: `plan ${plan.route.id}`, plan, events: NO_EVENTS }), [plan]);
  const question = useMemo(
    () => ({ step: step?.id ?? '', now: new Date(0).toISOString(), shown: [], ifAmps: null }),
    [step?.id],
  );
  const cell = useCellRun(asked, question);
  // What is wrong stands above; the supply or the electrodes can be changed here.
  if (cell.problem)
    return (
      <section className="cell-plan" aria-label="The cell">
        <h2>The cell</h2>
        <GearForm value={plan.bench.cell ?? USUAL_CELL} onChange={rest.onGear} />
      </section>
    );
  if (!cell.value) return null;
  return <Course plan={plan} cell={cell.value} {...rest} />;
}

/** What the plan’s cell is, as it is asked about by itself. */
function askedOf({ watch, plan: cell }: CellRun, tempC: number): CellAsked {
  const of = (side: 'anode' | 'cathode') => {
    const seen = watch.sides.find((each) => each.side === side);
    return seen
      ? { ml: seen.ml, parts: seen.dissolved.map(({ id, molPerL }) => ({ substanceId: id, molPerL })) }
      : null;
  };
  const chargeAh = cell.chargeAh[0];
  const amps = Math.min(cell.amps, cell.gear.supply.amps);
  return {
    anolyte: of('anode') ?? { ml: 1, parts: [] },
    catholyte: cell.setup.divider === 'none' ? null : of('cathode'),
    anode: cell.anode,
    anodeG: watch.anodeG?.was ?? null,
    cathode: cell.setup.cathode,
    divider: cell.setup.divider,
    gear: { ...cell.gear, supply: { ...cell.gear.supply, amps } },
    airC: tempC,
    stirred: false,
    hours: Math.min(900, Math.max(0.1, (1.3 * chargeAh) / Math.max(0.01, amps))),
    ampHours: Math.max(0.01, chargeAh),
    holdA: null,
    topUps: [],
    compare: {
      ampHours: Math.max(0.01, chargeAh),
      amps: [0.25, 0.5, 1, 2, 4].map((by) => Math.min(30, Number((by * cell.amps).toPrecision(2)))),
    },
  };
}

function Course({ plan, cell, open: edits, onOpen, onControl, onGear, onKeep }: CellPlanProps & { cell: CellRun }) {
  const asked = useMemo(() => askedOf(cell, plan.bench.tempC), [cell, plan.bench.tempC]);
  const answer = useCompute('cell', asked);
  const { gear } = cell.plan;
  const op = plan.route.steps.flatMap((each) => (each.op.do === 'electrolyse' ? [each.op] : []))[0];
  const form = (
    <>
      <button type="button" className="link" aria-expanded={edits} onClick={() => onOpen(!edits)}>
        {edits ? 'Close' : 'Your cell'}: {supplyText(gear.supply)}, anode {formatNumber(gear.anodeCm2, 2)} cm²
      </button>
      {edits ? (
        <>
          <GearForm value={gear} onChange={onGear} />
          <button type="button" className="link" onClick={onKeep}>
            Keep it as my cell
          </button>
        </>
      ) : null}
    </>
  );
  const { value } = answer;
  const limit = gear.supply.kind === 'battery' ? null : gear.supply.amps;
  return (
    <section className="cell-plan" aria-label="The cell">
      <h2>The cell</h2>
      {answer.problem ? <p className="problem">{answer.problem.message}</p> : null}
      {value ? (
        <div className="cell-plan-grid">
          <div>
            <Currents answer={value} cell={cell} onAmps={(amps) => op && onControl(op.current, amps)} />
            <Supplies answer={value} cell={cell} />
            {form}
          </div>
          <div>
            <CurrentChart
              from={0}
              now={0}
              read={[]}
              leftAlone={value.points.map(({ seconds, amps }) => ({ at: 1000 * seconds, amps }))}
              toppedUp={null}
              ifHeld={null}
              ifAmps={null}
              done={doneOf(value, cell)}
              topUpAt={value.topUps[0] ? 3_600_000 * value.topUps[0].atH : null}
              byHours
            />
            <p className="small quiet">
              The current with your supply, about: it starts as the liquids conduct, and goes as they change.
            </p>
            <Facts answer={value} cell={cell} />
          </div>
        </div>
      ) : (
        form
      )}
      {limit !== null && limit < 0.98 * cell.plan.amps ? (
        <p className="small watch">
          Your supply gives {formatNumber(limit, 2)} A at most: planned with that, not with{' '}
          {formatNumber(cell.plan.amps, 2)} A.
        </p>
      ) : null}
      {value ? <CellWarnings warnings={value.warnings} /> : null}
    </section>
  );
}

function doneOf({ points }: CellAnswer, { plan: { chargeAh } }: CellRun): readonly [number, number, number] | null {
  const [ah, sd] = chargeAh;
  const at = (charge: number) => points.find(({ ampHours }) => ampHours >= charge)?.seconds;
  const done = at(ah);
  if (done === undefined) return null;
  return [1000 * (at(ah - sd) ?? done), 1000 * done, 1000 * (at(ah + sd) ?? done)];
}

/** The same charge at several currents; a tap takes one. */
function Currents({ answer, cell, onAmps }: { answer: CellAnswer; cell: CellRun; onAmps: (amps: number) => void }) {
  const [ah, sd] = cell.plan.chargeAh;
  return (
    <>
      <p>
        <b>
          {formatNumber(ah, 3)} ± {formatNumber(2 * sd, 1)} A·h
        </b>{' '}
        in all, at a current efficiency of {formatNumber(cell.plan.efficiency[0], 2)} ±{' '}
        {formatNumber(2 * cell.plan.efficiency[1], 1)} %.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">A</th>
            <th scope="col">h</th>
            <th scope="col">V at first, then</th>
            <th scope="col">to °C</th>
            <th scope="col">mA/cm²</th>
          </tr>
        </thead>
        <tbody>
          {answer.atCurrents.map((each) => (
            <tr key={each.amps} data-here={Math.abs(each.amps / cell.plan.amps - 1) < 0.06}>
              <td>
                <button type="button" className="link" onClick={() => onAmps(each.amps)}>
                  {formatNumber(each.amps, 2)}
                </button>
              </td>
              <td>{formatNumber(each.hours, 2)}</td>
              <td>{voltsSaid(each)}</td>
              <td>{formatNumber(each.hottestC, 2)}</td>
              <td>{formatNumber(each.mAPerCm2, 2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small quiet">
        “No end”: at that current salt or anode gives out before the charge has passed. Topped up it goes on.
      </p>
    </>
  );
}

/** V at first, and where they go to: up where salt is used up, down where alkali comes. */
function voltsSaid({ voltsAtFirst, voltsAtMost, voltsAtLeast, whole }: AtCurrent): string {
  const first = voltsAtFirst >= 0.98 * MOST_V ? `over ${MOST_V}` : formatNumber(voltsAtFirst, 2);
  if (!whole) return `${first}, no end`;
  const climbs = voltsAtMost > 1.05 * voltsAtFirst;
  const falls = voltsAtLeast < 0.95 * voltsAtFirst;
  if (!climbs && !falls) return first;
  return `${first}, ${climbs ? `up to ${formatNumber(voltsAtMost, 2)}` : `down to ${formatNumber(voltsAtLeast, 2)}`}`;
}

function Supplies({ answer, cell }: { answer: CellAnswer; cell: CellRun }) {
  const here = answer.atCurrents.find(({ amps }) => Math.abs(amps / cell.plan.amps - 1) < 0.06);
  if (!here) return null;
  const judged = suppliesFor({ ...here, ampHours: cell.plan.chargeAh[0] });
  return (
    <>
      <h3>Which supply is enough</h3>
      <table>
        <tbody>
          {judged.map(({ name, does, why }) => (
            <tr key={name}>
              <td>
                <b className={CLASSES[does]}>{WORDS[does]}</b> {name}
              </td>
              <td className="quiet">{why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

const WORDS = { yes: '✓ enough:', nearly: '~ nearly:', no: '× not:' } as const;
const CLASSES = { yes: 'within', nearly: 'watch', no: 'stop' } as const;

/** What to have ready: divider, anode, top-ups, gas, water, energy. */
function Facts({ answer, cell }: { answer: CellAnswer; cell: CellRun }) {
  const { plan } = cell;
  const { setup, gear } = plan;
  const anode = anodeSaid(plan.anode);
  const hydrogen = answer.gases.find(({ substanceId }) => substanceId === 'hydrogen');
  const others = answer.gases.filter(({ substanceId }) => substanceId !== 'hydrogen');
  const gel = setup.divider === 'agar gel' ? gelPlug(gear.plugCm2, gear.plugMm) : null;
  const feed = cell.watch.sides[0]?.dissolved[0];
  return (
    <ul className="cell-mind">
      {gel ? (
        <li>
          <b>Divider:</b> {formatNumber(gel.agarG[1], 2)} g of agar ({formatNumber(gel.agarG[0], 2)} to{' '}
          {formatNumber(gel.agarG[2], 2)}) in {formatNumber(gel.waterMl, 2)} mL of water
          {feed
            ? `, with ${formatNumber(gel.saltMol * molarMass(substanceOf(feed.id).formula), 2)} g of ${substanceOf(feed.id).name}`
            : ''}
          ; boil clear, pour at {gel.pourC[0]} to {gel.pourC[1]} °C, it sets below {gel.setsC}.
        </li>
      ) : null}
      <li>
        <b>Anode:</b> {plan.anode}
        {cell.watch.anodeG
          ? `, ${formatNumber(cell.watch.anodeG.was, 3)} g, of which ${formatNumber(answer.wornG, 2)} g go`
          : ''}
        {anode.wear
          ? `, wears ${formatNumber((anode.wear.value * answer.ampHours) / 1000, 1)} g (${formatNumber((anode.wear.low * answer.ampHours) / 1000, 1)} to ${formatNumber((anode.wear.high * answer.ampHours) / 1000, 1)})`
          : ''}
        . {anode.note ? `${anode.note[0]?.toUpperCase()}${anode.note.slice(1)}.` : ''}
      </li>
      {answer.topUps.map(({ atH, side, substanceId, grams }) => (
        <li key={`${side} ${atH}`}>
          <b>Top up</b> the {side} side after about {formatNumber(atH, 2)} h: {formatNumber(grams, 2)} g of{' '}
          {substanceOf(substanceId).name}, as anhydrous, in a little water.
        </li>
      ))}
      {hydrogen ? (
        <li>
          <b>Gas:</b> {formatNumber(hydrogen.perHour, 2)} L of hydrogen an hour, {formatNumber(hydrogen.litres, 2)} L in
          all
          {others.length > 0
            ? `; at the anode ${others.map(({ substanceId, litres }) => `${formatNumber(litres, 2)} L of ${substanceOf(substanceId).name}`).join(', ')}`
            : ''}
          .
        </li>
      ) : null}
      <li>
        <b>Water:</b> about {formatNumber(answer.evaporatedG, 2)} g go off; <b>energy:</b>{' '}
        {formatNumber(answer.wattHours, 2)} W·h
        {answer.cost === null ? '' : `, ${formatNumber(answer.cost, 2)} at your price`}.
      </li>
    </ul>
  );
}
