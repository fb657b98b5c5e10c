import { sentenceOf } from '../api/client.ts';
import { usePutBottle } from '../api/queries.ts';
import type { SupposedBottle } from './use-supposed.ts';

interface SupposedProps {
  readonly bottles: readonly SupposedBottle[];
  readonly onGone: (id: string) => void;
}

/** Bottles that the plan is computed with and that are not there: nothing of it can be taken to the bench before they are. */
export function Supposed({ bottles, onGone }: SupposedProps) {
  const put = usePutBottle();
  if (bottles.length === 0) return null;
  return (
    <section className="supposed" aria-label="Supposed bottles">
      {bottles.map(({ id, card }) => (
        <p key={id} className="row">
          <span>
            <b>Supposed, not on the shelf:</b> {card.labelText || card.name}
          </span>
          <button
            type="button"
            className="link"
            disabled={put.isPending}
            onClick={() => put.mutate({ card }, { onSuccess: () => onGone(id) })}
          >
            Now it is: put it there
          </button>
          <button type="button" className="link" onClick={() => onGone(id)}>
            No longer suppose it
          </button>
        </p>
      ))}
      {put.isError ? <p className="problem">{sentenceOf(put.error)}</p> : null}
    </section>
  );
}
