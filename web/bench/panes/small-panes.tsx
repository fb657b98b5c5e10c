import { Checkbox, Input, type InputRef } from 'antd';
import type { TextAreaRef } from 'antd/es/input/TextArea';
import { useEffect, useRef, useState } from 'react';
import { parseReading } from '#base/reading';
import { parseQuantity } from '#base/units';
import { portionProblem } from '#run/state';
import { newId } from '#web/api/ids.ts';
import { holdPhoto, photoProblem } from '#web/api/photos.ts';
import { EntryForm } from '#web/kit/entry-form.tsx';
import { Field } from '#web/kit/field.tsx';
import { ReadingField } from '#web/kit/reading-field.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { ColourPick } from './colour-pick.tsx';

export function TimerPane({ run, step, onClose }: PaneProps) {
  const [name, setName] = useState(step.timer?.name ?? 'look again');
  const [text, setText] = useState(`${step.timer?.minutes ?? 20} min`);
  const [problem, setProblem] = useState('');
  const start = () => {
    const length = parseQuantity(text, ['time']);
    if (!length.ok) return setProblem(length.problem.message);
    const minutes = length.value.value / 60;
    if (minutes <= 0 || minutes > 525_600) return setProblem('A timer runs for more than 0 and at most a year.');
    run.enter({ kind: 'timer-set', step: step.key, timer: newId('timer'), name: name.trim() || 'timer', minutes });
    onClose();
  };
  return (
    <EntryForm className="pane-row" onEnter={start}>
      <Field label="Runs for" problem={problem}>
        {(bound) => (
          <Input
            {...bound}
            autoFocus
            size="large"
            value={text}
            onChange={(event) => {
              setText(event.target.value);
              setProblem('');
            }}
          />
        )}
      </Field>
      <Field label="For">
        {(bound) => (
          <Input
            {...bound}
            size="large"
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
        )}
      </Field>
      <button type="submit" className="tab">
        Start it
      </button>
    </EntryForm>
  );
}

export function NotePane({ run, step, onClose }: PaneProps) {
  const area = useRef<TextAreaRef>(null);
  const [text, setText] = useState('');
  useEffect(() => area.current?.focus(), []);
  return (
    <EntryForm
      onEnter={() => {
        if (text.trim() === '') return;
        run.enter({ kind: 'noted', step: step.key, text: text.trim() });
        onClose();
      }}
    >
      <Field label="Note">
        {(bound) => (
          <Input.TextArea
            {...bound}
            ref={area}
            rows={3}
            maxLength={4000}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Field>
      <button type="submit" className="tab" disabled={text.trim() === ''}>
        Keep the note
      </button>
    </EntryForm>
  );
}

export function PortionPane({ run, step, onClose }: PaneProps) {
  const first = useRef<InputRef>(null);
  const [text, setText] = useState('');
  const [purpose, setPurpose] = useState('');
  const [returned, setReturned] = useState(false);
  const [problem, setProblem] = useState('');
  useEffect(() => first.current?.focus(), []);
  const enter = () => {
    const read = parseReading(text, 'g');
    if (!read.ok) return setProblem(read.problem.message);
    const senseless = portionProblem(read.value, run.state.sheet.now);
    if (senseless) return setProblem(senseless);
    run.enter({
      kind: 'portion-taken',
      step: step.key,
      reading: read.value,
      purpose: purpose.trim() || 'test',
      returned,
    });
    onClose();
  };
  return (
    <EntryForm onEnter={enter}>
      <div className="pane-row">
        <ReadingField
          label="Taken out"
          unit="g"
          text={text}
          onText={(next) => {
            setText(next);
            setProblem('');
          }}
          fieldRef={first}
          problem={problem}
        />
        <Field label="For">
          {(bound) => (
            <Input
              {...bound}
              size="large"
              value={purpose}
              maxLength={300}
              placeholder="spot test"
              onChange={(event) => setPurpose(event.target.value)}
            />
          )}
        </Field>
        <Checkbox checked={returned} onChange={(event) => setReturned(event.target.checked)}>
          went back in
        </Checkbox>
        <button type="submit" className="tab">
          Book it
        </button>
      </div>
      <p className="quiet small">
        What does not go back takes its share of everything with it, and the yield is computed on the rest.
      </p>
    </EntryForm>
  );
}

export function PhotoPane({ run, step, onClose }: PaneProps) {
  const [file, setFile] = useState<File | null>(null);
  const [caption, setCaption] = useState('');
  const [colour, setColour] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const send = async () => {
    if (!file) return setProblem('Choose a photo first.');
    setBusy(true);
    try {
      const wrong = await photoProblem(file);
      if (wrong) return setProblem(wrong);
      const attachmentId = newId('att');
      await holdPhoto(attachmentId, run.batch.id, file);
      run.enter({
        kind: 'photographed',
        step: step.key,
        attachmentId,
        caption: caption.trim(),
        ...(colour ? { colour } : {}),
      });
      onClose();
    } finally {
      setBusy(false);
    }
  };
  return (
    <EntryForm onEnter={() => void send()}>
      <div className="pane-row">
        <Field label="Photo (JPEG, PNG or WebP, at most 12 MB)">
          {(bound) => (
            <input
              {...bound}
              type="file"
              accept="image/jpeg,image/png,image/webp"
              capture="environment"
              onChange={(event) => {
                setFile(event.target.files?.[0] ?? null);
                setColour(null);
                setProblem('');
              }}
            />
          )}
        </Field>
        <Field label="Shows">
          {(bound) => (
            <Input {...bound} value={caption} maxLength={300} onChange={(event) => setCaption(event.target.value)} />
          )}
        </Field>
        <button type="submit" className="tab" disabled={busy}>
          Keep it
        </button>
      </div>
      {file ? <ColourPick key={`${file.name}${file.lastModified}`} file={file} onColour={setColour} /> : null}
      {problem ? (
        <p className="problem small" role="alert">
          {problem}
        </p>
      ) : null}
    </EntryForm>
  );
}
