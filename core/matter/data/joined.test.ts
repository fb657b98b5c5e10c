import { describe, expect, it } from 'vitest';
import { classesOf } from '#matter/guard';
import { reactionHeat, solutionHeat } from '#matter/reaction';
import { allSubstances, isSubstanceId, molarMass, parseFormula, substanceOf } from '#matter/substance';
import { catalogue } from '#run/route';
import {
  ceilings,
  classMembers,
  densityTables,
  electrons,
  hazards,
  keepings,
  limits,
  regulated,
  solubility,
  solubilityMore,
  substances,
  thermochem,
  transitions,
  transitionsMore,
} from './index.ts';

/** Rows that no substance of the record names: what they speak of is a mixture, a thing, or not kept here. */
const OF_NO_SUBSTANCE: Readonly<Record<string, readonly string[]>> = {
  hazards: ['kbro3', 'hbr', 'hi', 'chlorate', 'hf', 'hcn_source', 'crvi'],
};

const named = (key: 'hazards' | 'keeping' | 'electrons' | 'law') =>
  new Set(allSubstances.flatMap((substance) => substance[key]));

describe('rows of the tables', () => {
  it.each([
    ['hazards', hazards, named('hazards')],
    ['electrons', electrons, named('electrons')],
  ] as const)('of %s are each reached from a substance, or known to be of none', (table, rows, reached) => {
    const apart = OF_NO_SUBSTANCE[table] ?? [];
    const lost = rows.map(({ id }) => id).filter((id) => !reached.has(id) && !apart.includes(id));
    expect(lost).toEqual([]);
  });

  it('are each named by substances under an id that is there', () => {
    const ids = {
      hazards: new Set(hazards.map(({ id }) => id)),
      keeping: new Set(keepings.map(({ id }) => id)),
      electrons: new Set(electrons.map(({ id }) => id)),
      law: new Set(regulated.map(({ id }) => id)),
    };
    for (const substance of allSubstances)
      for (const key of ['hazards', 'keeping', 'electrons', 'law'] as const)
        for (const id of substance[key]) expect(ids[key].has(id), `${substance.id} ${key} ${id}`).toBe(true);
    const tables = new Set(ceilings.map(({ id }) => id));
    const formulas = new Set(limits.map(({ formula }) => formula));
    const dense = new Set(densityTables.map(({ id }) => id));
    const solutes = new Set([...solubility, ...solubilityMore].map(({ solute }) => solute));
    for (const { id, ceiling, limits: own, density, solubility: solute } of allSubstances) {
      if (ceiling !== null) expect(tables.has(ceiling), `${id} ceiling ${ceiling}`).toBe(true);
      for (const each of own) expect(formulas.has(each), `${id} limit ${each}`).toBe(true);
      if (density !== null) expect(dense.has(density), `${id} density ${density}`).toBe(true);
      if (solute !== null) expect(solutes.has(solute), `${id} solubility ${solute}`).toBe(true);
    }
  });

  it('of solubility and density are each reached from a substance', () => {
    const solutes = new Set(allSubstances.map((each) => each.solubility));
    for (const { solute } of [...solubility, ...solubilityMore]) expect(solutes.has(solute), solute).toBe(true);
    const dense = new Set(allSubstances.map((each) => each.density));
    for (const { id } of densityTables) expect(dense.has(id), id).toBe(true);
  });

  it('each name where they come from, and how good they are', () => {
    for (const row of [
      ...solubility,
      ...solubilityMore,
      ...transitions,
      ...transitionsMore,
      ...ceilings,
      ...keepings,
      ...electrons,
    ]) {
      expect(row.source.length, JSON.stringify(row)).toBeGreaterThan(3);
      expect(['A', 'B', 'C']).toContain(row.grade);
    }
  });

  it('of solubility are within what can be, and rise or fall without a jump of more than tenfold', () => {
    for (const row of [...solubility, ...solubilityMore]) {
      expect(row.gPer100gWater, row.solute).toBeGreaterThan(0);
      expect(row.gPer100gWater, row.solute).toBeLessThan(2000);
      expect(row.tempC).toBeGreaterThanOrEqual(-60);
      expect(row.tempC).toBeLessThanOrEqual(260);
    }
  });

  it('of transitions lie between the solids of their solute', () => {
    const held = new Map<string, Set<string>>();
    for (const { solute, phase } of [...solubility, ...solubilityMore])
      held.set(solute, new Set([...(held.get(solute) ?? []), ...phase.split('/')]));
    for (const { solute, kind, from, to } of [...transitions, ...transitionsMore])
      if (kind === 'transition' && held.has(solute)) expect(from, `${solute} ${from} ${to}`).not.toBe(to);
  });

  it('of class members are honoured by the record, each with its reason', () => {
    for (const { class: name, action, of, fromPct, reason, member } of classMembers) {
      expect(reason.length, member).toBeGreaterThan(2);
      for (const id of of) {
        expect(isSubstanceId(id), id).toBe(true);
        if (!isSubstanceId(id)) continue;
        const classes = [...classesOf(id, Math.max(fromPct, 100))];
        if (action === 'add') expect(classes, id).toContain(name);
        if (action === 'remove') expect(classes, id).not.toContain(name);
      }
    }
  });
});

