import { cutPhrase, isGasFormula, NUMBER, type Phrase, pointAt, readStuff, type Stuff, typedNumber } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, type Figure, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { airLimits } from '#matter/data';
import { gasVolume } from '#matter/reaction';
import { molesOf } from './amount.ts';

const CHANGES = String.raw`(?:[\s,]+(?:with\s+)?(${NUMBER})\s*(?:\/\s*h|air changes?(?: (?:an|per) hour)?|ach))?`;
const LINE = new RegExp(
  String.raw`^(.+?)\s+in\s+(?:a room of\s+)?(${NUMBER})\s*(?:m3|m³|m\^3|cubic met(?:re|er)s?)${CHANGES}$`,
  'i',
);
const RATE = new RegExp(
  String.raw`^(${NUMBER}\s*(?:L|mL|g|mg|mol|mmol))\s*(?:\/|per |an? )\s*(min|minute|h|hour)\b\s*(?:of\s+)?(.+)$`,
  'i',
);
const LIMITS = new Map(airLimits.map((row) => [row.formula, row]));

/**
 * “18 g CO2 in 24 m3”, “5 mL 25% NH3 in 20 m3”, “0.2 L/min Cl2 in 20 m3 3/h”: what part of a room’s air it comes to, when a limit
 * is passed and when the air is clear again; undefined where no room is named. Evenly mixed: near where it comes off it is far more.
 */
export function inRoom(line: string): Result<Found> | undefined {
  const match = LINE.exec(line);
  if (!match) return undefined;
  const rate = RATE.exec(itemAt(match, 1));
  const body = rate ? `${rate[1]} ${rate[3]}` : itemAt(match, 1);
  const phrase = cutPhrase(body);
  if (!phrase.ok) return phrase;
  const stuff = readStuff(phrase.value.body, line);
  if (!stuff.ok) return stuff;
  const room = typedNumber(itemAt(match, 2), line);
  if (!room.ok) return room;
  const at = pointAt(line, itemAt(match, 1));
  if (!(room.value > 0))
    return fail('out-of-range', 'A room has more than 0 m³.', { at: pointAt(line, itemAt(match, 2)) });
  const changes = match[3] === undefined ? ok(null) : typedNumber(match[3], line);
  if (!changes.ok) return changes;
  const { substance, amount } = stuff.value;
  if (!amount) return fail('missing-part', 'How much of it? Write 18 g CO2 in 24 m3.', { at });
  if (!isGasFormula(substance.formula) && !LIMITS.has(limitFormula(substance.formula)))
    return fail(
      'unit-does-not-fit',
      `${substance.name} is no gas here, and nothing is held of its vapour; a room’s air is computed for gases such as CO2, NH3, H2 or Cl2, and for the vapour of common solvents.`,
      { at },
    );
  const litres = litresOf(stuff.value, { ...phrase.value, text: line });
  if (!litres.ok) return litres;
  const Vr = given({ symbol: 'V(room)', name: 'air of the room', unit: 'm³' }, room.value, 'as typed');
  const air: RoomAir = {
    name: substance.name,
    formula: limitFormula(substance.formula),
    Vr,
    changesPerH: changes.value,
  };
  return rate ? coming(litres.value, /^h/i.test(itemAt(rate, 2)) ? 60 : 1, air) : allAtOnce(litres.value, air);
}

interface RoomAir {
  readonly name: string;
  readonly formula: string;
  readonly Vr: Figure;
  /** Changes of air an hour; null where none are said. */
  readonly changesPerH: number | null;
}

/** One formula for each limit, however a name writes it. */
function limitFormula(formula: string): string {
  const SAME: Readonly<Record<string, string>> = {
    '(CH3)2CO': 'CH3COCH3',
    C3H6O: 'CH3COCH3',
    C2H6O: 'C2H5OH',
    C3H8O: 'C3H7OH',
  };
  return SAME[formula] ?? formula;
}

function allAtOnce(litres: Figure, { name, formula, Vr, changesPerH }: RoomAir): Result<Found> {
  const ppm = derive(
    { symbol: 'x', name: `${name} in the air, all of it at once`, unit: 'ppm' },
    'V ÷ V(room) × 1000',
    { V: litres, 'V(room)': Vr },
    (x) => (x.V / x['V(room)']) * 1000,
  );
  const pct = derive({ symbol: 'φ', name: 'of the air', unit: '%' }, 'x ÷ 10⁴', { x: ppm }, (x) => x.x / 1e4);
  return ok({
    figures: [ppm, pct, litres, ...clearing(ppm, { formula, changesPerH })],
    note: verdict(formula, ppm.value),
  });
}

