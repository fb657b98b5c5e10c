import { cutPhrase, NUMBER, type Phrase, pointAt, readStuff, type Stuff, typedNumber } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, type Figure, given } from '#base/figure';
import { itemAt, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { hasDensity } from '#matter/solution';
import { formulaText } from '#matter/substance';
import { holding, molesOf } from './amount.ts';
import { type Basicity, basicityOf } from './basicity.ts';

const EXCESS = new RegExp(String.raw`[,\s]+(?:with\s+)?(${NUMBER})\s*%\s*(?:in\s+)?excess\s*$`, 'i');
const WITH = 'Write neutralise 9 g 88% KOH with 35% HNO3.';
const NEEDS = 'Write 14 g Cu2(OH)2CO3 needs 7% acetic acid, 6% excess.';

/** “neutralise 9 g 88% KOH with 35% HNO3”: how much of the second, to the equivalence point. */
export function neutraliseVerb(rest: string, line: string): Result<Found> {
  const parts = /^(.+?)\s+(?:with|by|using)\s+(.+)$/is.exec(rest.trim());
  return parts
    ? counterpart(itemAt(parts, 1), itemAt(parts, 2), line)
    : fail('missing-part', WITH, { at: pointAt(line, rest) });
}

/** “14 g Cu2(OH)2CO3 needs 7% acetic acid, 6% excess”; undefined where the line does not say “needs”. */
export function needsVerb(line: string): Result<Found> | undefined {
  const parts = /^(|.*?\s)needs?\b(.*)$/is.exec(line);
  if (!parts) return undefined;
  if (itemAt(parts, 1).trim() === '' || itemAt(parts, 2).trim() === '')
    return fail('missing-part', NEEDS, { at: [line.length, line.length] });
  return counterpart(itemAt(parts, 1), itemAt(parts, 2).trim(), line);
}

function counterpart(have: string, want: string, line: string): Result<Found> {
  const excess = EXCESS.exec(want);
  const percent = excess ? typedNumber(itemAt(excess, 1), line) : ok(0);
  if (!percent.ok) return percent;
  if (percent.value < 0)
    return fail('out-of-range', 'An excess is 0 % or more.', { at: pointAt(line, must(excess, 'excess')[0]) });
  const phrase = cutPhrase(excess ? want.slice(0, excess.index) : want);
  if (!phrase.ok) return phrase;
  const [a, b] = [readStuff(have, line), readStuff(phrase.value.body, line)];
  if (!a.ok) return a;
  if (!b.ok) return b;
  if (!a.value.amount)
    return fail('missing-part', `How much ${a.value.substance.name}? Put an amount before it, such as 9 g.`, {
      at: pointAt(line, have),
    });
  const from = sideOf(a.value, have, line);
  const to = sideOf(b.value, want, line);
  if (!from.ok) return from;
  if (!to.ok) return to;
  if (from.value.is === to.value.is)
    return fail('out-of-range', `Both are ${to.value.is}s; an acid is neutralised by a base, and a base by an acid.`, {
      at: pointAt(line, want),
    });
  return amounts({ from: from.value, to: to.value, excess: percent.value, phrase: { ...phrase.value, text: line } });
}

interface Side extends Basicity {
  readonly stuff: Stuff;
}

/** How many protons it gives or takes; refuses what is neither acid nor base. */
function sideOf(stuff: Stuff, typed: string, line: string): Result<Side> {
  const basicity = basicityOf(stuff.substance.formula);
  if (basicity) return ok({ ...basicity, stuff });
  return fail(
    'out-of-range',
    `How many protons ${stuff.substance.name} gives or takes is not held; this sum is for acids with hydroxides, oxides, carbonates and ammonia.`,
    { at: pointAt(line, typed) },
  );
}

interface Neutralising {
  readonly from: Side;
  readonly to: Side;
  /** % over the equivalent. */
  readonly excess: number;
  readonly phrase: Phrase;
}

function amounts({ from, to, excess, phrase }: Neutralising): Result<Found> {
  const [a, b] = [from.stuff, to.stuff];
  const n = molesOf(a, phrase);
  if (!n.ok) return n;
  const inputs = {
    n: n.value,
    z: given({ symbol: 'z', name: `protons, ${formulaText(a.substance.formula)}`, unit: '' }, from.protons, 'counted'),
    y: given({ symbol: 'y', name: `protons, ${formulaText(b.substance.formula)}`, unit: '' }, to.protons, 'counted'),
    e: given({ symbol: 'e', name: 'excess', unit: '%' }, excess, excess === 0 ? 'none, unless said' : 'as typed'),
  };
  const moles = derive(
    { symbol: 'n', name: `${b.substance.name}, amount`, unit: 'mol' },
    'n × z ÷ y × (1 + e ÷ 100)',
    inputs,
    (x) => ((x.n * x.z) / x.y) * (1 + x.e / 100),
  );
  const mass = holding(moles, b, 'mass', phrase);
  if (!mass.ok) return mass;
  const liquid = (b.strength || b.substance.form === 'liquid') && hasDensity(b.substance);
  const volume = liquid ? holding(moles, b, 'volume', phrase) : undefined;
  const figures: Figure[] = [mass.value, ...(volume?.ok ? [volume.value] : []), moles];
  const weak = to.protons > 1 || from.protons > 1 ? 'Counted to the last proton. ' : '';
  return ok({
    figures,
    note: `${weak}${b.strength ? '' : `${b.substance.name} taken as pure. `}Add the last tenth by pH: labels are not assays.`,
    pours: true,
    ...(b.strength?.unit === 'w/w' ? { cautionAbout: { substanceId: b.substance.id, pct: b.strength.value } } : {}),
  });
}
