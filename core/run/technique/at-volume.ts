import { derive, type Figure, given } from '#base/figure';
import { bisect } from '#base/numeric';
import { molarMass, waterGivenBack } from '#matter/substance';
import { add, at, type Contents, holding, type Place, slurryVolume, steamedOff } from '#matter/vessel';
import { contentFor, nameFor, plainWater } from './add/lots.ts';
import { massOfReading } from './add/mass.ts';
import { type ActualAddition, AS_IT_REALLY_IS, type At, type Facts, solidMade } from './facts.ts';
import type { Doing } from './outcome.ts';
import { isUnderWay, volumeRead } from './read-value.ts';

/** Of the volume: a litre within a millionth of a millilitre. */
const CLOSE = 1e-9;

/**
 * g of water in a vessel that stands at so many mL with all else in it: never less than the crystal water that its product
 * holds once it is dry. Volumes of mixtures are good to about 4 %; the reading's own uncertainty is carried through.
 */
export function waterAt(before: Contents, V: Figure, facts: Facts): Figure {
  const least = boundIn(before, facts);
  const solve = (mL: number) => Math.max(least, waterFor(before, mL));
  return derive(
    { symbol: 'W', name: 'water in the vessel, by its volume', unit: 'g' },
    'the water with which it stands at V',
    { V },
    (x) => solve(x.V),
    { source: 'volumes of mixtures: water plus what each solute adds, about', grade: 'C' },
  );
}

/** By halving: where a density table ends the volume has a step in it, and what lies in the step is its edge. */
function waterFor(before: Contents, mL: number): number {
  const stands = (waterG: number) => slurryVolume({ ...before, waterG: { ...before.waterG, value: waterG } });
  // What contracts with water, or is tabulated with the salt beside it, needs more water than its volume.
  const most = Math.max(0, 2 * mL);
  const found = bisect((waterG) => stands(waterG) - mL, { low: 0, high: most, within: CLOSE * most });
  if (found.outcome === 'converged') return found.x;
  // Read as less than what lies there dry: there is no water in it. Read as more than twice its own volume of water cannot be.
  return found.outcome === 'no bracket' && found.atHigh < 0 ? most : 0;
}

/** g of water that what is dissolved of the product takes into its crystals. */
function boundIn(contents: Contents, facts: Facts): number {
  const made = solidMade(facts);
  const n = made && contents.aqueous[made.species.id];
  return made && n ? n.value * waterGivenBack(made.solid) * molarMass('H2O') : 0;
}

/** A volume of a mixture is computed to this share: what was read within it is no other volume. */
const SAME = 0.05;

/**
 * After a step that is done, a vessel stands where it was read to stand, and what went in since on top of that: the difference is
 * water that went off, or came in.
 */
export function standAsRead(doing: Doing, step: At, place: Place): void {
  const { entries, facts } = step;
  const read = volumeRead(entries.readings.volume, 'the volume in the vessel');
  const before = at(doing.vessels, place);
  if (!read || !(read.value > 0) || !(before.waterG.value > 0)) return;
  if (!entries.finished && !entries.skipped && !isUnderWay(step)) return;
  const since = entries.additions.slice(entries.readAfter.volume ?? 0);
  if (since.length > 0 && facts.tables < AS_IT_REALLY_IS) return;
  const V = withSince(read, mlOf(since, facts));
  if (Math.abs(V.value / slurryVolume(before) - 1) < SAME) return;
  const waterG = waterAt(before, V, facts);
  const away = derive(
    { symbol: 'away', name: 'water that went off', unit: 'g' },
    'W₀ − W',
    { 'W₀': before.waterG, W: waterG },
    (x) => x['W₀'] - x.W,
  );
  doing.vessels = steamedOff(holding(doing.vessels, place, { ...before, waterG }), away);
}

function withSince(read: Figure, more: number): Figure {
  if (more === 0) return read;
  const d = given({ symbol: 'ΔV', name: 'what went in since', unit: 'mL' }, more, 'as entered');
  return derive(
    { symbol: 'V', name: 'the volume in the vessel', unit: 'mL' },
    'V₀ + ΔV',
    { 'V₀': read, ΔV: d },
    (x) => x['V₀'] + x.ΔV,
  );
}

/** mL that things take up by themselves: liquids by their density, solids as they do in water. */
function mlOf(additions: readonly ActualAddition[], facts: Facts): number {
  return additions.reduce((sum, each) => {
    const content = contentFor(facts, each);
    const name = nameFor(facts, each);
    const mass = massOfReading(each.reading, { name, content, water: facts.water, bench: facts.bench });
    if (!mass) return sum;
    const product = content ? { ...content, name } : plainWater();
    return sum + slurryVolume(add(at({}, 'pot'), product, mass).contents, facts.tables);
  }, 0);
}
