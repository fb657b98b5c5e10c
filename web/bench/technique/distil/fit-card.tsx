import { formatNumber } from '#base/units';
import type { FitAnswer } from '#model/still';
import type { StillRun } from '#run/state';
import type { FitState } from '#web/worker/use-fit.ts';
import { mixtureName } from './words.ts';

interface FitCardProps {
  readonly run: StillRun;
  readonly fitted: FitState;
  /** Takes the strength that was found for the bottle it came from; null where it came from several, or from none. */
  readonly onTake: (() => void) | null;
  readonly takes: string;
}

/** What the readings say of what was charged, beside what its label says. */
export function FitCard({ run, fitted, onTake, takes }: FitCardProps) {
  const { fit, problem, progress } = fitted;
  return (
    <section aria-label="What the run says">
      <h2>What the run says of the {mixtureName(run)}</h2>
      {fit ? (
        <Found run={run} fit={fit} />
      ) : (
        <p className="quiet small">A few readings, and it says how strong the charge is.</p>
      )}
      {progress === null ? null : (
        <p className="row small">
          <progress aria-label="Finding what the readings say" value={progress} />
          <button type="button" className="link" onClick={fitted.cancel}>
            leave it
          </button>
        </p>
      )}
      {problem ? <p className="problem small">{problem}</p> : null}
      {fit && onTake ? (
        <button type="button" className="link" onClick={onTake}>
          {takes}
        </button>
      ) : null}
    </section>
  );
}

function Found({ run, fit }: { run: StillRun; fit: FitAnswer }) {
  const { asked, pctSd } = run;
  const [pct, sd] = fit.pct;
  const off = Math.abs(pct - asked.pct) > 2 * Math.hypot(sd, 0);
  return (
    <>
      <p className="small">
        {fit.used} readings fit a charge of <b>{pct.toFixed(1)} %</b>
        {off ? `, not ${asked.pct.toFixed(1)}` : ', as its label says'}.
      </p>
      <Whiskers found={[pct, sd]} label={[asked.pct, pctSd]} />
      <dl className="figures">
        <Line name="in the flask at first" value={pct} sd={sd} unit="%" />
        <Line name="this head acts as" value={fit.plates[0]} sd={fit.plates[1]} unit="plates" />
        <Line
          name="heat that boils"
          value={fit.boilsW[0]}
          sd={fit.boilsW[1]}
          unit={`W of ${Math.round(asked.apparatus.heaterW)}`}
        />
      </dl>
    </>
  );
}

function Line({ name, value, sd, unit }: { name: string; value: number; sd: number; unit: string }) {
  const digits = Math.min(2, Math.max(0, -Math.floor(Math.log10(2 * sd || 1))));
  return (
    <div className="num-row">
      <dt>{name}</dt>
      <dd>
        <span className="mono">{value.toFixed(digits)}</span>
        <span className="num-band"> ± {formatNumber(2 * sd, 2)}</span> {unit}
      </dd>
    </div>
  );
}

/** Two strengths with their 95 % bands on one scale. */
function Whiskers({ found, label }: { found: readonly [number, number]; label: readonly [number, number] }) {
  const all = [found, label].flatMap(([value, sd]) => [value - 2.2 * sd, value + 2.2 * sd]);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const x = (value: number) => 10 + (250 * (value - low)) / (high - low || 1);
  const one = ([value, sd]: readonly [number, number], { y, name, own }: { y: number; name: string; own: string }) => (
    <g className={own}>
      <line x1={x(value - 2 * sd)} x2={x(value + 2 * sd)} y1={y} y2={y} />
      <circle cx={x(value)} cy={y} r="4.5" />
      <text x={Math.min(200, Math.max(40, x(value)))} y={y - 9} textAnchor="middle">
        {name}
      </text>
    </g>
  );
  return (
    <svg
      viewBox="0 0 272 62"
      className="whiskers"
      role="img"
      aria-label={`found ${found[0].toFixed(1)} %, label ${label[0].toFixed(1)} %`}
    >
      {one(found, { y: 22, name: `${found[0].toFixed(1)} ± ${formatNumber(2 * found[1], 1)}`, own: 'whisker-found' })}
      {one(label, {
        y: 52,
        name: `label ${label[0].toFixed(1)} ± ${formatNumber(2 * label[1], 1)}`,
        own: 'whisker-label',
      })}
    </svg>
  );
}
