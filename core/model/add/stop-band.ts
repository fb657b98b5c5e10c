import { type Figure, sdOf } from '#base/figure';

export interface StopBand {
  /** g between which the endpoint is to be expected, 95 %. */
  readonly fromG: number;
  readonly toG: number;
  /** Where what is in stands against it. */
  readonly place: 'before' | 'inside' | 'past';
  /** g beyond the end of the band. */
  readonly overG: number;
}

/** Where to look for the endpoint: `enough` is what the reactions need, with its uncertainty; `inG` what has gone in. */
export function stopBand(enough: Figure, inG: number): StopBand {
  const half = 2 * sdOf(enough);
  const fromG = Math.max(0, enough.value - half);
  const toG = enough.value + half;
  return { fromG, toG, place: placeOf(inG, fromG, toG), overG: Math.max(0, inG - toG) };
}

function placeOf(inG: number, fromG: number, toG: number): StopBand['place'] {
  if (inG < fromG) return 'before';
  return inG <= toG ? 'inside' : 'past';
}
