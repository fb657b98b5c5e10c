import type { Caution } from '#matter/guard';
import type { RunState, StepState } from '#run/state';
import type { Run } from '../run/use-run.ts';

/** Grave cautions of a step that were not yet acknowledged. */
export function unreadAt({ acknowledged }: RunState, step: StepState): readonly Caution[] {
  if (step.status === 'done' || step.status === 'skipped') return [];
  return step.cautions.filter(({ severity, id }) => severity === 'stop' && !acknowledged.includes(`${step.key}:${id}`));
}

/** Cautions of the gravest kind are acknowledged before their step begins, and the record says so. */
export function CautionsRead({ run, step, asked }: { run: Run; step: StepState; asked: boolean }) {
  const unread = unreadAt(run.state, step);
  const grave = step.cautions.some(({ severity }) => severity === 'stop');
  const acknowledge = () => {
    for (const each of unread) run.enter({ kind: 'acknowledged', caution: `${step.key}:${each.id}` });
  };
  if (!grave || step.status === 'done' || step.status === 'skipped') return null;
  if (unread.length === 0) return <p className="quiet small">✓ cautions read</p>;
  return (
    <div className="caution caution-stop" role={asked ? 'alert' : 'note'}>
      <b>{asked ? 'First these, then the step:' : 'Before you begin:'}</b>{' '}
      {unread.map((each) => `${each.title}.`).join(' ')}{' '}
      <button type="button" className="link" onClick={acknowledge}>
        I have read them in the margin
      </button>
    </div>
  );
}
