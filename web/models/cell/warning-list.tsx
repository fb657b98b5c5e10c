import { formatNumber } from '#base/units';
import type { CellWarning } from '#model/electrolysis';

const WEIGHTS = { stop: 'stop', caution: 'watch', note: '' } as const;
const MIND = { stop: 'Stop:', caution: 'Mind:', note: 'Note:' } as const;

/** What to mind of a cell, each with its hour. */
export function CellWarnings({ warnings }: { warnings: readonly CellWarning[] }) {
  if (warnings.length === 0) return null;
  return (
    <ul className="cell-mind" aria-label="What to mind">
      {warnings.map(({ id, weight, text, atH }) => (
        <li key={id}>
          <b className={WEIGHTS[weight]}>{atH === null ? MIND[weight] : `After ${formatNumber(atH, 2)} h:`}</b> {text}
        </li>
      ))}
    </ul>
  );
}
