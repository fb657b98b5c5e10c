import type { RunShows } from '#core/account';
import type { Plan } from '#core/plan';
import type { RunState } from '#core/state';

/** Hours of a boil-down that are believed: less was a slip of the finger, more was a night. */
const HOURS = [0.15, 12] as const;
/** % that losses in filtering can be. */
const LOSSES = [-10, 80] as const;

/** What a finished run tells of losses in filtering and of the pace of the hot plate. */
export function shownByRun({ route }: Plan, state: RunState): RunShows {
  const nothing = { routeId: route.id, lossPct: null, boilGPerH: null };
  if (state.status !== 'done') return nothing;
  return { ...nothing, lossPct: lossOf(route, state), boilGPerH: paceOf(state) };
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
