import { useState } from 'react';
import { exactReading, parseReading, readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import type { Run } from '#web/run/use-run.ts';

interface LogHeadProps {
  readonly run: Run;
  readonly step: string;
  /** What it should read now, °C; null before the first drop. */
  readonly expected: number | null;
  /** mL that can go over in all; null while it is not known. */
  readonly mostMl: number | null;
}

type What = 'head' | 'pot' | 'volume';
const ASK: Readonly<Record<What, { readonly label: string; readonly unit: string; readonly hint: string }>> = {
  head: { label: 'head', unit: '°C', hint: '107.4' },
  pot: { label: 'flask', unit: '°C', hint: '108.0' },
  volume: { label: 'in the receiver', unit: 'mL', hint: '57' },
};

/** A head temperature in one tap, beside what is expected; anything else typed. */
export function LogHead({ run, step, expected, mostMl }: LogHeadProps) {
  const [open, setOpen] = useState(false);
  const [what, setWhat] = useState<What>('head');
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const enter = (kind: What, value: number) =>
    run.enter({
      kind: 'read',
      step,
      quantity: kind === 'volume' ? 'volume' : 'temperature',
      reading: exactReading(value, ASK[kind].unit === 'mL' ? 'mL' : '°C'),
      place: kind === 'volume' ? '' : kind,
    });
  const typed = () => {
    const { unit, hint } = ASK[what];
    const read = parseReading(text, unit === 'mL' ? 'mL' : '°C');
    const value = read.ok ? readingValue(read.value) : undefined;
    if (!value || value.unit !== unit) {
      setProblem(`Write it like ${hint} ${unit}.`);
      return;
    }
    const sense =
      what === 'volume' ? value.value >= 0 && value.value <= 50_000 : value.value > -50 && value.value < 400;
    if (!sense) {
      setProblem(what === 'volume' ? 'A volume is 0 mL or more.' : 'No thermometer of a still reads that.');
      return;
    }
    if (what === 'volume' && mostMl !== null && value.value > mostMl * 1.02) {
      setProblem(
        `Only ${formatNumber(mostMl, 3)} mL can go over in all: read it again, or enter what went in besides.`,
      );
      return;
    }
    enter(what, value.value);
    setText('');
    setProblem('');
  };
  const near = expected === null ? [] : [-0.1, 0, 0.1].map((by) => Number((expected + by).toFixed(1)));
  return (
    <fieldset className="log-head">
      <legend className="sr">Log a reading</legend>
      <span>Log head, °C</span>
      {near.map((value, i) => (
        <button
          key={value}
          type="button"
          className={i === 1 ? 'log-value log-value-here' : 'log-value'}
          onClick={() => enter('head', value)}
        >
          {value.toFixed(1)}
        </button>
      ))}
      <button type="button" className="log-value" aria-expanded={open} onClick={() => setOpen(!open)}>
        other
      </button>
      {open ? (
        <span className="log-other">
          <select aria-label="What was read" value={what} onChange={(event) => setWhat(event.target.value as What)}>
            {(Object.keys(ASK) as What[]).map((each) => (
              <option key={each} value={each}>
                {ASK[each].label}, {ASK[each].unit}
              </option>
            ))}
          </select>
          <input
            aria-label={`${ASK[what].label}, ${ASK[what].unit}`}
            value={text}
            placeholder={ASK[what].hint}
            maxLength={20}
            inputMode="decimal"
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter') typed();
            }}
          />
          <button type="button" className="link" onClick={typed}>
            Enter
          </button>
          {problem ? <span className="problem">{problem}</span> : null}
        </span>
      ) : null}
    </fieldset>
  );
}
