import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { massOverAll } from '#matter/vessel';
import { runState } from '#run/state';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const nitrate = on('sodium-nitrate', '60 g sodium nitrate', {
  soda: 'sodium hydrogencarbonate 99 % 1 kg',
  fertiliser: 'calcium ammonium nitrate 99 % 1 kg',
});
const dried = { ...nitrate.plan, controls: { ...nitrate.plan.controls, finish: 1 } };

describe('drying up', () => {
  const run = on('sodium-nitrate', '60 g sodium nitrate', {
    soda: 'sodium carbonate 99 % 1 kg',
    fertiliser: 'calcium ammonium nitrate 99 % 1 kg',
  });

  it('is left out while crystals in the cold are chosen', () => {
    expect(run.run().steps.map(({ key }) => key)).not.toContain('dry-up');
    expect(run.run().steps.map(({ key }) => key)).toContain('cool');
  });

  it('doses bicarbonate in its own ratio: eleven for each of the fertiliser, as by hand', () => {
    const line = (role: string) => nitrate.run().sheet.additions.find((each) => each.role === role)!;
    const ratio = line('soda').amount.value / line('fertiliser').amount.value;
    expect(ratio).toBeCloseTo(11 * 1.06, 2);
    const { gases } = nitrate.run().sheet;
    // Two of ammonia for twelve of carbon dioxide.
    const of = (id: string) => gases.find((each) => each.id === id)!.volume.value;
    expect(of('carbon-dioxide') / of('ammonia-gas')).toBeCloseTo(6, 1);
  });
});

describe('a crust', () => {
  it('is all that was dissolved, and its soda is no nitrate', () => {
    const bodies = [
      nitrate.added('soda', 'soda', 200),
      nitrate.added('water', 'water', 220, 'mL'),
      nitrate.added('fertiliser', 'fertiliser', 220),
      ...done('ready', 'soda', 'water', 'fertiliser', 'boil-off', 'filter', 'boil-down', 'dry-up'),
    ];
    const state = unwrap(runState(dried, eventsAt(START, ...bodies, read('dry', 'mass', 150, 'g'))));
    const { figures, now } = state.sheet;
    // 220 g at 99 % of the decahydrate (1080.7 g/mol): 0.2015 mol, 11 of nitrate each: 188.4 g; 35 % of 100 g of chalk to a g in the cake.
    expect(state.sheet.theory!.value).toBeCloseTo(((220 * 0.99) / 1080.71) * 11 * 84.995, 0);
    const other = figures['crust.other']!.value;
    // 200 g of bicarbonate at 99 %: 2.357 mol, 2.217 of it used: 0.14 mol, 11.8 g, less what the chalk keeps.
    expect(other).toBeGreaterThan(8);
    expect(other).toBeLessThan(12);
    const crust = figures['crystals.mass']!.value;
    expect(state.yield!.mass.value).toBeCloseTo(150 * (1 - other / crust), 3);
    expect(massOverAll(now!.vessels)).toBeCloseTo(200 + 219.6 + 220, 0);
  });
});
