import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSearchParams } from 'react-router';
import { itemAt } from '#base/lookup';
import { exactReading } from '#base/reading';
import { formatNumber } from '#base/units';
import {
  between,
  type Charged,
  chargedOf,
  condenserW,
  outlook,
  pointAt,
  type StillPoint,
  waterOutC,
} from '#model/still';
import type { EventBody } from '#run/log';
import { type StillBalance, type StillCut, type StillRun, stillAt, stillBalance } from '#run/state';
import { useFeed } from '#web/api/feed.ts';
import { StillChart } from '#web/models/still/still-chart.tsx';
import { StillDrawing } from '#web/models/still/still-drawing.tsx';
import { InMargin } from '#web/parts/margin.tsx';
import type { Run } from '#web/run/use-run.ts';
import '#web/models/still/still.css';
import type { StepState } from '#run/state';
import { FeedBar } from '#web/run/feed-bar.tsx';
import { useStills } from '#web/worker/run-session.ts';
import { BalanceBars } from './balance-bars.tsx';
import { FitCard } from './fit-card.tsx';
import { FractionsTable } from './fractions-table.tsx';
import { Headline, numberOf } from './headline.tsx';
import { LogHead } from './log-head.tsx';
import { RestOfBottle } from './rest-of-bottle.tsx';
import { mlOfReading, useCourse } from './use-course.ts';
import { WhyThen } from './why-then.tsx';
import { mixtureName } from './words.ts';

/** The still at work: what to do next, the apparatus, the course and the readings on it, the receivers. */
export function StillBench({ run, step }: { run: Run; step: StepState }) {
  const stills = useStills(run.open);
  if (stills.problem) return <p className="problem">{stills.problem.message}</p>;
  if (stills.value === undefined) return <p className="waiting-block">Reading the still …</p>;
  const still = stillAt(stills.value, step.key);
  if (still === null) return <p className="quiet">Nothing that boils is in the flask yet: enter what was charged.</p>;
  return <AtWork key={still.cuts[0]?.step} run={run} step={step} still={still} />;
}

/** Fewer dots than these are drawn. */
const DOTS = 70;

