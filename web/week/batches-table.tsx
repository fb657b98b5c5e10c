import { Input } from 'antd';
import type { WeekAnswer } from '#contract/api';
import type { Week, WeekChoices } from '#run/week';
import type { WeekNames } from '../fits/sentences.ts';
import { fieldText, lengthText, type WeekClock } from '../parts/when-text.ts';

interface BatchesTableProps {
  readonly answer: WeekAnswer;
  readonly week: Week | undefined;
  readonly names: WeekNames;
  readonly clock: WeekClock;
  readonly onChange: (change: Partial<WeekChoices>) => void;
}

/** Each batch of the week: when it is done, what it takes of a person, when it is wanted, and whether it is in it at all. */
export function BatchesTable({ answer, week, names, clock, onChange }: BatchesTableProps) {
  const { tasks, choices, batches } = answer;
  const placed = new Map(week?.placed.map((each) => [each.id, each]));
  const inWeek = [...new Set(tasks.map(({ batch }) => batch))];
  const leftOut = batches.filter(({ id }) => choices.out.includes(id) && !inWeek.includes(id));
  const without = (id: string) => onChange({ out: [...choices.out, id] });
  const within = (id: string) => onChange({ out: choices.out.filter((each) => each !== id) });
  return (
    <section aria-label="What is in the week">
      <h2>What is in it</h2>
      <div className="week-scroll">
        <table className="week-table">
          <thead>
            <tr>
              <th scope="col">batch</th>
              <th scope="col">done</th>
              <th scope="col">hands on</th>
              <th scope="col">wanted by</th>
              <th scope="col">
                <span className="sr">in or out</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {inWeek.map((batch) => {
              const own = tasks.filter((task) => task.batch === batch);
              const ends = own.flatMap(({ id }) => placed.get(id) ?? []);
              const last = ends.reduce((late, each) => (late && late.over[1] > each.over[1] ? late : each), ends[0]);
              const known = batches.find(({ id }) => id === batch);
              const runs = known?.status === 'running';
              return (
                <tr key={batch}>
                  <th scope="row">
                    {names.batch(batch)}
                    {known && own[0]?.step !== '' ? <span className="quiet">, {known.number}</span> : null}
                    {runs ? <span className="quiet small"> running</span> : null}
                  </th>
                  <td>{week ? doneText(ends.length < own.length ? undefined : last, clock) : '…'}</td>
                  <td>about {lengthText(own.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0))}</td>
                  <td>
                    <Wanted
                      key={choices.wanted[batch] ?? ''}
                      name={names.batch(batch)}
                      at={choices.wanted[batch] ?? null}
                      onWant={(at) => onChange({ wanted: wantedWith(choices.wanted, batch, at) })}
                    />
                  </td>
                  <td>
                    {runs ? null : (
                      <button
                        type="button"
                        className="link"
                        onClick={() => without(batch)}
                        aria-label={`Leave out ${names.batch(batch)}`}
                      >
                        leave out
                      </button>
                    )}
                  </td>
                </tr>
              );
            })}
            {leftOut.map(({ id, title, number }) => (
              <tr key={id} className="quiet">
                <th scope="row">
                  {title}, {number}
                </th>
                <td colSpan={3}>left out</td>
                <td>
                  <button type="button" className="link" onClick={() => within(id)} aria-label={`Take in ${title}`}>
                    take in
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** Without the last of its steps: the days do not reach to its end. */
function doneText(last: Week['placed'][number] | undefined, clock: WeekClock): string {
  if (!last) return 'not in these days';
  const { over, from, earliest } = last;
  const soonest = earliest + over[0] - from;
  return over[1] - soonest < 10 ? clock.text(over[1]) : `${clock.text(soonest)} to ${clock.text(over[1])}`;
}

function wantedWith(wanted: WeekChoices['wanted'], batch: string, at: string | null): WeekChoices['wanted'] {
  const { [batch]: _, ...rest } = wanted;
  return at === null ? rest : { ...rest, [batch]: at };
}

/** A day and a time by which it is wanted; empty for none. Taken when it is left, so that typing a year does not move the week. */
function Wanted({ name, at, onWant }: { name: string; at: string | null; onWant: (at: string | null) => void }) {
  return (
    <Input
      type="datetime-local"
      size="small"
      aria-label={`${name} is wanted by`}
      defaultValue={at === null ? '' : fieldText(Date.parse(at))}
      onBlur={(event) => {
        const typed = event.target.value;
        const then = typed === '' ? null : Date.parse(typed);
        if (then !== null && Number.isNaN(then)) return;
        const next = then === null ? null : new Date(then).toISOString();
        if (next !== at) onWant(next);
      }}
    />
  );
}
