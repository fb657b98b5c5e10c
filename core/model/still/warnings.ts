import { doubleAt, lastOf } from '#base/lookup';
import { formatNumber } from '#base/units';
import { volatiles } from '#matter/data';
import { type Azeotrope, azeotropeOf } from './azeotrope.ts';
import { gramsOf } from './charge.ts';
import { type Mixture, massPct } from './mixture.ts';
import type { Run } from './run.ts';
import { beginning, kJToBoil } from './still.ts';

/** What to mind of a run, with its number and when: min since the heat was put on, null for from the start. */
export interface Warning {
  readonly id:
    | 'overfull'
    | 'foam'
    | 'bumping'
    | 'dry'
    | 'condenser'
    | 'return'
    | 'decomposes'
    | 'flammable'
    | 'gas-first'
    | 'azeotrope'
    | 'thermometer'
    | 'no-heat'
    | 'vacuum'
    | 'air-condenser';
  readonly weight: 'stop' | 'caution' | 'note';
  readonly text: string;
  readonly atMin: number | null;
}

type Say = (
  id: Warning['id'],
  weight: Warning['weight'],
  ...what: readonly [text: string, atMin?: number | null]
) => void;

/** A flask that boils is filled so far at most, and less where it foams. */
const FULL = 0.67;
const FOAMY_FULL = 0.4;

/** °C above which what boils is harmed, and how that shows. */
const HARMED: Readonly<Record<string, { readonly tempC: number; readonly why: string }>> = {
  'nitric-acid': { tempC: 122, why: 'nitric acid goes brown there: it falls apart into nitrogen dioxide' },
  'formic-acid': { tempC: 110, why: 'formic acid gives carbon monoxide when it is hotter or meets strong acid' },
  'ethyl-salicylate': { tempC: 240, why: 'the ester darkens: leave the dark residue' },
};
/** With sulfuric acid in the flask the product stops at about 70 %, which boils here. */
const SULFURIC_STOP_C = 165;

export interface Conditions {
  /** What is in the flask foams: soaps and wetting agents of a cleaner. */
  readonly foams?: boolean;
  /** Pressure outside, hPa: less inside is a vacuum. */
  readonly outsideHPa?: number;
  /** °C that the bath does not pass; what boils hotter never does. */
  readonly bathC?: number;
  /** mL of liquid that hang above the flask and could run back at once. */
  readonly heldBackMl?: number;
}

