import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { createRoot } from 'react-dom/client';
import { afterEach, describe, expect, it } from 'vitest';
import { EntryForm } from './entry-form.tsx';
import { TypedEntries, WithTypedEntries } from './typed-entries.tsx';

function Weighing() {
  const [text, setText] = useState('16.1');
  return (
    <EntryForm onEnter={() => setText('')}>
      <input aria-label="weighs" value={text} onChange={(event) => setText(event.target.value)} />
      <button type="submit">Enter it</button>
    </EntryForm>
  );
}

it('has its field empty before anything else can be typed into it', async () => {
  const scope = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean | undefined };
  const acting = scope.IS_REACT_ACT_ENVIRONMENT;
  scope.IS_REACT_ACT_ENVIRONMENT = false;
  const root = createRoot(document.body.appendChild(document.createElement('div')));
  root.render(<Weighing />);
  const field = await screen.findByLabelText<HTMLInputElement>('weighs');
  screen.getByRole('button').click();
  // Promises alone run here: no later task, as a key would be one.
  for (let turn = 0; turn < 50; turn++) await Promise.resolve();
  expect(field.value).toBe('');
  root.unmount();
  scope.IS_REACT_ACT_ENVIRONMENT = acting;
});

/** A form that takes numbers alone, at a place that counts its entries. */
function Place({ entries, taken }: { entries: TypedEntries; taken: string[] }) {
  const [text, setText] = useState('');
  const enter = () => {
    if (Number.isNaN(Number(text))) return;
    entries.made += 1;
    taken.push(text);
    setText('');
  };
  return (
    <WithTypedEntries entries={entries}>
      <EntryForm onEnter={enter}>
        <input aria-label="weighs" value={text} onChange={(event) => setText(event.target.value)} />
      </EntryForm>
    </WithTypedEntries>
  );
}

describe('what is typed and not entered', () => {
  function shown(taken: string[]) {
    const entries = new TypedEntries();
    render(<Place entries={entries} taken={taken} />);
    const type = (value: string) => fireEvent.input(screen.getByLabelText('weighs'), { target: { value } });
    return { entries, type };
  }
  afterEach(cleanup);

  it('is entered once, and keeps nobody where nothing is typed', () => {
    const taken: string[] = [];
    const { entries, type } = shown(taken);
    expect(entries.enterTyped()).toBe(true);
    type('16.1');
    expect(entries.enterTyped()).toBe(true);
    expect(entries.enterTyped()).toBe(true);
    expect(taken).toEqual(['16.1']);
  });

  it('keeps one where it is, as long as it is refused', () => {
    const taken: string[] = [];
    const { entries, type } = shown(taken);
    type('some');
    expect(entries.enterTyped()).toBe(false);
    type('');
    expect(entries.enterTyped()).toBe(true);
    type('4');
    expect(entries.enterTyped()).toBe(true);
    expect(taken).toEqual(['4']);
  });
});
