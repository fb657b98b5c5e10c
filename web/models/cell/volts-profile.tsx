import { formatNumber } from '#base/units';
import type { Drops } from '#model/cell';

interface VoltsProfileProps {
  readonly is: Drops;
  readonly was: Drops | null;
  /** Read by a probe, or what is left over; null where nothing divides. */
  readonly wallV: number | null;
  readonly volts: number;
  readonly divided: boolean;
}

const W = 330;
const H = 84;
const X = { left: 44, anode: 74, wall: 190, wallTo: 212, cathode: 286, right: 306 };

/** How the volts go down from the anode through the liquids to the cathode; before, dashed. */
export function VoltsProfile({ is, was, wallV, volts, divided }: VoltsProfileProps) {
  const now = { ...is, wall: wallV ?? is.wall };
  const most = Math.max(0.5, volts, was ? sum(was) : 0);
  const y = (v: number) => H - 18 - ((H - 28) * Math.max(0, v)) / most;
  const path = (d: Drops, total: number) => {
    const after = total - d.anode;
    const before = after - d.anolyte;
    const past = before - d.wall;
    const last = past - d.catholyte;
    return `M${X.left} ${y(total)}H${X.anode}V${y(after)}L${X.wall} ${y(before)}L${X.wallTo} ${y(past)}L${X.cathode} ${y(last)}V${y(0)}H${X.right}`;
  };
  const total = Math.max(volts, sum(now));
  return (
    <svg
      className="cell-profile"
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`Volts: anode ${formatNumber(now.anode, 2)}, liquid ${formatNumber(now.anolyte, 2)}${divided ? `, divider ${formatNumber(now.wall, 2)}, liquid ${formatNumber(now.catholyte, 2)}` : ''}, cathode ${formatNumber(now.cathode, 2)}`}
    >
      <path d={`M${X.left} ${y(0)}H${X.right}`} className="cell-grid" />
      {was ? <path d={path(was, sum(was))} className="cell-before" /> : null}
      <path d={path(now, total)} className="drawn-line" />
      {divided ? (
        <path
          d={`M${X.wall} ${y(total - now.anode - now.anolyte)}L${X.wallTo} ${y(total - now.anode - now.anolyte - now.wall)}`}
          className="cell-wall-drop"
        />
      ) : null}
      <text x={X.left - 4} y={y(total) + 4} textAnchor="end" className="drawn-words">
        {formatNumber(total, 2)} V
      </text>
      <text x={X.anode} y={H - 3} textAnchor="middle" className="drawn-words">
        anode
      </text>
      {divided ? (
        <text x={X.wall + 12} y={H - 3} textAnchor="middle" className="drawn-words">
          wall
        </text>
      ) : null}
      <text x={X.cathode} y={H - 3} textAnchor="middle" className="drawn-words">
        cathode
      </text>
    </svg>
  );
}

const sum = ({ anode, anolyte, wall, catholyte, cathode, leads }: Drops) =>
  anode + anolyte + wall + catholyte + cathode + leads;
