import { useMemo } from 'react';
import { exactReading } from '#base/reading';
import { grainOf } from '#model/precipitate';
import { liveOf } from '#run/log';
import { READ, type Read, WashSum } from '#web/models/sums/wash-sum.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** Washing this cake; what the washings read goes into the log. */
export function WashPane({ run, step }: PaneProps) {
  const { sheet, productId } = run.state;
  const cake = sheet.figures['crystals.mass']?.value ?? sheet.product?.value ?? 20;
  const solubility = sheet.figures['crystals.solubility'];
  const precipitated = run.state.steps.some(({ template }) => template?.op.do === 'precipitate');
  const readingsBy = useMemo(() => {
    const read = (by: Read) =>
      liveOf(run.events).flatMap(({ body }) =>
        body.kind === 'read' &&
        body.step === step.key &&
        body.quantity === by &&
        body.of === 'washings' &&
        body.reading.is === 'exact'
          ? [body.reading.value]
          : [],
      );
    return { conductivity: read('conductivity'), pH: read('pH') };
  }, [run.events, step.key]);
  return (
    <WashSum
      // A cake drained on paper; sucked dry it holds less.
      start={{
        retainedMl: Math.max(1, Math.round(cake * grainOf(productId).holds)),
        portionMl: Math.max(5, Math.round(cake * 2)),
      }}
      productGPer100Ml={solubility && !precipitated ? solubility.value : 0.002}
      readingsBy={readingsBy}
      onRead={(by, value) =>
        run.enter({
          kind: 'read',
          step: step.key,
          quantity: by,
          reading: exactReading(value, READ[by].unit),
          of: 'washings',
          place: '',
        })
      }
    />
  );
}
