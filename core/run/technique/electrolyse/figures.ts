import { derive, type Figure, given } from '#base/figure';
import { molarVolume } from '#matter/reaction';
import { molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { settingOf } from '../facts.ts';
import {
  type Course,
  chargeFigure,
  coefficientOf,
  efficiencyOf,
  electronsFigure,
  FARADAY_FIGURE,
  timesTheModel,
} from './extent.ts';

/** What a cell’s step gives the sheet: charge, hours, what is made, plated, worn and given off. */
export function figuresOf(course: Course, extent: Figure): Record<string, Figure | null> {
  const { op, passage, passed, facts, found, reaction } = course;
  const each = coefficientOf(reaction, op.makes);
  const η = efficiencyOf(course);
  const more = timesTheModel(course);
  const Q =
    passed || op.spare || !(η.value > 0)
      ? chargeFigure(passed ?? { ampHours: (more * passage.coulombs) / 3600, sd: 0 })
      : derive(
          { symbol: 'Q', name: 'charge to pass', unit: 'A·h' },
          '100 × ξ × z × F ÷ (3600 × η)',
          { ξ: extent, z: electronsFigure(op), F: FARADAY_FIGURE, η },
          (x) => (x.ξ * x.z * x.F) / (36 * x.η),
          { source: "Faraday's law", grade: 'B' },
        );
  const M = molarMassFigure(substanceOf(op.makes).formula);
  const plain = (name: string, unit: string, [value, sd = 0.1 * Math.abs(value)]: readonly [number, number?]): Figure =>
    given(
      { symbol: 'x', name, unit },
      { value, uncertainty: { [`cell:${name}`]: { name, effect: sd } } },
      'the cell’s model; about',
    );
  const last = passage.points.at(-1);
  const litre = molarVolume(facts.bench.tempC, facts.bench.pressureHPa);
  const hydrogen = passage.gases.find(({ id }) => id === 'hydrogen')?.mol ?? 0;
  const gained = (id: SubstanceId) => passage.changes.find((each) => each.id === id)?.mol ?? 0;
  // What there is none of is not said to weigh nothing.
  const weighed = (name: string, id: SubstanceId | null, { mol, sd }: { mol: number; sd: number }): Figure | null => {
    if (!id || !(mol > 1e-9)) return null;
    const grams = mol * molarMassFigure(substanceOf(id).formula).value;
    return plain(name, 'g', [grams, sd * grams]);
  };
  return {
    'cell.charge': Q,
    'cell.current': given(
      { symbol: 'I', name: 'current held', unit: 'A' },
      Math.min(settingOf(facts, op.current), found.setup.gear.supply.amps),
      'as planned, as far as the supply gives it',
    ),
    'cell.efficiency': η,
    'cell.hours': plain('time it takes', 'h', [more * passage.hours, 0.15 * more * passage.hours]),
    'cell.made': derive(
      { symbol: 'm', name: `${substanceOf(op.makes).name} made`, unit: 'g' },
      each === 1 ? 'ξ × M' : `${each} × ξ × M`,
      { ξ: extent, M },
      (x) => each * x.ξ * x.M,
    ),
    'cell.volts': plain('volts at the end', 'V', [last?.volts ?? 0]),
    'cell.warm': plain('warmest', '°C', [Math.max(facts.bench.tempC, ...passage.points.map(({ tempC }) => tempC)), 3]),
    'cell.hydrogen':
      hydrogen > 0 && passage.hours > 0
        ? plain('hydrogen in an hour', 'L', [(hydrogen * litre) / passage.hours])
        : null,
    'cell.anode': weighed('metal that the anode gives', found.metal, { mol: passage.wornMol, sd: 0.03 }),
    'cell.metal': weighed('copper on the cathode', 'copper', { mol: gained('copper'), sd: 0.03 }),
    'cell.second': weighed('magnesium hydroxide', 'magnesium-hydroxide', {
      mol: gained('magnesium-hydroxide'),
      sd: 0.1,
    }),
    'cell.water': plain('water that evaporates', 'g', [passage.evaporatedG, 0.4 * passage.evaporatedG]),
  };
}
