import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { ClockAnswer } from '#contract/api';
import { useBench, useClock } from '../api/queries.ts';
import { useShare } from '../api/share.ts';
import { dueText } from '../parts/due-text.ts';
import { useNow } from '../parts/use-now.ts';

import { AsOf } from './as-of.tsx';

const BenchSettings = lazy(async () => ({ default: (await import('./bench-settings.tsx')).BenchSettings }));

/** More than these stand at the assay station. */
const MOST_OVERDUE = 2;

/** What waits, runs or is due in all batches, soonest first; at the end, the place. */
export function ClockStrip({ onKeys }: { onKeys: () => void }) {
  const clock = useClock();
  const bench = useBench();
  const share = useShare();
  const now = useNow(1000);
  const [settings, setSettings] = useState(false);
  const items = clock.data?.items ?? [];
  const overdue = clock.data?.overdue.slice(0, MOST_OVERDUE) ?? [];
  return (
    <footer className="strip">
      <ul aria-label="Waiting, running and due">
        {items.map((item) => (
          <Item key={`${item.batchId}:${item.step}:${item.text}`} item={item} now={now} />
        ))}
        {overdue.map(({ bottleId, name, days }) => (
          <li key={bottleId}>
            <Link to={`/assay/of/${bottleId}`} className="late">
              <b>{days} d late</b>
              find the strength of {name}
            </Link>
          </li>
        ))}
        {items.length + overdue.length === 0 ? (
          <li className="quiet">{clock.isLoadingError ? 'The server is away.' : 'Nothing is running.'}</li>
        ) : null}
      </ul>
      <AsOf />
      {bench.data ? (
        <button
          type="button"
          className="link quiet"
          onClick={() => setSettings(true)}
          aria-label="Your bench: place and gear"
        >
          {bench.data.bench.tempC} °C
          <span className="wide">
            {' '}
            {bench.data.bench.place} · {bench.data.bench.pressureHPa} hPa
          </span>
        </button>
      ) : null}
      <Link to="/notebook" className="quiet" aria-label="Notebook: backup, export, other devices">
        Notebook{share.data?.on ? ', shared' : ''}
      </Link>
      <button type="button" className="link quiet" onClick={onKeys} aria-label="Keys and look">
        ?
      </button>
      {settings && bench.data ? (
        <Suspense fallback={null}>
          <BenchSettings answer={bench.data} onClose={() => setSettings(false)} />
        </Suspense>
      ) : null}
    </footer>
  );
}

function Item({ item, now }: { item: ClockAnswer['items'][number]; now: number }) {
  const { text, late } = dueText(item, now);
  return (
    <li>
      <Link to={`/bench/${item.batchId}?step=${item.step}`} className={late ? 'late' : ''}>
        {text ? <b>{text}</b> : null}
        {item.text}
      </Link>
    </li>
  );
}
