import { formatNumber } from '#base/units';
import type { OwnVessel } from '#matter/gear';

interface VesselDrawingProps {
  readonly vessel: OwnVessel;
  readonly liquidMl: number;
  readonly foamMl: number;
  readonly gas: boolean;
  /** Words beside the gas, such as “hydrogen 6.6 L”. */
  readonly gasText: string;
  readonly tint: string;
}

const TOP = 26;
const BOX = 160;

/** The person’s vessel to scale, with the liquid, and a dashed line where the foam may stand. */
export function VesselDrawing({ vessel, liquidMl, foamMl, gas, gasText, tint }: VesselDrawingProps) {
  // The drawing keeps the vessel's own proportions within a box of 150 by 160.
  const scale = Math.min(BOX / vessel.heightMm, 132 / vessel.diameterMm);
  const width = vessel.diameterMm * scale;
  const height = vessel.heightMm * scale;
  const left = (178 - width) / 2;
  const bottom = TOP + BOX;
  // Marked capacity stands at about nine tenths of the wall.
  const yOf = (ml: number) => bottom - Math.min(1.06, ml / vessel.capacityMl) * height * 0.9;
  const liquid = yOf(liquidMl);
  const foam = yOf(liquidMl + foamMl);
  const title = `${vessel.name}: ${formatNumber(liquidMl, 2)} mL of liquid${foamMl > 0 ? `, foam to ${formatNumber(liquidMl + foamMl, 2)} mL` : ''}`;
  const wall = `M${left - 5} ${bottom - height}h5v${height - 8}q0 8 8 8h${width - 16}q8 0 8-8v${8 - height}h5`;
  return (
    <svg width="210" height="206" viewBox="0 0 210 206" role="img" aria-label={title}>
      <text x={left + width / 2} y="12" textAnchor="middle" fontSize="13" fill="var(--quiet)">
        {vessel.name}
      </text>
      <path d={`M${left} ${liquid}h${width}V${bottom - 8}q0 8-8 8H${left + 8}q-8 0-8-8z`} className={`tint-${tint}`} />
      <line x1={left} x2={left + width} y1={liquid} y2={liquid} stroke="var(--ink)" strokeWidth="1" />
      {foamMl > 1 ? <line x1={left - 6} x2={left + width + 6} y1={foam} y2={foam} className="drawn-foam" /> : null}
      {gas
        ? [0.3, 0.55, 0.72, 0.42].map((at, i) => (
            <circle key={at} cx={left + width * at} cy={liquid + 14 + i * 11} r="3" className="drawn-line" />
          ))
        : null}
      {gas ? (
        <>
          <path
            d={`M${left + width / 2} ${liquid - 6}q-8-12 0-22t0-20`}
            fill="none"
            stroke="var(--copper)"
            strokeWidth="1.5"
          />
          <text x={left + width / 2 + 8} y={liquid - 34} fontSize="12" fill="var(--copper)">
            {gasText}
          </text>
        </>
      ) : null}
      <path d={wall} className="drawn-line" />
      <text x={left + width + 8} y={liquid + 4} fontSize="12" fill="var(--quiet)">
        {formatNumber(liquidMl, 2)} mL
      </text>
      {foamMl > 1 ? (
        <text x={left + width + 8} y={Math.min(foam + 4, liquid - 10)} fontSize="12" fill="var(--saffron)">
          foam
        </text>
      ) : null}
    </svg>
  );
}
