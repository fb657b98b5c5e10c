import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { NumberField } from './number-field.tsx';

afterEach(cleanup);

function typed(texts: readonly string[], props: { min?: number; max?: number; required?: boolean } = {}) {
  const onChange = vi.fn<(value: number | null) => void>();
  render(<NumberField label="Mass" unit="g" value={null} onChange={onChange} {...props} />);
  const field = screen.getByLabelText('Mass') as HTMLInputElement;
  for (const text of texts) fireEvent.change(field, { target: { value: text } });
  return { field, onChange };
}

describe('NumberField', () => {
  it('keeps half-typed numbers as they are and reads them when they are whole', () => {
    const { field, onChange } = typed(['1', '1,', '1,5']);
    expect(field.value).toBe('1,5');
    expect(onChange).toHaveBeenLastCalledWith(1.5);
  });

  it('turns nothing unreadable into a zero', () => {
    const { field, onChange } = typed(['abc']);
    expect(onChange).toHaveBeenLastCalledWith(null);
    expect(field.value).toBe('abc');
    expect(screen.getByRole('alert').textContent).toContain('is not a number');
    expect(field.getAttribute('aria-invalid')).toBe('true');
  });

  it('says what would be right beside a number out of range', () => {
    const { onChange } = typed(['-4'], { min: 0 });
    expect(onChange).toHaveBeenLastCalledWith(null);
    expect(screen.getByRole('alert').textContent).toBe('At least 0 g.');
  });

  it('asks for a number where one is needed', () => {
    typed(['4', ''], { required: true });
    expect(screen.getByRole('alert').textContent).toContain('needed');
  });
});

describe('the ends of a range', () => {
  it.each([
    ['100', 100],
    ['100,1', null],
    ['1000', null],
    ['5', 5],
    ['4,9', null],
  ])('%s of 5 to 100 is taken as %s', (text, value) => {
    const { onChange } = typed([text], { min: 5, max: 100 });
    expect(onChange).toHaveBeenLastCalledWith(value);
    if (value === null) expect(screen.getByRole('alert').textContent).toMatch(/^At (least 5|most 100) g\.$/);
  });
});
