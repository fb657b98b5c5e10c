import { lazy, Suspense, useState } from 'react';
import { useShare } from '../api/share.ts';

const PairDialog = lazy(async () => ({ default: (await import('./pair-dialog.tsx')).PairDialog }));

/** Shows the code once, for as long as the notebook is open to the network and no device is paired. */
export function Pairing() {
  const { data } = useShare();
  const [closed, setClosed] = useState(false);
  if (!data?.on || data.devices.length > 0 || closed) return null;
  return (
    <Suspense fallback={null}>
      <PairDialog onClose={() => setClosed(true)} />
    </Suspense>
  );
}
