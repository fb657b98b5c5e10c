import { formatNumber } from '#base/units';
import type { CellRun } from '#run/state';

const W = 760;

/** How far it is: by charge, with its band; by what was seen, above. */
export function ProgressBar({ cell: { watch } }: { cell: CellRun }) {
  const { progress, passed } = watch;
  if (!progress || !passed) return null;
  const x = (pct: number) => (W * Math.min(110, Math.max(0, pct))) / 110;
  const { byCharge, bySight, neededAh } = progress;
  const to = x(byCharge.value);
  const band = Math.max(3, x(2 * byCharge.sd));
  return (
    <div className="cell-bar">
      <svg
        viewBox={`0 0 ${W} 46`}
        preserveAspectRatio="none"
        role="img"
        aria-label={`${formatNumber(byCharge.value, 2)} % by charge`}
      >
        <rect x="0" y="14" width={to} height="12" className="cell-bar-done" />
        <rect x={Math.max(0, to - band)} y="13" width={2 * band} height="14" className="cell-bar-band" />
        <rect x="0.5" y="14" width={x(100)} height="12" className="cell-bar-frame" />
        {bySight ? (
          <path
            d={`M${x(bySight.value - 2 * bySight.sd)} 4v6M${x(bySight.value + 2 * bySight.sd)} 4v6M${x(bySight.value - 2 * bySight.sd)} 5H${x(bySight.value + 2 * bySight.sd)}M${x(bySight.value)} 2v8`}
            className="cell-end"
          />
        ) : null}
      </svg>
      <p className="small">
        by charge, <b className="mono">{formatNumber(passed.ampHours, 3)}</b> of{' '}
        <b className="mono">{formatNumber(neededAh.value, 3)}</b>
        <span className="quiet"> ± {formatNumber(2 * neededAh.sd, 1)}</span> A·h
        {bySight ? <span className="quiet"> · bracket above: {bySight.how}</span> : null}
      </p>
    </div>
  );
}
