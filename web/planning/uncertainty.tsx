import { useId, useState } from 'react';
import { formatNumber, parseNumber } from '#base/units';
import type { Plan } from '#run/plan';
import { type Sheet, toleranceSentence } from '#run/sheet';
import { useSpread } from '../worker/use-spread.ts';

/** What the uncertainty of the result comes from, its spread by Monte Carlo, and whether it is good enough for what is wanted. */
export function Uncertainty({ sheet, plan }: { sheet: Sheet; plan: Plan }) {
  const id = useId();
  const spread = useSpread(plan);
  const [text, setText] = useState('');
  const figure = sheet.product ?? sheet.made?.strength;
  if (!figure) return null;
  return (
    <div className="uncertainty">
      <p>{sheet.uncertainty.sentence}</p>
      <p className="quiet small" aria-live="polite">
        {spread
          ? `Monte Carlo, ${spread.samples.toLocaleString('en')} samples: 95 % between ${formatNumber(spread.low, 3)} and ${formatNumber(spread.high, 3)} ${figure.unit}.`
          : 'Monte Carlo …'}
      </p>
      <p className="row small">
        <label htmlFor={id}>Good enough within ±</label>
        <input
          id={id}
          className="tiny"
          inputMode="decimal"
          value={text}
          placeholder="5"
          maxLength={8}
          onChange={(event) => setText(event.target.value)}
        />
        %
      </p>
      <p className="small" role="status">
        {verdict(text, figure)}
      </p>
    </div>
  );
}

function verdict(text: string, figure: Parameters<typeof toleranceSentence>[0]): string {
  if (text.trim() === '') return '';
  const wanted = parseNumber(text);
  if (!wanted.ok) return wanted.problem.message;
  return wanted.value > 0 && wanted.value <= 100
    ? toleranceSentence(figure, wanted.value)
    : 'A tolerance is more than 0 and at most 100 %.';
}
