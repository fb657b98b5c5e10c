import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { Field } from '../kit/field.tsx';
import { useCompute } from '../worker/compute.ts';

/** What must not meet: any names, as they stand on packs. */
export function ClashPanel() {
  const [first, setFirst] = useState('');
  const [second, setSecond] = useState('');
  const { value, problem } = useCompute(
    'reckon',
    useMemo(
      () => (first.trim() && second.trim() ? { text: `clash ${first.trim()} + ${second.trim()}` } : undefined),
      [first, second],
    ),
  );
  return (
    <>
      <div className="pane-row">
        <Field label="This">
          {(bound) => (
            <Input
              {...bound}
              value={first}
              maxLength={100}
              placeholder="bleach"
              onChange={(e) => setFirst(e.target.value)}
            />
          )}
        </Field>
        <Field label="And this">
          {(bound) => (
            <Input
              {...bound}
              value={second}
              maxLength={100}
              placeholder="vinegar"
              onChange={(e) => setSecond(e.target.value)}
            />
          )}
        </Field>
      </div>
      <div aria-live="polite">
        {problem ? <p className="problem">{problem.message}</p> : null}
        {value?.note ? (
          <p className={(value.answers[0]?.value ?? 0) > 0 ? 'caution caution-stop' : 'quiet'}>{value.note}</p>
        ) : (
          <p className="quiet">
            Two names, as they stand on the packs: a trade name stands for all that is sold under it.
          </p>
        )}
      </div>
    </>
  );
}