function AtWork({ run, step, still: asPlanned }: { run: Run; step: StepState; still: StillRun }) {
  const [, setSearch] = useSearchParams();
  const feed = useFeed(run.batch.id);
  const course = useCourse(asPlanned, feed.readings);
  const { points, nowMl, fitted } = course;
  // Marks that were pulled here: what if it is changed there? What is entered is where it really was.
  const [pulled, setPulled] = useState<Readonly<Record<string, number>>>({});
  const still = useMemo(() => withPulled(asPlanned, pulled, points), [asPlanned, pulled, points]);
  const pull = (at: number, ml: number) => {
    const low = Math.max(nowMl ?? 0, still.cuts[at - 1]?.toMl ?? 0) + 1;
    const high = (still.cuts[at + 1]?.toMl ?? points.at(-1)?.overMl ?? low) - 1;
    const key = still.cuts[at]?.step ?? '';
    setPulled((before) => ({ ...before, [key]: Math.min(Math.max(low, high), Math.max(low, ml)) }));
  };
  const at = Math.max(
    0,
    still.cuts.findIndex((cut) => cut.step === step.key),
  );
  const cut = still.cuts[at];
  const next = still.cuts[at + 1];
  const { asked } = still;
  const { apparatus } = asked;
  const watts = course.watts ?? apparatus.heaterW;
  const heatSd = fitted.fit ? fitted.fit.heatShare[1] / fitted.fit.heatShare[0] : 0.2;
  const ahead =
    cut && nowMl !== null && points.length > 0
      ? outlook(points, {
          fromMl: nowMl,
          toMl: cut.toMl,
          power: apparatus.heaterW > 0 ? watts / apparatus.heaterW : 1,
          heatSd,
        })
      : null;
  const change = () => {
    if (!cut) return;
    run.enterAll(changing(cut, next, course));
    // The page goes on with the next receiver.
    if (next) setSearch({ step: next.step }, { replace: true });
    if (feed.status?.kind === 'simulated') feed.change.mutate(next ? { switch: true } : { watts: 0 });
  };
  useHotkeys('space', change, { preventDefault: true }, [cut?.step, next?.step, course.receiverG, nowMl]);
  const heat = (by: number) => feed.change.mutate({ watts: Math.max(0, Math.round((watts + by) / 10) * 10) });
  const dots = useMemo(() => dotsOf(course.readings, points), [course.readings, points]);
  const charged = chargedOf(asked, still.volatile);
  const holds = still.cuts.map(({ toMl }, i) => {
    const fromMl = still.cuts[i - 1]?.toMl ?? 0;
    return { fromMl, toMl, pct: between(points, [fromMl, toMl], charged).pct };
  });
  if (!cut) return null;
  const flaskNow = Math.max(0, asked.grams / densityNear(points) - (nowMl ?? 0));
  const expected = nowMl === null ? null : pointAt(points, 'headC', nowMl);
  const rate =
    nowMl === null
      ? null
      : pointAt(points, 'mlPerMin', nowMl) * (apparatus.heaterW > 0 ? watts / apparatus.heaterW : 1);
  return (
    <section className="still" aria-label="The still">
      {course.refused ? <p className="problem">{course.refused}</p> : null}
      <div className="still-top">
        <Headline
          cut={cut}
          next={next}
          outlook={ahead}
          speed={feed.status?.running ? feed.status.speed : 1}
          heatOff={watts === 0 && nowMl !== null}
          coldC={coldOf(course)}
        />
        <FeedBar feed={feed} seed={run.batch.number} />
      </div>
      <div className="still-scene">
        <StillDrawing
          flaskMl={apparatus.flaskMl}
          potMl={flaskNow}
          leastMl={0.06 * apparatus.flaskMl}
          potC={course.potC}
          headC={course.headC}
          trend={trendOf(feed.readings)}
          coolIn={
            apparatus.condenser.by === 'water'
              ? `water in ${formatNumber(apparatus.condenser.inC, 2)} °C`
              : 'air cooled'
          }
          coolOut={coolText(still, watts)}
          drips={nowMl !== null && watts > 0}
          tint={still.volatile === 'hydrochloric-acid' ? 'straw' : 'clear'}
          receivers={receiversOf(still, { cut, nowMl, run })}
        />
        <StillChart
          points={points}
          {...(course.band ? { band: course.band } : {})}
          {...(fitted.fit && course.planned ? { planned: course.planned } : {})}
          dots={dots}
          marks={still.cuts.map((each, i) => ({
            id: each.step,
            text: still.cuts[i + 1] ? `${numberOf(each)} | ${numberOf(itemAt(still.cuts, i + 1))}` : 'stop',
            ml: each.toMl,
            past: each.status === 'done',
            ...(each.status === 'done' || each.by === 'pot' ? {} : { onMove: (ml: number) => pull(i, ml) }),
          }))}
          nowMl={nowMl}
          azeotrope={course.azeotrope}
          holds={holds}
        />
      </div>
      <div className="still-acts">
        {feed.status?.kind === 'simulated' ? (
          <div className="heat">
            <button type="button" aria-label="Less heat" onClick={() => heat(-10)}>
              −
            </button>
            <span>
              <b>Heat {watts} W</b>
              <small>
                {rate === null ? 'warming up' : `${formatNumber(rate, 2)} mL/min`},{' '}
                {loadText(still, watts, course.headC ?? asked.airC)}
              </small>
            </span>
            <button type="button" aria-label="More heat" onClick={() => heat(10)}>
              +
            </button>
          </div>
        ) : null}
        <button type="button" className="act still-switch" onClick={change}>
          {next ? 'Switch now' : 'Stop: heat off'}
        </button>
        <LogHead run={run} step={cut.step} expected={expected} mostMl={points.at(-1)?.overMl ?? null} />
      </div>
      <FractionsTable run={run} still={still} points={points} nowMl={nowMl} />
      <BalanceBars now={stillBalance(run.state, still)} end={endOf(still, points, charged)} name={mixtureName(still)} />
      <InMargin>
        <div className="still-says">
          <FitCard run={still} fitted={fitted} {...takingOf(run, still, course)} />
          <WhyThen cut={cut} points={points} azeotrope={course.azeotrope} />
          <RestOfBottle run={run} still={still} points={points} />
        </div>
      </InMargin>
    </section>
  );
}

