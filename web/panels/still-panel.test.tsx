import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { BenchDefaults } from '#matter/gear';
import { draw } from '../testing/bench.tsx';

const { StillPanel } = await import('./still-panel.tsx');

afterEach(cleanup);

const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const minded = () =>
  screen
    .getAllByRole('listitem')
    .map((each) => each.textContent ?? '')
    .join(' ');

describe('the still by itself', () => {
  it('gives the course, the limit and what to mind of any two liquids', () => {
    draw(<StillPanel bench={BenchDefaults} />);
    expect(minded()).toMatch(/No still gets ethanol past its azeotrope/);
    expect(screen.getByText(/^Kept:/).textContent).toMatch(/mL of \d/);
    type('Charge', '900');
    expect(minded()).toMatch(/do not go into a flask|% full/);
    type('The bath ends at', '60');
    expect(minded()).toMatch(/never gets it there/);
    type('Pressure in the still', '150');
    expect(minded()).toMatch(/Under vacuum only round, unscratched/);
  });

  it('warns of solvent that is held above a hot flask', () => {
    draw(<StillPanel bench={BenchDefaults} />);
    type('Held above the flask', '50');
    expect(minded()).toMatch(/all back at once it boils off in about half a minute/);
  });

  it('moves its marks by keys, and takes the planner’s proposal', () => {
    draw(<StillPanel bench={BenchDefaults} />);
    const to = screen.getByRole('slider', { name: 'Change to' });
    const before = Number(to.getAttribute('aria-valuenow'));
    fireEvent.keyDown(to, { key: 'PageUp' });
    expect(Number(screen.getByRole('slider', { name: 'Change to' }).getAttribute('aria-valuenow'))).toBeGreaterThan(
      before,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Switch there' }));
    expect(screen.getByText(/^Kept:/).textContent).toMatch(/7\d(\.\d+)? % of it/);
  });

  it('says what cannot be, beside the field or in a sentence', () => {
    draw(<StillPanel bench={BenchDefaults} />);
    type('Charge', 'much');
    expect(screen.getByLabelText('Charge').getAttribute('aria-invalid')).toBe('true');
    type('Charge', '400');
    type('Of the first in it', '140');
    expect(screen.getByLabelText('Of the first in it').getAttribute('aria-invalid')).toBe('true');
  });
});
