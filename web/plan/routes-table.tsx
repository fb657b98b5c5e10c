import { hoursText } from '#base/time';
import type { PlanChoice } from '#run/choose';
import type { SheetRow } from '#run/sheet';
import { Num } from '../parts/num.tsx';

interface RoutesProps {
  readonly choices: readonly PlanChoice[];
  readonly chosen: string | undefined;
  /** Of the chosen one, with the bottles and controls as they are set; null while it cannot work. */
  readonly row: SheetRow | null;
  readonly onChoose: (routeId: string) => void;
}

/** The routes the shelf allows, compared in rows. */
export function RoutesTable({ choices, chosen, row: set, onChoose }: RoutesProps) {
  return (
    <table className="routes">
      <caption className="sr">Routes to it</caption>
      <thead>
        <tr>
          <th scope="col">Route</th>
          <th scope="col">cost</th>
          <th scope="col">hands on</th>
          <th scope="col">waiting</th>
          <th scope="col">yield</th>
          <th scope="col" className="wide">
            mind
          </th>
        </tr>
      </thead>
      <tbody>
        {choices.map(({ plan, title, missing, problem, row: first }) => {
          const row = plan.route.id === chosen ? set : first;
          return (
            <tr key={plan.route.id} aria-selected={plan.route.id === chosen}>
              <td>
                <button
                  type="button"
                  className="link"
                  aria-pressed={plan.route.id === chosen}
                  onClick={() => onChoose(plan.route.id)}
                >
                  {plan.route.id === chosen ? '▸ ' : ''}
                  {title}
                </button>
                {missing.map((each) => (
                  <p key={each} className="problem small">
                    {each}
                  </p>
                ))}
                {problem && plan.route.id !== chosen ? <p className="problem small">{problem.message}</p> : null}
              </td>
              <td>{row?.cost ? row.cost.value.toFixed(2) : '–'}</td>
              <td>{row ? hoursText(row.handsOnH) : '–'}</td>
              <td>{row?.wait ?? '–'}</td>
              <td>{row?.yieldPct ? <Num figure={row.yieldPct} /> : '–'}</td>
              <td className="wide">{row?.watch ?? ''}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
