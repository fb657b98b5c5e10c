import { molarVolume } from '#matter/reaction';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import {
  anodeParted,
  at,
  type CellPoint,
  type CellState,
  type Drops,
  dissolves,
  FARADAY,
  isDivided,
  metalMass,
  namedOf,
  pointOf,
  takeStock,
  volumeMl,
} from '#model/cell';
import { type Future, futureOf, type TopUp, topUpOf } from './ahead.ts';
import { type Change, changeOf, lastRead, wasOf } from './change.ts';
import { chargeFrom, type Passed } from './charge.ts';
import { type Efficiency, efficiencyFrom, type Known, type Progress, progressOf, type Seen } from './progress.ts';
import { type CellAddition, type CellBegun, type CellReading, heldAt, replay } from './replay.ts';

/** A running cell, with everything that was read and put in, at a moment. */
export interface WatchAsked extends CellBegun {
  readonly makes: SubstanceId;
  readonly productSide: 'a' | 'k';
  /** For each mol of what is made. */
  readonly electrons: number;
  readonly wantedMol: Known;
  /** %, of all the charge, by the plan. */
  readonly efficiency: Known;
  /** ms. */
  readonly from: number;
  readonly now: number;
  readonly readings: readonly CellReading[];
  /** A·h by a meter, the last that was read. */
  readonly meter: (Passed & { readonly at: number }) | null;
  readonly seen: readonly { readonly at: number; readonly how: string; readonly mol: Known }[];
  readonly additions: readonly CellAddition[];
  /** What if it is held at so many A? */
  readonly ifAmps: number | null;
  readonly pressureHPa: number;
  readonly ceilingC: number;
  /** mL that were read on either side, now. */
  readonly levels?: { readonly a?: number; readonly k?: number };
}

export interface Watch extends Change {
  readonly passed: Passed | null;
  readonly progress: Progress | null;
  readonly efficiency: Efficiency;
  readonly amps: number | null;
  readonly volts: number | null;
  readonly tempC: number;
  readonly state: CellState;
  readonly point: CellPoint;
  /** mol/L by name on either side, and g of what lies there. */
  readonly sides: readonly SideSeen[];
  /** g of a dissolving anode under the liquid: left, at first; null for others. */
  readonly anodeG: {
    readonly left: number;
    readonly was: number /** ms; null where it lasts. */;
    readonly partsAt: number | null;
  } | null;
  readonly drops: readonly [was: Drops, is: Drops] | null;
  /** V across the divider, what is left over of the volts that were read; null where nothing divides. */
  readonly wallV: number | null;
  readonly leftAlone: Future | null;
  readonly toppedUp: Future | null;
  readonly ifHeld: Future | null;
  readonly topUp: TopUp | null;
  readonly heatW: number;
  /** L of hydrogen in an hour, so far, and to come. */
  readonly hydrogen: { readonly perHour: number; readonly soFar: number; readonly toCome: number };
  /** When to look again, ms, and why. */
  readonly look: { readonly at: number; readonly because: string };
  /** A that flowed at most: the supply’s limit, as far as it showed. */
  readonly limitA: number | null;
}

export interface SideSeen {
  readonly side: 'anode' | 'cathode';
  readonly ml: number;
  readonly pH: number;
  readonly dissolved: readonly { readonly id: SubstanceId; readonly molPerL: number; readonly grams: number }[];
  readonly solid: readonly { readonly id: SubstanceId; readonly grams: number }[];
}

const HOUR = 3_600_000;
/** How a look that says “enough” is named among what was seen. */
export const BY_EYE = 'by eye';
/** A current keeps to what it is within so much, as a share, till the end. */
const DRIFT = 0.12;

