import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { parseReading, readingProblem, readingValue } from '#core/log';
import type { StepState } from '#core/state';
import type { AbsorbAdvice } from '#core/technique';
import { formatNumber } from '#core/units';
import { Field } from '#web/kit/field.tsx';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import type { Run } from '#web/run/use-run.ts';
import { useCompute } from '#web/worker/compute.ts';
import { AbsorberDrawing } from './absorber-drawing.tsx';
import '../at-work.css';
import './absorber.css';

/** Gas on its way into water: what the absorber has gained, what it is to gain, its warmth, its ice. */
export function AbsorberBench({ run, step, says }: { run: Run; step: StepState; says: AbsorbAdvice | null }) {
  if (!says) return <p className="quiet">No water stands in the absorber yet, or nothing makes gas.</p>;
  return <AtWork run={run} step={step} says={says} />;
}

function AtWork({ run, step, says }: { run: Run; step: StepState; says: AbsorbAdvice }) {
  const { input, answer, gas, makes, toGainG, gainedG, warmC, ceilingC, waterG } = says;
  const [asked, setAsked] = useState<number | null>(null);
  const perMol = toGainG / input.mol;
  const other = useCompute(
    'absorb',
    useMemo(
      () => (asked === null ? undefined : { ...input, mol: Math.max(1e-6, asked / perMol) }),
      [asked, input, perMol],
    ),
  );
  const gained = gainedG ?? 0;
  const share = toGainG > 0 ? gained / toGainG : 0;
  const hot = warmC !== null && warmC > ceilingC;
  const shown = other.value ?? answer;
  return (
    <section className="absorber" aria-label="The absorber">
      <p className="at-work-head">
        {gainedG === null ? (
          <>
            It is to gain <b>{formatNumber(toGainG, 3)} g</b>: weigh the absorber before, and again while the gas comes.
          </>
        ) : (
          <>
            It has gained <b>{formatNumber(gained, 3)}</b> of {formatNumber(toGainG, 3)} g
            {share >= 1 ? ': all that was to come.' : `: ${formatNumber(100 * share, 2)} %.`}
          </>
        )}
        {hot ? <b className="problem"> Over its ceiling: slower, and more ice.</b> : null}
      </p>
      <div className="at-work-scene">
        <AbsorberDrawing
          gas={gas}
          makes={makes}
          waterG={waterG}
          gainedG={gained}
          toGainG={toGainG}
          warmC={warmC}
          ceilingC={ceilingC}
          iceG={answer.iceG * (1 - Math.min(1, share))}
        />
        <div>
          <h2>If it gained</h2>
          <LiveSlider
            name="g of gas"
            unit="g"
            min={0}
            max={Math.ceil(1.5 * toGainG)}
            value={Math.round(asked ?? toGainG)}
            onChange={setAsked}
          />
          {other.problem ? <p className="problem">{other.problem.message}</p> : null}
          <dl className="at-work-figures">
            <dt>strength</dt>
            <dd>{formatNumber(shown.strengthPct, 3)} %</dd>
            <dt>heat</dt>
            <dd>{formatNumber(shown.heatKJ, 2)} kJ</dd>
            <dt>ice, to stay under {formatNumber(ceilingC, 2)} °C</dt>
            <dd>
              {formatNumber(shown.iceG, 2)} g{shown.iceEnough ? '' : ': more than there is water, a bath besides'}
            </dd>
            <dt>cannot be taken</dt>
            <dd>{shown.escapes > 0 ? `at least ${formatNumber(shown.escapes * perMol, 2)} g` : 'all dissolves'}</dd>
            <dt>trap, at least</dt>
            <dd>{formatNumber(shown.trapMl, 2)} mL</dd>
          </dl>
          <Gained run={run} step={step.key} most={3 * toGainG} />
        </div>
      </div>
    </section>
  );
}

/** What the absorber weighs more than at first. */
function Gained({ run, step, most }: { run: Run; step: string; most: number }) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const enter = () => {
    const read = parseReading(text, 'g');
    if (!read.ok) return setProblem(read.problem.message);
    const value = readingValue(read.value);
    const wrong = readingProblem('mass', read.value);
    if (wrong) return setProblem(wrong);
    if (value?.unit !== 'g') return setProblem('Write it in g, such as 12.4.');
    if (value.value > most)
      return setProblem(`It is to gain ${formatNumber(most / 3, 3)} g in all: was it weighed with its water?`);
    run.enter({ kind: 'read', step, quantity: 'mass', reading: read.value, place: '' });
    setText('');
    setProblem('');
  };
  return (
    <div className="absorber-entry">
      <Field label="The absorber has gained, g" problem={problem}>
        {(bound) => (
          <Input
            {...bound}
            value={text}
            placeholder="12.4"
            inputMode="decimal"
            onChange={(event) => setText(event.target.value)}
            onPressEnter={enter}
          />
        )}
      </Field>
      <button type="button" className="tab" onClick={enter}>
        Enter the gain
      </button>
    </div>
  );
}
