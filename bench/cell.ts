import { unwrap } from '#base/problem';
import { USUAL_CELL } from '#matter/gear';
import { amountsIn, beginning, type CellSetup, letRun, litreOf, USUAL_HYDROXIDE } from '#model/cell';
import { cell, chargeFrom, watchCell } from '#model/electrolysis';
import { median, report } from './report.ts';

// A cell of three days, what readings say of one, and the chart behind a slider.
const HOUR = 3_600_000;
const setup: CellSetup = {
  anode: 'copper',
  cathode: 'stainless steel',
  divider: 'flower pot',
  gear: { ...USUAL_CELL, supply: { kind: 'bench supply', volts: 4.2, amps: 0.42 } },
  airC: 18,
  stirred: false,
  anodeGives: 0.97,
  cathodeGives: 0.95,
  hydroxide: USUAL_HYDROXIDE,
  wall: 1,
};
const part = (by: number) => amountsIn(litreOf({ 'Mg2+': 0.85, 'SO4 2-': 0.85 }).map((mol) => mol * by));
const begun = { setup, anolyte: part(0.35), catholyte: part(0.2), anodeMol: 0.6 };
const run = (hours: number) => () => letRun(setup, beginning(setup, begun), { untilS: 3600 * hours });
/** A meter that writes every second of three days. */
const seconds = Array.from({ length: 72 * 3600 }, (_, i) => ({ at: 1000 * i, amps: 0.4 - i * 1e-7, sd: 0.002 }));
const readings = Array.from({ length: 60 }, (_, i) => ({
  at: i * HOUR,
  amps: 0.42 - 0.001 * i,
  volts: 4.2,
  tempC: 22,
}));
const watched = (ifAmps: number | null) => () =>
  watchCell({
    ...begun,
    makes: 'copper-sulfate',
    productSide: 'a',
    electrons: 2,
    wantedMol: { value: 0.5, sd: 0.01 },
    efficiency: { value: 85, sd: 4 },
    from: 0,
    now: 59 * HOUR,
    readings,
    meter: null,
    seen: [],
    additions: [],
    ifAmps,
    pressureHPa: 1009,
    ceilingC: 50,
  });
const asked = () =>
  unwrap(
    cell({
      anolyte: { ml: 350, parts: [{ substanceId: 'magnesium-sulfate', molPerL: 0.85 }] },
      catholyte: { ml: 200, parts: [{ substanceId: 'magnesium-sulfate', molPerL: 0.85 }] },
      anode: 'copper',
      anodeG: 35,
      cathode: 'stainless steel',
      divider: 'flower pot',
      gear: setup.gear,
      airC: 18,
      stirred: false,
      hours: 60,
      holdA: null,
      topUps: [],
      compare: { ampHours: 18, amps: [0.1, 0.2, 0.4, 0.8, 1.6] },
    }),
  );

const taken = (what: () => unknown) => {
  const start = performance.now();
  what();
  return performance.now() - start;
};
const times = (what: () => unknown, n: number) => median(Array.from({ length: n }, () => taken(what)));
const ms = (value: number) => `${value.toFixed(2)} ms`;
const day3 = run(72);
for (const warm of [day3, watched(null), watched(0.2), asked]) for (let i = 0; i < 3; i++) warm();
const whole = times(day3, 11);
const counted = times(() => chargeFrom(seconds, 0, 72 * HOUR), 7);
report('a cell of 72 h, in strides of a minute', ms(whole), '100 ms');
report('  with a meter’s reading every second of it', ms(whole + counted), '100 ms');
report('  against 36 h', `${(whole / times(run(36), 11)).toFixed(2)} ×`, '2 ×');
report('a running cell with 60 readings, watched', ms(times(watched(null), 9)), '100 ms');
report('  with the slider moved: to the chart', ms(times(watched(0.2), 9)), '100 ms');
report('the plan of a cell, five currents beside it', ms(times(asked, 9)), '100 ms');
