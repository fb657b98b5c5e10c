import { useEffect, useState } from 'react';
import { notebookTime } from '../kit/clock.ts';

/** The present instant by the notebook’s clock, in ms, renewed every so often. */
export function useNow(everyMs: number): number {
  const [now, setNow] = useState(() => notebookTime());
  useEffect(() => {
    const timer = setInterval(() => setNow(notebookTime()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
