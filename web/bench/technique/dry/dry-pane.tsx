import { useMemo } from 'react';
import { formatNumber } from '#base/units';
import { grainOf } from '#model/precipitate';
import { DrySum } from '#web/models/sums/dry-sum.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** Drying this cake; the weighings stand above. */
export function DryPane({ run }: PaneProps) {
  const { plan } = run.batch;
  const { productId, sheet, weighing, hydrate } = run.state;
  const { drying } = plan.route;
  const anhydrousG = sheet.product?.value ?? 0;
  const weighed = weighing.grams === null ? undefined : Math.max(0, weighing.grams - anhydrousG);
  const ceiling = useMemo(() => (drying ? { tempC: drying.ceilingC, why: drying.why } : null), [drying]);
  return (
    <div>
      <DrySum
        substanceId={productId}
        waterG={Math.max(1, Math.round(weighed ?? anhydrousG * grainOf(productId).holds))}
        mostG={Math.max(20, Math.round(3 * anhydrousG))}
        roomC={Math.round(plan.bench.tempC)}
        pressureHPa={plan.bench.pressureHPa}
        ceiling={ceiling}
      >
        <p className="small quiet">
          About {formatNumber(anhydrousG, 3)} g dry is expected
          {weighed === undefined ? '' : `; ${formatNumber(weighed, 2)} g over it at the last weighing`}. Hours are
          about, within a factor of two.
        </p>
      </DrySum>
      {hydrate ? (
        <p className={hydrate.says === 'as its formula' ? 'within small' : 'caution small'} role="status">
          {hydrate.sentence}
        </p>
      ) : null}
    </div>
  );
}
