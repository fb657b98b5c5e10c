import { describe, expect, it } from 'vitest';
import { awayNow, LEFT_THE_BENCH, withAway } from './away-now.ts';

const away = (why: string, day = 1) => ({ from: `2026-11-0${day}T10:00:00Z`, to: `2026-11-0${day}T12:00:00Z`, why });

describe('being away', () => {
  it('was begun at the bench and lasts until one says that one is back, however late that is', () => {
    expect(awayNow({ away: [away('', 1), away(LEFT_THE_BENCH, 2)] })).toEqual(away(LEFT_THE_BENCH, 2));
    // A holiday that was entered is no such thing, and one that is ended neither.
    expect(awayNow({ away: [away('holiday'), away('away')] })).toBeUndefined();
    expect(awayNow({ away: [] })).toBeUndefined();
  });
  it('is kept sixty times, the oldest goes', () => {
    const many = Array.from({ length: 60 }, (_, i) => away(`no. ${i}`));
    const kept = withAway(many, away('the last'));
    expect(kept).toHaveLength(60);
    expect([kept[0]!.why, kept.at(-1)!.why]).toEqual(['no. 1', 'the last']);
  });
});
