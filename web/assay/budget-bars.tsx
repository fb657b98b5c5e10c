import { formatNumber } from '#base/units';
import type { AssayResult } from '#model/assay';

const MOST = 7;

/** Where the uncertainty comes from, by part of the variance. */
export function BudgetBars({ result }: { result: AssayResult }) {
  const shown = result.budget.filter(({ share }) => share >= 0.005).slice(0, MOST);
  return (
    <section aria-label="Where the uncertainty comes from">
      <h2>Where ± {formatNumber(result.relativePct, 2)} % comes from</h2>
      <ul className="budget">
        {shown.map(({ name, share }) => (
          <li key={name}>
            <span>{name}</span>
            <span className="mono">{share < 0.01 ? 'under 1 %' : `${Math.round(100 * share)} %`}</span>
            <span className="budget-bar" aria-hidden="true">
              <span style={{ width: `${100 * share}%` }} />
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
