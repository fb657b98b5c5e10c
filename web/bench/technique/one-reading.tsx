import { Input } from 'antd';
import { useState } from 'react';
import { parseReading, type Quantity, readingProblem, readingValue } from '#base/reading';
import { Field } from '#web/kit/field.tsx';
import type { Run } from '#web/run/use-run.ts';

interface OneReadingProps {
  readonly run: Run;
  readonly step: string;
  readonly quantity: Quantity;
  readonly label: string;
  readonly unit: string;
  readonly example: string;
  readonly button: string;
  /** What is wrong with a value in that unit; empty where it can be. */
  readonly wrong: (value: number) => string;
}

/** One reading of the thing in the panel, entered where it is seen. */
export function OneReading({ run, step, quantity, label, unit, example, button, wrong }: OneReadingProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const enter = () => {
    const read = parseReading(text, unit);
    if (!read.ok) return setProblem(read.problem.message);
    const refused = readingProblem(quantity, read.value);
    if (refused) return setProblem(refused);
    const value = readingValue(read.value);
    if (value?.unit !== unit) return setProblem(`Write it in ${unit}, such as ${example}.`);
    const odd = wrong(value.value);
    if (odd) return setProblem(odd);
    run.enter({ kind: 'read', step, quantity, reading: read.value, place: '' });
    setText('');
    setProblem('');
  };
  return (
    <div className="at-work-entry">
      <Field label={label} problem={problem}>
        {(bound) => (
          <Input
            {...bound}
            value={text}
            placeholder={example}
            inputMode="decimal"
            onChange={(event) => setText(event.target.value)}
            onPressEnter={enter}
          />
        )}
      </Field>
      <button type="button" className="tab" onClick={enter}>
        {button}
      </button>
    </div>
  );
}
