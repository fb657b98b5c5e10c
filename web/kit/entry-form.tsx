import { Form } from 'antd';
import { type FormEvent, type ReactNode, useEffect, useRef } from 'react';
import { flushSync } from 'react-dom';
import { useTypedEntries } from './typed-entries.tsx';

type TextField = HTMLInputElement | HTMLTextAreaElement;

/** A form at the bench: what is entered is told on Enter as on its button, and what is typed is not left behind. */
export function EntryForm({
  onEnter,
  className,
  children,
}: {
  onEnter: () => void;
  className?: string;
  children: ReactNode;
}) {
  const entries = useTypedEntries();
  const typedIn = useRef(new Set<TextField>());
  const enter = () => {
    const before = entries?.made;
    // The form calls back outside the event: its field would be emptied only after the next key, and take that with it.
    flushSync(onEnter);
    if (entries?.made !== before) typedIn.current.clear();
  };
  const newest = useRef(enter);
  newest.current = enter;
  useEffect(
    () =>
      entries?.add({
        isTyped: () => [...typedIn.current].some((each) => each.isConnected && each.value.trim() !== ''),
        enter: () => newest.current(),
      }),
    [entries],
  );
  const note = ({ target }: FormEvent<HTMLElement>) => {
    const isText = target instanceof HTMLTextAreaElement || (target instanceof HTMLInputElement && isTextInput(target));
    if (isText) typedIn.current.add(target);
  };
  return (
    <Form
      layout="vertical"
      component="form"
      requiredMark={false}
      {...(className ? { className } : {})}
      onInput={note}
      onFinish={enter}
    >
      {children}
    </Form>
  );
}

/** A field that holds an answer: not the search of a list, not a tick. */
const isTextInput = (field: HTMLInputElement) =>
  field.closest('.ant-select') === null && !['checkbox', 'radio', 'range', 'file'].includes(field.type);
