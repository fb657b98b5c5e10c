import { describe, expect, it } from 'vitest';
import { parseLabel } from '#matter/label';
import { substanceById } from '#matter/substance';
import { ceilingOf } from '#model/dry';
import { catalogue, parseTarget, routesFor, type ShelfBottle } from './index.ts';

const bottle = (id: string, label: string): ShelfBottle => ({
  id,
  card: parseLabel(label, '2026-01-01', 20).card!,
  usedG: 0,
  archived: false,
});

describe('the catalogue', () => {
  it.each(catalogue.map((route) => [route.id, route] as const))(
    '%s names only roles, controls and substances that exist',
    (_, route) => {
      const roles = new Set(route.roles.map((role) => role.id));
      const controls = new Set(route.controls.map((control) => control.id));
      const ids = new Set(route.steps.map((step) => step.id));
      expect(ids.size).toBe(route.steps.length);
      for (const role of route.roles) {
        for (const id of role.accepts) expect(substanceById(id), id).toBeDefined();
        if ('control' in role.dose) expect(controls.has(role.dose.control)).toBe(true);
        if ('excessControl' in role.dose && role.dose.excessControl)
          expect(controls.has(role.dose.excessControl)).toBe(true);
      }
      for (const { op, after, only, why, expect: sight, title } of route.steps) {
        if (only) expect(controls.has(only.control)).toBe(true);
        if (op.do === 'add') expect(roles.has(op.role)).toBe(true);
        if ('control' in op && op.control) expect(controls.has(op.control)).toBe(true);
        for (const id of after) expect(ids.has(id)).toBe(true);
        expect(why.length * sight.length * title.length).toBeGreaterThan(0);
      }
      for (const control of route.controls) {
        expect(control.start).toBeGreaterThanOrEqual(control.min);
        expect(control.start).toBeLessThanOrEqual(control.max);
      }
      expect(route.source).not.toBe('');
    },
  );
});

describe('a drying ceiling', () => {
  it.each(catalogue.map((route) => [route.id, route] as const))(
    'of %s is the one that the table of practice gives',
    (_, route) => {
      const { drying, makes, steps } = route;
      const held = makes.kind === 'solid' ? ceilingOf(substanceById(makes.substanceId)!) : undefined;
      if (!drying || !held) return;
      expect(drying.ceilingC).toBe(held.tempC);
      for (const { op, ceilingC } of steps) if (op.do === 'dry' && ceilingC !== null) expect(ceilingC).toBe(held.tempC);
    },
  );
});

describe('parseTarget', () => {
  it.each([
    [
      '1.5 L of 2 mol/L hydrochloric acid',
      { substanceId: 'hydrochloric-acid', amount: { value: 1500, unit: 'mL' }, strength: { value: 2, unit: 'mol/L' } },
    ],
    ['make 60 g zinc sulfate', { substanceId: 'zinc-sulfate', amount: { value: 60, unit: 'g' }, strength: null }],
    [
      'sodium acetate from 250 mL vinegar',
      { substanceId: 'sodium-acetate', amount: { value: 250, unit: 'mL' }, fromSubstanceId: 'acetic-acid' },
    ],
    [
      '0,5 kg of 20 % sulfuric acid',
      { substanceId: 'sulfuric-acid', amount: { value: 500, unit: 'g' }, strength: { value: 20, unit: 'w/w' } },
    ],
  ])('understands %s', (text, wanted) => {
    const reading = parseTarget(text, 20);
    expect(reading.problems).toEqual([]);
    expect(reading).toMatchObject(wanted);
  });

  it.each([
    ['', 'Say what to make'],
    ['zinc sulfate', 'How much'],
    ['60 g unobtainium', 'No substance'],
    ['-60 g zinc sulfate', 'more than 0'],
    ['1e9 g zinc sulfate', 'More than a tonne'],
    ['x9 g zinc sulfate', 'How much'],
    ['1 L of 45 % hydrochloric acid', 'end at 40 %'],
    ['1 L of 0 mol/L hydrochloric acid', 'strength 0'],
    ['x'.repeat(300), 'longer than a target'],
  ])('explains %s', (text, part) => {
    expect(
      parseTarget(text, 20)
        .problems.map((each) => each.message)
        .join(' '),
    ).toContain(part);
  });
});

describe('routesFor', () => {
  it('picks the bottles that fit, the wanted acid among them', () => {
    const shelf = [bottle('a', 'sulfuric acid 37 % 1 L'), bottle('b', 'hydrochloric acid 28 % 5 L')];
    const found = routesFor('hydrochloric-acid', shelf);
    expect(found.ok && found.value[0]?.bottles).toEqual({ acid: 'b', water: null });
    expect(found.ok && found.value[0]?.missing).toEqual([]);
  });

  it('says what is missing, and why a near miss does not do', () => {
    const found = routesFor('sodium-acetate', [bottle('a', 'vinegar 8 % 5 L'), bottle('b', 'bicarb 500 g')]);
    expect(found.ok && found.value[0]?.missing.join(' ')).toContain('Bicarbonate gives twice the gas');
  });

  it('does not take an archived bottle, and prefers a fuller one', () => {
    const low = { ...bottle('low', 'vinegar 8 % 5 L'), usedG: 4900 };
    const found = routesFor('sodium-acetate', [
      { ...bottle('gone', 'vinegar 8 % 5 L'), archived: true },
      low,
      bottle('full', 'vinegar 8 % 5 L'),
    ]);
    expect(found.ok && found.value[0]?.bottles.acid).toBe('full');
  });

  it('refuses what no route makes, with what there is', () => {
    const found = routesFor('zinc', []);
    expect(found.ok ? '' : found.problem.message).toContain('zinc sulfate heptahydrate');
  });
});
