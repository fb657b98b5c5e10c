import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, nullable, number, type Of, one } from '#base/shape';
import { formatNumber } from '#base/units';
import { capOfAmount } from '#matter/guard';
import { molarVolume } from '#matter/reaction';
import { heatCapacity } from '#matter/solution';
import { molarMass, substanceOf } from '#matter/substance';
import { dripOf } from './drip.ts';
import { type Absorbed, absorbed, gasM, heatIntoAlkali, heatIntoWater, heldByWater, intoAlkali } from './taken.ts';

export const absorbShape = fields({
  gas: one(...absorbed),
  mol: number({ moreThan: 0, max: 100 }),
  waterG: number({ moreThan: 0, max: 50_000 }),
  /** Lye instead of water; null: water. */
  alkali: nullable(
    fields({
      substanceId: one('sodium-hydroxide', 'potassium-hydroxide'),
      grams: number({ moreThan: 0, max: 20_000 }),
    }),
  ),
  /** mol of acid that comes along with the gas and takes alkali as well. */
  acidAlong: number({ min: 0, max: 100 }),
  startC: number({ min: -10, max: 60 }),
  ceilingC: number({ min: -10, max: 90 }),
  litresPerMin: nullable(number({ moreThan: 0, max: 100 })),
  /** W that a bath takes at the ceiling; null: no bath. */
  bathW: nullable(number({ moreThan: 0, max: 10_000 })),
  reagent: nullable(
    fields({
      molPerL: number({ moreThan: 0, max: 30 }),
      perGas: number({ moreThan: 0, max: 20 }),
      dropsPerMl: number({ min: 5, max: 60 }),
    }),
  ),
});
export type AbsorbInput = Of<typeof absorbShape>;

/** Where to stop: gas taken, what the absorber has gained, alkali left. */
export interface StopAt {
  readonly mol: number;
  readonly gainedG: number;
  readonly alkaliLeftPct: number;
  /** Of the alkali left, at 25 °C, by its strength alone. */
  readonly pH: number;
}

export interface AbsorbAnswer {
  /** mol that the liquid takes, and that it cannot: at least so much escapes. */
  readonly taken: number;
  readonly escapes: number;
  readonly gasL: number;
  /** Mass % of the gas in what comes of it; in lye: of the gas taken up. */
  readonly strengthPct: number;
  /** Strongest that it gets at the ceiling, mass %; null in lye, or where not held. */
  readonly mostPct: number | null;
  readonly massG: number;
  readonly heatKJ: number;
  /** Warm at the end if nothing is cooled, °C. */
  readonly endsC: number;
  /** g of the water that are to be ice to stay under the ceiling; more than all of it: a bath besides. */
  readonly iceG: number;
  /** False: even all of its water as ice would not keep it under. */
  readonly iceEnough: boolean;
  readonly minutes: number | null;
  /** W while it comes; L/min that a bath keeps under the ceiling. */
  readonly watts: number | null;
  readonly bathLPerMin: number | null;
  readonly drip: { readonly ml: number; readonly mlPerMin: number | null; readonly dropsPerMin: number | null } | null;
  /** Alkali left when all of the gas is in, %; null in water. */
  readonly alkaliLeftPct: number | null;
  /** Stop between here and here; null in water, and where the gas does not come near to spending the alkali. */
  readonly stop: readonly [StopAt, StopAt] | null;
  readonly makes: string;
  /** mL that an empty flask between holds at least: all of the absorber may come back. */
  readonly trapMl: number;
  readonly notKnown: readonly string[];
}

const FUSION = 0.3337;
const WATER_CP = 4.18e-3;
const ROOM_C = 20;
/** Of the alkali used when to stop: from here, and never later than there. */
export const STOP_AT = [0.9, 0.97] as const;

/** mol of a gas that so many mol of hydroxide take until it is spent, with so many mol of acid along with each. */
export function takenByHydroxide(gas: Absorbed, hydroxide: number, along: number): number {
  const way = intoAlkali(gas);
  return way ? hydroxide / (way.hydroxide + along) : 0;
}

