import { Modal } from 'antd';
import { useMemo, useReducer, useRef, useState } from 'react';
import { formatNumber } from '#base/units';
import { beginGas, type GasSetup, type GasState, gainedBy, letGas, lyeLeftPct } from '#model/absorb';
import { deviates } from '#model/still';
import type { Plan } from '#run/plan';
import type { AbsorbAdvice } from '#run/technique';
import { AbsorberDrawing } from '../gas/absorber-drawing.tsx';
import { LyeGauge } from '../gas/lye-gauge.tsx';
import '../gas/gas.css';
import { useAdviceAt } from '#web/worker/run-session.ts';
import { Clockwork } from './clockwork.tsx';
import { Knob } from './knob.tsx';

const NO_EVENTS: [] = [];
const SPEEDS = [10, 30, 120];
const DROPS_PER_ML = 20;
/** Of the gas that arrives, a bottle of a rehearsal is off by so much, another one each round. */
const OFF = 0.08;

interface StageProps {
  readonly plan: Plan;
  readonly onClose: () => void;
}

/** A gas tried out: drops by hand, ice, when to stop and how; then what came of it. */
export function GasStage({ plan, onClose }: StageProps) {
  const step = plan.route.steps.find(({ op }) => op.do === 'absorb');
  const open = useMemo(() => ({ batchId: `rehearsal ${plan.route.id}`, plan, events: NO_EVENTS }), [plan]);
  const advice = useAdviceAt(open, step?.id ?? '', NEVER);
  const own = advice.value?.own;
  const says = own?.do === 'absorb' ? own.says : null;
  return (
    <Modal open title="Rehearsal: no gas, nothing is lost" width={980} footer={null} onCancel={onClose}>
      {advice.problem ? <p className="problem">{advice.problem.message}</p> : null}
      {says ? <Rounds says={says} /> : <p className="waiting-block">Setting up …</p>}
    </Modal>
  );
}

const NEVER = new Date(0).toISOString();

function Rounds({ says }: { says: AbsorbAdvice }) {
  const [round, setRound] = useState(1);
  return <Played key={round} says={says} round={round} onAgain={() => setRound(round + 1)} />;
}

function sceneOf(says: AbsorbAdvice, round: number): { setup: GasSetup; state: GasState } {
  const noise = deviates(29 + round);
  const setup = { ...says.setup, arrives: Math.min(1, says.setup.arrives * (1 + OFF * noise())) };
  return { setup, state: beginGas(setup, 0) };
}

function Played({ says, round, onAgain }: { says: AbsorbAdvice; round: number; onAgain: () => void }) {
  const scene = useRef(sceneOf(says, round));
  const [over, setOver] = useState(false);
  const [, redraw] = useReducer((count: number) => count + 1, 0);
  const { setup, state } = scene.current;
  const gained = gainedBy(setup, state);
  const most = setup.funnel ? DROPS_PER_ML * Math.max(2, 4 * says.mlPerMin) : 0;
  const tick = (seconds: number) => {
    letGas(setup, state, seconds);
    redraw();
  };
  const cool = (wattsPerK: number) => {
    scene.current = { setup: { ...setup, wattsPerK }, state };
    redraw();
  };
  return (
    <div className="stage">
      <Clockwork
        shown={`${formatNumber(state.seconds / 60, 3)} min`}
        speeds={SPEEDS}
        start={30}
        over={over}
        onTick={tick}
      >
        The balance shows {formatNumber(gained, 3)} g, the thermometer {formatNumber(state.absorberC, 2)} °C; under{' '}
        {formatNumber(says.ceilingC, 2)} °C it is safe.
      </Clockwork>
      <div className="rehearse-scene">
        <div>
          <AbsorberDrawing
            gas={says.gas}
            makes={says.makes}
            startG={says.waterG + (says.input.alkali?.grams ?? 0)}
            gainedG={gained}
            toGainG={says.toGainG}
            pct={setup.lyeMol === null ? (100 * gained) / (says.waterG + gained) : null}
            warmC={Math.round(10 * state.absorberC) / 10}
            ceilingC={says.ceilingC}
            iceG={setup.wattsPerK > 1 ? 60 : 0}
            drips={setup.funnel ? state.drippedMl / setup.funnel.ml : null}
          />
          {says.window ? <LyeGauge window={says.window} gainedG={gained} /> : null}
        </div>
        {over ? (
          <Ended says={says} setup={setup} state={state} onAgain={onAgain} />
        ) : (
          <div className="rehearse-hands">
            {setup.funnel ? (
              <Knob
                name="Drops a minute"
                most={most}
                start={0}
                step={1}
                onSet={(drops) => {
                  state.mlPerMin = drops / DROPS_PER_ML;
                }}
              />
            ) : null}
            <Knob name="Ice and swirling, W/K" most={4} start={setup.wattsPerK} step={0.1} onSet={cool} />
            <button
              type="button"
              className="tab"
              disabled={state.lifted}
              onClick={() => {
                state.lifted = true;
                redraw();
              }}
            >
              Lift the tube out
            </button>
            <button
              type="button"
              className="act"
              onClick={() => {
                state.mlPerMin = 0;
                // What is in the generator goes on.
                letGas(setup, state, 900);
                setOver(true);
              }}
            >
              Tap shut, wait, weigh
            </button>
          </div>
        )}
      </div>
    </div>
  );
}

interface EndedProps {
  readonly says: AbsorbAdvice;
  readonly setup: GasSetup;
  readonly state: GasState;
  readonly onAgain: () => void;
}

function Ended({ says, setup, state, onAgain }: EndedProps) {
  const gained = gainedBy(setup, state);
  const left = lyeLeftPct(setup, state);
  return (
    <section aria-label="Review">
      <p>
        <b>{formatNumber(gained, 3)} g</b> gained in {formatNumber(state.seconds / 60, 2)} min
        {left === null ? '' : `, ${formatNumber(left, 2)} % of the lye left`};{' '}
        {formatNumber(1000 * state.escapedMol, 2)} mmol passed the absorber; {formatNumber(state.absorberC, 2)} °C at
        the end.
      </p>
      <ul>
        {judged(says, { gained, left, state }).map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      <button type="button" className="act" onClick={onAgain}>
        Again, with another bottle
      </button>
    </section>
  );
}

/** What is to be said of it, the gravest first. */
function judged(
  says: AbsorbAdvice,
  { gained, left, state }: { gained: number; left: number | null; state: GasState },
): readonly string[] {
  const found: string[] = [];
  if (state.suckedBack > 0)
    found.push(
      'The gas stopped while the tube still dipped: it sucked back into the trap. Tube out first, then the tap.',
    );
  if (says.window) {
    if (gained < says.window.fromG)
      found.push('Stopped before the window: alkali is left that keeps crystals from coming.');
    else if (gained <= says.window.toG) found.push('Stopped inside the window.');
    else found.push('Past the window: a test portion near its end would have told.');
  }
  if (left !== null && left < 1) found.push('The lye was spent: chlorine went on into the second bottle.');
  if (state.escapedMol > 0.001) found.push('Gas passed: the second absorber had work to do.');
  if (found.length === 0) found.push('All of it arrived.');
  return found;
}
