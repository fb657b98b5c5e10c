import { lastOf, must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { asAsked, entering } from '#demo/as-asked';
import { type CellGear, USUAL_CELL } from '#matter/gear';
import { amountsIn } from '#model/cell';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { cellOf, runState } from '#run/state';
import { SimulatedCell } from '#server/instrument/simulated-cell';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

/** What is asked for, by which route, and at which current. */
export const CELL = { target: '45 g of copper sulfate', routeId: 'copper-sulfate-by-cell', amps: 0.42 } as const;

/** A jar, a flower pot, a copper strap, a small supply on the shed’s shelf. */
export const DEMO_CELL: CellGear = { ...USUAL_CELL, supply: { kind: 'bench supply', volts: 4.1, amps: 0.42 } };

/** The pot is a little denser than most. */
const WALL = 1.05;
/** Hours after the current was on at which somebody looked; the night lies between the fourth and the fifth. */
const LOOKS = [0.1, 1, 2.6, 4.6, 14.2, 16.5, 19, 21.6] as const;
/** Since the last look, h. */
const SINCE = 0.4;

/** A copper-anode cell on its second day: filled as the sheet asks, its current read by hand whenever somebody looked. */
export function cellOnSecondDay(plan: Plan, nowMs: number, id: (prefix: string) => string): RunEvent[] {
  const on = nowMs - (lastOf(LOOKS) + SINCE) * HOUR;
  const events = filledEvents(plan, on, id);
  const enter = entering(events, id);
  const { plan: cell } = must(
    unwrap(cellOf(plan, events, { step: 'run', now: new Date(on).toISOString(), shown: [], ifAmps: null })),
    'unwrap',
  );
  const { anolyte, catholyte, anodeMol } = cell;
  const supply = SimulatedCell.begin(
    {
      setup: { ...cell.setup, wall: WALL },
      anolyte: amountsIn(anolyte),
      catholyte: catholyte && amountsIn(catholyte),
      anodeMol,
    },
    { seed: 20_260_314, sampleSeconds: 60 },
  );
  enter({ kind: 'started', step: 'run' }, on);
  let minutes = 0;
  for (const [i, hours] of LOOKS.entries()) {
    const shown = lastOf(supply.advance((60 * hours - minutes) * 60));
    minutes = 60 * hours;
    const at = on + hours * HOUR;
    const looked = [
      ['voltage', Number(shown.volts.toFixed(1)), 'V'],
      ['current', Number(shown.amps.toFixed(3)), 'A'],
      ['temperature', Math.round(shown.tempC), '°C'],
    ] as const;
    for (const [quantity, value, unit] of looked)
      enter({ kind: 'read', step: 'run', quantity, reading: { is: 'exact', value, unit }, place: '' }, at);
    const note = NOTES[i];
    if (note) enter({ kind: 'noted', step: 'run', text: note }, at + MINUTE);
  }
  return events;
}

const NOTES: Readonly<Record<number, string>> = {
  1: 'A blue veil runs down from the strap; fine bubbles in the pot.',
  3: 'Left for the night, lid off, window open a hand.',
  4: 'Jar deep blue, white mud a finger high in the pot. Levels alike.',
  6: 'Current has come down. Strap thinner at the liquid line.',
};

/** Minutes that each step before the current takes. */
const SOAKING = 60;
const FILLING = 6;

/** Both sides filled, the strap hung, everything before the current. */
function filledEvents(plan: Plan, until: number, id: (prefix: string) => string): RunEvent[] {
  const events: RunEvent[] = [];
  const keys = plan.route.steps.map((step) => step.id);
  const before = keys.slice(0, keys.indexOf('run'));
  const minutes = (key: string) => (key === 'pot-ready' ? SOAKING : FILLING);
  const all = before.reduce((sum, key) => sum + minutes(key), 0);
  asAsked({ plan, events, id }, before, { from: until - all * MINUTE, minutes });
  const run = unwrap(runState(plan, events)).steps.find(({ key }) => key === 'run');
  const enter = entering(events, id);
  for (const caution of run?.cautions ?? [])
    if (caution.severity === 'stop') enter({ kind: 'acknowledged', caution: `run:${caution.id}` }, until);
  return events;
}
