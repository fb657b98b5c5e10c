import { useMemo, useState } from 'react';
import { exactReading } from '#base/reading';
import { formatNumber } from '#base/units';
import type { StepState } from '#run/state';
import type { AbsorbAdvice } from '#run/technique';
import { useFeed } from '#web/api/feed.ts';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import { AbsorberDrawing } from '#web/models/gas/absorber-drawing.tsx';
import { LyeGauge } from '#web/models/gas/lye-gauge.tsx';
import { FeedBar } from '#web/run/feed-bar.tsx';
import type { Run } from '#web/run/use-run.ts';
import { useCompute } from '#web/worker/compute.ts';
import { OneReading } from '../one-reading.tsx';
import '../at-work.css';
import '#web/models/gas/gas.css';

interface AbsorberBenchProps {
  readonly run: Run;
  readonly step: StepState;
  readonly says: AbsorbAdvice | null;
}

/** Gas on its way into water or lye: what the absorber has gained, what it is to gain, its warmth, its ice, where to stop. */
export function AbsorberBench({ run, step, says }: AbsorberBenchProps) {
  if (!says) return <p className="quiet">Nothing stands in the absorber yet, or nothing makes gas.</p>;
  return <AtWork run={run} step={step} says={says} />;
}

function AtWork({ run, step, says }: { run: Run; step: StepState; says: AbsorbAdvice }) {
  const { input, answer, gas, makes, toGainG, gainedG, warmC, ceilingC, waterG, window, waitsMl, drippedMl } = says;
  const gained = gainedG ?? 0;
  const share = toGainG > 0 ? gained / toGainG : 0;
  return (
    <section className="absorber" aria-label="The absorber">
      <Head says={says} />
      <div className="at-work-scene">
        <div>
          <AbsorberDrawing
            gas={gas}
            makes={makes}
            startG={waterG + (input.alkali?.grams ?? 0)}
            gainedG={gained}
            toGainG={toGainG}
            pct={input.alkali ? null : (100 * gained) / Math.max(1e-9, waterG + gained)}
            warmC={warmC}
            ceilingC={ceilingC}
            iceG={answer.iceG * (1 - Math.min(1, share))}
            drips={waitsMl === null ? null : Math.min(1, (drippedMl ?? 0) / Math.max(1e-9, waitsMl))}
          />
          {window ? <LyeGauge window={window} gainedG={gainedG} /> : null}
          <Instruments run={run} step={step.key} drips={waitsMl !== null} />
          <div className="at-work-entries">
            <OneReading
              run={run}
              step={step.key}
              quantity="mass"
              label="The absorber has gained, g"
              unit="g"
              example="12.4"
              button="Enter the gain"
              wrong={(g) => (g > 3 * toGainG ? tooMuch(toGainG) : '')}
            />
            {waitsMl === null ? null : (
              <OneReading
                run={run}
                step={step.key}
                quantity="dripped"
                label="Acid dripped in so far, mL"
                unit="mL"
                example="4.5"
                button="Enter the mL"
                wrong={(ml) =>
                  ml > waitsMl * 1.02
                    ? `There were ${formatNumber(waitsMl, 3)} mL in the funnel: what was filled up is entered where it was poured in.`
                    : ''
                }
              />
            )}
          </div>
        </div>
        <div>
          <Otherwise says={says} />
        </div>
      </div>
    </section>
  );
}

/** A balance under the absorber and a thermometer in it: what they show, taken down by a tap. */
function Instruments({ run, step, drips }: { run: Run; step: string; drips: boolean }) {
  const feed = useFeed(run.batch.id);
  const shown = feed.readings.at(-1);
  const { status, change } = feed;
  const take = (massG: number, tempC: number) =>
    run.enterAll([
      { kind: 'read', step, quantity: 'mass', reading: exactReading(Number(massG.toFixed(2)), 'g'), place: '' },
      { kind: 'read', step, quantity: 'temperature', reading: exactReading(Number(tempC.toFixed(1)), '°C'), place: '' },
    ]);
  return (
    <div className="gas-instruments">
      <FeedBar feed={feed} seed={run.batch.number} />
      {shown ? (
        <p className="row">
          <span className="mono">
            {formatNumber(shown.massG, 3)} g, {formatNumber(shown.potC, 3)} °C, {formatNumber(shown.minutes, 3)} min
          </span>
          <button type="button" className="link" onClick={() => take(shown.massG, shown.potC)}>
            take it down
          </button>
          {drips && status?.kind === 'simulated' && !status.over ? (
            <button type="button" className="link" onClick={() => change.mutate({ mlPerMin: 0 })}>
              shut the tap
            </button>
          ) : null}
        </p>
      ) : null}
    </div>
  );
}

