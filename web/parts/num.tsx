import type { ReactNode } from 'react';
import { type Figure, isAbout, sdOf } from '#base/figure';
import { formatNumber, roundToUncertainty } from '#base/units';
import { useMargin } from './margin.tsx';

interface NumProps {
  readonly figure: Figure;
  /** The number as it is to be read, where the instrument rounds it; else it is rounded to its uncertainty. */
  readonly shown?: string;
  readonly unit?: string;
  /** Leaves out the ±. */
  readonly bare?: boolean;
  readonly big?: boolean;
}

/** A number that opens its working: dotted underline, its uncertainty small and quiet behind it. */
export function Num({ figure, shown, unit, bare = false, big = false }: NumProps) {
  const { show, figure: open } = useMargin();
  const rounded = roundToUncertainty(figure.value, sdOf(figure));
  const about = isAbout(figure);
  // A rough model without a uncertainty of its own is worth two figures.
  const rough = about && rounded.band === undefined;
  const text = shown ?? (rough ? formatNumber(figure.value, 2) : rounded.value);
  const unitText = unit ?? figure.unit;
  return (
    <span className={big ? 'num num-big' : 'num'}>
      {about ? <span className="quiet small">about </span> : null}
      <button
        type="button"
        className="num-open mono"
        aria-pressed={open === figure}
        aria-label={`${figure.name}: ${text} ${unitText}, open its working`}
        onClick={() => show(figure)}
      >
        {text}
      </button>
      {bare || rounded.band === undefined ? null : <span className="num-band"> ± {rounded.band}</span>}
      {unitText ? <span className="num-unit"> {unitText}</span> : null}
    </span>
  );
}

/** A label with its number at the right, as in a column of figures. */
export function NumRow({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="num-row">
      <dt>{label}</dt>
      <dd>{children}</dd>
    </div>
  );
}
