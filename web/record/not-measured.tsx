import { AmountEntry } from '../run/amount-entry.tsx';
import type { Run } from '../run/use-run.ts';

/** A run that is over and of which nothing was weighed: it is entered here, whenever it is. */
export function NotMeasured({ run }: { run: Run }) {
  const { state, batch } = run;
  const isSolid = batch.plan.route.makes.kind === 'solid';
  const step = (isSolid ? state.steps.filter(({ technique }) => technique === 'dry') : []).at(-1) ?? state.steps.at(-1);
  if (!step) return null;
  return (
    <section className="no-print" aria-label="Not measured yet">
      <p className="watch">Nothing of what was made was measured: its figures are what it should come to.</p>
      <div className="pane">
        <AmountEntry
          label={isSolid ? 'Product weighs, dry' : 'There is of it'}
          units={isSolid ? ['g'] : ['g', 'mL']}
          start="g"
          measures={[]}
          onEnter={(reading, happened) => {
            const isVolume = 'unit' in reading && reading.unit === 'mL';
            const quantity = isVolume ? 'volume' : 'mass';
            const dry = isSolid ? { state: 'dry' as const } : {};
            run.enter({ kind: 'read', step: step.key, quantity, reading, place: '', ...dry }, happened);
            return true;
          }}
        />
      </div>
    </section>
  );
}
