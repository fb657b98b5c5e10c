import { Modal } from 'antd';
import { useMemo, useReducer, useRef, useState } from 'react';
import { hoursSaid } from '#base/time';
import { formatNumber } from '#base/units';
import { beginReflux, HOURS_FACTOR, letReflux, type RefluxSetup, type RefluxState, refluxEnd } from '#model/ester';
import { deviates } from '#model/still';
import type { Plan } from '#run/plan';
import type { EsterAdvice } from '#run/technique';
import '../gas/gas.css';
import { useAdviceAt } from '#web/worker/run-session.ts';
import { Clockwork } from './clockwork.tsx';
import { Knob } from './knob.tsx';
import { RefluxDrawing } from './reflux-drawing.tsx';

const NO_EVENTS: [] = [];
const SPEEDS = [60, 300, 1800];
const NEVER = new Date(0).toISOString();

interface StageProps {
  readonly plan: Plan;
  readonly onClose: () => void;
}

/** A reflux tried out: heat by hand, the ring in the condenser, stones, when to stop; then what came of it. */
export function RefluxStage({ plan, onClose }: StageProps) {
  const step = plan.route.steps.find(({ op }) => op.do === 'esterify');
  const open = useMemo(() => ({ batchId: `rehearsal ${plan.route.id}`, plan, events: NO_EVENTS }), [plan]);
  const advice = useAdviceAt(open, step?.id ?? '', NEVER);
  const own = advice.value?.own;
  const says = own?.do === 'esterify' ? own.says : null;
  return (
    <Modal open title="Rehearsal: nothing is lit, nothing is lost" width={980} footer={null} onCancel={onClose}>
      {advice.problem ? <p className="problem">{advice.problem.message}</p> : null}
      {says?.reflux ? <Rounds says={says} setup={says.reflux} /> : <p className="waiting-block">Setting up …</p>}
    </Modal>
  );
}

function Rounds(props: { says: EsterAdvice; setup: RefluxSetup }) {
  const [round, setRound] = useState(1);
  return <Played key={round} {...props} round={round} onAgain={() => setRound(round + 1)} />;
}

interface PlayedProps {
  readonly says: EsterAdvice;
  readonly setup: RefluxSetup;
  readonly round: number;
  readonly onAgain: () => void;
}

function Played({ says, setup: planned, round, onAgain }: PlayedProps) {
  // Hours are known to a factor: another flask each round is quicker or slower.
  const setup = useMemo(() => {
    const factor = HOURS_FACTOR ** (deviates(41 + round)() / 2);
    return { ...planned, mixture: { ...planned.mixture, strong: planned.mixture.strong * factor } };
  }, [planned, round]);
  const scene = useRef<RefluxState>(beginReflux(setup));
  const [over, setOver] = useState(false);
  const [, redraw] = useReducer((count: number) => count + 1, 0);
  const state = scene.current;
  const tick = (seconds: number) => {
    letReflux(setup, state, seconds);
    redraw();
  };
  return (
    <div className="stage">
      <Clockwork shown={hoursSaid(state.seconds / 3600)} speeds={SPEEDS} start={300} over={over} onTick={tick}>
        {formatNumber(state.tempC, 3)} °C in the flask; it boils at about {formatNumber(setup.boilsC, 2)} °C. Planned:{' '}
        {hoursSaid(says.plannedH)}.
      </Clockwork>
      <div className="rehearse-scene">
        <RefluxDrawing ring={state.ring} boiling={state.boiling} watts={state.watts} name={says.name} />
        {over ? (
          <Ended says={says} setup={setup} state={state} onAgain={onAgain} />
        ) : (
          <div className="rehearse-hands">
            <Knob
              name="Heat, W"
              most={200}
              start={0}
              step={1}
              onSet={(watts) => {
                state.watts = watts;
              }}
            />
            <button
              type="button"
              className="tab"
              onClick={() => {
                // Into a boiling flask a stone makes it jump.
                if (state.boiling) state.bumps += 1;
                state.stones = true;
                redraw();
              }}
            >
              A fresh stone
            </button>
            <button type="button" className="act" onClick={() => setOver(true)}>
              Heat off: stop here
            </button>
          </div>
        )}
      </div>
    </div>
  );
}

interface EndedProps {
  readonly says: EsterAdvice;
  readonly setup: RefluxSetup;
  readonly state: RefluxState;
  readonly onAgain: () => void;
}

function Ended({ says, setup, state, onAgain }: EndedProps) {
  const end = refluxEnd(setup);
  const share = end > 0 ? (100 * state.formed) / end : 0;
  const least = Math.min(setup.mixture.charge.acid, setup.mixture.charge.alcohol);
  const grams = least > 0 ? (state.formed / least) * says.theoryG : 0;
  return (
    <section aria-label="Review">
      <p>
        <b>{formatNumber(grams, 3)} g</b> of {says.name} after {hoursSaid(state.seconds / 3600)}:{' '}
        {formatNumber(share, 2)} % of what it comes to. {formatNumber(state.lostG, 2)} g left through the top.
      </p>
      <ul>
        {judged(state, share).map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      <button type="button" className="act" onClick={onAgain}>
        Again, with another flask
      </button>
    </section>
  );
}

function judged({ lostG, bumps }: RefluxState, share: number): readonly string[] {
  const found: string[] = [];
  if (lostG > 0.5) found.push('Vapour left at the top: the ring belongs in the lower third. At a flame it burns.');
  if (bumps > 0) found.push('It bumped: a stone works once. Let it cool, a fresh stone, then the heat.');
  if (share < 80) found.push('Stopped early: it was still on its way.');
  else found.push(share > 97 ? 'At its end: more hours bring nothing.' : 'Near its end.');
  return found;
}
