import { Form } from 'antd';
import type { ReactNode } from 'react';
import { flushSync } from 'react-dom';

/** A form at the bench: what is entered is told on Enter as on its button. */
export function EntryForm({
  onEnter,
  className,
  children,
}: {
  onEnter: () => void;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Form
      layout="vertical"
      component="form"
      requiredMark={false}
      {...(className ? { className } : {})}
      // The form calls back outside the event: its field would be emptied only after the next key, and take that with it.
      onFinish={() => flushSync(onEnter)}
    >
      {children}
    </Form>
  );
}
