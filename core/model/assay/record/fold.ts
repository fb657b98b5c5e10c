import type { AssayBody, AssayEntry } from './entries.ts';

type OfKind<K extends AssayBody['kind']> = Extract<AssayBody, { kind: K }>;

/** One replicate (or blank) as its entries tell it. */
export interface Told {
  readonly key: string;
  readonly blank: boolean;
  readonly state: 'open' | 'sign' | 'past' | 'spoilt';
  /** Left out of the mean by a person. */
  readonly out: boolean;
  /** The last value of each reading, by its name, and the entry it came by. */
  readonly read: Readonly<Record<string, { readonly value: number; readonly entryId: string }>>;
  /** Levels of burette or dropper bottle, and fillings up, in order. */
  readonly levels: readonly (OfKind<'read'> | OfKind<'refilled'>)[];
  readonly probed: readonly { readonly titreMl: number; readonly pH: number }[];
}

export interface ToldAssay {
  readonly replicates: readonly Told[];
  readonly blanks: readonly Told[];
  readonly dilution: { readonly weighG: number; readonly toG: number } | null;
  readonly applied: { readonly said: string; readonly at: string } | null;
  readonly notes: readonly string[];
  /** The last entry that can be taken back. */
  readonly lastId: string | null;
}

interface Growing {
  key: string;
  state: Told['state'];
  out: boolean;
  read: Record<string, { value: number; entryId: string }>;
  levels: (OfKind<'read'> | OfKind<'refilled'>)[];
  probed: { titreMl: number; pH: number }[];
}

export const LEVEL = 'level';

/** What the entries of an assay say, those taken back left out; a reading made again takes the place of the first. */
export function toldBy(entries: readonly AssayEntry[]): ToldAssay {
  const gone = new Set(entries.flatMap(({ body }) => (body.kind === 'withdrawn' ? [body.of] : [])));
  const live = entries.filter(({ id, body }) => !gone.has(id) && body.kind !== 'withdrawn');
  const by = new Map<string, Growing>();
  const of = (key: string): Growing => {
    const known = by.get(key);
    if (known) return known;
    const made: Growing = { key, state: 'open', out: false, read: {}, levels: [], probed: [] };
    by.set(key, made);
    return made;
  };
  let dilution: ToldAssay['dilution'] = null;
  let applied: ToldAssay['applied'] = null;
  const notes: string[] = [];
  for (const { id, happenedAt, body } of live) {
    switch (body.kind) {
      case 'read':
        if (body.name === LEVEL) of(body.replicate).levels.push(body);
        else of(body.replicate).read[body.name] = { value: body.value, entryId: id };
        break;
      case 'refilled':
        of(body.replicate).levels.push(body);
        break;
      case 'probed':
        of(body.replicate).probed.push({ titreMl: body.titre, pH: body.pH });
        break;
      case 'ended':
        of(body.replicate).state = body.as;
        break;
      case 'left-out':
        of(body.replicate).out = body.out;
        break;
      case 'diluted':
        dilution = { weighG: body.weighG, toG: body.toG };
        break;
      case 'noted':
        notes.push(body.text);
        break;
      case 'applied':
        applied = { said: body.said, at: happenedAt };
        break;
      case 'withdrawn':
        break;
    }
  }
  const all = [...by.values()].map((each): Told => ({ ...each, blank: isBlank(each.key) }));
  return {
    replicates: all.filter(({ blank }) => !blank).sort(byKey),
    blanks: all.filter(({ blank }) => blank).sort(byKey),
    dilution,
    applied,
    notes,
    lastId: live.at(-1)?.id ?? null,
  };
}

export function isBlank(key: string): boolean {
  return key.startsWith('b');
}

function byKey(a: Told, b: Told): number {
  return numberOf(a.key) - numberOf(b.key);
}

export function numberOf(key: string): number {
  return Number(key.replace(/\D/g, '')) || 0;
}
