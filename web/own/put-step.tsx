import { useState } from 'react';
import type { Plan } from '#run/plan';
import { type StepKind, stepKinds } from '#run/route';
import { StepIcon } from '../parts/step-icon.tsx';

interface PutStepProps {
  readonly plan: Plan;
  readonly onPut: (kind: string, of: string) => void;
  readonly onClose: () => void;
}

/** Every kind of step there is, drawn: one more tap where it has to be said which bottle or equation. */
export function PutStep({ plan, onPut, onClose }: PutStepProps) {
  const [asks, setAsks] = useState<StepKind | null>(null);
  const { roles, reactions } = plan.route;
  const choices =
    asks?.needs === 'role'
      ? roles.map(({ id, name }) => ({ id, name }))
      : reactions.map(({ id }, i) => ({ id, name: `equation ${i + 1}` }));
  return (
    <section className="own-put pane" aria-label="Put a step in">
      <h3>{asks ? `${asks.says}: which?` : 'Put a step in'}</h3>
      <ul>
        {asks
          ? choices.map(({ id, name }) => (
              <li key={id}>
                <button type="button" className="link" onClick={() => onPut(asks.id, id)}>
                  {name}
                </button>
              </li>
            ))
          : stepKinds.map((kind) => (
              <li key={kind.id}>
                <button
                  type="button"
                  className="own-kind"
                  disabled={kind.needs === 'reaction' && reactions.length === 0}
                  onClick={() => (kind.needs ? setAsks(kind) : onPut(kind.id, ''))}
                >
                  <StepIcon technique={kind.technique} />
                  {kind.says}
                </button>
              </li>
            ))}
      </ul>
      <p>
        <button type="button" className="link" onClick={asks ? () => setAsks(null) : onClose}>
          {asks ? 'Back' : 'Close'}
        </button>
      </p>
    </section>
  );
}
