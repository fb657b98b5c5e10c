import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { formatNumber } from '#base/units';
import type { VerbOutput } from '#contract/verbs';
import { useBottles } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { useCompute } from '../worker/compute.ts';
import '../planning/planning.css';

type Answer = VerbOutput<'recipe'>;

const EXAMPLE = `Basic copper carbonate. Dissolve 50 g of copper sulfate in a cup of hot water. Add 3 tablespoons of washing soda in half a pint of water, stirring. Filter, wash, and dry in the oven at 400 °F. Gives about 40 g of copper carbonate.`;

/** A recipe as it is found: read while it is pasted or typed, judged, and made one's own. */
export function RecipePage() {
  const navigate = useNavigate();
  const bottles = useBottles();
  const [text, setText] = useState('');
  const [wantedG, setWantedG] = useState<number | null>(null);
  const answer = useCompute(
    'recipe',
    useMemo(
      () =>
        text.trim() === ''
          ? undefined
          : {
              text,
              wantedG: wantedG !== null && wantedG > 0 ? wantedG : null,
              shelf: (bottles.data ?? []).map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
            },
      [text, wantedG, bottles.data],
    ),
  );
  const { value, problem } = answer;
  const shown = text.trim() === '' || problem ? undefined : value;
  return (
    <>
      <h1>A recipe as found</h1>
      <Field
        label="Paste or type it, in its own units"
        grows
        problem={text.trim() === '' ? '' : (problem?.message ?? '')}
      >
        {(bound) => (
          <Input.TextArea
            {...bound}
            value={text}
            maxLength={10_000}
            autoSize={{ minRows: 5, maxRows: 14 }}
            placeholder={EXAMPLE}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Field>
      {text.trim() === '' ? (
        <p className="quiet">
          Spoons, cups, ounces, °F, parts and “a little” are read.{' '}
          <button type="button" className="link" onClick={() => setText(EXAMPLE)}>
            Try one with two faults in it
          </button>
        </p>
      ) : null}
      {shown ? (
        <>
          <Judged answer={shown} />
          <Takes answer={shown} />
          {shown.draft ? (
            <div className="plan-acts">
              <NumberField label="Scaled to, g of product" value={wantedG} onChange={setWantedG} />
              <button
                type="button"
                className="act"
                onClick={() => void navigate('/plan/own', { state: { own: onlyDraft(shown.draft) } })}
              >
                Make it from my bottles
              </button>
              {shown.draft.lacking.length > 0 ? (
                <span className="quiet">Not on your shelf: {shown.draft.lacking.join(', ')}.</span>
              ) : null}
            </div>
          ) : null}
        </>
      ) : null}
    </>
  );
}

function onlyDraft(draft: Answer['draft']) {
  if (!draft) return {};
  const { text, bottles, equations, controls } = draft;
  return { text, bottles, equations, controls };
}

/** What does not fit comes first. */
function Judged({ answer: { read } }: { answer: Answer }) {
  return (
    <div className="recipe-judged" aria-live="polite">
      {read.odd.length > 0 ? (
        <section aria-labelledby="recipe-odd">
          <h2 id="recipe-odd">Odd in it</h2>
          <ul>
            {read.odd.map((each) => (
              <li key={each} className="caution">
                {each}
              </li>
            ))}
          </ul>
        </section>
      ) : (
        <p className="within">Nothing in it is out of proportion, as far as it can be told.</p>
      )}
      {read.missing.length > 0 ? (
        <section aria-labelledby="recipe-missing">
          <h2 id="recipe-missing">Not said</h2>
          <ul>
            {read.missing.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </section>
      ) : null}
    </div>
  );
}

function Takes({ answer: { read } }: { answer: Answer }) {
  return (
    <section aria-labelledby="recipe-takes">
      <h2 id="recipe-takes">As it is read</h2>
      <table className="routes">
        <thead>
          <tr>
            <th scope="col">written</th>
            <th scope="col">taken as</th>
            <th scope="col">mol</th>
            <th scope="col">of what can react</th>
          </tr>
        </thead>
        <tbody>
          {read.ingredients.map(({ substance, typed, says, mol, times, limits }) => (
            <tr key={substance.id}>
              <td>{typed}</td>
              <td>{says}</td>
              <td>{mol === null ? '–' : formatNumber(mol, 3)}</td>
              <td>{limits ? <b className="limits">▲ limits</b> : timesText(times)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {read.equation ? <p className="mono">{read.equation}</p> : null}
      {read.makes ? (
        <p>
          Makes {read.makes.name}
          {read.theoryG === null ? '' : `: at most ${formatNumber(read.theoryG, 3)} g can come of it`}
          {read.promisedG === null ? '' : `; it promises ${formatNumber(read.promisedG, 3)} g`}.
        </p>
      ) : null}
    </section>
  );
}

function timesText(times: number | null): string {
  if (times === null) return '–';
  return `${formatNumber(times, 3)} times`;
}
