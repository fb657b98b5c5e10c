import { Link } from 'react-router';
import type { BatchSummary } from '#contract/api';
import { stepsAt } from '#run/route';
import { useBatch, useBatches } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';
import { StepIcon } from '../parts/step-icon.tsx';

/** Drawn at most; the rest are named. */
const DRAWN = 12;

/** Plans that were kept and not yet begun, each with its steps drawn. */
export function SavedPlans() {
  const batches = useBatches();
  const plans = (batches.data ?? []).filter((each) => each.status === 'planned');
  if (plans.length === 0) return null;
  return (
    <section aria-label="Kept plans">
      <h2>Kept plans</h2>
      {plans.map((each, i) => (
        <div key={each.id} className="kept-plan">
          <Link to={`/plan/${each.id}`}>
            {each.number}. {each.title}
          </Link>
          <span className="quiet small">{dayText(each.createdAt)}</span>
          {i < DRAWN ? <DrawnSteps of={each} /> : null}
        </div>
      ))}
    </section>
  );
}

function DrawnSteps({ of }: { of: BatchSummary }) {
  const { data } = useBatch(of.id);
  if (!data) return null;
  return (
    <span>
      {stepsAt(data.plan.route, data.plan.controls).map(({ id, op }) => (
        <StepIcon key={id} technique={op.do} />
      ))}
    </span>
  );
}