/** An ion without its charge: Ca2+ is Ca, SO4 2- is SO4, NO3- is NO3. */
const bare = (ion: string) =>
  ion
    .replace(/ \d+[+-]$/, '')
    .replace(/^([A-Z][a-z]?)\d[+-]$/, '$1')
    .replace(/[+-]$/, '');

describe('the record of substances', () => {
  it('gives every fact, or says expressly that there is none', () => {
    const wanted = ['name', 'formula', 'form'] as const;
    for (const [id, record] of Object.entries(substances))
      for (const key of wanted) expect(String(record[key]).length, `${id} ${key}`).toBeGreaterThan(0);
  });

  it('has ions that add up to its formula, charge included', () => {
    for (const { id, formula, species, ions } of allSubstances) {
      if (species !== id || ions === null) continue;
      const charge = ions.reduce((sum, [, count, each]) => sum + count * each, 0);
      expect(charge, id).toBe(0);
      // A chelate is written by its name.
      if (!ions.every(([ion]) => parseFormula(bare(ion)).ok)) continue;
      const mass = ions.reduce((sum, [ion, count]) => sum + count * molarMass(bare(ion)), 0);
      expect(
        Math.abs(mass - molarMass(formula)),
        `${id}: ${ions.map(([ion, n]) => `${n} ${ion}`).join(', ')}`,
      ).toBeLessThan(0.02);
    }
  });

  it('ties every hydrate to a species that is none, with the same elements but water', () => {
    for (const { id, species, formula } of allSubstances) {
      const base = substanceOf(species);
      expect(base.species, id).toBe(species);
      if (species === id) continue;
      const elements = (text: string) => {
        const parsed = parseFormula(text);
        return parsed.ok ? Object.keys(parsed.value.elements).filter((each) => each !== 'H' && each !== 'O') : [];
      };
      expect(elements(formula).sort(), id).toEqual(elements(base.formula).sort());
    }
  });

  it('holds heats by Hess: dissolving the crystal is the difference of its two formations', () => {
    // NBS 1982: sodium hydroxide −425.61 to −470.11; potassium nitrate −494.63 to −459.74 kJ/mol.
    expect(solutionHeat('sodium-hydroxide')).toBeCloseTo(-44.5, 0);
    expect(solutionHeat('potassium-nitrate')).toBeCloseTo(34.9, 0);
    const known = new Set(thermochem.map(({ id }) => id));
    for (const { id, formationPure, formationDissolved } of allSubstances) {
      if (formationPure !== null) expect(known.has(formationPure), `${id} ${formationPure}`).toBe(true);
      for (const [ion] of formationDissolved ?? []) expect(known.has(ion), `${id} ${ion}`).toBe(true);
    }
  });

  it('gives every reaction of the catalogue a heat, or none: never a part', () => {
    for (const { id, reactions } of catalogue)
      for (const reaction of reactions) {
        const heat = reactionHeat(reaction);
        if (heat !== undefined) expect(Math.abs(heat), `${id} ${reaction.id}`).toBeLessThan(2500);
      }
  });
});
