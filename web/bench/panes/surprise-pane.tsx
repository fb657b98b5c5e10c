import { useMemo, useState } from 'react';
import { type Observation, observations, type Ranked } from '#core/surprise';
import type { PaneProps } from '#web/run/pane-props.ts';
import { useCompute } from '#web/worker/compute.ts';

const SHOWN = 4;

/** Something unexpected: pick what is seen; causes ranked from what is in the vessel, dangerous ones first. */
export function SurprisePane({ run, step }: PaneProps) {
  const [seen, setSeen] = useState<Observation | null>(null);
  const [all, setAll] = useState(false);
  const present = useMemo(() => sceneOf(run), [run]);
  const temp = lastTemperature(run, step.key) ?? run.batch.plan.bench.tempC;
  const ranked = useCompute(
    'surprise',
    useMemo(
      () => (seen ? { observation: seen, present, tempC: temp, technique: step.technique } : undefined),
      [seen, present, temp, step.technique],
    ),
  ).value;
  const pick = (next: Observation) => {
    setSeen(next);
    setAll(false);
    run.enter({
      kind: 'read',
      step: step.key,
      quantity: 'sight',
      reading: { is: 'word', text: observations[next] },
      place: '',
    });
  };
  if (!seen)
    return (
      <fieldset className="seen">
        <legend>What do you see, smell or feel?</legend>
        <div className="chips">
          {Object.entries(observations).map(([id, text]) => (
            <button key={id} type="button" className="tab tab-more" onClick={() => pick(id as Observation)}>
              {text}
            </button>
          ))}
        </div>
      </fieldset>
    );
  const shown = all ? ranked : ranked?.slice(0, SHOWN);
  return (
    <div>
      <p>
        <b>{observations[seen]}</b>, entered.{' '}
        <button type="button" className="link" onClick={() => setSeen(null)}>
          Something else
        </button>
      </p>
      <ol className="causes" aria-label="Causes, the gravest and likeliest first">
        {shown?.map((cause) => (
          <CauseItem key={cause.cause} cause={cause} />
        ))}
      </ol>
      {ranked && ranked.length > SHOWN && !all ? (
        <button type="button" className="link" onClick={() => setAll(true)}>
          {ranked.length - SHOWN} more
        </button>
      ) : null}
    </div>
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

function CauseItem({ cause }: { cause: Ranked }) {
  return (
    <li>
      <p>
        <b>{cause.cause}</b> <span className="quiet small">{likelyWord(cause)}</span>
      </p>
      {cause.danger === 'stop' && cause.fits ? (
        <p className="caution caution-stop" role="alert">
          <b>Stop, do this now:</b> {cause.now}
        </p>
      ) : null}
      <p className="small">
        <b>Check:</b> {cause.check} <b>Then:</b> {cause.move}
      </p>
      <p className="quiet small">
        {cause.via ? `${cause.via.replace('->', '→')} · ` : ''}
        {cause.source}
      </p>
    </li>
  );
}

function likelyWord({ likely, fits, because }: Ranked): string {
  if (!fits) return because;
  if (likely > 0.5) return 'most likely';
  return likely > 0.2 ? 'likely' : 'possible';
}

function lastTemperature(run: PaneProps['run'], step: string): number | undefined {
  for (const { body } of [...run.events].reverse())
    if (body.kind === 'read' && body.step === step && body.quantity === 'temperature' && body.reading.is === 'exact')
      return body.reading.value;
  return undefined;
}
