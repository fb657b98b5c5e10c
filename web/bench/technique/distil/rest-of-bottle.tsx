import { formatNumber } from '#base/units';
import { between, chargedOf, pointAt, type StillPoint, scaledTo } from '#model/still';
import type { StillRun } from '#run/state';
import type { Run } from '#web/run/use-run.ts';
import { timeText } from './headline.tsx';

/** What is left in the bottle, at the rate of this charge. */
export function RestOfBottle({ run, still, points }: { run: Run; still: StillRun; points: readonly StillPoint[] }) {
  const source = run.state.sheet.additions.find((line) => line.limiting && line.bottleId);
  const stock = source?.bottleId ? run.batch.plan.stock[source.bottleId] : undefined;
  const used = source ? (source.actual ?? source.dose.mass).value : 0;
  const left = stock?.card.size?.unit === 'g' ? stock.card.size.value - stock.usedG - used : undefined;
  const i = still.cuts.findIndex(({ into }) => into === still.kept);
  const kept = still.cuts[i];
  if (!source || left === undefined || left <= 0.1 * used || !kept || points.length === 0) return null;
  const charged = chargedOf(still.asked, still.volatile);
  const holds = between(points, [still.cuts[i - 1]?.toMl ?? 0, kept.toMl], charged);
  const minutes = pointAt(points, 'minutes', kept.toMl);
  const price = stock?.card.price ?? null;
  const size = stock?.card.size?.value ?? 0;
  const scaled = scaledTo(
    { chargeG: used, productG: holds.grams, hours: minutes / 60 },
    left,
    price === null || size <= 0 ? null : (price * left) / size,
  );
  return (
    <section aria-label="The rest of the bottle">
      <h3>The rest of the bottle</h3>
      <p className="small">
        {formatNumber(left, 3)} g left: {scaled.charges} more {scaled.charges === 1 ? 'charge' : 'charges'}, about{' '}
        {formatNumber(scaled.productG, 2)} g of {formatNumber(holds.pct, 3)} %, {timeText(scaled.hours * 60)} at the
        still
        {scaled.cost === null ? '' : `, ${formatNumber(scaled.cost, 3)} of acid`}.
      </p>
    </section>
  );
}
