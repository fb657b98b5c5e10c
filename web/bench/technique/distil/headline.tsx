import { formatNumber, formatPlain } from '#base/units';
import type { Outlook } from '#model/still';
import type { StillCut } from '#run/state';

interface HeadlineProps {
  readonly cut: StillCut;
  readonly next: StillCut | undefined;
  readonly outlook: Outlook | null;
  /** How many times faster than it is; 1 at a real still. */
  readonly speed: number;
  readonly heatOff: boolean;
  /** °C of the flask where it stands well below what it boils at: nothing comes over. */
  readonly coldC: number | null;
}

/** What to do next, and when: the first thing that is read. */
export function Headline({ cut, next, outlook, speed, heatOff, coldC }: HeadlineProps) {
  const goal = next ? `Switch to receiver ${numberOf(next)}` : 'Heat off';
  if (heatOff) return <p className="still-headline">The heat is off: it cools.</p>;
  if (coldC !== null)
    return (
      <p className="still-headline">
        The flask has gone cold, {formatNumber(coldC, 3)} °C: nothing comes over until it boils again.
      </p>
    );
  if (!outlook)
    return (
      <p className="still-headline">
        {cut.status === 'running' ? 'Waiting for the first drop' : 'Bring it to the boil first'}
      </p>
    );
  const { minutes, bandMin, headC, potC, overMl } = outlook;
  const at = cut.by === 'pot' ? `the flask at ${potC.toFixed(0)} °C` : `at ${headC.toFixed(1)} °C`;
  return (
    <p className="still-headline" aria-live="polite">
      {minutes <= 0.4 ? (
        <>
          {goal} <b>now</b>, {at}
        </>
      ) : (
        <>
          {goal} in about <b>{timeText(minutes)}</b>, {at}
        </>
      )}
      <span className="still-headline-more">
        {Number.isFinite(minutes) ? ` ± ${timeText(bandMin)}.` : ' .'} By then {formatNumber(overMl, 3)} mL are over.
        {speed > 1 && minutes > 0.4 && Number.isFinite(minutes)
          ? ` At ${formatPlain(speed)} × that is ${formatNumber((60 * minutes) / speed, 2)} s.`
          : ''}
      </span>
    </p>
  );
}

export function numberOf({ into }: StillCut): string {
  return into.replace('receiver ', '');
}

export function timeText(minutes: number): string {
  if (!Number.isFinite(minutes)) return 'never at this heat';
  if (minutes < 1) return `${Math.max(5, Math.round((minutes * 60) / 5) * 5)} s`;
  if (minutes < 90) return `${Math.round(minutes)} min`;
  return `${formatNumber(minutes / 60, 2)} h`;
}
