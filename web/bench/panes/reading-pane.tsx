import { Input, type InputRef, Segmented, Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { parseReading, type Quantity, quantities, readingProblem, readingValue } from '#base/reading';
import type { Happened } from '#run/log';
import { EntryForm } from '#web/kit/entry-form.tsx';
import { Field } from '#web/kit/field.tsx';
import { ReadingField } from '#web/kit/reading-field.tsx';
import { nowHappened, WhenField } from '#web/kit/when-field.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { ASKED } from '#web/run/reading-asked.ts';

const NAMES = Object.keys(ASKED) as Quantity[];

type State = 'dry' | 'wet';

function tareOf(text: string): number | undefined {
  const read = parseReading(text, 'g');
  const value = read.ok ? readingValue(read.value) : undefined;
  return value?.unit === 'g' && value.value >= 0 ? value.value : undefined;
}

/** What a weighing is worth depends on it: whether it was dry, and what was weighed with it. */
function Weighed({
  state,
  tare,
  problem,
  onState,
  onTare,
}: {
  state: State | null;
  tare: string;
  problem: string;
  onState: (state: State) => void;
  onTare: (tare: string) => void;
}) {
  return (
    <>
      <Field label="It was" problem={problem}>
        {() => (
          <Segmented<State | ''>
            aria-label="Dry or wet"
            options={['dry', 'wet']}
            value={state ?? ''}
            onChange={(next) => next !== '' && onState(next)}
          />
        )}
      </Field>
      <Field label="Paper or vessel with it">
        {(bound) => (
          <Input
            {...bound}
            size="large"
            suffix="g"
            value={tare}
            maxLength={20}
            placeholder="none"
            onChange={(event) => onTare(event.target.value)}
          />
        )}
      </Field>
    </>
  );
}

/** A reading: exact, a band, one-sided or a word; now or earlier. */
export function ReadingPane({ run, step }: PaneProps) {
  const first = useRef<InputRef>(null);
  const [quantity, setQuantity] = useState<Quantity>(step.reads);
  const [text, setText] = useState('');
  const [place, setPlace] = useState('');
  const [problem, setProblem] = useState('');
  const [when, setWhen] = useState<(() => Happened) | null>(() => nowHappened);
  const [state, setState] = useState<State | null>(null);
  const [tare, setTare] = useState('');
  const [asked, setAsked] = useState('');
  const { unit } = quantities[quantity];
  const weighed = quantity === 'mass' || quantity === 'left';
  useEffect(() => first.current?.focus(), []);
  const enter = () => {
    const read =
      quantity === 'sight' && text.trim() !== ''
        ? ({ ok: true, value: { is: 'word', text: text.trim() } } as const)
        : parseReading(text, unit);
    if (!read.ok) return setProblem(read.problem.message);
    const senseless = readingProblem(quantity, read.value);
    if (senseless) return setProblem(senseless);
    if (weighed && state === null && read.value.is !== 'word')
      return setAsked('Was it dry when it was weighed, or still wet?');
    const paper = weighed && tare.trim() !== '' ? tareOf(tare) : 0;
    if (paper === undefined) return setAsked('What was weighed with it is a mass, such as 3.5 g.');
    run.enter(
      {
        kind: 'read',
        step: step.key,
        quantity,
        reading: read.value,
        place: place.trim(),
        ...(weighed && state !== null ? { state } : {}),
        ...(paper > 0 ? { tareG: paper } : {}),
      },
      when?.(),
    );
    setText('');
    setAsked('');
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
              options={NAMES.map((value) => ({ value, label: ASKED[value].label }))}
              onChange={(value) => {
                setQuantity(value);
                setProblem('');
              }}
            />
          )}
        </Field>
        <ReadingField
          label="Reading"
          unit={unit}
          text={text}
          placeholder={ASKED[quantity].hint}
          onText={(next) => {
            setText(next);
            setProblem('');
          }}
          fieldRef={first}
          problem={problem}
        />
        {weighed ? (
          <Weighed
            state={state}
            tare={tare}
            problem={asked}
            onState={(next) => {
              setState(next);
              setAsked('');
            }}
            onTare={(next) => {
              setTare(next);
              setAsked('');
            }}
          />
        ) : null}
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
