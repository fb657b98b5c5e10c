import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Result } from '#base/problem';

interface Call {
  readonly verb: string;
  readonly input: { readonly text: string };
  readonly answer: (result: Result<unknown>) => void;
  readonly fail: (error: Error) => void;
}
const calls = vi.hoisted(() => [] as Call[]);

// The worker stands elsewhere: here every call waits until the test answers it.
vi.mock('comlink', () => ({
  wrap: () => ({
    compute: (verb: string, input: Call['input']) =>
      new Promise((answer, fail) => {
        calls.push({ verb, input, answer, fail });
      }),
  }),
  expose: () => {},
}));
const workers: FakeWorker[] = [];
class FakeWorker extends EventTarget {
  ended = false;
  constructor() {
    super();
    workers.push(this);
  }
  terminate() {
    this.ended = true;
  }
}
vi.stubGlobal('Worker', FakeWorker);
/** The newest worker is lost: it did not load, or broke. */
const lose = () => workers.at(-1)!.dispatchEvent(new Event('error'));

const { useCompute } = await import('./compute.ts');

function Line({ text }: { text: string | undefined }) {
  const { value, problem, busy } = useCompute('reckon', text === undefined ? undefined : { text });
  return <p>{`${String(value ?? 'none')}|${problem?.message ?? ''}|${busy}`}</p>;
}
const shown = () => screen.getByText(/\|/).textContent;
const good = (value: string): Result<unknown> => ({ ok: true, value });

afterEach(() => {
  cleanup();
  calls.length = 0;
});

describe('useCompute', () => {
  it('asks once for an input, and not again for an equal one', async () => {
    const { rerender } = render(<Line text="1 g in mg" />);
    expect(calls).toHaveLength(1);
    rerender(<Line text="1 g in mg" />);
    calls[0]!.answer(good('1000'));
    await waitFor(() => expect(shown()).toBe('1000||false'));
    expect(calls).toHaveLength(1);
  });

  it('drops what a slider passed over: only the newest input waits behind the one under way', async () => {
    const { rerender } = render(<Line text="a" />);
    for (const text of ['b', 'c', 'd']) rerender(<Line text={text} />);
    expect(calls.map(({ input }) => input.text)).toEqual(['a']);
    calls[0]!.answer(good('A'));
    await waitFor(() => expect(calls.map(({ input }) => input.text)).toEqual(['a', 'd']));
    // The stale answer was never shown.
    expect(shown()).toBe('none||true');
    calls[1]!.answer(good('D'));
    await waitFor(() => expect(shown()).toBe('D||false'));
  });

  it('says what broke, and asks the next question all the same', async () => {
    const { rerender } = render(<Line text="a" />);
    calls[0]!.fail(new Error('a part is missing'));
    await waitFor(() => expect(shown()).toContain('This could not be computed: a part is missing.'));
    rerender(<Line text="b" />);
    await waitFor(() => expect(calls).toHaveLength(2));
    calls[1]!.answer(good('B'));
    await waitFor(() => expect(shown()).toBe('B||false'));
  });

  it('asks a new worker when one is lost, and nobody notices', async () => {
    render(<Line text="a" />);
    const before = workers.length;
    lose();
    await waitFor(() => expect(calls).toHaveLength(2));
    expect(workers).toHaveLength(before + 1);
    expect(workers.at(-2)!.ended).toBe(true);
    calls[1]!.answer(good('A'));
    await waitFor(() => expect(shown()).toBe('A||false'));
  });

  it('says it when the new one is lost too, and asks the next question of another', async () => {
    const { rerender } = render(<Line text="a" />);
    lose();
    await waitFor(() => expect(calls).toHaveLength(2));
    lose();
    await waitFor(() => expect(shown()).toContain('the part of the page that computes has stopped'));
    expect(shown()).toMatch(/\|false$/);
    rerender(<Line text="b" />);
    await waitFor(() => expect(calls).toHaveLength(3));
    calls[2]!.answer(good('B'));
    await waitFor(() => expect(shown()).toBe('B||false'));
  });

  it('keeps the last good answer beside the problem of a newer input', async () => {
    const { rerender } = render(<Line text="a" />);
    calls[0]!.answer(good('A'));
    await waitFor(() => expect(shown()).toBe('A||false'));
    rerender(<Line text="?" />);
    calls[1]!.answer({ ok: false, problem: { code: 'missing-part', message: 'What?' } });
    await waitFor(() => expect(shown()).toBe('A|What?|false'));
  });

  it('forgets it when there is nothing to ask any more', async () => {
    const { rerender } = render(<Line text="a" />);
    calls[0]!.answer(good('A'));
    await waitFor(() => expect(shown()).toBe('A||false'));
    rerender(<Line text={undefined} />);
    await waitFor(() => expect(shown()).toBe('none||false'));
  });
});
