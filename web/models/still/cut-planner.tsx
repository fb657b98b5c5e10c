import { Segmented } from 'antd';
import { itemAt, lastOf } from '#base/lookup';
import { formatNumber, formatPlain } from '#base/units';
import type { Cut, CutPlan } from '#model/still';

export interface Wanted {
  readonly by: 'strength' | 'recovery';
  readonly pct: number;
}

interface CutPlannerProps {
  readonly wanted: Wanted;
  readonly plan: CutPlan | null;
  /** What the marks on the chart come to now. */
  readonly now: { readonly pct: number; readonly recoveryPct: number };
  readonly onWanted: (wanted: Wanted) => void;
  readonly onUse: (cut: Cut) => void;
}

/** When to switch for so strong a cut, or so much of it; what more of either costs. */
export function CutPlanner({ wanted, plan, now, onWanted, onUse }: CutPlannerProps) {
  const best = plan?.best ?? null;
  return (
    <section className="cut-planner" aria-label="Cut planner">
      <h3>Where to switch</h3>
      <div className="row">
        <Segmented<Wanted['by']>
          size="small"
          aria-label="What is wanted of the cut"
          options={[
            { label: 'at least this strong', value: 'strength' },
            { label: 'at least this much', value: 'recovery' },
          ]}
          value={wanted.by}
          onChange={(by) =>
            onWanted({ by, pct: by === 'strength' ? Math.round(now.pct) : Math.round(now.recoveryPct) })
          }
        />
        <span className="wanted">
          <input
            type="range"
            min={1}
            max={99.5}
            step={0.5}
            value={wanted.pct}
            aria-label={wanted.by === 'strength' ? 'Strength wanted, %' : 'Recovery wanted, %'}
            aria-valuetext={`${formatPlain(wanted.pct)} %`}
            onChange={(event) => onWanted({ ...wanted, pct: Number(event.target.value) })}
          />
          <output className="mono">{formatPlain(wanted.pct)} %</output>
        </span>
      </div>
      {plan && best ? (
        <p>
          From <b>{formatNumber(best.fromMl, 3)}</b> to <b>{formatNumber(best.toMl, 3)} mL</b>, the head at{' '}
          {best.fromHeadC.toFixed(1)} to {best.toHeadC.toFixed(1)} °C: {formatNumber(best.pct, 3)} %,{' '}
          {formatNumber(best.recoveryPct, 3)} % recovered.{' '}
          <button type="button" className="link" onClick={() => onUse(best)}>
            Switch there
          </button>
        </p>
      ) : null}
      {plan && !best ? (
        <p className="problem">
          No cut of this charge comes to that.
          {plan.strongest
            ? ` The strongest is ${formatNumber(plan.strongest.pct, 3)} %, of ${formatNumber(plan.strongest.recoveryPct, 2)} % of it.`
            : ''}
        </p>
      ) : null}
      {plan && plan.tradeOff.length > 1 ? <TradeOff cuts={plan.tradeOff} now={now} best={best} onUse={onUse} /> : null}
    </section>
  );
}

const W = 320;
const H = 118;

/** Strength against recovery: every point a cut, the best for its amount. */
function TradeOff({
  cuts,
  now,
  best,
  onUse,
}: {
  cuts: readonly Cut[];
  now: CutPlannerProps['now'];
  best: Cut | null;
  onUse: (cut: Cut) => void;
}) {
  const strengths = [...cuts.map(({ pct }) => pct), now.pct];
  const [low, high] = [Math.min(...strengths), Math.max(...strengths)];
  const room = Math.max(0.2, 0.08 * (high - low));
  const x = (recovery: number) => 34 + ((W - 44) * recovery) / 100;
  const y = (pct: number) => H - 20 - ((H - 34) * (pct - low + room)) / (high - low + 2 * room);
  const line = cuts
    .map((cut, i) => `${i === 0 ? 'M' : 'L'}${x(cut.recoveryPct).toFixed(1)} ${y(cut.pct).toFixed(1)}`)
    .join('');
  const toTheRight = now.recoveryPct > 60;
  const first = itemAt(cuts, 0);
  const last = lastOf(cuts);
  const label = `From ${formatNumber(first.pct, 3)} % strong with ${formatNumber(first.recoveryPct, 2)} % recovered to ${formatNumber(last.pct, 3)} % with ${formatNumber(last.recoveryPct, 2)} %`;
  return (
    <figure className="trade-off">
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the slider above does the same with keys */}
      <svg
        viewBox={`0 0 ${W} ${H}`}
        role="img"
        aria-label={label}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          const at = (((event.clientX - box.left) / box.width) * W - 34) / ((W - 44) / 100);
          const nearest = [...cuts].sort((a, b) => Math.abs(a.recoveryPct - at) - Math.abs(b.recoveryPct - at))[0];
          if (nearest) onUse(nearest);
        }}
      >
        <line x1="34" x2={W - 10} y1={H - 20} y2={H - 20} className="still-grid" />
        <text x="40" y="12" className="drawn-words">
          strength, %
        </text>
        <text x="30" y={y(high) + 4} textAnchor="end" className="drawn-words">
          {formatNumber(high, 3)}
        </text>
        <text x="30" y={y(low) + 4} textAnchor="end" className="drawn-words">
          {formatNumber(low, 3)}
        </text>
        <text x={W - 10} y={H - 5} textAnchor="end" className="drawn-words">
          recovered, 100 %
        </text>
        <path d={line} className="still-strength" />
        {best ? <circle cx={x(best.recoveryPct)} cy={y(best.pct)} r="5" className="trade-best" /> : null}
        <circle cx={x(now.recoveryPct)} cy={y(now.pct)} r="4" className="trade-now" />
        <text
          x={x(now.recoveryPct) + (toTheRight ? -8 : 8)}
          y={y(now.pct) + 4}
          textAnchor={toTheRight ? 'end' : 'start'}
          className="still-here-words"
        >
          your marks
        </text>
      </svg>
    </figure>
  );
}
