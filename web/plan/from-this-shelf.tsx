import { sdOf } from '#base/figure';
import { hoursText } from '#base/time';
import { formatFigure } from '#base/units';
import type { MakeableAnswer } from '#run/choose';

interface FromThisShelfProps {
  readonly answer: MakeableAnswer;
  readonly onPick: (ask: string) => void;
}

/** px of a line of the drawing, and its width to the left of the names. */
const ROW = 46;
const WIDE = 76;

/** What the shelf can make as it stands, drawn as branches from it, and what one more product would open: a tap asks for it. */
export function FromThisShelf({ answer: { now, next }, onPick }: FromThisShelfProps) {
  return (
    <div className="from-shelf">
      {now.length > 0 ? (
        <section aria-labelledby="from-this-shelf" className="from-now">
          <h2 id="from-this-shelf">From this shelf</h2>
          <div className="branches">
            <Branches count={now.length} />
            <ul>
              {now.map(({ name, ask, most, route, routes, row }) => (
                <li key={ask} style={{ height: ROW }}>
                  <button
                    type="button"
                    className="branch"
                    title={`${route}${routes > 1 ? `, and ${routes - 1} more` : ''}; ${hoursText(row.handsOnH)} hands on, ${row.wait} waiting`}
                    onClick={() => onPick(ask)}
                  >
                    <b>{name}</b>
                    <span className="quiet small">
                      {most || 'how much is not known'}
                      <span className="sr">, {route}</span>
                      {row.yieldPct ? `, ${formatFigure(row.yieldPct.value, sdOf(row.yieldPct))} %` : ''}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
        </section>
      ) : null}
      {next.length > 0 ? (
        <section aria-labelledby="one-more" className="from-next">
          <h2 id="one-more">One product more opens</h2>
          <dl className="opens">
            {next.map(({ product, opens }) => (
              <div key={product}>
                <dt>with {product}</dt>
                <dd>
                  {opens.map(({ name, ask }) => (
                    <button key={ask} type="button" className="link" onClick={() => onPick(ask)}>
                      {name}
                    </button>
                  ))}
                </dd>
              </div>
            ))}
          </dl>
        </section>
      ) : null}
    </div>
  );
}

/** From one point at the left a curve to each line. */
function Branches({ count }: { count: number }) {
  const height = count * ROW;
  const middle = height / 2;
  return (
    <svg width={WIDE} height={height} viewBox={`0 0 ${WIDE} ${height}`} aria-hidden="true" className="branch-lines">
      {Array.from({ length: count }, (_, i) => {
        const y = i * ROW + ROW / 2;
        return (
          <g key={y}>
            <path d={`M8 ${middle}C34 ${middle} 26 ${y} ${WIDE - 10} ${y}`} className="branch-line" />
            <rect x={WIDE - 14} y={y - 4} width="8" height="8" className="branch-end" />
          </g>
        );
      })}
      <circle cx="8" cy={middle} r="6" className="branch-root" />
    </svg>
  );
}
