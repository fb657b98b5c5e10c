import { useMutation } from '@tanstack/react-query';
import { Input } from 'antd';
import { useState } from 'react';
import { codeOf, request, sentenceOf } from '../api/client.ts';
import { EntryForm } from '../kit/entry-form.tsx';
import { Field } from '../kit/field.tsx';
import './pair.css';

/** On the phone: the code that stands on the machine’s screen, and what this device is called. */
export function PairPage() {
  const [code, setCode] = useState(() => window.location.hash.slice(1, 21));
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const pair = useMutation({
    mutationFn: () => request('POST', '/pair', { code: code.trim(), name: name.trim() }),
    // The code must not stay in the history.
    onSuccess: () => window.location.replace('/shelf'),
  });
  const wrong = pair.isError && codeOf(pair.error) === 'wrong-code';
  return (
    <main className="pair">
      <h1>Earnest Still</h1>
      <p>This device is not paired with the notebook yet. The code stands on the screen of the machine it is on.</p>
      <EntryForm
        onEnter={() => {
          const missing = code.trim() === '' ? 'Type the six digits of the code.' : '';
          setProblem(missing || (name.trim() === '' ? 'Give this device a name, such as “phone”.' : ''));
          if (code.trim() !== '' && name.trim() !== '') pair.mutate();
        }}
      >
        <Field label="Code" problem={wrong ? sentenceOf(pair.error) : ''}>
          {(bound) => (
            <Input
              {...bound}
              inputMode="numeric"
              autoComplete="one-time-code"
              maxLength={20}
              value={code}
              onChange={(event) => setCode(event.target.value)}
            />
          )}
        </Field>
        <Field label="Name of this device">
          {(bound) => (
            <Input
              {...bound}
              maxLength={60}
              placeholder="phone"
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          )}
        </Field>
        {problem ? (
          <p className="problem" role="alert">
            {problem}
          </p>
        ) : null}
        {pair.isError && !wrong ? <p className="problem">{sentenceOf(pair.error)}</p> : null}
        <button type="submit" className="act" disabled={pair.isPending}>
          {pair.isPending ? 'Pairing …' : 'Pair this device'}
        </button>
      </EntryForm>
    </main>
  );
}
