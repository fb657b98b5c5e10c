import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useSearchParams } from 'react-router';
import { planTitle } from '#core/plan';
import type { RunState, StepState } from '#core/state';
import { Cautions } from '../parts/cautions.tsx';
import { Lessons } from '../parts/lessons.tsx';
import { plainText, Sentence } from '../parts/sentence.tsx';
import { InMargin } from '../shell/margin.tsx';
import { AddPane } from './add-pane.tsx';
import { Attempts } from './attempts.tsx';
import { CautionsRead } from './cautions-read.tsx';
import { Log } from './log.tsx';
import { type PaneName, StepPane } from './panes.tsx';
import { Portions } from './portions.tsx';
import { Reckoning } from './reckoning.tsx';
import { StepAdvice } from './step-advice.tsx';
import { Timers } from './timers.tsx';
import { useAdvice } from './use-advice.ts';
import type { Run } from './use-run.ts';

const MARKS: Readonly<Record<StepState['status'], string>> = {
  waiting: '',
  ready: '○',
  running: '▸',
  done: '✓',
  skipped: '–',
};

/** One step at a time, large; the whole run at its left, the log below, the reckoning in the margin. */
export function Bench({ run }: { run: Run }) {
  const { state, batch } = run;
  const [search, setSearch] = useSearchParams();
  const asked = state.steps.find((each) => each.key === search.get('step'));
  const step = asked ?? currentStep(state);
  const goTo = (key: string) => setSearch({ step: key }, { replace: true });
  return (
    <div className="bench">
      <Rail run={run} current={step?.key} />
      <div>
        {state.status === 'done' || state.status === 'abandoned' ? (
          <p className="pane">
            {state.status === 'done' ? 'This run is finished.' : `Given up: ${state.abandonedFor}`}{' '}
            <Link to={`/record/${batch.id}`}>See its record</Link>
          </p>
        ) : null}
        {step ? <Step key={step.key} run={run} step={step} onNext={() => goTo(nextKey(state, step))} /> : null}
        <Log run={run} />
      </div>
      <InMargin>
        <Cautions cautions={step?.cautions ?? []} />
        {step ? <Attempts run={run} step={step} /> : null}
        {step ? (
          <Lessons
            title="Learnt before"
            which={(each) => each.routeId === batch.plan.route.id && (each.step === step.key || each.step === null)}
            attach={{ routeId: batch.plan.route.id, step: step.key, bottleId: null, batchId: batch.id }}
          />
        ) : null}
        <Reckoning run={run} />
      </InMargin>
    </div>
  );
}

function currentStep(state: RunState): StepState | undefined {
  return (
    state.steps.find((each) => each.status === 'running') ??
    state.steps.find((each) => each.status === 'ready') ??
    state.steps.at(-1)
  );
}

/** Where to go when a step is done: another that runs, else the next one that can be begun. */
function nextKey(state: RunState, done: StepState): string {
  const at = state.steps.findIndex((each) => each.key === done.key);
  const open = (each: StepState) => each.status !== 'done' && each.status !== 'skipped' && each.key !== done.key;
  return (state.steps.slice(at + 1).find(open) ?? state.steps.find(open) ?? done).key;
}

function Rail({ run, current }: { run: Run; current: string | undefined }) {
  const { state, batch } = run;
  const [open, setOpen] = useState(false);
  const done = state.steps.filter((each) => each.status === 'done' || each.status === 'skipped').length;
  return (
    <nav className="rail" aria-label="Steps of this run" data-open={open}>
      <h2>{planTitle(batch.plan)}</h2>
      <p className="quiet small">
        batch {batch.number} · {done} of {state.steps.length} steps
      </p>
      <button type="button" className="tab phone-only" aria-expanded={open} onClick={() => setOpen(!open)}>
        All steps
      </button>
      <ol>
        {state.steps.map((step) => (
          <li key={step.key} data-status={step.status}>
            <Link
              to={`?step=${step.key}`}
              replace
              aria-current={step.key === current ? 'step' : undefined}
              onClick={() => setOpen(false)}
            >
              <span className={step.status} aria-hidden="true">
                {MARKS[step.status]}
              </span>
              <span>
                {plainText(step.title)}
                <span className="sr">, {step.status}</span>
              </span>
            </Link>
          </li>
        ))}
      </ol>
      <p className="quiet small keys-hint">
        <kbd>Space</kbd> done <kbd>W</kbd> weigh <kbd>L</kbd> reading <kbd>T</kbd> timer <kbd>N</kbd> note <kbd>S</kbd>{' '}
        surprise
      </p>
    </nav>
  );
}

const TABS: readonly { pane: PaneName; name: string; key?: string }[] = [
  { pane: 'weigh', name: 'Weigh or measure', key: 'w' },
  { pane: 'dish', name: 'Dish', key: 'd' },
  { pane: 'wash', name: 'Wash', key: 'x' },
  { pane: 'evaporate', name: 'Evaporate', key: 'e' },
  { pane: 'dry', name: 'Dry', key: 'r' },
  { pane: 'log', name: 'Log a reading', key: 'l' },
  { pane: 'timer', name: 'Timer', key: 't' },
  { pane: 'note', name: 'Note', key: 'n' },
  { pane: 'surprise', name: 'Surprise', key: 's' },
  { pane: 'portion', name: 'Test portion' },
  { pane: 'unplanned', name: 'Add something else' },
  { pane: 'photo', name: 'Photo' },
  { pane: 'change', name: 'Change the run' },
];

