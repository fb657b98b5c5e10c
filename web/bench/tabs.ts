import type { ComponentType } from 'react';
import type { StepState } from '#run/state';
import type { PaneProps } from '../run/pane-props.ts';
import { ChangePane } from './panes/change-pane.tsx';
import { ReadingPane } from './panes/reading-pane.tsx';
import { NotePane, PhotoPane, PortionPane, TimerPane } from './panes/small-panes.tsx';
import { SurprisePane } from './panes/surprise-pane.tsx';
import { TitratePane } from './panes/titrate-pane.tsx';
import { UnplannedPane } from './panes/unplanned-pane.tsx';
import { viewOf } from './technique/registry.ts';

/** A form that opens at a step. */
export interface Tab {
  readonly id: string;
  readonly name: string;
  readonly key?: string;
  readonly Pane: ComponentType<PaneProps>;
}

/** What every step has, whatever its kind. */
const EVERY: readonly Tab[] = [
  { id: 'log', name: 'Log a reading', key: 'l', Pane: ReadingPane },
  { id: 'timer', name: 'Timer', key: 't', Pane: TimerPane },
  { id: 'note', name: 'Note', key: 'n', Pane: NotePane },
  { id: 'surprise', name: 'Surprise', key: 's', Pane: SurprisePane },
  { id: 'portion', name: 'Test portion', Pane: PortionPane },
  { id: 'titrate', name: 'Titrate a portion', Pane: TitratePane },
  { id: 'unplanned', name: 'Add something else', Pane: UnplannedPane },
  { id: 'photo', name: 'Photo', Pane: PhotoPane },
  { id: 'change', name: 'Change the run', Pane: ChangePane },
];

/** The forms of a step: of its own kind first. */
export function tabsOf(step: StepState): readonly Tab[] {
  return [...viewOf(step).panes, ...EVERY];
}
