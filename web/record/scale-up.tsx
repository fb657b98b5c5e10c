import { Link } from 'react-router';
import { hoursText } from '#base/time';
import { formatNumber } from '#base/units';
import type { RecordAnswer } from '#run/outcome';
import { NumberField } from '../kit/number-field.tsx';
import type { Run } from '../run/use-run.ts';

/** How many times as much, in how many batches; null where nothing readable is typed. */
export interface Times {
  readonly factor: number | null;
  readonly batches: number | null;
}

interface ScaleUpProps {
  readonly run: Run;
  readonly record: RecordAnswer | undefined;
  readonly by: Times;
  readonly onBy: (by: Times) => void;
}

/** A finished run as a pilot: so many times as much, in one batch or several, with what does not grow along. */
export function ScaleUp({ run, record, by: { factor, batches }, onBy }: ScaleUpProps) {
  const { plan } = run.batch;
  const answer = record?.scaled;
  if (run.state.status !== 'done' || !answer) return null;
  return (
    <details className="scale-up no-print">
      <summary>
        <h2>Scale it up</h2>
      </summary>
      <div className="row">
        <NumberField
          label="Times as much"
          unit="×"
          value={factor}
          min={0.1}
          max={200}
          onChange={(next) => onBy({ factor: next, batches })}
        />
        <NumberField
          label="In batches"
          value={batches}
          min={1}
          max={50}
          onChange={(next) => onBy({ factor, batches: next })}
        />
      </div>
      {answer.ok ? (
        <>
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">takes</th>
                <th scope="col" className="right">
                  a batch
                </th>
                <th scope="col" className="right">
                  in all
                </th>
                <th scope="col">lacks</th>
              </tr>
            </thead>
            <tbody>
              {answer.value.takes.map(({ name, one, all, short }) => (
                <tr key={name}>
                  <td>{name}</td>
                  <td className="right mono">{one}</td>
                  <td className="right mono">{all}</td>
                  <td>{short}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            {answer.value.product ? (
              <>
                Gives about <b>{formatNumber(answer.value.product.value, 3)}</b> {answer.value.product.unit}, as the
                pilot went ({formatNumber(100 * answer.value.asPilot, 3)} % of what was expected).{' '}
              </>
            ) : null}
            {answer.value.strength} {hoursText(answer.value.handsOnH)} hands on, {hoursText(answer.value.waitH[0])} to{' '}
            {hoursText(answer.value.waitH[1])} waiting
            {answer.value.cost === null ? '' : `, ${answer.value.cost.toFixed(2)} of reagents with a price`}.
          </p>
          {answer.value.mind.length > 0 ? (
            <>
              <h3>What does not scale</h3>
              <ul>
                {answer.value.mind.map((each) => (
                  <li key={each}>{each}</li>
                ))}
              </ul>
            </>
          ) : null}
          <Link to={`/plan?make=${encodeURIComponent(answer.value.ask)}&route=${plan.route.id}`}>Plan one of them</Link>
        </>
      ) : (
        <p className="problem">{answer.problem.message}</p>
      )}
    </details>
  );
}
