import { derive, type Figure, given } from '#core/figure';
import { type Contents, liquidVolume, solutesG } from '#core/vessel';
import { readingValue } from './event.ts';
import type { Mutable, Walk, Walker } from './walker.ts';

/** A test portion that does not come back takes its share of everything. */
export function withdraw({ actuals, so }: Walker, step: string): void {
  for (const { step: at, reading } of actuals.withdrawals) {
    const read = readingValue(reading);
    const massNow = contentsMass(so.contents);
    if (at !== step || !read || massNow <= 0) continue;
    const liquidMl = liquidVolume(so.contents);
    // Millilitres of dry metal are none.
    if (read.unit === 'mL' && liquidMl <= 0) continue;
    const taken = read.unit === 'mL' ? read.value * (massNow / liquidMl) : read.value;
    const naming = { symbol: 'kept', name: 'part left after the test portion', unit: '' };
    keepPart(so, given(naming, Math.max(0, 1 - taken / massNow), 'test portion booked at the bench'));
  }
}

/** g of everything in the vessel. */
export function contentsMass(contents: Contents): number {
  return contents.waterG.value + contents.inertG.value + solutesG(contents);
}

/** Leaves a part of everything in the vessel. */
export function keepPart(so: Mutable<Walk>, kept: Figure): void {
  const keep = (figure: Figure) =>
    derive(
      { symbol: figure.symbol, name: figure.name, unit: figure.unit },
      'x × kept',
      { x: figure, kept },
      (v) => v.x * v.kept,
    );
  const amounts = Object.fromEntries(Object.entries(so.contents.amounts).map(([id, n]) => [id, keep(n)]));
  so.contents = { amounts, waterG: keep(so.contents.waterG), inertG: keep(so.contents.inertG) };
}
