import { Slider } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { exactReading } from '#base/reading';
import { formatNumber } from '#base/units';
import type { CellRun, StepState } from '#run/state';
import { useFeed } from '#web/api/feed.ts';
import { CellDrawing } from '#web/models/cell/cell-drawing.tsx';
import { CurrentChart } from '#web/models/cell/current-chart.tsx';
import { VoltsProfile } from '#web/models/cell/volts-profile.tsx';
import '#web/models/cell/cell.css';
import { drawnOf, spanText, timeText } from '#web/models/cell/words.ts';
import { InMargin } from '#web/parts/margin.tsx';
import { useNow } from '#web/parts/use-now.ts';
import { FeedBar } from '#web/run/feed-bar.tsx';
import type { Run } from '#web/run/use-run.ts';
import { useCellRun } from '#web/worker/run-session.ts';
import type { StepMoves } from '../technique-view.ts';
import { Agreement, Headline } from './headline.tsx';
import { LogLook } from './log-look.tsx';
import { NextMove } from './next-move.tsx';
import { ProgressBar } from './progress-bar.tsx';
import { Sides } from './sides.tsx';
import { WhyChanged } from './why-changed.tsx';

/** A cell is looked at again by itself every so often. */
const EVERY_MS = 30_000;

/** The cell at work: how long it still takes, how it stands, what its current did and would do, what to do next. */
export function CellBench({ run, step, moves }: { run: Run; step: StepState; moves: StepMoves }) {
  const feed = useFeed(run.batch.id);
  const now = useNow(EVERY_MS);
  const [ifAmps, setIf] = useState<number | null>(null);
  const question = useMemo(
    () => ({
      step: step.key,
      now: new Date(now).toISOString(),
      shown: feed.cell.map(({ at, minutes, volts, amps, tempC }) => ({
        at,
        seconds: 60 * minutes,
        volts,
        amps,
        tempC,
      })),
      ifAmps,
    }),
    [step.key, now, feed.cell, ifAmps],
  );
  const cell = useCellRun(run.open, question);
  if (cell.problem) return <p className="problem">{cell.problem.message}</p>;
  if (cell.value === undefined) return <p className="waiting-block">Reading the cell …</p>;
  if (cell.value === null)
    return <p className="quiet">Nothing is in this cell yet: enter what was weighed and poured on either side.</p>;
  return <AtWork run={run} step={step} moves={moves} cell={cell.value} feed={feed} ifAmps={ifAmps} onIf={setIf} />;
}

interface AtWorkProps {
  readonly run: Run;
  readonly step: StepState;
  readonly moves: StepMoves;
  readonly cell: CellRun;
  readonly feed: ReturnType<typeof useFeed>;
  readonly ifAmps: number | null;
  readonly onIf: (amps: number | null) => void;
}

function AtWork({ run, step, moves, cell, feed, ifAmps, onIf }: AtWorkProps) {
  const { watch, plan, now } = cell;
  const closed = step.status === 'done' || step.status === 'skipped';
  const speed = feed.status?.kind && feed.status.running ? feed.status.speed : 1;
  const end = () => {
    const counted = feed.cell.length > 0 && watch.passed;
    run.enterAll([
      ...(cell.from === null ? [{ kind: 'started', step: step.key } as const] : []),
      ...(counted
        ? [
            {
              kind: 'read',
              step: step.key,
              quantity: 'charge',
              reading: exactReading(Number(counted.ampHours.toPrecision(4)), 'A·h'),
              place: '',
            } as const,
          ]
        : []),
      { kind: 'finished', step: step.key },
    ]);
    if (feed.status?.kind === 'simulated') feed.change.mutate({ amps: 0, running: false });
  };
  useEffect(() => {
    moves.endWith(end);
    return () => moves.endWith(null);
  });
  const drawn = useMemo(() => drawnOf(cell), [cell]);
  const { leftAlone, ifHeld } = watch;
  const done =
    leftAlone?.doneAt && leftAlone.earliest && leftAlone.latest
      ? ([leftAlone.earliest, leftAlone.doneAt, leftAlone.latest] as const)
      : null;
  return (
    <section className="cell" aria-label="The cell">
      <Headline cell={cell} speed={speed} />
      <Agreement cell={cell} />
      <ProgressBar cell={cell} />
      {closed ? null : <NextMove run={run} step={step.key} cell={cell} feed={feed} onBegin={moves.begin} onEnd={end} />}
      <div className="cell-scene">
        <div>
          <CellDrawing {...drawn} />
          {watch.drops && watch.volts !== null ? (
            <VoltsProfile
              is={watch.drops[1]}
              was={watch.drops[0]}
              wallV={watch.wallV}
              volts={watch.volts}
              divided={plan.setup.divider !== 'none'}
            />
          ) : null}
          <Minded cell={cell} />
        </div>
        <div>
          <CurrentChart
            from={cell.from ?? now}
            now={now}
            read={cell.currents}
            leftAlone={leftAlone?.points ?? null}
            toppedUp={watch.toppedUp?.points ?? null}
            ifHeld={ifHeld?.points ?? null}
            ifAmps={ifAmps}
            done={done}
            topUpAt={watch.topUp?.by ?? null}
            byHours={speed !== 1}
          />
          {watch.amps !== null && watch.amps > 0 ? (
            <WhatIf cell={cell} ifAmps={ifAmps} onIf={onIf} byClock={speed === 1} />
          ) : null}
          <WhyChanged run={run} step={step.key} cell={cell} />
        </div>
      </div>
      {closed ? null : <LogLook run={run} step={step.key} cell={cell} />}
      {closed ? null : <FeedBar feed={feed} seed={run.batch.number} />}
      <InMargin>
        <Sides cell={cell} />
      </InMargin>
    </section>
  );
}

