import type { FieldsOf } from '#base/shape';
import { molarVolume } from '#matter/reaction';
import { strengthAfter } from '#matter/stock';
import { molarMass, substanceOf } from '#matter/substance';
import { amountOf, at, liquidVolume } from '#matter/vessel';
import type { AbsorbAnswer, AbsorbInput, GasSetup } from '#model/absorb';
import { settingOf } from '../facts.ts';
import { lastRead, type StepView } from '../view.ts';
import { apparatusFor } from './apparatus.ts';
import { DRIPPED, reagentPerGas } from './dripped.ts';
import type { fields } from './op.ts';
import { answerFor, lyeIn, roomIn, stopShare } from './stream.ts';

type Op = FieldsOf<typeof fields>;

/** What comes over, and what of it is there by what was weighed. Null where nothing is charged yet. */
export interface AbsorbAdvice {
  readonly input: AbsorbInput;
  readonly answer: AbsorbAnswer;
  readonly gas: string;
  readonly makes: string;
  /** g that it is to gain, and has gained by the last weighing; null where nothing was weighed. */
  readonly toGainG: number;
  readonly gainedG: number | null;
  /** Warmth of the absorber as last read, °C, and its pH. */
  readonly warmC: number | null;
  readonly pH: number | null;
  readonly ceilingC: number;
  /** g in the absorber at first. */
  readonly waterG: number;
  /** Reagent that waits to be dripped in, mL, and how much of it was by the last reading; null where none waits. */
  readonly waitsMl: number | null;
  readonly drippedMl: number | null;
  /** Generator, funnel and absorber as they stand, to be tried out or simulated, and mL of reagent a minute for the pace that is set. */
  readonly setup: GasSetup;
  readonly mlPerMin: number;
  /** Where lye is to be spent and no further: how it stands by what was read; null where there is no lye. */
  readonly window: LyeWindow | null;
}

/** How far the lye has come. */
export interface LyeWindow {
  /** g gained from which, and to which, to stop. */
  readonly fromG: number;
  readonly toG: number;
  /** g gained at which nothing of it is left. */
  readonly spentG: number;
  readonly stands: 'before' | 'in' | 'past' | 'spent';
  readonly says: string;
  /** % of the hypochlorite lost in an hour as warm as it is; null where that is not held. */
  readonly lostPctPerH: number | null;
}

export function advice(view: StepView, op: Op): AbsorbAdvice | null {
  const M = molarMass(substanceOf(op.gas).formula);
  const absorber = at(view.vesselsBefore, op.into);
  const ceilingC = settingOf(view.facts, op.ceiling);
  const along = op.along ? settingOf(view.facts, op.along) / 100 : 0;
  const room = roomIn(absorber, op, { ceilingC, along }) ?? Number.POSITIVE_INFINITY;
  // All of the gas: what was weighed of it by now does not make it less.
  const made = (view.figures['absorbed.gas']?.value ?? 0) / molarVolume(20, 1013.25);
  const mol = op.takes ? room * stopShare(op) : Math.min((made * settingOf(view.facts, op.arrives)) / 100, room);
  const waits = op.drips ? at(view.vesselsBefore, op.drips) : null;
  const found = answerFor(absorber, op, {
    mol,
    startC: view.facts.bench.tempC,
    ceilingC,
    along,
    mlPerMin: op.pace ? settingOf(view.facts, op.pace) : null,
    waits: waits && {
      contents: waits,
      mol: amountOf(waits, DRIPPED)?.value ?? 0,
      perGas: reagentPerGas(view.vesselsBefore, op, view.facts) * (100 / settingOf(view.facts, op.arrives)),
    },
  });
  if (!found) return null;
  const gainedG = lastRead(view.readings, 'mass', 0);
  const warmC = lastRead(view.readings, 'temperature', 0);
  const pH = lastRead(view.readings, 'pH', 0);
  const perMol = M + along * molarMass('HCl');
  return {
    ...found,
    gas: substanceOf(op.gas).name,
    makes: substanceOf(op.as).name,
    toGainG: mol * (op.takes ? perMol : M),
    gainedG,
    warmC,
    pH,
    ceilingC,
    waterG: absorber.waterG.value,
    waitsMl: waits ? liquidVolume(waits) : null,
    drippedMl: lastRead(view.readings, 'dripped', 0),
    setup: apparatusFor(view.vesselsBefore, op, view.facts),
    mlPerMin: found.answer.drip?.mlPerMin ?? 0,
    window: windowOf({
      found,
      op,
      gainedG,
      pH,
      spentG: room * perMol,
      warmC: warmC ?? ceilingC,
      lye: lyeIn(absorber, op),
    }),
  };
}

interface Seen {
  readonly found: { readonly answer: AbsorbAnswer };
  readonly op: Op;
  readonly gainedG: number | null;
  readonly pH: number | null;
  readonly spentG: number;
  readonly warmC: number;
  readonly lye: ReturnType<typeof lyeIn>;
}

/** pH of a spent lye: hypochlorite alone stands near 11, with its acid below 10. */
const SPENT_PH = 10.5;

function windowOf({ found, op, gainedG, pH, spentG, warmC, lye }: Seen): LyeWindow | null {
  const stop = found.answer.stop;
  if (!op.takes || !stop || !lye) return null;
  const [from, to] = stop;
  const byPaper = pH !== null && pH < SPENT_PH;
  const stands = standsAt(gainedG ?? 0, { from: from.gainedG, to: to.gainedG, spent: spentG });
  return {
    fromG: from.gainedG,
    toG: to.gainedG,
    spentG,
    stands: byPaper ? 'spent' : stands,
    says: byPaper
      ? 'The paper says that the lye is spent, whatever the balance says: stop, and add lye. What arrives is less than what was made, and acid comes along.'
      : SAYS[stands],
    lostPctPerH: lostPctPerH(found.answer.strengthPct, warmC),
  };
}

function standsAt(g: number, { from, to, spent }: { from: number; to: number; spent: number }): LyeWindow['stands'] {
  if (g >= spent) return 'spent';
  if (g > to) return 'past';
  return g >= from ? 'in' : 'before';
}

const SAYS: Readonly<Record<LyeWindow['stands'], string>> = {
  before: 'Not yet: go on, and slower as the window comes near.',
  in: 'Stop here: shut the tap, lift the tube, and try a test portion.',
  past: 'Past the window: stop now. A little lye is left; no more gas goes in.',
  spent:
    'The lye is spent: stop, and stir in lye at once. Without alkali it loses chlorine, and falls apart within hours.',
};

/** % of a strength that goes in an hour, by the law of ageing in the dark. */
function lostPctPerH(gasPct: number, tempC: number): number | null {
  const pct = (gasPct * molarMass('NaClO')) / molarMass('Cl2');
  const found = strengthAfter(substanceOf('sodium-hypochlorite'), { pct, band: 0 }, 1 / 24, { tempC, light: 'dark' });
  return found && pct > 0 ? 100 * (1 - found.mid / pct) : null;
}
