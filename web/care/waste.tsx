import { formatNumber } from '#base/units';
import type { WastePlan } from '#run/care';

/** What is left of a batch and what becomes of it: how much of what, to which pH, into which jar. */
export function Waste({ plan }: { plan: WastePlan }) {
  return (
    <section aria-label="Waste of this batch" className="waste">
      <h2>Waste of this batch</h2>
      {plan.items.length === 0 ? <p className="quiet">Nothing is left over but what is the product.</p> : null}
      <ul className="waste-items">
        {plan.items.map((item) => (
          <li key={item.id}>
            <Jar heavy={item.goes === 'jar'} />
            <div>
              <p>
                <b>{item.name.charAt(0).toUpperCase() + item.name.slice(1)}</b>{' '}
                <span className="quiet">{item.holds}</span>
              </p>
              <ol>
                {item.steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
              {item.gasL > 0.1 ? (
                <p className="small quiet">
                  It gives off about {formatNumber(item.gasL, 2)} L of carbon dioxide: no closed jar.
                </p>
              ) : null}
            </div>
            <b className="waste-goes">{GOES[item.goes]}</b>
          </li>
        ))}
      </ul>
      <Jars plan={plan} />
      <p className="waste-never">
        <b>Never:</b> {plan.never}
      </p>
      <p className="small quiet">What may be poured away, and how much, your local rules say.</p>
    </section>
  );
}

/** The waste jars of the shelf, and which of these they take. */
function Jars({ plan }: { plan: WastePlan }) {
  if (plan.jars.length === 0)
    return plan.items.some(({ goes }) => goes === 'jar') ? (
      <p className="small quiet">No waste jar stands on your shelf: put one there, with “Stands with: waste”.</p>
    ) : null;
  return (
    <ul className="waste-jars small">
      {plan.jars.map((jar) => {
        const [clash] = Object.values(jar.against);
        return (
          <li key={jar.bottleId}>
            <b>{jar.name}</b>
            {jar.place ? `, ${jar.place}` : ''}:{' '}
            {clash === undefined ? 'takes all of these.' : <span className="stop">not for these: {clash}</span>}
          </li>
        );
      })}
    </ul>
  );
}

const GOES = { jar: 'jar', drain: 'diluted, if allowed', bin: 'dry, bin', ask: 'ask first' } as const;

function Jar({ heavy }: { heavy: boolean }) {
  return (
    <svg viewBox="0 0 28 36" width="28" height="36" aria-hidden="true">
      <path d="M3 2 H25 V8 H3 Z" className="jar-lid" />
      <path d="M5 8 H23 L24 33 Q24 34 23 34 H5 Q4 34 4 33 Z" className="jar-wall" />
      <path d="M5.5 20 H22.5 L23 33 H5 Z" className={heavy ? 'jar-heavy' : 'jar-light'} />
    </svg>
  );
}
