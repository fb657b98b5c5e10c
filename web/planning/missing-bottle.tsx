import { Input } from 'antd';
import { useMemo, useState } from 'react';
import type { BottleCard } from '#matter/stock';
import { sentenceOf } from '../api/client.ts';
import { usePutBottle } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { Asked } from '../parts/asked.tsx';
import { today } from '../parts/day.ts';
import { useCompute } from '../worker/compute.ts';
import { useWhenSettled } from '../worker/use-when-settled.ts';

interface MissingBottleProps {
  readonly tempC: number;
  /** Plans as if it stood on the shelf. */
  readonly onSuppose: (card: BottleCard) => void;
}

/** Where a plan lacks a bottle, its label is typed right there: it is put on the shelf, or only supposed. */
export function MissingBottle({ tempC, onSuppose }: MissingBottleProps) {
  const put = usePutBottle();
  const [text, setText] = useState('');
  const [asked, setAsked] = useState(false);
  const label = useCompute(
    'label',
    useMemo(() => (text.trim() === '' ? undefined : { text, today: today(), tempC }), [text, tempC]),
  );
  const { value } = label;
  const card =
    value?.reading.card && value.reading.problems.length === 0 && value.reading.card.labelText === text.trim()
      ? value.reading.card
      : undefined;
  // What was typed last is read before it is taken.
  const entry = useWhenSettled(label.busy, () => {
    if (card) put.mutate({ card }, { onSuccess: () => setText('') });
  });
  const question = text.trim() === '' ? undefined : value?.reading.question;
  return (
    <form
      className="missing-bottle"
      onSubmit={(event) => {
        event.preventDefault();
        setAsked(true);
        entry.ask();
      }}
    >
      <Field label="The bottle that is missing says">
        {(bound) => (
          <Input
            {...bound}
            className="mono"
            value={text}
            placeholder="washing soda crystals 1 kg 2.10"
            autoComplete="off"
            spellCheck={false}
            maxLength={300}
            onChange={(event) => {
              setText(event.target.value);
              entry.forget();
            }}
          />
        )}
      </Field>
      <div aria-live="polite">
        {text.trim() !== '' && (asked || question)
          ? value?.reading.problems.map((each) => (
              <p key={each.message} className="problem small">
                {each.message}
              </p>
            ))
          : null}
        {question ? <Asked question={question} onChoose={setText} /> : null}
        {put.isError ? <p className="problem small">{sentenceOf(put.error)}</p> : null}
      </div>
      <p className="row">
        <button type="submit" className="link" disabled={put.isPending || text.trim() === ''}>
          Put it on the shelf
        </button>
        <button
          type="button"
          className="link"
          disabled={!card}
          onClick={() => {
            if (card) onSuppose(card);
            setText('');
          }}
        >
          Only suppose I had it
        </button>
      </p>
    </form>
  );
}
