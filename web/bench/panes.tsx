import { useEffect, useRef } from 'react';
import { ChangePane } from './change-pane.tsx';
import { DishPane } from './dish-pane.tsx';
import { DryPane } from './dry-pane.tsx';
import { EvaporatePane } from './evaporate-pane.tsx';
import type { PaneProps } from './pane-props.ts';
import { ReadingPane } from './reading-pane.tsx';
import { NotePane, PhotoPane, PortionPane, TimerPane } from './small-panes.tsx';
import { SurprisePane } from './surprise-pane.tsx';
import { UnplannedPane } from './unplanned-pane.tsx';
import { WashPane } from './wash-pane.tsx';
import { WeighPane } from './weigh-pane.tsx';

export type PaneName =
  | 'dish'
  | 'wash'
  | 'evaporate'
  | 'dry'
  | 'surprise'
  | 'unplanned'
  | 'weigh'
  | 'log'
  | 'timer'
  | 'note'
  | 'portion'
  | 'photo'
  | 'change';

const PANES: Readonly<Record<PaneName, (props: PaneProps) => React.ReactNode>> = {
  dish: DishPane,
  wash: WashPane,
  evaporate: EvaporatePane,
  dry: DryPane,
  surprise: SurprisePane,
  unplanned: UnplannedPane,
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
