import { Link, NavLink } from 'react-router';
import { useClock } from '../api/queries.ts';
import { useNow } from '../parts/use-now.ts';
import { Reckoner } from './reckoner.tsx';

/** The top line: wordmark and the five stations on one copper tube; a drop hangs where something waits. */
export function Line() {
  const clock = useClock();
  const now = useNow(30_000);
  const due = clock.data?.items.filter((item) => item.at !== null && Date.parse(item.at) <= now).length ?? 0;
  const running = new Set(clock.data?.items.map((item) => item.batchId)).size;
  return (
    <header className="line">
      <Link to="/shelf" className="wordmark" aria-label="Earnest Still, to the shelf">
        <Mark />
        Earnest Still
      </Link>
      <nav aria-label="Stations" style={{ display: 'contents' }}>
        <ul className="stations">
          <Station to="/shelf" n={1} name="Shelf" />
          <Station to="/plan" n={2} name="Plan" />
          <Station
            to="/bench"
            n={3}
            name="Bench"
            count={due > 0 ? due : running}
            late={due > 0}
            what={due > 0 ? 'due' : 'running'}
          />
          <Station to="/assay" n={4} name="Assay" count={clock.data?.overdue.length ?? 0} late what="overdue" />
          <Station to="/record" n={5} name="Record" />
        </ul>
      </nav>
      <Reckoner />
    </header>
  );
}

function Station({
  to,
  n,
  name,
  count = 0,
  late = false,
  what = '',
}: {
  to: string;
  n: number;
  name: string;
  count?: number;
  late?: boolean;
  what?: string;
}) {
  return (
    <li>
      <NavLink to={to} className="station">
        <small aria-hidden="true">{n}</small>
        {name}
        {count > 0 ? (
          <span className="drop" role="img" aria-label={`${count} ${what}`}>
            <svg width="18" height="24" viewBox="0 0 18 24" aria-hidden="true">
              <path
                d="M9 0C12 6 17 10 17 15.500a8 8 0 0 1-16 0C1 10 6 6 9 0z"
                fill={late ? 'var(--saffron)' : 'var(--verdigris)'}
              />
              <text x="9" y="19.500" textAnchor="middle">
                {count}
              </text>
            </svg>
          </span>
        ) : null}
      </NavLink>
    </li>
  );
}

function Mark() {
  return (
    <svg width="30" height="34" viewBox="0 0 30 34" aria-hidden="true">
      <path d="M3 28V11a8 8 0 0 1 16 0v6" fill="none" stroke="var(--copper)" strokeWidth="3" />
      <path
        d="M19 21c3 4.200 4.500 6.200 4.500 8.200a4.500 4.500 0 0 1-9 0c0-2 1.500-4 4.500-8.200z"
        fill="var(--verdigris)"
      />
    </svg>
  );
}
