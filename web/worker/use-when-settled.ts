import { useEffect, useState } from 'react';

/**
 * Does what was asked for once what is typed has been understood: at once if it has, else when its answer comes. So Enter,
 * pressed as quickly as one types, is neither lost nor carried out on what stood there before.
 */
export function useWhenSettled(
  busy: boolean,
  act: () => void,
): { readonly ask: () => void; readonly forget: () => void } {
  const [asked, setAsked] = useState(false);
  useEffect(() => {
    if (!asked || busy) return;
    setAsked(false);
    act();
  }, [asked, busy, act]);
  return { ask: () => setAsked(true), forget: () => setAsked(false) };
}
