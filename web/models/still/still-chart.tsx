import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { formatNumber } from '#base/units';
import type { Azeotrope, StillPoint } from '#model/still';

/** A reading as it is drawn: mL over, °C. */
export interface Dot {
  readonly ml: number;
  readonly headC?: number;
  readonly potC?: number;
}

/** Where a receiver is changed. */
export interface Mark {
  readonly id: string;
  /** “1 | 2”, “stop”. */
  readonly text: string;
  readonly ml: number;
  readonly past: boolean;
  /** Told while it is dragged; left out for what cannot be moved. */
  readonly onMove?: (ml: number) => void;
}

interface StillChartProps {
  readonly points: readonly StillPoint[];
  /** The same to either side of what is known. */
  readonly band?: readonly [readonly StillPoint[], readonly StillPoint[]];
  /** As it was planned, where the readings say otherwise. */
  readonly planned?: readonly StillPoint[];
  readonly dots: readonly Dot[];
  readonly marks: readonly Mark[];
  readonly nowMl: number | null;
  readonly azeotrope: Azeotrope | null;
  /** What each receiver holds in all, mass %. */
  readonly holds: readonly { readonly fromMl: number; readonly toMl: number; readonly pct: number }[];
}

const W = 380;
const LEFT = 44;
const RIGHT = 10;
const T = { top: 40, bottom: 196 };
const S = { top: 218, bottom: 306 };