/** The pane that a kind of step opens with. */
const FIRST_PANE: Partial<Record<StepState['panel'], PaneName>> = { charge: 'weigh' };

/** The panes that a kind of step has besides those of every step. */
function hasPane(step: StepState, pane: PaneName): boolean {
  if (pane === 'dish') return step.panel === 'dish';
  if (pane === 'wash') return step.panel === 'filter';
  if (pane === 'dry') return step.panel === 'dry';
  if (pane === 'evaporate') return step.template?.op.do === 'boil-down' || step.template?.op.do === 'evaporate';
  return pane !== 'weigh' || step.panel === 'charge' || step.panel === 'dry';
}

function Step({ run, step, onNext }: { run: Run; step: StepState; onNext: () => void }) {
  const { state, enter } = run;
  const [pane, setPane] = useState<PaneName | null>(step.status === 'done' ? null : (FIRST_PANE[step.panel] ?? null));
  const advice = useAdvice(run, step.key);
  const over = state.status === 'abandoned';
  const adds = step.panel === 'add' && step.status !== 'done' && step.status !== 'skipped' && !over;
  const closed = step.status === 'done' || step.status === 'skipped';
  const finish = () => {
    if (closed || over) return;
    enter({ kind: 'finished', step: step.key });
    onNext();
  };
  const toggle = (next: PaneName) => setPane((before) => (before === next ? null : next));
  useHotkeys('space', finish, { preventDefault: true, useKey: false, ignoreEventWhen: isControl }, [
    step.key,
    closed,
    over,
  ]);
  useHotkeys(
    'w,l,t,n,s,d,x,e,r',
    (event) => setPane(TABS.find((tab) => tab.key === event.key && hasPane(step, tab.pane))?.pane ?? null),
    {
      preventDefault: true,
      useKey: true,
    },
  );
  useHotkeys('escape', () => setPane(null), { enableOnFormTags: true });
  return (
    <article className="step" aria-label="This step">
      <h1>
        <Sentence parts={step.title} />
      </h1>
      <p className="step-act">
        <Sentence parts={step.act} />
      </p>
      <div className="row" style={{ margin: '0 0 10px' }}>
        <Flags step={step} />
      </div>
      {adds ? (
        <div className="pane">
          <AddPane run={run} step={step} add={advice?.add ?? null} />
        </div>
      ) : null}
      {advice ? <StepAdvice run={run} step={step} advice={advice} /> : null}
      <dl className="step-lines">
        <StepLine name="until" parts={step.until} />
        <StepLine name="you see" parts={step.expect} />
        <StepLine name="trouble" parts={step.trouble} />
        <StepLine name="why" parts={step.why} quiet />
        <StepLine name="if skipped" parts={step.skipCosts} quiet />
      </dl>
      <CautionsRead run={run} step={step} />
      <Portions run={run} step={step} />
      <Timers run={run} step={step} />
      {over ? null : (
        <div className="step-tabs">
          {TABS.filter((tab) => hasPane(step, tab.pane)).map((tab) => (
            <button
              key={tab.pane}
              type="button"
              className={tab.key ? 'tab' : 'tab tab-more'}
              aria-expanded={pane === tab.pane}
              onClick={() => toggle(tab.pane)}
            >
              {tab.name}
            </button>
          ))}
          {closed ? (
            <button type="button" className="tab" onClick={() => enter({ kind: 'reopened', step: step.key })}>
              Open it again
            </button>
          ) : (
            <>
              {step.status === 'running' && step.leave.lookEveryMin !== null ? (
                <button type="button" className="tab" onClick={() => enter({ kind: 'checked', step: step.key })}>
                  Looked in
                </button>
              ) : null}
              {step.status === 'running' ? null : (
                <button type="button" className="tab" onClick={() => enter({ kind: 'started', step: step.key })}>
                  Begin
                </button>
              )}
              <button type="button" className="act done" onClick={finish}>
                Step done
              </button>
            </>
          )}
        </div>
      )}
      {pane && !over ? <StepPane key={pane} name={pane} run={run} step={step} onClose={() => setPane(null)} /> : null}
    </article>
  );
}

/** Space on a button presses it; only elsewhere does it mean “done”. */
function isControl(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  return target?.closest('button, a, input, textarea, select, [role="combobox"], [role="slider"]') !== null;
}

function StepLine({ name, parts, quiet = false }: { name: string; parts: StepState['until']; quiet?: boolean }) {
  if (parts.length === 0) return null;
  return (
    <>
      <dt>{name}</dt>
      <dd className={quiet ? 'quiet' : ''}>
        <Sentence parts={parts} />
      </dd>
    </>
  );
}

function Flags({ step }: { step: StepState }) {
  const { leave, where, ceilingC } = step;
  const every =
    leave.lookEveryMin === null
      ? ''
      : `, look every ${leave.lookEveryMin >= 120 ? `${Math.round(leave.lookEveryMin / 60)} h` : `${leave.lookEveryMin} min`}`;
  return (
    <>
      <span className="flag" title={leave.reason}>
        {leave.alone ? `may be left${every}` : `stay with it${every}`}
      </span>
      {where === 'anywhere' ? null : (
        <span className="flag">{where === 'outdoors' ? 'outdoors or hood' : 'ventilated'}</span>
      )}
      {ceilingC === null ? null : <span className="flag">not above {ceilingC} °C</span>}
      {step.status === 'skipped' ? <span className="flag watch">skipped: {step.skippedFor}</span> : null}
      {step.status === 'done' ? <span className="flag within">done</span> : null}
    </>
  );
}
