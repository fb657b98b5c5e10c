import dayjs from 'dayjs';
import { must } from '#base/lookup';
import { formatNumber } from '#base/units';
import { substanceOf } from '#matter/substance';
import type { CellRun } from '#run/state';
import type { CellDrawn, DrawnSide } from './cell-drawing.tsx';

/** “40 min”, “9 h”, “2.5 days”. */
export function spanText(ms: number): string {
  const minutes = ms / 60_000;
  if (minutes < 1) return 'a minute';
  if (minutes < 90) return `${Math.max(5, Math.round(minutes / 5) * 5)} min`;
  const hours = minutes / 60;
  if (hours < 72) return `${formatNumber(hours, 2)} h`;
  return `${formatNumber(hours / 24, 2)} days`;
}

/** “21:40”, “Thu 05:10” on another day. */
export function timeText(at: number, now: number): string {
  const [a, b] = [dayjs(at), dayjs(now)];
  return a.isSame(b, 'day') ? a.format('HH:mm') : a.format('ddd HH:mm');
}

/** What a vessel of the cell is called: the side by its electrode, unless the pot stands in a jar. */
export function sideName(side: 'anode' | 'cathode', { plan }: CellRun): string {
  const { divider } = plan.setup;
  if (divider === 'none') return 'the liquid';
  const nested = divider === 'flower pot' || divider === 'porous cup';
  if (nested) return side === 'anode' ? 'jar' : 'pot';
  return `${side} side`;
}

/** The cell as it is to be drawn. */
export function drawnOf(cell: CellRun): CellDrawn {
  const { watch, plan } = cell;
  const of = (side: 'anode' | 'cathode'): DrawnSide | null => {
    const seen = watch.sides.find((each) => each.side === side);
    if (!seen) return null;
    const mud = seen.solid.filter(({ id }) => substanceOf(id).form !== 'metal');
    const first = side === 'anode' ? plan.anolyte : plan.catholyte;
    return {
      ml: seen.ml,
      markMl: first ? mlOf(first) : seen.ml,
      copper: seen.dissolved.find(({ id }) => id.startsWith('copper'))?.molPerL ?? 0,
      mudG: mud.reduce((sum, { grams }) => sum + grams, 0),
      mudName: mudName(mud.map(({ id }) => id)),
      name: sideName(side, cell),
    };
  };
  const anodic = must(of('anode'), 'of');
  const plated = watch.sides.flatMap(({ solid }) => solid).find(({ id }) => id === 'copper');
  const blocked = watch.sides.find(({ side }) => side === 'cathode')?.solid.find(({ id }) => id === 'copper-hydroxide');
  return {
    divider: plan.setup.divider,
    anodic,
    cathodic: of('cathode'),
    anode: plan.anode,
    strap: watch.anodeG && { left: watch.anodeG.left, was: watch.anodeG.was },
    platedG: plated?.grams ?? 0,
    volts: watch.volts,
    amps: watch.amps,
    tempC: watch.tempC,
    ceilingC: plan.ceilingC ?? 50,
    hydrogenPerH: watch.hydrogen.perHour > 0.001 ? watch.hydrogen.perHour : null,
    anodeGas: (watch.amps ?? 0) > 0 ? anodeGas(cell) : '',
    blockedG: blocked?.grams ?? 0,
  };
}

function mlOf(n: readonly number[]): number {
  // Water alone is near enough for a mark.
  return (n[0] ?? 0) * 18.07;
}

function mudName(ids: readonly string[]): string {
  if (ids.length === 0) return '';
  if (ids.includes('magnesium-hydroxide')) return 'white hydroxide';
  return ids.includes('copper-carbonate') ? 'green carbonate' : 'solid';
}

function anodeGas({ plan, watch }: CellRun): string {
  if (watch.anodeG) return '';
  const chloride = watch.sides[0]?.dissolved.some(({ id }) => id.endsWith('-chloride'));
  if (chloride) return 'chlorine';
  const feed = watch.sides[0]?.dissolved.some(({ id }) => id === 'sodium-hydrogencarbonate');
  return feed && plan.setup.divider !== 'none' ? 'oxygen, carbon dioxide' : 'oxygen';
}
