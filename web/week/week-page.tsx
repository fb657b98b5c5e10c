import { useMemo, useState } from 'react';
import type { WeekAnswer } from '#contract/api';
import type { Week, WeekChoices } from '#run/week';
import { sentenceOf } from '../api/client.ts';
import { useSaveWeek, useWeek } from '../api/week.ts';
import { namesOf } from '../fits/sentences.ts';
import { InMargin, useMargin } from '../parts/margin.tsx';
import { useNow } from '../parts/use-now.ts';
import { weekClock } from '../parts/when-text.ts';
import { Amiss } from './amiss.tsx';
import { BatchesTable } from './batches-table.tsx';
import { CalendarOut } from './calendar-out.tsx';
import { ChosenStep } from './chosen-step.tsx';
import { DayColumn } from './day-column.tsx';
import { type Card, daysOf } from './days.ts';
import { Headline } from './headline.tsx';
import { keptPlan } from './kept-plan.ts';
import { Moved, movedIn } from './moved.tsx';
import { Rehearsal } from './rehearsal.tsx';
import { type Held, usePlanned } from './use-planned.ts';
import { useWeather } from './use-weather.ts';
import { WeekBoard } from './week-board.tsx';
import { WeekControls } from './week-controls.tsx';
import { WeekLine } from './week-line.tsx';
import './week.css';

const DAYS = 7;

/** The week: what stands on the bench and what waits for it, in the hours of one person. */
export function WeekPage() {
  const week = useWeek();
  const now = useNow(30_000);
  if (week.isPending) return <p className="waiting-block">Loading the week …</p>;
  if (week.isLoadingError) return <p className="problem">{sentenceOf(week.error)}</p>;
  return <ThisWeek answer={week.data} now={now} />;
}

function ThisWeek({ answer, now }: { answer: WeekAnswer; now: number }) {
  const [held, setHeld] = useState<Held | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [later, setLater] = useState(false);
  const { week, input, problem, busy } = usePlanned(answer, held);
  const save = useSaveWeek();
  const { fold } = useMargin();
  const weather = useWeather();
  const names = useMemo(() => namesOf(answer), [answer]);
  const clock = useMemo(() => weekClock(answer.laid.from, now), [answer.laid.from, now]);
  const days = useMemo(() => daysOf(answer, week, [later ? DAYS : 0, DAYS]), [answer, week, later]);
  const moved = useMemo(() => new Set(movedIn(answer, week, clock).map(({ id }) => id)), [answer, week, clock]);
  const amiss = useMemo(() => new Set(week?.broken.map(({ id }) => id)), [week]);
  const seen = { answer, week, names, clock };
  const change = (part: Partial<WeekChoices>) =>
    save.mutate(
      { basedOn: answer.version, choices: { ...answer.choices, ...part } },
      { onSettled: () => setHeld(null) },
    );
  const put = (id: string, min: number | null) => {
    const { [id]: _, ...rest } = answer.choices.pins;
    const pins = min === null ? rest : { ...rest, [id]: new Date(clock.at(min)).toISOString() };
    // The rest keeps its order: what is put elsewhere moves what it must, and nothing besides.
    const order = week && answer.choices.order.length === 0 ? keptPlan(week, clock) : {};
    change({ pins, ...order });
  };
  // On a phone the margin is folded: what was tapped is shown.
  const choose = (id: string) => {
    setChosen(chosen === id ? null : id);
    if (chosen !== id) fold(false);
  };
  // While a step is held the worker has its place to answer for, and nothing else.
  const atRest = held ? undefined : input;
  const card = chosen === null ? undefined : cardOf(answer, week, chosen);
  return (
    <div className="week">
      <Headline {...seen} busy={busy} />
      <WeekControls answer={answer} week={week} clock={clock} later={later} onLater={setLater} onChange={change} />
      {save.isError ? <p className="problem">{sentenceOf(save.error)}</p> : null}
      {problem ? <p className="problem">{problem.message}</p> : null}
      <Amiss {...seen} input={atRest} onChoose={choose} />
      {week && week.placed.length > 0 ? (
        <WeekLine
          answer={answer}
          week={week}
          names={names}
          span={[days[0]?.whole[0] ?? 0, days.at(-1)?.whole[1] ?? 0]}
          nowMin={clock.min(now)}
          chosen={chosen}
        />
      ) : null}
      <WeekBoard
        days={days}
        held={held}
        onHold={setHeld}
        onPut={put}
        column={(day) => (
          <DayColumn
            key={day.day}
            day={day}
            names={names}
            clock={clock}
            lightKnown={answer.laid.lightKnown}
            chosen={chosen}
            moved={moved}
            amiss={amiss}
            onChoose={choose}
            weather={weather}
          />
        )}
      />
      <BatchesTable {...seen} onChange={change} />
      <InMargin>
        {card ? (
          <ChosenStep card={card} input={atRest} names={names} clock={clock} onPut={(min) => put(card.task.id, min)} />
        ) : (
          <section aria-label="A step">
            <h2>Why there</h2>
            <p className="quiet small">
              A step that is tapped says here why it stands where it stands, and what would bring it forward.
            </p>
          </section>
        )}
        <Moved {...seen} />
        {week ? <Rehearsal input={atRest} names={names} /> : null}
        <CalendarOut />
      </InMargin>
    </div>
  );
}

function cardOf({ tasks }: WeekAnswer, week: Week | undefined, id: string): Card | undefined {
  const task = tasks.find((each) => each.id === id);
  const placed = week?.placed.find((each) => each.id === id);
  return task && placed ? { task, placed } : undefined;
}
