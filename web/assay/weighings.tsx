import { Link, useParams } from 'react-router';
import { sentenceOf } from '../api/client.ts';
import { useBatches } from '../api/queries.ts';
import { dayText, instantText } from '../parts/day.ts';
import { Num, NumRow } from '../parts/num.tsx';
import { useRun } from '../run/use-run.ts';
import { WeighProduct } from '../run/weigh-product.tsx';
import { WeighingChart } from './weighing-chart.tsx';

/** Products of solid routes that can be weighed. */
export function Products() {
  const batches = useBatches();
  if (batches.isPending) return <p className="waiting-block">Loading the products …</p>;
  if (batches.isLoadingError) return <p className="problem">{sentenceOf(batches.error)}</p>;
  const solid = batches.data.filter(({ weighs, status }) => weighs && (status === 'running' || status === 'done'));
  return (
    <>
      <h2>Weigh a product to constant mass</h2>
      <p className="quiet">A yield means something once two weighings agree. Choose what is drying or dried.</p>
      {solid.length === 0 ? (
        <p className="waiting-block">
          No crystals are made yet. <Link to="/plan">Plan some</Link>.
        </p>
      ) : null}
      <ul className="plain-list">
        {solid.map(({ id, number, title, status, got, finishedAt }) => (
          <li key={id}>
            <Link to={`/assay/product/${id}`}>
              {number}. {title}
            </Link>
            <span className="quiet">
              {' '}
              {got || (status === 'running' ? 'on the bench' : '')}{' '}
              {finishedAt ? `finished ${dayText(finishedAt)}` : ''}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** A product's weighings, until two agree. */
export function Weighings() {
  const { batchId } = useParams();
  const { run, error, problem } = useRun(batchId);
  if (!run)
    return (
      <p className={error || problem ? 'problem' : 'waiting-block'}>
        {error ? sentenceOf(error) : problem || 'Loading the weighings …'}
      </p>
    );
  const { state, batch } = run;
  const step = state.steps.filter((each) => each.technique === 'dry').at(-1);
  if (!step) return <p className="problem">This run makes a solution; there is nothing to dry.</p>;
  const { weighing } = state;
  return (
    <>
      <h1>Weighing {state.sheet.product?.name.replace(', dry', '') ?? 'the product'}</h1>
      <p className="quiet">
        batch {batch.number} · <Link to={`/bench/${batch.id}?step=${step.key}`}>at the bench</Link> ·{' '}
        <Link to={`/record/${batch.id}`}>record</Link>
      </p>
      <p style={{ fontSize: 20, margin: '10px 0' }} className={weighing.constant ? 'within' : ''} role="status">
        {weighing.constant ? '✓ ' : ''}
        {weighing.sentence}
      </p>
      <div className="pane">
        <WeighProduct run={run} step={step} />
      </div>
      {weighing.weighings.length > 1 ? <WeighingChart weighings={weighing.weighings} /> : null}
      {weighing.weighings.length > 0 ? (
        <table className="plain-table" style={{ maxWidth: 420 }}>
          <caption className="sr">Weighings</caption>
          <thead>
            <tr>
              <th scope="col">when</th>
              <th scope="col">g</th>
              <th scope="col">change</th>
            </tr>
          </thead>
          <tbody>
            {weighing.weighings.map(({ at, grams }, i) => {
              const before = weighing.weighings[i - 1];
              return (
                <tr key={at}>
                  <td>{instantText(at)}</td>
                  <td className="mono">{grams.toFixed(2)}</td>
                  <td className="mono">{before ? `${(grams - before.grams).toFixed(2).replace('-', '−')} g` : ''}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      ) : null}
      {state.yield ? (
        <dl className="figures" style={{ maxWidth: 420 }}>
          <NumRow label="yield against the limiting reagent">
            <Num figure={state.yield.yieldPct} />
          </NumRow>
        </dl>
      ) : null}
    </>
  );
}
