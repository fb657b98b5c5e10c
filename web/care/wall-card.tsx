import { formatNumber } from '#base/units';
import type { AccidentCard } from '#run/care';
import { dayText } from '../parts/day.ts';

/** The card for the wall: A6, large enough to read from where one stands. Only it is printed. */
export function WallCard({ title, card, day }: { title: string; card: AccidentCard; day: string }) {
  return (
    <section aria-label="For the wall, A6">
      <style>{'@page { size: 105mm 148mm; margin: 6mm; }'}</style>
      <div className="row spread no-print">
        <h2>For the wall, A6</h2>
        <button type="button" className="link" onClick={() => window.print()}>
          Print
        </button>
      </div>
      <article className="wall-card">
        <h3>
          If it spills{' '}
          <span className="small">
            {title}, {dayText(day)}
          </span>
        </h3>
        <p>
          <b>
            {card.go === 'leave' ? 'Leave.' : 'Stay.'} {card.first.join(' ')}
          </b>
          <br />
          {card.go === 'leave' ? card.leaveBecause : `Leave ${card.leaveIf}.`}
        </p>
        {card.pours.map((pour) => (
          <p key={pour.bottleId + pour.against}>
            <b>
              {formatNumber(pour.grams, 2)} g {pour.name}
              {pour.measures
                ? `, ${pour.measures.count} ${pour.measures.name}${pour.measures.count === 1 ? '' : 's'}`
                : ''}
              .
            </b>{' '}
            {pour.how}
          </p>
        ))}
        {card.instead ? <p>{card.instead}</p> : null}
        <p>
          <b>Eye:</b> {card.firstAid.eye} <b>Skin:</b> {card.firstAid.skin} <b>Swallowed:</b> {card.firstAid.swallowed}
        </p>
        <p className="wall-calls">
          {card.calls.map(({ number, what }) => (
            <span key={number + what}>
              <b>{number}</b> {what}{' '}
            </span>
          ))}
        </p>
        <p className="small">
          In reach:{' '}
          {card.inReach.map((each) => (
            <span key={each}>☐ {each} </span>
          ))}
        </p>
      </article>
    </section>
  );
}
