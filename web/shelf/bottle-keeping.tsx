import dayjs from 'dayjs';
import { lazy, Suspense, useMemo, useState } from 'react';
import type { BottleAnswer } from '#contract/api';
import type { BottleView } from '#matter/label';
import { strengthSince } from '#matter/stock';
import { dayText, today } from '../parts/day.ts';
import { useCompute } from '../worker/compute.ts';

const AgeingChart = lazy(async () => ({ default: (await import('./ageing-chart.tsx')).AgeingChart }));

/** How it has kept and will keep, for what does not. */
export function Keeping({ bottle, tempC }: { bottle: BottleAnswer; tempC: number }) {
  const { id, card } = bottle;
  const [light, setLight] = useState<'dark' | 'daylight'>('dark');
  const { value } = useCompute(
    'ageing',
    useMemo(() => ({ id, card, today: today(), tempC, light }), [id, card, tempC, light]),
  );
  if (!value) return null;
  const due = value.reassayDay === null ? null : dayjs(strengthSince(card)).add(value.reassayDay, 'day');
  return (
    <>
      <h3 style={{ marginTop: 14 }}>How it keeps</h3>
      <Suspense fallback={<p className="quiet small">Drawing …</p>}>
        <AgeingChart ageing={value} since={strengthSince(card)} assayed={card.assayed} />
      </Suspense>
      <p className="small">
        {value.grade === 'C' ? 'About. ' : ''}
        {value.sentence}
      </p>
      {due ? (
        <p className={due.isBefore(dayjs()) ? 'small watch' : 'small quiet'}>
          {due.isBefore(dayjs())
            ? `An assay was due on ${dayText(due.format('YYYY-MM-DD'))}.`
            : `Assay it by ${dayText(due.format('YYYY-MM-DD'))}.`}
        </p>
      ) : null}
      <button
        type="button"
        className="link small"
        aria-pressed={light === 'daylight'}
        onClick={() => setLight(light === 'dark' ? 'daylight' : 'dark')}
      >
        {light === 'dark' ? 'It stands in daylight' : 'It stands in the dark'}
      </button>
      <p className="quiet small">After: {value.source}. The sheet and plans compute with it as kept in the dark.</p>
    </>
  );
}

/** How it keeps in practice: container, what it does on the shelf, what to look at. */
export function InPractice({ keeping }: { keeping: BottleView['keeping'] }) {
  const [first] = keeping;
  if (!first) return null;
  const usual = first.months[1];
  return (
    <>
      <h3>Keeping</h3>
      <p className="small">
        {usual === null ? '' : `About ${usual} months closed. `}
        {first.sentences.join(' ')}
      </p>
      <p className="quiet small">After: {first.source}.</p>
    </>
  );
}
