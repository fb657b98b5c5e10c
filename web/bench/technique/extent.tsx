import { formatNumber } from '#base/units';
import type { ExtentReport } from '#model/add';

const WITNESS: Readonly<Record<ExtentReport['estimates'][number]['by'], string>> = {
  dose: 'dose',
  gas: 'gas',
  mass: 'mass',
  heat: 'temperature',
  pH: 'pH',
  sight: 'seen',
  current: 'current',
};

/** How far a reaction has come, by every witness. */
export function Extent({ extent }: { extent: ExtentReport }) {
  const { estimates, pct, lowPct, highPct, disagreement } = extent;
  return (
    <>
      <p>
        <b>How far:</b> {bandText(pct, lowPct, highPct)}
        <span className="quiet small">
          {' '}
          ({estimates.map((each) => `${WITNESS[each.by]} ${bandText(each.pct, each.lowPct, each.highPct)}`).join(', ')})
        </span>
      </p>
      {disagreement ? (
        <p className="caution" role="status">
          {disagreement}
        </p>
      ) : null}
    </>
  );
}

function bandText(pct: number | null, low: number | null, high: number | null): string {
  const whole = (value: number) => formatNumber(Math.min(100, value), 2);
  if (pct !== null && low !== null && high !== null) return `${whole(pct)} % (${whole(low)} to ${whole(high)})`;
  if (low !== null && low > 0) return `at least ${whole(low)} %`;
  return high !== null && high < 100 ? 'not there yet' : 'cannot tell';
}
