import { useEffect, useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { BatchAnswer } from '#contract/api';
import type { VerbInput } from '#contract/verbs';
import { useBench, useBottles } from '../api/queries.ts';
import { today } from '../parts/day.ts';
import { type Draft, draftOf, EMPTY_DRAFT } from '../parts/own-draft.ts';
import { useSupposed } from '../planning/use-supposed.ts';
import { useCompute } from '../worker/compute.ts';
import { compute } from '../worker/door.ts';

const KEY = 'own-draft';

export type RouteChange = VerbInput<'changeRoute'>['change'];

/** A batch of one's own under way: kept in this tab until it is a plan, computed as it is typed. */
export function useOwnDraft(kept: BatchAnswer | null) {
  const location = useLocation();
  const [draft, setDraft] = useState<Draft>(() => (kept ? draftOf(kept.plan) : startOf(location.state)));
  const [problem, setProblem] = useState('');
  const navigate = useNavigate();
  useEffect(() => {
    // What was handed over is begun with once: a reload goes on with what was written since.
    if (isStart(location.state)) void navigate(location.pathname, { replace: true, state: null });
  }, [location, navigate]);
  const bottles = useBottles();
  const bench = useBench();
  const supposed = useSupposed();
  const shelf = useMemo(
    () => [
      ...(bottles.data ?? []).map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
      ...supposed.bottles,
    ],
    [bottles.data, supposed.bottles],
  );
  const asked = useMemo(
    () =>
      bench.data && bottles.data
        ? {
            ...draft,
            equations: draft.equations.filter((each) => each.trim() !== ''),
            shelf: shelf.filter(({ id }) => draft.bottles.includes(id)),
            bench: bench.data.bench,
            today: today(),
          }
        : undefined,
    [draft, shelf, bench.data, bottles.data],
  );
  const answer = useCompute('own', asked);
  const plan = answer.value?.plan ?? undefined;
  const sheet = useCompute(
    'sheet',
    useMemo(() => (plan ? { plan } : undefined), [plan]),
  );
  const change = (next: Partial<Draft>) => {
    const whole = { ...draft, ...next };
    setDraft(whole);
    if (!kept) keepInTab(whole);
  };
  /** One change of the route’s steps; said beside them where it cannot be. */
  const edit = async (of: RouteChange): Promise<string | null> => {
    if (!plan) return null;
    const done = await compute('changeRoute', { route: plan.route, change: of });
    setProblem(done.ok ? '' : done.problem.message);
    if (!done.ok) return null;
    change({ mine: done.value.route, controls: plan.controls });
    return done.value.step;
  };
  return {
    draft,
    change,
    edit,
    problem,
    answer,
    plan,
    sheet,
    shelf,
    supposed,
    bench: bench.data?.bench,
    ready: bottles.data !== undefined,
  };
}

export type OwnDrafting = ReturnType<typeof useOwnDraft>;

/** Nothing of it is lost with a reload; a tab has one. */
function keepInTab(draft: Draft): void {
  try {
    sessionStorage.setItem(KEY, JSON.stringify(draft));
  } catch {
    // Without storage the page itself still has it.
  }
}

export function forgetDraft(): void {
  try {
    sessionStorage.removeItem(KEY);
  } catch {
    // It was never kept.
  }
}

function startOf(state: unknown): Draft {
  if (isStart(state)) {
    const start = { ...EMPTY_DRAFT, ...state.own };
    keepInTab(start);
    return start;
  }
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? 'null');
    return typeof kept === 'object' && kept !== null ? { ...EMPTY_DRAFT, ...kept } : EMPTY_DRAFT;
  } catch {
    return EMPTY_DRAFT;
  }
}

/** Another page may hand over what it begins with: a target, a route that was copied. */
function isStart(state: unknown): state is { readonly own: Partial<Draft> } {
  return typeof state === 'object' && state !== null && 'own' in state;
}
