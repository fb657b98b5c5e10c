import { lazy, Suspense, useEffect, useState } from 'react';
import { useShare } from '../api/share.ts';

const PairDialog = lazy(async () => ({ default: (await import('./pair-dialog.tsx')).PairDialog }));

/** Shows the code once, for as long as the notebook is open to the network and no device is paired. */
export function Pairing() {
  const { data } = useShare();
  const [closed, setClosed] = useState(false);
  const someone = (data?.devices.length ?? 0) > 0;
  // Who was waited for has come: when the last one is withdrawn, nobody is waited for.
  useEffect(() => {
    if (someone) setClosed(true);
  }, [someone]);
  if (!data?.on || someone || closed) return null;
  return (
    <Suspense fallback={null}>
      <PairDialog onClose={() => setClosed(true)} />
    </Suspense>
  );
}
