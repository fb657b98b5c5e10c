import { useState } from 'react';
import { usedFurther } from '#core/state';
import type { BottleCard } from '#core/stock';
import { substanceById } from '#core/substance';
import { formatNumber } from '#core/units';
import { sentenceOf } from '../api/client.ts';
import { newId } from '../api/ids.ts';
import { usePutBottle } from '../api/queries.ts';
import { today } from '../parts/day.ts';
import { NumberField } from '../parts/number-field.tsx';
import type { PaneProps } from './pane-props.ts';

/** The product, or a part of it, goes on before it is dry: a intermediate bottle with what is expected in it, and its uncertainty. */
export function TakeOnForm({ run, step, why, onClose }: PaneProps & { why: string }) {
  const { sheet, productId, weighing } = run.state;
  const put = usePutBottle();
  const [wetG, setWet] = useState<number | null>(null);
  const [takenG, setTaken] = useState<number | null>(null);
  const [problem, setProblem] = useState('');
  const name = substanceById(productId)?.name ?? 'product';
  if (!sheet.product) return <p className="quiet">Nothing has been caught yet that could go on.</p>;
  if (weighing.grams !== null)
    return <p className="quiet">It has been weighed dry: put it on the shelf from its record.</p>;
  const found = wetG === null ? undefined : usedFurther(sheet, wetG, takenG ?? wetG);
  const place = () => {
    if (wetG === null) return setProblem('Weigh all of it as it is, wet.');
    const on = usedFurther(sheet, wetG, takenG ?? wetG);
    if (!on.ok) return setProblem(on.problem.message);
    setProblem('');
    const { pct, bandPct, share } = on.value;
    const id = newId('bottle');
    const strength = Number(pct.toPrecision(3));
    // What is not of it is water, and counts as such in the next batch.
    const waterPct = Number((100 - strength).toPrecision(10));
    const card: BottleCard = {
      name: `${name}, wet, batch ${run.batch.number}`,
      substanceId: productId,
      strength: { value: strength, unit: 'w/w' },
      strengthBand: Number(Math.max(0.1, bandPct).toPrecision(2)),
      others: waterPct > 0 ? [{ substanceId: 'water', strength: { value: waterPct, unit: 'w/w' } }] : [],
      assayed: false,
      size: { value: Number((takenG ?? wetG).toPrecision(5)), unit: 'g' },
      price: null,
      container: 'tub',
      group: 'intermediate',
      since: today(),
      labelText: '',
      fromBatch: run.batch.id,
      note: why,
    };
    put.mutate(
      { id, card },
      {
        onSuccess: () => {
          if (share < 1) run.enter({ kind: 'poured-off', step: step.key, share, batchId: null, bottleId: id, why });
          else goOn(run, id, why);
          onClose();
        },
      },
    );
  };
  return (
    <>
      <NumberField label="All of it, wet" unit="g" value={wetG} min={0.01} max={20_000} onChange={setWet} />
      <NumberField label="Taken on" unit="g" value={takenG ?? wetG} min={0.01} max={20_000} onChange={setTaken} />
      <button type="button" className="tab" disabled={put.isPending} onClick={place}>
        To the shelf, intermediate
      </button>
      {found?.ok ? (
        <p className="small quiet">
          About {formatNumber(found.value.pct, 3)} % {name}, ± {formatNumber(found.value.bandPct, 2)} %; the rest is
          water.
        </p>
      ) : null}
      {problem || put.isError ? (
        <p className="problem small" role="alert">
          {problem || sentenceOf(put.error)}
        </p>
      ) : null}
    </>
  );
}

/** All of it goes: what the run would still have done is left out. */
function goOn(run: PaneProps['run'], bottleId: string, why: string): void {
  run.enter({ kind: 'bottled', bottleId });
  for (const { key, status } of run.state.steps)
    if (status !== 'done' && status !== 'skipped')
      run.enter({ kind: 'step-skipped', step: key, reason: why || 'gone on wet' });
}
