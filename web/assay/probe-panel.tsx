import { Input } from 'antd';
import { useState } from 'react';
import { formatNumber, parseNumber } from '#base/units';
import type { AssayBody, ReplicateState } from '#model/assay';
import { EntryForm } from '../kit/entry-form.tsx';
import { Field } from '../kit/field.tsx';
import { compute } from '../worker/door.ts';
import { CurveChart } from './curve-chart.tsx';
import type { OpenAssay } from './use-assay.ts';

/** Additions that the simulated burette offers, mL. */
const STEPS = [5, 1, 0.2, 0.05] as const;

/** A pH probe beside the burette: read by hand, replayed from a table, or simulated for practice. The curve grows as it is read. */
export function ProbePanel({ assay, at }: { assay: OpenAssay; at: ReplicateState | undefined }) {
  const { plan, entries, state, enter } = assay;
  const [source, setSource] = useState<'hand' | 'simulated' | 'table'>('hand');
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const probed = at?.probed ?? [];
  const last = probed.at(-1)?.titreMl ?? 0;
  const ready = at?.state === 'open' && at.read.sampleG !== undefined;
  const read = (points: readonly { titre: number; pH: number }[], simulated = false) =>
    enter(
      points.map(
        ({ titre, pH }): AssayBody => ({
          kind: 'probed',
          replicate: state.current,
          titre,
          pH,
          ...(simulated ? { simulated } : {}),
        }),
      ),
    );
  const run = async (ml: number) => {
    setBusy(true);
    const titreMl = Number((last + ml).toFixed(3));
    const seed = seedOf(plan.id);
    const found = await compute('probe', { plan, entries: [...entries], replicate: state.current, titreMl, seed });
    setBusy(false);
    if (found.ok) read([{ titre: titreMl, pH: found.value.pH }], true);
    else setSaid(found.problem.message);
  };
  const { probe } = at ?? {};
  return (
    <section aria-label="pH probe" className="probe">
      <div className="row" role="radiogroup" aria-label="Where readings come from">
        {(['hand', 'simulated', 'table'] as const).map((each) => (
          <label key={each}>
            <input type="radio" name="probe" checked={source === each} onChange={() => setSource(each)} />{' '}
            {SOURCES[each]}
          </label>
        ))}
      </div>
      {ready ? null : <p className="quiet">Weigh the sample first; then the probe is read from the first drop on.</p>}
      {ready && source === 'simulated' ? (
        <div className="row">
          {STEPS.map((ml) => (
            <button key={ml} type="button" className="act second" disabled={busy} onClick={() => void run(ml)}>
              {ml === 0.05 ? 'a drop' : `${ml} mL`}
            </button>
          ))}
          <span className="mono" role="status">
            {formatNumber(last, 4)} mL{probed.length > 0 ? `, pH ${probed.at(-1)?.pH.toFixed(2)}` : ''}
          </span>
          <span className="small watch">Practice: what is found so is not written on the bottle.</span>
        </div>
      ) : null}
      {ready && source === 'hand' ? <ByHand onRead={(titre, pH) => read([{ titre, pH }])} /> : null}
      {ready && source === 'table' ? <ByTable onRead={read} /> : null}
      {said ? <p className="problem">{said}</p> : null}
      {probe && probe.points.length > 1 ? (
        <>
          <CurveChart
            curve={[]}
            points={probe.points}
            ends={probe.end ? [{ titreMl: probe.end.titreMl, pH: 7 }] : []}
          />
          <p className="small quiet">
            {probe.end
              ? `Steepest at ${formatNumber(probe.end.titreMl, 4)} ± ${formatNumber(2 * probe.end.sdMl, 1)} mL. `
              : ''}
            {probe.gran ? `Gran’s line: ${formatNumber(probe.gran.titreMl, 4)} mL. ` : ''}
            {probe.fit
              ? `The whole curve: ${formatNumber(probe.fit.titreMl, 4)} mL, pKa ${probe.fit.pKa.toFixed(2)} ± ${formatNumber(2 * probe.fit.pKaSd, 1)}, probe off by ${probe.fit.offset.toFixed(2)}.`
              : ''}
          </p>
        </>
      ) : null}
    </section>
  );
}

const SOURCES = { hand: 'read by hand', simulated: 'simulated, to practise', table: 'from a table (CSV)' } as const;

/** The same rehearsal for the same assay. */
function seedOf(id: string): number {
  let seed = 7;
  for (const char of id) seed = (seed * 31 + char.charCodeAt(0)) % 99_991;
  return seed;
}

function ByHand({ onRead }: { onRead: (titre: number, pH: number) => void }) {
  const [ml, setMl] = useState('');
  const [pH, setPh] = useState('');
  const [problem, setProblem] = useState('');
  const onEnter = () => {
    const [a, b] = [parseNumber(ml), parseNumber(pH)];
    if (!a.ok) return setProblem(a.problem.message);
    if (!b.ok) return setProblem(b.problem.message);
    if (a.value < 0 || b.value < -2 || b.value > 16)
      return setProblem('Titrant is 0 mL or more; a pH lies between −2 and 16.');
    onRead(a.value, b.value);
    setMl('');
    setPh('');
    return setProblem('');
  };
  return (
    <EntryForm onEnter={onEnter}>
      <div className="pane-row">
        <Field label="After" problem={problem}>
          {(bound) => (
            <Input
              {...bound}
              value={ml}
              suffix="mL"
              inputMode="decimal"
              onChange={(event) => setMl(event.target.value)}
            />
          )}
        </Field>
        <Field label="the probe shows">
          {(bound) => (
            <Input
              {...bound}
              value={pH}
              prefix="pH"
              inputMode="decimal"
              onChange={(event) => setPh(event.target.value)}
            />
          )}
        </Field>
        <button type="submit" className="act done">
          Enter it
        </button>
      </div>
    </EntryForm>
  );
}

function ByTable({ onRead }: { onRead: (points: readonly { titre: number; pH: number }[]) => void }) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const onEnter = () => {
    const points: { titre: number; pH: number }[] = [];
    for (const [i, line] of text.trim().split(/\r?\n/).entries()) {
      const [a, b] = line.split(/[;\t]|,(?=\s)|(?<=\.\d+),|,(?=\d+\.)/).map((each) => parseNumber(each.trim()));
      if (!a?.ok || !b?.ok) {
        // A first line of headings is passed over.
        if (i === 0) continue;
        return setProblem(`Line ${i + 1} is not two numbers, mL and pH: “${line.slice(0, 40)}”.`);
      }
      points.push({ titre: a.value, pH: b.value });
    }
    if (points.length === 0) return setProblem('Paste lines of two numbers, mL and pH, such as 12.5; 4.62.');
    onRead(points);
    setText('');
    return setProblem('');
  };
  return (
    <EntryForm onEnter={onEnter}>
      <Field label="mL and pH, a reading a line" problem={problem} hint="">
        {(bound) => (
          <Input.TextArea
            {...bound}
            rows={4}
            value={text}
            placeholder={'0; 2.9\n5; 4.1'}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Field>
      <button type="submit" className="act second">
        Take them in
      </button>
    </EntryForm>
  );
}
