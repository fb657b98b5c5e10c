import { formatNumber } from '#base/units';
import { substanceOf } from '#matter/substance';
import type { Plan } from '#run/plan';
import type { Sheet } from '#run/sheet';
import { Num } from '../parts/num.tsx';
import { VesselDrawing } from '../parts/vessel-drawing.tsx';
import { ExcessPrices } from '../planning/excess-prices.tsx';
import { Uncertainty } from '../planning/uncertainty.tsx';

/** What comes of it, how sure that is, and what is not known; beside it the vessel it needs. */
export function Expected({ sheet, plan }: { sheet: Sheet; plan: Plan }) {
  const { vessel, product, made, theory, yieldPct, atMost, notKnown } = sheet;
  return (
    <div className="own-expected">
      <section aria-label="What comes of it">
        <p className="own-expect">
          {product ? (
            <>
              {atMost ? 'At most ' : 'Expect '}
              <Num big figure={product} bare={atMost} />
              {theory ? (
                <>
                  , of <Num bare figure={theory} shown={formatNumber(theory.value, 3)} /> by theory
                </>
              ) : null}
              {yieldPct && !atMost ? (
                <>
                  : <Num figure={yieldPct} bare />
                </>
              ) : null}
              .
            </>
          ) : null}
          {made ? (
            <>
              <Num big bare figure={made.volume} shown={formatNumber(made.volume.value, 4)} />,{' '}
              <Num figure={made.strength} />.
            </>
          ) : null}
          {!product && !made
            ? 'Nothing in these steps brings the product out: it stays where it was made. Let it crystallise or settle, and filter it off.'
            : null}
        </p>
        {notKnown.length > 0 ? (
          <p>
            <b>Not known:</b> {notKnown.map(({ says }) => says).join(' ')}
          </p>
        ) : null}
        <ul className="own-gauges">
          {sheet.gauges.map(({ name, shown, note, state }) => (
            <li key={name} className={state}>
              {name} <b>{shown}</b> <span className="quiet small">{note}</span>
            </li>
          ))}
        </ul>
        {sheet.shortages.map((each) => (
          <p key={each.message} className="problem small">
            {each.message}
          </p>
        ))}
        <ExcessPrices plan={plan} />
        {atMost ? null : <Uncertainty sheet={sheet} plan={plan} />}
      </section>
      {vessel ? (
        <figure className="vessel-fig" style={{ margin: 0 }}>
          <VesselDrawing
            vessel={vessel.vessel}
            liquidMl={sheet.liquidMl}
            foamMl={sheet.foamMl}
            gas={sheet.gases.length > 0}
            gasText={sheet.gases.map(({ name }) => name).join(', ')}
            tint={substanceOf(plan.target.substanceId).tint === 'straw' ? 'straw' : 'clear'}
          />
          <figcaption className={vessel.holds ? 'quiet' : 'stop'}>
            {vessel.holds
              ? `fills to ${Math.round(vessel.liquidShare * 100)} %`
              : `${vessel.vessel.name} is too small: split the batch`}
          </figcaption>
        </figure>
      ) : (
        <p className="problem">No vessel is listed at your bench.</p>
      )}
    </div>
  );
}
