import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { AssaySummary, BottleAnswer } from '#contract/api';
import { sentenceOf } from '../api/client.ts';
import { useBottles, useClock } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';
import { useAssays } from './use-assay.ts';
import { Products } from './weighings.tsx';
import './assay.css';

/** The assay station: what wants a strength found, what is begun, what was found, and products to weigh. */
export function AssayHome() {
  const bottles = useBottles();
  const assays = useAssays();
  return (
    <>
      <h1>How strong is it?</h1>
      {bottles.isLoadingError ? <p className="problem">{sentenceOf(bottles.error)}</p> : null}
      {bottles.isPending ? <p className="waiting-block">Loading the bottles …</p> : null}
      {assays.isLoadingError ? <p className="problem">{sentenceOf(assays.error)}</p> : null}
      {bottles.data ? (
        <Wanting bottles={bottles.data} assays={assays.data ?? []}>
          {assays.data && assays.data.length > 0 ? <Made assays={assays.data} /> : null}
          <Products />
        </Wanting>
      ) : null}
    </>
  );
}

interface WantingProps {
  readonly bottles: readonly BottleAnswer[];
  readonly assays: readonly AssaySummary[];
  /** Stands between what is overdue and the rest. */
  readonly children: ReactNode;
}

function Wanting({ bottles, assays, children }: WantingProps) {
  const clock = useClock();
  const shelf = bottles.filter(({ archived, card }) => !archived && card.group !== 'waste');
  const stale = new Set(clock.data?.overdue.map(({ bottleId }) => bottleId));
  const begun = new Map(assays.filter(({ applied }) => !applied).map(({ bottleId, id }) => [bottleId, id]));
  const rows = shelf
    .map((bottle) => ({ bottle, weight: weightOf(bottle, stale) }))
    .sort((a, b) => a.weight - b.weight || a.bottle.card.name.localeCompare(b.bottle.card.name));
  if (rows.length === 0)
    return (
      <p className="waiting-block">
        Nothing on the shelf yet. <Link to="/shelf">Put a bottle there</Link>; then find out how strong it is.
      </p>
    );
  const overdue = rows.filter(({ weight }) => weight === 0);
  const rest = rows.filter(({ weight }) => weight > 0);
  return (
    <>
      {overdue.length > 0 ? <Rows rows={overdue} begun={begun} caption="Overdue" /> : null}
      {children}
      {rest.length > 0 ? <Rows rows={rest} begun={begun} caption="The other bottles" /> : null}
    </>
  );
}

interface RowsProps {
  readonly rows: readonly { readonly bottle: BottleAnswer; readonly weight: number }[];
  /** Assays at work, by their bottle. */
  readonly begun: ReadonlyMap<string, string>;
  readonly caption: string;
}

function Rows({ rows, begun, caption }: RowsProps) {
  return (
    <table className="plain-table assay-list">
      <caption>
        <h2>{caption}</h2>
      </caption>
      <thead>
        <tr>
          <th scope="col">bottle</th>
          <th scope="col">its strength is</th>
          <th scope="col">
            <span className="sr">what to do</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ bottle: { id, card }, weight }) => (
          <tr key={id}>
            <td>
              <Link to={`/shelf/${id}`}>{card.name}</Link>
            </td>
            <td className={weight === 0 ? 'watch' : 'quiet'}>{weight === 0 ? staleText(card) : knownText(card)}</td>
            <td>
              {begun.has(id) ? (
                <Link to={`/assay/run/${begun.get(id)}`}>go on with it</Link>
              ) : (
                <Link to={`/assay/of/${id}`}>find it out</Link>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Overdue first, measured ones last. */
function weightOf({ id, card }: BottleAnswer, stale: ReadonlySet<string>): 0 | 1 | 2 {
  if (stale.has(id)) return 0;
  return card.assayed ? 2 : 1;
}

function staleText({ measured, since }: BottleAnswer['card']): string {
  return `overdue: ${measured ? `measured ${dayText(measured.day)}` : `since ${dayText(since)}`}, it has faded since`;
}

function knownText({ measured, assayed }: BottleAnswer['card']): string {
  if (measured) return `measured ${dayText(measured.day)}`;
  return assayed ? 'assayed' : 'by its label alone';
}

function Made({ assays }: { assays: readonly AssaySummary[] }) {
  return (
    <>
      <h2>Assays</h2>
      <ul className="plain-list">
        {assays.map(({ id, bottleName, method, day, found, applied, suspect }) => (
          <li key={id}>
            <Link to={`/assay/run/${id}`}>{bottleName}</Link>{' '}
            <span className="quiet">
              {dayText(day)}, {method}
              {found ? `: ${found}` : ': begun'}
              {found && !applied ? ', not written on the bottle yet' : ''}
              {suspect ? ', one replicate is suspect' : ''}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