/** What to mind, the gravest first. */
export function warningsOf(run: Run, conditions: Conditions = {}): readonly Warning[] {
  const { setup } = run;
  const { mixture, apparatus } = setup;
  const found: Warning[] = [];
  const say: Say = (id, weight, ...[text, atMin = null]) => found.push({ id, weight, text, atMin });
  const fill = run.chargeMl / apparatus.flaskMl;
  const pct = (share: number) => `${formatNumber(100 * share, 2)} %`;
  const ml = (value: number) => `${formatNumber(value, 3)} mL`;
  const { foams = false } = conditions;
  if (fill > 1) say('overfull', 'stop', `${ml(run.chargeMl)} do not go into a flask of ${ml(apparatus.flaskMl)}.`);
  else if (fill > (foams ? FOAMY_FULL : FULL))
    say(
      'overfull',
      'caution',
      `The flask is ${pct(fill)} full; ${foams ? 'what foams wants at most two fifths' : 'at most two thirds'}: ${ml((foams ? FOAMY_FULL : FULL) * apparatus.flaskMl)}.`,
    );
  if (foams)
    say(
      'foam',
      'caution',
      `At the first boiling it foams: up to ${ml(Math.min(2 * run.chargeMl, apparatus.flaskMl))} of foam. A larger flask and half heat until it has calmed; or let it foam over once, rinse the still and start again: about ${pct(0.04)} of the charge is lost. A drop of silicone oil is harmless here; never an alcohol or an oil beside nitric acid.`,
    );
  if (run.ends === 'no heat') say('no-heat', 'stop', noHeat(run));
  const hottest = Math.max(...run.potC);
  if (conditions.bathC !== undefined && doubleAt(run.potC, 0) > conditions.bathC - 5)
    say(
      'no-heat',
      'stop',
      `It boils at ${formatNumber(doubleAt(run.potC, 0), 3)} °C; a bath of ${formatNumber(conditions.bathC, 3)} °C never gets it there.`,
    );
  say(
    'bumping',
    'note',
    'It boils with a jolt after each stop: fresh boiling stones before every heating, never into hot liquid.',
  );
  const overload = firstWhere(run, (i) => doubleAt(run.loadW, i) > doubleAt(run.dutyW, i));
  if (overload !== null)
    say(
      'condenser',
      'stop',
      `${formatNumber(doubleAt(run.loadW, overload), 2)} W of vapour reach a condenser that takes ${formatNumber(doubleAt(run.dutyW, overload), 2)} W: vapour escapes. Less heat, or more water.`,
      doubleAt(run.minutes, overload),
    );
  if (apparatus.condenser.by === 'air' && Math.max(...run.headC) < 140)
    say(
      'air-condenser',
      'caution',
      `Vapour of ${formatNumber(doubleAt(run.headC, 0), 3)} °C wants water in the jacket; air alone does above about 140 °C.`,
    );
  const high = Math.max(hottest, ...run.headC);
  if (high > apparatus.thermometer.maxC - 2)
    say(
      'thermometer',
      'stop',
      `It gets to ${formatNumber(high, 3)} °C; this thermometer ends at ${formatNumber(apparatus.thermometer.maxC, 3)} °C: take it out before, or it bursts.`,
      doubleAt(
        run.minutes,
        firstWhere(
          run,
          (i) => Math.max(doubleAt(run.headC, i), doubleAt(run.potC, i)) > apparatus.thermometer.maxC - 10,
        ) ?? 0,
      ),
    );
  const harm = HARMED[mixture.first.id] ?? HARMED[mixture.second.id];
  const harmed = harm && firstWhere(run, (i) => doubleAt(run.potC, i) >= harm.tempC);
  if (harm && harmed !== undefined && harmed !== null)
    say('decomposes', 'stop', `The flask passes ${harm.tempC} °C: ${harm.why}.`, doubleAt(run.minutes, harmed));
  const strong =
    setup.charge.staying.sulfuric > 0 ? firstWhere(run, (i) => doubleAt(run.potC, i) >= SULFURIC_STOP_C) : null;
  if (strong !== null)
    say(
      'decomposes',
      'stop',
      `At ${SULFURIC_STOP_C} °C in the flask the sulfuric acid is about 70 %: stop there, by the thermometer. White fumes are far too late.`,
      doubleAt(run.minutes, strong),
    );
  flammable(run, say);
  if (run.ends === 'dry')
    say(
      'dry',
      'caution',
      `The flask runs dry in the end: stop while ${ml(Math.max(0.05 * run.chargeMl, 10))} are left, or the rest bakes on and the glass may crack.`,
      lastOf(run.minutes),
    );
  const gas = lastOf(run.gas1);
  if (gas > 1e-3 * setup.charge.first) say('gas-first', 'caution', gasFirst(run));
  const back = conditions.heldBackMl ?? 0;
  if (back > 0) say('return', 'caution', returning(run, back));
  const { outsideHPa } = conditions;
  if (outsideHPa !== undefined && mixture.pressureHPa < 0.8 * outsideHPa)
    say(
      'vacuum',
      'stop',
      'Under vacuum only round, unscratched, thick glass: no flat bottoms, no jars. Look at it against the light first; a shield before it.',
    );
  const azeotrope = azeotropeOf(mixture);
  if (azeotrope)
    say(
      'azeotrope',
      'note',
      limitOf(mixture, azeotrope, massPct(mixture, setup.charge.first / (setup.charge.first + setup.charge.second))),
    );
  const order = { stop: 0, caution: 1, note: 2 };
  return found.sort((a, b) => order[a.weight] - order[b.weight]);
}

function firstWhere(run: Run, is: (i: number) => boolean): number | null {
  for (let i = 0; i < run.minutes.length; i++) if (is(i)) return i;
  return null;
}

function noHeat({ setup }: Run): string {
  const { heaterW } = setup.apparatus;
  if (heaterW <= 0) return 'Heat 0 W: nothing boils.';
  const kJ = kJToBoil(setup, beginning(setup));
  return `${formatNumber(heaterW, 3)} W do not keep it boiling: the flask loses as much. It takes ${formatNumber(kJ, 2)} kJ only to get there; wrap the head, or heat harder.`;
}

