import dayjs from 'dayjs';
import { formatNumber } from '#base/units';

type Points = readonly { readonly at: number; readonly amps: number }[];

interface CurrentChartProps {
  /** ms. */
  readonly from: number;
  readonly now: number;
  readonly read: Points;
  readonly leftAlone: Points | null;
  readonly toppedUp: Points | null;
  readonly ifHeld: Points | null;
  readonly ifAmps: number | null;
  /** When it is done: earliest, likeliest, latest; null where it does not get there. */
  readonly done: readonly [number, number, number] | null;
  readonly topUpAt: number | null;
  /** Its own time runs faster than the clock: hours, not the time of day. */
  readonly byHours: boolean;
}

const W = 320;
const H = 210;
const LEFT = 38;
const RIGHT = 8;
const TOP = 22;
const BOTTOM = 172;
const HOUR = 3_600_000;

/** The current as it was read, how it would go on, and when it is done. */
export function CurrentChart(props: CurrentChartProps) {
  const { from, now, read, leftAlone, toppedUp, ifHeld, ifAmps, done, topUpAt, byHours } = props;
  const ends = [now, done?.[2] ?? now, leftAlone?.at(-1)?.at ?? now, ifHeld?.at(-1)?.at ?? now];
  const to = Math.max(from + HOUR, Math.min(now + 120 * HOUR, Math.max(...ends)));
  const all = [read, leftAlone, toppedUp, ifHeld].flatMap((each) => each?.map(({ amps }) => amps) ?? []);
  const most = nice(Math.max(0.09, ...all, ifAmps ?? 0));
  const x = (at: number) => LEFT + ((W - LEFT - RIGHT) * (Math.min(to, Math.max(from, at)) - from)) / (to - from);
  const y = (amps: number) => BOTTOM - ((BOTTOM - TOP) * amps) / most;
  const line = (points: Points) =>
    points.map(({ at, amps }, i) => `${i === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${y(amps).toFixed(1)}`).join('');
  const when = (at: number) => (byHours ? `${formatNumber((at - from) / HOUR, 2)} h` : dayjs(at).format('ddd HH:mm'));
  const last = read.at(-1);
  return (
    <svg
      className="cell-chart"
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`Current from ${read[0] ? formatNumber(read[0].amps, 2) : '–'} A to ${last ? formatNumber(last.amps, 2) : '–'} A now${done ? `; done about ${when(done[1])}` : ''}`}
    >
      {nights(from, to, byHours).map(([a, b]) => (
        <rect key={a} x={x(a)} y={TOP} width={Math.max(0, x(b) - x(a))} height={BOTTOM - TOP} className="cell-night" />
      ))}
      <path d={`M${LEFT} ${TOP}V${BOTTOM}H${W - RIGHT}`} className="drawn-line" />
      {[0, most / 2, most].map((amps) => (
        <g key={amps}>
          <path d={`M${LEFT} ${y(amps)}H${W - RIGHT}`} className="cell-grid" />
          <text x={LEFT - 4} y={y(amps) + 4} textAnchor="end" className="drawn-words">
            {formatNumber(amps, 2)}
          </text>
        </g>
      ))}
      <text x={LEFT - 4} y={TOP - 10} textAnchor="end" className="drawn-words">
        A
      </text>
      {leftAlone ? <path d={line(leftAlone)} className="cell-alone" /> : null}
      {toppedUp ? <path d={line(toppedUp)} className="cell-topped" /> : null}
      {ifHeld ? <path d={line(ifHeld)} className="cell-held" /> : null}
      <path d={line(read)} className="cell-read" />
      {thinned(read).map(({ at, amps }) => (
        <circle key={at} cx={x(at)} cy={y(amps)} r="3.2" className="cell-dot" />
      ))}
      <path d={`M${x(now)} ${TOP - 6}V${BOTTOM}`} className="cell-now" />
      {topUpAt === null ? null : <path d={`M${x(topUpAt)} ${BOTTOM}v-9`} className="cell-due" />}
      {done ? (
        <>
          <path
            d={`M${x(done[0])} ${BOTTOM + 1}H${x(done[2])}M${x(done[0])} ${BOTTOM - 4}v10M${x(done[2])} ${BOTTOM - 4}v10`}
            className="cell-end"
          />
          <path d={`M${x(done[1])} ${BOTTOM}l5 9h-10z`} className="cell-end-mark" />
          <text x={clamp(x(done[1]), LEFT + 20, W - 34)} y={BOTTOM + 22} textAnchor="middle" className="cell-strong">
            {when(done[1])}
          </text>
        </>
      ) : null}
      <text x={LEFT} y={BOTTOM + 22} className="drawn-words">
        {byHours ? '0 h' : dayjs(from).format('ddd HH:mm')}
      </text>
      {done && x(done[1]) > W - 100 ? null : (
        <text x={W - RIGHT} y={BOTTOM + 22} textAnchor="end" className="drawn-words">
          {when(to)}
        </text>
      )}
      {last ? (
        <text x={clamp(x(now) - 4, LEFT + 64, W)} y={BOTTOM - 8} textAnchor="end" className="cell-words">
          now {formatNumber(last.amps, 2)} A
        </text>
      ) : null}
      {ifHeld && ifAmps !== null ? (
        <text x={clamp(x(now) - 4, LEFT + 84, W)} y={y(ifAmps) - 5} textAnchor="end" className="cell-held-words">
          if at {formatNumber(ifAmps, 2)} A
        </text>
      ) : null}
      {toppedUp ? (
        <text x={W - RIGHT - 96} y={TOP - 10} textAnchor="end" className="cell-strong">
          dashed: topped up
        </text>
      ) : null}
      {leftAlone && (toppedUp || read.length > 0) ? (
        <text x={W - RIGHT} y={TOP - 10} textAnchor="end" className="drawn-words">
          dotted: left alone
        </text>
      ) : null}
    </svg>
  );
}

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** Dots that can be told apart. */
const DOTS = 40;
function thinned(read: Points): Points {
  const every = Math.max(1, Math.ceil(read.length / DOTS));
  return read.filter((_, i) => i % every === 0 || i === read.length - 1);
}

function nice(most: number): number {
  const step = 10 ** Math.floor(Math.log10(most));
  return Math.ceil((most * 1.1) / (step / 2)) * (step / 2);
}

/** From ten in the evening to seven in the morning nobody looks. */
function nights(from: number, to: number, byHours: boolean): readonly (readonly [number, number])[] {
  if (byHours) return [];
  const found: [number, number][] = [];
  for (let day = dayjs(from).startOf('day').subtract(1, 'day'); day.valueOf() < to; day = day.add(1, 'day')) {
    const [a, b] = [day.hour(22).valueOf(), day.add(1, 'day').hour(7).valueOf()];
    if (b > from && a < to) found.push([Math.max(a, from), Math.min(b, to)]);
  }
  return found;
}
