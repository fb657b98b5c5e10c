import { useDroppable } from '@dnd-kit/core';
import type { WeekNames } from '../fits/sentences.ts';
import { lengthText, type WeekClock } from '../parts/when-text.ts';
import { DayAir } from './day-air.tsx';
import { type Day, runsOf } from './days.ts';
import { StepCard } from './step-card.tsx';
import type { SetWeather } from './use-weather.ts';

interface DayColumnProps {
  readonly day: Day;
  readonly names: WeekNames;
  readonly clock: WeekClock;
  readonly lightKnown: boolean;
  readonly chosen: string | null;
  readonly moved: ReadonlySet<string>;
  readonly amiss: ReadonlySet<string>;
  readonly onChoose: (id: string) => void;
  readonly weather: SetWeather;
}

/** A day: its hours, its light, what stands on it, what goes on through the night. */
export function DayColumn({ day, names, clock, lightKnown, chosen, moved, amiss, onChoose, weather }: DayColumnProps) {
  const drop = useDroppable({ id: `day ${day.day}` });
  return (
    <section className={drop.isOver ? 'week-day week-over' : 'week-day'} ref={drop.setNodeRef} aria-label={day.title}>
      <h2 className="week-day-name">{day.title}</h2>
      <p className="small">
        {day.free.length === 0
          ? 'not at the bench'
          : day.free
              .map(([from, to]) => `${clock.exact(from)} to ${to === day.whole[1] ? '24:00' : clock.exact(to)}`)
              .join(', ')}
      </p>
      <p className="quiet small">
        {lightText(day, clock, lightKnown)}{' '}
        <button
          type="button"
          className="link week-rain"
          aria-pressed={day.wet}
          aria-label={day.wet ? `Dry after all on ${day.title}` : `Rain expected on ${day.title}`}
          onClick={() => weather.rain(day.day, !day.wet)}
        >
          {day.wet ? 'dry after all' : 'rain?'}
        </button>{' '}
        <DayAir title={day.title} airC={day.airC} onAir={(airC) => weather.air(day.day, airC)} />
      </p>
      <ol className="week-cards">
        {runsOf(day).map(({ batch, cards }) => (
          <li key={cards[0]?.task.id ?? batch} className="week-run">
            {cards[0]?.task.step === '' ? null : <span className="week-run-of">{names.batch(batch)}</span>}
            <ol>
              {cards.map((card, i) => (
                <StepCard
                  key={card.task.id}
                  card={card}
                  clock={clock}
                  first={i === 0}
                  chosen={chosen === card.task.id}
                  moved={moved.has(card.task.id)}
                  amiss={amiss.has(card.task.id)}
                  onChoose={() => onChoose(card.task.id)}
                />
              ))}
            </ol>
          </li>
        ))}
      </ol>
      {day.leftMin >= 5 ? <p className="within small">{lengthText(day.leftMin)} free</p> : null}
      {day.overnight.length > 0 ? (
        <p className="week-night small">
          <b>overnight</b> {day.overnight.map(names.batch).join(', ')}
        </p>
      ) : null}
    </section>
  );
}

function lightText({ light, wet }: Day, clock: WeekClock, known: boolean): string {
  if (wet) return 'rain: nothing outdoors';
  const [first] = light;
  if (!first) return known ? 'dark all day' : 'no light left';
  return `${known ? 'light' : 'light, about'} ${clock.exact(first[0])} to ${clock.exact(first[1])}`;
}
