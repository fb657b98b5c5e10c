import { describe, expect, it } from 'vitest';
import { dueText, span } from './due-text.ts';

const NOW = Date.parse('2026-03-14T12:00:00Z');
const at = (minutes: number, progress: string | null = null) =>
  dueText({ at: new Date(NOW + minutes * 60_000).toISOString(), progress }, NOW);

describe('what the clock says', () => {
  it.each([
    [5.8, { text: '05:48', late: false }],
    [130, { text: '2 h 10', late: false }],
    [0, { text: 'now', late: true }],
    [-12, { text: '12 min late', late: true }],
    [-60 * 24 * 9, { text: '9 d late', late: true }],
  ])('of something due in %d min', (minutes, said) => expect(at(minutes)).toEqual(said));

  it('names the day of a long step while its look is far off', () => {
    expect(at(600, 'day 3 of about 6').text).toBe('day 3 of about 6');
    expect(at(5, 'day 3 of about 6').text).toBe('05:00');
    expect(dueText({ at: null, progress: null }, NOW)).toEqual({ text: '', late: false });
  });

  it('spans are short', () =>
    expect([span(59 * 60_000), span(3_600_000), span(49 * 3_600_000)]).toEqual(['59 min', '1 h', '2 d']));
});
