import { useId } from 'react';
import { formatNumber } from '#base/units';

/** One layer as it is drawn: how much, how dense, of what. */
export interface DrawnLayer {
  readonly ml: number;
  readonly gPerMl: number;
  readonly name: string;
  readonly tint: 'liquid' | 'water';
}

/** Where the body of the funnel begins and ends, and how wide it is at a share of its height from below. */
const BODY = { top: 62, bottom: 214, middle: 150, half: 78 };

/** A separating funnel with its two layers, in line. */
export function FunnelDrawing({ upper, lower }: { upper: DrawnLayer; lower: DrawnLayer }) {
  const clip = useId();
  const all = upper.ml + lower.ml;
  const height = BODY.bottom - BODY.top;
  const full = 0.72 * height;
  const line = BODY.bottom - heightOf(lower.ml / all) * full;
  const top = BODY.bottom - full;
  const said = `A separating funnel: above ${formatNumber(upper.ml, 2)} mL, ${upper.name}; below ${formatNumber(lower.ml, 2)} mL, ${lower.name}.`;
  return (
    <svg className="funnel-drawing" viewBox="40 18 410 256" role="img" aria-label={said}>
      <clipPath id={clip}>
        <path d={OUTLINE} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <rect x="60" y={top} width="180" height={line - top} className={`funnel-${upper.tint}`} />
        <rect x="60" y={line} width="180" height={BODY.bottom + 30 - line} className={`funnel-${lower.tint}`} />
      </g>
      <path d={OUTLINE} className="drawn-line" />
      <path d={`M${150 - widthAt(line)} ${line}h${2 * widthAt(line)}`} className="funnel-between" />
      <path d="M142 28h16M138 236h24M132 242h36v9h-36zM145 251v18h10v-18" className="drawn-line" />
      <path d={`M${152 + widthAt((top + line) / 2)} ${(top + line) / 2}L266 82`} className="funnel-leader" />
      <text x="272" y="80" className="funnel-words">
        above, {formatNumber(upper.ml, 2)} mL
      </text>
      <text x="272" y="97" className="funnel-quiet">
        {upper.name}, {formatNumber(upper.gPerMl, 3)} g/mL
      </text>
      <path
        d={`M${152 + widthAt((line + BODY.bottom) / 2)} ${(line + BODY.bottom) / 2}L266 186`}
        className="funnel-leader"
      />
      <text x="272" y="184" className="funnel-words">
        below, {formatNumber(lower.ml, 2)} mL
      </text>
      <text x="272" y="201" className="funnel-quiet">
        {lower.name}, {formatNumber(lower.gPerMl, 3)} g/mL
      </text>
    </svg>
  );
}

const OUTLINE = 'M142 28v26q-70 22-70 82 0 46 66 84v16h24v-16q66-38 66-84 0-60-70-82V28z';

/** A pear is narrow below: half of what is in it stands higher than half its height. */
const heightOf = (share: number) => Math.min(1, Math.max(0.04, share ** 0.6));

/** Half its width at a height of the drawing, about. */
function widthAt(y: number): number {
  const t = Math.min(1, Math.max(0, (y - BODY.top) / (BODY.bottom - BODY.top)));
  return BODY.half * Math.sin(Math.PI * (0.16 + 0.74 * t)) * 0.98;
}
