import { useMemo } from 'react';
import { formatNumber } from '#base/units';
import type { BatchSummary } from '#contract/api';
import { type ShownValue, shownBy } from '#matter/account';
import { bookEfficiency } from '#model/electrolysis';
import type { Plan } from '#run/plan';
import { useBatches } from '../api/queries.ts';

/** What one's own finished runs say of a plan's rough values. */
export function useShown(plan: Plan | undefined): readonly ShownValue[] {
  const { data } = useBatches();
  return useMemo(() => (plan ? shownFor(plan, data ?? []) : []), [plan, data]);
}

function shownFor(plan: Plan, batches: readonly BatchSummary[]): readonly ShownValue[] {
  const { id, handling, makes, steps } = plan.route;
  const runs = batches.map(({ routeId, shows }) => ({ routeId, ...shows }));
  const filters = makes.kind === 'solid' && handling !== null;
  const boils = steps.some(({ op }) => op.do === 'boil-down');
  const route = filters && handling ? { id, lossPct: handling.lossPct, sdPct: handling.sdPct } : null;
  const cells = steps.flatMap(({ op }) => (op.do === 'electrolyse' ? [op.makes] : []));
  const book = cells[0] ? bookEfficiency(cells[0]) : null;
  const cell = book && { routeId: id, ...book };
  return shownBy(runs, { route, boilGPerH: plan.bench.evaporationGPerH, cell }).filter(
    ({ what }) => what !== 'boiling' || boils,
  );
}

/** A plan with what this bench has shown in place of the book's, where that is better known. */
export function withShown(plan: Plan, shown: readonly ShownValue[]): Plan {
  const of = (what: ShownValue['what']) => shown.find((each) => each.what === what && each.used)?.own;
  const [boiling, loss, cell] = [of('boiling'), of('loss'), of('cell')];
  const { handling } = plan.route;
  const bench = {
    ...plan.bench,
    ...(boiling ? { evaporationGPerH: boiling.value } : {}),
    ...(cell ? { cellEfficiency: { pct: Math.min(105, cell.value), sd: Math.min(60, cell.sd) } } : {}),
  };
  if (!loss || !handling) return { ...plan, bench };
  const own = { lossPct: Math.min(95, Math.max(0, loss.value)), sdPct: Math.min(50, loss.sd) };
  return { ...plan, bench, route: { ...plan.route, handling: { ...handling, ...own } } };
}

interface ShownHereProps {
  readonly shown: readonly ShownValue[];
  /** The person wants the book's values all the same. */
  readonly byBook: boolean;
  readonly onByBook: (byBook: boolean) => void;
}

const OF: Readonly<Record<ShownValue['what'], string>> = {
  loss: 'Lost in filtering and rinsing',
  boiling: 'Boiled off in an hour',
  cell: 'Current efficiency of such a cell',
};

/** What the runs of this bench say, beside what the book says, and which of the two is computed with. */
export function ShownHere({ shown, byBook, onByBook }: ShownHereProps) {
  if (shown.length === 0) return null;
  return (
    <section aria-labelledby="shown-here">
      <h2 id="shown-here">What this bench has shown</h2>
      <ul className="plain-list">
        {shown.map(({ what, unit, book, own, used }) => (
          <li key={what}>
            {OF[what]}: <b>{bandText(own, unit)}</b> by {own.runs === 1 ? 'one run' : `${own.runs} runs`}; the book says{' '}
            {bandText(book, unit)}. <span className="quiet small">{usedText(used && !byBook, used)}</span>
          </li>
        ))}
      </ul>
      {shown.some(({ used }) => used) ? (
        <button type="button" className="link" onClick={() => onByBook(!byBook)}>
          {byBook ? 'Compute with what was shown here' : 'Compute by the book all the same'}
        </button>
      ) : null}
    </section>
  );
}

function bandText({ value, sd }: { readonly value: number; readonly sd: number }, unit: string): string {
  return `${formatNumber(value, 2)} ± ${formatNumber(2 * sd, 2)} ${unit}`;
}

function usedText(used: boolean, could: boolean): string {
  if (used) return 'Computed with what was shown.';
  return could ? 'Computed by the book, as you asked.' : 'Computed by the book until more runs agree.';
}
