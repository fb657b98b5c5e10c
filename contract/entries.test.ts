import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bodyText,
  entryKinds,
  eventBodyShape,
  liveOf,
  logOf,
  netReading,
  newEventShape,
  type RunEvent,
} from '#run/log';
import { arbitraryOf } from '#testing/arbitrary';
import { times } from '#testing/property';
import { check } from './check.ts';

const kinds = Object.keys(entryKinds) as (keyof typeof entryKinds)[];
const names = { bottle: () => 'Battery acid', role: () => 'acid' };
const bodies = arbitraryOf(eventBodyShape);
const AT = '2026-03-14T08:00:00.000Z';
const entered = (all: readonly RunEvent['body'][]): RunEvent[] =>
  all.map((body, i) => ({
    id: `ev_number${String(i).padStart(3, '0')}`,
    happened: { at: AT, giveOrTakeMin: 0 },
    writtenAt: AT,
    body,
  }));

describe('an entry of any kind', () => {
  it('passes its own door, as the core’s type says it', () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(bodies, (body) => {
        seen.add(body.kind);
        const result = check(newEventShape, { id: 'ev_abcdef12', happened: { at: AT, giveOrTakeMin: 0 }, body });
        expect(result.ok ? '' : result.problem.message).toBe('');
      }),
      { numRuns: 600 },
    );
    for (const kind of [...kinds, 'corrected']) expect(seen, kind).toContain(kind);
  });

  it('reads in the log as words, whatever it holds', () => {
    fc.assert(
      fc.property(bodies, (body) => {
        if (body.kind === 'corrected') return;
        const text = bodyText(body, names);
        expect(text.length, body.kind).toBeGreaterThan(0);
        expect(text).not.toMatch(/undefined|NaN|\[object|\bnull\b/);
      }),
      { numRuns: 600 },
    );
  });

  it('says what it does to its step and what it changes', () => {
    for (const kind of kinds) {
      expect(['starts', 'ends', 'skips', 'reopens', 'begins', 'inserts', 'none'], kind).toContain(
        entryKinds[kind].step,
      );
      expect(['amounts', 'steps', 'record'], kind).toContain(entryKinds[kind].changes);
    }
  });
});

describe('entries in any order', () => {
  it('fold their corrections in: the last one holds, a struck one is gone, nothing else moves', () => {
    fc.assert(
      fc.property(fc.array(bodies, { maxLength: 12 }), (all) => {
        const events = entered(all);
        const live = liveOf(events);
        const plain = events.filter(({ body }) => body.kind !== 'corrected');
        expect(live.length).toBeLessThanOrEqual(plain.length);
        expect(liveOf(events)).toBe(live);
        for (const { id, body } of live) {
          const last = events.findLast((each) => each.body.kind === 'corrected' && each.body.of === id)?.body;
          const wanted = last?.kind === 'corrected' ? last.body : events.find((each) => each.id === id)?.body;
          // What was weighed is read net of its paper.
          expect(body).toEqual(wanted?.kind === 'read' ? { ...wanted, reading: netReading(wanted) } : wanted);
        }
      }),
      { numRuns: times(300) },
    );
  });

  it('replace one by its correction, wherever the correction was written', () => {
    const first = { kind: 'noted', step: 'zinc', text: 'grey' } as const;
    const second = { kind: 'noted', step: 'zinc', text: 'black' } as const;
    const events = entered([first, second, { kind: 'corrected', of: 'ev_number000', body: null, reason: '' }]);
    expect(liveOf(events).map(({ body }) => body)).toEqual([second]);
    const again = entered([
      first,
      { kind: 'corrected', of: 'ev_number000', body: second, reason: '' },
      { kind: 'corrected', of: 'ev_number000', body: { ...first, text: 'white' }, reason: '' },
    ]);
    expect(liveOf(again)[0]!.body).toEqual({ ...first, text: 'white' });
  });

  it('are one line each in the log, newest first', () => {
    fc.assert(
      fc.property(fc.array(bodies, { maxLength: 10 }), (all) => {
        const events = entered(all);
        const lines = logOf(events, names);
        const plain = events.filter(({ body }) => body.kind !== 'corrected');
        expect(lines.length).toBeLessThanOrEqual(plain.length);
        for (const line of lines) expect(plain.map(({ id }) => id)).toContain(line.eventId);
      }),
      { numRuns: times(200) },
    );
  });
});