const LIMITS = new Map(volatiles.map((row) => [row.id, row]));
/** mL of gas in a mol at 25 °C, L. */
const MOLAR_L = 24.5;

function flammable(run: Run, say: Say): void {
  const { mixture } = run.setup;
  const parts = [mixture.first, mixture.second].flatMap((each) => {
    const row = LIMITS.get(each.id);
    return row?.flashC !== undefined && row.flashC < 60 && row.lowerLimitPct
      ? [{ each, limit: row.lowerLimitPct }]
      : [];
  });
  const [part] = parts;
  if (!part) return;
  const share = part.each.id === mixture.first.id ? doubleAt(run.pct, 0) : 100 - doubleAt(run.pct, 0);
  // Watery acetic and formic acid do not burn at the neck of a flask.
  if (share < 25) return;
  const grams = 10;
  const litres = ((grams / part.each.M) * MOLAR_L * 100) / part.limit;
  say(
    'flammable',
    'stop',
    `${part.each.name} vapour burns: ${grams} g of it make ${formatNumber(litres, 2)} L of air that can be lit. No flame, no open heater, nothing that sparks; the vent led away, an extinguisher in reach.`,
  );
}

function gasFirst(run: Run): string {
  const { setup } = run;
  const { mixture, charge } = setup;
  const gas = lastOf(run.gas1);
  const litres = gas * MOLAR_L;
  const grams = gas * mixture.first.M;
  const name = mixture.first.id === 'hydrochloric-acid' ? 'hydrogen chloride' : mixture.first.name;
  const azeotrope = azeotropeOf(mixture);
  const below = azeotrope ? Math.floor(azeotrope.pct - 2) : null;
  const all = gramsOf(mixture, charge.first, charge.second);
  const water = below === null ? 0 : (charge.first * mixture.first.M * 100) / below - all;
  const dilute =
    water > 0 ? `Dilute first: ${formatNumber(water, 3)} g of water bring it to ${below} %. Or lead` : 'Lead';
  return `${formatNumber(litres, 2)} L of ${name} (${formatNumber(grams, 2)} g) come over as gas first and do not condense. ${dilute} it over ${formatNumber(4 * grams, 2)} g of cold water, a funnel just touching it, so that nothing is sucked back.`;
}

/** What held-up solvent does when it runs back onto a hot flask. */
function returning(run: Run, backMl: number): string {
  const { mixture, apparatus } = run.setup;
  const hot = Math.max(...run.potC);
  const boils = mixture.boilsAt(1);
  const moles = (backMl * mixture.gPerMl(1)) / mixture.first.M;
  // The sensible heat of the flask over the solvent’s boiling point flashes it off within about half a minute.
  const kJ = moles * mixture.first.boilKJ;
  const watts = (kJ * 1000) / 30;
  const capacity = doubleAt(run.dutyW, 0);
  return `${formatNumber(backMl, 2)} mL of ${mixture.first.name} held above a flask ${formatNumber(Math.max(0, hot - boils), 2)} K hotter than it boils: all back at once it boils off in about half a minute, ${formatNumber(watts, 2)} W against ${formatNumber(capacity, 2)} W of the condenser${apparatus.condenser.by === 'air' ? ', which is air alone' : ''}. Drain it by drops, heat off.`;
}

/** The limit of an azeotrope, from the side that is charged; what lies beyond. */
export function limitOf({ first, second }: Mixture, { pct, tempC, kind }: Azeotrope, chargePct: number): string {
  const at = `${formatNumber(pct, 3)} % at ${formatNumber(tempC, 4)} °C`;
  if (kind === 'minimum')
    return chargePct <= pct
      ? `No still gets ${first.name} past its azeotrope, ${at}: the rest of the ${second.name} goes by a drying agent.`
      : `Stronger than its azeotrope (${at}), it gives that azeotrope first and leaves ${first.name} behind.`;
  const beyond =
    first.id === 'nitric-acid' || first.id === 'hydrochloric-acid'
      ? ' What lies beyond is for a licensed laboratory.'
      : '';
  return chargePct <= pct
    ? `Weaker than its azeotrope (${at}), it gives ${second.name} first; the flask climbs to the azeotrope and stays there.${beyond}`
    : `Stronger than its azeotrope (${at}), it gives the excess of ${first.name} first and falls to the azeotrope.${beyond}`;
}
