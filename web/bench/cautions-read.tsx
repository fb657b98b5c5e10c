import type { StepState } from '#core/state';
import type { Run } from '../run/use-run.ts';

/** Cautions of the gravest kind are acknowledged once at their step, and the record says so. */
export function CautionsRead({ run, step }: { run: Run; step: StepState }) {
  const grave = step.cautions.filter((each) => each.severity === 'stop');
  const unread = grave.filter((each) => !run.state.acknowledged.includes(`${step.key}:${each.id}`));
  const acknowledge = () => {
    for (const each of unread) run.enter({ kind: 'acknowledged', caution: `${step.key}:${each.id}` });
  };
  if (grave.length === 0 || step.status === 'done' || step.status === 'skipped') return null;
  if (unread.length === 0) return <p className="quiet small">✓ cautions read</p>;
  return (
    <div className="caution caution-stop" role="note">
      <b>Before you begin:</b> {unread.map((each) => `${each.title}.`).join(' ')}{' '}
      <button type="button" className="link" onClick={acknowledge}>
        I have read them in the margin
      </button>
    </div>
  );
}
