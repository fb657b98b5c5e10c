import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, flag, list, nullable, number, type Of, one, optional, text } from '#base/shape';
import { formatNumber } from '#base/units';
import { anodeMaterials, cathodeMaterials, cellGearShape, dividerKinds } from '#matter/gear';
import { molarMass, substanceById, substanceOf } from '#matter/substance';
import {
  type Amounts,
  addTo,
  admitCell,
  anodeEfficiency,
  at,
  beginning,
  type CellPoint,
  type CellSetup,
  type CellState,
  dissolveInto,
  dissolves,
  letRun,
  masses,
  mediumOf,
  metalMass,
  nothing,
  PLATES,
  places,
  type Ranged,
  solidOf,
  USUAL_HYDROXIDE,
  volumeMl,
} from '#model/cell';
import type { CellAnswer } from './answer.ts';
import { atCurrents } from './at-currents.ts';
import { leftOf, mainSalts, topUpsOf } from './main-salts.ts';
import { cellWarnings, TUB_C } from './outlook.ts';
import { summed } from './summed.ts';

/** A liquid: mL, and mol/L of what is dissolved in it. */
const liquidShape = fields({
  ml: number({ moreThan: 0, max: 50_000 }),
  parts: list(fields({ substanceId: text(80), molPerL: number({ min: 0, max: 20 }) }), 8),
});
type Liquid = Of<typeof liquidShape>;

/** A cell as it is asked about. */
export const cellShape = fields({
  anolyte: liquidShape,
  /** Null where nothing divides it. */
  catholyte: nullable(liquidShape),
  anode: one(...anodeMaterials),
  /** g of a dissolving anode under the liquid; null where it survives or was not weighed. */
  anodeG: nullable(number({ moreThan: 0, max: 20_000 })),
  cathode: one(...cathodeMaterials),
  divider: one(...dividerKinds),
  gear: cellGearShape,
  airC: number({ min: -10, max: 45 }),
  stirred: flag(),
  hours: number({ moreThan: 0, max: 1000 }),
  /** A·h after which it is done: what is summed up and minded ends there, its course is drawn on. */
  ampHours: optional(number({ moreThan: 0, max: 5000 })),
  /** A that are held, whatever volts they take. */
  holdA: nullable(number({ moreThan: 0, max: 30 })),
  topUps: list(
    fields({
      atH: number({ min: 0, max: 1000 }),
      side: one('anode', 'cathode'),
      substanceId: text(80),
      grams: number({ min: 0, max: 5000 }),
      waterMl: number({ min: 0, max: 5000 }),
    }),
    40,
  ),
  /** °C that the vessel bears. */
  vesselC: optional(number({ min: 20, max: 150 })),
  /** The same charge, A·h, at other currents, A: hours, volts, warmth. */
  compare: optional(
    fields({ ampHours: number({ moreThan: 0, max: 5000 }), amps: list(number({ moreThan: 0, max: 30 }), 8, 1) }),
  ),
  /** %, where one’s own cell has shown it. */
  anodePct: optional(number({ moreThan: 0, max: 105 })),
});
export type CellAsked = Of<typeof cellShape>;

/** A cell ready to run. */
export interface CellReady {
  readonly setup: CellSetup;
  readonly anolyte: Amounts;
  readonly catholyte: Amounts | null;
  readonly anodeMol: number | null;
  readonly book: Ranged;
}

/** Sets a cell up from what is asked; refuses what is not run here. */
export function cellFor(asked: CellAsked): Result<CellReady> {
  const anolyte = liquid(asked.anolyte, 'anolyte');
  if (!anolyte.ok) return anolyte;
  if (asked.divider === 'none' && asked.catholyte)
    return fail(
      'invalid-input',
      'Without a divider there is one liquid: leave the cathode side away, or choose a divider.',
      { field: 'catholyte' },
    );
  if (asked.divider !== 'none' && !asked.catholyte)
    return fail('missing-part', 'A divided cell has a liquid on the cathode side too: say what it is.', {
      field: 'catholyte',
    });
  const catholyte = asked.catholyte ? liquid(asked.catholyte, 'catholyte') : null;
  if (catholyte && !catholyte.ok) return catholyte;
  const admitted = admitCell({
    anode: asked.anode,
    cathode: asked.cathode,
    divider: asked.divider,
    supply: asked.gear.supply,
    anolyte: anolyte.value,
    catholyte: catholyte?.value ?? null,
  });
  if (!admitted.ok) return admitted;
  const book = anodeEfficiency(asked.anode, mediumOf(anolyte.value));
  const metal = dissolves(asked.anode);
  const { gear, holdA } = asked;
  const setup: CellSetup = {
    anode: asked.anode,
    cathode: asked.cathode,
    divider: asked.divider,
    gear: holdA === null ? gear : { ...gear, supply: { kind: 'bench supply', volts: 60, amps: holdA } },
    airC: asked.airC,
    stirred: asked.stirred,
    anodeGives: Math.min(1, (asked.anodePct ?? book.value) / 100),
    cathodeGives: PLATES,
    hydroxide: USUAL_HYDROXIDE,
    wall: 1,
  };
  return ok({
    setup,
    anolyte: anolyte.value,
    catholyte: catholyte?.value ?? null,
    anodeMol: metal && asked.anodeG !== null ? asked.anodeG / metalMass(metal) : null,
    book,
  });
}