/** Temperatures above, strength below, against mL gone over: the course, what was read on it, where the receivers are changed. */
export function StillChart(props: StillChartProps) {
  const { points, dots, marks, nowMl, azeotrope, planned, band, holds } = props;
  const svg = useRef<SVGSVGElement>(null);
  const [dragged, setDragged] = useState<string | null>(null);
  const far = Math.max(1, points.at(-1)?.overMl ?? 1, ...dots.map(({ ml }) => ml));
  const temps = [
    ...points.flatMap(({ headC, potC }) => [headC, potC]),
    ...dots.flatMap(({ headC, potC }) => [headC ?? Number.NaN, potC ?? Number.NaN]),
  ].filter((each) => Number.isFinite(each));
  const [cold, hot] = nice(Math.min(...temps), Math.max(...temps, azeotrope?.tempC ?? -1e9));
  const top = Math.min(100, Math.max(1, ...points.map(({ pct }) => pct), azeotrope?.pct ?? 0) * 1.12);
  const x = (ml: number) => LEFT + ((W - LEFT - RIGHT) * ml) / far;
  const y = (c: number) => T.bottom - ((T.bottom - T.top) * (c - cold)) / (hot - cold);
  const s = (pct: number) => S.bottom - ((S.bottom - S.top) * pct) / top;
  const line = (of: readonly StillPoint[], to: (p: StillPoint) => number) =>
    of.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.overMl).toFixed(1)} ${to(p).toFixed(1)}`).join('');
  const mlAt = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return 0;
    const at = ((event.clientX - box.left) / box.width) * W;
    return Math.min(far, Math.max(0, ((at - LEFT) / (W - LEFT - RIGHT)) * far));
  };
  const end = points.at(-1);
  const label = `Head temperature from ${points[0]?.headC.toFixed(1)} to ${end?.headC.toFixed(1)} °C over ${formatNumber(far, 3)} mL${azeotrope ? `; azeotrope ${azeotrope.pct.toFixed(1)} % at ${azeotrope.tempC.toFixed(1)} °C` : ''}`;
  return (
    <figure className="still-chart">
      <svg
        ref={svg}
        viewBox={`0 0 ${W} 336`}
        aria-label={label}
        onPointerMove={(event) => {
          if (dragged) marks.find(({ id }) => id === dragged)?.onMove?.(mlAt(event));
        }}
        onPointerUp={() => setDragged(null)}
        onPointerLeave={() => setDragged(null)}
      >
        <Axis {...{ cold, hot, top, y, s }} />
        {holds.map(({ fromMl, toMl }, i) => (
          <rect
            key={`${fromMl}`}
            x={x(fromMl)}
            width={Math.max(0, x(toMl) - x(fromMl))}
            y={T.top}
            height={S.bottom - T.top}
            className={`still-cut still-cut-${i % 3}`}
          />
        ))}
        {band ? (
          <path
            d={`${line(band[0], (p) => y(p.headC))}${line([...band[1]].reverse(), (p) => y(p.headC)).replace('M', 'L')}Z`}
            className="still-band"
          />
        ) : null}
        {planned ? <path d={line(planned, (p) => y(p.headC))} className="still-planned" /> : null}
        {azeotrope ? (
          <>
            <line
              x1={LEFT}
              x2={W - RIGHT}
              y1={y(azeotrope.tempC)}
              y2={y(azeotrope.tempC)}
              className="still-azeotrope"
            />
            <line x1={LEFT} x2={W - RIGHT} y1={s(azeotrope.pct)} y2={s(azeotrope.pct)} className="still-azeotrope" />
            <text x={W - RIGHT} y={y(azeotrope.tempC) + 15} textAnchor="end" className="still-azeotrope-words">
              {`azeotrope ${azeotrope.pct.toFixed(1)} % · ${azeotrope.tempC.toFixed(1)} °C`}
            </text>
          </>
        ) : null}
        <path d={line(points, (p) => y(p.potC))} className="still-pot" />
        <path d={line(points, (p) => y(p.headC))} className="still-head" />
        <path d={line(points, (p) => s(p.pct))} className="still-strength" />
        {holds.map(({ fromMl, toMl, pct }) => (
          <g key={`${fromMl}`}>
            <line x1={x(fromMl)} x2={x(toMl)} y1={s(pct)} y2={s(pct)} className="still-holds" />
            {x(toMl) - x(fromMl) > 24 ? (
              <text x={(x(fromMl) + x(toMl)) / 2} y={s(pct) - 5} textAnchor="middle" className="still-holds-words">
                {formatNumber(pct, 3)}
              </text>
            ) : null}
          </g>
        ))}
        {dots.map(({ ml, headC, potC }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: readings in their order
          <g key={i}>
            {potC === undefined ? null : (
              <rect x={x(ml) - 2.2} y={y(potC) - 2.2} width="4.4" height="4.4" className="still-dot" />
            )}
            {headC === undefined ? null : <circle cx={x(ml)} cy={y(headC)} r="2.5" className="still-dot" />}
          </g>
        ))}
        {nowMl === null ? null : (
          <>
            <line x1={x(nowMl)} x2={x(nowMl)} y1={T.top} y2={S.bottom} className="still-here" />
            <text x={x(nowMl)} y={S.bottom + 14} textAnchor="middle" className="still-here-words">
              now
            </text>
          </>
        )}
        {marks.map((mark) => (
          <Handle
            key={mark.id}
            mark={mark}
            x={x(mark.ml)}
            far={far}
            onGrab={(event) => {
              event.currentTarget.setPointerCapture?.(event.pointerId);
              setDragged(mark.id);
            }}
            onDrag={(event) => dragged === mark.id && mark.onMove?.(mlAt(event))}
            onLet={() => setDragged(null)}
          />
        ))}
        {marks.map(({ id, ml }) => (
          <text key={id} x={x(ml)} y={S.bottom + 14} textAnchor="middle" className="drawn-words">
            {nowMl !== null && Math.abs(x(nowMl) - x(ml)) < 34 ? '' : formatNumber(ml, 3)}
          </text>
        ))}
        <text x={LEFT} y={S.bottom + 28} className="drawn-words">
          0
        </text>
        <text x={W - RIGHT} y={S.bottom + 28} textAnchor="end" className="drawn-words">
          {formatNumber(far, 3)} mL over
        </text>
      </svg>
    </figure>
  );
}

interface HandleProps {
  readonly mark: Mark;
  readonly x: number;
  readonly far: number;
  readonly onGrab: (event: PointerEvent<SVGGElement>) => void;
  readonly onDrag: (event: PointerEvent<SVGGElement>) => void;
  readonly onLet: () => void;
}

/** A tap over the chart; dragged, or moved with the arrow keys. */
function Handle({ mark, x, far, onGrab, onDrag, onLet }: HandleProps) {
  const { text, ml, past, onMove } = mark;
  const line = (
    <line x1={x} x2={x} y1={30} y2={S.bottom} className={past ? 'still-mark still-mark-past' : 'still-mark'} />
  );
  const width = 10 + 7 * text.length;
  const tag = (
    <>
      <rect
        x={x - width / 2}
        y={8}
        width={width}
        height="20"
        rx="5"
        className={onMove ? 'still-tag' : 'still-tag still-tag-fixed'}
      />
      <text
        x={x}
        y={22}
        textAnchor="middle"
        className={onMove ? 'still-tag-words' : 'still-tag-words still-tag-words-fixed'}
      >
        {text}
      </text>
    </>
  );
  if (!onMove)
    return (
      <g>
        {line}
        {tag}
      </g>
    );
  const step = far / 200;
  const moves: Readonly<Record<string, number>> = {
    ArrowLeft: -step,
    ArrowRight: step,
    ArrowDown: -step,
    ArrowUp: step,
    PageDown: -10 * step,
    PageUp: 10 * step,
  };
  const onKey = (event: KeyboardEvent) => {
    const by = moves[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(Math.min(far, Math.max(0, ml + by)));
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Change ${text.replace('|', 'to')}`}
      aria-valuemin={0}
      aria-valuemax={Math.round(far)}
      aria-valuenow={Math.round(ml)}
      aria-valuetext={`${formatNumber(ml, 3)} mL over`}
      className="still-handle"
      onPointerDown={onGrab}
      onPointerMove={onDrag}
      onPointerUp={onLet}
      onKeyDown={onKey}
    >
      {line}
      {tag}
    </g>
  );
}

