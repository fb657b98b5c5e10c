import { formatNumber } from '#base/units';
import { substanceOf } from '#matter/substance';
import { endSignFor } from '#model/electrolysis';
import type { CellRun } from '#run/state';
import { sideName } from '#web/models/cell/words.ts';

/** What stands on either side now, by the model along the readings. */
export function Sides({ cell }: { cell: CellRun }) {
  const { watch, plan } = cell;
  return (
    <>
      {watch.sides.map(({ side, ml, pH, dissolved, solid }) => (
        <section key={side} className="cell-side" aria-label={`In the ${sideName(side, cell)}`}>
          <h3>In {plan.setup.divider === 'none' ? 'the liquid' : `the ${sideName(side, cell)}`}</h3>
          <dl>
            {dissolved.map(({ id, molPerL }) => (
              <Row key={id} name={substanceOf(id).name} value={`${formatNumber(molPerL, 2)} mol/L`} />
            ))}
            {solid.map(({ id, grams }) => (
              <Row key={id} name={substanceOf(id).name} value={`${formatNumber(grams, 2)} g`} />
            ))}
            <Row name="pH" value={pH > 13 ? '13 or more' : `about ${formatNumber(pH, 2)}`} />
            <Row name="volume" value={`${formatNumber(ml, 3)} mL`} />
          </dl>
          {pH > 13 ? (
            <p className="small quiet">Paper at its end says 0.1 mol/L or more: the strength is told by titration.</p>
          ) : null}
        </section>
      ))}
      <Book cell={cell} />
      <h3>What the end looks like</h3>
      <p className="small">{endSignFor(plan.makes)}</p>
    </>
  );
}

function Row({ name, value }: { name: string; value: string }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{value}</dd>
    </>
  );
}

/** The sum behind the headline, line by line. */
function Book({ cell: { watch, plan, currents } }: { cell: CellRun }) {
  const { passed, progress, efficiency } = watch;
  if (!passed || !progress) return null;
  return (
    <section className="cell-book" aria-label="Working of the charge">
      <h3>Working</h3>
      <div className="cell-work">
        <p>
          charge so far, from {currents.length} reading{currents.length === 1 ? '' : 's'}
          <br />Q = ∫ I dt ={' '}
          <b>
            {formatNumber(passed.ampHours, 3)} ± {formatNumber(2 * passed.sd, 1)} A·h
          </b>
        </p>
        <p>
          charge that is needed
          <br />Q = {formatNumber(plan.electrons, 2)} F n ÷ {formatNumber(efficiency.value / 100, 2)} ={' '}
          <b>
            {formatNumber(progress.neededAh.value, 3)} ± {formatNumber(2 * progress.neededAh.sd, 1)} A·h
          </b>
        </p>
        <p>
          {formatNumber(passed.ampHours, 3)} ÷ {formatNumber(progress.neededAh.value, 3)} ={' '}
          <b>{formatNumber(progress.byCharge.value, 2)} %</b>
        </p>
        <p className="quiet">
          current efficiency {formatNumber(efficiency.value, 2)} ± {formatNumber(2 * efficiency.sd, 1)} %,{' '}
          {efficiency.from === 'the book'
            ? 'by the model and what such cells are met in; until the product is weighed it stays a range'
            : 'from what was seen of this cell and the book together'}
        </p>
      </div>
    </section>
  );
}
