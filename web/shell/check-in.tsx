import { lazy, Suspense, useEffect, useState } from 'react';
import { useNow } from '../parts/use-now.ts';
import { beep } from './beep.ts';
import { useChoice } from './choice.tsx';

// The dialog is fetched when it is first wanted: nothing of it belongs to the first load.
const CheckInDialog = lazy(async () => ({ default: (await import('./check-in-dialog.tsx')).CheckInDialog }));

/** A minute to answer before it sounds on and on. */
const GRACE_MS = 60_000;

/** For one who works alone: asks every so often, and sounds until it is answered. Any touch or key counts as one. */
export function CheckIn() {
  const [alone] = useChoice('alone');
  const [seen, setSeen] = useState(() => Date.now());
  const now = useNow(5000);
  const every = alone === 'off' ? null : Number(alone) * 60_000;
  const asks = every !== null && now - seen > every;
  const late = asks && now - seen > every + GRACE_MS;
  useEffect(() => {
    const touch = () => setSeen((before) => (Date.now() - before > 10_000 ? Date.now() : before));
    window.addEventListener('pointerdown', touch);
    window.addEventListener('keydown', touch);
    return () => {
      window.removeEventListener('pointerdown', touch);
      window.removeEventListener('keydown', touch);
    };
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it sounds again at every tick while it is late
  useEffect(() => {
    if (asks) beep(late ? 4 : 2);
  }, [asks, late, now]);
  if (!asks) return null;
  return (
    <Suspense fallback={null}>
      <CheckInDialog minutes={alone} late={late} onWell={() => setSeen(Date.now())} />
    </Suspense>
  );
}
