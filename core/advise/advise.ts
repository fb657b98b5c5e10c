import type { ExtentReport } from '#core/add';
import { ok, type Result } from '#core/problem';
import { applyCorrections, chargeMass, contextOf, type Plan, type RunEvent, sheetOf, stepsOf } from '#core/run';
import { total } from '#core/vessel';
import { type AddAdvice, addAdvice } from './add.ts';
import { type DissolveAdvice, dissolveAdvice } from './dissolve.ts';
import { extentOfStep } from './extent.ts';
import { type FilterAdvice, filterAdvice } from './filter.ts';
import { type FinishAdvice, finishOfStep } from './finish.ts';
import { type StallAdvice, stallOf } from './stall.ts';
import type { TimedRead } from './timed-read.ts';

/** What the readings and portions of one step say at a moment. */
export interface Advice {
  readonly add: AddAdvice | null;
  /** How far the step's reaction has come, by every witness; null without any. */
  readonly extent: ExtentReport | null;
  readonly finish: FinishAdvice | null;
  readonly stall: StallAdvice | null;
  readonly filter: FilterAdvice | null;
  readonly dissolve: DissolveAdvice | null;
}

/** What to do next at a step, and how far it has come. `now` is an ISO instant. Refuses as the sheet does. */
export function advise(plan: Plan, events: readonly RunEvent[], step: string, now: string): Result<Advice> {
  const sheet = sheetOf(plan, events);
  if (!sheet.ok) return sheet;
  const context = contextOf(plan);
  if (!context.ok) return context;
  const live = applyCorrections(events);
  const here = stepsOf(plan, events).find((each) => each.key === step);
  const template = here?.template ?? null;
  const status = here?.status;
  const reads = live.flatMap(({ body, happened }): TimedRead[] =>
    body.kind === 'read' && body.step === step
      ? [{ body, at: Date.parse(happened.at), giveOrTakeMin: happened.giveOrTakeMin }]
      : [],
  );
  const addition = template ? sheet.value.add[template.id] : undefined;
  const charges = live.flatMap(({ body, happened }) =>
    body.kind === 'charged' && body.step === step ? [{ body, at: Date.parse(happened.at) }] : [],
  );
  const portions = charges.flatMap(({ body, at }) => {
    if (body.role !== addition?.role) return [];
    const content = context.value.contents[addition.role];
    const mass = chargeMass(body.reading, addition.name, content, context.value.water, plan.bench);
    return mass ? [{ mass, at }] : [];
  });
  const adds = addition && template?.op.do === 'charge';
  const inFigure = portions.length > 0 ? total('in so far', 'g', ...portions.map(({ mass }) => mass)) : undefined;
  return ok({
    add: adds
      ? addAdvice(sheet.value, plan.bench, addition, portions, reads, Date.parse(now), {
          ceilingC: template.ceilingC,
          outdoors: template.where === 'outdoors',
          bottleId: plan.bottles[addition.role] ?? null,
        })
      : null,
    extent: addition ? extentOfStep(plan, addition, adds ? inFigure : undefined, reads) : null,
    finish: finishOfStep(sheet.value, template?.op.do ?? 'nothing', reads, plan.bench),
    filter: template && status !== 'done' ? filterAdvice(plan, sheet.value, template) : null,
    dissolve: template && status !== 'done' ? dissolveAdvice(plan, sheet.value, template) : null,
    stall: addition && !adds ? stallOf(context.value, sheet.value, step, addition, reads, status === 'done') : null,
  });
}
