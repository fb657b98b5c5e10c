import { describe, expect, it } from 'vitest';
import { readHistory, remember } from './reckoner-history.ts';

describe('lines computed before', () => {
  it('are kept newest first, each once, and thirty of them at most', () => {
    for (let i = 1; i <= 31; i++) remember(`${i} g in mg`);
    expect(readHistory()).toHaveLength(30);
    expect(readHistory()[0]).toBe('31 g in mg');
    expect(readHistory().at(-1)).toBe('2 g in mg');
    remember('5 g in mg');
    expect(readHistory()).toHaveLength(30);
    expect(readHistory().slice(0, 2)).toEqual(['5 g in mg', '31 g in mg']);
  });

  it('are none where the device keeps something else under their name', () => {
    remember('1 g in mg');
    const [key = ''] = Object.keys(localStorage);
    localStorage.setItem(key, '{"not": "a list"}');
    expect(readHistory()).toEqual([]);
    localStorage.setItem(key, 'no JSON');
    expect(readHistory()).toEqual([]);
  });
});
