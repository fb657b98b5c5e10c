import { useQueryClient } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { useAnswering } from '../api/client.ts';
import { instantText } from '../parts/day.ts';

/** How old what stands on the page is: the time of the oldest answer it is drawn from. */
export function AsOf() {
  const cache = useQueryClient().getQueryCache();
  const { away } = useAnswering();
  const oldest = useSyncExternalStore(
    (tell) => cache.subscribe(tell),
    () => {
      const times = cache
        .findAll({ type: 'active' })
        .flatMap(({ state }) => (state.dataUpdatedAt > 0 ? state.dataUpdatedAt : []));
      // To the minute: nothing is drawn again for seconds.
      return times.length === 0 ? null : Math.floor(Math.min(...times) / 60_000) * 60_000;
    },
  );
  if (oldest === null) return null;
  return <span className={away ? 'late' : 'quiet'}>as of {instantText(new Date(oldest).toISOString())}</span>;
}
