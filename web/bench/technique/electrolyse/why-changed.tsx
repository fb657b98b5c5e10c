import { useState } from 'react';
import { exactReading, parseReading, readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import type { CellRun } from '#run/state';
import type { Run } from '#web/run/use-run.ts';

/** Why the current is not what it was: causes by likelihood, the check that decides, and what to do then. */
export function WhyChanged({ run, step, cell }: { run: Run; step: string; cell: CellRun }) {
  const { causes, drops, wallV } = cell.watch;
  const [first] = causes;
  if (!first) return null;
  return (
    <section aria-label="Why the current changed">
      <h2>{titleOf(cell)}</h2>
      <p className="quiet small">likelihood, cause{drops && wallV !== null ? ', volts across the divider' : ''}</p>
      <ul className="cell-causes">
        {causes.slice(0, 4).map(({ id, says, likely, wallV: range, check, next }, i) => (
          <li key={id}>
            <span className="cell-likely" role="img" aria-label={`${formatNumber(100 * likely, 2)} %`}>
              <span style={{ width: `${Math.round(100 * likely)}%` }} />
            </span>
            <b>{says}</b>
            <span className="quiet mono">{rangeText(range)}</span>
            {i === 0 ? (
              <span className="cell-check">
                {check} {next}
              </span>
            ) : null}
          </li>
        ))}
      </ul>
      {causes.some(({ wallV: range }) => range) ? <Probe run={run} step={step} /> : null}
    </section>
  );
}

/** What has changed, in a line: the current at the same volts, or the volts for the same current. */
function titleOf({ watch: { changed } }: CellRun): string {
  if (!changed) return 'Why it changed';
  const { amps, volts } = changed;
  const a = amps.map((each) => formatNumber(each, 2));
  const v = volts.map((each) => formatNumber(each, 2));
  const same = Math.abs(amps[1] / Math.max(1e-6, amps[0]) - 1) < 0.05;
  if (same) return `Why ${a[1]} A take ${v[1]} V now, ${v[0]} before`;
  return `Why it ${amps[1] < amps[0] ? 'fell' : 'climbed'} from ${a[0]} to ${a[1]} A`;
}

/** Volts across the divider if it is so. */
function rangeText(range: readonly [number, number] | null): string {
  if (!range) return '';
  const [low, high] = range;
  if (!Number.isFinite(high)) return `over ${low.toFixed(1)}`;
  return low <= 0.05 ? `under ${high.toFixed(1)}` : `${low.toFixed(1)} to ${high.toFixed(1)}`;
}

/** One reading decides: the volts between both sides of the divider. */
function Probe({ run, step }: { run: Run; step: string }) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const enter = () => {
    const read = parseReading(text, 'V');
    const value = read.ok ? readingValue(read.value) : undefined;
    if (value?.unit !== 'V') return setProblem('Write it like 1.4 V.');
    if (!(value.value >= 0 && value.value <= 60)) return setProblem('Between 0 and 60 V: touch both sides again.');
    run.enter({ kind: 'read', step, quantity: 'wall', reading: exactReading(value.value, 'V'), place: '' });
    setText('');
    setProblem('');
  };
  return (
    <p className="cell-decides">
      <b>One reading decides.</b> A probe in the liquid on each side of the divider reads{' '}
      <input
        aria-label="Volts across the divider"
        inputMode="decimal"
        maxLength={12}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') enter();
        }}
      />{' '}
      V{' '}
      <button type="button" className="link" onClick={enter}>
        Enter it
      </button>
      {problem ? <span className="problem">{problem}</span> : null}
    </p>
  );
}