/** Puts what was read on the model of a cell: how it stands, how long it still takes, and why it changed. */
export function watchCell(asked: WatchAsked): Watch {
  const { readings, now, from, setup, electrons } = asked;
  const reads = currentsOf(asked);
  const passed = passedBy(asked, now);
  const { state, stood } = replay(asked, { readings: reads, additions: asked.additions }, { from, to: now });
  const last = reads.at(-1);
  const amps = last?.amps ?? null;
  const volts = lastRead(readings, 'volts');
  const tempC = lastRead(readings, 'tempC') ?? state.tempC;
  state.tempC = tempC;
  const seen = seenOf(asked);
  const efficiency = efficiencyFrom(asked.efficiency, seen, electrons);
  const found =
    passed &&
    progressOf({ wantedMol: asked.wantedMol, electrons, passed, efficiency, seen, amps: amps ?? 0, drift: DRIFT });
  // Whether both agree is judged by what was believed before anything was seen.
  const progress = found && { ...found, agree: seen.length > 0 ? efficiency.agrees : null };
  const held = heldAt(setup, amps ?? 0);
  state.setVolts = held.gear.supply.volts;
  state.setAmps = held.gear.supply.amps;
  const rates = takeStock(held, state);
  const point = pointOf(state, rates);
  const wallV = wallOf(asked, { drops: rates.drops, volts });
  const limitA = reads.length > 0 ? Math.max(...reads.map(({ amps: each = 0 }) => each)) : null;
  const ahead = {
    asked,
    state,
    volts,
    limitA,
    neededAh: progress?.neededAh ?? null,
    wallV,
    wallModel: rates.drops.wall,
  };
  const topUp = topUpOf(asked, state);
  const leftAlone = futureOf(ahead, null, null);
  const toppedUp = topUp ? futureOf(ahead, topUp, null) : null;
  const ifHeld = asked.ifAmps === null ? null : futureOf(ahead, null, asked.ifAmps);
  const litre = molarVolume(setup.airC, asked.pressureHPa);
  const h2 = state.gas[at.H2];
  const perHour = (amps ?? 0) > 0 ? (((amps ?? 0) * 3600) / (2 * FARADAY)) * litre * (rates.cathodic.hydrogen ?? 0) : 0;
  const hoursLeft = leftAlone?.doneAt ? (leftAlone.doneAt - now) / HOUR : 0;
  const anodeG = anodeOf(asked, state, {
    amps: amps ?? 0,
    leftAh: progress && passed ? progress.neededAh.value - passed.ampHours : null,
  });
  return {
    passed,
    progress,
    efficiency,
    amps,
    volts,
    tempC,
    state,
    point,
    sides: sidesOf(asked, state, point),
    anodeG,
    drops: stood[0] ? [wasOf(stood, reads)?.drops ?? stood[0].drops, rates.drops] : null,
    wallV,
    ...changeOf(asked, { reads, stood, state, drops: rates.drops }),
    leftAlone,
    toppedUp,
    ifHeld,
    topUp,
    heatW: amps !== null && volts !== null ? amps * volts : 0,
    hydrogen: { perHour, soFar: h2 * litre, toCome: perHour * hoursLeft },
    look: lookOf(asked, { leftAlone, topUp, anodeG, state, hasAmps: amps !== null }),
    limitA,
  };
}

const currentsOf = ({ readings }: WatchAsked): readonly CellReading[] =>
  readings.filter(({ amps }) => amps !== undefined).sort((a, b) => a.at - b.at);

/** Charge from the start to a moment: by the meter where it was read within an hour of it, or by the currents. */
function passedBy(asked: WatchAsked, to: number): Passed | null {
  const { meter, from } = asked;
  if (meter && Math.abs(meter.at - to) <= HOUR) return meter;
  const currents = currentsOf(asked).map(({ at: when, amps = 0, ampsSd = 0.01 * amps }) => ({
    at: when,
    amps,
    sd: ampsSd,
  }));
  return chargeFrom(currents, from, to);
}

/** What was seen, each with the charge of then. */
function seenOf(asked: WatchAsked): readonly Seen[] {
  return asked.seen.flatMap(({ at: when, how, mol }) => {
    const passed = passedBy(asked, when);
    return passed ? [{ how, mol, passed }] : [];
  });
}

/** sd of a figure that nothing was known of before. */
const UNKNOWN_SD = 1e6;

/** Current efficiency, %, by what was measured of this cell alone: strengths and weights, no looks; null where nothing was. */
export function efficiencyShown(asked: WatchAsked): Known | null {
  const measured = seenOf({ ...asked, seen: asked.seen.filter(({ how }) => how !== BY_EYE) });
  const found = efficiencyFrom({ value: 0, sd: UNKNOWN_SD }, measured, asked.electrons);
  return found.from === 'this cell' ? { value: found.value, sd: found.sd } : null;
}

