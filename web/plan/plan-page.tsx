import { Suspense, useId, useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { BatchAnswer } from '#contract/api';
import type { Apparatus, CellGear } from '#matter/gear';
import type { PlanChoice } from '#run/choose';
import { type Plan, planTitle } from '#run/plan';
import { sentenceOf } from '../api/client.ts';
import { useBatch, useBench, useBottles, useKeepPlan } from '../api/queries.ts';
import { useRoutesInUse } from '../api/routes.ts';
import { rehearsalOf } from '../models/rehearse/index.ts';
import { Cautions, uniqueCautions } from '../parts/cautions.tsx';
import { today } from '../parts/day.ts';
import { Lessons } from '../parts/lessons.tsx';
import { InMargin } from '../parts/margin.tsx';
import { copyOf } from '../parts/own-draft.ts';
import { MissingBottle } from '../planning/missing-bottle.tsx';
import { Supposed } from '../planning/supposed.tsx';
import { TakeOrKeep } from '../planning/take-or-keep.tsx';
import { isSupposed, useSupposed } from '../planning/use-supposed.ts';
import { useCompute } from '../worker/compute.ts';
import { BatchSheet } from './batch-sheet.tsx';
import { CannotWork } from './cannot-work.tsx';
import { FoundSince } from './found-since.tsx';
import { FromThisShelf } from './from-this-shelf.tsx';
import { OwnApparatus } from './own-apparatus.tsx';
import { OwnBatch } from './own-page.tsx';
import { OwnRoutes } from './own-routes.tsx';
import { RoutesTable } from './routes-table.tsx';
import { SavedPlans } from './saved-plans.tsx';
import { ShownHere, useShown, withShown } from './shown-here.tsx';
import { SideBySide } from './side-by-side.tsx';
import { StepsSeen } from './steps-seen.tsx';
import '../planning/planning.css';

const EXAMPLES = [
  '1.5 L of 2 mol/L hydrochloric acid',
  '60 g zinc sulfate',
  'sodium acetate from 250 mL vinegar',
  '20 g zinc carbonate',
];

/** The plan station: a kept plan opens with its own target and settings. */
export function PlanPage() {
  const { batchId } = useParams();
  const batch = useBatch(batchId);
  if (batchId === undefined) return <Planning key="new" kept={null} />;
  if (batch.isPending) return <p className="waiting-block">Loading the plan …</p>;
  if (batch.isLoadingError) return <p className="problem">{sentenceOf(batch.error)}</p>;
  // A route of one's own is changed where it was written.
  if (batch.data.plan.route.id.startsWith('own-')) return <OwnBatch key={batchId} kept={batch.data} />;
  return <Planning key={batchId} kept={batch.data} />;
}

interface Changes {
  readonly routeId: string | null;
  readonly controls: Readonly<Record<string, number>>;
  readonly bottles: Readonly<Record<string, string>>;
  /** The still as it is here, where it is not the bench’s. */
  readonly still?: Apparatus | undefined;
  readonly cell?: CellGear | undefined;
}

function Planning({ kept }: { kept: BatchAnswer | null }) {
  const id = useId();
  const navigate = useNavigate();
  const [gearOpen, setGearOpen] = useState(false);
  const [search, setSearch] = useSearchParams();
  const bottles = useBottles();
  const bench = useBench();
  const keep = useKeepPlan();
  const [rehearses, setRehearses] = useState(false);
  const [compares, setCompares] = useState(false);
  const [byBook, setByBook] = useState(false);
  const [text, setText] = useState(() => (kept ? planTitle(kept.plan) : (search.get('make') ?? '')));
  const [changes, setChanges] = useState<Changes>(() =>
    kept ? keptChanges(kept.plan) : { routeId: search.get('route'), controls: {}, bottles: {} },
  );
  const [saved, setSaved] = useState('');
  const supposed = useSupposed();
  const routes = useRoutesInUse();
  const shelf = useMemo(
    () => [
      ...(bottles.data ?? []).map(({ id: bottleId, card, usedG, archived }) => ({
        id: bottleId,
        card,
        usedG,
        archived,
      })),
      ...supposed.bottles,
    ],
    [bottles.data, supposed.bottles],
  );
  const target = useCompute(
    'target',
    useMemo(
      () =>
        bench.data && bottles.data && text.trim() !== ''
          ? { text, shelf, bench: bench.data.bench, today: today(), routes }
          : undefined,
      [text, shelf, bench.data, bottles.data, routes],
    ),
  );
  const makeable = useCompute(
    'makeable',
    useMemo(
      () =>
        bench.data && shelf.length > 0 && text.trim() === ''
          ? { shelf, bench: bench.data.bench, today: today(), routes }
          : undefined,
      [text, shelf, bench.data, routes],
    ),
  );
  const choices = target.value?.choices ?? [];
  const choice =
    choices.find((each) => each.plan.route.id === changes.routeId) ??
    choices.find((each) => each.missing.length === 0) ??
    choices[0];
  const planned = useMemo(() => (choice ? withChanges(choice, changes, shelf) : undefined), [choice, changes, shelf]);
  const shown = useShown(planned);
  const plan = useMemo(() => (planned && !byBook ? withShown(planned, shown) : planned), [planned, shown, byBook]);
  const sheet = useCompute(
    'sheet',
    useMemo(() => (plan ? { plan } : undefined), [plan]),
  );
  const rehearsal = plan && rehearsalOf(plan);
  const type = (next: string) => {
    setText(next);
    setSaved('');
    if (!kept) setSearch(next === '' ? {} : { make: next }, { replace: true });
  };
  const send = (then: (batch: BatchAnswer) => void) => {
    if (plan) keep.mutate({ id: kept?.id ?? null, plan, basedOn: kept?.version ?? 0 }, { onSuccess: then });
  };
  const onControl = (control: string, value: number) =>
    setChanges((before) => ({
      ...before,
      routeId: plan?.route.id ?? before.routeId,
      controls: { ...before.controls, [control]: value },
    }));
  const onBottle = (role: string, bottleId: string) =>
    setChanges((before) => ({
      ...before,
      routeId: plan?.route.id ?? before.routeId,
      bottles: { ...before.bottles, [role]: bottleId },
    }));
  // What is typed may still be read: what would go to the bench then is what stood there before.
  const read = !target.busy && !sheet.busy;
  const supposes = plan !== undefined && Object.values(plan.bottles).some(isSupposed);
  const ready =
    read &&
    !supposes &&
    plan !== undefined &&
    sheet.value !== undefined &&
    sheet.problem === undefined &&
    !keep.isPending;
  const apparatus = plan ? (
    <OwnApparatus
      plan={plan}
      bench={bench.data}
      open={gearOpen}
      onOpen={setGearOpen}
      onControl={onControl}
      onChange={(change) => setChanges((before) => ({ ...before, routeId: plan.route.id, ...change }))}
    />
  ) : null;
  return (
    <>
      <h1 className="sr">Plan</h1>
      <div className="target">
        <label htmlFor={id}>Make</label>
        <input
          id={id}
          value={text}
          maxLength={200}
          placeholder="60 g zinc sulfate"
          autoComplete="off"
          spellCheck={false}
          aria-describedby={`${id}-said`}
          onChange={(event) => type(event.target.value)}
        />
      </div>
      <p className="own-way">
        <Link to="/plan/own" state={{ own: { text } }}>
          {text.trim() === '' ? 'A batch of your own, without a route' : 'Make it your own way'}
        </Link>
        <Link to={`/plan/chain${text.trim() === '' ? '' : `?make=${encodeURIComponent(text)}`}`}>
          Over intermediates
        </Link>
        <Link to="/plan/recipe">A recipe you found</Link>
      </p>
      <div id={`${id}-said`} aria-live="polite">
        {text.trim() === '' ? <Examples onPick={type} /> : null}
        {text.trim() !== ''
          ? target.value?.problems.map((each) => (
              <p key={each.message} className="problem">
                {each.message}
              </p>
            ))
          : null}
      </div>
      {text.trim() === '' && makeable.value ? <FromThisShelf answer={makeable.value} onPick={type} /> : null}
      {text.trim() === '' && makeable.busy && !makeable.value ? (
        <p className="waiting-block">Looking through what your shelf can make …</p>
      ) : null}
      {kept && bottles.data ? <FoundSince plan={kept.plan} bottles={bottles.data} /> : null}
      {choices.length > 0 ? (
        <RoutesTable
          choices={choices}
          row={sheet.value?.row ?? null}
          chosen={choice?.plan.route.id}
          onChoose={(routeId) => setChanges({ routeId, controls: {}, bottles: {} })}
        />
      ) : null}
      {compares && choice ? (
        <SideBySide
          plans={choices.filter((each) => each.missing.length === 0).map((each) => each.plan)}
          chosen={{ cost: sheet.value?.cost?.value ?? null, amount: choice.plan.target.amount }}
          onChoose={(routeId, controls) => setChanges({ routeId, controls, bottles: {} })}
        />
      ) : null}
      {choice && choice.missing.length > 0 ? (
        <MissingBottle tempC={bench.data?.bench.tempC ?? 20} onSuppose={supposed.suppose} />
      ) : null}
      <Supposed bottles={supposed.bottles} onGone={supposed.forget} />
      {choice && plan && sheet.problem && choice.missing.length === 0 ? (
        <CannotWork problem={sheet.problem} plan={plan} choice={choice} onControl={onControl} onBottle={onBottle} />
      ) : null}
      {sheet.problem && choice?.missing.length === 0 ? apparatus : null}
      {choice && plan && sheet.value && sheet.problem === undefined && choice.missing.length === 0 ? (
        <>
          <BatchSheet sheet={sheet.value} plan={plan} choice={choice} onControl={onControl} onBottle={onBottle} />
          {apparatus}
          <StepsSeen plan={plan} sheet={sheet.value} />
          <ShownHere shown={shown} byBook={byBook} onByBook={setByBook} />
          <div className="plan-acts">
            <TakeOrKeep
              ready={ready}
              supposes={supposes}
              kept={kept !== null}
              send={send}
              onKept={() => setSaved('Kept.')}
            />
            {rehearsal ? (
              <button type="button" className="link" onClick={() => setRehearses(true)}>
                {rehearsal.name}
              </button>
            ) : null}
            <button type="button" className="link" aria-pressed={compares} onClick={() => setCompares(!compares)}>
              Methods side by side
            </button>
            <button
              type="button"
              className="link"
              onClick={() => void navigate('/plan/own', { state: { own: copyOf(plan) } })}
            >
              Copy the route and change it
            </button>
            <span className="quiet end">{sheet.value.route.reaction ?? sheet.value.route.title}</span>
          </div>
          {rehearsal && rehearses ? (
            <Suspense fallback={null}>
              <rehearsal.Stage plan={plan} onClose={() => setRehearses(false)} />
            </Suspense>
          ) : null}
          {keep.isError ? <p className="problem">{sentenceOf(keep.error)}</p> : null}
          {saved ? (
            <p className="within" role="status">
              {saved}
            </p>
          ) : null}
          <InMargin>
            <Cautions cautions={uniqueCautions(Object.values(sheet.value.cautions))} />
            <Lessons title="Learnt before" which={(each) => each.routeId === plan?.route.id} />
            <p className="quiet small">Route after: {sheet.value.route.source}</p>
          </InMargin>
        </>
      ) : null}
      {text.trim() === '' ? (
        <>
          <SavedPlans />
          <OwnRoutes />
        </>
      ) : null}
    </>
  );
}

function Examples({ onPick }: { onPick: (text: string) => void }) {
  return (
    <p className="quiet" style={{ marginTop: 10 }}>
      Say what and how much, for example{' '}
      {EXAMPLES.map((each, i) => (
        <span key={each}>
          {i > 0 ? ', ' : ''}
          <button type="button" className="link" onClick={() => onPick(each)}>
            {each}
          </button>
        </span>
      ))}
      .
    </p>
  );
}

/** The chosen route's first plan with what the person has moved since. */
function withChanges(
  choice: PlanChoice,
  changes: Changes,
  shelf: readonly { id: string; card: Plan['stock'][string]['card']; usedG: number }[],
): Plan {
  if (changes.routeId !== null && changes.routeId !== choice.plan.route.id) return choice.plan;
  const fitting = (role: string, id: string) =>
    choice.roles.some((each) => each.id === role && each.bottles.some((bottle) => bottle.id === id));
  const moved = Object.fromEntries(Object.entries(changes.bottles).filter(([role, id]) => fitting(role, id)));
  const bottles = { ...choice.plan.bottles, ...moved };
  const used = new Set(Object.values(bottles));
  const stock = Object.fromEntries(
    shelf.filter(({ id }) => used.has(id)).map(({ id, card, usedG }) => [id, { card, usedG }]),
  );
  const bench = {
    ...choice.plan.bench,
    ...(changes.still ? { still: changes.still } : {}),
    ...(changes.cell ? { cell: changes.cell } : {}),
  };
  return { ...choice.plan, bottles, stock, bench, controls: { ...choice.plan.controls, ...changes.controls } };
}

function keptChanges(plan: Plan): Changes {
  const bottles = Object.fromEntries(
    Object.entries(plan.bottles).flatMap(([role, id]) => (id ? [[role, id] as const] : [])),
  );
  return { routeId: plan.route.id, controls: plan.controls, bottles, still: plan.bench.still, cell: plan.bench.cell };
}
