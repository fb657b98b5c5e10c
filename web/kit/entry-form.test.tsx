import { screen } from '@testing-library/react';
import { useState } from 'react';
import { createRoot } from 'react-dom/client';
import { expect, it } from 'vitest';
import { EntryForm } from './entry-form.tsx';

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
