import { Input, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { mishaps } from '#run/log';
import { EntryForm } from '../kit/entry-form.tsx';
import { Field } from '../kit/field.tsx';
import type { Run } from '../run/use-run.ts';

const SHARES = [
  { value: -1, label: 'not known' },
  { value: 0, label: 'none of it' },
  { value: 0.1, label: 'a tenth of it' },
  { value: 0.25, label: 'a quarter of it' },
  { value: 0.5, label: 'half of it' },
  { value: 0.75, label: 'three quarters of it' },
  { value: 1, label: 'all of it' },
] as const;
const SAID = ['no', 'yes', 'not said'] as const;

interface MishapEntryProps {
  readonly run: Run;
  readonly step: string;
  readonly vessel: string;
  readonly what: string;
  readonly onWhat: (what: string) => void;
}

/** What happened, in a line, kept in the record: how much is out, where, and whether it reached anyone. */
export function MishapEntry({ run, step, vessel, what, onWhat }: MishapEntryProps) {
  const [share, setShare] = useState<number>(-1);
  const [where, setWhere] = useState('');
  const [skin, setSkin] = useState<(typeof SAID)[number]>('not said');
  const [eye, setEye] = useState<(typeof SAID)[number]>('not said');
  const [done, setDone] = useState('');
  const [kept, setKept] = useState(false);
  const keep = () => {
    run.enter({
      kind: 'went-wrong',
      step,
      what: mishaps.find((each) => each === what) ?? 'it spilled',
      vessel,
      share: share < 0 ? null : share,
      where: where.trim(),
      skin,
      eye,
      done: done.trim(),
    });
    setKept(true);
    setDone('');
  };
  return (
    <section aria-label="What happened" className="mishap no-print">
      <EntryForm onEnter={keep}>
        <div className="pane-row">
          <Choice label="What" value={what} options={mishaps} onChange={onWhat} />
          <Field label="How much is out">
            {(bound) => (
              <Select {...bound} style={{ minWidth: 128 }} value={share} options={[...SHARES]} onChange={setShare} />
            )}
          </Field>
          <Field label="Where it went">
            {(bound) => (
              <Input
                {...bound}
                value={where}
                maxLength={120}
                placeholder="the tray"
                onChange={(event) => setWhere(event.target.value)}
              />
            )}
          </Field>
          <Choice label="On skin" value={skin} options={SAID} onChange={setSkin} />
          <Choice label="In the eye" value={eye} options={SAID} onChange={setEye} />
          <Field label="What was done">
            {(bound) => (
              <Input
                {...bound}
                value={done}
                maxLength={500}
                placeholder="soda on it, fizz going on"
                onChange={(event) => setDone(event.target.value)}
              />
            )}
          </Field>
          <button type="submit" className="act">
            Keep in the record
          </button>
        </div>
      </EntryForm>
      <p role="status" className="small">
        {kept ? (
          <>
            It stands in the record, and what is left in the vessel is computed with it.{' '}
            <Link to={`/bench/${run.batch.id}`}>Go on with what is left</Link>, or end the batch there.
          </>
        ) : null}
      </p>
    </section>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T | string;
  readonly options: readonly T[];
  readonly onChange: (next: T) => void;
}

function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <Field label={label}>
      {(bound) => (
        <Select
          {...bound}
          style={{ minWidth: 104 }}
          value={value}
          options={options.map((each) => ({ value: each, label: each }))}
          onChange={(next) => onChange(next as T)}
        />
      )}
    </Field>
  );
}
