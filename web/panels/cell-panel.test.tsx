import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { BenchDefaults } from '#matter/gear';
import { draw } from '../testing/bench.tsx';

const { CellPanel } = await import('./cell-panel.tsx');

afterEach(cleanup);

const type = (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
};
const row = (name: RegExp) =>
  screen
    .getAllByRole('row')
    .map((each) => each.textContent ?? '')
    .find((each) => name.test(each)) ?? '';

describe('a cell by itself', () => {
  it('says what comes of any cell: charge, acid, copper, gas, and what to mind', () => {
    draw(<CellPanel bench={BenchDefaults} />);
    // 0.6 A for 10 h.
    expect(row(/^charge/)).toContain('6.00');
    expect(row(/sulfuric acid/)).toMatch(/\+\d/);
    expect(row(/on the cathode/)).toMatch(/6\.\d\d g/);
    expect(row(/^oxygen/)).toMatch(/ L/);
    expect(screen.getByRole('list', { name: 'What to mind' }).textContent).toMatch(/soot/);
    type('Current held', '4');
    expect(screen.getByRole('list', { name: 'What to mind' }).textContent).toMatch(/°C; the vessel bears|mA\/cm²/);
  });

  it('refuses in a sentence what hardly conducts', () => {
    draw(<CellPanel bench={BenchDefaults} />);
    type('Liquid, strength', '0');
    expect(screen.getByText(/hardly anything flows/)).toBeTruthy();
  });
});
