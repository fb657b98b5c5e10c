import { lazy, Suspense } from 'react';
import type { BenchAnswer } from '#contract/api';
import type { Apparatus, CellGear } from '#matter/gear';
import type { Plan } from '#run/plan';
import { useSaveBench } from '../api/queries.ts';

const CellPlan = lazy(async () => ({ default: (await import('../models/cell/cell-plan.tsx')).CellPlan }));
const StillPlan = lazy(async () => ({ default: (await import('../models/still/still-plan.tsx')).StillPlan }));

interface OwnApparatusProps {
  readonly plan: Plan;
  readonly bench: BenchAnswer | undefined;
  /** Whether what one owns is being changed: stays so when a change is refused. */
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly onControl: (control: string, value: number) => void;
  readonly onChange: (change: { readonly still?: Apparatus; readonly cell?: CellGear }) => void;
}

/** The still or the cell of a plan: as it is here, changed here, kept as one’s own for every plan to come. */
export function OwnApparatus({ plan, bench, open, onOpen, onControl, onChange }: OwnApparatusProps) {
  const save = useSaveBench();
  const has = (kind: 'distil' | 'electrolyse') => plan.route.steps.some(({ op }) => op.do === kind);
  const keep = (change: Partial<Plan['bench']>) => {
    if (bench) save.mutate({ basedOn: bench.version, bench: { ...bench.bench, ...change } });
  };
  return (
    <Suspense fallback={null}>
      {has('distil') ? (
        <StillPlan
          plan={plan}
          onControl={onControl}
          onApparatus={(still) => onChange({ still })}
          onKeep={() => keep({ still: plan.bench.still })}
        />
      ) : null}
      {has('electrolyse') ? (
        <CellPlan
          plan={plan}
          open={open}
          onOpen={onOpen}
          onControl={onControl}
          onGear={(cell) => onChange({ cell })}
          onKeep={() => keep({ cell: plan.bench.cell })}
        />
      ) : null}
    </Suspense>
  );
}
