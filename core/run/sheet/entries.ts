import { type Quantity, type Reading, readingValue } from '#base/reading';
import type { CurrentRead } from '#model/electrolysis';
import type { BodyOf, Live } from '#run/log';
import type { ActualAddition, StepEntries } from '#run/technique';

export type Passed = BodyOf<'poured-off' | 'poured-in' | 'portion-taken' | 'went-wrong'>;

/** What the entries say about amounts, by step. */
export interface Entries {
  readonly at: (step: string) => StepEntries;
  readonly additions: readonly ActualAddition[];
  /** What went to other batches, came from them or was taken as a test portion and did not go back, in order. */
  readonly passed: (step: string) => readonly Passed[];
  /** How many times larger the batch was made; undefined when it was not. */
  readonly enlarged: number | undefined;
  /** Each step that is ended, in the order of the ends: the last of each. */
  readonly ends: readonly End[];
}

/** When a step was ended, told by what had been entered until then. */
export interface End {
  readonly step: string;
  /** How many entries the run had, this one with them; and how many things had gone in. */
  readonly entries: number;
  readonly before: number;
  readonly enlarged: number | undefined;
}

interface Draft {
  additions: ActualAddition[];
  readings: Partial<Record<Quantity, Reading>>;
  liquor: Partial<Record<Quantity, Reading>>;
  /** ms at which each quantity was last read. */
  readAt: Partial<Record<Quantity, number>>;
  readAfter: Partial<Record<Quantity, number>>;
  since: ActualAddition[];
  early: Quantity[];
  dryMass: boolean;
  wetMass: boolean;
  finished: boolean;
  skipped: boolean;
  currents: CurrentRead[];
  from: number | null;
  to: number | null;
  passed: Passed[];
}

const fresh = (): Draft => ({
  additions: [],
  readings: {},
  liquor: {},
  readAt: {},
  readAfter: {},
  since: [],
  early: [],
  dryMass: false,
  wetMass: false,
  finished: false,
  skipped: false,
  currents: [],
  from: null,
  to: null,
  passed: [],
});

const NOTHING = fresh();

/** A reading this long before a step was ended says how it went, not where it ended; ms. */
const EARLY = 3 * 3_600_000;

export function entriesOf(live: Live): Entries {
  const by = new Map<string, Draft>();
  const here = (step: string): Draft => {
    const known = by.get(step);
    if (known) return known;
    const draft = fresh();
    by.set(step, draft);
    return draft;
  };
  const additions: ActualAddition[] = [];
  const ends = new Map<string, End>();
  let enlarged: number | undefined;
  for (const [i, { id, body, happened }] of live.entries()) {
    switch (body.kind) {
      case 'added': {
        const { kind: _, reason: __, ...rest } = body;
        const addition = { eventId: id, ...rest };
        additions.push(addition);
        here(body.step).additions.push(addition);
        break;
      }
      case 'read':
        keepReading(here(body.step), body, Date.parse(happened.at));
        break;
      case 'portion-taken':
        if (!body.returned) here(body.step).passed.push(body);
        break;
      case 'went-wrong':
        if ((body.share ?? 0) > 0) here(body.step).passed.push(body);
        break;
      case 'poured-off':
      case 'poured-in':
        here(body.step).passed.push(body);
        break;
      case 'enlarged':
        enlarged = (enlarged ?? 1) * body.factor;
        break;
      case 'started':
        here(body.step).from ??= Date.parse(happened.at);
        break;
      case 'finished': {
        const step = here(body.step);
        const at = Date.parse(happened.at);
        step.finished = true;
        ends.delete(body.step);
        ends.set(body.step, { step: body.step, entries: i + 1, before: additions.length, enlarged });
        step.to = at;
        step.early = (Object.keys(step.readAt) as Quantity[]).filter((each) => at - (step.readAt[each] ?? at) > EARLY);
        break;
      }
      case 'step-skipped':
        here(body.step).skipped = true;
        break;
      case 'reopened': {
        const step = here(body.step);
        step.finished = false;
        ends.delete(body.step);
        step.skipped = false;
        step.to = null;
        break;
      }
      default:
    }
  }
  return {
    at: (step) => by.get(step) ?? NOTHING,
    additions,
    passed: (step) => (by.get(step) ?? NOTHING).passed,
    enlarged,
    ends: [...ends.values()],
  };
}

function keepReading(step: Draft, { quantity, reading, of, state }: BodyOf<'read'>, at: number): void {
  if (of === 'liquor') step.liquor[quantity] = reading;
  // At a filter the product is what lies on it.
  if (of !== undefined && of !== 'vessel' && of !== 'product') return;
  step.readings[quantity] = reading;
  if (quantity === 'mass') {
    step.dryMass = state === 'dry';
    step.wetMass = state === 'wet';
  }
  step.readAt[quantity] = at;
  step.readAfter[quantity] = step.additions.length;
  const amps = quantity === 'current' ? readingValue(reading) : undefined;
  if (amps) step.currents.push({ at, amps: amps.value, sd: amps.sd });
}
