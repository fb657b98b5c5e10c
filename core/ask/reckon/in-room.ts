import { cutPhrase, isGasFormula, NUMBER, pointAt, readStuff, typedNumber } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, type Figure, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { airLimits } from '#matter/data';
import { gasVolume } from '#matter/reaction';
import { molesOf } from './amount.ts';

const LINE = new RegExp(
  String.raw`^(.+?)\s+in\s+(?:a room of\s+)?(${NUMBER})\s*(?:m3|m³|m\^3|cubic met(?:re|er)s?)$`,
  'i',
);
const VAPOURS: ReadonlySet<string> = new Set(['Br2', 'I2']);

/** “18 g CO2 in 24 m3”: what part of a room’s air it would be, and what that means; undefined where no room is named. */
export function inRoom(line: string): Result<Found> | undefined {
  const match = LINE.exec(line);
  if (!match) return undefined;
  const phrase = cutPhrase(itemAt(match, 1));
  if (!phrase.ok) return phrase;
  const stuff = readStuff(phrase.value.body, line);
  if (!stuff.ok) return stuff;
  const room = typedNumber(itemAt(match, 2), line);
  if (!room.ok) return room;
  if (!(room.value > 0))
    return fail('out-of-range', 'A room has more than 0 m³.', { at: pointAt(line, itemAt(match, 2)) });
  const { substance, amount } = stuff.value;
  if (!amount)
    return fail('missing-part', 'How much of it? Write 18 g CO2 in 24 m3.', { at: pointAt(line, itemAt(match, 1)) });
  if (!isGasFormula(substance.formula) && !VAPOURS.has(substance.formula))
    return fail(
      'unit-does-not-fit',
      `${substance.name} is no gas here; a room’s air is computed for gases such as CO2, NH3, H2 or Cl2.`,
      {
        at: pointAt(line, itemAt(match, 1)),
      },
    );
  const litres = litresOf(stuff.value, { ...phrase.value, text: line });
  if (!litres.ok) return litres;
  const Vr = given({ symbol: 'V(room)', name: 'air of the room', unit: 'm³' }, room.value, 'as typed');
  const ppm = derive(
    { symbol: 'x', name: `${substance.name} in the air, all of it at once`, unit: 'ppm' },
    'V ÷ V(room) × 1000',
    { V: litres.value, 'V(room)': Vr },
    (x) => (x.V / x['V(room)']) * 1000,
  );
  const pct = derive({ symbol: 'φ', name: 'of the air', unit: '%' }, 'x ÷ 10⁴', { x: ppm }, (x) => x.x / 1e4);
  return ok({ figures: [ppm, pct, litres.value], note: verdict(substance.formula, ppm.value) });
}

function litresOf(stuff: Parameters<typeof molesOf>[0], phrase: Parameters<typeof molesOf>[1]): Result<Figure> {
  if (stuff.amount?.dimension === 'volume') {
    const V = given({ symbol: 'V', name: 'gas', unit: 'mL' }, stuff.amount.value, 'as typed');
    return ok(derive({ symbol: 'V', name: 'gas', unit: 'L' }, 'V ÷ 1000', { V }, (x) => x.V / 1000));
  }
  const n = molesOf(stuff, phrase);
  return n.ok ? ok(gasVolume(n.value, stuff.substance.name, phrase.tempC, phrase.pressureHPa)) : n;
}

/** What so much of a gas means, by its limits. */
function verdict(formula: string, ppm: number): string {
  const row = airLimits.find((each) => each.formula === formula);
  if (!row) return 'No limit of it is held here.';
  const said: string[] = [];
  const above = (limit: number | null, what: string) => {
    if (limit !== null) said.push(`${ppm >= limit ? 'above' : 'below'} ${formatNumber(limit, 3)} ppm, ${what}`);
  };
  above(row.kills, 'where it kills');
  above(row.short, 'the most for a quarter of an hour');
  above(row.day, 'the limit for a working day');
  if (row.burnsPct !== null)
    said.push(`${ppm >= row.burnsPct * 2500 ? 'above' : 'below'} ${row.burnsPct / 4} %, a quarter of where it burns`);
  const text = said.join('; ');
  return `${text.charAt(0).toUpperCase()}${text.slice(1)} (NIOSH, ACGIH). Near where it comes off it is far more.`;
}
