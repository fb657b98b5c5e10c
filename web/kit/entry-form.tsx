import { Form } from 'antd';
import type { ReactNode } from 'react';

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
      onFinish={onEnter}
    >
      {children}
    </Form>
  );
}
