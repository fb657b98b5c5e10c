import { useEffect } from 'react';
import { useBottles } from '../api/queries.ts';
import { askWorker, whenRestarted } from '../worker/door.ts';

/** Substances that bottles of this shelf describe are known by their names wherever one types. */
export function useOwnNames(): void {
  const { data } = useBottles();
  useEffect(() => {
    const own = (data ?? []).map(({ card }) => card.substanceId).filter((id) => id.startsWith('own:'));
    if (own.length === 0) return;
    const teach = () => void askWorker(async (door) => await door.learn([...new Set(own)])).catch(() => undefined);
    teach();
    return whenRestarted(teach);
  }, [data]);
}
