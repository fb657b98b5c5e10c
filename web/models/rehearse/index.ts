import { type ComponentType, lazy } from 'react';
import type { Plan } from '#run/plan';
import type { Op, TechniqueName } from '#run/technique';

/** Something that can be tried out before it is done: the bench’s own model, faster than it is, with a review at the end. */
interface Rehearsal {
  /** “Rehearse the distillation”. */
  readonly name: string;
  readonly Stage: ComponentType<{ readonly plan: Plan; readonly onClose: () => void }>;
}

/** Techniques that can be rehearsed. A new one is a stage of its own and a line here. */
const rehearsals: Readonly<Partial<Record<TechniqueName, Rehearsal>>> = {
  distil: {
    name: 'Rehearse the distillation',
    Stage: lazy(async () => ({ default: (await import('./still-stage.tsx')).StillStage })),
  },
  absorb: {
    name: 'Rehearse the gas',
    Stage: lazy(async () => ({ default: (await import('./gas-stage.tsx')).GasStage })),
  },
  esterify: {
    name: 'Rehearse the reflux',
    Stage: lazy(async () => ({ default: (await import('./reflux-stage.tsx')).RefluxStage })),
  },
  electrolyse: {
    name: 'Rehearse the cell',
    Stage: lazy(async () => ({ default: (await import('./cell-stage.tsx')).CellStage })),
  },
};

/** A receiver is what is judged: of what stays in the flask, or is led into water, the model tells too little. */
function canRehearse({ route: { makes } }: Plan, op: Op): boolean {
  return op.do !== 'distil' || (op.into.startsWith('receiver') && makes.kind === 'liquid' && makes.vessel !== 'pot');
}

/** The rehearsal that a plan offers; undefined where none of its steps has one. */
export function rehearsalOf(plan: Plan): Rehearsal | undefined {
  return plan.route.steps.flatMap(({ op }) => (canRehearse(plan, op) ? (rehearsals[op.do] ?? []) : []))[0];
}
