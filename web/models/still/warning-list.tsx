import { formatNumber } from '#base/units';
import type { Warning } from '#model/still';

/** What to mind of a run, the gravest first, each with when. */
export function WarningList({ warnings }: { warnings: readonly Warning[] }) {
  return (
    <ul className="still-warnings">
      {warnings.map(({ id, weight, text, atMin }) => (
        <li key={`${id} ${text}`} data-weight={weight}>
          <b>{WORDS[weight]}</b> {text}
          {atMin === null
            ? ''
            : ` (at ${atMin < 90 ? `${Math.round(atMin)} min` : `${formatNumber(atMin / 60, 2)} h`})`}
        </li>
      ))}
    </ul>
  );
}

const WORDS: Readonly<Record<Warning['weight'], string>> = { stop: 'Stop.', caution: 'Mind.', note: 'Note.' };
