import { Button, Input } from 'antd';
import { useState } from 'react';
import type { Hours } from '#matter/gear';
import { Field } from '../kit/field.tsx';
import { whenSaid } from '../parts/when-text.ts';

interface AwayListProps {
  readonly away: Hours['away'];
  readonly onChange: (away: Hours['away']) => void;
}

/** When one is away: what is entered, and one more. */
export function AwayList({ away, onChange }: AwayListProps) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [begins, ends] = [Date.parse(from), Date.parse(to)];
  const both = from !== '' && to !== '';
  const wrong = both && !(ends > begins) ? 'It ends before it begins: say a later end.' : '';
  const now = Date.now();
  const ahead = away.filter((each) => Date.parse(each.to) > now);
  const add = () => {
    const next = { from: new Date(begins).toISOString(), to: new Date(ends).toISOString(), why: '' };
    onChange([...ahead, next].sort((a, b) => a.from.localeCompare(b.from)));
    setFrom('');
    setTo('');
  };
  return (
    <fieldset className="gear">
      <legend>Away</legend>
      {ahead.length > 0 ? (
        <ul className="week-list">
          {ahead.map((each) => {
            const said = `${whenSaid(Date.parse(each.from), now)} to ${whenSaid(Date.parse(each.to), now)}`;
            return (
              <li key={each.from + each.to}>
                {said}
                {each.why === '' ? '' : `, ${each.why}`}{' '}
                <button
                  type="button"
                  className="link"
                  aria-label={`Not away ${said}`}
                  onClick={() => onChange(ahead.filter((one) => one !== each))}
                >
                  not away
                </button>
              </li>
            );
          })}
        </ul>
      ) : null}
      <div className="form-grid">
        <Field label="Away from" problem={wrong}>
          {(bound) => (
            <Input {...bound} type="datetime-local" value={from} onChange={(event) => setFrom(event.target.value)} />
          )}
        </Field>
        <Field label="back by">
          {(bound) => (
            <Input {...bound} type="datetime-local" value={to} onChange={(event) => setTo(event.target.value)} />
          )}
        </Field>
      </div>
      <Button onClick={add} disabled={!both || wrong !== ''}>
        Add it
      </Button>
    </fieldset>
  );
}
