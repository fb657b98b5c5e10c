import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { amountProblem } from '#run/state';
import { AmountField, readAmount } from './amount-field.tsx';

const scoop = { name: 'tea scoop', of: 'washing soda', gramsEach: 5.2, sdG: 0.3 };

describe('an amount', () => {
  it('is read in its unit, in another that was typed, or counted by an own measure', () => {
    expect(readAmount('17,3', 'g', [])).toMatchObject({ ok: true, value: { is: 'exact', value: 17.3, unit: 'g' } });
    expect(readAmount('61 g', 'mL', [])).toMatchObject({ ok: true, value: { value: 61, unit: 'g' } });
    expect(readAmount('3', 'tea scoop', [scoop])).toMatchObject({
      ok: true,
      value: { is: 'counted', count: 3, each: 5.2, sd: 0.3, measure: 'tea scoop' },
    });
    expect(readAmount('some', 'tea scoop', [scoop]).ok).toBe(false);
  });

  it('is refused with a sentence when it cannot be', () => {
    const said = (text: string) => {
      const read = readAmount(text, 'g', []);
      return read.ok ? amountProblem(read.value) : read.problem.message;
    };
    expect(said('-3')).toContain('below zero');
    expect(said('some')).toContain('An amount is needed');
    expect(said('1e9')).toContain('tonne');
    expect(said('')).toContain('Nothing is written');
    expect(said('12-14')).toBe('');
  });

  it('shows what so many of a measure weigh, and offers the measures', () => {
    render(
      <AmountField
        label="Went in"
        text="3"
        unit="tea scoop"
        units={['g']}
        measures={[scoop]}
        problem=""
        onText={() => {}}
        onUnit={() => {}}
      />,
    );
    expect(screen.getByText('about 15.6 g')).toBeDefined();
    expect(screen.getByText('tea scoop')).toBeDefined();
    expect(screen.getByLabelText('Went in')).toBeDefined();
  });
});
