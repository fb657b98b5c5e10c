import type { Parted } from './parting.ts';

/** Which is above, and how well they part. */
export interface OnTop {
  readonly above: 'organic' | 'aqueous' | null;
  /** g/mL between them. */
  readonly gap: number;
  readonly parts: 'quickly' | 'slowly' | 'hardly' | 'not at all';
  readonly says: string;
}

/** Parts within a minute or two from here; below the second it hangs for hours. */
export const QUICK = 0.05;
const HARD = 0.02;

export function onTop({ organic, aqueous }: Parted): OnTop {
  if (!organic || !aqueous) {
    const says = organic
      ? 'One layer: the water all dissolves in the liquid. More water, or brine, makes two.'
      : 'One layer: the liquid all dissolves in the water. Less water, or salt in it, makes two.';
    return { above: null, gap: 0, parts: 'not at all', says };
  }
  const gap = aqueous.gPerMl - organic.gPerMl;
  const above = gap >= 0 ? 'organic' : 'aqueous';
  const open = above === 'organic' ? 'salt in the water opens the gap' : 'plain water instead of salt opens the gap';
  if (Math.abs(gap) >= QUICK)
    return { above, gap: Math.abs(gap), parts: 'quickly', says: 'Parts within a minute or two.' };
  return Math.abs(gap) >= HARD
    ? { above, gap: Math.abs(gap), parts: 'slowly', says: `Parts slowly: ${open}.` }
    : { above, gap: Math.abs(gap), parts: 'hardly', says: `Hardly parts, and may turn over: ${open}.` };
}
