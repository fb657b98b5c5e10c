import { Input } from 'antd';
import { useState } from 'react';
import { useParams } from 'react-router';
import { must } from '#base/lookup';
import type { BatchAnswer } from '#contract/api';
import { formulaText } from '#matter/substance';
import { sentenceOf } from '../api/client.ts';
import { useBatch, useKeepPlan } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { Balanced, Equations } from '../own/equations.tsx';
import { Expected } from '../own/expected.tsx';
import { PutStep } from '../own/put-step.tsx';
import { RouteKeeping } from '../own/route-keeping.tsx';
import { StepForm } from '../own/step-form.tsx';
import { StepsLine } from '../own/steps-line.tsx';
import { TakenBottles } from '../own/taken-bottles.tsx';
import { forgetDraft, type OwnDrafting, useOwnDraft } from '../own/use-own-draft.ts';
import { Cautions, uniqueCautions } from '../parts/cautions.tsx';
import { Lessons } from '../parts/lessons.tsx';
import { InMargin } from '../parts/margin.tsx';
import { newOwnRouteId } from '../parts/own-draft.ts';
import { MissingBottle } from '../planning/missing-bottle.tsx';
import { Supposed } from '../planning/supposed.tsx';
import { TakeOrKeep } from '../planning/take-or-keep.tsx';
import { isSupposed } from '../planning/use-supposed.ts';
import '../planning/planning.css';
import '../own/own.css';

/** A batch of one's own: named, its bottles taken, its equation typed, its steps inserted; then taken to the bench like any. */
export function OwnPage() {
  const { batchId } = useParams();
  const batch = useBatch(batchId);
  if (batchId === undefined) return <OwnBatch key="new" kept={null} />;
  if (batch.isPending) return <p className="waiting-block">Loading the plan …</p>;
  if (batch.isLoadingError) return <p className="problem">{sentenceOf(batch.error)}</p>;
  return <OwnBatch key={batchId} kept={batch.data} />;
}

export function OwnBatch({ kept }: { kept: BatchAnswer | null }) {
  const keep = useKeepPlan();
  const own = useOwnDraft(kept);
  const { draft, change, answer, plan, sheet, supposed } = own;
  const [saved, setSaved] = useState('');
  const problems = answer.value?.problems ?? [];
  const supposes = plan !== undefined && Object.values(plan.bottles).some(isSupposed);
  const ready =
    plan !== undefined && !answer.busy && !sheet.busy && sheet.value !== undefined && !sheet.problem && !keep.isPending;
  const send = (then: (batch: BatchAnswer) => void) => {
    if (!plan) return;
    // A free batch has a route of its own from the moment it is kept.
    const route = plan.route.id.startsWith('own-') ? plan.route : { ...plan.route, id: newOwnRouteId() };
    keep.mutate(
      { id: kept?.id ?? null, plan: { ...plan, route }, basedOn: kept?.version ?? 0 },
      {
        onSuccess: (batch) => {
          forgetDraft();
          then(batch);
        },
      },
    );
  };
  return (
    <div className="own">
      <h1 className="sr">A batch of your own</h1>
      <Target own={own} />
      <TakenBottles shelf={own.shelf} taken={draft.bottles} onTake={(bottles) => change({ bottles })} />
      <Equations
        typed={draft.equations}
        answers={answer.value?.equations ?? []}
        notHeld={answer.value?.notHeld ?? []}
        onType={(equations) => change({ equations })}
      />
      <div aria-live="polite">
        {draft.text.trim() === '' && draft.bottles.length === 0
          ? null
          : problems.map((each) => (
              <p key={each.message} className="problem">
                {each.message}
              </p>
            ))}
        {answer.value?.note ? <p className="small">{answer.value.note}</p> : null}
        {sheet.problem ? <p className="problem">{sheet.problem.message}</p> : null}
        {own.problem ? <p className="problem">{own.problem}</p> : null}
      </div>
      {problems.some(({ code }) => code === 'no-bottle') ? (
        <MissingBottle tempC={own.bench?.tempC ?? 20} onSuppose={supposed.suppose} />
      ) : null}
      <Supposed bottles={supposed.bottles} onGone={supposed.forget} />
      {plan && sheet.value && !sheet.problem
        ? plan.route.reactions.map((reaction) => (
            <Balanced key={reaction.id} reaction={reaction} sheet={must(sheet.value, 'sheet')} plan={plan} />
          ))
        : null}
      {plan ? <Steps own={own} plan={plan} /> : null}
      {plan && sheet.value && !sheet.problem ? (
        <>
          <Expected sheet={sheet.value} plan={plan} />
          <div className="plan-acts">
            <TakeOrKeep
              ready={ready && !supposes}
              supposes={supposes}
              kept={kept !== null}
              send={send}
              onKept={() => setSaved('Kept.')}
            />
            <RouteKeeping plan={plan} />
          </div>
          {keep.isError ? <p className="problem">{sentenceOf(keep.error)}</p> : null}
          {saved ? (
            <p className="within" role="status">
              {saved}
            </p>
          ) : null}
          <InMargin>
            <Cautions cautions={uniqueCautions(Object.values(sheet.value.cautions))} />
            <section>
              <h2>Your own batch</h2>
              <p className="small">
                Checked as every route is: what never may meet, caps, gases and heat against this place. What no datum
                is held for is said as not known.
              </p>
            </section>
            <Lessons title="Learnt before" which={(each) => each.routeId === plan.route.id} />
          </InMargin>
        </>
      ) : null}
    </div>
  );
}

