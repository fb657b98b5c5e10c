import { hydrateWater, type Substance } from '#matter/substance';
import { dishEvaporation } from '#model/dish';
import { type Ceiling, ceilingOf, deliquescence, weathers } from './ceiling.ts';

export interface DryingMethod {
  readonly id: 'air' | 'oven' | 'desiccator' | 'solvent rinse';
  readonly tempC: number;
  /** Hours to constant mass, least and most; null when it does not come to that. */
  readonly hours: readonly [number, number] | null;
  readonly verdict: 'good' | 'mind' | 'no';
  readonly says: string;
}

export interface Drying {
  readonly substance: Substance;
  /** Water that has to go, g, and the area it is spread over, cm². */
  readonly waterG: number;
  readonly areaCm2: number;
  readonly roomC: number;
  readonly humidityPct: number;
  readonly pressureHPa: number;
  /** The ceiling of the route, where it sets one. */
  readonly routeCeiling: Ceiling | undefined;
  /** What it counts as, for what a rinse must not meet. */
  readonly classes: ReadonlySet<string>;
}

/** Air over calcium chloride that is not yet wet through, % humidity: its dihydrate and tetrahydrate. */
const DESICCATOR_PCT = 20;
/** Below this much above the room an oven brings nothing. */
const LEAST_GAIN_K = 8;
/** Water activity of the liquor that wets crystals. */
const WET = 0.93;
/** Drying slows as the wet places shrink: least and most against the speed of the open wet surface. Estimates, grade C. */
const SLOWS = [1.5, 5] as const;
/** However little it is: warming through, and the water inside the grains. */
const LEAST_H = [0.25, 1] as const;
/** In a closed vessel no air moves: vapour creeps to the desiccant. */
const STILL_AIR = 0.3;

/** Classes that alcohol or acetone dissolves, or that must not meet them. */
const NOT_RINSED: readonly (readonly [string, string])[] = [
  ['nitrate', 'a nitrate wetted with ethanol burns: never rinsed so'],
  ['permanganate', 'it sets ethanol alight'],
  ['persulfate', 'an oxidiser: no solvent'],
  ['halate', 'an oxidiser: no solvent'],
  ['peroxide_dilute', 'what holds peroxide must not meet a solvent'],
  ['acid_weak', 'it dissolves in ethanol'],
  ['formic_oxalic', 'it dissolves in ethanol'],
  ['halogen', 'it dissolves in ethanol'],
  ['iodide', 'it dissolves in ethanol'],
];

/** The methods of drying a solid beside one another, under the lowest ceiling that is known. Hours are about, within a factor of two. */
export function dryingMethods(of: Drying): {
  readonly ceiling: Ceiling | undefined;
  readonly methods: readonly DryingMethod[];
} {
  const own = ceilingOf(of.substance);
  const ceiling = own && of.routeCeiling ? lower(own, of.routeCeiling) : (of.routeCeiling ?? own);
  return { ceiling, methods: [air(of), oven(of, ceiling), desiccator(of), rinse(of)] };
}

function lower(a: Ceiling, b: Ceiling): Ceiling {
  return a.tempC <= b.tempC ? a : b;
}

function air(of: Drying): DryingMethod {
  const draws = deliquescence(of.substance);
  const base = { id: 'air', tempC: of.roomC } as const;
  if (draws !== undefined && of.humidityPct >= draws)
    return { ...base, hours: null, verdict: 'no', says: `draws water above ${draws} % humidity: it gets wetter` };
  const hours = hoursAt(of, of.roomC, of.humidityPct, 0.1);
  const pair = weathers(of.substance);
  if (pair !== undefined && of.humidityPct < pair)
    return {
      ...base,
      hours,
      verdict: 'mind',
      says: `weathers below about ${pair} % humidity: stop at constant mass, close the jar`,
    };
  return {
    ...base,
    hours,
    verdict: 'good',
    says: hours ? 'needs nobody; cover against dust' : 'the air is too damp to dry it',
  };
}

function oven(of: Drying, ceiling: Ceiling | undefined): DryingMethod {
  const tempC = Math.min(105, ceiling?.tempC ?? 105);
  const base = { id: 'oven', tempC } as const;
  if (tempC < of.roomC + LEAST_GAIN_K)
    return { ...base, hours: null, verdict: 'no', says: `no warmth is allowed: ${ceiling?.why ?? ''}`.trim() };
  const hydrate = hydrateWater(of.substance.formula) > 0;
  return {
    ...base,
    // The wet solid is cooler than the air that dries it: halfway, about.
    hours: hoursAt(of, (of.roomC + Math.min(tempC, 100)) / 2, of.humidityPct, 0.1),
    verdict: hydrate ? 'mind' : 'good',
    says: hydrate
      ? `at most ${Math.round(tempC)} °C; warm air is dry air, so weigh often`
      : `at most ${Math.round(tempC)} °C, spread thin`,
  };
}

function desiccator(of: Drying): DryingMethod {
  const pair = weathers(of.substance);
  const hours = hoursAt(of, of.roomC, DESICCATOR_PCT, 0, STILL_AIR);
  const base = { id: 'desiccator', tempC: of.roomC, hours } as const;
  if (pair !== undefined && pair > DESICCATOR_PCT)
    return { ...base, verdict: 'no', says: `calcium chloride takes crystal water too: it weathers below ${pair} %` };
  if (hydrateWater(of.substance.formula) > 0 && pair === undefined)
    return { ...base, verdict: 'mind', says: 'it may take crystal water too: weigh often' };
  return { ...base, verdict: 'good', says: 'over dry calcium chloride, which takes about a third of its weight' };
}

function rinse(of: Drying): DryingMethod {
  const clash = NOT_RINSED.find(([name]) => of.classes.has(name));
  const base = { id: 'solvent rinse', tempC: of.roomC } as const;
  if (clash) return { ...base, hours: null, verdict: 'no', says: clash[1] };
  return {
    ...base,
    hours: [0.5, 2],
    verdict: 'mind',
    says: 'ethanol, outdoors, nothing lit; some of it dissolves, and a hydrate may lose water. No acetone where peroxide was used',
  };
}

function hoursAt(
  of: Drying,
  liquidC: number,
  humidityPct: number,
  windMS: number,
  share = 1,
): readonly [number, number] | null {
  if (of.waterG <= 0) return [0, 0];
  const rate =
    share *
    dishEvaporation({
      areaCm2: of.areaCm2,
      liquidC,
      airC: of.roomC,
      humidityPct,
      pressureHPa: of.pressureHPa,
      windMS,
      waterActivity: WET,
    });
  if (!(rate > 1e-6)) return null;
  const open = of.waterG / rate;
  return [Math.max(LEAST_H[0], SLOWS[0] * open), Math.max(LEAST_H[1], SLOWS[1] * open)];
}
