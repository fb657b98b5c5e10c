import { AmountEntry } from '#web/run/amount-entry.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** The volume it was really filled to. */
export function MadeUpTo({ run, step }: PaneProps) {
  return (
    <AmountEntry
      label="Made up to"
      units={['mL']}
      start="mL"
      measures={[]}
      onEnter={(reading, happened) => {
        run.enter({ kind: 'read', step: step.key, quantity: 'volume', reading, place: '' }, happened);
        return true;
      }}
    />
  );
}
