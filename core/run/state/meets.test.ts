import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import type { SubstanceId } from '#matter/substance';
import { massOverAll } from '#matter/vessel';
import type { EventBody } from '#run/log';
import { ownFrom } from '#run/own';
import { sheetOf } from '#run/sheet';
import { molIn } from '#testing/asking';
import { times } from '#testing/property';
import { eventsAt, planFor } from '#testing/shelf';
import { runState } from './index.ts';

const DAY = '2026-03-14';
const cardOf = (label: string) => parseLabel(label, DAY, 20).card!;
const poured = (label: string, grams: number): EventBody => ({
  kind: 'added',
  step: 'water',
  role: null,
  bottleId: `bottle_${label.slice(0, 6).replace(/\W/g, '')}`,
  reading: { is: 'exact', value: grams, unit: 'g' },
  reason: '',
  stock: { card: cardOf(label), usedG: 0 },
});

type Poured = readonly [label: string, id: SubstanceId];

const ACIDS: readonly Poured[] = [
  ['hydrochloric acid 28 % 5 L', 'hydrochloric-acid'],
  ['sulfuric acid 37 % 1 L', 'sulfuric-acid'],
  ['nitric acid 20 % 1 L', 'nitric-acid'],
  ['acetic acid 24 % 1 L', 'acetic-acid'],
  ['formic acid 60 % 1 L', 'formic-acid'],
  ['citric acid 500 g', 'citric-acid'],
  ['phosphoric acid 30 % 1 L', 'phosphoric-acid'],
  ['sodium hydrogensulfate 98 % 1 kg', 'sodium-hydrogensulfate'],
];
const BASES: readonly Poured[] = [
  ['sodium hydroxide 99 % 500 g', 'sodium-hydroxide'],
  ['potassium hydroxide 90 % 500 g', 'potassium-hydroxide'],
  ['washing soda crystals 1 kg', 'sodium-carbonate'],
  ['baking soda 1 kg', 'sodium-hydrogencarbonate'],
  ['potassium carbonate 99 % 500 g', 'potassium-carbonate'],
  ['ammonia 10 % 1 L', 'ammonia'],
];

describe('everything in a vessel meets', () => {
  const plan = planFor('60 g zinc sulfate');

  it('acid and base never stay side by side, whatever they are and in whichever order, and no mass is lost', () => {
    const pour = (of: readonly Poured[]) =>
      fc.record({ what: fc.constantFrom(...of), grams: fc.double({ min: 0.5, max: 200, noNaN: true }) });
    fc.assert(
      fc.property(pour(ACIDS), pour(BASES), fc.boolean(), (acid, base, first) => {
        const both = [poured(acid.what[0], acid.grams), poured(base.what[0], base.grams)];
        const { now } = unwrap(
          runState(plan, eventsAt('2026-03-14T08:00:00Z', ...(first ? both : [...both].reverse()))),
        ).sheet;
        const left = molIn(now!.contents);
        expect(Math.min(left[acid.what[1]] ?? 0, left[base.what[1]] ?? 0)).toBeLessThan(1e-9);
        expect(massOverAll(now!.vessels)).toBeCloseTo(acid.grams + base.grams, 6);
      }),
      { numRuns: times(60) },
    );
  });

  it.each<[acid: string, a: number, base: string, b: number, salt: SubstanceId, mol: number]>([
    // 25 g of 60 % formic acid: 0.3259 mol, onto 20 g of chalk 98 %, 0.1958 mol, takes 0.1630 of it.
    ['formic acid 60 % 1 L', 25, 'calcium carbonate 98 % 1 kg', 20, 'calcium-formate', 0.163],
    // 40 g of 20 % nitric acid: 0.1270 mol, onto 10 g of soda crystals, 0.03495 mol: half its base is met.
    ['nitric acid 20 % 1 L', 40, 'washing soda crystals 1 kg', 10, 'sodium-nitrate', 0.0699],
  ])('%s, %f g, with %s, %f g', (acid, a, base, b, salt, mol) => {
    const { now } = unwrap(runState(plan, eventsAt('2026-03-14T08:00:00Z', poured(base, b), poured(acid, a)))).sheet;
    expect(molIn(now!.contents)[salt]).toBeCloseTo(mol, 3);
  });
});

describe('a batch of one’s own', () => {
  const shelf = Object.entries({
    zinc: 'zinc 99 % 900 g',
    brick: 'hydrochloric acid 28 % 5 L',
    soda: 'sodium carbonate 99 % 1 kg',
  }).map(([id, label]) => ({ id: `bottle_${id}`, card: cardOf(label), usedG: 0, archived: false }));
  const { plan } = ownFrom({
    text: '20 g zinc carbonate',
    formula: '',
    gPer100gWater: null,
    bottles: shelf.map(({ id }) => id),
    equations: ['Zn + HCl -> ZnCl2 + H2', 'ZnCl2 + Na2CO3 -> ZnCO3'],
    mine: null,
    controls: {},
    shelf,
    bench: BenchDefaults,
    today: DAY,
  });

  it('takes more soda where more acid went in than its zinc needs', () => {
    const doseOf = (
      sheet: { additions: readonly { role: string; dose: { mass: { value: number } } }[] },
      role: string,
    ) => sheet.additions.find((line) => line.role === role)!.dose.mass.value;
    const asked = unwrap(sheetOf(plan!));
    const more: EventBody = {
      kind: 'added',
      step: 'add-hydrochloric-acid',
      role: 'hydrochloric-acid',
      bottleId: 'bottle_brick',
      reading: { is: 'exact', value: doseOf(asked, 'hydrochloric-acid') + 50, unit: 'g' },
      reason: '',
    };
    const run = unwrap(runState(plan!, eventsAt('2026-03-14T08:00:00Z', more)));
    // 50 g of 28 % is 0.3840 mol, and takes half as much soda: 20.35 g, of 99 %.
    const further = ((50 * 0.28) / 36.458 / 2) * 105.99;
    expect(doseOf(run.sheet, 'sodium-carbonate') - doseOf(asked, 'sodium-carbonate')).toBeCloseTo(further / 0.99, 1);
    expect(run.sheet.product!.value).toBeCloseTo(asked.product!.value, 2);
  });
});
