import { useState } from 'react';
import { formatNumber } from '#base/units';
import { substanceById } from '#matter/substance';
import { furtherUse, usedFurther } from '#run/state';
import { newId } from '#web/api/ids.ts';
import { NumberField } from '#web/kit/number-field.tsx';
import { today } from '#web/parts/day.ts';
import type { PaneProps } from '#web/run/pane-props.ts';

/** The product, or a part of it, is used further before it is dry: an intermediate bottle with what is expected in it, and its uncertainty. */
export function UseFurtherForm({ run, step, why, onClose }: PaneProps & { why: string }) {
  const { sheet, productId, weighing } = run.state;
  const [id] = useState(() => newId('bottle'));
  const [wetG, setWet] = useState<number | null>(null);
  const [takenG, setTaken] = useState<number | null>(null);
  const [problem, setProblem] = useState('');
  const name = substanceById(productId)?.name ?? 'product';
  if (!sheet.product) return <p className="quiet">Nothing has been caught yet that could be used.</p>;
  if (weighing.grams !== null)
    return <p className="quiet">It has been weighed dry: put it on the shelf from its record.</p>;
  const found = wetG === null ? undefined : usedFurther(sheet, wetG, takenG ?? wetG);
  const place = () => {
    if (wetG === null) return setProblem('Weigh all of it as it is, wet.');
    const on = furtherUse(run.state, {
      batch: run.batch,
      step: step.key,
      wetG,
      takenG: takenG ?? wetG,
      bottleId: id,
      today: today(),
      why,
    });
    if (!on.ok) return setProblem(on.problem.message);
    setProblem('');
    run.enterAll(on.value.entries);
    onClose();
  };
  return (
    <>
      <NumberField label="All of it, wet" unit="g" value={wetG} min={0.01} max={20_000} onChange={setWet} />
      <NumberField label="Used further" unit="g" value={takenG ?? wetG} min={0.01} max={20_000} onChange={setTaken} />
      <button type="button" className="tab" onClick={place}>
        To the shelf, intermediate
      </button>
      {found?.ok ? (
        <p className="small quiet">
          About {formatNumber(found.value.pct, 3)} % {name}, ± {formatNumber(found.value.bandPct, 2)} %; the rest is
          water.
        </p>
      ) : null}
      {problem ? (
        <p className="problem small" role="alert">
          {problem}
        </p>
      ) : null}
    </>
  );
}
