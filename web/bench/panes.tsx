import { ChangePane } from './change-pane.tsx';
import type { PaneProps } from './pane-props.ts';
import { ReadingPane } from './reading-pane.tsx';
import { NotePane, PhotoPane, PortionPane, TimerPane } from './small-panes.tsx';
import { WeighPane } from './weigh-pane.tsx';

export type PaneName = 'weigh' | 'log' | 'timer' | 'note' | 'portion' | 'photo' | 'change';

const PANES: Readonly<Record<PaneName, (props: PaneProps) => React.ReactNode>> = {
  weigh: WeighPane,
  log: ReadingPane,
  timer: TimerPane,
  note: NotePane,
  portion: PortionPane,
  photo: PhotoPane,
  change: ChangePane,
};

/** The form that was opened at a step. */
export function StepPane({ name, ...props }: PaneProps & { name: PaneName }) {
  const Pane = PANES[name];
  return (
    <div className="pane">
      <Pane {...props} />
    </div>
  );
}
