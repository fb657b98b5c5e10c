import type { ComponentType } from 'react';
import type { StepState } from '#run/state';
import type { AdviceOf, TechniqueName } from '#run/technique';
import type { PaneProps } from '#web/run/pane-props.ts';
import type { Run } from '#web/run/use-run.ts';

/** A pane that a kind of step has besides those of every step. */
export interface TechniquePane {
  readonly id: string;
  readonly name: string;
  /** The key that opens it. */
  readonly key: string;
  readonly Pane: ComponentType<PaneProps>;
}

/** What moves the step on, for a panel that leads it. */
export interface StepMoves {
  /** Begins it, unless something grave is to be read first. */
  readonly begin: () => void;
  /** Says what is entered at its end, besides that it is done; null: nothing else. */
  readonly endWith: (end: (() => void) | null) => void;
}

interface AtStep<N extends TechniqueName> {
  readonly run: Run;
  readonly step: StepState;
  /** Null while it is computed, and where there is nothing to say. */
  readonly says: AdviceOf<N> | null;
}

/** How a kind of step looks at the bench. */
export interface TechniqueView<N extends TechniqueName> {
  readonly panes: readonly TechniquePane[];
  /** Id of the pane that it opens with; null for none. */
  readonly opens: (step: StepState) => string | null;
  /** What one works with as long as it goes on: stands open above all panes; null for none. */
  readonly Working: ComponentType<AtStep<N> & { readonly moves: StepMoves }> | null;
  /** What it works with comes before its words, and takes the keys that it names. */
  readonly leads?: true;
  /** What it advises, in words; null where it advises nothing. */
  readonly Says: ComponentType<AtStep<N>> | null;
}
