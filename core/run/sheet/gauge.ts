import type { Figure } from '#base/figure';
import { durationText, hoursText } from '#base/time';
import { formatNumber, formatPlain } from '#base/units';
import type { Clash } from '#matter/guard';
import { substanceOf } from '#matter/substance';
import type { VesselFit } from '#matter/vessel';
import { solubilityOf } from '#model/dish';
import type { PlanFacts } from '#run/plan';
import { dryingCeiling } from './drying-ceiling.ts';
import type { StepHeat } from './walk.ts';

export interface Gauge {
  readonly id: 'heat' | 'container' | 'gas' | 'vessel' | 'crust' | 'ceiling' | 'time';
  readonly name: string;
  readonly shown: string;
  /** The figure behind it, where it has one. */
  readonly figure?: Figure;
  readonly note: string;
  /** 0 to 1.2 of the mark at 1. */
  readonly level: number;
  readonly state: 'within' | 'watch' | 'stop';
}

interface GaugeFacts {
  readonly gases: readonly { readonly id: string; readonly volume: Figure }[];
  readonly worst: StepHeat | undefined;
  /** Some heat of the run has no datum: what is shown is of a part. */
  readonly heatNotKnown: boolean;
  readonly vessel: VesselFit | null;
  readonly hours: { readonly handsOn: number; readonly wait: readonly [number, number] };
  /** What the vessel's material would suffer or give. */
  readonly clashes: readonly Clash[];
}

/** What to keep an eye on before anything is lit, each against its mark. */
export function gaugesOf(of: PlanFacts, facts: GaugeFacts): readonly Gauge[] {
  const { plan, recipe, steps } = of;
  const gauges: Gauge[] = [];
  const { worst, heatNotKnown, gases, vessel, hours } = facts;
  if (worst || heatNotKnown) gauges.push(heatGauge(worst?.rise, plan.bench.tempC, heatNotKnown));
  for (const { id, volume } of gases) gauges.push(gasGauge(id, volume, plan.bench.roomM3));
  if (vessel) {
    gauges.push({
      id: 'vessel',
      name: 'vessel',
      shown: `${Math.round(vessel.foamShare * 100)} %`,
      note: vesselNote(vessel.holds, recipe.foamShare > 0),
      level: vessel.foamShare / 0.95,
      state: vessel.holds ? 'within' : 'stop',
    });
  }
  const [clash] = facts.clashes;
  if (clash) {
    gauges.push({
      id: 'container',
      name: 'container',
      shown: clash.severity === 'caution' ? 'mind it' : 'unsuited',
      note: clash.sentence,
      level: clash.severity === 'caution' ? 0.8 : 1.2,
      state: clash.severity === 'caution' ? 'watch' : 'stop',
    });
  }
  const crust = crustGauge({ plan, recipe, steps });
  if (crust) gauges.push(crust);
  const ceilingC = dryingCeiling(of);
  if (recipe.drying && ceilingC !== undefined) {
    gauges.push({
      id: 'ceiling',
      name: 'drying ceiling',
      shown: `${formatPlain(ceilingC)} °C`,
      note: recipe.drying.short,
      level: ceilingC > 0 ? Math.min(1.2, Math.max(0, plan.bench.tempC / ceilingC)) : 1.2,
      state: plan.bench.tempC > ceilingC ? 'stop' : 'within',
    });
  }
  gauges.push({
    id: 'time',
    name: 'time',
    shown: durationText(hours.wait),
    note: `waiting, ${hoursText(hours.handsOn)} hands on`,
    level: Math.min(1, hours.wait[1] / 168),
    state: 'within',
  });
  return gauges;
}

/** Heat that is known in part is “at least”; nothing known is said so, and never nought. */
function heatGauge(rise: Figure | undefined, startC: number, notKnown: boolean): Gauge {
  const name = 'heat, all at once';
  if (!rise)
    return {
      id: 'heat',
      name,
      shown: 'not known',
      note: 'small first portion, then by the thermometer',
      level: 0.7,
      state: 'watch',
    };
  const riseK = rise.value;
  const reach = startC + riseK;
  const known = stateAt(reach, 60, 95);
  return {
    id: 'heat',
    name,
    figure: rise,
    shown: `${notKnown ? 'at least ' : ''}${riseK < 0 ? '− ' : '+ '}${formatNumber(Math.abs(riseK), 2)} K`,
    note: notKnown ? 'part of its heat is not known: small portions' : heatNote(riseK, reach),
    level: Math.max(0, Math.min(1.2, reach / 95)),
    state: notKnown && known === 'within' ? 'watch' : known,
  };
}

function heatNote(riseK: number, reachC: number): string {
  if (riseK < 0) return 'cools itself';
  return reachC >= 95 ? 'would boil: add in parts' : `to about ${formatNumber(reachC, 2)} °C`;
}

function vesselNote(holds: boolean, foams: boolean): string {
  if (!holds) return 'too small: split the batch';
  return foams ? 'with foam' : 'full at most';
}

/** Below the first mark within, from it watch, from the second stop. */
function stateAt(value: number, watch: number, stop: number): Gauge['state'] {
  if (value >= stop) return 'stop';
  return value >= watch ? 'watch' : 'within';
}

/** Share of the room’s air that is the limit: a quarter of hydrogen’s burning limit, NIOSH’s for the others. */
const GAS_LIMIT: Readonly<Record<string, number>> = { hydrogen: 0.01, 'carbon-dioxide': 0.005, 'ammonia-gas': 35e-6 };
const GAS_NOTE: Readonly<Record<string, string>> = {
  hydrogen: 'no flame, outdoors',
  'ammonia-gas': 'outdoors, upwind',
};
const GAS_NAME: Readonly<Record<string, string>> = { hydrogen: 'hydrogen', 'ammonia-gas': 'ammonia' };

function gasGauge(id: string, volume: Figure, roomM3: number): Gauge {
  const litres = volume.value;
  const part = litres / 1000 / roomM3;
  const limit = GAS_LIMIT[id] ?? 0.005;
  return {
    id: 'gas',
    name: GAS_NAME[id] ?? 'gas',
    figure: volume,
    shown: `${formatNumber(litres, 2)} L`,
    note: GAS_NOTE[id] ?? `${formatNumber(part * 100, 2)} % of the room’s air`,
    level: Math.min(1.2, part / limit),
    state: GAS_NOTE[id] !== undefined || part > limit / 2 ? 'watch' : 'within',
  };
}

/** Boiling below the solubility of the hydrate that is stable when hot makes a crust. */
function crustGauge({ plan, recipe, steps }: Pick<PlanFacts, 'plan' | 'recipe' | 'steps'>): Gauge | undefined {
  const boil = steps.find((step) => step.op.do === 'boil-down');
  if (boil?.op.do !== 'boil-down' || recipe.makes.kind !== 'solid') return undefined;
  const hot = solubilityOf(substanceOf(recipe.makes.anhydrousId), 98, plan.tables);
  if (!hot.ok) return undefined;
  const set = plan.controls[boil.op.control] ?? 0;
  const level = set / hot.value.gPer100gWater;
  return {
    id: 'crust',
    name: 'crust while hot',
    shown: `${formatPlain(Math.round(level * 100))} %`,
    note: level > 1 ? 'salt falls out of the boiling liquor' : 'of what dissolves at the boil',
    level: Math.min(1.2, level),
    state: stateAt(level, 1.0001, 1.05),
  };
}
