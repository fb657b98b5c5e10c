import { useEffect, useRef } from 'react';
import type { PaneProps } from '../run/pane-props.ts';
import type { Tab } from './tabs.ts';

/** The form that was opened at a step. */
export function StepPane({ tab, ...props }: PaneProps & { tab: Tab }) {
  const { Pane } = tab;
  const frame = useRef<HTMLDivElement>(null);
  // On a long step the form would open below the edge, unseen.
  useEffect(() => {
    frame.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <div className="pane" ref={frame}>
      <Pane {...props} />
    </div>
  );
}
