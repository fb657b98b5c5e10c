import { useMemo, useState } from 'react';
import { formatNumber } from '#base/units';
import { redissolveEntries, redissolveProblem } from '#run/state';
import { newId } from '#web/api/ids.ts';
import { NumberField } from '#web/kit/number-field.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { useCompute } from '#web/worker/compute.ts';

const SPARE = 1.1;

/** What was caught goes back into hot water and is crystallised once more, all within this run. */
export function RedissolveForm({ run, step, why, onClose }: PaneProps & { why: string }) {
  const { sheet, productId } = run.state;
  const { plan } = run.batch;
  const grams = sheet.product?.value ?? 0;
  const cannot = redissolveProblem(run.state);
  const [hotC, setHot] = useState<number | null>(plan.controls.hot ?? 60);
  const [typed, setTyped] = useState<number | null>(null);
  const { value, problem } = useCompute(
    'dish',
    useMemo(
      () =>
        cannot === '' && grams > 0 && hotC !== null
          ? {
              substanceId: productId,
              grams,
              waterG: grams,
              hotC,
              coldC: Math.min(plan.controls.cold ?? 5, hotC),
              boilAwayG: 0,
              crops: 1,
              impurityPct: 0,
              airC: plan.bench.tempC,
              humidityPct: 60,
              pressureHPa: plan.bench.pressureHPa,
              dishCm2: 100,
            }
          : undefined,
      [cannot, grams, hotC, productId, plan],
    ),
  );
  if (cannot) return <p className="quiet">{cannot}</p>;
  const suggested = value ? Math.max(1, Math.round(SPARE * value.leastWaterG)) : null;
  const waterG = typed ?? suggested;
  const put = () => {
    if (waterG === null) return;
    run.enterAll(redissolveEntries(run.state, step, { waterG, hotC: hotC ?? 60, why }, () => newId('step')));
    onClose();
  };
  return (
    <>
      <NumberField label="Hot" unit="°C" value={hotC} min={20} max={100} onChange={setHot} />
      <NumberField
        key={suggested}
        label="Water poured on"
        unit="g"
        value={waterG}
        min={1}
        max={20_000}
        onChange={setTyped}
      />
      <button type="button" className="tab" disabled={waterG === null} onClick={put}>
        Redissolve it
      </button>
      <p className="small quiet">
        {problem?.message ??
          (value
            ? `About ${formatNumber(grams, 3)} g dissolves in ${formatNumber(value.leastWaterG, 3)} g at least; a tenth over is put in.`
            : '')}
      </p>
    </>
  );
}
