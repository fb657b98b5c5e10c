import { useState } from 'react';
import { hoursSaid } from '#base/time';
import { formatNumber } from '#base/units';
import type { StepState } from '#run/state';
import type { EsterAdvice } from '#run/technique';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import type { Run } from '#web/run/use-run.ts';
import { CourseChart, onCourse } from '../course-chart.tsx';
import '../at-work.css';

/** An ester on its way: how far it is by now, whether the planned hours are enough, and what others would bring. */
export function EsterBench({ says }: { run: Run; step: StepState; says: EsterAdvice | null }) {
  if (!says) return <p className="quiet">No acid and alcohol are in it yet: enter what was weighed in.</p>;
  return <Course says={says} />;
}

function Course({ says }: { says: EsterAdvice }) {
  const { name, course, endG, nowG, hoursSoFar, plannedH, plannedG, enoughH, theoryG, limiting, tempC } = says;
  const [asked, setAsked] = useState(plannedH);
  const share = (grams: number) => formatNumber((100 * grams) / theoryG, 2);
  if (course.length === 0)
    return (
      <section className="ester" aria-label="The ester">
        <p className="at-work-head">
          At its end about <b>{formatNumber(endG, 3)} g</b> of {name}; how long that takes is not known: nothing in it
          is known to make it run.
        </p>
      </section>
    );
  const last = Math.max(plannedH, 1.3 * (enoughH ?? 0), hoursSoFar ?? 0, asked);
  return (
    <section className="ester" aria-label="The ester">
      <p className="at-work-head">{headline(says)}</p>
      <div className="at-work-scene">
        <CourseChart
          label={`Grams of ${name} over hours at ${formatNumber(tempC, 3)} °C`}
          course={course}
          last={last}
          most={endG}
          planned={plannedH}
          now={nowG !== null && hoursSoFar !== null ? [hoursSoFar, nowG] : null}
        />
        <div>
          <h2>If it were stopped at</h2>
          <LiveSlider
            name="hours"
            unit="h"
            min={0}
            max={Math.ceil(last)}
            step={0.25}
            value={asked}
            shown={hoursSaid(asked)}
            onChange={setAsked}
          />
          <dl className="at-work-figures">
            <dt>by then, about</dt>
            <dd>
              {formatNumber(onCourse(course, asked), 3)} g, {share(onCourse(course, asked))} % of the {limiting}
            </dd>
            <dt>by the plan</dt>
            <dd>{plannedG === null ? 'not known' : `${formatNumber(plannedG, 3)} g, ${share(plannedG)} %`}</dd>
            <dt>at its end</dt>
            <dd>
              {formatNumber(endG, 3)} g, {share(endG)} %
            </dd>
            <dt>enough after about</dt>
            <dd>{enoughH === null ? 'not known' : `${hoursSaid(enoughH / 2)} to ${hoursSaid(2 * enoughH)}`}</dd>
          </dl>
        </div>
      </div>
    </section>
  );
}

function headline({ nowG, endG, enoughH, hoursSoFar, plannedH, name }: EsterAdvice): string {
  if (nowG === null || hoursSoFar === null) {
    const enough = enoughH !== null && plannedH >= enoughH;
    return enough
      ? `${hoursSaid(plannedH)} are about enough: it stands near its end, ${formatNumber(endG, 3)} g of ${name}.`
      : `${hoursSaid(plannedH)} are about too few: it is still on its way to ${formatNumber(endG, 3)} g of ${name}.`;
  }
  const more = enoughH === null ? null : Math.max(0, enoughH - hoursSoFar);
  const said = `About ${formatNumber(nowG, 2)} of ${formatNumber(endG, 3)} g by the time it has been warm`;
  return more === null || more > 0
    ? `${said}; about ${hoursSaid(more ?? 0)} more.`
    : `${said}: more hours bring next to nothing.`;
}
