import { Modal, Segmented } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { formatNumber } from '#base/units';
import { molarVolume } from '#matter/reaction';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import {
  addTo,
  amountsIn,
  beginning,
  type CellSetup,
  type CellState,
  FARADAY,
  letRun,
  liquidOf,
  pointOf,
  takeStock,
} from '#model/cell';
import { sidesOf } from '#model/electrolysis';
import { deviates } from '#model/still';
import type { Plan } from '#run/plan';
import type { CellRun } from '#run/state';
import { CellDrawing } from '../cell/cell-drawing.tsx';
import { CurrentChart } from '../cell/current-chart.tsx';
import { drawnOf, sideName } from '../cell/words.ts';
import '../cell/cell.css';
import { useCellRun } from '#web/worker/run-session.ts';
import { Knob } from './knob.tsx';

const NO_EVENTS: [] = [];

interface StageProps {
  readonly plan: Plan;
  readonly onClose: () => void;
}

/** A cell tried out: volts and amps by hand, a top-up, when to stop; then what came of it beside what was wanted. */
export function CellStage({ plan, onClose }: StageProps) {
  const step = plan.route.steps.find(({ op }) => op.do === 'electrolyse');
  const open = useMemo(() => ({ batchId: `rehearsal ${plan.route.id}`, plan, events: NO_EVENTS }), [plan]);
  const question = useMemo(
    () => ({ step: step?.id ?? '', now: new Date(0).toISOString(), shown: [], ifAmps: null }),
    [step?.id],
  );
  const cell = useCellRun(open, question);
  return (
    <Modal open title="Rehearsal: nothing flows, nothing is lost" width={980} footer={null} onCancel={onClose}>
      {cell.problem ? <p className="problem">{cell.problem.message}</p> : null}
      {cell.value ? <Rounds cell={cell.value} /> : <p className="waiting-block">Setting up …</p>}
    </Modal>
  );
}

const TICK_MS = 150;
const NORMAL_HPA = 1013.25;
const SPEEDS = [600, 3600, 14_400];
/** A cell of a rehearsal is a little off its book, another one each round. */
const OFF = 0.25;

function Rounds({ cell }: { cell: CellRun }) {
  const [round, setRound] = useState(1);
  return <Played key={round} cell={cell} round={round} onAgain={() => setRound(round + 1)} />;
}

interface Scene {
  readonly setup: CellSetup;
  readonly state: CellState;
}

function sceneOf({ plan }: CellRun, round: number): Scene {
  const noise = deviates(17 + round);
  const setup = { ...plan.setup, wall: Math.max(0.5, 1 + OFF * noise()) };
  const state = beginning(setup, {
    anolyte: amountsIn(plan.anolyte),
    catholyte: plan.catholyte && amountsIn(plan.catholyte),
    anodeMol: plan.anodeMol,
  });
  state.setAmps = Math.min(plan.amps, plan.gear.supply.amps);
  return { setup, state };
}

