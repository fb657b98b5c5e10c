import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useSearchParams } from 'react-router';
import type { RunState, StepState } from '#run/state';
import { anywhere } from '../kit/is-typing.ts';
import { TypedEntries, WithTypedEntries } from '../kit/typed-entries.tsx';
import { Cautions } from '../parts/cautions.tsx';
import { Lessons } from '../parts/lessons.tsx';
import { InMargin } from '../parts/margin.tsx';
import { plainText, Sentence } from '../parts/sentence.tsx';
import { BeforeStart } from '../run/before-start.tsx';
import { Log } from '../run/log.tsx';
import { Portions } from '../run/portions.tsx';
import { Together } from '../run/together.tsx';
import type { Run } from '../run/use-run.ts';
import { AsItStands } from './as-it-stands.tsx';
import { Attempts } from './attempts.tsx';
import { CautionsRead, unreadAt } from './cautions-read.tsx';
import { StepAdvice, saysOf } from './step-advice.tsx';
import { StepPane } from './step-pane.tsx';
import { tabsOf } from './tabs.ts';
import { viewOf } from './technique/registry.ts';
import type { StepMoves } from './technique/technique-view.ts';
import { Timers } from './timers.tsx';
import { useAdvice } from './use-advice.ts';

const MARKS: Readonly<Record<StepState['status'], string>> = {
  waiting: '',
  ready: '○',
  running: '▸',
  done: '✓',
  skipped: '–',
};

/** One step at a time, large; the whole run at its left, the log below, what it comes to in the margin. */
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
            {state.status === 'done' ? 'This run is finished.' : `Abandoned: ${state.abandonedFor}`}{' '}
            <Link to={`/record/${batch.id}`}>See its record</Link>
            {state.assumed.isMeasured ? null : '. Nothing of what was made is measured yet: it can be entered there.'}
          </p>
        ) : null}
        <Together run={run} />
        <BeforeStart run={run} />
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
        <AsItStands run={run} />
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
      <h2>{state.title}</h2>
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

