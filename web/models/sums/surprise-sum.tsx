import { useMemo, useState } from 'react';
import type { VerbInput } from '#contract/verbs';
import { type LookedInto, type Observation, observations, type Ranked } from '#run/surprise';
import { useCompute } from '#web/worker/compute.ts';

const SHOWN = 4;

interface SurpriseSumProps {
  readonly scene: Omit<VerbInput<'surprise'>, 'observation'>;
  readonly onSeen?: (seen: Observation) => void;
  /** What came of looking into a cause: it shifts what is likely the next time. */
  readonly onVerdict?: (seen: Observation, cause: string, verdict: LookedInto['verdict']) => void;
}

/** Something unexpected: pick what is seen; causes ranked from what is there, dangerous ones first. */
export function SurpriseSum({ scene, onSeen, onVerdict }: SurpriseSumProps) {
  const [seen, setSeen] = useState<Observation | null>(null);
  const [all, setAll] = useState(false);
  const ranked = useCompute(
    'surprise',
    useMemo(() => (seen ? { observation: seen, ...scene } : undefined), [seen, scene]),
  ).value;
  const pick = (next: Observation) => {
    setSeen(next);
    setAll(false);
    onSeen?.(next);
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
        <b>{observations[seen]}</b>
        {onSeen ? ', entered' : ''}.{' '}
        <button type="button" className="link" onClick={() => setSeen(null)}>
          Something else
        </button>
      </p>
      <ol className="causes" aria-label="Causes, the gravest and likeliest first">
        {shown?.map((cause) => (
          <CauseItem
            key={cause.cause}
            cause={cause}
            before={scene.known?.findLast((each) => each.cause === cause.cause)?.verdict ?? null}
            onVerdict={onVerdict ? (verdict) => onVerdict(seen, cause.cause, verdict) : null}
          />
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

interface CauseItemProps {
  readonly cause: Ranked;
  readonly before: LookedInto['verdict'] | null;
  readonly onVerdict: ((verdict: LookedInto['verdict']) => void) | null;
}

const VERDICTS = ['it was this', 'it was not this'] as const;

function CauseItem({ cause, before, onVerdict }: CauseItemProps) {
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
      {before ? <p className="small">Looked into: {before}.</p> : null}
      {onVerdict && before === null ? (
        <p className="small row">
          {VERDICTS.map((verdict) => (
            <button
              key={verdict}
              type="button"
              className="link"
              aria-label={`${verdict}: ${cause.cause}`}
              onClick={() => onVerdict(verdict)}
            >
              {verdict.charAt(0).toUpperCase() + verdict.slice(1)}
            </button>
          ))}
        </p>
      ) : null}
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
