import { Link } from 'react-router';
import { useBatches } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';

/** Plans that were kept and not yet begun. */
export function SavedPlans() {
  const batches = useBatches();
  const plans = (batches.data ?? []).filter((each) => each.status === 'planned');
  if (plans.length === 0) return null;
  return (
    <section aria-label="Kept plans" style={{ marginTop: 24 }}>
      <h2>Kept plans</h2>
      {plans.map(({ id, number, title, createdAt }) => (
        <p key={id}>
          <Link to={`/plan/${id}`}>
            {number}. {title}
          </Link>{' '}
          <span className="quiet small">{dayText(createdAt)}</span>
        </p>
      ))}
    </section>
  );
}