/** A gas that comes evenly, from the first minute on. */
function coming(litres: Figure, minutesEach: number, { name, formula, Vr, changesPerH }: RoomAir): Result<Found> {
  const r = derive(
    { symbol: 'r', name: `${name}, in an hour`, unit: 'L/h' },
    '60 × V ÷ t',
    { V: litres },
    (x) => (60 * x.V) / minutesEach,
  );
  const limit = limitOf(formula);
  const figures: Figure[] = [r];
  const n = given(
    { symbol: 'n', name: 'changes of air an hour', unit: '1/h' },
    changesPerH ?? SHUT,
    changesPerH === null ? 'a shut room, about' : 'as typed',
  );
  const steady = derive(
    { symbol: 'x∞', name: `${name} in the air, where it settles`, unit: 'ppm' },
    'r ÷ (n × V(room)) × 1000',
    { r, n, 'V(room)': Vr },
    (x) => (x.r / (x.n * x['V(room)'])) * 1000,
  );
  figures.unshift(steady);
  if (limit !== null) {
    const c = given({ symbol: 'c', name: 'limit for a quarter of an hour', unit: 'ppm' }, limit, 'NIOSH, ACGIH');
    if (steady.value > limit)
      figures.push(
        derive(
          { symbol: 't', name: 'until the limit is passed, about', unit: 'min' },
          '−60 ÷ n × ln(1 − c ÷ x∞)',
          { n, c, 'x∞': steady },
          (x) => (-60 / x.n) * Math.log(1 - x.c / x['x∞']),
        ),
      );
    figures.push(
      derive(
        { symbol: 'Q', name: 'fresh air that keeps it below the limit', unit: 'm³/h' },
        'r ÷ c × 1000',
        { r, c },
        (x) => (x.r / x.c) * 1000,
      ),
      ...clearing(steady, { formula, changesPerH: n.value }),
    );
  }
  return ok({ figures, note: verdict(formula, steady.value) });
}

/** Changes of air an hour of a room with doors and windows shut, about. */
const SHUT = 0.5;

/** Minutes until what is in the air is below the limit for a quarter of an hour again, once nothing more comes. */
function clearing(ppm: Figure, { formula, changesPerH }: Pick<RoomAir, 'formula' | 'changesPerH'>): readonly Figure[] {
  const limit = limitOf(formula);
  if (limit === null || changesPerH === null || !(changesPerH > 0) || ppm.value <= limit) return [];
  const n = given({ symbol: 'n', name: 'changes of air an hour', unit: '1/h' }, changesPerH, 'as typed');
  const c = given({ symbol: 'c', name: 'limit for a quarter of an hour', unit: 'ppm' }, limit, 'NIOSH, ACGIH');
  return [
    derive(
      { symbol: 't(clear)', name: 'until it is below the limit again, about', unit: 'min' },
      '60 ÷ n × ln(x ÷ c)',
      { x: ppm, n, c },
      (x) => (60 / x.n) * Math.log(x.x / x.c),
    ),
  ];
}

function limitOf(formula: string): number | null {
  const row = LIMITS.get(formula);
  return row ? (row.short ?? row.day) : null;
}

/** Millilitres of a gas are a gas’s; of a solution or a liquid, the liquid’s. */
function litresOf(stuff: Stuff, phrase: Phrase & { readonly text: string }): Result<Figure> {
  const isGas = stuff.strength === undefined && isGasFormula(stuff.substance.formula);
  if (stuff.amount?.dimension === 'volume' && isGas) {
    const V = given({ symbol: 'V', name: 'gas', unit: 'mL' }, stuff.amount.value, 'as typed');
    return ok(derive({ symbol: 'V', name: 'gas', unit: 'L' }, 'V ÷ 1000', { V }, (x) => x.V / 1000));
  }
  const n = molesOf(stuff, phrase);
  return n.ok ? ok(gasVolume(n.value, stuff.substance.name, phrase.tempC, phrase.pressureHPa)) : n;
}

/** What so much of a gas means, by its limits. */
function verdict(formula: string, ppm: number): string {
  const row = LIMITS.get(formula);
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
