import { sdOf } from '#base/figure';
import { formatFigure, formatNumber } from '#base/units';
import type { BatchAnswer, BatchSummary } from '#contract/api';
import { shownByRun } from '#run/outcome';
import { planTitle } from '#run/plan';
import { type RunState, runState } from '#run/state';

/** Raise when a model change makes stored summaries stale: they are then folded again. */
export const SUMMARY_MODEL = 6;

/** One line of the batch list, from plan and events. */
export function summarise(batch: BatchAnswer): BatchSummary {
  const { id, number, version, plan, createdAt } = batch;
  const base = {
    id,
    number,
    version,
    createdAt,
    title: planTitle(plan),
    routeId: plan.route.id,
    weighs: plan.route.steps.some(({ op }) => op.do === 'dry'),
    colours: coloursOf(batch),
  };
  const folded = runState(plan, batch.events, 'as they are');
  if (!folded.ok) {
    return {
      ...base,
      status: 'planned',
      startedAt: null,
      finishedAt: null,
      yieldPct: null,
      got: '',
      bottles: [],
      vessel: null,
      residue: [],
      lesson: folded.problem.message,
      shows: { lossPct: null, boilGPerH: null, cellPct: null },
    };
  }
  const state = folded.value;
  return {
    ...base,
    status: state.status,
    startedAt: state.startedAt,
    finishedAt: state.finishedAt,
    yieldPct: state.yield && { value: state.yield.yieldPct.value, band: 2 * sdOf(state.yield.yieldPct) },
    got: gotText(state),
    bottles: state.bottles,
    vessel: state.sheet.vessel?.vessel.name ?? null,
    residue: residueOf(state),
    lesson: state.abandonedFor ?? '',
    shows: showsOf(batch, state),
  };
}

function showsOf({ plan, events }: BatchAnswer, state: RunState): BatchSummary['shows'] {
  const { routeId: _, ...shows } = shownByRun(plan, state, events);
  return shows;
}

/** What counts most in a reused vessel: a few things, the most of it first. */
const MOST_RESIDUE = 6;

function residueOf({ sheet }: RunState): BatchSummary['residue'] {
  return (sheet.now?.present ?? [])
    .filter(({ substanceId }) => substanceId !== 'water')
    .toSorted((a, b) => b.pct - a.pct)
    .slice(0, MOST_RESIDUE);
}

function gotText(state: RunState): string {
  const { 'product.pct': pct, 'product.all': all } = state.sheet.figures;
  if (state.yield && pct && all)
    return `${formatFigure(all.value, sdOf(all))} g, ${formatFigure(pct.value, sdOf(pct))} %`;
  if (state.yield) return `${formatFigure(state.yield.mass.value, sdOf(state.yield.mass))} g`;
  const { made } = state.sheet;
  if (!made || state.status !== 'done') return '';
  return `${formatNumber(made.volume.value, 4)} mL, ${formatFigure(made.strength.value, sdOf(made.strength))} mol/L`;
}

function coloursOf({ events }: BatchAnswer): BatchSummary['colours'] {
  return events.flatMap(({ body }) =>
    body.kind === 'photographed' && body.colour ? [{ step: body.step, hex: body.colour }] : [],
  );
}
