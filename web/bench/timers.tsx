import type { StepState } from '#run/state';
import { countdown, span } from '../parts/due-text.ts';
import { useNow } from '../parts/use-now.ts';
import type { Run } from '../run/use-run.ts';

/** Timers of this step. They are instants, not ticks, so a reload or a stopped server changes nothing. */
export function Timers({ run, step }: { run: Run; step: StepState }) {
  const now = useNow(1000);
  const timers = run.state.timers.filter((each) => each.step === step.key && !each.stopped);
  if (timers.length === 0) return null;
  return (
    <ul className="timers" aria-label="Timers">
      {timers.map((timer) => {
        const left = Date.parse(timer.endsAt) - now;
        return (
          <li key={timer.id} className="row">
            <b className={left <= 0 ? 'watch' : ''} role="timer">
              {leftText(left)}
            </b>
            <span>{timer.name}</span>
            {left <= -60_000 ? <span className="watch">{span(-left)} late</span> : null}
            <button
              type="button"
              className="link"
              onClick={() => run.enter({ kind: 'timer-stopped', timer: timer.id })}
            >
              stop
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function leftText(left: number): string {
  if (left <= 0) return 'now';
  return left < 3_600_000 ? countdown(left) : span(left);
}
