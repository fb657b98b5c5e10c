import { useNavigate } from 'react-router';
import type { BatchAnswer } from '#contract/api';

interface TakeOrKeepProps {
  /** Everything is read, computed and on the shelf. */
  readonly ready: boolean;
  /** It is planned with a bottle that is not there yet. */
  readonly supposes: boolean;
  /** It is a plan kept before. */
  readonly kept: boolean;
  /** Keeps the plan, then goes on. */
  readonly send: (then: (batch: BatchAnswer) => void) => void;
  readonly onKept: () => void;
}

/** What can be done with a plan that stands: take it to the bench, or keep it for later. */
export function TakeOrKeep({ ready, supposes, kept, send, onKept }: TakeOrKeepProps) {
  const navigate = useNavigate();
  return (
    <>
      <button
        type="button"
        className="act"
        disabled={!ready}
        onClick={() => send((batch) => void navigate(`/bench/${batch.id}`))}
      >
        Take it to the bench
      </button>
      {supposes ? <span className="quiet small">once what is supposed stands on the shelf</span> : null}
      <button
        type="button"
        className="link"
        disabled={!ready}
        onClick={() => send((batch) => (kept ? onKept() : void navigate(`/plan/${batch.id}`)))}
      >
        {kept ? 'Keep the changes' : 'Keep as a plan'}
      </button>
    </>
  );
}
