import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { admitRoute } from '#run/own';
import { routeById } from '#run/route';
import { sheetOf } from '#run/sheet';
import { done, on, read } from '#testing/on-route';

const salt = on('hydroxylammonium-hydrogensulfate', '50 g hydroxylammonium hydrogensulfate', {
  nitrite: 'sodium nitrite 99 % 500 g',
  metabisulfite: 'sodium metabisulfite 97 % 1 kg',
  acid: 'acetic acid 80 % 500 mL',
  chloride: 'potassium chloride 99 % 1 kg',
  trace: 'sulfuric acid 37 % 500 mL',
});
const first = [
  salt.added('water', 'water', 50),
  salt.added('nitrite', 'nitrite', 10),
  salt.added('metabisulfite', 'metabisulfite', 30),
  salt.added('acid', 'acid', 11.2),
  salt.added('chloride', 'chloride', 35),
  ...done('ready', 'water', 'nitrite', 'metabisulfite', 'acid', 'chloride'),
];
const disulfonate = (run: ReturnType<typeof salt.run>) =>
  at(run.sheet.now!.vessels, 'pot').solid['potassium-hydroxylamine-disulfonate']?.value ?? 0;

describe('a salt that falls on the way', () => {
  it('falls by what usually does where no solubility is held, and says so', () => {
    const run = salt.run(...first, ...done('salt-out'));
    // 10 g × 99 % ÷ 69.0 = 0.1435 mol, of which half falls.
    expect(disulfonate(run)).toBeCloseTo(0.0717, 3);
    expect(run.sheet.notKnown.map(({ says }) => says).join(' ')).toMatch(
      /No solubility is held for potassium hydroxylamine/,
    );
    expect(massOverAll(run.sheet.now!.vessels)).toBeCloseTo(136.2, 6);
  });

  it('goes by its dry weight, and a wet one says nothing yet', () => {
    const dry = { ...read('salt-out', 'mass', 20, 'g'), state: 'dry' as const };
    const wet = { ...read('salt-out', 'mass', 20, 'g'), state: 'wet' as const };
    // 20 g ÷ 269.3
    expect(disulfonate(salt.run(...first, dry, ...done('salt-out')))).toBeCloseTo(0.0743, 3);
    expect(disulfonate(salt.run(...first, wet, ...done('salt-out')))).toBeCloseTo(0.0717, 3);
  });

  it('by its solubility in the cold where that is held: potassium sulfate, 7.7 g in 100 g of water at 2 °C', () => {
    const run = salt.run(...first, ...done('salt-out', 'collect', 'split-water', 'trace', 'split', 'chill'));
    const pot = at(run.sheet.now!.vessels, 'pot');
    const stays = amountOf({ ...pot, solid: {} }, 'potassium-sulfate')!.value * 174.26;
    expect((100 * stays) / pot.waterG.value).toBeCloseTo(7.7, 1);
  });

  it('counts what was lost on the way in the yield, on the nitrite', () => {
    const sheet = unwrap(sheetOf(salt.plan));
    const nitrite = sheet.additions.find(({ role }) => role === 'nitrite')!.amount.value;
    expect(sheet.theory!.value).toBeCloseTo(nitrite * 131.11, 0);
    expect(sheet.yieldPct!.value).toBeLessThan(60);
  });

  it('is kept with no base and no metal near it, and its copies may be kept', () => {
    const route = routeById('hydroxylammonium-hydrogensulfate')!;
    expect(admitRoute({ ...route, id: 'own-salt' }).ok).toBe(true);
    const bases = route.roles.flatMap(({ accepts }) => accepts).filter((id) => /hydroxide|carbonate|ammonia/.test(id));
    expect(bases).toEqual([]);
  });
});