/** K below the first drop from which a flask that was boiling has gone cold. */
const COLD_K = 15;

function coldOf({ potC, points, nowMl }: ReturnType<typeof useCourse>): number | null {
  const boils = points[0]?.potC;
  return potC !== null && boils !== undefined && nowMl !== null && nowMl > 0 && potC < boils - COLD_K ? potC : null;
}

/** The cuts as they are pulled, each at the head that the course gives there; those that are done stay. */
function withPulled(
  still: StillRun,
  pulled: Readonly<Record<string, number>>,
  points: readonly StillPoint[],
): StillRun {
  if (points.length === 0) return still;
  return {
    ...still,
    cuts: still.cuts.map((cut) => {
      if (cut.status === 'done') return cut;
      const toMl = pulled[cut.step] ?? cut.toMl;
      return {
        ...cut,
        toMl,
        headC: pointAt(points, 'headC', toMl),
        potC: cut.by === 'pot' ? cut.potC : pointAt(points, 'potC', toMl),
      };
    }),
  };
}

type Course = ReturnType<typeof useCourse>;

/** What is entered when a receiver is changed: its mass or volume, the head, the end of one cut and the beginning of the next. */
function changing(cut: StillCut, next: StillCut | undefined, { receiverG, headC, potC }: Course): readonly EventBody[] {
  const read = (quantity: 'mass' | 'temperature', value: number, place: string): EventBody => ({
    kind: 'read',
    step: cut.step,
    quantity,
    reading: exactReading(value, quantity === 'mass' ? 'g' : '°C'),
    place,
  });
  return [
    ...(receiverG === null ? [] : [read('mass', receiverG, '')]),
    ...(headC === null ? [] : [read('temperature', headC, 'head')]),
    ...(potC === null ? [] : [read('temperature', potC, 'pot')]),
    { kind: 'finished', step: cut.step },
    ...(next ? [{ kind: 'started', step: next.step } as const] : []),
  ];
}

function dotsOf(readings: Course['readings'], points: readonly StillPoint[]) {
  if (points.length === 0) return [];
  const every = Math.max(1, Math.ceil(readings.length / DOTS));
  return readings
    .filter(
      (each, i) =>
        (i % every === 0 || i === readings.length - 1) && (each.headC !== undefined || each.potC !== undefined),
    )
    .map((each) => ({
      ml: mlOfReading(points, each),
      ...(each.headC === undefined ? {} : { headC: each.headC }),
      ...(each.potC === undefined ? {} : { potC: each.potC }),
    }));
}

function receiversOf(still: StillRun, { cut, nowMl, run }: { cut: StillCut; nowMl: number | null; run: Run }) {
  const vessels = run.state.sheet.now?.vessels ?? {};
  return still.cuts.map((each, i) => {
    const fromMl = still.cuts[i - 1]?.toMl ?? 0;
    const open = each.step === cut.step ? ('filling' as const) : ('ready' as const);
    const state = each.status === 'done' ? ('shut' as const) : open;
    const ml = state === 'shut' ? each.toMl - fromMl : Math.max(0, (nowMl ?? 0) - fromMl);
    return {
      name: each.into.replace('receiver ', '').slice(0, 1).toUpperCase(),
      ml: state === 'ready' || !vessels ? 0 : ml,
      toMl: each.toMl - fromMl,
      state,
    };
  });
}

