import { lazy, Suspense, useMemo } from 'react';
import { formatNumber } from '#base/units';
import type { AssayPlan } from '#model/assay';
import { useCompute } from '../worker/compute.ts';

const CurveChart = lazy(async () => ({ default: (await import('./curve-chart.tsx')).CurveChart }));

/** The curve of an acid-base titration as it is planned, and what ending by each indicator would do. */
export function Foretold({ plan, titre }: { plan: AssayPlan; titre: number | null }) {
  const asked = useMemo(() => (plan.methodId === 'acid-base' && titre !== null ? { plan } : undefined), [plan, titre]);
  const { value } = useCompute('foretold', asked);
  if (!value || value.curve.length === 0) return null;
  return (
    <div className="foretold">
      <Suspense fallback={<p className="quiet small">Drawing …</p>}>
        <CurveChart
          curve={value.curve}
          ends={value.ends}
          bands={value.indicators.slice(0, 1).map(({ indicator }) => indicator)}
        />
      </Suspense>
      <table className="plain-table">
        <caption className="small">Where a colour would end it, about</caption>
        <thead>
          <tr>
            <th scope="col">indicator</th>
            <th scope="col">turns</th>
            <th scope="col" className="right">
              off by
            </th>
          </tr>
        </thead>
        <tbody>
          {value.indicators.slice(0, 5).map(({ indicator, relative }) => (
            <tr key={indicator.id}>
              <td>
                {indicator.name} <span className="quiet small">{indicator.home === 'yes' ? 'kitchen' : ''}</span>
              </td>
              <td className="small">
                {value.rising
                  ? `${indicator.before} to ${indicator.after}`
                  : `${indicator.after} to ${indicator.before}`}
              </td>
              <td className="right mono">{signed(100 * (relative ?? 0))} %</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function signed(x: number): string {
  const text = formatNumber(Math.abs(x), 2);
  if (Math.abs(x) < 0.005) return '0.0';
  return x < 0 ? `−${text}` : `+${text}`;
}
