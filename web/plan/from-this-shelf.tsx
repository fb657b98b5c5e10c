import { sdOf } from '#core/figure';
import { hoursText, type MakeableAnswer } from '#core/sheet';
import { formatFigure } from '#core/units';

interface FromThisShelfProps {
  readonly answer: MakeableAnswer;
  readonly onPick: (ask: string) => void;
}

/** What the shelf can make as it stands, and what one more product would open: a tap asks for it. */
export function FromThisShelf({ answer: { now, next }, onPick }: FromThisShelfProps) {
  return (
    <>
      {now.length > 0 ? (
        <section aria-labelledby="from-this-shelf">
          <h2 id="from-this-shelf">From this shelf</h2>
          <ul className="makeable">
            {now.map(({ name, ask, most, route, routes, row }) => (
              <li key={ask}>
                <button type="button" className="make" onClick={() => onPick(ask)}>
                  <b>{name}</b>
                  <span className="make-most">{most || 'how much is not known'}</span>
                  <span className="quiet small">
                    {route}
                    {routes > 1 ? `, and ${routes - 1} more` : ''}
                  </span>
                  <span className="small">
                    {hoursText(row.handsOnH)} hands on, {row.wait} waiting
                    {row.yieldPct ? `, ${formatFigure(row.yieldPct.value, sdOf(row.yieldPct))} %` : ''}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {next.length > 0 ? (
        <section aria-labelledby="one-more">
          <h2 id="one-more">One product more opens</h2>
          <dl className="opens">
            {next.map(({ product, opens }) => (
              <div key={product}>
                <dt>{product}</dt>
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
    </>
  );
}
