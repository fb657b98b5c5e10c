import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

describe('the notebook’s clock', () => {
  let clock: typeof import('./clock.ts');
  beforeEach(async () => {
    vi.useFakeTimers({ now: Date.parse('2026-03-14T12:00:00Z') });
    vi.resetModules();
    clock = await import('./clock.ts');
  });
  afterEach(() => vi.useRealTimers());
  const said = (ms: number) => new Date(Date.now() + ms).toUTCString();

  it('is not known before it has said its time, and then within the second it says', () => {
    expect(clock.clockAhead()).toBeNull();
    clock.clockSaid(null, Date.now(), Date.now());
    expect(clock.clockAhead()).toBeNull();
    clock.clockSaid(said(-600_000), Date.now() - 40, Date.now());
    expect(Math.abs(clock.clockAhead()! + 600_000)).toBeLessThan(1000);
    expect(Date.parse(clock.notebookInstant())).toBeLessThan(Date.now() - 599_000);
  });

  it('is not taken for wrong where an answer is slow', () => {
    // Said at once, had nine seconds later.
    clock.clockSaid(said(-9000), Date.now() - 9000, Date.now());
    expect(clock.clockAhead()).toBe(0);
    clock.clockSaid(said(30), Date.now() - 30, Date.now());
    clock.clockSaid(said(-9000), Date.now() - 9000, Date.now());
    expect(clock.clockAhead()).toBe(0);
  });

  it('never puts an entry before the one entered before it', () => {
    clock.clockSaid(said(8000), Date.now(), Date.now());
    const first = clock.notebookInstant();
    clock.clockSaid(said(0), Date.now(), Date.now());
    expect(clock.notebookInstant() >= first).toBe(true);
    vi.advanceTimersByTime(20_000);
    expect(clock.notebookInstant() > first).toBe(true);
  });
});
