import { Input, type InputRef, Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { type Happened, parseReading, type Quantity, readingProblem } from '#core/log';
import { EntryForm } from '#web/kit/entry-form.tsx';
import { Field } from '#web/kit/field.tsx';
import { ReadingField } from '#web/kit/reading-field.tsx';
import { WhenField } from '#web/kit/when-field.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

const QUANTITIES: readonly { value: Quantity; label: string; unit: string; hint: string }[] = [
  { value: 'temperature', label: 'temperature', unit: '°C', hint: '58.2 or over 60' },
  { value: 'pH', label: 'pH', unit: '', hint: '7-8' },
  { value: 'mass', label: 'mass', unit: 'g', hint: '58.2' },
  { value: 'volume', label: 'volume', unit: 'mL', hint: 'about 90' },
  { value: 'left', label: 'solid left', unit: 'g', hint: '2.2' },
  { value: 'gas', label: 'gas, in all', unit: 'L', hint: '1.6' },
  { value: 'gain', label: 'mass gained', unit: 'g', hint: '3.1' },
  { value: 'loss', label: 'mass lost as gas', unit: 'g', hint: '2.4' },
  { value: 'foam', label: 'foam', unit: 'mL', hint: '100' },
  { value: 'density', label: 'density', unit: 'g/mL', hint: '1.162' },
  { value: 'conductivity', label: 'conductivity', unit: 'µS/cm', hint: '850' },
  { value: 'time', label: 'time', unit: 'min', hint: '12' },
  { value: 'current', label: 'current', unit: 'A', hint: '1.8' },
  { value: 'sight', label: 'what is seen', unit: '', hint: 'still blue' },
];

/** A reading: exact, a band, one-sided or a word; now or earlier. */
export function ReadingPane({ run, step }: PaneProps) {
  const first = useRef<InputRef>(null);
  const [quantity, setQuantity] = useState<Quantity>('temperature');
  const [text, setText] = useState('');
  const [place, setPlace] = useState('');
  const [problem, setProblem] = useState('');
  const [when, setWhen] = useState<(() => Happened) | null>(() => () => ({
    at: new Date().toISOString(),
    giveOrTakeMin: 0,
  }));
  const kind = QUANTITIES.find((each) => each.value === quantity)!;
  useEffect(() => first.current?.focus(), []);
  const enter = () => {
    const read =
      quantity === 'sight' && text.trim() !== ''
        ? ({ ok: true, value: { is: 'word', text: text.trim() } } as const)
        : parseReading(text, kind.unit);
    if (!read.ok) return setProblem(read.problem.message);
    const senseless = readingProblem(quantity, read.value);
    if (senseless) return setProblem(senseless);
    run.enter({ kind: 'read', step: step.key, quantity, reading: read.value, place: place.trim() }, when?.());
    setText('');
    setProblem('');
    first.current?.focus();
  };
  return (
    <EntryForm onEnter={enter}>
      <div className="pane-row">
        <Field label="What was read">
          {(bound) => (
            <Select
              {...bound}
              size="large"
              style={{ width: '100%' }}
              value={quantity}
              options={QUANTITIES.map(({ value, label }) => ({ value, label }))}
              onChange={(value) => {
                setQuantity(value);
                setProblem('');
              }}
            />
          )}
        </Field>
        <ReadingField
          label="Reading"
          unit={kind.unit}
          text={text}
          placeholder={kind.hint}
          onText={(next) => {
            setText(next);
            setProblem('');
          }}
          fieldRef={first}
          problem={problem}
        />
        <Field label="Where">
          {(bound) => (
            <Input
              {...bound}
              size="large"
              value={place}
              maxLength={60}
              placeholder="in the dish"
              onChange={(event) => setPlace(event.target.value)}
            />
          )}
        </Field>
        <WhenField onChange={(next) => setWhen(() => next)} />
        <button type="submit" className="tab" disabled={when === null}>
          Log it
        </button>
      </div>
    </EntryForm>
  );
}
