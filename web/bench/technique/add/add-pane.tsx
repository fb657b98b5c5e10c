import type { InputRef } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { exactReading, type Quantity, type Reading } from '#base/reading';
import { formatNumber, formatPlain } from '#base/units';
import { amountProblem } from '#run/state';
import type { AddAdvice, Adds } from '#run/technique';
import { AmountField, readAmount } from '#web/kit/amount-field.tsx';
import { EntryForm } from '#web/kit/entry-form.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { DoseBar } from './dose-bar.tsx';
import { amountText, poured } from './poured.ts';

/** Papers as one reads them: a colour and the band it stands for. */
const PAPERS: readonly { name: string; low: number; high: number }[] = [
  { name: 'red, under 3', low: 0, high: 3 },
  { name: 'orange, 4 to 6', low: 4, high: 6 },
  { name: 'green, 7 to 8', low: 7, high: 8 },
  { name: 'blue, over 9', low: 9, high: 12 },
];
const FOAMS: readonly { name: string; share: number }[] = [
  { name: 'no foam', share: 0 },
  { name: 'foam to a third', share: 1 / 3 },
  { name: 'to two thirds', share: 2 / 3 },
  { name: 'to the rim', share: 1 },
];

/** Adding by portions: the pane that stands open while it goes on; nothing where all is put in at once. */
export function Portionwise({ run, step, says }: Pick<PaneProps, 'run' | 'step'> & { says: Adds | null }) {
  if (!step.template?.adding) return null;
  return (
    <div className="pane">
      <AddPane run={run} step={step} add={says?.add ?? null} />
    </div>
  );
}

/** What a look tells here: not yet, or enough. */
function sightsOf({ sights }: AddAdvice) {
  return [
    { text: sights.notYet, enough: false },
    { text: sights.enough, enough: true },
  ];
}

/** Adding a little, looking, deciding: the next portion and when, what is in, where to stop, and what was seen. */
export function AddPane({ run, step, add }: Pick<PaneProps, 'run' | 'step'> & { add: AddAdvice | null }) {
  const { plan } = run.batch;
  const first = useRef<InputRef>(null);
  const [text, setText] = useState('');
  const [unit, setUnit] = useState<string>(step.addition?.dose.take.unit ?? 'g');
  const [problem, setProblem] = useState('');
  useEffect(() => first.current?.focus(), []);
  if (!add) return <p className="quiet">Computing the next addition …</p>;

  const putIn = (reading: Reading) =>
    run.enter({ kind: 'added', step: step.key, role: add.role, bottleId: add.bottleId, reading, reason: '' });
  const read = (quantity: Quantity, reading: Reading) =>
    run.enter({ kind: 'read', step: step.key, quantity, reading, place: '' });
  const enter = () => {
    const amount = readAmount(text, unit, plan.bench.measures);
    if (!amount.ok) return setProblem(amount.problem.message);
    const refused = amountProblem(amount.value);
    if (refused) return setProblem(refused);
    putIn(amount.value);
    setText('');
    first.current?.focus();
  };
  const next = poured(add, add.next.grams);
  const vessel = run.state.sheet.vessel?.vessel;
  const freeMl = vessel ? Math.max(0, vessel.capacityMl - (run.state.sheet.now?.volumeMl ?? 0)) : 0;
  return (
    <div className="add">
      <DoseBar add={add} />
      <Warnings add={add} />
      {add.early ? (
        <p className="caution" role="status">
          {add.early}
        </p>
      ) : null}
      <p className="add-next" aria-live="polite">
        <Next add={add} />
      </p>
      <EntryForm className="pane-row" onEnter={enter}>
        {add.next.grams > 0 && add.next.waitMin === 0 ? (
          <button type="button" className="act" onClick={() => putIn(exactReading(next.value, next.unit))}>
            {formatPlain(next.value)} {next.unit} went in
          </button>
        ) : null}
        <AmountField
          label="Or really went in"
          text={text}
          unit={unit}
          units={step.addition?.dose.volume ? ['g', 'mL'] : ['g']}
          measures={plan.bench.measures}
          problem={problem}
          fieldRef={first}
          onText={(next) => {
            setText(next);
            setProblem('');
          }}
          onUnit={setUnit}
        />
        <button type="submit" className="tab">
          It is in
        </button>
      </EntryForm>
      <fieldset className="seen">
        <legend>Test, and say what you see. Enough when {add.endpoint}.</legend>
        <div className="chips">
          {sightsOf(add).map((said) => (
            <button
              key={said.text}
              type="button"
              className="tab tab-more"
              onClick={() => read('sight', { is: 'sight', ...said })}
            >
              {said.text}
            </button>
          ))}
          {(add.byPaper ? PAPERS : []).map(({ name, low, high }) => (
            <button
              key={name}
              type="button"
              className="tab tab-more"
              onClick={() => read('pH', { is: 'band', low, high, unit: '' })}
            >
              {name}
            </button>
          ))}
          {freeMl > 0 && add.foams
            ? FOAMS.map(({ name, share }) => (
                <button
                  key={name}
                  type="button"
                  className="tab tab-more"
                  onClick={() => read('foam', exactReading(Math.round(freeMl * share), 'mL'))}
                >
                  {name}
                </button>
              ))
            : null}
        </div>
      </fieldset>
      <p className="small quiet">{add.price}</p>
    </div>
  );
}

function Next({ add }: { add: AddAdvice }) {
  const { next, band } = add;
  if (band.place === 'past')
    return (
      <>
        Past the window by {amountText(add, band.overG)}. <b>Stop</b>, and test.
      </>
    );
  if (next.grams <= 0) return <>All is in. Test.</>;
  const { value, unit } = poured(add, next.grams);
  const amount = (
    <b>
      {formatPlain(value)} {unit}
    </b>
  );
  const why = WHY[next.limitedBy];
  return (
    <>
      Next: {amount} {next.waitMin > 0 ? `in about ${formatPlain(next.waitMin)} min, for ${next.waitFor}` : 'now'}
      <span className="quiet"> {why}</span>
      {band.place === 'inside' ? <b className="within"> Inside the window: test before every portion.</b> : null}
    </>
  );
}

const WHY: Readonly<Record<AddAdvice['next']['limitedBy'], string>> = {
  foam: '(about; as much as the foam allows in this vessel)',
  heat: '(about; as much as stays below the ceiling)',
  gas: '(as much gas as this room takes in a quarter of an hour: outdoors it may be more)',
  evenness: '(a fifth of the dose at most)',
  'the dose': '(the rest)',
  nothing: '',
};

function Warnings({ add }: { add: AddAdvice }) {
  const { pending, warnings } = add.next;
  return (
    <>
      {warnings.map((each) => (
        <p key={each} className="caution caution-stop" role="alert">
          {each}
        </p>
      ))}
      {pending.grams > 0.1 && !pending.danger ? (
        <p className="small quiet">
          About {formatNumber(pending.grams, 2)} g is in that has not reacted yet
          {pending.riseK > 1 ? `: ${formatNumber(pending.riseK, 2)} K still to come` : ''}.
        </p>
      ) : null}
    </>
  );
}