function Axis({
  cold,
  hot,
  top,
  y,
  s,
}: {
  cold: number;
  hot: number;
  top: number;
  y: (c: number) => number;
  s: (pct: number) => number;
}) {
  return (
    <>
      <text x={4} y={T.top - 4} className="drawn-words">
        °C
      </text>
      {ticks(cold, hot).map((c) => (
        <g key={c}>
          <line x1={LEFT} x2={W - RIGHT} y1={y(c)} y2={y(c)} className="still-grid" />
          <text x={LEFT - 5} y={y(c) + 4} textAnchor="end" className="drawn-words">
            {c}
          </text>
        </g>
      ))}
      <text x={4} y={S.top - 10} className="drawn-words">
        %
      </text>
      {ticks(0, top).map((pct) => (
        <g key={pct}>
          <line x1={LEFT} x2={W - RIGHT} y1={s(pct)} y2={s(pct)} className="still-grid" />
          <text x={LEFT - 5} y={s(pct) + 4} textAnchor="end" className="drawn-words">
            {pct}
          </text>
        </g>
      ))}
    </>
  );
}

/** Ends of an axis with a little room. */
function nice(low: number, high: number): readonly [number, number] {
  if (!Number.isFinite(low) || !Number.isFinite(high)) return [0, 100];
  const room = Math.max(0.5, 0.08 * (high - low));
  return [low - room, high + room];
}

function ticks(low: number, high: number): readonly number[] {
  const span = high - low;
  const step = [0.2, 0.5, 1, 2, 5, 10, 20, 50].find((each) => span / each <= 5) ?? 100;
  const first = Math.ceil(low / step - 1e-9);
  const found: number[] = [];
  for (let k = first; k * step <= high + 1e-9; k++) found.push(Number((k * step).toFixed(6)));
  return found;
}
