import { sdOf } from '#base/figure';
import { formatNumber } from '#base/units';
import type { AssayState, ReplicateState } from '#model/assay';
import { Num } from '../parts/num.tsx';
import type { OpenAssay } from './use-assay.ts';

const WIDTH = 380;
const PAD = 26;

/** Each replicate with what it found; what is suspect is pointed at, and left out only by hand. */
export function Replicates({ assay }: { assay: OpenAssay }) {
  const { state, enter } = assay;
  const suspect = state.statistics?.outlier;
  const counted = state.replicates.filter(({ counts }) => counts);
  const outlier = suspect ? counted[suspect.index] : undefined;
  return (
    <section aria-label="Replicates">
      <h2>
        Replicates{' '}
        {state.statistics && state.statistics.sd !== null ? (
          <span className="small quiet">
            mean {formatNumber(state.statistics.mean, 4)}, sd {formatNumber(state.statistics.sd, 2)} %
          </span>
        ) : null}
      </h2>
      {counted.length > 1 ? <Dots state={state} counted={counted} /> : null}
      {state.replicates.length === 0 ? <p className="quiet">None begun.</p> : null}
      <ul className="plain-list replicates">
        {state.replicates.map((each) => (
          <li key={each.key}>
            <span className="mono">{each.key}</span> {each.found ? <Num figure={each.found} bare /> : null}{' '}
            <span className={each.state === 'open' ? 'quiet' : ''}>{stateText(each)}</span>
            {each.problem ? <span className="problem small">{each.problem.message}</span> : null}
            {each.state === 'sign' ? (
              <button
                type="button"
                className="link small"
                onClick={() => enter([{ kind: 'left-out', replicate: each.key, out: !each.out, why: '' }])}
              >
                {each.out ? 'take it in again' : 'leave it out'}
              </button>
            ) : null}
          </li>
        ))}
        {state.blanks.map((each) => (
          <li key={each.key}>
            <span className="mono">blank {each.key.slice(1)}</span> {each.titre ? <Num figure={each.titre} /> : null}{' '}
            <span className="quiet">{each.state === 'open' ? 'at work' : ''}</span>
          </li>
        ))}
      </ul>
      {outlier && suspect ? (
        <p className="watch small">
          Replicate {outlier.key} is suspect: {formatNumber(suspect.g, 3)} standard deviations off, more than{' '}
          {formatNumber(suspect.critical, 3)} (Grubbs, 5 %). It counts until you leave it out; look for a reason first.
        </p>
      ) : null}
      {state.statistics && state.statistics.tHalf !== null ? (
        <p className="small quiet">
          By the replicates alone: ± {formatNumber(state.statistics.tHalf, 2)} % (Student’s t, {state.statistics.n} of
          them).
        </p>
      ) : null}
    </section>
  );
}

function stateText({ state, out, read }: ReplicateState): string {
  const sample = read.sampleG ? ` of ${read.sampleG.value} g` : '';
  if (out) return `${sample} left out`;
  switch (state) {
    case 'open':
      return `${sample} at least, so far`;
    case 'past':
      return `${sample} at most: past the end, not counted`;
    case 'spoilt':
      return 'spoilt, not counted';
    case 'sign':
      return sample;
  }
}

/** The results on a line: each replicate, their mean with its budget, and the label. */
function Dots({ state, counted }: { state: AssayState; counted: readonly ReplicateState[] }) {
  const { result, label } = state;
  const values = counted.flatMap(({ found }) => found?.value ?? []);
  const mean = result?.w.value ?? 0;
  const half = result ? 2 * sdOf(result.w) : 0;
  const near = Math.abs(label.value - mean) < 6 * Math.max(half, 0.01 * mean);
  const all = [...values, mean - half, mean + half, ...(near ? [label.value] : [])];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const span = high - low || 1;
  const x = (value: number) => PAD + ((WIDTH - 2 * PAD) * (value - low)) / span;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 74`}
      className="dots"
      role="img"
      aria-label={`Replicates ${values.map((each) => formatNumber(each, 4)).join(', ')} %`}
    >
      <rect
        x={x(mean - half)}
        y="6"
        width={Math.max(2, x(mean + half) - x(mean - half))}
        height="42"
        className="titre-band"
      />
      <line x1={x(mean)} x2={x(mean)} y1="6" y2="48" className="drawn-line" />
      {counted.map(({ key, found }) => (
        <g key={key}>
          <circle cx={x(found?.value ?? 0)} cy="26" r="9" className="dot" />
          <text x={x(found?.value ?? 0)} y="30" textAnchor="middle" className="dot-words">
            {key}
          </text>
        </g>
      ))}
      {near ? (
        <text x={Math.min(WIDTH - 40, x(label.value))} y="30" textAnchor="middle" className="drawn-words">
          ◖ label
        </text>
      ) : null}
      <line x1={PAD} x2={WIDTH - PAD} y1="54" y2="54" className="drawn-line" />
      <text x={PAD} y="70" className="drawn-words">
        {formatNumber(low, 4)}
      </text>
      <text x={WIDTH - PAD} y="70" textAnchor="end" className="drawn-words">
        {formatNumber(high, 4)} %
      </text>
    </svg>
  );
}
