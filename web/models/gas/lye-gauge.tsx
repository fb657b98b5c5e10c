import { formatNumber } from '#base/units';
import type { LyeWindow } from '#run/technique';

const WIDE = 480;
const PAD = 12;

/** How far the lye has come: gained, the window to stop in, and where nothing of it is left. */
export function LyeGauge({ window, gainedG }: { window: LyeWindow; gainedG: number | null }) {
  const { fromG, toG, spentG } = window;
  const most = 1.12 * spentG;
  const x = (g: number) => PAD + ((WIDE - 2 * PAD) * Math.min(g, most)) / most;
  const g = (value: number) => formatNumber(value, 3);
  const said = `Stop between ${g(fromG)} and ${g(toG)} g gained; at ${g(spentG)} g the lye is spent. ${gainedG === null ? 'Nothing was weighed yet.' : `Now at ${g(gainedG)} g.`}`;
  return (
    <svg className="lye-gauge" viewBox={`0 0 ${WIDE} 74`} role="img" aria-label={said}>
      <rect x={PAD} y="26" width={WIDE - 2 * PAD} height="14" className="lye-gauge-track" />
      <rect x={PAD} y="26" width={Math.max(0, x(gainedG ?? 0) - PAD)} height="14" className="lye-gauge-gained" />
      <rect x={x(fromG)} y="20" width={x(toG) - x(fromG)} height="26" className="lye-gauge-window" />
      <path d={`M${x(spentG)} 16v34`} className="lye-gauge-spent" />
      {gainedG === null ? null : <path d={`M${x(gainedG)} 22l-6-9h12z`} className="lye-gauge-now" />}
      <text x={x(fromG)} y="63" textAnchor="end" className="absorber-words">
        stop from {g(fromG)}
      </text>
      <text x={x(toG) - 2} y="63" textAnchor="middle" className="absorber-words">
        to {g(toG)}
      </text>
      <text x={WIDE - 2} y="12" textAnchor="end" className="absorber-quiet">
        spent at {g(spentG)} g
      </text>
      <text x={PAD} y="14" className="absorber-quiet">
        {gainedG === null ? 'not weighed yet' : `gained ${g(gainedG)} g`}
      </text>
    </svg>
  );
}
