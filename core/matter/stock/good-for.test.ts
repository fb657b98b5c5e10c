import { describe, expect, it } from 'vitest';
import { parseLabel } from '#matter/label';
import { type BottleTest, goodFor } from './index.ts';

const bottle = (label: string, tests: readonly BottleTest[] = []) => ({
  card: parseLabel(label, '2026-01-01', 20).card!,
  tests,
});
const measured = (label: string, band: number) => {
  const { card, tests } = bottle(label);
  return {
    card: {
      ...card,
      assayed: true,
      strengthBand: band,
      measured: { assayId: 'a', method: 'm', day: '2026-01-02', sources: [] },
    },
    tests,
  };
};
const failed: BottleTest = {
  test: 'limit of iron',
  outcome: 'not as expected',
  seen: 'pink',
  batchId: null,
  at: '',
  eventId: 'e',
};

describe('what a bottle is good enough for', () => {
  it('goes by how well its strength is known', () => {
    expect(goodFor(measured('sodium hydroxide 0.1 mol/L 1 L', 0.0004), [])).toMatchObject({
      use: 'standards',
      because: '',
    });
    expect(goodFor(measured('sodium hydroxide 0.1 mol/L 1 L', 0.001), [])).toMatchObject({ use: 'exact reagents' });
    expect(goodFor(bottle('hydrochloric acid 28% 5 L'), []).use).toBe('plain reagents');
    expect(goodFor(bottle('potassium alum 99.5% 500 g'), []).use).toBe('exact reagents');
  });

  it('is rough work once a test did not go as expected', () => {
    expect(goodFor(bottle('potassium alum 99.5% 500 g', [failed]), [])).toMatchObject({ use: 'rough work' });
  });

  it('is no better than the poorest that went into it, which is named', () => {
    const made = measured('sodium hydroxide 0.1 mol/L 1 L', 0.0004);
    const rough = bottle('sodium hydroxide 97% 1 kg', [failed]);
    expect(goodFor(made, [bottle('potassium alum 99.5% 500 g'), rough])).toMatchObject({
      use: 'rough work',
      heldBackBy: rough.card.name,
    });
  });
});
