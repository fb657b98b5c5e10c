import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { itemAt, lastOf } from '#base/lookup';
import type { Weighing } from '#model/dry';

/** The product’s mass against hours since it was first weighed. */
export function WeighingChart({ weighings }: { weighings: readonly Weighing[] }) {
  const start = Date.parse(itemAt(weighings, 0).at);
  const data = weighings.map(({ at, grams }) => ({ hours: (Date.parse(at) - start) / 3_600_000, grams }));
  const last = lastOf(data);
  const label = `Mass from ${itemAt(data, 0).grams} g at the first weighing to ${last.grams} g after ${last.hours.toFixed(1)} h`;
  return (
    <figure role="img" aria-label={label} style={{ margin: '14px 0', maxWidth: 560, height: 200 }}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ top: 8, right: 12, bottom: 18, left: 8 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="hours"
            type="number"
            domain={[0, 'dataMax']}
            stroke="var(--quiet)"
            tickFormatter={(h: number) => h.toFixed(0)}
            label={{ value: 'hours', position: 'bottom', offset: 0, fill: 'var(--quiet)' }}
          />
          <YAxis
            domain={['auto', 'auto']}
            stroke="var(--quiet)"
            width={64}
            tickFormatter={(g: number) => `${g.toFixed(1)} g`}
          />
          <Line
            dataKey="grams"
            stroke="var(--ink)"
            strokeWidth={1.5}
            dot={{ r: 4, fill: 'var(--surface)', stroke: 'var(--ink)' }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
