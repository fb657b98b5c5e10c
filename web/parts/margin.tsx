import { createContext, lazy, type ReactNode, Suspense, use, useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import type { Figure } from '#base/figure';
import { Working } from './working.tsx';

const Meanwhile = lazy(async () => ({ default: (await import('./meanwhile.tsx')).Meanwhile }));

interface MarginState {
  readonly figure: Figure | null;
  readonly show: (figure: Figure | null) => void;
  readonly folded: boolean;
  readonly fold: (folded: boolean) => void;
  readonly slot: HTMLElement | null;
  readonly setSlot: (slot: HTMLElement | null) => void;
}

const MarginContext = createContext<MarginState | null>(null);

/** The margin: the working of the number last touched, then whatever the station puts there. */
export function MarginProvider({ children }: { children: ReactNode }) {
  const [figure, setFigure] = useState<Figure | null>(null);
  const [folded, fold] = useState(() => window.matchMedia('(max-width: 900px)').matches);
  const [slot, setSlot] = useState<HTMLElement | null>(null);
  const value = useMemo<MarginState>(
    () => ({
      figure,
      show: (next) => {
        setFigure(next);
        if (next) fold(false);
      },
      folded,
      fold,
      slot,
      setSlot,
    }),
    [figure, folded, slot],
  );
  return <MarginContext value={value}>{children}</MarginContext>;
}

export function useMargin(): MarginState {
  const state = use(MarginContext);
  if (!state) throw new Error('the margin stands inside its provider');
  return state;
}

/** What a station writes into the margin, below the working. */
export function InMargin({ children }: { children: ReactNode }) {
  const { slot } = useMargin();
  return slot ? createPortal(children, slot) : null;
}

export function Margin() {
  const { figure, show, folded, fold, setSlot } = useMargin();
  useEffect(() => {
    if (folded) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && figure) show(null);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [folded, figure, show]);
  return (
    <aside className={folded ? 'margin margin-folded' : 'margin'} aria-label="Margin">
      <button type="button" className="link margin-fold" aria-expanded={!folded} onClick={() => fold(!folded)}>
        {folded ? '‹ margin' : 'fold ›'}
      </button>
      <div className="margin-body" hidden={folded}>
        {figure ? <Working figure={figure} onClose={() => show(null)} /> : null}
        <div ref={setSlot} className="margin-slot" />
        <Suspense fallback={null}>
          <Meanwhile />
        </Suspense>
        {figure ? null : (
          <p className="quiet small margin-hint">A number with a dotted underline opens its working here.</p>
        )}
      </div>
    </aside>
  );
}