function Step({ run: whole, step, onNext }: { run: Run; step: StepState; onNext: () => void }) {
  const { state, enter } = whole;
  const view = viewOf(step);
  const tabs = tabsOf(step);
  const [pane, setPane] = useState<string | null>(step.status === 'done' ? null : view.opens(step));
  const [asked, setAsked] = useState(false);
  const [typed] = useState(() => new TypedEntries());
  const [stays, setStays] = useState(false);
  const ownEnd = useRef<(() => void) | null>(null);
  const run = useMemo(() => counted(whole, typed, () => setStays(false)), [whole, typed]);
  const advice = useAdvice(run, step.key);
  const over = state.status === 'abandoned';
  const closed = step.status === 'done' || step.status === 'skipped';
  const open = tabs.find(({ id }) => id === pane);
  // What is grave is read before the step is begun or ended; what has happened can be entered at any time.
  const waitsForReading = () => {
    const waits = unreadAt(state, step).length > 0;
    setAsked(waits);
    return waits;
  };
  const begin = () => {
    if (step.held === '' && !waitsForReading()) enter({ kind: 'started', step: step.key });
  };
  const finish = () => {
    if (closed || over || step.held !== '' || waitsForReading()) return;
    // What stands in a field was had: it is entered, or its question is answered first.
    const entered = typed.enterTyped();
    setStays(!entered);
    if (!entered) return;
    if (ownEnd.current) ownEnd.current();
    else enter({ kind: 'finished', step: step.key });
    onNext();
  };
  const moves: StepMoves = {
    begin,
    endWith: (end) => {
      ownEnd.current = end;
    },
  };
  // Where the step’s own panel leads, the key is its.
  const byKey = () => (view.leads ? undefined : finish());
  useHotkeys('space', byKey, { preventDefault: true, useKey: false, ignoreEventWhen: isControl }, [
    step,
    closed,
    over,
    state,
  ]);
  useHotkeys(
    tabs.flatMap(({ key }) => key ?? []).join(','),
    (event) => setPane(tabs.find(({ key }) => key === event.key)?.id ?? null),
    { preventDefault: true, useKey: true, ...anywhere },
  );
  useHotkeys('escape', () => setPane(null), { enableOnFormTags: true });
  const working =
    view.Working && !closed && !over ? (
      <view.Working run={run} step={step} says={advice ? saysOf(advice.own, step.technique) : null} moves={moves} />
    ) : null;
  return (
    <WithTypedEntries entries={typed}>
      <article className="step" aria-label="This step" data-leads={view.leads && working !== null}>
        <h1>
          <Sentence parts={step.title} />
        </h1>
        {view.leads && working ? working : null}
        <p className={view.leads && working ? 'step-act step-act-small' : 'step-act'}>
          <Sentence parts={step.act} />
        </p>
        <div className="row flags">
          <Flags step={step} />
          <Link className="flag went-wrong" to={`/bench/${run.batch.id}/accident`}>
            It went wrong
          </Link>
        </div>
        {step.held === '' ? null : (
          <div className="caution caution-stop" role="alert">
            <b>Not this step, with what is in the vessel.</b> {step.held} Leave its bottle shut. What is in there is
            kept apart and handed in, or the batch is ended; what has gone in all the same is entered under “Add
            something else”.
          </div>
        )}
        {over ? null : <CautionsRead run={run} step={step} asked={asked} />}
        {over ? null : (
          <div className="step-tabs">
            {tabs.map((tab) => (
              <button
                key={tab.id}
                type="button"
                className={tab.key ? 'tab' : 'tab tab-more'}
                aria-expanded={pane === tab.id}
                onClick={() => setPane((before) => (before === tab.id ? null : tab.id))}
              >
                {tab.name}
              </button>
            ))}
            <Moves run={run} step={step} onBegin={begin} onFinish={finish} />
          </div>
        )}
        {stays ? (
          <p className="caution" role="alert">
            What is typed below is not entered yet. Put it right, or empty its field; then the step can be done.
          </p>
        ) : null}
        {open && !over ? (
          <StepPane key={open.id} tab={open} run={run} step={step} onClose={() => setPane(null)} />
        ) : null}
        {view.leads ? null : working}
        {advice ? <StepAdvice run={run} step={step} advice={advice} /> : null}
        <dl className="step-lines" data-brief={open !== undefined}>
          <StepLine name="until" parts={step.until} />
          <StepLine name="you see" parts={step.expect} />
          <StepLine name="trouble" parts={step.trouble} />
          <StepLine name="why" parts={step.why} quiet />
          <StepLine name="if skipped" parts={step.skipCosts} quiet />
        </dl>
        <Portions run={run} step={step} />
        <Timers run={run} step={step} />
      </article>
    </WithTypedEntries>
  );
}

/** A run that counts what is entered through it here. */
function counted(run: Run, typed: TypedEntries, onEntered: () => void): Run {
  const count = () => {
    typed.made += 1;
    onEntered();
  };
  return {
    ...run,
    enter: (...entry) => {
      count();
      return run.enter(...entry);
    },
    enterAll: (...entries) => {
      count();
      run.enterAll(...entries);
    },
  };
}

interface MovesProps {
  readonly run: Run;
  readonly step: StepState;
  readonly onBegin: () => void;
  readonly onFinish: () => void;
}

/** What moves a step on: begin, checked, done; or open it again. */
function Moves({ run: { enter }, step, onBegin, onFinish }: MovesProps) {
  if (step.status === 'done' || step.status === 'skipped')
    return (
      <button type="button" className="tab" onClick={() => enter({ kind: 'reopened', step: step.key })}>
        Open it again
      </button>
    );
  return (
    <>
      {step.status === 'running' && step.leave.lookEveryMin !== null ? (
        <button type="button" className="tab" onClick={() => enter({ kind: 'checked', step: step.key })}>
          Checked
        </button>
      ) : null}
      {step.status === 'running' ? null : (
        <button type="button" className="tab" onClick={onBegin}>
          Begin
        </button>
      )}
      <button type="button" className="act done" onClick={onFinish}>
        Step done
      </button>
    </>
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