function Played({ cell, round, onAgain }: { cell: CellRun; round: number; onAgain: () => void }) {
  const { plan } = cell;
  const scene = useRef<Scene>(sceneOf(cell, round));
  const [speed, setSpeed] = useState(3600);
  const [paused, setPaused] = useState(false);
  const [over, setOver] = useState(false);
  const [seen, setSeen] = useState<readonly { readonly at: number; readonly amps: number }[]>([]);
  const [topped, setTopped] = useState(0);
  useEffect(() => {
    if (paused || over) return;
    const timer = setInterval(() => {
      const { setup, state } = scene.current;
      letRun(setup, state, { untilS: state.seconds + (TICK_MS / 1000) * speed, points: 1 });
      setSeen((before) => [...before, { at: 1000 * state.seconds, amps: state.amps }].slice(-600));
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [speed, paused, over]);
  const { setup, state } = scene.current;
  const rates = takeStock(setup, structuredClone(state));
  const sides = sidesOf({ setup }, state, pointOf(state, rates));
  const shown: CellRun = {
    ...cell,
    watch: {
      ...cell.watch,
      sides,
      volts: state.volts,
      amps: state.amps,
      tempC: state.tempC,
      anodeG: cell.watch.anodeG && {
        ...cell.watch.anodeG,
        left: (cell.watch.anodeG.was * (state.anodeMol ?? 0)) / Math.max(1e-9, plan.anodeMol ?? 1),
      },
      hydrogen: {
        ...cell.watch.hydrogen,
        perHour:
          (state.amps * 3600 * molarVolume(setup.airC, NORMAL_HPA) * (rates.cathodic.hydrogen ?? 0)) / (2 * FARADAY),
      },
    },
  };
  const hours = state.seconds / 3600;
  const feeding = plan.productSide === 'a' ? ('cathode' as const) : ('anode' as const);
  const feed = plan.catholyte ? feeding : null;
  const salt = cell.watch.sides.find(({ side }) => side === feed)?.dissolved[0];
  const topUp = () => {
    if (!feed || !salt) return;
    const grams = PART * salt.grams;
    addTo({ setup, state }, feed, liquidOf(1.5 * grams, [[salt.id, grams / massOf(salt.id)]]).n);
    setTopped(topped + 1);
  };
  const supply = (change: { volts?: number; amps?: number }) => {
    if (change.volts !== undefined) state.setVolts = change.volts;
    if (change.amps !== undefined) state.setAmps = change.amps;
  };
  return (
    <div className="stage">
      <div className="row">
        <span className="mono">{formatNumber(hours, 3)} h</span>
        <Segmented
          size="small"
          aria-label="Speed"
          options={SPEEDS.map((each) => ({ label: `${each} ×`, value: each }))}
          value={speed}
          onChange={setSpeed}
        />
        <button type="button" className="link" onClick={() => setPaused(!paused)}>
          {paused ? 'go on' : 'pause'}
        </button>
        <span className="quiet">
          Wanted: {formatNumber(plan.wantedMol, 3)} mol of {substanceOf(plan.makes).name}, planned with{' '}
          {formatNumber(plan.chargeAh[0], 3)} A·h. So far {formatNumber(state.coulombs / 3600, 3)} A·h.
        </span>
      </div>
      <div className="cell-scene">
        <CellDrawing {...drawnOf(shown)} />
        <CurrentChart
          from={0}
          now={1000 * state.seconds}
          read={seen}
          leftAlone={null}
          toppedUp={null}
          ifHeld={null}
          ifAmps={null}
          done={null}
          topUpAt={null}
          byHours
        />
      </div>
      {over ? (
        <Ended cell={cell} state={state} setup={setup} topped={topped} onAgain={onAgain} />
      ) : (
        <div className="cell-look">
          <Knob
            name="Volts"
            most={Math.max(2, 2 * plan.gear.supply.volts)}
            start={state.setVolts}
            onSet={(volts) => supply({ volts })}
          />
          <Knob
            name="Amps at most"
            most={Math.max(0.2, 2 * plan.gear.supply.amps)}
            start={state.setAmps}
            onSet={(amps) => supply({ amps })}
          />
          {feed && salt ? (
            <button type="button" className="tab" onClick={topUp}>
              Top up the {sideName(feed, cell)}
            </button>
          ) : null}
          <button type="button" className="act" onClick={() => setOver(true)}>
            Switch it off
          </button>
        </div>
      )}
    </div>
  );
}

/** Of the salt that a side had at first, in one top-up. */
const PART = 0.4;
const massOf = (id: SubstanceId) => molarMass(substanceOf(id).formula);

interface EndedProps {
  readonly cell: CellRun;
  readonly setup: CellSetup;
  readonly state: CellState;
  readonly topped: number;
  readonly onAgain: () => void;
}

/** What came of it, beside what was wanted. */
function Ended({ cell, setup, state, topped, onAgain }: EndedProps) {
  const { plan } = cell;
  const side = sidesOf({ setup }, state, pointOf(state, takeStock(setup, structuredClone(state)))).find(
    (each) => each.side === (plan.productSide === 'a' ? 'anode' : 'cathode'),
  );
  const made = [...(side?.dissolved ?? []), ...(side?.solid ?? [])].find(({ id }) => id === plan.makes);
  const mol = made ? made.grams / massOf(plan.makes) : 0;
  const ah = state.coulombs / 3600;
  const pct = ah > 0 ? (100 * mol * plan.electrons * FARADAY) / (3600 * ah) : 0;
  const share = (100 * mol) / Math.max(1e-9, plan.wantedMol);
  return (
    <section aria-label="Review">
      <p>
        <b>{formatNumber(share, 2)} %</b> of what was wanted in {formatNumber(state.seconds / 3600, 2)} h and{' '}
        {formatNumber(ah, 3)} A·h; current efficiency {formatNumber(pct, 2)} % (planned with{' '}
        {formatNumber(plan.efficiency[0], 2)}). {topped} top-up{topped === 1 ? '' : 's'}; about{' '}
        {formatNumber(state.tempC, 2)} °C at the end.
      </p>
      <p className="quiet">{judgement(share, pct, plan.efficiency[0])}</p>
      <button type="button" className="act" onClick={onAgain}>
        Once more, another cell
      </button>
    </section>
  );
}

function judgement(share: number, pct: number, planned: number): string {
  if (share < 90) return 'Stopped early: what is still in the salt is not made. By charge it was not there yet.';
  if (pct < planned - 6)
    return 'The charge went on, the product did not: short of salt, or past the end, it only made gas.';
  return share > 110 ? 'More than was wanted: the charge says when it is enough.' : 'As it was planned.';
}
