import { Link } from 'react-router';
import { formatNumber } from '#base/units';
import type { BottleAnswer } from '#contract/api';
import { strengthUnits } from '#matter/solution';
import type { Plan } from '#run/plan';
import { dayText } from '../parts/day.ts';

/** Bottles of a kept plan whose strength was measured since it was kept: the sheet below counts with what was found. */
export function FoundSince({ plan, bottles }: { plan: Plan; bottles: readonly BottleAnswer[] }) {
  const found = bottles.filter(({ id, card }) => {
    const then = plan.stock[id]?.card;
    return then && card.measured && card.measured.assayId !== then.measured?.assayId;
  });
  if (found.length === 0) return null;
  return (
    <ul className="plain-list" aria-label="Found since this plan was kept">
      {found.map(({ id, card }) => {
        const then = plan.stock[id]?.card.strength;
        return (
          <li key={id} className="watch">
            <Link to={`/shelf/${id}`}>{card.name}</Link> was measured {card.measured ? dayText(card.measured.day) : ''}:{' '}
            {strengthText(card.strength)}
            {then ? `, not ${strengthText(then)} as when this plan was kept` : ''}. The sheet counts with what was
            found; keep the changes to have it so.
          </li>
        );
      })}
    </ul>
  );
}

function strengthText(strength: BottleAnswer['card']['strength']): string {
  if (!strength) return 'without a strength';
  return `${formatNumber(strength.value, 3)} ${strength.unit === 'w/w' ? '%' : strengthUnits[strength.unit]}`;
}
