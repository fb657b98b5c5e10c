import { itemAt } from '#base/lookup';
import { formatNumber } from '#base/units';
import { type Cut, planCut } from './cuts.ts';
import { type Caught, distil } from './run.ts';
import type { Setup } from './still.ts';

/** How a run went, against the best that could be had of the same charge and still. */
export interface Review {
  readonly kept: Measure;
  readonly best: Measure;
  /** The best cut; null where none comes to what was wanted, and none is worth it. */
  readonly cut: Cut | null;
  /** Whole sentences, what cost most first. */
  readonly says: readonly string[];
}

interface Measure {
  readonly pct: number;
  readonly recoveryPct: number;
  readonly hours: number;
}

/** A kept cut that is so near the best, %, is as good. */
const NEAR = 1.5;

/** Reviews a run whose `kept` receiver was to be at least so strong. `minutes` it took in all. */
export function reviewOf(
  setup: Setup,
  { caught, kept, wantedPct, minutes }: { caught: readonly Caught[]; kept: number; wantedPct: number; minutes: number },
): Review {
  const run = distil(setup);
  const plan = planCut(run, { by: 'strength', pct: wantedPct });
  const cut = plan.best ?? plan.strongest;
  const mine = caught[kept];
  const recovery = mine ? (100 * mine.n1) / setup.charge.first : 0;
  const best: Measure = {
    pct: cut?.pct ?? 0,
    recoveryPct: cut?.recoveryPct ?? 0,
    hours: itemAt(run.minutes, Math.max(0, indexAt(run.overMl, cut?.toMl ?? 0))) / 60,
  };
  const own: Measure = { pct: mine?.pct ?? 0, recoveryPct: recovery, hours: minutes / 60 };
  const { name } = setup.mixture.first;
  const n = (value: number, digits = 3) => formatNumber(value, digits);
  const says: string[] = [];
  if (!mine || !(mine.grams > 0)) says.push(`Nothing was caught in receiver ${kept + 1}.`);
  else if (own.pct < wantedPct - 0.05)
    says.push(
      `Receiver ${kept + 1} holds ${n(own.pct)} %; ${n(wantedPct)} % was wanted. It was ${tooWeak(setup, caught, kept)}.`,
    );
  else says.push(`Receiver ${kept + 1} holds ${n(own.pct)} %, as wanted.`);
  if (cut && mine && own.recoveryPct < best.recoveryPct - NEAR)
    says.push(
      `${n(own.recoveryPct)} % of the ${name} is in it; at the best cut, ${n(cut.fromMl)} to ${n(cut.toMl)} mL (${n(cut.fromHeadC, 4)} to ${n(cut.toHeadC, 4)} °C at the head), ${n(best.recoveryPct)} % is: ${n(best.recoveryPct - own.recoveryPct, 2)} % went into the other receivers or stayed in the flask.`,
    );
  else if (mine && own.pct >= wantedPct - 0.05)
    says.push(`${n(own.recoveryPct)} % of the ${name} is in it: as good as the best there is.`);
  const late = own.hours - best.hours;
  says.push(
    late > 0.1 * best.hours
      ? `It took ${n(own.hours, 2)} h; at full heat from the start it is done in ${n(best.hours, 2)} h.`
      : `It took ${n(own.hours, 2)} h: no time was lost.`,
  );
  return { kept: own, best, cut, says };
}

/** Which way a cut was wrong. */
function tooWeak({ mixture }: Setup, caught: readonly Caught[], kept: number): string {
  const before = caught[kept - 1]?.pct;
  const own = caught[kept]?.pct ?? 0;
  // What comes stronger by and by was switched to too early; what comes weaker was left too late.
  const rising = before !== undefined && before < own;
  return rising
    ? 'switched to too early: more of the fore-run should have gone before it'
    : `left too late: the ${mixture.second.name} that comes at the end went into it`;
}

function indexAt(values: Float64Array, value: number): number {
  const i = values.findIndex((each) => each >= value);
  return i < 0 ? values.length - 1 : i;
}
