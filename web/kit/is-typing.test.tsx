import { describe, expect, it } from 'vitest';
import { isTyping } from './is-typing.ts';

const made = (html: string) => {
  const box = document.createElement('div');
  box.innerHTML = html;
  return box.firstElementChild;
};

describe('a key', () => {
  it.each([
    ['<input type="text">', true],
    ['<textarea></textarea>', true],
    ['<input type="radio">', false],
    ['<input type="text" readonly>', false],
    ['<button>Done</button>', false],
    ['<div role="slider" tabindex="0"></div>', false],
  ])('pressed in %s is written there: %s', (html, typed) => {
    expect(isTyping({ target: made(html) })).toBe(typed);
  });

  it('pressed nowhere is a shortcut', () => expect(isTyping({ target: null })).toBe(false));
});
