import { Input, Segmented } from 'antd';
import { useState } from 'react';
import { parseQuantity } from '#base/units';
import type { Happened } from '#run/log';
import { notebookInstant, notebookTime } from './clock.ts';
import { Field } from './field.tsx';

export const nowHappened = (): Happened => ({ at: notebookInstant(), giveOrTakeMin: 0 });

/** When it happened: now, or earlier, as near as is known. */
export function WhenField({ onChange }: { onChange: (happened: (() => Happened) | null) => void }) {
  const [late, setLate] = useState(false);
  const [ago, setAgo] = useState('');
  const [give, setGive] = useState('');
  const [problem, setProblem] = useState('');
  const read = (isLate: boolean, agoText: string, giveText: string) => {
    setLate(isLate);
    setAgo(agoText);
    setGive(giveText);
    setProblem('');
    if (!isLate) return onChange(nowHappened);
    const back = parseQuantity(agoText, ['time']);
    const about = giveText.trim() === '' ? undefined : parseQuantity(giveText, ['time']);
    if (!back.ok || (about && !about.ok)) {
      const refused = back.ok ? about : back;
      setProblem(agoText === '' || !refused || refused.ok ? '' : refused.problem.message);
      return onChange(null);
    }
    const happened = {
      at: new Date(notebookTime() - back.value.value * 1000).toISOString(),
      giveOrTakeMin: about ? about.value.value / 60 : 0,
    };
    onChange(() => happened);
  };
  return (
    <div>
      <Field label="When" problem={problem}>
        {() => (
          <Segmented
            aria-label="When it happened"
            options={['now', 'earlier']}
            value={late ? 'earlier' : 'now'}
            onChange={(value) => read(value === 'earlier', ago, give)}
          />
        )}
      </Field>
      {late ? (
        <div className="pane-row">
          <Field label="how long ago">
            {(bound) => (
              <Input
                {...bound}
                value={ago}
                placeholder="2 d"
                onChange={(event) => read(true, event.target.value, give)}
              />
            )}
          </Field>
          <Field label="give or take">
            {(bound) => (
              <Input
                {...bound}
                value={give}
                placeholder="6 h"
                onChange={(event) => read(true, ago, event.target.value)}
              />
            )}
          </Field>
        </div>
      ) : null}
    </div>
  );
}
