import { datum, derive, type Figure } from '#base/figure';
import type { Recipe } from '../recipe.ts';

/** What paper and vessel keep varies by half. */
const HOLD_SPREAD = 0.5;
const HAND = { source: 'estimate for a careful hand, to be replaced by your own weighings', grade: 'C' } as const;

/** Part of a caught solid that is neither left in paper and vessel nor rinsed away: g of any batch, and per cent of the rest. */
export function keptPart(handling: NonNullable<Recipe['handling']>, crystals: Figure): Figure {
  const loss = datum(
    { symbol: 'loss', name: 'left in rinse and liquor', unit: '%' },
    { value: handling.lossPct, uncertainty: { handling: { name: 'losses in filtering', effect: handling.sdPct } } },
    HAND,
  );
  const naming = { symbol: 'kept', name: 'part that is not left in the paper', unit: '' };
  if (!handling.holdG) return derive(naming, '(100 − loss) ÷ 100', { loss }, (x) => (100 - x.loss) / 100);
  const hold = datum(
    { symbol: 'hold', name: 'left in paper and vessel', unit: 'g' },
    {
      value: handling.holdG,
      uncertainty: {
        hold: { name: 'what paper and vessel keep', effect: HOLD_SPREAD * handling.holdG },
      },
    },
    HAND,
  );
  return derive(
    naming,
    'max(0; 1 − hold ÷ m) × (100 − loss) ÷ 100',
    { loss, hold, m: crystals },
    (x) => (x.m > 0 ? Math.max(0, 1 - x.hold / x.m) * (100 - x.loss) : 0) / 100,
  );
}
