import { Input, type InputRef } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { parseNumber } from '#base/units';
import { type AssayBody, entryCheck } from '#model/assay';
import { methodById } from '#model/method';
import { EntryForm } from '../kit/entry-form.tsx';
import { Field } from '../kit/field.tsx';
import { anywhere } from '../kit/is-typing.ts';
import type { OpenAssay } from './use-assay.ts';

/** What is read next, and how a replicate ends. Each reading is kept as it is entered. */
export function EntryRow({ assay }: { assay: OpenAssay }) {
  const { plan, state, entries, enter } = assay;
  const { advice } = state;
  const [asBlank, setAsBlank] = useState(false);
  const current = asBlank ? `b${state.blanks.length + 1}` : state.current;
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const field = useRef<InputRef>(null);
  // Without scrolling: on a phone what to do stands above the field, and is to stay in sight.
  useEffect(() => field.current?.focus({ preventScroll: true }), []);
  const at = [...state.replicates, ...state.blanks].find(({ key }) => key === current);
  const method = methodById(plan.methodId);
  const titrates = method?.is === 'titration';
  const [other, setOther] = useState<string | null>(null);
  const asked = asBlank ? 'level' : advice.reads;
  const reads = other ?? asked;
  const besides = method?.is === 'measured' ? method.entries : [];
  const begun = at !== undefined && at.state === 'open';

  /** All of them, or none: the first that cannot be is said beside the field. */
  const enterAll = (bodies: readonly AssayBody[]): boolean => {
    let sofar = entries;
    for (const body of bodies) {
      const checked = entryCheck(plan, sofar, body);
      if (!checked.ok) {
        setProblem(checked.problem.message);
        field.current?.focus();
        return false;
      }
      sofar = [...sofar, { id: `ev_draft${sofar.length}`, happenedAt: '', body }];
    }
    enter(bodies);
    setOther(null);
    setText('');
    setProblem('');
    return true;
  };
  const typed = (): AssayBody[] | null => {
    if (text.trim() === '' || reads === null) return [];
    const number = parseNumber(text);
    if (!number.ok) {
      setProblem(number.problem.message);
      field.current?.focus();
      return null;
    }
    return [{ kind: 'read', replicate: current, name: reads, value: number.value }];
  };
  const onEnter = () => {
    const bodies = typed();
    if (bodies === null) return;
    if (bodies.length === 0) setProblem(`Read it and enter it: ${labelOf(reads, assay)}.`);
    else enterAll(bodies);
  };
  const end = (as: 'sign' | 'past' | 'spoilt') => {
    const bodies = as === 'spoilt' ? [] : typed();
    if (bodies !== null) enterAll([...bodies, { kind: 'ended', replicate: current, as, note: '' }]);
  };
  useHotkeys('e', () => end('sign'), { useKey: true, ...anywhere }, [text, current, entries]);
  const mayEnd = begun && (titrates ? at.read.sampleG !== undefined || at.blank : at !== undefined);
  return (
    <div className="entry">
      {reads !== null ? (
        <EntryForm onEnter={onEnter}>
          <div className="pane-row">
            <Field label={`${asBlank ? 'Blank: ' : ''}${labelOf(reads, assay)}`} problem={problem} hint="">
              {(bound) => (
                <Input
                  {...bound}
                  ref={field}
                  size="large"
                  inputMode="decimal"
                  autoComplete="off"
                  value={text}
                  suffix={unitOf(reads, assay)}
                  maxLength={30}
                  onChange={(event) => {
                    setText(event.target.value);
                    setProblem('');
                  }}
                />
              )}
            </Field>
            <button type="submit" className="act second">
              Enter it
            </button>
          </div>
        </EntryForm>
      ) : null}
      {besides.length > 0 ? (
        <p className="small">
          <span className="quiet">Read another, or one again: </span>
          {besides.map(({ name, label, unit, taken }) => (
            <button
              key={name}
              type="button"
              className="link small also"
              aria-pressed={name === reads}
              onClick={() => {
                setOther(name);
                setProblem('');
                field.current?.focus();
              }}
            >
              {label} {besideText(at?.read[name]?.value ?? taken?.(plan.bench), unit === 'titre' ? '' : unit)}
            </button>
          ))}
        </p>
      ) : null}
      <div className="entry-acts">
        {mayEnd ? (
          <button type="button" className="act" onClick={() => end('sign')}>
            {titrates ? 'Sign seen: enter and end' : 'It is so: end it'} <kbd>E</kbd>
          </button>
        ) : null}
        {mayEnd && titrates ? (
          <button type="button" className="act second" onClick={() => end('past')}>
            Past it
          </button>
        ) : null}
        {begun ? (
          <button type="button" className="act second" onClick={() => end('spoilt')}>
            Spoilt, repeat
          </button>
        ) : null}
        {titrates && begun && at.levels.length > 0 ? <Refill assay={assay} onRefill={enterAll} /> : null}
        {titrates && !begun ? (
          <button type="button" className="link" aria-pressed={asBlank} onClick={() => setAsBlank(!asBlank)}>
            {asBlank ? 'no blank after all' : 'a blank first …'}
          </button>
        ) : null}
        {state.lastId ? (
          <button
            type="button"
            className="link"
            onClick={() => enterAll([{ kind: 'withdrawn', of: state.lastId ?? '' }])}
          >
            Take the last entry back
          </button>
        ) : null}
      </div>
    </div>
  );
}

