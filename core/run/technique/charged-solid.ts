import { derive, type Figure } from '#base/figure';
import type { Facts } from './facts.ts';
import type { AdditionLine } from './outcome.ts';

/**
 * g of a solid that went in, as what is left of it is weighed: as it came; of one that went in wet, its dry part, since what
 * is left is weighed dry.
 */
export function chargedSolid({ role, actual, dose }: AdditionLine, { contents }: Pick<Facts, 'contents'>): Figure {
  const mass = actual ?? dose.mass;
  const content = contents[role];
  if (!content?.wet) return mass;
  return derive(
    { symbol: 'm₀', name: `${content.substance.name} that went in, dry`, unit: 'g' },
    'm × w ÷ 100',
    { m: mass, w: content.w },
    (x) => (x.m * x.w) / 100,
  );
}
