import type { Container } from '#matter/stock';

interface Shape {
  /** Outline in a box of 92 by 172, standing on 170. */
  readonly outline: string;
  readonly details?: string;
  /** Where the contents may stand: [left, top, width, height]. */
  readonly inside: readonly [number, number, number, number];
  readonly label: readonly [number, number, number];
}

const SHAPES: Readonly<Record<Container, Shape>> = {
  bottle: {
    outline: 'M36 6h20v24c0 8 18 12 18 30v102q0 8-8 8H26q-8 0-8-8V60c0-18 18-22 18-30z',
    inside: [19, 58, 54, 111],
    label: [18, 84, 56],
  },
  jug: {
    outline: 'M30 10h20v16l30 26v110q0 8-8 8H22q-8 0-8-8V54c0-14 16-14 16-28z',
    details: 'M58 52v36M58 52q10 4 10 12v18q0 6-10 6',
    inside: [15, 52, 64, 117],
    label: [14, 96, 66],
  },
  jar: {
    outline: 'M18 62h56q4 0 4 6v94q0 8-8 8H22q-8 0-8-8V68q0-6 4-6z',
    details: 'M16 50h60v12H16z',
    inside: [15, 70, 62, 99],
    label: [14, 92, 64],
  },
  bag: {
    outline: 'M20 52l6 6 20 3 20-3 6-6-5 22q8 50 9 84-30 14-60 0 1-34 9-84z',
    inside: [20, 84, 52, 74],
    label: [19, 96, 54],
  },
  tub: {
    outline: 'M12 84h68l-6 78q-1 8-8 8H26q-7 0-8-8z',
    details: 'M8 74h76v10H8z',
    inside: [16, 92, 60, 77],
    label: [15, 100, 62],
  },
  tube: {
    outline: 'M24 44h44l6 104H18zM34 148h24v20H34z',
    inside: [22, 60, 48, 88],
    label: [21, 86, 50],
  },
  strip: {
    outline: 'M16 100q0-44 30-44t30 44v70H62V104q0-28-16-28t-16 28v66H16z',
    details: 'M30 170h32',
    inside: [16, 104, 60, 66],
    label: [12, 116, 68],
  },
};

interface BottleDrawingProps {
  readonly container: Container;
  /** 0 to 1; null when not known. */
  readonly level: number | null;
  readonly tint: string;
  readonly strength: string;
  readonly formula: string;
  readonly assayed: boolean;
  readonly stale: boolean;
}

/** One bottle in our hand: outline, contents to their level, a label, and a ring for how well its strength is known. */
export function BottleDrawing({ container, level, tint, strength, formula, assayed, stale }: BottleDrawingProps) {
  const shape = SHAPES[container];
  const [x, y, width, height] = shape.inside;
  const filled = height * (level ?? 0.5);
  const [labelX, labelY, labelW] = shape.label;
  const size = Math.max(7.5, Math.min(12, (labelW - 6) / (0.56 * Math.max(1, formula.length))));
  const strengthSize = Math.min(14, (labelW - 4) / (0.6 * Math.max(1, strength.length)));
  const clip = `in-${container}`;
  return (
    <svg width="110" height="172" viewBox="-4 0 110 172" aria-hidden="true">
      <clipPath id={clip}>
        <path d={shape.outline} />
      </clipPath>
      <path d={shape.outline} className="drawn-ink" />
      <g clipPath={`url(#${clip})`}>
        <rect x={x - 10} y={y + height - filled} width={width + 20} height={filled + 4} className={`tint-${tint}`} />
        {level === null ? null : (
          <line
            x1={x - 10}
            x2={x + width + 10}
            y1={y + height - filled}
            y2={y + height - filled}
            stroke="var(--ink)"
            strokeWidth="0.8"
          />
        )}
      </g>
      <path d={shape.outline} className="drawn-line" />
      {shape.details ? (
        <path d={shape.details} className={container === 'jug' || container === 'strip' ? 'drawn-line' : 'drawn-ink'} />
      ) : null}
      <rect x={labelX} y={labelY} width={labelW} height={42} className="drawn-label" />
      <text
        x={labelX + labelW / 2}
        y={labelY + 18}
        textAnchor="middle"
        className="drawn-strength"
        fontSize={strengthSize}
      >
        {strength}
      </text>
      <text x={labelX + labelW / 2} y={labelY + 34} textAnchor="middle" className="drawn-formula" fontSize={size}>
        {formula}
      </text>
      <Ring assayed={assayed} stale={stale} />
    </svg>
  );
}

/** Closed: assayed. Open: label only. Broken: stale, whatever it was. */
function Ring({ assayed, stale }: { assayed: boolean; stale: boolean }) {
  return (
    <circle
      cx="92"
      cy="12"
      r="7"
      fill="none"
      strokeWidth="2.2"
      stroke={ringColour(assayed, stale)}
      strokeDasharray={ringDashes(assayed, stale)}
      transform="rotate(30 92 12)"
    />
  );
}

function ringColour(assayed: boolean, stale: boolean): string {
  if (stale) return 'var(--saffron)';
  return assayed ? 'var(--verdigris)' : 'var(--ink)';
}

function ringDashes(assayed: boolean, stale: boolean): string | undefined {
  if (stale) return '5 3.8';
  return assayed ? undefined : '33 11';
}
