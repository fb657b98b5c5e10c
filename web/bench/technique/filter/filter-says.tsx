import { hoursSaid, hoursSpan } from '#base/time';
import { formatNumber } from '#base/units';
import type { FilterAdvice, Medium } from '#run/technique';

export function FilterSays({ says }: { says: FilterAdvice | null }) {
  return says ? <Filtering filter={says} settles={false} /> : null;
}

export function SettleSays({ says }: { says: FilterAdvice | null }) {
  return says ? <Filtering filter={says} settles /> : null;
}

/** Settling and filtering in a few lines: how long, through what, what the paper keeps. */
function Filtering({ filter, settles }: { filter: FilterAdvice; settles: boolean }) {
  const { grain, solidG, liquidMl, settleH, coffeeMin, paperMin, media, paper, left } = filter;
  const minutes = ([least, most]: readonly [number, number]) => hoursSpan([least / 60, most / 60]);
  return (
    <>
      {solidG > 0.05 ? (
        <p>
          <b>{settles ? 'To settle:' : 'To filter:'}</b> about {formatNumber(solidG, 2)} g in{' '}
          {formatNumber(liquidMl, 2)} mL, {grain}. Clears in about {hoursSpan(settleH)}; unsettled through a coffee
          filter {minutes(coffeeMin)}, through a medium paper {minutes(paperMin)}.
        </p>
      ) : null}
      {settles ? null : (
        <p>
          <b>Through:</b>{' '}
          {media.map((medium, i) => (
            <span key={medium.name}>
              {i === 0 ? '' : '; '}
              {medium.name} <MediumVerdict medium={medium} />
            </span>
          ))}
          .
        </p>
      )}
      {paper && !settles ? (
        <p className="small">
          A {paper.mm} mm paper holds about {formatNumber(paper.holdsMl, 2)} mL: {formatNumber(paper.rinse.heldG, 2)} g
          of the product. A rinse of {paper.rinseMl} mL brings {formatNumber(paper.rinse.backG, 2)} g back for about{' '}
          {hoursSaid(paper.rinse.minutes / 60)} of boiling.
        </p>
      ) : null}
      {left ? <p className="small">{left}</p> : null}
    </>
  );
}

const WORD: Readonly<Record<Medium['verdict'], string>> = { good: 'good', mind: 'with care', no: 'no' };
const TONE: Readonly<Record<Medium['verdict'], string>> = { good: 'within', mind: 'watch', no: 'stop' };

function MediumVerdict({ medium }: { medium: Medium }) {
  return (
    <>
      <b className={TONE[medium.verdict]}>{WORD[medium.verdict]}</b>
      {medium.says ? <span className="quiet small"> ({medium.says.replace(/\.$/, '')})</span> : null}
    </>
  );
}
