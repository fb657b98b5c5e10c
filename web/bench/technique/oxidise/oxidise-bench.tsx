import { useMemo, useState } from 'react';
import { hoursSaid } from '#base/time';
import { formatNumber } from '#base/units';
import type { StepState } from '#run/state';
import type { OxidiseAdvice } from '#run/technique';
import { LiveSlider } from '#web/kit/live-slider.tsx';
import type { Run } from '#web/run/use-run.ts';
import { useCompute } from '#web/worker/compute.ts';
import { CourseChart, onCourse } from '../course-chart.tsx';
import '../at-work.css';

interface OxidiseBenchProps {
  readonly run: Run;
  readonly step: StepState;
  readonly says: OxidiseAdvice | null;
}

/** A halogen on its way: how far by now, how far it comes at all, and what more acid or warmth would bring. */
export function OxidiseBench({ says }: OxidiseBenchProps) {
  if (!says) return <p className="quiet">Halide, acid and peroxide are not in it yet: enter what went in.</p>;
  return <Course says={says} />;
}

function Course({ says }: { says: OxidiseAdvice }) {
  const { name, answer, input, course, mostG, nowG, hoursSoFar, plannedH, plannedG, theoryG, quenchG, tempC } = says;
  const [acid, setAcid] = useState(1);
  const other = useCompute(
    'halide',
    useMemo(
      () =>
        acid === 1
          ? undefined
          : { ...input, acidM: Math.min(20, acid * input.acidM), sulfateM: Math.min(10, acid * input.sulfateM) },
      [acid, input],
    ),
  );
  const shown = other.value ?? answer;
  const last = Math.max(plannedH, hoursSoFar ?? 0, Math.min(answer.enoughH * 1.5, 1.5 * plannedH), 0.05);
  return (
    <section className="oxidise" aria-label={`The ${name}`}>
      <p className="at-work-head">
        {nowG !== null && hoursSoFar !== null ? (
          <>
            About <b>{formatNumber(nowG, 2)} g</b> by now, after {hoursSaid(hoursSoFar)}, of at most{' '}
            {formatNumber(mostG, 2)} g.{' '}
          </>
        ) : null}
        {answer.says}
      </p>
      <div className="at-work-scene">
        <CourseChart
          label={`Grams of ${name} over hours at ${formatNumber(tempC, 3)} °C`}
          course={course}
          last={last}
          most={mostG}
          planned={plannedH}
          now={nowG !== null && hoursSoFar !== null ? [hoursSoFar, nowG] : null}
        />
        <div>
          <h2>If there were more acid</h2>
          <LiveSlider
            name="times the acid"
            unit="×"
            min={0.5}
            max={3}
            step={0.1}
            value={acid}
            shown={`${formatNumber(acid, 2)} ×`}
            onChange={setAcid}
          />
          <dl className="at-work-figures">
            <dt>comes to at most</dt>
            <dd>about {formatNumber(shown.mostPct, 2)} % of the halide</dd>
            <dt>nine tenths of that after</dt>
            <dd>
              {hoursSaid(shown.enoughH / 2)} to {hoursSaid(2 * shown.enoughH)}
            </dd>
            <dt>by the plan, {hoursSaid(plannedH)}</dt>
            <dd>
              about {formatNumber(onCourse(course, plannedH) || plannedG, 2)} of {formatNumber(theoryG, 2)} g
            </dd>
            <dt>10 °C warmer</dt>
            <dd>about {formatNumber(shown.faster.warm, 2)} times as fast</dd>
            <dt>half as much acid more</dt>
            <dd>about {formatNumber(shown.faster.acid, 2)} times as fast</dd>
            <dt>to quench all of it</dt>
            <dd>{formatNumber(quenchG, 2)} g of thiosulfate crystals in water</dd>
          </dl>
        </div>
      </div>
    </section>
  );
}
