import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';

interface CurvePoint {
  readonly titreMl: number;
  readonly pH: number;
}

interface CurveChartProps {
  readonly curve: readonly CurvePoint[];
  readonly ends: readonly CurvePoint[];
  /** Where indicators turn. */
  readonly bands?: readonly { readonly name: string; readonly low: number; readonly high: number }[];
  /** Readings that were made. */
  readonly points?: readonly CurvePoint[];
}

/** pH against titrant: the course that is expected, readings on it, where an indicator turns. */
export function CurveChart({ curve, ends, bands = [], points = [] }: CurveChartProps) {
  const shown = curve.length > 0 ? curve : points;
  const [first, last] = [shown[0], shown.at(-1)];
  const end = ends.at(-1);
  const label = `pH from ${first?.pH.toFixed(1) ?? ''} to ${last?.pH.toFixed(1) ?? ''}${end ? `, end at ${end.titreMl.toFixed(1)} mL, pH ${end.pH.toFixed(1)}` : ''}`;
  return (
    <figure role="img" aria-label={label} className="curve">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart margin={{ top: 8, right: 12, bottom: 18, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="titreMl"
            type="number"
            domain={[0, 'dataMax']}
            stroke="var(--quiet)"
            fontSize={12}
            tickFormatter={(ml: number) => `${Number(ml.toFixed(1))}`}
            label={{ value: 'mL', position: 'bottom', offset: 0, fill: 'var(--quiet)' }}
          />
          <YAxis domain={[0, 14]} ticks={[0, 2, 4, 6, 8, 10, 12, 14]} stroke="var(--quiet)" width={34} fontSize={12} />
          {bands.map(({ name, low, high }) => (
            <ReferenceArea
              key={name}
              y1={low}
              y2={high}
              fill="var(--copper)"
              fillOpacity={0.14}
              label={{ value: name, fill: 'var(--copper)', fontSize: 12 }}
            />
          ))}
          {ends.map(({ titreMl }) => (
            <ReferenceLine key={titreMl} x={titreMl} stroke="var(--verdigris)" strokeDasharray="4 3" />
          ))}
          {curve.length > 0 ? (
            <Line
              data={[...curve]}
              dataKey="pH"
              stroke="var(--ink)"
              strokeWidth={1.5}
              dot={false}
              isAnimationActive={false}
            />
          ) : null}
          {points.length > 0 ? (
            <Line
              data={[...points]}
              dataKey="pH"
              stroke="var(--copper)"
              strokeWidth={1}
              dot={{ r: 3.5, fill: 'var(--surface)', stroke: 'var(--copper)' }}
              isAnimationActive={false}
            />
          ) : null}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
