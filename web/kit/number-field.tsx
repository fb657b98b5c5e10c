import type { InputRef } from 'antd';
import { Input } from 'antd';
import { type Ref, useState } from 'react';
import { formatPlain, parseNumber } from '#base/units';
import { Field } from './field.tsx';

interface NumberFieldProps {
  readonly label: string;
  readonly unit?: string;
  readonly value: number | null;
  /** Null when nothing readable stands there; the text stays as typed. */
  readonly onChange: (value: number | null) => void;
  readonly min?: number;
  readonly max?: number;
  readonly required?: boolean;
  readonly fieldRef?: Ref<InputRef>;
  readonly size?: 'large' | 'middle';
  readonly hideLabel?: boolean;
}

/** A number as people type it; what is typed is kept apart from what it means, so “1.” and “0,” survive. */
export function NumberField({
  label,
  unit = '',
  value,
  onChange,
  min,
  max,
  required = false,
  fieldRef,
  size = 'middle',
  hideLabel = false,
}: NumberFieldProps) {
  const [text, setText] = useState(value === null ? '' : formatPlain(value));
  const [problem, setProblem] = useState('');
  const read = (typed: string) => {
    setText(typed);
    if (typed.trim() === '') {
      setProblem(required ? 'A number is needed here.' : '');
      onChange(null);
      return;
    }
    const parsed = parseNumber(typed);
    const said = parsed.ok ? rangeProblem(parsed.value, min, max, unit) : parsed.problem.message;
    setProblem(said);
    onChange(parsed.ok && said === '' ? parsed.value : null);
  };
  return (
    <Field label={label} hideLabel={hideLabel} problem={problem}>
      {(bound) => (
        <Input
          {...bound}
          ref={fieldRef ?? null}
          value={text}
          size={size}
          inputMode="decimal"
          autoComplete="off"
          suffix={unit}
          onChange={(event) => read(event.target.value)}
        />
      )}
    </Field>
  );
}

function rangeProblem(value: number, min: number | undefined, max: number | undefined, unit: string): string {
  if (min !== undefined && value < min) return `At least ${min} ${unit}`.trim().concat('.');
  if (max !== undefined && value > max) return `At most ${max} ${unit}`.trim().concat('.');
  return '';
}
