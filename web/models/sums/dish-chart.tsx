import { CartesianGrid, ComposedChart, Line, ReferenceDot, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { formatPlain } from '#base/units';
import { formulaText } from '#matter/substance';
import type { DishPath } from '#model/dish';

/** The solubility curve with its phases, and the batch’s path over it: what is dissolved in the liquor at each stage. */
export function DishChart({ path, label }: { path: DishPath; label: string }) {
  const { curve, states } = path;
  const phases = [...new Set(curve.map(({ phase }) => phase))];
  const data = curve.map(({ tempC, s, phase }) => ({ tempC, [phase]: s }));
  const way = states.map((state) => ({
    tempC: state.tempC,
    way: state.liquidWaterG > 0 ? (100 * state.dissolvedG) / state.liquidWaterG : 0,
    label: state.label,
  }));
  return (
    <figure className="dish-chart">
      <div role="img" aria-label={label}>
        <ResponsiveContainer width="100%" height={230}>
          <ComposedChart accessibilityLayer={false} margin={{ top: 12, right: 16, bottom: 18, left: 0 }}>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis
              type="number"
              dataKey="tempC"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(value: number) => formatPlain(Math.round(value))}
              stroke="var(--quiet)"
              label={{ value: '°C', position: 'insideBottomRight', offset: -8, fill: 'var(--quiet)' }}
            />
            <YAxis
              type="number"
              stroke="var(--quiet)"
              width={46}
              label={{ value: 'g in 100 g water', angle: -90, position: 'insideLeft', fill: 'var(--quiet)', dy: 40 }}
            />
            {phases.map((phase, i) => (
              <Line
                key={phase}
                data={data}
                dataKey={phase}
                name={formulaText(phase)}
                dot={false}
                isAnimationActive={false}
                stroke="var(--ink)"
                strokeWidth={1.5}
                strokeDasharray={i % 2 === 0 ? '0' : '6 3'}
              />
            ))}
            <Line
              data={way}
              dataKey="way"
              name="this batch"
              isAnimationActive={false}
              stroke="var(--copper)"
              strokeWidth={2}
              dot={{ r: 4, fill: 'var(--copper)' }}
            />
            {way.map((each) => (
              <ReferenceDot
                key={each.label}
                x={each.tempC}
                y={each.way}
                r={4}
                fill="var(--copper)"
                stroke="none"
                label={{ value: each.label, position: 'top', fill: 'var(--copper)', fontSize: 12 }}
              />
            ))}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="small quiet">Solid in contact: {phases.map(formulaText).join(', then ')}.</figcaption>
    </figure>
  );
}
