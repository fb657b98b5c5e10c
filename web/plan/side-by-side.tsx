import { useMemo, useState } from 'react';
import { sdOf } from '#base/figure';
import { hoursText } from '#base/time';
import { formatFigure, formatNumber } from '#base/units';
import type { MethodColumn, MethodRow } from '#run/choose';
import type { Plan } from '#run/plan';
import { NumberField } from '../kit/number-field.tsx';
import { useCompute } from '../worker/compute.ts';

interface SideBySideProps {
  readonly plans: readonly Plan[];
  /** What the chosen plan costs, and what comes of it, g or mL. */
  readonly chosen: { readonly cost: number | null; readonly amount: Plan['target']['amount'] };
  readonly onChoose: (routeId: string, controls: Readonly<Record<string, number>>) => void;
}

const COLUMNS: readonly {
  readonly id: MethodColumn;
  readonly name: string;
  readonly text: (row: MethodRow) => string;
}[] = [
  { id: 'cost', name: 'cost', text: ({ cost }) => (cost === null ? 'no price' : cost.toFixed(2)) },
  { id: 'handsOnH', name: 'hands on', text: ({ handsOnH }) => hoursText(handsOnH) },
  { id: 'waitH', name: 'waiting', text: ({ waitH: [low, high] }) => `${hoursText(low)} to ${hoursText(high)}` },
  {
    id: 'yieldPct',
    name: 'yield',
    text: ({ yieldPct }) => (yieldPct ? `${formatFigure(yieldPct.value, sdOf(yieldPct))} %` : 'not known'),
  },
  {
    id: 'bandPct',
    name: 'how sure',
    text: ({ bandPct }) => (bandPct === null ? 'not known' : `± ${formatNumber(bandPct, 2)} %`),
  },
  { id: 'gasL', name: 'gas', text: ({ gasL }) => (gasL > 0 ? `${formatNumber(gasL, 2)} L` : 'none') },
  {
    id: 'awayG',
    name: 'water to drive off',
    text: ({ awayG }) => (awayG > 0 ? `${formatNumber(awayG, 2)} g` : 'none'),
  },
  { id: 'cautions', name: 'grave cautions', text: ({ cautions }) => String(cautions) },
];

/** The routes to a target and the methods within each, in rows; what is best of a column is marked where they differ. */
export function SideBySide({ plans, chosen, onChoose }: SideBySideProps) {
  const { value = [], busy } = useCompute(
    'sideBySide',
    useMemo(() => (plans.length > 0 ? { plans: plans.slice(0, 12) } : undefined), [plans]),
  );
  return (
    <section aria-labelledby="side-by-side">
      <h2 id="side-by-side">Methods side by side</h2>
      {busy && value.length === 0 ? <p className="quiet">Computing each …</p> : null}
      <div className="wide-table">
        <table className="routes">
          <thead>
            <tr>
              <th scope="col">way</th>
              {COLUMNS.map(({ id, name }) => (
                <th key={id} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {value.map((row) => (
              <tr key={`${row.routeId} ${row.method}`}>
                <td>
                  <button type="button" className="link" onClick={() => onChoose(row.routeId, row.controls)}>
                    {row.route}
                    {row.method === '' ? '' : `: ${row.method}`}
                  </button>
                  {row.problem ? <p className="problem small">{row.problem}</p> : null}
                </td>
                {COLUMNS.map(({ id, text }) => (
                  <td key={id} className={row.best.includes(id) ? 'within' : undefined}>
                    {row.problem ? '–' : text(row)}
                    {row.best.includes(id) ? (
                      <>
                        {' '}
                        <span aria-hidden="true">◆</span>
                        <span className="sr">, the best</span>
                      </>
                    ) : null}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <WorthIt {...chosen} />
    </section>
  );
}

/** Made or bought: what a shop asks for as much, beside what its reagents cost. */
function WorthIt({ cost, amount }: SideBySideProps['chosen']) {
  const [price, setPrice] = useState<number | null>(null);
  const [size, setSize] = useState<number | null>(null);
  const bought = price !== null && size !== null && size > 0 && price > 0 ? (price * amount.value) / size : null;
  return (
    <div className="row">
      <NumberField label="In a shop it costs" value={price} min={0} onChange={setPrice} />
      <NumberField label={`for, ${amount.unit}`} value={size} min={0} onChange={setSize} />
      <p role="status">{worthText(bought, cost, amount)}</p>
    </div>
  );
}

function worthText(bought: number | null, cost: number | null, { value, unit }: Plan['target']['amount']): string {
  if (bought === null) return '';
  if (cost === null)
    return `${formatNumber(value, 3)} ${unit} bought: ${bought.toFixed(2)}. What it costs to make is not known: no bottle has a price.`;
  const made = `${formatNumber(value, 3)} ${unit} made: ${cost.toFixed(2)} of reagents with a price; bought: ${bought.toFixed(2)}.`;
  return cost < bought
    ? `${made} Making saves ${(bought - cost).toFixed(2)}.`
    : `${made} Buying is cheaper by ${(cost - bought).toFixed(2)}.`;
}
