import { Modal, Segmented } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { formatNumber } from '#base/units';
import {
  azeotropeOf,
  type Cut,
  caughtBy,
  deviates,
  distil,
  type Instant,
  type Live,
  letRun,
  pointsOf,
  type Review,
  readingsFrom,
  reviewOf,
  type Setup,
  setUp,
  setupFor,
  shown,
  switchReceiver,
} from '#model/still';
import type { Plan } from '#run/plan';
import type { StillRun } from '#run/state';
import { StillChart } from '../still/still-chart.tsx';
import { StillDrawing } from '../still/still-drawing.tsx';
import '../still/still.css';
import { useStills } from '#web/worker/run-session.ts';

const NO_EVENTS: [] = [];

interface StageProps {
  readonly plan: Plan;
  readonly onClose: () => void;
}

/** A distillation tried out: heat and receivers by hand, the instruments simulated, a review against the best there is. */
export function StillStage({ plan, onClose }: StageProps) {
  const open = useMemo(() => ({ batchId: `rehearsal ${plan.route.id}`, plan, events: NO_EVENTS }), [plan]);
  const stills = useStills(open);
  // What is rehearsed is what brings the product.
  const still = stills.value?.at(-1);
  return (
    <Modal open title="Rehearsal: nothing is lit, nothing is lost" width={980} footer={null} onCancel={onClose}>
      {stills.problem ? <p className="problem">{stills.problem.message}</p> : null}
      {still ? <Admitted run={still} /> : <p className="waiting-block">Setting up …</p>}
    </Modal>
  );
}

const TICK_MS = 120;
const SPEEDS = [1, 60, 180, 600];
/** A rehearsal keeps so many readings: enough for a chart. */
const MOST = 900;

interface Scene {
  readonly setup: Setup;
  readonly live: Live;
  readonly noise: () => number;
}

/** What is not distilled is not rehearsed either. */
function Admitted({ run }: { run: StillRun }) {
  const setup = useMemo(() => setupFor(run.asked), [run]);
  return setup.ok ? <Stage run={run} setup={setup.value} /> : <p className="problem">{setup.problem.message}</p>;
}

function Stage({ run, setup }: { run: StillRun; setup: Setup }) {
  const [round, setRound] = useState(0);
  const scene = useMemo<Scene>(() => {
    const live = setUp(setup);
    live.heaterW = run.asked.apparatus.heaterW;
    return { setup, live, noise: deviates(7 + round) };
  }, [setup, run, round]);
  return <Played key={round} run={run} scene={scene} onAgain={() => setRound(round + 1)} />;
}

