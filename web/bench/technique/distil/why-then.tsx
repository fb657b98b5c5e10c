import { formatNumber } from '#base/units';
import type { Azeotrope, StillPoint } from '#model/still';
import type { StillCut } from '#run/state';

interface WhyProps {
  readonly cut: StillCut;
  readonly points: readonly StillPoint[];
  readonly azeotrope: Azeotrope | null;
}

/** What a thermometer can still tell. */
const TELLS_K = 0.1;

/** Why the change is where it is: what the head still says there, and what it says no more. */
export function WhyThen({ cut, points, azeotrope }: WhyProps) {
  if (points.length === 0) return null;
  const further = points.find(({ overMl, headC }) => overMl > cut.toMl && Math.abs(headC - cut.headC) > TELLS_K);
  return (
    <section aria-label="Why there">
      <h3>{cut.by === 'pot' ? `Why ${cut.potC.toFixed(0)} °C in the flask` : `Why ${cut.headC.toFixed(1)} °C`}</h3>
      <p className="small">{whyText(cut, further)}</p>
      {azeotrope ? (
        <p className="quiet small">
          At this pressure the azeotrope boils at {azeotrope.tempC.toFixed(1)} °C and holds {azeotrope.pct.toFixed(2)}{' '}
          %.
        </p>
      ) : null}
    </section>
  );
}

function whyText(cut: StillCut, further: StillPoint | undefined): string {
  if (cut.by === 'pot') return 'The boiling point of what stays tells its strength; the head only tells what leaves.';
  if (!further) return 'From there on the head hardly moves: go by the volume.';
  return `Beyond it the head moves 0.1 °C in ${formatNumber(further.overMl - cut.toMl, 2)} mL: changed by the head, it is within that of the mark.`;
}
