import { Input, type InputRef } from 'antd';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { Reading } from '#base/reading';
import type { OwnMeasure } from '#matter/gear';
import type { Happened } from '#run/log';
import { amountProblem } from '#run/state';
import { AmountField, readAmount } from '../kit/amount-field.tsx';
import { EntryForm } from '../kit/entry-form.tsx';
import { Field } from '../kit/field.tsx';
import { nowHappened, WhenField } from '../kit/when-field.tsx';

interface AmountEntryProps {
  readonly label: string;
  readonly units: readonly string[];
  readonly start: string;
  readonly measures: readonly OwnMeasure[];
  /** Stands above the field. */
  readonly says?: ReactNode;
  /** A reason that is asked for before it is taken. */
  readonly why?: { readonly label: string; readonly value: string; readonly onChange: (value: string) => void } | null;
  readonly onChange?: () => void;
  /** False keeps what was typed: something is asked first. */
  readonly onEnter: (reading: Reading, happened: Happened) => boolean;
}

/** One amount with when it was had: the form of every weighing and measuring. */
export function AmountEntry({ label, units, start, measures, says, why = null, onChange, onEnter }: AmountEntryProps) {
  const first = useRef<InputRef>(null);
  const [unit, setUnit] = useState(start);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const [when, setWhen] = useState<(() => Happened) | null>(() => nowHappened);
  useEffect(() => first.current?.focus(), []);
  const enter = () => {
    if (when === null) return;
    const read = readAmount(text, unit, measures);
    if (!read.ok) return setProblem(read.problem.message);
    const refused = amountProblem(read.value);
    if (refused) return setProblem(refused);
    setProblem('');
    if (onEnter(read.value, when())) setText('');
  };
  return (
    <EntryForm onEnter={enter}>
      {says}
      <div className="pane-row">
        <AmountField
          label={label}
          text={text}
          unit={unit}
          units={units}
          measures={measures}
          problem={problem}
          fieldRef={first}
          onText={(next) => {
            setText(next);
            setProblem('');
            onChange?.();
          }}
          onUnit={setUnit}
        />
        <WhenField onChange={(next) => setWhen(() => next)} />
        <button type="submit" className="tab" disabled={when === null}>
          {why === null ? 'Enter it' : 'Enter it all the same'}
        </button>
      </div>
      {why ? (
        <div role="alert">
          <Field label={why.label} tone="watch">
            {(bound) => (
              <Input
                {...bound}
                value={why.value}
                maxLength={500}
                placeholder="the last piece was this big"
                onChange={(event) => why.onChange(event.target.value)}
              />
            )}
          </Field>
        </div>
      ) : null}
    </EntryForm>
  );
}
