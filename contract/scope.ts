import { ok, type Result } from '#base/problem';
import { admit } from '#matter/guard';
import { isDescribedId } from '#matter/substance';

/** Verbs that tell what has happened or what stands somewhere, and what to be careful of: of anything, also of what is never planned. */
const TELLS: ReadonlySet<string> = new Set([
  'run',
  'advise',
  'care',
  'bottleLabel',
  'places',
  'clash',
  'shelf',
  'bottle',
  'portion',
  'foretold',
  'surprise',
]);
/** What stands on a shelf or was entered is no request: of what is taken from it, the plan asks. */
const STANDS: ReadonlySet<string> = new Set(['shelf', 'stock', 'events', 'before', 'away']);

/** Substances that somebody described stand in any input by an id that says what they are: each is asked for at this one door. */
export function admitInput(verb: string, input: unknown): Result<true> {
  if (TELLS.has(verb)) return ok(true);
  for (const substanceId of described(input)) {
    const allowed = admit({ substanceId }, 'take');
    if (!allowed.ok) return allowed;
  }
  return ok(true);
}

/** Ids of described substances anywhere in an input, as a value or as a key. */
function* described(input: unknown): Generator<string> {
  if (typeof input === 'string') {
    if (isDescribedId(input)) yield input;
  } else if (typeof input === 'object' && input !== null) {
    for (const [key, value] of Object.entries(input)) {
      if (STANDS.has(key)) continue;
      if (isDescribedId(key)) yield key;
      yield* described(value);
    }
  }
}
