import type { StepState } from '#run/state';
import type { Run } from './use-run.ts';

/** What every form at a step is given. */
export interface PaneProps {
  readonly run: Run;
  readonly step: StepState;
  readonly onClose: () => void;
}