/** Water by what is left of the volume. */
function liquid({ ml, parts }: Liquid, field: string): Result<Amounts> {
  const n = nothing();
  for (const [i, { substanceId, molPerL }] of parts.entries()) {
    const substance = substanceById(substanceId);
    const where = { field: `${field}.parts.${i}.substanceId` };
    if (!substance) return fail('unknown-substance', `“${substanceId}” is not a substance known here.`, where);
    const species = substanceOf(substance.species);
    if (!dissolveInto(n, species, (molPerL * ml) / 1000))
      return fail(
        'out-of-range',
        `What ${species.name} does in a cell is not held: it knows sulfates, chlorides, carbonates, nitrates, acetates and hydroxides of sodium, potassium, magnesium, copper, zinc and iron.`,
        where,
      );
  }
  const room = ml - volumeMl(n);
  if (!(room > 0)) return fail('out-of-range', 'So much does not fit into so little water.', { field });
  n[at.H2O] += room / WATER_ML_PER_MOL;
  return ok(n);
}
const WATER_ML_PER_MOL = masses[at.H2O] / 0.99705;

const POINTS = 240;

/** A cell’s run: its course, what it makes on which side, gases, heat, what to mind. */
export function cell(asked: CellAsked): Result<CellAnswer> {
  const ready = cellFor(asked);
  if (!ready.ok) return ready;
  const late = asked.topUps.findIndex(({ atH }) => atH > asked.hours);
  if (late >= 0)
    return fail(
      'out-of-range',
      `A top-up after ${formatNumber(itemAt(asked.topUps, late).atH, 3)} h comes too late: it runs for ${formatNumber(asked.hours, 3)} h.`,
      { field: `topUps.${late}.atH` },
    );
  const { setup, book } = ready.value;
  const state = beginning(setup, ready.value);
  const start = structuredClone(state);
  const points: CellPoint[] = [];
  const salts = mainSalts(start);
  const left: { readonly anode: number; readonly cathode: number }[] = [];
  const extra: Amounts = nothing();
  const done = { at: null as { readonly state: CellState; readonly extra: Amounts } | null };
  const until = (now: CellState): boolean => {
    if (!done.at && asked.ampHours !== undefined && now.coulombs >= 3600 * asked.ampHours)
      done.at = { state: structuredClone(now), extra: [...extra] };
    return false;
  };
  const inOrder = [...asked.topUps].sort((a, b) => a.atH - b.atH);
  for (const stop of [...inOrder, null]) {
    const untilS = 3600 * (stop?.atH ?? asked.hours);
    const share = Math.max(2, Math.round((POINTS * (untilS - state.seconds)) / (3600 * asked.hours)));
    points.push(
      ...letRun(setup, state, { untilS, points: share, until, onPoint: (now) => left.push(leftOf(now, salts)) }),
    );
    if (!stop) break;
    const what = topUp(stop);
    if (!what.ok) return what;
    for (const i of places) extra[i] += what.value[i];
    addTo({ setup, state }, stop.side, what.value);
  }
  const end = done.at ?? { state, extra };
  const upTo = points.filter(({ seconds }) => seconds <= end.state.seconds);
  const leftThen = upTo.map(({ seconds }, k) => ({ atH: seconds / 3600, ...itemAt(left, k) }));
  const sums = summed({ setup, start, ...end, points: upTo, airC: asked.airC });
  return ok({
    points,
    ...sums,
    cost: asked.gear.perKWh === undefined ? null : (sums.wattHours / 1000) * asked.gear.perKWh,
    warnings: cellWarnings({
      setup,
      start,
      end: end.state,
      points: upTo,
      askedAh: asked.ampHours ?? null,
      vesselC: asked.vesselC ?? TUB_C,
      salts: leftThen,
    }),
    topUps: asked.topUps.length > 0 ? [] : topUpsOf(setup, salts, leftThen),
    atCurrents: asked.compare ? atCurrents(ready.value, asked.compare) : [],
    book,
  });
}

function topUp({ substanceId, grams, waterMl }: CellAsked['topUps'][number]): Result<Amounts> {
  const substance = substanceById(substanceId);
  if (!substance)
    return fail('unknown-substance', `“${substanceId}” is not a substance known here.`, { field: 'topUps' });
  const n = nothing();
  const mol = grams / molarMass(substance.formula);
  const species = substanceOf(substance.species);
  n[at.H2O] +=
    (waterMl * 0.99705) / masses[at.H2O] +
    (mol * (molarMass(substance.formula) - molarMass(species.formula))) / masses[at.H2O];
  if (substance.id !== 'water' && !dissolveInto(n, species, mol)) {
    const solid = solidOf(substance);
    if (!solid) return fail('out-of-range', `What ${substance.name} does in a cell is not held.`, { field: 'topUps' });
    n[at[solid]] += mol;
  }
  return ok(n);
}
