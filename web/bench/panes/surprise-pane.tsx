import { useMemo } from 'react';
import { observations } from '#run/surprise';
import { SurpriseSum } from '#web/models/sums/surprise-sum.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** Something unexpected at this step: what is seen is entered, its causes ranked from what is in the vessel. */
export function SurprisePane({ run, step }: PaneProps) {
  const present = useMemo(() => sceneOf(run), [run]);
  const tempC = lastTemperature(run, step.key) ?? run.batch.plan.bench.tempC;
  const { technique } = step;
  const material = run.state.sheet.vessel?.vessel.material;
  const known = useMemo(
    () =>
      run.events.flatMap(({ body }) =>
        body.kind === 'looked-into' ? [{ cause: body.cause, verdict: body.verdict }] : [],
      ),
    [run.events],
  );
  const scene = useMemo(
    () => ({ present, tempC, technique, known, ...(material && { material }) }),
    [present, tempC, technique, known, material],
  );
  return (
    <SurpriseSum
      scene={scene}
      onSeen={(seen) =>
        run.enter({
          kind: 'read',
          step: step.key,
          quantity: 'sight',
          reading: { is: 'word', text: observations[seen] },
          place: '',
        })
      }
      onVerdict={(observation, cause, verdict) =>
        run.enter({ kind: 'looked-into', step: step.key, observation, cause: cause.slice(0, 300), verdict, note: '' })
      }
    />
  );
}

/** What is in the vessel now, and everything that went in: what has reacted away may have been left in a corner. */
function sceneOf({ state, batch, events }: PaneProps['run']) {
  const known = new Map((state.sheet.now?.present ?? []).map((each) => [each.substanceId, each]));
  for (const { body } of events) {
    if (body.kind !== 'added') continue;
    const card = body.stock?.card ?? (body.bottleId ? batch.plan.stock[body.bottleId]?.card : undefined);
    if (card && !known.has(card.substanceId)) known.set(card.substanceId, { substanceId: card.substanceId, pct: 10 });
  }
  return [...known.values()];
}

function lastTemperature(run: PaneProps['run'], step: string): number | undefined {
  for (const { body } of [...run.events].reverse())
    if (body.kind === 'read' && body.step === step && body.quantity === 'temperature' && body.reading.is === 'exact')
      return body.reading.value;
  return undefined;
}
