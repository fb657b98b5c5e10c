import { Link } from 'react-router';
import { formatNumber } from '#base/units';
import type { RecordAnswer } from '#run/outcome';
import { Num } from '../parts/num.tsx';

/** What each receiver of a distillation caught, what was read while it filled, and where it went. */
export function Fractions({ record }: { record: RecordAnswer | undefined }) {
  return record?.stills.map((still) => <OfOne key={still.fractions[0]?.step} still={still} />) ?? null;
}

function OfOne({ still }: { still: RecordAnswer['stills'][number] }) {
  const { fractions: found, balance } = still;
  if (found.length === 0) return null;
  const rest = balance?.parts.filter(({ place }) => !found.some(({ vessel }) => vessel === place)) ?? [];
  return (
    <>
      <h2>Fractions</h2>
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">receiver</th>
            <th scope="col" className="right">
              mL
            </th>
            <th scope="col" className="right">
              strength
            </th>
            <th scope="col" className="right">
              recovered
            </th>
            <th scope="col">now</th>
          </tr>
        </thead>
        <tbody>
          {found.map((each) => (
            <tr key={each.vessel}>
              <th scope="row">{each.vessel}</th>
              <td className="right">{formatNumber(each.ml, 3)}</td>
              <td className="right">
                <Num figure={each.pct} /> {each.measured ? 'measured' : 'by the still'}
              </td>
              <td className="right">{formatNumber(each.recoveryPct, 3)} %</td>
              <td>{each.bottleId ? <Link to={`/shelf/${each.bottleId}`}>on the shelf</Link> : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {rest.length > 0 ? (
        <p className="quiet small">
          The rest: {rest.map(({ place, pct }) => `${NAMES[place] ?? place} ${formatNumber(pct, 2)} %`).join(', ')}.
        </p>
      ) : null}
    </>
  );
}

const NAMES: Readonly<Record<string, string>> = {
  pot: 'in the flask',
  condenser: 'on the glass',
  air: 'gone as gas',
  paper: 'in the filter',
};
