import { formatNumber } from '#base/units';
import type { CellRun } from '#run/state';
import { spanText, timeText } from '#web/models/cell/words.ts';

interface HeadlineProps {
  readonly cell: CellRun;
  /** How many times faster than the clock; 1 at a real cell. */
  readonly speed: number;
}

/** How long it still takes, and when to look again: the first thing that is read. */
export function Headline({ cell, speed }: HeadlineProps) {
  const { watch, now } = cell;
  const { progress, leftAlone, look } = watch;
  const done = leftAlone?.doneAt ?? null;
  const lookIn = look.at - now;
  const pct = progress?.byCharge.value ?? 0;
  const byClock = speed === 1;
  return (
    <div className="cell-top">
      <p className="cell-headline" aria-live="polite">
        {said()}
      </p>
      {done !== null && progress && pct < 99.5 ? (
        <p className="cell-ends">
          {endsText(leftAlone, { now, byClock })}
          <br />
          {byClock
            ? `may be left until ${timeText(look.at, now)}: ${look.because}`
            : `at ${formatNumber(speed, 3)} × that is ${formatNumber((done - now) / 1000 / speed, 2)} s`}
        </p>
      ) : null}
    </div>
  );

  function said() {
    if (cell.from === null) return 'Current on, then read volts, amps and warmth';
    if (watch.amps === null) return 'Running: read volts, amps and warmth now';
    if (!(watch.amps > 0)) return 'No current flows: look at clips, levels and anode';
    if (pct >= 99.5) return 'It has had its charge: look whether it is done';
    if (done === null) return 'At this current it does not get there';
    const more = (
      <>
        {pct >= 80 ? `${Math.floor(pct)} %, about ` : 'About '}
        <b>{spanText(done - now)}</b> more
      </>
    );
    if (lookIn <= 0) return <>{more}; look now</>;
    return (
      <>
        {more}; look again {byClock ? 'at ' : 'in '}
        <b>{byClock ? timeText(look.at, now) : spanText(lookIn)}</b>
      </>
    );
  }
}

function endsText(ahead: CellRun['watch']['leftAlone'], { now, byClock }: { now: number; byClock: boolean }): string {
  if (!ahead?.doneAt) return '';
  const text = (at: number) => (byClock ? timeText(at, now) : spanText(at - now));
  const band = ahead.earliest && ahead.latest ? ` (${text(ahead.earliest)} to ${text(ahead.latest)})` : '';
  return `ends ${byClock ? 'about' : 'in about'} ${text(ahead.doneAt)}${band}`;
}

/** What the charge says and what is seen, and whether they agree. */
export function Agreement({ cell: { watch } }: { cell: CellRun }) {
  const { progress, efficiency } = watch;
  if (!progress) return null;
  const pct = (value: number) => `${formatNumber(value, value >= 10 ? 2 : 1)}`;
  const band = (sd: number) => ` ± ${formatNumber(Math.max(0.5, 2 * sd), 1)} %`;
  return (
    <p className="cell-agree">
      By charge <b>{pct(progress.byCharge.value)}</b>
      <span className="quiet small">{band(progress.byCharge.sd)}</span>
      {progress.bySight ? (
        <>
          , {progress.bySight.how} <b>{pct(progress.bySight.value)}</b>
          <span className="quiet small">{band(progress.bySight.sd)}</span>:{' '}
          {progress.agree ? (
            'they agree within the uncertainty.'
          ) : (
            <span className="watch">
              they do not agree: the current did something else with{' '}
              {formatNumber(Math.max(0, 100 - efficiency.value), 2)} % of its charge, or a reading is wrong.
            </span>
          )}
        </>
      ) : (
        <span className="quiet">. What is seen has not been entered: a strength, the metal weighed, a look.</span>
      )}
    </p>
  );
}
