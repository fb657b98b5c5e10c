import { AmountEntry } from './amount-entry.tsx';
import type { PaneProps } from './pane-props.ts';

/** What the product weighs on its way to constant mass. */
export function WeighProduct({ run, step }: Pick<PaneProps, 'run' | 'step'>) {
  return (
    <AmountEntry
      label="Product weighs, without its dish"
      units={['g']}
      start="g"
      measures={[]}
      onEnter={(reading, happened) => {
        run.enter({ kind: 'read', step: step.key, quantity: 'mass', reading, place: '' }, happened);
        return true;
      }}
    />
  );
}
