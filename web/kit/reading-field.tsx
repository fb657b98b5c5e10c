import { Input, type InputRef } from 'antd';
import type { Ref } from 'react';
import { parseReading, type Reading, readingText } from '#base/reading';
import { Field } from './field.tsx';

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
  const read = text.trim() === '' ? undefined : parseReading(text, unit);
  const said = problem || (read && !read.ok ? read.problem.message : '');
  return (
    <Field
      label={label}
      problem={said}
      hint={read?.ok && read.value.is !== 'exact' ? `taken as ${describe(read.value)}` : ''}
    >
      {(bound) => (
        <Input
          {...bound}
          ref={fieldRef ?? null}
          size="large"
          value={text}
          suffix={unit}
          placeholder={placeholder}
          autoComplete="off"
          maxLength={200}
          onChange={(event) => onText(event.target.value)}
        />
      )}
    </Field>
  );
}

function describe(reading: Reading): string {
  return reading.is === 'word' ? `the words “${reading.text}”` : readingText(reading);
}
