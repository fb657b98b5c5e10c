import { formatNumber } from '#base/units';
import type { StillBalance } from '#run/state';

interface BalanceBarsProps {
  readonly now: StillBalance | null;
  /** Where it is to be at the end: % by place. */
  readonly end: StillBalance['parts'];
  readonly name: string;
}

const ORDER = [
  'receiver 1',
  'receiver 2',
  'receiver 3',
  'receiver 4',
  'absorber',
  'jar',
  'pot',
  'condenser',
  'paper',
  'air',
  'samples',
  'elsewhere',
  'unfound',
];
const NAMES: Readonly<Record<string, string>> = {
  pot: 'flask',
  condenser: 'glass',
  air: 'away as gas',
  paper: 'filter',
  elsewhere: 'poured off',
  unfound: 'not found',
};
/** Narrower than this, %, a part has no room for its name. */
const NAMED = 9;

/** Where what was charged is, now and at the end: each bar is all of it. */
export function BalanceBars({ now, end, name }: BalanceBarsProps) {
  return (
    <div className="still-balance">
      <p className="quiet small">Where the {name} is, % of what was charged</p>
      {now ? <Bar title="now" parts={now.parts} /> : null}
      {end.length > 0 ? <Bar title="at the end" parts={end} /> : null}
    </div>
  );
}

function Bar({ title, parts }: { title: string; parts: StillBalance['parts'] }) {
  const sorted = [...parts].sort((a, b) => ORDER.indexOf(a.place) - ORDER.indexOf(b.place));
  const sum = sorted.reduce((all, { pct }) => all + pct, 0);
  const words = sorted.map(({ place, pct }) => `${nameOf(place)} ${formatNumber(pct, 2)} %`).join(', ');
  const small = sorted.filter(({ pct }) => pct < NAMED && pct >= 0.05);
  return (
    <div className="balance-row">
      <span className="quiet">{title}</span>
      <div className="balance-bar" role="img" aria-label={words}>
        {sorted.map(({ place, pct }) => (
          <span
            key={place}
            className={`balance-part balance-${place.replace(' ', '-')}`}
            style={{ flexGrow: Math.max(0, pct) }}
          >
            {pct >= NAMED ? `${short(place)} ${formatNumber(pct, 3)}` : ''}
          </span>
        ))}
      </div>
      <span className="small">
        {small.map(({ place, pct }) => `${short(place)} ${formatNumber(pct, 2)}`).join(' · ')}{' '}
        <b>= {formatNumber(sum, 3)} %</b>
      </span>
    </div>
  );
}

function nameOf(place: string): string {
  return NAMES[place] ?? place;
}

function short(place: string): string {
  return nameOf(place).replace('receiver ', '');
}