/** The name and the amount; of what no record holds, its formula. */
function Target({ own: { draft, change, answer } }: { own: OwnDrafting }) {
  const asks = answer.value?.asksFormulaOf ?? null;
  const made = answer.value?.made;
  const own = made?.id.startsWith('own:') ?? false;
  const [more, setMore] = useState(false);
  return (
    <>
      <div className="target">
        <label htmlFor="own-make">Make</label>
        <input
          id="own-make"
          value={draft.text}
          maxLength={200}
          placeholder="40 g ammonium zinc sulfate"
          autoComplete="off"
          spellCheck={false}
          onChange={(event) => change({ text: event.target.value })}
        />
      </div>
      {own && !more && asks === null ? (
        <p className="small quiet">
          No record holds {made?.name}: it is {formulaText(made?.formula ?? '')} as you write it.{' '}
          <button type="button" className="link" onClick={() => setMore(true)}>
            Say more of it
          </button>
        </p>
      ) : null}
      {asks !== null || more ? (
        <div className="row own-formula">
          <Field
            label={`Formula of ${asks ?? made?.name ?? 'it'}`}
            hint={
              made
                ? 'No record holds it: it is known by what you say.'
                : 'No record holds that name. Its formula, or the equation that makes it.'
            }
            problem={answer.value?.problems.find(({ field }) => field === 'formula')?.message ?? ''}
          >
            {(bound) => (
              <Input
                {...bound}
                className="mono"
                value={draft.formula}
                maxLength={120}
                placeholder={made?.formula ?? '(NH4)2Zn(SO4)2.6H2O'}
                autoComplete="off"
                spellCheck={false}
                onChange={(event) => change({ formula: event.target.value })}
              />
            )}
          </Field>
          <NumberField
            label="Dissolves, g in 100 g of water, if known"
            value={draft.gPer100gWater}
            onChange={(gPer100gWater) => change({ gPer100gWater })}
          />
        </div>
      ) : null}
    </>
  );
}

/** The line of steps, with the one that is being changed, or what can be inserted. */
function Steps({ own, plan }: { own: OwnDrafting; plan: NonNullable<OwnDrafting['plan']> }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [gap, setGap] = useState<{ readonly after: string | null } | null>(null);
  const step = plan.route.steps.find(({ id }) => id === chosen);
  return (
    <section aria-label="Steps of this batch">
      <StepsLine
        plan={plan}
        sheet={own.sheet.value}
        chosen={chosen}
        onChoose={(id) => {
          setGap(null);
          setChosen(id);
        }}
        onInsert={(after) => {
          setChosen(null);
          setGap({ after });
        }}
        onMove={(id, to) => void own.edit({ do: 'move', step: id, to })}
      />
      {gap ? (
        <PutStep
          plan={plan}
          onPut={(kind, of) =>
            void own.edit({ do: 'put', kind, of, after: gap.after }).then((id) => {
              setGap(null);
              setChosen(id);
            })
          }
          onClose={() => setGap(null)}
        />
      ) : null}
      {step ? (
        <StepForm
          key={step.id}
          step={step}
          plan={plan}
          sheet={own.sheet.value ?? null}
          onControl={(control, value) => own.change({ controls: { ...plan.controls, [control]: value } })}
          onChange={(of) => void own.edit(of)}
          onClose={() => setChosen(null)}
        />
      ) : null}
    </section>
  );
}