/** A gas led into water or lye. Amounts beyond the caps are not computed. */
export function absorb(input: AbsorbInput): Result<AbsorbAnswer> {
  const { gas, mol, waterG, alkali, startC, ceilingC, litresPerMin } = input;
  const { name, formula } = substanceOf(gas);
  const over = capOfAmount(formula, mol);
  if (over) return { ok: false, problem: { ...over, field: 'mol' } };
  if (gas === 'chlorine' && !alkali)
    return fail(
      'beyond-scope',
      'Chlorine is led into cold lye only, outdoors, with a second absorber behind it: water hardly takes it.',
      { field: 'alkali' },
    );
  if (alkali && !intoAlkali(gas))
    return fail('out-of-range', `Lye takes no ${name}: water or a dilute acid does.`, { field: 'alkali' });
  if (ceilingC < startC)
    return fail(
      'out-of-range',
      `It starts at ${formatNumber(startC, 3)} °C, over the ceiling of ${formatNumber(ceilingC, 3)} °C.`,
      {
        field: 'ceilingC',
      },
    );
  const room = alkali ? roomInLye(input) : roomInWater(input);
  if (!room.ok) return room;
  const taken = Math.min(mol, room.value);
  const soluteG = alkali?.grams ?? 0;
  const massG = waterG + soluteG + taken * gasM(gas);
  const strengthPct = (100 * taken * gasM(gas)) / massG;
  const perMol = alkali ? heatIntoAlkali(gas) : heatIntoWater(gas, strengthPct);
  if (perMol === null) return fail('no-data', `No heat is held of ${name} into this.`, { field: 'gas' });
  const heatKJ = taken * perMol;
  const capacity = heatCapacity(waterG, soluteG + taken * gasM(gas)) / 1000;
  const toMelt = heatKJ - capacity * (ceilingC - startC);
  const iceG = Math.max(0, toMelt / (FUSION + WATER_CP * Math.max(0, startC)));
  const volume = molarVolume(ROOM_C, 1013.25);
  const minutes = litresPerMin === null ? null : (mol * volume) / litresPerMin;
  const notKnown = ['How much of each bubble gets through hangs on tube and depth: weigh the absorber to know.'];
  if (perMol !== null && gas === 'carbon-dioxide' && !alkali) notKnown.push('Carbon dioxide dissolves slowly.');
  return ok({
    taken,
    escapes: mol - taken,
    gasL: mol * volume,
    strengthPct,
    mostPct: alkali ? null : mostOf(input),
    massG,
    heatKJ,
    endsC: startC + heatKJ / capacity,
    iceG,
    iceEnough: iceG <= waterG,
    minutes,
    watts: minutes === null ? null : (1000 * heatKJ) / (60 * minutes),
    bathLPerMin: input.bathW === null ? null : (60 * input.bathW * volume) / (1000 * perMol),
    drip: dripping(input, minutes),
    alkaliLeftPct: alkali ? 100 * Math.max(0, 1 - used(input)) : null,
    stop: alkali && used(input) >= STOP_AT[0] ? stopping(input) : null,
    makes: alkali ? must(intoAlkali(gas), 'intoAlkali').says : substanceOf(gas).name,
    trapMl: 1.2 * massG,
    notKnown,
  });
}

/** mol that so much water holds at its ceiling. */
function roomInWater({ gas, waterG, ceilingC }: AbsorbInput): Result<number> {
  const held = heldByWater(gas, ceilingC);
  return held === null
    ? fail(
        'out-of-range',
        `What water holds of ${substanceOf(gas).name} at ${formatNumber(ceilingC, 3)} °C is not held.`,
        {
          field: 'ceilingC',
        },
      )
    : ok(((held / 100) * waterG) / gasM(gas));
}

function mostOf({ gas, ceilingC }: AbsorbInput): number | null {
  const held = heldByWater(gas, ceilingC);
  return held === null ? null : (100 * held) / (100 + held);
}

const hydroxideMol = ({ alkali }: AbsorbInput): number =>
  alkali ? alkali.grams / molarMass(substanceOf(alkali.substanceId).formula) : 0;

/** mol that lye takes until it is spent, less what acid that came along has used. */
function roomInLye(input: AbsorbInput): Result<number> {
  const left = hydroxideMol(input) - input.acidAlong;
  return left > 0
    ? ok(left / must(intoAlkali(input.gas), 'intoAlkali').hydroxide)
    : fail('out-of-range', 'The acid that comes along uses up all of the alkali: take more lye, or wash the gas.', {
        field: 'acidAlong',
      });
}

/** Share of the alkali that all of the gas, and the acid along, would use. */
const used = (input: AbsorbInput): number =>
  (input.mol * must(intoAlkali(input.gas), 'intoAlkali').hydroxide + input.acidAlong) / hydroxideMol(input);

function stopping(input: AbsorbInput): readonly [StopAt, StopAt] {
  const all = hydroxideMol(input);
  const { gas, acidAlong, waterG } = input;
  const at = (share: number): StopAt => {
    const mol = Math.max(0, (share * all - acidAlong) / must(intoAlkali(gas), 'intoAlkali').hydroxide);
    const left = all * (1 - share);
    // Acid along comes with its own mass, as hydrogen chloride.
    const gainedG = mol * gasM(gas) + acidAlong * gasM('hydrogen-chloride');
    const litres = (waterG + gainedG) / 1000;
    return { mol, gainedG, alkaliLeftPct: 100 * (1 - share), pH: 14 + Math.log10(left / litres) };
  };
  return [at(STOP_AT[0]), at(STOP_AT[1])];
}

function dripping({ reagent, mol }: AbsorbInput, minutes: number | null): AbsorbAnswer['drip'] {
  if (!reagent) return null;
  const found = dripOf(mol, minutes ?? 1, reagent);
  return minutes === null ? { ml: found.ml, mlPerMin: null, dropsPerMin: null } : found;
}
