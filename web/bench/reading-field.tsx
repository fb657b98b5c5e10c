import { Input, type InputRef } from 'antd';
import { type Ref, useId } from 'react';
import { parseReading, type Reading, readingText } from '#core/log';

interface ReadingFieldProps {
  readonly label: string;
  readonly unit: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly fieldRef?: Ref<InputRef>;
  readonly placeholder?: string;
  /** Said besides what the reading itself is refused for. */
  readonly problem?: string;
}

/** A reading as it was had: “58.2”, “12-14”, “over 12”, “still blue”; what was understood stands below it. */
export function ReadingField({
  label,
  unit,
  text,
  onText,
  fieldRef,
  placeholder = '',
  problem = '',
}: ReadingFieldProps) {
  const id = useId();
  const read = text.trim() === '' ? undefined : parseReading(text, unit);
  const said = problem || (read && !read.ok ? read.problem.message : '');
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        ref={fieldRef ?? null}
        size="large"
        value={text}
        suffix={unit}
        placeholder={placeholder}
        autoComplete="off"
        maxLength={200}
        status={said ? 'error' : ''}
        aria-invalid={said !== ''}
        aria-describedby={`${id}-read`}
        onChange={(event) => onText(event.target.value)}
      />
      <p id={`${id}-read`} className={said ? 'problem small' : 'quiet small'} aria-live="polite">
        {said || (read?.ok && read.value.is !== 'exact' ? `taken as ${describe(read.value)}` : '\u00a0')}
      </p>
    </div>
  );
}

function describe(reading: Reading): string {
  return reading.is === 'word' ? `the words “${reading.text}”` : readingText(reading);
}