/** Read by a probe, or what is left over of the volts when everything else has had its own. */
function wallOf(
  { setup, readings }: WatchAsked,
  { drops, volts }: { drops: Drops; volts: number | null },
): number | null {
  if (!isDivided(setup)) return null;
  const read = lastRead(readings, 'wallV');
  if (read !== null) return read;
  if (volts === null) return null;
  return Math.max(0, volts - (drops.anode + drops.anolyte + drops.catholyte + drops.cathode + drops.leads));
}

/** What stands on either side of a cell, by name. */
export function sidesOf(
  { setup }: { readonly setup: CellBegun['setup'] },
  state: CellState,
  point: CellPoint,
): readonly SideSeen[] {
  const divided = isDivided(setup);
  return (divided ? (['anode', 'cathode'] as const) : (['anode'] as const)).map((side) => {
    const n = side === 'anode' ? state.a : state.k;
    const named = namedOf(n);
    const ml = volumeMl(n);
    return {
      side,
      ml,
      pH: side === 'anode' ? point.pHa : point.pHk,
      dissolved: (named?.dissolved ?? [])
        .filter(([, mol]) => (1000 * mol) / ml > 5e-4)
        .map(([id, mol]) => ({ id, molPerL: (1000 * mol) / ml, grams: mol * molarMass(substanceOf(id).formula) })),
      solid: (named?.solid ?? [])
        .map(([id, mol]) => ({ id, grams: mol * molarMass(substanceOf(id).formula) }))
        .filter(({ grams }) => grams > 0.02),
    };
  });
}

/** A strap parts at the liquid line when so much of it has gone. */
const PARTS = 0.8;

function anodeOf(
  { setup, anodeMol, now }: WatchAsked,
  state: CellState,
  { amps, leftAh }: { amps: number; leftAh: number | null },
): Watch['anodeG'] {
  const metal = dissolves(setup.anode);
  if (!metal || anodeMol === null) return null;
  const M = metalMass(metal);
  const toGo = PARTS * anodeMol - state.wornMol;
  const perMs = amps / (2 * FARADAY) / 1000;
  const lasts = leftAh !== null && toGo > (3600 * leftAh) / (2 * FARADAY);
  return {
    left: Math.max(0, anodeMol - state.wornMol) * M,
    was: anodeMol * M,
    partsAt: amps > 0 && !lasts ? now + Math.max(0, toGo) / perMs : null,
  };
}

/** Never longer without a look, h; and a look comes before what is foreseen by this share. */
const MOST_LOOK_H = 10;
const BEFORE = 0.8;

function lookOf(
  { now, ceilingC, setup }: WatchAsked,
  found: Pick<Watch, 'leftAlone' | 'topUp' | 'anodeG' | 'state'> & { readonly hasAmps: boolean },
): Watch['look'] {
  if (!found.hasAmps) return { at: now, because: 'nothing was read yet: volts, amps and temperature' };
  const after = (when: number) => now + BEFORE * Math.max(0, when - now);
  const choices: { at: number; because: string }[] = [
    { at: now + MOST_LOOK_H * HOUR, because: 'a cell is not left longer than that' },
  ];
  const { leftAlone, topUp, anodeG, state } = found;
  if (leftAlone?.doneAt)
    choices.push({ at: leftAlone.earliest ?? leftAlone.doneAt, because: 'it may be done by then' });
  if (topUp) choices.push({ at: after(topUp.by), because: `salt runs short on the ${topUp.side} side` });
  if (anodeG?.partsAt) choices.push({ at: after(anodeG.partsAt), because: 'the anode parts at the liquid line' });
  const hot = leftAlone?.points.find(({ tempC }) => tempC > ceilingC);
  if (hot) choices.push({ at: after(hot.at), because: `it comes to ${ceilingC} °C` });
  if (state.dividerUsed > 0.5) choices.push({ at: now + 2 * HOUR, because: 'the divider is near its end' });
  if (anodeParted(setup, state)) choices.push({ at: now, because: 'the anode is eaten through' });
  return choices.reduce((a, b) => (b.at < a.at ? b : a));
}
