import { type ClockItem, clockOf, type RunState, type StepState, titleText } from '#run/state';
import type { TechniqueName } from '#run/technique';
import { soonOf } from './soon.ts';

/** How a kind of step is made safe before one goes, about how long that takes, and what it costs to go on later. */
interface MadeSafe {
  /** What goes first: a flame, then heat, then gas, then what is still going in, then the rest. */
  readonly rank: number;
  readonly act: string;
  readonly min: number;
  readonly costs: string;
}

const LATER = 'Nothing but the time: it goes on from where it is.';
const HEAT_AGAIN = 'About 15 to 40 min to bring it to heat again.';
const STOP_ADDING: MadeSafe = {
  rank: 4,
  act: 'Add no more. Stir until it is quiet and its temperature no longer rises, note what is in, take it off the heat, cover it loosely.',
  min: 10,
  costs: LATER,
};
const OFF_THE_HEAT: MadeSafe = {
  rank: 2,
  act: 'Heat off, the vessel off the plate onto something dry, a loose cover on it. Stay until it no longer boils.',
  min: 5,
  costs: HEAT_AGAIN,
};
const COVERED: MadeSafe = {
  rank: 6,
  act: 'Cover it, and write on it what is in it and how far it is.',
  min: 2,
  costs: LATER,
};
const FUNNEL: MadeSafe = {
  rank: 5,
  act: 'Let the last of it run through, cover the funnel, stand the filtrate where it cannot tip. A cake that stands wet is rinsed again.',
  min: 5,
  costs: 'About one more rinse.',
};

/** One line for each kind of step: about, and the same for every bench. */
const BY_KIND: Readonly<Record<TechniqueName, MadeSafe>> = {
  fuse: {
    rank: 1,
    act: 'Flame off. Leave the crucible on its triangle until it no longer glows, then cover it. It sets hard: never water on it.',
    min: 10,
    costs: 'The melt has to be melted again, or dissolved out.',
  },
  distil: {
    rank: 2,
    act: 'Heat off, the mantle lowered. The drip stops in about 3 min: stay until it has. Cap the receiver, leave the water on until the flask is lukewarm.',
    min: 10,
    costs: 'About 20 to 40 min to bring it to the boil again, with fresh stones put in cold.',
  },
  esterify: {
    rank: 2,
    act: 'Heat off. The water runs until nothing drips back from the condenser; then the water off; the top stays open.',
    min: 10,
    costs: 'Cold, it goes on so slowly that it stands still; heating up again takes about 20 min.',
  },
  'boil-down': OFF_THE_HEAT,
  'dry-up': OFF_THE_HEAT,
  sublime: {
    rank: 2,
    act: 'Heat off, the cold cover left on with its ice until the dish is cold.',
    min: 10,
    costs: HEAT_AGAIN,
  },
  hold: {
    rank: 2,
    act: 'What heats or cools it off, the vessel onto something dry, a loose cover on it. Stay until nothing in it moves by itself.',
    min: 5,
    costs: 'The time it takes to come to its temperature again.',
  },
  absorb: {
    rank: 3,
    act: 'Shut the tap of the funnel. When the bubbles have stopped, lift the tube out of the liquid, and only then take the heat away: else it sucks back.',
    min: 10,
    costs: 'About 10 min until the gas comes again.',
  },
  react: STOP_ADDING,
  add: STOP_ADDING,
  precipitate: STOP_ADDING,
  oxidise: STOP_ADDING,
  dissolve: STOP_ADDING,
  redissolve: OFF_THE_HEAT,
  electrolyse: {
    rank: 4,
    act: 'Current off at the supply first, then the clips. The lid stays open a little until no gas rises.',
    min: 3,
    costs: 'The hours it would have run.',
  },
  filter: FUNNEL,
  wash: FUNNEL,
  decant: FUNNEL,
  separate: {
    rank: 5,
    act: 'Tap shut, the stopper out so that no pressure can grow, the funnel in its ring over a dish. Both layers may stand.',
    min: 3,
    costs: LATER,
  },
  crystallise: COVERED,
  evaporate: COVERED,
  fall: COVERED,
  'salt-pair': COVERED,
  'salt-out': COVERED,
  dry: COVERED,
  'dry-over': COVERED,
  'make-up': COVERED,
  plain: COVERED,
};

/** A batch that stands on the bench. */
interface Standing {
  readonly id: string;
  readonly title: string;
  readonly state: RunState;
}

export interface ToMakeSafe extends Omit<MadeSafe, 'rank'> {
  readonly batchId: string;
  readonly batch: string;
  readonly step: string;
  readonly title: string;
}

export interface Leaving {
  /** In the order to do them. */
  readonly acts: readonly ToMakeSafe[];
  /** About how long all of it takes, min. */
  readonly min: number;
  /** What goes on by itself meanwhile. */
  readonly goesOn: readonly { readonly batchId: string; readonly text: string }[];
  /** What falls due while nobody is there. */
  readonly due: readonly ClockItem[];
}

export interface BackAt {
  /** ISO instants. */
  readonly now: string;
  readonly back: string;
}

