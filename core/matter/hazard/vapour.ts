import { formatNumber } from '#base/units';
import { volatiles } from '#matter/data';
import { type Air, judgeAir } from '#matter/guard';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';

/** mmHg over so strong a solution at a temperature, and the heat, kJ/mol, that tells how it grows with warmth. */
interface OverSolution {
  readonly atC: number;
  readonly outKJ: (pct: number) => number;
  readonly mmHg: readonly (readonly [pct: number, mmHg: number])[];
}

/**
 * Partial pressures over the solutions that no ideal law holds for: hydrochloric acid (ICT, Zeisberg), ammonia (Perry, Sherwood),
 * nitric acid (Perry). A fifth to a third either way.
 */
const OVER: Readonly<Record<string, OverSolution>> = {
  'hydrochloric-acid': {
    atC: 25,
    outKJ: (pct) => 62 - 1.4 * (pct - 20),
    mmHg: [
      [10, 0.0084],
      [20, 0.3],
      [25, 3],
      [31, 25],
      [32, 35],
      [36, 145],
      [37, 190],
      [40, 420],
    ],
  },
  ammonia: {
    atC: 20,
    outKJ: () => 34,
    mmHg: [
      [1, 6],
      [5, 33],
      [10, 77],
      [15, 139],
      [20, 227],
      [25, 345],
      [28, 445],
      [32, 620],
    ],
  },
  'nitric-acid': {
    atC: 25,
    outKJ: () => 45,
    mmHg: [
      [20, 0.01],
      [40, 0.13],
      [50, 0.39],
      [60, 1.2],
      [65, 2.1],
      [70, 3.7],
      [80, 10.5],
    ],
  },
};

const KELVIN = 273.15;
const R = 8.314;
const MMHG_PA = 133.322;

/** Pa of a volatile thing over its solution in water; null where nothing is held of it. About: within a third. */
export function vapourPa(id: SubstanceId, pct: number, tempC: number): number | null {
  const table = OVER[id];
  if (table) {
    const known = alongLog(table.mmHg, pct);
    const warmer = Math.exp((-table.outKJ(pct) * 1000 * (1 / (tempC + KELVIN) - 1 / (table.atC + KELVIN))) / R);
    return known * warmer * MMHG_PA;
  }
  const row = volatiles.find((each) => each.id === id);
  if (!row?.antoine || id === 'water' || id === 'sulfuric-acid') return null;
  const [a, b, c] = row.antoine;
  const moles = pct / molarMass(substanceOf(id).formula);
  const water = Math.max(0, 100 - pct) / 18.015;
  return 10 ** (a - b / (c + tempC)) * MMHG_PA * (moles / (moles + water));
}

/** Between the points along the logarithm, and on along the last two. */
function alongLog(points: readonly (readonly [number, number])[], x: number): number {
  const next = Math.max(
    1,
    points.findIndex(([at]) => at >= x),
  );
  const at = points.findIndex(([each]) => each >= x) < 0 ? points.length - 1 : next;
  const [x0, y0] = points[at - 1] ?? [0, 1];
  const [x1, y1] = points[at] ?? [1, 1];
  return Math.exp(Math.log(y0) + ((x - x0) / (x1 - x0)) * (Math.log(y1) - Math.log(y0)));
}

/** m/s at which vapour leaves an open surface in still air of a room: 0.002 to 0.005. */
const TRANSFER = 0.003;

export interface OpenSurface {
  readonly areaCm2: number;
  readonly minutes: number;
  readonly tempC: number;
}

/** g that leave an open surface of liquid: k A p M ÷ (R T). About: half to twice. */
export function gramsLost(pa: number, gPerMol: number, { areaCm2, minutes, tempC }: OpenSurface): number {
  return (TRANSFER * (areaCm2 / 1e4) * pa * gPerMol * minutes * 60) / (R * (tempC + KELVIN));
}

export interface VapourFinding {
  readonly grams: number;
  readonly says: string;
  readonly verdict: 'watch' | 'stop';
}

/** What a volatile thing that stands open does to the air; null where it stays below a tenth of its limit, or nothing is held. */
export function vapourFrom(
  { substanceId, pct }: { readonly substanceId: SubstanceId; readonly pct: number },
  surface: OpenSurface,
  air: Air,
): VapourFinding | null {
  const pa = vapourPa(substanceId, pct, surface.tempC);
  if (pa === null) return null;
  const { formula, name } = substanceOf(substanceId);
  const grams = gramsLost(pa, molarMass(formula), surface);
  const litres = (grams / molarMass(formula)) * ((R * (surface.tempC + KELVIN)) / 101.325);
  const judged = judgeAir({ id: substanceId, litres, hours: surface.minutes / 60 }, air);
  if (judged.verdict === 'silent') return null;
  const says = `About ${formatNumber(grams, 2)} g of ${name} leave it in ${formatNumber(surface.minutes, 2)} min. ${judged.says} Over the vessel it is far more: outdoors or by the open window, covered between pours.`;
  return { grams, says, verdict: judged.verdict === 'watch' ? 'watch' : 'stop' };
}
