import type { FieldsOf } from '#base/shape';
import { molarMass, substanceOf } from '#matter/substance';
import { amountOf, at, liquidVolume, speciesAmount, type Vessels } from '#matter/vessel';
import { type GasSetup, heldByWater } from '#model/absorb';
import { type Facts, reactionOf, settingOf } from '../facts.ts';
import { placeOf } from '../where.ts';
import { DRIPPED, reagentPerGas } from './dripped.ts';
import type { fields } from './op.ts';
import { lyeIn } from './stream.ts';

type Op = FieldsOf<typeof fields>;

/** W that a bath of ice takes of a swirled bottle for each K, about. */
const ICE_W_PER_K = 1.5;

/** Generator, funnel and absorber as they stand, for what is tried out or simulated. */
export function apparatusFor(vessels: Vessels, op: Op, facts: Facts): GasSetup {
  const absorber = at(vessels, op.into);
  const waits = op.drips ? at(vessels, op.drips) : null;
  const ml = waits ? liquidVolume(waits) : 0;
  const acid = waits ? (amountOf(waits, DRIPPED)?.value ?? 0) : 0;
  const lye = lyeIn(absorber, op);
  const ceilingC = settingOf(facts, op.ceiling);
  const held = heldByWater(op.gas, ceilingC);
  const had = amountOf(absorber, op.as)?.value ?? 0;
  const holds = ((held ?? 0) / 100) * (absorber.waterG.value / molarMass(substanceOf(op.gas).formula)) - had;
  return {
    gas: op.gas,
    sourceMol: sourceOf(vessels, op, facts),
    funnel: waits && ml > 0 ? { ml, molPerL: (1000 * acid) / ml, perGas: reagentPerGas(vessels, op, facts) } : null,
    arrives: settingOf(facts, op.arrives) / 100,
    along: op.along ? settingOf(facts, op.along) / 100 : 0,
    waterG: Math.max(1, absorber.waterG.value),
    lyeMol: op.takes ? (lye?.mol ?? 0) : null,
    holdsMol: Math.max(0, holds),
    startC: Math.min(facts.bench.tempC, ceilingC),
    bathC: 0,
    wattsPerK: ICE_W_PER_K,
  };
}

/** mol of gas that what lies in the generator can give, the dripped reagent aside. */
function sourceOf(vessels: Vessels, op: Op, facts: Facts): number {
  const pot = at(vessels, placeOf(op));
  return [op.reaction, ...(op.also ?? [])].reduce((sum, id) => {
    const { reactants, products } = reactionOf(facts, id);
    const gas = products.find(({ substanceId }) => substanceId === op.gas);
    const sources = reactants.filter(
      ({ substanceId }) => substanceId !== 'water' && !(op.drips && substanceId === DRIPPED),
    );
    const most = sources.map(({ substanceId, n }) => (speciesAmount(pot, substanceId)?.value ?? 0) / n);
    return sum + (gas && most.length > 0 ? gas.n * Math.min(...most) : 0);
  }, 0);
}
