import { NUMBER, pointAt } from '#ask/phrase';
import { datum, derive, type Figure, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber, parseQuantity } from '#base/units';
import { admit, mindWarm } from '#matter/guard';
import { waterDensityAt } from '#matter/solution';
import { refusedIn, refusedSentence, spelt, substancesIn } from '#matter/substance';
import type { Found } from './found.ts';

const LINE = new RegExp(
  String.raw`^(${NUMBER}\s*[a-z]+)\s*(?:(?:of\s+)?(?!down\s|to\s)(.+?)\s+)?(?:down\s+)?to\s+(${NUMBER}\s*[a-z]+)$`,
  'i',
);
const WRITE = 'Write evaporate 350 mL to 90 mL.';
const PLATE_W = 300;

/** “evaporate 350 mL to 90 mL”: the water that has to go, the heat that takes, and how long at a plate. */
export function boilOffVerb(rest: string, line: string): Result<Found> {
  const match = LINE.exec(rest.trim());
  if (!match) return fail('missing-part', WRITE, { at: pointAt(line, rest) });
  const allowed = losesWater(match[2], line);
  if (!allowed.ok) return allowed;
  const amountAt = (group: number): Result<number> => {
    const text = itemAt(match, group);
    const read = parseQuantity(text, ['volume', 'mass']);
    return read.ok ? ok(read.value.value) : { ok: false, problem: { ...read.problem, at: pointAt(line, text) } };
  };
  const from = amountAt(1);
  const to = amountAt(3);
  if (!from.ok) return from;
  if (!to.ok) return to;
  if (!(from.value > 0) || !(to.value >= 0) || to.value >= from.value)
    return fail('out-of-range', 'It gets less: the second amount is 0 or more, and below the first.', {
      at: pointAt(line, itemAt(match, 3)),
    });
  const V = given({ symbol: 'V', name: 'at first', unit: 'mL' }, from.value, 'as typed');
  const rho = given({ symbol: 'ρ', name: 'density of water', unit: 'g/mL' }, waterDensityAt(20), 'Kell 1975');
  const W = given({ symbol: 'V₁', name: 'at last', unit: 'mL' }, to.value, 'as typed');
  const water = derive(
    { symbol: 'm', name: 'water that goes', unit: 'g' },
    '(V − V₁) × ρ',
    { V, 'V₁': W, ρ: rho },
    (x) => (x.V - x['V₁']) * x.ρ,
  );
  const L = datum(
    { symbol: 'L', name: 'heat of vaporisation at 100 °C', unit: 'kJ/g' },
    { value: 2.2565, uncertainty: {} },
    { source: 'IAPWS', grade: 'A' },
  );
  const c = datum(
    { symbol: 'c', name: 'warming from 20 to 100 °C', unit: 'kJ/g' },
    { value: 0.335, uncertainty: {} },
    { source: 'IAPWS', grade: 'A' },
  );
  const q: Figure = derive(
    { symbol: 'q', name: 'heat it takes', unit: 'kJ' },
    'V × ρ × c + m × L',
    { V, ρ: rho, c, m: water, L },
    (x) => x.V * x.ρ * x.c + x.m * x.L,
  );
  const P = given(
    { symbol: 'P', name: 'heat into the vessel', unit: 'W' },
    PLATE_W,
    'a small plate, about; half of what it draws is lost',
  );
  const t = derive(
    { symbol: 't', name: `at ${PLATE_W} W into it, about`, unit: 'h' },
    '1000 × q ÷ P ÷ 3600',
    { q, P },
    (x) => (1000 * x.q) / x.P / 3600,
  );
  return ok({
    figures: [water, q, t],
    note: `Counted as water; ${formatNumber(to.value, 3)} mL is read at rest. Stay with it below a third of the first volume.${minded(match[2])}`,
  });
}

/** Whether what is named may lose its water that way; a name that is not known counts as water. */
function losesWater(name: string | undefined, line: string): Result<true> {
  if (name === undefined) return ok(true);
  const at = { at: pointAt(line, name) };
  const refused = refusedIn(name);
  if (refused) return fail('beyond-scope', refusedSentence(refused), at);
  for (const { value } of substancesIn(spelt(name).text)) {
    const allowed = admit({ substanceId: value.id }, 'concentrate');
    if (!allowed.ok) return { ok: false, problem: { ...allowed.problem, ...at } };
  }
  return ok(true);
}

function minded(name: string | undefined): string {
  const said = name === undefined ? [] : substancesIn(spelt(name).text).map(({ value }) => mindWarm(value.species));
  return said.flatMap((each) => (each === '' ? [] : [` ${each}`])).join('');
}
