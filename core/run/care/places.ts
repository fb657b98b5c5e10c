import type { Bench } from '#matter/gear';
import { clashesOf, classesOf, keepAwayOf, nameOf, type Present } from '#matter/guard';
import { statementsAt } from '#matter/hazard';
import { contentOf, keepingOf, type ShelfBottle } from '#matter/stock';

/** What stands together: from any other group it stands apart, in a tray of its own. */
export const storageGroups = [
  'acids',
  'bases',
  'bleach and pool chlorine',
  'ammonia',
  'oxidisers',
  'flammables',
  'metals',
  'poisons, locked',
  'the rest',
  'keep away',
] as const;
export type StorageGroup = (typeof storageGroups)[number];

/** A bottle or a thing where it stands. */
export interface Stored {
  readonly id: string;
  readonly name: string;
  readonly group: StorageGroup;
  readonly place: string;
  /** What its cap, its light and its cold ask for, and until when it keeps. */
  readonly asks: readonly string[];
}

/** Two neighbours that may not be. */
export interface Neighbours {
  readonly place: string;
  readonly ids: readonly [string, string];
  readonly severity: 'refuse' | 'danger';
  readonly says: string;
}

export interface Places {
  readonly stored: readonly Stored[];
  /** What stands in one place and should not, the gravest first. */
  readonly apart: readonly Neighbours[];
  /** What no place was given. */
  readonly unplaced: number;
}

/** Something that is only kept away from, and where it is. */
export interface KeptAway {
  readonly id: string;
  readonly place: string;
}

export interface PlacesSetting {
  readonly shelf: readonly ShelfBottle[];
  readonly away: readonly KeptAway[];
  readonly bench: Bench;
  readonly day: string;
}

/** By its classes, the gravest first: bleach is also a base, and stands alone all the same. */
const BY_CLASS: readonly (readonly [StorageGroup, readonly string[]])[] = [
  ['bleach and pool chlorine', ['hypochlorite', 'isocyanurate', 'halamine_other']],
  [
    'oxidisers',
    [
      'peroxide_strong',
      'peroxide_dilute',
      'permanganate',
      'persulfate',
      'halate',
      'chlorate',
      'nitrite',
      'oxidising_metal_oxide',
    ],
  ],
  ['acids', ['acid_nitric', 'acid_strong', 'acid_weak']],
  ['oxidisers', ['nitrate']],
  ['ammonia', ['ammonia_free']],
  ['flammables', ['alcohol', 'ketone', 'ester', 'ether', 'hydrocarbon', 'fuel']],
  ['bases', ['alkali_strong', 'strong_base_salt', 'quicklime']],
  ['metals', ['metal_active', 'metal_powder', 'metal_copper', 'metal_iron', 'metal_tin', 'silver_metal']],
];
const POISON = ['H300', 'H301', 'H310', 'H311', 'H340', 'H350', 'H350i', 'H360D', 'H370'];

export function storageGroupOf({ substanceId, pct }: Present): StorageGroup {
  if (keepAwayOf(substanceId)) return 'keep away';
  const classes = classesOf(substanceId, pct);
  const found = BY_CLASS.find(([, names]) => names.some((each) => classes.has(each)));
  if (found) return found[0];
  const codes = statementsAt({ substanceId, pct });
  return POISON.some((code) => codes.includes(code)) ? 'poisons, locked' : 'the rest';
}

/** Where everything stands, in which group, and what stands beside what it may not. */
export function placesOf({ shelf, away, bench, day }: PlacesSetting): Places {
  const bottles = shelf.filter(({ archived }) => !archived).map((bottle) => storedBottle(bottle, bench, day));
  const things = away.map(({ id, place }) => ({
    stored: {
      id,
      name: nameOf({ substanceId: id }),
      group: 'keep away' as const,
      place,
      asks: [keepAwayOf(id)?.why ?? ''].filter((each) => each !== ''),
    },
    present: { substanceId: id, pct: 100 },
  }));
  const all = [...bottles, ...things];
  const apart = all.flatMap((one, i) => all.slice(0, i).flatMap((other) => between(other, one)));
  return {
    stored: all.map(({ stored }) => stored),
    apart: apart.sort((a, b) => Number(a.severity === 'danger') - Number(b.severity === 'danger')),
    unplaced: all.filter(({ stored }) => stored.place === '').length,
  };
}

interface Standing {
  readonly stored: Stored;
  readonly present: Present;
}

function storedBottle(bottle: ShelfBottle, bench: Bench, day: string): Standing {
  const { id, card } = bottle;
  const content = contentOf(bottle, bench.tempC, day);
  const pct = content.ok ? Math.min(100, content.value.w.value) : 100;
  const present: Present = { substanceId: card.substanceId, pct };
  const place = (card.place ?? '').trim().toLowerCase();
  const asks = content.ok ? asksOf(content.value, card.since) : [];
  const fridge = /fridge|freezer/.test(place) ? ['never in a fridge with food in it'] : [];
  return {
    stored: { id, name: card.name, group: storageGroupOf(present), place, asks: [...asks, ...fridge] },
    present,
  };
}

type Held = Extract<ReturnType<typeof contentOf>, { ok: true }>['value'];

function asksOf({ substance, dissolved, w }: Held, since: string): readonly string[] {
  const rows = keepingOf(substance, { dissolved, pct: w.value });
  const vents = rows.some(({ sentences }) => sentences.includes('A vented cap.'));
  const dark = rows.some(({ sentences }) => sentences.includes('Keep it dark.'));
  const until = keepsUntil(since, rows[0]?.months[1] ?? null);
  return [vents ? 'vented cap' : '', dark ? 'dark' : '', until ? `use by about ${until.slice(0, 7)}` : ''].filter(
    (each) => each !== '',
  );
}

/** ISO day so many months after another; null where no month is held. */
export function keepsUntil(since: string, months: number | null): string | null {
  const from = Date.parse(since);
  if (months === null || Number.isNaN(from)) return null;
  return new Date(from + months * 30.44 * 86_400_000).toISOString().slice(0, 10);
}

/** What a leak of one onto the other would do, where they stand in one place. */
function between(one: Standing, other: Standing): readonly Neighbours[] {
  const { place } = other.stored;
  if (place === '' || one.stored.place !== place) return [];
  const worst = clashesOf([one.present], other.present)[0];
  if (!worst || worst.severity === 'caution') return [];
  return [{ place, ids: [one.stored.id, other.stored.id], severity: worst.severity, says: worst.sentence }];
}