/** g/mL of what is over and what is in the flask, near enough for a drawing. */
function densityNear(points: readonly StillPoint[]): number {
  const last = points.at(-1);
  return last && last.overMl > 0 ? last.overG / last.overMl : 1;
}

/** How the head has moved in the last minute of the still’s own time. */
function trendOf(readings: ReturnType<typeof useFeed>['readings']): string {
  const last = readings.at(-1);
  const before = last && readings.findLast(({ minutes }) => minutes <= last.minutes - 1);
  if (!last || !before) return '';
  const by = (last.headC - before.headC) / (last.minutes - before.minutes);
  if (Math.abs(by) < 0.05) return '± 0.1, steady';
  return `± 0.1, ${by > 0 ? 'up' : 'down'} ${Math.abs(by).toFixed(1)} in a minute`;
}

function coolText({ asked }: StillRun, watts: number): string {
  const out = waterOutC(asked.apparatus, watts * asked.apparatus.heatShare);
  return out === null ? '' : `water out ${out.toFixed(0)} °C`;
}

function loadText({ asked: { apparatus, airC } }: StillRun, watts: number, headC: number): string {
  if (apparatus.condenser.by === 'air') return 'air condenser';
  const takes = condenserW(apparatus, headC, airC);
  return `condenser ${formatNumber((100 * watts * apparatus.heatShare) / Math.max(1, takes), 2)} %`;
}

function endOf(still: StillRun, points: readonly StillPoint[], charged: Charged): StillBalance['parts'] {
  if (points.length === 0) return [];
  let away = 0;
  const parts = still.cuts.map((cut, i) => {
    const { recoveryPct, gasPct } = between(points, [still.cuts[i - 1]?.toMl ?? 0, cut.toMl], charged);
    // Gas that is led over water stays in it; else it is gone.
    if (cut.into === 'absorber') return { place: cut.into, pct: recoveryPct + gasPct };
    away += gasPct;
    return { place: cut.into, pct: recoveryPct };
  });
  const rest = 100 - away - parts.reduce((sum, { pct }) => sum + pct, 0);
  return [
    ...parts,
    { place: 'pot', pct: Math.max(0, rest) },
    ...(away > 0.05 ? [{ place: 'air' as const, pct: away }] : []),
  ];
}

/** The bottle that was charged can be taken as strong as the still found it. */
function takingOf(run: Run, still: StillRun, { fitted }: Course) {
  const { fit } = fitted;
  const lines = run.state.sheet.additions.filter(({ bottleId }) => bottleId !== null);
  const source = lines.find((line) => line.limiting) ?? lines[0];
  const stock = source?.bottleId ? run.batch.plan.stock[source.bottleId] : undefined;
  const w = source && strengthOf(source);
  if (!fit || !source?.bottleId || !stock || w === undefined) return { onTake: null, takes: '' };
  const { bottleId } = source;
  const times = fit.pct[0] / still.asked.pct;
  const pct = Math.min(100, w * times);
  const band = (2 * fit.pct[1] * pct) / fit.pct[0];
  return {
    takes: `Take ${stock.card.name} as ${pct.toFixed(1)} ± ${formatNumber(band, 2)} %`,
    onTake: () => {
      run.enter({
        kind: 'assayed',
        step: source.step,
        bottleId,
        pct: Number(pct.toPrecision(5)),
        bandPct: Number(band.toPrecision(3)),
        how: 'by the course of its distillation',
      });
    },
  };
}

/** Mass % of what went in, from its own working. */
function strengthOf(line: Run['state']['sheet']['additions'][number]): number | undefined {
  const { origin } = line.amount;
  return origin.by === 'formula' ? origin.inputs.w?.value : undefined;
}
