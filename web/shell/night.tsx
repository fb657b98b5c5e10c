import { createContext, type ReactNode, use, useEffect, useMemo, useState } from 'react';

interface Night {
  readonly night: boolean;
  readonly setNight: (night: boolean) => void;
}

const NightContext = createContext<Night>({ night: false, setNight: () => {} });
const KEY = 'earnest-still:night';

/** The dark shed: a choice that stays with this device. */
export function NightProvider({ children }: { children: ReactNode }) {
  const [night, setNight] = useState(() => localStorage.getItem(KEY) === 'yes');
  useEffect(() => {
    document.documentElement.dataset.theme = night ? 'night' : 'day';
    localStorage.setItem(KEY, night ? 'yes' : 'no');
  }, [night]);
  const value = useMemo(() => ({ night, setNight }), [night]);
  return <NightContext value={value}>{children}</NightContext>;
}

export function useNight(): Night {
  return use(NightContext);
}
