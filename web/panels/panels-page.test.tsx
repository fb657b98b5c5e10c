import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { BenchDefaults } from '#matter/gear';
import { drawAt, serverOf } from '../testing/page.tsx';

const { PanelsPage } = await import('./panels-page.tsx');

const shown = (path: string) => {
  serverOf({ 'GET /bench': { version: 0, bench: BenchDefaults }, 'GET /bottles': [] });
  drawAt(path, '/panels/:panel?', <PanelsPage />);
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a panel without a batch', () => {
  it('draws the dish of any substance', async () => {
    shown('/panels/dish?of=potassium-nitrate');
    // 20.9 g stay in 100 g of water at 10 °C: 29 g of 50 come out.
    expect(await screen.findByText('29.2 g')).toBeDefined();
    fireEvent.change(screen.getByLabelText('Of it'), { target: { value: '' } });
    expect(await screen.findByText('Say how much of it there is.')).toBeDefined();
  });

  it('sets the methods of drying side by side, under the ceiling of the substance', async () => {
    shown('/panels/dry?of=copper-sulfate-pentahydrate');
    expect(await screen.findByText(/Not above/)).toBeDefined();
    expect(screen.getAllByRole('row').length).toBeGreaterThan(3);
  });

  it('makes up a buffer, and says what of it stands on no shelf', async () => {
    shown('/panels/buffer');
    expect(await screen.findByText(/ammonium chloride, pure/)).toBeDefined();
    expect(screen.getAllByText('none stands on the shelf')).toHaveLength(2);
    fireEvent.change(screen.getByLabelText('To hold pH'), { target: { value: '4' } });
    expect(await screen.findByText(/holds next to nothing/)).toBeDefined();
  });

  it('says how many portions wash it, and keeps what the washings read', async () => {
    shown('/panels/wash?of=calcium-carbonate');
    expect(await screen.findByText(/portions leave/)).toBeDefined();
    const read = screen.getByLabelText('The washings read');
    fireEvent.change(read, { target: { value: '900' } });
    fireEvent.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(screen.getByLabelText('The washings read')).toHaveProperty('value', ''));
  });

  it('says how long water takes to go, and that there is less of it then', async () => {
    shown('/panels/evaporate?of=sodium-chloride');
    expect(await screen.findByText(/Boiled in/)).toBeDefined();
  });

  it('names what must not meet', async () => {
    shown('/panels/clash');
    fireEvent.change(await screen.findByLabelText('This'), { target: { value: 'bleach' } });
    fireEvent.change(screen.getByLabelText('And this'), { target: { value: 'vinegar' } });
    expect(await screen.findByText(/Never together:.*chlorine/)).toBeDefined();
    fireEvent.change(screen.getByLabelText('And this'), { target: { value: 'unobtainium' } });
    expect(await screen.findByText(/unobtainium/)).toBeDefined();
  });

  it('finds a vessel, or says that there is none', async () => {
    shown('/panels/vessel');
    expect(await screen.findByText(/holds it/)).toBeDefined();
    fireEvent.change(screen.getByLabelText('Liquid'), { target: { value: '90000' } });
    expect(await screen.findByText(/split it/)).toBeDefined();
  });

  it('ranks the causes of a surprise', async () => {
    shown('/panels/surprise?of=sodium-hypochlorite');
    fireEvent.click(await screen.findByRole('button', { name: 'yellow-green gas' }));
    expect((await screen.findAllByRole('listitem')).length).toBeGreaterThan(0);
  });
});