function Refill({ assay, onRefill }: { assay: OpenAssay; onRefill: (bodies: readonly AssayBody[]) => boolean }) {
  const [open, setOpen] = useState(false);
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [problem, setProblem] = useState('');
  const { plan, state } = assay;
  const unit = plan.byMass ? 'g' : 'mL';
  const onEnter = () => {
    const [a, b] = [parseNumber(from), parseNumber(to)];
    if (!a.ok) return setProblem(a.problem.message);
    if (!b.ok) return setProblem(b.problem.message);
    if (onRefill([{ kind: 'refilled', replicate: state.current, from: a.value, to: b.value }])) setOpen(false);
  };
  if (!open)
    return (
      <button type="button" className="link" onClick={() => setOpen(true)}>
        filled up …
      </button>
    );
  return (
    <EntryForm onEnter={onEnter}>
      <div className="pane-row">
        <Field label="It stood at" problem={problem}>
          {(bound) => (
            <Input
              {...bound}
              value={from}
              suffix={unit}
              inputMode="decimal"
              onChange={(event) => setFrom(event.target.value)}
            />
          )}
        </Field>
        <Field label="and stands now at">
          {(bound) => (
            <Input
              {...bound}
              value={to}
              suffix={unit}
              inputMode="decimal"
              onChange={(event) => setTo(event.target.value)}
            />
          )}
        </Field>
        <button type="submit" className="act second">
          Enter it
        </button>
      </div>
    </EntryForm>
  );
}

/** What a reading stands at, in brackets; empty while it is not read. */
function besideText(value: number | undefined, unit: string): string {
  return value === undefined ? '' : `(${value} ${unit})`.replace(' )', ')');
}

function labelOf(reads: string | null, { plan }: OpenAssay): string {
  if (reads === 'level') return plan.byMass ? 'The dropper bottle weighs' : 'The burette stands at';
  if (reads === 'sampleG') return 'The sample weighs';
  const method = methodById(plan.methodId);
  const entry = method?.is === 'measured' ? method.entries.find(({ name }) => name === reads) : undefined;
  return entry ? capital(entry.label) : 'Reading';
}

function unitOf(reads: string, { plan }: OpenAssay): string {
  const byTitre = plan.byMass ? 'g' : 'mL';
  if (reads === 'level') return byTitre;
  if (reads === 'sampleG') return 'g';
  const method = methodById(plan.methodId);
  const entry = method?.is === 'measured' ? method.entries.find(({ name }) => name === reads) : undefined;
  return entry?.unit === 'titre' ? byTitre : (entry?.unit ?? '');
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
