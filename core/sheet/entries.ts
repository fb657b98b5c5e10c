import type { BodyOf, Live, Quantity, Reading } from '#core/log';
import type { ActualAddition, StepEntries } from '#core/technique';

export type Passed = BodyOf<'poured-off' | 'poured-in' | 'portion-taken'>;

/** What the entries say about amounts, by step. */
export interface Entries {
  readonly at: (step: string) => StepEntries;
  readonly additions: readonly ActualAddition[];
  /** What went to other batches, came from them or was taken as a test portion and did not go back, in order. */
  readonly passed: (step: string) => readonly Passed[];
  /** How many times larger the batch was made; undefined when it was not. */
  readonly enlarged: number | undefined;
}

interface Draft {
  additions: ActualAddition[];
  readings: Partial<Record<Quantity, Reading>>;
  finished: boolean;
  skipped: boolean;
  passed: Passed[];
}

const NOTHING: Draft = { additions: [], readings: {}, finished: false, skipped: false, passed: [] };

export function entriesOf(live: Live): Entries {
  const by = new Map<string, Draft>();
  const here = (step: string): Draft => {
    const known = by.get(step);
    if (known) return known;
    const fresh: Draft = { additions: [], readings: {}, finished: false, skipped: false, passed: [] };
    by.set(step, fresh);
    return fresh;
  };
  const additions: ActualAddition[] = [];
  let enlarged: number | undefined;
  for (const { id, body } of live) {
    switch (body.kind) {
      case 'added': {
        const { kind: _, reason: __, ...rest } = body;
        const addition = { eventId: id, ...rest };
        additions.push(addition);
        const step = here(body.step);
        step.additions.push(addition);
        // What was left before more went in is left no longer.
        delete step.readings.left;
        break;
      }
      case 'read':
        if (body.of === undefined || body.of === 'vessel') here(body.step).readings[body.quantity] = body.reading;
        break;
      case 'portion-taken':
        if (!body.returned) here(body.step).passed.push(body);
        break;
      case 'poured-off':
      case 'poured-in':
        here(body.step).passed.push(body);
        break;
      case 'enlarged':
        enlarged = (enlarged ?? 1) * body.factor;
        break;
      case 'finished':
        here(body.step).finished = true;
        break;
      case 'step-skipped':
        here(body.step).skipped = true;
        break;
      case 'reopened': {
        const step = here(body.step);
        step.finished = false;
        step.skipped = false;
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
  };
}
