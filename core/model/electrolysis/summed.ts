import { molarVolume } from '#matter/reaction';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import {
  type Amounts,
  at,
  type CellPoint,
  type CellSetup,
  type CellState,
  dissolves,
  formulaOf,
  massG as gramsIn,
  isA,
  isDivided,
  masses,
  metalMass,
  namedOf,
  perSpecies,
  speciesNames,
  substanceNamed,
} from '#model/cell';
import type { CellAnswer, CellChange, CellGas } from './answer.ts';

interface Run {
  readonly setup: CellSetup;
  readonly start: CellState;
  readonly state: CellState;
  /** mol of what was put in while it ran. */
  readonly extra: Amounts;
  readonly points: readonly CellPoint[];
  readonly airC: number;
}

type Sums = Omit<CellAnswer, 'points' | 'cost' | 'warnings' | 'topUps' | 'atCurrents' | 'book'>;

/** What a run has made, used up, given off and taken, from its start to a moment; g in and out over all places. */
export function summed({ setup, start, state, extra, points, airC }: Run): Sums {
  const total = ({ a, k, gas }: CellState) => perSpecies((_, name) => a[at[name]] + k[at[name]] + gas[at[name]]);
  const worn = state.wornMol * metalOf(setup);
  return {
    ampHours: state.coulombs / 3600,
    changes: changesOf(setup, [start, state], extra),
    gases: gasesOf(state, points, airC),
    platedG: (['Cu', 'Zn'] as const).flatMap((name) => {
      const mol = (isDivided(setup) ? state.k : state.a)[at[name]];
      const id = substanceNamed(name);
      return mol > 1e-9 && id ? [[id, mol * masses[at[name]]] as const] : [];
    }),
    wornG: worn,
    evaporatedG: state.evaporatedG,
    hottestC: Math.max(...points.map(({ tempC }) => tempC)),
    wattHours: state.energy.supplied / 3600,
    massG: [gramsIn(total(start)) + gramsIn(extra) + worn, gramsIn(total(state)) + state.evaporatedG],
  };
}

function metalOf({ anode }: CellSetup): number {
  const metal = dissolves(anode);
  return metal ? metalMass(metal) : masses[at.C];
}

/** What is there by name on each side, against what was. */
function changesOf(
  setup: CellSetup,
  [start, end]: readonly [CellState, CellState],
  extra: Amounts,
): readonly CellChange[] {
  const sides = isDivided(setup) ? (['anode', 'cathode'] as const) : (['anode'] as const);
  // What was added while it ran counts as there from the start, on the side where it now is.
  const added = extra.some((mol) => mol > 0);
  return sides.flatMap((side) => {
    const [was, is] = side === 'anode' ? [start.a, end.a] : [start.k, end.k];
    const [before, after] = [namedOf(was), namedOf(is)];
    if (!before || !after) return [];
    const all = new Map<SubstanceId, [number, number]>();
    for (const [id, mol] of [...before.dissolved, ...before.solid]) all.set(id, [mol, 0]);
    for (const [id, mol] of [...after.dissolved, ...after.solid]) all.set(id, [all.get(id)?.[0] ?? 0, mol]);
    return [...all]
      .filter(([, [from, to]]) => added || Math.abs(to - from) > 1e-9)
      .map(([substanceId, [from, to]]) => ({
        substanceId,
        side,
        mol: to - from,
        grams: (to - from) * molarMass(substanceOf(substanceId).formula),
        there: to,
      }));
  });
}

function gasesOf(state: CellState, points: readonly CellPoint[], airC: number): readonly CellGas[] {
  const most = Math.max(0, ...points.map(({ amps }) => amps));
  const mean = points.length > 0 ? state.coulombs / Math.max(1, state.seconds) : 0;
  const perMol = molarVolume(airC, 1013);
  return speciesNames.flatMap((name) => {
    const mol = state.gas[at[name]];
    if (!isA(name, 'gas') || !(mol > 1e-9)) return [];
    const id = substanceNamed(formulaOf(name));
    if (!id) return [];
    const litres = mol * perMol;
    const perHour = mean > 0 ? (litres / (state.seconds / 3600)) * (most / mean) : 0;
    return [{ substanceId: id, mol, litres, perHour }];
  });
}
