import { readingValue } from '#base/reading';
import { hoursText } from '#base/time';
import { formatNumber } from '#base/units';
import type { OwnVessel } from '#matter/gear';
import { type Substance, substanceOf } from '#matter/substance';
import { entriesOf, at as inVessel, liquidVolume, phaseG } from '#matter/vessel';
import { type ClockItem, clockOf } from './clock.ts';
import type { RunState } from './state.ts';
import type { StepState } from './step-state.ts';
import { titleText } from './title.ts';

/** How a batch is drawn: a vessel with liquid, a dish, a filter, a heap that dries, a crucible. */
export type Drawn = 'vessel' | 'dish' | 'filter' | 'heap' | 'crucible';

/** A batch as it stands on the bench: what it is drawn as, what it waits for, how far it is. */
export interface OnBoard {
  readonly batchId: string;
  readonly step: string;
  readonly title: string;
  readonly drawn: Drawn;
  readonly vessel: Pick<OwnVessel, 'name' | 'capacityMl' | 'diameterMm' | 'heightMm'> | null;
  readonly liquidMl: number;
  readonly solidG: number;
  /** The colour of the liquid. */
  readonly tint: Substance['tint'];
  /** The one number that tells how it stands, as read: “82 mL”, “9 °C”, “54.1 g”; empty where nothing was read. */
  readonly reads: string;
  /** What is to be done next, and when; null for any time. */
  readonly act: string;
  readonly at: string | null;
  /** Until when it may take, at the longest; null where that is not said. */
  readonly until: string | null;
  /** May be left meanwhile. */
  readonly alone: boolean;
  /** Minutes it takes of a person. */
  readonly needsMin: number;
  readonly where: StepState['where'];
  /** 0 to 1, null where nothing tells it; and in words. */
  readonly part: number | null;
  readonly far: string;
}

const HOUR_MS = 3_600_000;

/** A running batch on the bench; null for one that is not running. `now` is an ISO instant. */
export function onBoard(
  batchId: string,
  title: string,
  at: { readonly state: RunState; readonly now: string },
): OnBoard | null {
  const { state, now } = at;
  if (state.status !== 'running') return null;
  const [first] = clockOf(batchId, title, state, now);
  const step =
    state.steps.find(({ key }) => key === first?.step) ?? state.steps.find(({ status }) => status !== 'done');
  if (!step) return null;
  const contents = state.sheet.now ? inVessel(state.sheet.now.vessels, 'pot') : undefined;
  const vessel = state.sheet.vessel?.vessel ?? null;
  return {
    batchId,
    step: step.key,
    title,
    drawn: drawnAs(step),
    vessel: vessel && {
      name: vessel.name,
      capacityMl: vessel.capacityMl,
      diameterMm: vessel.diameterMm,
      heightMm: vessel.heightMm,
    },
    liquidMl: contents ? liquidVolume(contents) : 0,
    solidG: contents ? phaseG(contents.solid) : 0,
    tint: contents ? tintIn(contents.aqueous) : 'clear',
    reads: lastReads(state, step),
    ...nextAct(first, step),
    until: untilOf(step),
    alone: step.leave.alone,
    needsMin: step.template?.handsOnMin ?? 5,
    where: step.where,
    ...progressOf(state, step, { now, item: first }),
  };
}

const AS: Partial<Record<StepState['technique'], Drawn>> = {
  evaporate: 'dish',
  crystallise: 'dish',
  'dry-up': 'dish',
  'salt-pair': 'dish',
  filter: 'filter',
  wash: 'filter',
  dry: 'heap',
  fuse: 'crucible',
};

function drawnAs({ technique }: StepState): Drawn {
  return AS[technique] ?? 'vessel';
}

/** The dissolved thing that is coloured, most of it first. */
function tintIn(aqueous: Parameters<typeof entriesOf>[0]): Substance['tint'] {
  const coloured = entriesOf(aqueous).filter(([id, n]) => n.value > 1e-6 && substanceOf(id).tint !== 'clear');
  const [most] = coloured.sort(([, a], [, b]) => b.value - a.value);
  return most ? substanceOf(most[0]).tint : 'clear';
}

const SHOWN = ['volume', 'mass', 'temperature', 'pH'] as const;

/** The newest number that was read at a step. */
function lastReads({ readings }: RunState, { key }: StepState): string {
  const read = readings.findLast(
    ({ body }) => body.step === key && SHOWN.some((each) => each === body.quantity) && readingValue(body.reading),
  );
  const value = read && readingValue(read.body.reading);
  if (!read || !value) return '';
  const number = formatNumber(value.value, 3);
  return read.body.quantity === 'pH' ? `pH ${number}` : `${number} ${value.unit}`;
}

function nextAct(item: ClockItem | undefined, step: StepState): Pick<OnBoard, 'act' | 'at'> {
  const said = item?.act ?? titleText(step);
  return { act: said.charAt(0).toUpperCase() + said.slice(1), at: item?.at ?? null };
}

function untilOf({ template, startedAt }: StepState): string | null {
  const most = template?.waitH[1] ?? 0;
  return startedAt === null || most <= 0 ? null : new Date(Date.parse(startedAt) + most * HOUR_MS).toISOString();
}

/** How far it is: what is in of a dose, what is left to go of a volume, else the time, else the steps. */
function progressOf(
  state: RunState,
  step: StepState,
  { now, item }: { readonly now: string; readonly item: ClockItem | undefined },
): Pick<OnBoard, 'part' | 'far'> {
  const { addition } = step;
  if (addition && step.template?.adding) {
    const inG = addition.actual?.value ?? 0;
    const all = addition.dose.mass.value;
    if (all > 0)
      return { part: Math.min(1, inG / all), far: `${formatNumber(inG, 2)} of about ${formatNumber(all, 2)} g` };
  }
  if (step.technique === 'dry' && state.weighing.changePct !== null)
    return {
      part: state.weighing.constant ? 1 : null,
      far: `${formatNumber(Math.abs(state.weighing.changePct), 2)} % ${state.weighing.changePct < 0 ? 'lost' : 'gained'} between two weighings`,
    };
  const [, most] = step.template?.waitH ?? [0, 0];
  if (step.startedAt !== null && most > 0) {
    const hours = (Date.parse(now) - Date.parse(step.startedAt)) / HOUR_MS;
    return {
      part: Math.min(1, hours / most),
      far: item?.progress ?? `${hoursText(Math.max(0, hours))} of at most ${hoursText(most)}`,
    };
  }
  const done = state.steps.filter(({ status }) => status === 'done' || status === 'skipped').length;
  return { part: done / Math.max(1, state.steps.length), far: `${done} of ${state.steps.length} steps` };
}