/** What if the supply is held at another current? */
function WhatIf({
  cell,
  ifAmps,
  onIf,
  byClock,
}: {
  cell: CellRun;
  ifAmps: number | null;
  onIf: (amps: number | null) => void;
  byClock: boolean;
}) {
  const { watch, now } = cell;
  const is = watch.amps ?? 0;
  const most = Math.max(0.1, 2.5 * Math.max(is, watch.limitA ?? 0));
  const { ifHeld } = watch;
  const hottest = ifHeld ? Math.max(...ifHeld.points.map(({ tempC }) => tempC)) : null;
  return (
    <section aria-label="What if">
      <p className="cell-if">
        <span>What if the supply is held at {formatNumber(ifAmps ?? is, 2)} A?</span>
        <span>{formatNumber(is, 2)} now</span>
      </p>
      <Slider
        min={0.02}
        max={Number(most.toPrecision(2))}
        step={0.01}
        value={ifAmps ?? is}
        tooltip={{ open: false }}
        ariaLabelForHandle="Held current, A"
        onChange={onIf}
      />
      {ifHeld && ifAmps !== null ? (
        <p className="small">
          {ifHeld.doneAt === null
            ? 'So it does not get there: it parts, or runs out of salt, first.'
            : `Done ${byClock ? `about ${timeText(ifHeld.doneAt, now)}` : `in about ${spanText(ifHeld.doneAt - now)}`}, at most ${formatNumber(hottest ?? 0, 2)} °C.`}{' '}
          <button type="button" className="link" onClick={() => onIf(null)}>
            as it is
          </button>
        </p>
      ) : null}
    </section>
  );
}

/** Lower limit of hydrogen in air, %, of which a quarter is the mark that is set here. */
const MARK_PCT = 1;

/** Heat and hydrogen, each with its number against its limit; the anode where it will not last. */
function Minded({ cell }: { cell: CellRun }) {
  const { watch, plan, roomM3 } = cell;
  const { hydrogen, heatW, tempC, anodeG, leftAlone, state } = watch;
  const ceiling = plan.ceilingC ?? 50;
  const over = tempC - plan.setup.airC;
  const hotter = leftAlone ? Math.max(tempC, ...leftAlone.points.map((each) => each.tempC)) : tempC;
  const share = (hydrogen.soFar + hydrogen.toCome) / (10 * roomM3);
  return (
    <ul className="cell-mind">
      {heatW > 0 ? (
        <li className={hotter > ceiling ? 'stop' : ''}>
          <b className={hotter > ceiling ? 'stop' : 'within'}>{hotter > ceiling ? '! Heat.' : '✓ Heat.'}</b>{' '}
          {formatNumber(heatW, 2)} W keep it {formatNumber(Math.max(0, over), 2)} K over the air: {tempC.toFixed(0)} °C
          {hotter > tempC + 2 ? `, and brings it to about ${hotter.toFixed(0)}` : ''}; ceiling {ceiling}.
        </li>
      ) : null}
      {hydrogen.perHour > 0.001 ? (
        <li className={share > MARK_PCT ? 'stop' : ''}>
          <b className={share > MARK_PCT ? 'stop' : 'within'}>{share > MARK_PCT ? '! Hydrogen.' : '✓ Hydrogen.'}</b>{' '}
          {formatNumber(hydrogen.perHour, 2)} L an hour, about {formatNumber(hydrogen.toCome, 2)} L to come; all of it
          in {formatNumber(roomM3, 2)} m³ shut: {formatNumber(share, 1)} %, mark {MARK_PCT} %. Under a lid it passes
          that in minutes.
        </li>
      ) : null}
      {anodeG?.partsAt ? (
        <li className="stop">
          <b className="stop">! Anode.</b> It parts at the liquid line before the end: hang it deeper, or another beside
          it.
        </li>
      ) : null}
      {state.dividerUsed > 0.3 ? (
        <li className={state.dividerUsed > 0.8 ? 'stop' : ''}>
          <b className="watch">Divider.</b> About {formatNumber(100 * state.dividerUsed, 1)} % of its life in alkali is
          used, within a factor of three: stop before it shrinks.
        </li>
      ) : null}
      {state.evaporatedG > 3 ? (
        <li>
          <b>Water.</b> About {formatNumber(state.evaporatedG, 1)} g have gone off: water to the marks.
        </li>
      ) : null}
    </ul>
  );
}
