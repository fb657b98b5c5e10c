import { lazy, Suspense, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { useOthersWritten } from '../api/queries.ts';
import { anywhere } from '../kit/is-typing.ts';
import { Margin, MarginProvider } from '../parts/margin.tsx';
import { useOwnNames } from '../parts/own-names.ts';
import { CheckIn } from './check-in.tsx';
import { ClockStrip } from './clock-strip.tsx';
import { Line } from './line.tsx';
import { Notices } from './notices.tsx';
import { Pairing } from './pairing.tsx';
import './shell.css';

const Told = lazy(async () => ({ default: (await import('./told.tsx')).Told }));
const Keys = lazy(async () => ({ default: (await import('./keys.tsx')).Keys }));

const STATIONS = ['/shelf', '/plan', '/bench', '/assay', '/record'];

/** The frame of every station: the line, the work surface, the margin, the clock strip. */
export function Shell() {
  useOwnNames();
  useOthersWritten();
  const navigate = useNavigate();
  const station = useLocation().pathname.split('/')[1] || 'shelf';
  const [keys, setKeys] = useState(false);
  useHotkeys(
    '1,2,3,4,5',
    (event) => void navigate(STATIONS[Number(event.key) - 1] ?? '/shelf'),
    { useKey: true, ...anywhere },
    [navigate],
  );
  useHotkeys('shift+slash,?', () => setKeys(true), { useKey: true, ...anywhere });
  return (
    <MarginProvider>
      <div className="shell" data-station={station}>
        <Line />
        <main className="work" id="work" tabIndex={-1}>
          <Suspense fallback={<p className="waiting-block">Loading …</p>}>
            <Outlet />
          </Suspense>
        </main>
        <Margin />
        <Notices />
        <Suspense fallback={null}>
          <Told />
        </Suspense>
        <CheckIn />
        <Pairing />
        <ClockStrip onKeys={() => setKeys(true)} />
      </div>
      {keys ? (
        <Suspense fallback={null}>
          <Keys onClose={() => setKeys(false)} />
        </Suspense>
      ) : null}
    </MarginProvider>
  );
}
