import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { itemAt } from '#base/lookup';

/** Grams over hours. */
export type DrawnCourse = readonly (readonly [number, number])[];

interface CourseChartProps {
  readonly label: string;
  readonly course: DrawnCourse;
  /** Hours shown, and the g that it comes to at most. */
  readonly last: number;
  readonly most: number;
  readonly planned: number;
  readonly now: readonly [number, number] | null;
}

/** How something that takes hours gets on: its course, what it comes to, what is planned, where it is. */
export function CourseChart({ label, course, last, most, planned, now }: CourseChartProps) {
  const drawn = course.filter(([hours]) => hours <= last).map(([hours, grams]) => ({ hours, grams }));
  return (
    <figure aria-label={label}>
      <ResponsiveContainer width="100%" height={190}>
        <LineChart data={drawn} margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis dataKey="hours" type="number" domain={[0, last]} tickCount={6} unit=" h" tick={TICK} />
          <YAxis domain={[0, topOf(most)]} width={58} unit=" g" tick={TICK} />
          <ReferenceLine y={most} stroke="var(--quiet)" strokeDasharray="3 4" />
          <ReferenceLine x={planned} stroke="var(--copper)" />
          <Line dataKey="grams" stroke="var(--ink)" strokeWidth={2} dot={false} isAnimationActive={false} />
          {now ? (
            <ReferenceDot x={Math.min(last, now[0])} y={now[1]} r={5} fill="var(--copper)" stroke="var(--ink)" />
          ) : null}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}

const TICK = { fontSize: 12, fill: 'var(--quiet)' };

/** A round number above the most. */
function topOf(most: number): number {
  if (!(most > 0)) return 1;
  const step = 10 ** Math.floor(Math.log10(1.1 * most));
  return Number((Math.ceil((1.1 * most) / step) * step).toPrecision(3));
}

/** g at so many hours, straight between the points of a course. */
export function onCourse(course: DrawnCourse, hours: number): number {
  const upper = course.findIndex(([t]) => t >= hours);
  if (upper < 0) return course.at(-1)?.[1] ?? 0;
  if (upper === 0) return itemAt(course, 0)[1];
  const [[t0, g0], [t1, g1]] = [itemAt(course, upper - 1), itemAt(course, upper)];
  return g0 + ((g1 - g0) * (hours - t0)) / (t1 - t0);
}
