import { useMemo, useState } from 'react';
import { hoursSpan } from '#base/time';
import { formatNumber, formatPlain } from '#base/units';
import { substanceOf } from '#matter/substance';
import type { StepState } from '#run/state';
import type { SublimeAdvice } from '#run/technique';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import type { Run } from '#web/run/use-run.ts';
import { useCompute } from '#web/worker/compute.ts';
import { DishDrawing } from './dish-drawing.tsx';
import '../at-work.css';
import './dish.css';

/** The dish at work: how far it is by the time it has been warm, how long it still takes, and what another warmth would bring. */
export function DishBench({ says }: { run: Run; step: StepState; says: SublimeAdvice | null }) {
  if (!says) return <p className="quiet">Nothing in it sublimes yet: enter what was weighed in.</p>;
  return <AtWork says={says} />;
}

function AtWork({ says }: { says: SublimeAdvice }) {
  const { input, answer, charged, overNow, leftRead } = says;
  const [potC, setPot] = useState<number | null>(null);
  const asked = useMemo(() => (potC === null ? undefined : { ...input, potC }), [input, potC]);
  const { value: other, problem } = useCompute('sublime', asked);
  const { name, tint } = substanceOf(input.substanceId);
  const over = leftRead === null ? (overNow ?? 0) : Math.max(0, charged - leftRead);
  const hours = answer.hours[1] * (1 - Math.min(1, over / charged));
  return (
    <section className="dish" aria-label="The dish">
      <p className="at-work-head">
        {overNow === null && leftRead === null ? (
          <>
            About <b>{hoursSpan([answer.hours[0], answer.hours[2]])}</b> for {formatNumber(charged, 3)} g; a look every
            half hour.
          </>
        ) : (
          <>
            About <b>{formatNumber(over, 2)}</b> of {formatNumber(charged, 3)} g are over
            {leftRead === null ? ', by the time it has been warm' : ', by what was weighed'}; about{' '}
            <b>{hoursSpan([hours / 2, hours * 2])}</b> more.
          </>
        )}
      </p>
      <div className="at-work-scene">
        <DishDrawing
          name={name}
          tint={tint}
          charged={charged}
          over={over}
          potC={input.potC}
          coverC={input.coverC}
          gPerHour={answer.gPerHour[1]}
        />
        <div>
          <h2>Warmer or colder</h2>
          <LiveSlider
            name="the dish at"
            unit="°C"
            min={Math.max(20, Math.round(input.potC) - 40)}
            max={Math.round(input.potC) + 40}
            value={Math.round(potC ?? input.potC)}
            onChange={setPot}
          />
          {problem ? <p className="problem">{problem.message}</p> : null}
          <Figures answer={problem ? null : (other ?? answer)} />
          <table className="dish-table">
            <caption className="sr">Hours at other temperatures</caption>
            <thead>
              <tr>
                <th scope="col">dish, °C</th>
                <th scope="col">g an hour</th>
                <th scope="col">hours, about</th>
              </tr>
            </thead>
            <tbody>
              {answer.at.map((row) => (
                <tr key={row.potC} data-now={row.potC === input.potC}>
                  <td>{formatPlain(row.potC)}</td>
                  <td>{formatNumber(row.gPerHour, 2)}</td>
                  <td>{formatNumber(row.hours, 2)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
      <ul className="dish-says">
        {answer.says.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
    </section>
  );
}

function Figures({ answer }: { answer: SublimeAdvice['answer'] | null }) {
  if (!answer) return null;
  const { gPerHour, lost, iceGPerHour, openGPerHour } = answer;
  return (
    <dl className="at-work-figures">
      <dt>at first</dt>
      <dd>
        {formatNumber(gPerHour[0], 2)} to {formatNumber(gPerHour[2], 2)} g an hour
      </dd>
      <dt>lost past the rim</dt>
      <dd>
        about {formatNumber(lost[1], 1)} g; without a cover {formatNumber(openGPerHour, 2)} g an hour
      </dd>
      <dt>ice</dt>
      <dd>about {formatNumber(iceGPerHour, 2)} g an hour</dd>
    </dl>
  );
}
