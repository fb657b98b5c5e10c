import dayjs from 'dayjs';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { itemAt, lastOf } from '#base/lookup';
import type { Ageing } from '#matter/stock';

interface AgeingChartProps {
  readonly ageing: Ageing;
  readonly since: string;
  readonly assayed: boolean;
}

/** Strength against time: the likeliest course, its band, where it began, and today. */
export function AgeingChart({ ageing, since, assayed }: AgeingChartProps) {
  const data = ageing.points.map(({ day, mid, low, high }) => ({ day, mid, band: [low, high] }));
  const first = itemAt(ageing.points, 0);
  const { now } = ageing;
  const label = `From ${first.mid.toFixed(1)} % to about ${now.mid.toFixed(1)} % today, ${lastOf(ageing.points).mid.toFixed(1)} % in half a year`;
  const dateOf = (day: number) => dayjs(since).add(day, 'day').format('MMM YY');
  return (
    <figure role="img" aria-label={label} style={{ margin: '6px 0', height: 150 }}>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} margin={{ top: 6, right: 8, bottom: 0, left: -18 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[0, 'dataMax']}
            ticks={[0, now.day, lastOf(data).day]}
            tickFormatter={dateOf}
            stroke="var(--quiet)"
            fontSize={12}
          />
          <YAxis
            domain={['auto', 'auto']}
            stroke="var(--quiet)"
            fontSize={12}
            tickFormatter={(pct: number) => `${Number(pct.toFixed(1))}`}
          />
          <Area dataKey="band" stroke="none" fill="var(--saffron)" fillOpacity={0.18} isAnimationActive={false} />
          <Line dataKey="mid" stroke="var(--ink)" strokeWidth={1.5} dot={false} isAnimationActive={false} />
          <ReferenceLine x={now.day} stroke="var(--ink)" strokeDasharray="3 3" />
          <ReferenceDot
            x={0}
            y={first.mid}
            r={4}
            fill={assayed ? 'var(--verdigris)' : 'var(--surface)'}
            stroke="var(--ink)"
          />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
