import { formatNumber } from '#base/units';
import type { Advice } from '#model/assay';

interface TitreBarProps {
  readonly expected: Advice['expected'];
  readonly used: number;
  readonly unit: string;
  /** What runs out. */
  readonly name: string;
  /** Titres of the replicates that are done. */
  readonly before: readonly { readonly key: string; readonly titre: number }[];
}

const LEFT = 10;
const WIDTH = 720;

/** How much titrant has gone out, where the end is expected, where it was before. Near the end the scale is that of its last part. */
export function TitreBar({ expected, used, unit, name, before }: TitreBarProps) {
  const far = Math.max(expected?.high ?? 0, used, ...before.map(({ titre }) => titre)) * 1.04 || 1;
  // Once near, the first part is folded away so that drops are seen.
  const from = expected && used > 0.8 * expected.low ? 0.75 * expected.low : 0;
  const x = (titre: number) => LEFT + (WIDTH * Math.max(0, titre - from)) / (far - from);
  const label = `${formatNumber(used, 4)} ${unit} used${expected ? `, end expected between ${formatNumber(expected.low, 4)} and ${formatNumber(expected.high, 4)}` : ''}`;
  return (
    <figure className="titre-bar">
      <svg viewBox={`0 0 ${WIDTH + 2 * LEFT} 92`} role="img" aria-label={label}>
        <text x={LEFT} y="14" className="drawn-words">
          {unit} of {name}
        </text>
        {expected ? (
          <>
            <rect
              x={x(expected.low)}
              y="30"
              width={Math.max(2, x(expected.high) - x(expected.low))}
              height="34"
              className="titre-band"
            />
            <text x={Math.min(x(expected.high), LEFT + WIDTH)} y="14" textAnchor="end" className="titre-band-words">
              end expected
            </text>
          </>
        ) : null}
        <rect x={LEFT} y="36" width={WIDTH} height="22" className="titre-track" />
        <rect x={LEFT} y="36" width={Math.max(0, Math.min(WIDTH, x(used) - LEFT))} height="22" className="titre-used" />
        {from > 0 ? <path d={`M${LEFT + 26} 30l-6 34M${LEFT + 34} 30l-6 34`} className="drawn-line" /> : null}
        <line x1={x(used)} x2={x(used)} y1="31" y2="66" className="titre-now" />
        <text x={Math.min(WIDTH - 20, Math.max(40, x(used)))} y="26" textAnchor="middle" className="titre-now-words">
          {formatNumber(used, 4)}
        </text>
        {apart(before.map(({ key, titre }) => ({ key, at: x(titre) }))).map(({ key, at }) => (
          <g key={key}>
            <circle cx={at} cy="74" r="8" className="dot" />
            <text x={at} y="78" textAnchor="middle" className="dot-words">
              {key}
            </text>
          </g>
        ))}
        <text x={LEFT} y="88" className="drawn-words">
          {from > 0 ? formatNumber(from, 3) : 0}
        </text>
        <text x={LEFT + WIDTH} y="88" textAnchor="end" className="drawn-words">
          {formatNumber(far, 3)}
        </text>
      </svg>
    </figure>
  );
}

/** Marks that would lie on each other stand side by side, in order. */
function apart(marks: readonly { readonly key: string; readonly at: number }[]) {
  let last = Number.NEGATIVE_INFINITY;
  return [...marks]
    .sort((a, b) => a.at - b.at)
    .map(({ key, at }) => {
      last = Math.max(at, last + 17);
      return { key, at: last };
    });
}
