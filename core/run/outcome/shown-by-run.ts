import type { RunShows } from '#matter/account';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { cellEfficiency, type RunState } from '#run/state';

/** Hours of a boil-down that are believed: less was a slip of the finger, more was a night. */
const HOURS = [0.15, 12] as const;
/** % that losses in filtering can be. */
const LOSSES = [-10, 80] as const;

/** % that a current efficiency can be; a copper anode that air eats besides comes past a hundred. */
const EFFICIENCIES = [5, 105] as const;

/** What a finished run tells of losses in filtering, of the pace of the hot plate, of its cell. */
export function shownByRun(plan: Plan, state: RunState, events: readonly RunEvent[]): RunShows {
  const { route } = plan;
  if (state.status !== 'done') return { routeId: route.id, lossPct: null, boilGPerH: null, cellPct: null };
  return {
    routeId: route.id,
    lossPct: lossOf(route, state),
    boilGPerH: paceOf(state),
    cellPct: cellOf(plan, state, events),
  };
}

function cellOf(plan: Plan, { steps, finishedAt }: RunState, events: readonly RunEvent[]): number | null {
  const cells = steps.filter(({ technique, status }) => technique === 'electrolyse' && status === 'done');
  const [only, ...others] = cells;
  if (!only || others.length > 0 || !finishedAt) return null;
  const found = cellEfficiency(plan, events, { step: only.key, now: only.finishedAt ?? finishedAt });
  return found === null ? null : within(found, EFFICIENCIES);
}

/** A dry mass, weighed to constancy, beside what crystallised by the sheet. */
function lossOf({ handling, makes }: Plan['route'], { weighing, yield: account, sheet }: RunState): number | null {
  const crystals = sheet.figures['crystals.mass'];
  if (makes.kind !== 'solid' || !handling || !weighing.constant || !account || !crystals || account.over === 'clearly')
    return null;
  const held = crystals.value - (handling.holdG ?? 0);
  if (!(held > 0)) return null;
  return within(100 * (1 - account.mass.value / held), LOSSES);
}

function paceOf({ steps, sheet }: RunState): number | null {
  const boils = steps.filter(({ technique, status }) => technique === 'boil-down' && status === 'done');
  const [only, ...others] = boils;
  const away = sheet.figures['boil.away'];
  if (!only || others.length > 0 || !away || !only.startedAt || !only.finishedAt) return null;
  const hours = within((Date.parse(only.finishedAt) - Date.parse(only.startedAt)) / 3_600_000, HOURS);
  return hours === null ? null : away.value / hours;
}

function within(value: number, [low, high]: readonly [number, number]): number | null {
  return value >= low && value <= high ? value : null;
}