/** What to make safe before leaving, in order, and what waits, ends or is missed until one is back. */
export function leavingFrom(standing: readonly Standing[], { now, back }: BackAt): Leaving {
  const acts: (ToMakeSafe & { readonly rank: number })[] = [];
  const goesOn: { batchId: string; text: string }[] = [];
  const due: ClockItem[] = [];
  for (const { id, title, state } of standing) {
    if (state.status !== 'running') continue;
    for (const step of state.steps) {
      if (step.status !== 'running') continue;
      if (mayStay(step, { now, back })) {
        goesOn.push({ batchId: id, text: `${titleText(step)}, ${title}` });
        continue;
      }
      acts.push({
        batchId: id,
        batch: title,
        step: step.key,
        title: titleText(step),
        ...asHere(safely(step), step, state),
      });
    }
    acts.push(...cannotWait(state, { now, back }).map((each) => ({ batchId: id, batch: title, ...each })));
    due.push(...clockOf(id, title, state, now).filter(({ at }) => at !== null && at <= back));
  }
  const sorted = acts.sort((a, b) => a.rank - b.rank).map(({ rank: _, ...act }) => act);
  return {
    acts: sorted,
    min: sorted.reduce((sum, { min }) => sum + min, 0),
    goesOn,
    due: due.sort((a, b) => (a.at ?? '').localeCompare(b.at ?? '')),
  };
}

/** Steps not begun that should follow what is done sooner than one is back: they are done before one goes. */
function cannotWait({ steps }: RunState, { back }: BackAt): readonly (MadeSafe & Pick<ToMakeSafe, 'step' | 'title'>)[] {
  const by = new Map(steps.map((step) => [step.key, step]));
  return steps.flatMap((step) => {
    const before = by.get(step.needs.at(-1) ?? '');
    const soon = step.status === 'ready' && before?.finishedAt ? soonOf(step, before) : null;
    if (!soon || !before?.finishedAt || Date.parse(back) - Date.parse(before.finishedAt) <= soon.withinMin * 60_000)
      return [];
    return {
      rank: 4,
      step: step.key,
      title: titleText(step),
      act: `Do it before you go: it should follow within ${soon.withinMin < 90 ? `${soon.withinMin} min` : `${soon.withinMin / 60} h`}.`,
      min: step.template?.handsOnMin ?? 5,
      costs: `Left until you are back: ${soon.why}.`,
    };
  });
}

/** Whether a step may stand alone for so long: it may be left, and is not to be looked at twice before one is back. */
function mayStay({ leave: { alone, lookEveryMin } }: StepState, { now, back }: BackAt): boolean {
  const awayMin = (Date.parse(back) - Date.parse(now)) / 60_000;
  return alone && (lookEveryMin === null || awayMin <= 2 * lookEveryMin);
}

function safely({ technique, leave }: StepState): MadeSafe {
  const usual = BY_KIND[technique];
  // A kind that is only covered, and yet must be stayed with, is so for its heat or its gas.
  return !leave.alone && usual.rank > 5 ? { ...STOP_ADDING, rank: 4 } : usual;
}

/** Minutes that a still goes on dripping once its heat is off: about. */
const DRIP_MIN = 3;

/** What is made safe, with what this run knows of it: how much more comes over, how long it took to come to the boil. */
function asHere(usual: MadeSafe, { technique, key }: StepState, { steps, sheet }: RunState): MadeSafe {
  if (technique !== 'distil') return usual;
  const [volume, minutes] = ['distil.volume', 'distil.minutes'].map(
    (name) => sheet.stepNames[key]?.[name]?.figure?.value,
  );
  const more = volume !== undefined && minutes ? Math.round((DRIP_MIN * volume) / minutes) : 0;
  const boil = steps.find(({ template, finishedAt }) => template?.id === 'boil' && finishedAt !== null);
  const took =
    boil?.startedAt && boil.finishedAt ? (Date.parse(boil.finishedAt) - Date.parse(boil.startedAt)) / 60_000 : 0;
  return {
    ...usual,
    act: more > 0 ? usual.act.replace('about 3 min:', `about 3 min, with about ${more} mL more:`) : usual.act,
    costs:
      took >= 5
        ? `About ${Math.round(took)} min to bring it to the boil again, as it took before; fresh stones go in cold.`
        : usual.costs,
  };
}

/** What to look at first on coming back: what went past a limit, what fell due meanwhile, then what nobody saw for longest. */
export function lookFirst(
  standing: readonly Standing[],
  { left, now }: { readonly left: string; readonly now: string },
): readonly (ClockItem & { readonly missed: boolean })[] {
  const rank = (item: ClockItem & { readonly missed: boolean }) => {
    if (item.kind === 'alarm') return 0;
    return item.missed ? 1 : 2;
  };
  return standing
    .filter(({ state }) => state.status === 'running')
    .flatMap(({ id, title, state }) => clockOf(id, title, state, now))
    .map((item) => ({ ...item, missed: item.at !== null && item.at >= left && item.at <= now }))
    .sort((a, b) => rank(a) - rank(b) || (a.at ?? '9').localeCompare(b.at ?? '9'));
}
