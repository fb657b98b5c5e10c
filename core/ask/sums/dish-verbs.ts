import { NUMBER, pointAt, readStuff, readSubstanceName, typedGrams, typedNumber } from '#ask/phrase';
import { datum, type Figure, type Grade, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { admit } from '#matter/guard';
import { dishAt, dryShare, leastWater, SOLUBILITY_SD, solubilityOf } from '#model/dish';
import { washed } from '#model/wash';
import type { Found } from './found.ts';

const TEMP = String.raw`(${NUMBER})\s*°?\s*C(?![a-z])`;
const SOLUBILITY = new RegExp(String.raw`^(.+?)\s+at\s+${TEMP}\s+in\s+(.+?)\s+(?:of\s+)?water$`, 'i');
const CRYSTALS = new RegExp(
  String.raw`^(.+?)\s+in\s+(${NUMBER}\s*[a-z]+)\s+(?:of\s+)?water\s+(?:from\s+)?${TEMP}\s+to\s+${TEMP}$`,
  'i',
);
const DISSOLVE = new RegExp(String.raw`^(.+?)\s+at\s+${TEMP}$`, 'i');
const WASH = new RegExp(
  String.raw`^(${NUMBER})\s*(?:g|ml)\s+(?:retained|held)\s*,?\s+(\d+)\s*[x×]\s*(${NUMBER})\s*ml(?:\s+from\s+(${NUMBER})\s*g/l)?$`,
  'i',
);
const MOST_PORTIONS = 100;

/** “KNO3 at 60 C in 80 g water”: what it dissolves at most. Undefined when the line is no such question. */
export function solubilityVerb(line: string): Result<Found> | undefined {
  const match = SOLUBILITY.exec(line);
  if (!match) return undefined;
  const name = readSubstanceName(itemAt(match, 1).trim(), line);
  if (!name.ok) return name;
  const tempC = typedNumber(itemAt(match, 2), line);
  if (!tempC.ok) return tempC;
  const water = typedGrams(itemAt(match, 3), line);
  if (!water.ok) return water;
  const { substance } = name.value;
  const at = solubilityOf(substance, tempC.value);
  if (!at.ok) return { ok: false, problem: { ...at.problem, at: pointAt(line, itemAt(match, 1)) } };
  const { gPer100gWater, phase, grade, source } = at.value;
  const r = dryShare(substance.formula);
  // The typed solid’s own crystal water dissolves the rest of it: m r = s (W + m (1 − r)) / 100.
  const spread = r - (gPer100gWater * (1 - r)) / 100;
  if (spread <= 0)
    return ok({ figures: [], note: `At ${tempC.value} °C ${substance.name} melts in its own crystal water.` });
  const mass = (gPer100gWater * water.value) / 100 / spread;
  return ok({
    figures: [
      tableFigure(`${substance.name} that dissolves`, mass, 'g', grade, source),
      tableFigure('solubility, dry', gPer100gWater, 'g per 100 g water', grade, source),
    ],
    note: `The solid that is stable there is ${phase}.`,
  });
}

/** “crystals 100 g KNO3 in 80 g water 80 C to 10 C”: what precipitates, and what stays. */
export function crystalsVerb(rest: string, line: string): Result<Found> {
  const match = CRYSTALS.exec(rest.trim());
  if (!match)
    return fail('missing-part', 'Write crystals 100 g KNO3 in 80 g water 80 C to 10 C.', { at: pointAt(line, rest) });
  const stuff = readStuff(itemAt(match, 1), line);
  if (!stuff.ok) return stuff;
  const { substance, amount } = stuff.value;
  if (amount?.dimension !== 'mass')
    return fail('missing-part', 'How many grams? Write crystals 100 g KNO3 in 80 g water 80 C to 10 C.', {
      at: pointAt(line, itemAt(match, 1)),
    });
  const allowed = admit({ substanceId: substance.id }, 'crystallise');
  if (!allowed.ok) return { ok: false, problem: { ...allowed.problem, at: pointAt(line, itemAt(match, 1)) } };
  const water = typedGrams(itemAt(match, 2), line);
  const hot = typedNumber(itemAt(match, 3), line);
  const cold = typedNumber(itemAt(match, 4), line);
  if (!water.ok) return water;
  if (!hot.ok) return hot;
  if (!cold.ok) return cold;
  const r = dryShare(substance.formula);
  const anhydrousG = r * amount.value;
  const waterG = water.value + (1 - r) * amount.value;
  const states = [hot.value, cold.value].map((tempC) => dishAt(substance, anhydrousG, waterG, tempC));
  const [before, after] = states;
  for (const each of states)
    if (!each.ok) return { ok: false, problem: { ...each.problem, at: pointAt(line, itemAt(match, 1)) } };
  if (!before?.ok || !after?.ok) return fail('out-of-range', 'No such dish.');
  const at = solubilityOf(substance, cold.value);
  const grade = at.ok ? at.value.grade : 'C';
  const source = at.ok ? at.value.source : '';
  // What the table's uncertainty moves: a gram more stays dissolved, more than a gram of a hydrate is missing, its water is free.
  const part = dryShare(after.value.phase);
  const spread = part - (after.value.saturation * (1 - part)) / 100;
  const sd = after.value.crystalsG > 0 ? (after.value.dissolvedG * SOLUBILITY_SD[grade]) / Math.max(0.05, spread) : 0;
  const valueWithSd = (name: string, value: number, effect: number) =>
    datum(
      { symbol: 'm', name, unit: 'g' },
      { value, uncertainty: { solubility: { name: 'solubility table', effect: sd * effect } } },
      { source, grade },
    );
  const notes = [
    before.value.crystalsG > 0.005 * amount.value
      ? `At ${hot.value} °C ${before.value.crystalsG.toPrecision(3)} g are not dissolved: more water, or hotter.`
      : '',
    `The crystals are ${after.value.phase}.`,
  ];
  return ok({
    figures: [
      valueWithSd('crystals', after.value.crystalsG, 1),
      valueWithSd('dry substance left in the liquor', after.value.dissolvedG, part),
      valueWithSd('water in the liquor', after.value.liquidWaterG, 1 - part),
    ],
    note: notes.filter((each) => each !== '').join(' '),
  });
}

/** “dissolve 100 g alum at 60 C”: the least water. */
export function dissolveVerb(rest: string, line: string): Result<Found> {
  const match = DISSOLVE.exec(rest.trim());
  const tempC = match ? typedNumber(itemAt(match, 2), line) : undefined;
  if (!match || !tempC) return fail('missing-part', 'Write dissolve 100 g alum at 60 C.', { at: pointAt(line, rest) });
  if (!tempC.ok) return tempC;
  const stuff = readStuff(itemAt(match, 1), line);
  if (!stuff.ok) return stuff;
  const { substance, amount } = stuff.value;
  if (amount?.dimension !== 'mass')
    return fail('missing-part', 'How many grams? Write dissolve 100 g alum at 60 C.', {
      at: pointAt(line, itemAt(match, 1)),
    });
  const water = leastWater(substance, amount.value, tempC.value);
  if (!water.ok) return { ok: false, problem: { ...water.problem, at: pointAt(line, itemAt(match, 1)) } };
  const at = solubilityOf(substance, tempC.value);
  return ok({
    figures: [tableFigure('least water', water.value, 'g', at.ok ? at.value.grade : 'C', at.ok ? at.value.source : '')],
    note: 'A tenth more keeps it from crystallising in the filter.',
  });
}

/** “wash 20 g retained 3 x 50 mL from 5 g/L”: what the portions leave. */
export function washVerb(rest: string, line: string): Result<Found> {
  const match = WASH.exec(rest.trim());
  if (!match)
    return fail('missing-part', 'Write wash 20 g retained 3 x 50 mL from 5 g/L.', { at: pointAt(line, rest) });
  const read = [itemAt(match, 1), itemAt(match, 2), itemAt(match, 3), match[4] ?? '1'].map((each) =>
    typedNumber(each, line),
  );
  for (const each of read) if (!each.ok) return each;
  const [held, count, portion, from] = read.map((each) => (each.ok ? each.value : 0)) as [
    number,
    number,
    number,
    number,
  ];
  if (!(held > 0) || !(portion > 0) || !(from >= 0))
    return fail('out-of-range', 'What is held and each portion are more than 0.', { at: pointAt(line, rest) });
  if (count > MOST_PORTIONS)
    return fail('out-of-range', `At most ${MOST_PORTIONS} portions.`, { at: pointAt(line, itemAt(match, 2)) });
  const left = washed({ retainedMl: held, portionsMl: Array.from({ length: count }, () => portion) });
  const how = `(${held} ÷ (${held} + ${portion}))^${count}, the cake mixing wholly with each portion`;
  const share = given({ symbol: 'q', name: 'left of what was dissolved', unit: '%' }, 100 * left, how);
  const strength = given({ symbol: 'β', name: 'in the liquor held', unit: 'g/L' }, from * left, how);
  return ok({ figures: match[4] ? [strength, share] : [share] });
}

function tableFigure(name: string, value: number, unit: string, grade: Grade, source: string): Figure {
  const uncertainty = { solubility: { name: 'solubility table', effect: Math.abs(value) * SOLUBILITY_SD[grade] } };
  return datum({ symbol: 'm', name, unit }, { value, uncertainty }, { source, grade });
}
