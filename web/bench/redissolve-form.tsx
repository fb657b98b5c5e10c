import { useMemo, useState } from 'react';
import { exactReading } from '#core/log';
import { substanceById } from '#core/substance';
import { formatNumber } from '#core/units';
import { newId } from '../api/ids.ts';
import { NumberField } from '../parts/number-field.tsx';
import { plainText } from '../parts/sentence.tsx';
import { useCompute } from '../worker/compute.ts';
import type { PaneProps } from './pane-props.ts';

const SPARE = 1.1;

/** What was caught goes back into hot water and is crystallised once more, all within this run. */
export function RedissolveForm({ run, step, why, onClose }: PaneProps & { why: string }) {
  const { sheet, steps, productId } = run.state;
  const { plan } = run.batch;
  const grams = sheet.product?.value ?? 0;
  const soluble = steps.some(({ template }) => template?.op.do === 'crystallise');
  const [hotC, setHot] = useState<number | null>(plan.controls.hot ?? 60);
  const [typed, setTyped] = useState<number | null>(null);
  const { value, problem } = useCompute(
    'dish',
    useMemo(
      () =>
        soluble && grams > 0 && hotC !== null
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
      [soluble, grams, hotC, productId, plan],
    ),
  );
  if (!soluble) return <p className="quiet">It does not dissolve in water: wash it, or dry it again.</p>;
  const caught = steps.some(({ template, status }) => template?.op.do === 'collect' && status === 'done');
  if (!caught || grams <= 0) return <p className="quiet">Filter it off first: then it can be redissolved.</p>;
  const suggested = value ? Math.max(1, Math.round(SPARE * value.leastWaterG)) : null;
  const waterG = typed ?? suggested;
  const put = () => {
    if (waterG === null) return;
    const name = substanceById(productId)?.name ?? 'the crystals';
    const first = newId('step');
    // What it was drying to is not weighed any more.
    if (step.template?.op.do === 'dry' && step.status !== 'done')
      run.enter({ kind: 'step-skipped', step: step.key, reason: why || 'redissolved' });
    run.enter({
      kind: 'step-inserted',
      step: first,
      after: step.key,
      beside: false,
      repeats: null,
      does: 'redissolve',
      title: `Redissolve it in ${formatNumber(waterG, 3)} g of water at ${formatNumber(hotC ?? 60, 3)} °C`,
      why: why || `${name} goes back into solution`,
      leave: { alone: false, lookEveryMin: 5 },
    });
    const water = { role: null, bottleId: null, reason: '', reading: exactReading(waterG, 'g') };
    run.enter({ kind: 'added', step: first, ...water });
    let after = first;
    for (const again of stepsAgain(run, step.key)) {
      const key = newId('step');
      run.enter({
        kind: 'step-inserted',
        step: key,
        after,
        beside: false,
        repeats: again.key,
        does: 'as-before',
        title: `Again: ${plainText(again.title)}`.slice(0, 120),
        why: 'after redissolving',
        leave: { alone: again.leave.alone, lookEveryMin: again.leave.lookEveryMin },
      });
      after = key;
    }
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

/** The steps from crystallising up to this one, to be done again. */
function stepsAgain({ state }: PaneProps['run'], here: string) {
  const at = state.steps.findIndex(({ key }) => key === here);
  const from = state.steps.findIndex(({ template }) => template?.op.do === 'crystallise');
  return state.steps
    .slice(Math.max(0, from), at + 1)
    .filter(({ template, inserted }) => template && !inserted && template.op.do !== 'charge');
}
