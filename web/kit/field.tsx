import { Form } from 'antd';
import { type ReactNode, useId } from 'react';

/** What a field hands to its control, so that label and fault belong to it. */
export interface Bound {
  readonly id: string;
  readonly 'aria-invalid': boolean;
  readonly 'aria-describedby': string | undefined;
  /** What pops up from the control has no label of its own otherwise. */
  readonly 'aria-label': string | undefined;
}

interface FieldProps {
  readonly label: ReactNode;
  readonly hideLabel?: boolean;
  readonly tone?: 'watch';
  /** What is wrong with it, and what would be right; empty for nothing. */
  readonly problem?: string;
  /** Said below it while nothing is wrong; a field that has one, if empty for now, keeps its line, so that nothing below moves. */
  readonly hint?: ReactNode;
  readonly grows?: boolean;
  readonly children: (bound: Bound) => ReactNode;
}

/** A control with its label above and what is wrong with it, or a hint, below: the one way a field is bound here. */
export function Field({ label, hideLabel = false, tone, problem = '', hint, grows = false, children }: FieldProps) {
  const id = useId();
  const told = problem !== '' || hint !== undefined;
  return (
    <Form.Item
      className={grows ? 'field field-grows' : 'field'}
      label={<span className={hideLabel ? 'sr' : (tone ?? '')}>{label}</span>}
      htmlFor={id}
      layout="vertical"
      validateStatus={problem ? 'error' : ''}
      help={
        told ? (
          <span
            id={`${id}-told`}
            className={problem ? 'problem small' : 'quiet small'}
            role={problem ? 'alert' : undefined}
          >
            {problem || hint || '\u00a0'}
          </span>
        ) : undefined
      }
    >
      {children({
        id,
        'aria-invalid': problem !== '',
        'aria-describedby': told ? `${id}-told` : undefined,
        'aria-label': typeof label === 'string' ? label : undefined,
      })}
    </Form.Item>
  );
}