const tooMuch = (toGainG: number): string =>
  `It is to gain ${formatNumber(toGainG, 3)} g in all: was it weighed with what stood in it?`;

function Head({ says }: { says: AbsorbAdvice }) {
  const hot = says.warmC !== null && says.warmC > says.ceilingC;
  return (
    <p className="at-work-head">
      <HowFar says={says} />
      {hot ? <b className="problem"> Over its ceiling: slower, and more ice.</b> : null}
    </p>
  );
}

function HowFar({ says: { toGainG, gainedG, window } }: { says: AbsorbAdvice }) {
  if (window && (gainedG !== null || window.stands === 'spent'))
    return <b className={ALARMS.has(window.stands) ? 'problem' : ''}>{window.says}</b>;
  if (gainedG === null)
    return (
      <>
        It is to gain <b>{formatNumber(toGainG, 3)} g</b>: weigh the absorber before, and again while the gas comes.
      </>
    );
  const share = toGainG > 0 ? gainedG / toGainG : 0;
  return (
    <>
      It has gained <b>{formatNumber(gainedG, 3)}</b> of {formatNumber(toGainG, 3)} g
      {share >= 1 ? ': all that was to come.' : `: ${formatNumber(100 * share, 2)} %.`}
    </>
  );
}

const ALARMS: ReadonlySet<string> = new Set(['past', 'spent']);

/** What it comes to by more or by less gas, and what the pace asks for. */
function Otherwise({ says }: { says: AbsorbAdvice }) {
  const { input, answer, toGainG, ceilingC, window } = says;
  const [asked, setAsked] = useState<number | null>(null);
  const perMol = toGainG / input.mol;
  const along = input.acidAlong / input.mol;
  const other = useCompute(
    'absorb',
    useMemo(() => {
      if (asked === null) return undefined;
      const mol = Math.max(1e-6, asked / perMol);
      return { ...input, mol, acidAlong: along * mol };
    }, [asked, input, perMol, along]),
  );
  const shown = other.value ?? answer;
  const most = 1.5 * toGainG;
  return (
    <>
      <h2>If it gained</h2>
      <LiveSlider
        name="g of gas"
        unit="g"
        min={0}
        max={most < 20 ? Number(most.toFixed(1)) : Math.ceil(most)}
        {...(most < 20 ? { step: 0.1 } : {})}
        value={asked ?? Number(toGainG.toFixed(most < 20 ? 1 : 0))}
        onChange={setAsked}
      />
      {other.problem ? <p className="problem">{other.problem.message}</p> : null}
      <dl className="at-work-figures">
        {input.alkali ? (
          <>
            <dt>lye left</dt>
            <dd>{shown.alkaliLeftPct === null ? 'not known' : `${formatNumber(shown.alkaliLeftPct, 2)} %`}</dd>
          </>
        ) : (
          <>
            <dt>strength</dt>
            <dd>{formatNumber(shown.strengthPct, 3)} %</dd>
          </>
        )}
        <dt>heat</dt>
        <dd>{formatNumber(shown.heatKJ, 2)} kJ</dd>
        <dt>ice, to stay under {formatNumber(ceilingC, 2)} °C</dt>
        <dd>
          {formatNumber(shown.iceG, 2)} g{shown.iceEnough ? '' : ': more than there is water, a bath besides'}
        </dd>
        <dt>cannot be taken</dt>
        <dd>{shown.escapes > 1e-9 ? `at least ${formatNumber(shown.escapes * perMol, 2)} g` : 'all is taken up'}</dd>
        {shown.drip?.dropsPerMin ? (
          <>
            <dt>drops, of 20 to a mL</dt>
            <dd>
              about {formatNumber(shown.drip.dropsPerMin, 2)} a minute, for {formatNumber(shown.minutes ?? 0, 2)} min
            </dd>
          </>
        ) : null}
        {window?.lostPctPerH != null ? (
          <>
            <dt>turns into chlorate</dt>
            <dd>about {formatNumber(window.lostPctPerH, 2)} % an hour, as warm as it is</dd>
          </>
        ) : null}
        <dt>trap, at least</dt>
        <dd>{formatNumber(shown.trapMl, 2)} mL</dd>
      </dl>
    </>
  );
}