function Played({ run, scene, onAgain }: { run: StillRun; scene: Scene; onAgain: () => void }) {
  const { setup, live, noise } = scene;
  const [speed, setSpeed] = useState(180);
  const [paused, setPaused] = useState(false);
  const [over, setOver] = useState(false);
  const [instants, setInstants] = useState<readonly Instant[]>([]);
  const since = useRef(0);
  useEffect(() => {
    if (paused || over) return;
    const timer = setInterval(() => {
      letRun(setup, live, (TICK_MS / 60_000) * speed);
      since.current += TICK_MS * speed;
      const now = shown(setup, live, noise);
      setInstants((before) => thinned([...before, now]));
      const rest = live.standing.n1 + live.standing.n2;
      if (rest < 0.012 * (setup.charge.first + setup.charge.second)) setOver(true);
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [setup, live, noise, speed, paused, over]);
  const ideal = useMemo(() => distil(setup), [setup]);
  const points = useMemo(() => pointsOf(ideal, 120), [ideal]);
  const readings = useMemo(() => readingsFrom(instants, run.asked.apparatus.heaterW), [instants, run]);
  const caught = caughtBy(setup, live);
  const overMl = live.standing.overMl;
  const last = instants.at(-1);
  const kept = Math.max(
    0,
    run.cuts.findIndex(({ into }) => into === run.kept),
  );
  const wanted = useMemo(() => wantedOf(run, points), [run, points]);
  const review = useMemo(
    () =>
      over ? reviewOf(setup, { caught: caughtBy(setup, live), kept, wantedPct: wanted, minutes: live.minutes }) : null,
    [over, setup, live, kept, wanted],
  );
  const cut = review?.cut ?? null;
  const heat = (by: number) => {
    live.heaterW = Math.max(0, live.heaterW + by);
  };
  return (
    <div className="stage">
      <div className="row">
        <span className="mono">{timeText(live.minutes)}</span>
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
          Wanted in receiver {kept + 1}: at least {formatNumber(wanted, 3)} %.
        </span>
      </div>
      <div className="still-scene">
        <StillDrawing
          flaskMl={run.asked.apparatus.flaskMl}
          potMl={Math.max(0, ideal.chargeMl - overMl)}
          leastMl={0.06 * run.asked.apparatus.flaskMl}
          potC={last?.potC ?? null}
          headC={last?.headC ?? null}
          trend=""
          coolIn=""
          coolOut=""
          drips={!over && live.firstDropAt !== null && live.heaterW > 0}
          tint="clear"
          receivers={run.cuts.map((cut, i) => ({
            name: String(i + 1),
            ml: caught[i]?.ml ?? 0,
            toMl: cut.toMl - (run.cuts[i - 1]?.toMl ?? 0),
            state: stateOf(i, live.receiver),
          }))}
        />
        <StillChart
          points={points}
          dots={dotsOf(readings, { points, setup })}
          marks={cut ? bestMarks(cut) : planMarks(run)}
          nowMl={live.firstDropAt === null ? null : overMl}
          azeotrope={azeotropeOf(setup.mixture)}
          holds={cut ? [{ fromMl: cut.fromMl, toMl: cut.toMl, pct: cut.pct }] : []}
        />
      </div>
      {review ? (
        <Ended review={review} kept={kept} onAgain={onAgain} />
      ) : (
        <div className="still-acts">
          <div className="heat">
            <button type="button" aria-label="Less heat" onClick={() => heat(-20)}>
              −
            </button>
            <span>
              <b>Heat {live.heaterW} W</b>
              <small>{formatNumber(overMl, 3)} mL over</small>
            </span>
            <button type="button" aria-label="More heat" onClick={() => heat(20)}>
              +
            </button>
          </div>
          {live.receiver < run.cuts.length - 1 ? (
            <button type="button" className="act still-switch" onClick={() => switchReceiver(live)}>
              Switch to receiver {live.receiver + 2}
            </button>
          ) : null}
          <button type="button" className="act still-switch" onClick={() => setOver(true)}>
            Stop
          </button>
        </div>
      )}
    </div>
  );
}

interface EndedProps {
  readonly review: Review;
  readonly kept: number;
  readonly onAgain: () => void;
}

/** How it went, in words, against the best that could be had. */
function Ended({ review, kept, onAgain }: EndedProps) {
  const row = (name: string, { pct, recoveryPct, hours }: typeof review.kept) => (
    <tr>
      <th scope="row">{name}</th>
      <td>{formatNumber(pct, 3)} %</td>
      <td>{formatNumber(recoveryPct, 3)} %</td>
      <td>{formatNumber(hours, 2)} h</td>
    </tr>
  );
  return (
    <section aria-label="Review" aria-live="polite">
      <h3>How it went</h3>
      {review.says.map((each) => (
        <p key={each}>{each}</p>
      ))}
      <table className="still-table">
        <thead>
          <tr>
            <th scope="col">receiver {kept + 1}</th>
            <th scope="col">strength</th>
            <th scope="col">recovered</th>
            <th scope="col">time</th>
          </tr>
        </thead>
        <tbody>
          {row('yours', review.kept)}
          {row('the best there is', review.best)}
        </tbody>
      </table>
      <button type="button" className="act" onClick={onAgain}>
        Once more
      </button>
    </section>
  );
}

/** Where the plan would change the receivers. */
function planMarks({ cuts }: StillRun) {
  return cuts.map(({ step, toMl }, i) => ({
    id: step,
    text: cuts[i + 1] ? `${i + 1} | ${i + 2}` : 'stop',
    ml: toMl,
    past: false,
  }));
}

/** Where the best run would have. */
function bestMarks({ fromMl, toMl }: Cut) {
  return [
    { id: 'from', text: 'best: from', ml: fromMl, past: false },
    { id: 'to', text: 'to', ml: toMl, past: false },
  ];
}

function thinned(instants: readonly Instant[]): readonly Instant[] {
  if (instants.length <= MOST) return instants;
  return instants.filter(({ receiver }, i) => i % 2 === 0 || receiver !== instants[i + 1]?.receiver);
}

function stateOf(i: number, receiver: number): 'shut' | 'filling' | 'ready' {
  if (i < receiver) return 'shut';
  return i === receiver ? 'filling' : 'ready';
}

/** What the plan’s own cuts come to: a rehearsal is to do as well. */
function wantedOf(run: StillRun, points: ReturnType<typeof pointsOf>): number {
  const kept = run.cuts.findIndex(({ into }) => into === run.kept);
  const cut = run.cuts[kept] ?? run.cuts.at(-1);
  if (!cut) return 0;
  const fromMl = run.cuts[kept - 1]?.toMl ?? 0;
  const inside = points.filter(({ overMl }) => overMl >= fromMl && overMl <= cut.toMl);
  const grams = (inside.at(-1)?.overG ?? 0) - (inside[0]?.overG ?? 0);
  const first =
    (((inside.at(-1)?.recoveryPct ?? 0) - (inside[0]?.recoveryPct ?? 0)) / 100) *
    run.asked.grams *
    (run.asked.pct / 100);
  return grams > 0 ? Number(Math.max(0, (100 * first) / grams - 0.3).toPrecision(3)) : 0;
}

function dotsOf(
  readings: ReturnType<typeof readingsFrom>,
  { points }: { points: ReturnType<typeof pointsOf>; setup: Setup },
) {
  const every = Math.max(1, Math.ceil(readings.length / 60));
  return readings
    .filter((_, i) => i % every === 0)
    .map(({ overG, headC, potC }) => {
      const at = points.find((each) => each.overG >= (overG ?? 0));
      return {
        ml: at?.overMl ?? 0,
        ...(headC === undefined ? {} : { headC }),
        ...(potC === undefined ? {} : { potC }),
      };
    });
}

function timeText(minutes: number): string {
  const whole = Math.floor(minutes);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')} h`;
}
