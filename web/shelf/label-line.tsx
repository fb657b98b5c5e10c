import { lazy, Suspense, useId, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { BenchAnswer } from '#contract/api';
import type { AwayFound, LabelAnswer } from '#matter/label';
import type { BottleCard } from '#matter/stock';
import { sentenceOf } from '../api/client.ts';
import { usePutBottle, useSaveBench } from '../api/queries.ts';
import { Asked } from '../parts/asked.tsx';
import { today } from '../parts/day.ts';
import { Num } from '../parts/num.tsx';
import { useCompute } from '../worker/compute.ts';
import { useWhenSettled } from '../worker/use-when-settled.ts';

const DescribeForm = lazy(async () => ({ default: (await import('./describe-form.tsx')).DescribeForm }));
const CardForm = lazy(async () => ({ default: (await import('./card-form.tsx')).CardForm }));

/** “The label says …”: what is typed is read as it is typed, what was understood stands below, Enter puts it on the shelf. */
export function LabelLine({ tempC, bench }: { tempC: number; bench: BenchAnswer | undefined }) {
  const id = useId();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const put = usePutBottle();
  const save = useSaveBench();
  const [text, setText] = useState('');
  const [asked, setAsked] = useState(false);
  const [correcting, setCorrecting] = useState<BottleCard | null>(null);
  const [describing, setDescribing] = useState(false);
  const [said, setSaid] = useState('');
  const parsed = useCompute(
    'label',
    useMemo(() => (text.trim() === '' ? undefined : { text, today: today(), tempC }), [text, tempC]),
  );
  const { value } = parsed;
  const ready =
    value?.reading.card && value.reading.problems.length === 0 && value.reading.card.labelText === text.trim()
      ? value.reading.card
      : undefined;

  const place = (card: BottleCard) => {
    put.mutate(
      { card },
      {
        onSuccess: ({ id: bottleId }) => {
          setText('');
          setAsked(false);
          setCorrecting(null);
          setDescribing(false);
          setSaid(`${card.name} stands on the shelf.`);
          void navigate(`/shelf/${bottleId}`);
        },
      },
    );
  };

  const keepAway = ({ id: awayId, name, place: where }: AwayFound) => {
    if (!bench) return;
    const away = [
      ...(bench.bench.away ?? []).filter((each) => each.id !== awayId),
      { id: awayId, place: where.toLowerCase() },
    ];
    save.mutate(
      { basedOn: bench.version, bench: { ...bench.bench, away } },
      {
        onSuccess: () => {
          setText('');
          setSaid(`${name} stands as something to keep away from.`);
          void navigate('/shelf?view=places');
        },
      },
    );
  };

  const entry = useWhenSettled(parsed.busy, () => {
    if (ready) place(ready);
    else input.current?.focus();
  });

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        setAsked(true);
        entry.ask();
      }}
    >
      <div className="label-line">
        <label htmlFor={id} className="quiet">
          The label says
        </label>
        <input
          id={id}
          ref={input}
          value={text}
          placeholder="hydrochloric acid 28% 5 L 11.50"
          autoComplete="off"
          spellCheck={false}
          maxLength={300}
          aria-describedby={`${id}-read`}
          onChange={(event) => {
            setText(event.target.value);
            setSaid('');
            entry.forget();
          }}
        />
        <button type="submit" className="link" disabled={put.isPending}>
          Put on the shelf ↵
        </button>
      </div>
      <div className="label-parts" id={`${id}-read`} aria-live="polite">
        {text.trim() === '' ? (
          <span className="quiet">
            {said || (asked ? 'Nothing is typed yet: name it, its strength and its size.' : '')}
          </span>
        ) : null}
        {text.trim() !== '' && value ? <Understood answer={value} /> : null}
        {text.trim() !== '' && value?.reading.question ? (
          <Asked
            question={value.reading.question}
            onChoose={(chosen) => {
              setText(chosen);
              input.current?.focus();
            }}
          />
        ) : null}
        {text.trim() !== '' && value?.away ? (
          <button type="button" className="link" onClick={() => value.away && keepAway(value.away)}>
            stand “{value.away.name}” as something to keep away from …
          </button>
        ) : null}
        {text.trim() !== '' && value && isUnknown(value) ? (
          <button type="button" className="link" onClick={() => setDescribing(true)}>
            it is something else: describe it …
          </button>
        ) : null}
        {ready ? (
          <button type="button" className="link" onClick={() => setCorrecting(ready)}>
            correct …
          </button>
        ) : null}
        {value?.reading.card && !ready && text.trim() !== '' ? (
          <button type="button" className="link" onClick={() => setCorrecting(value.reading.card ?? null)}>
            fill in …
          </button>
        ) : null}
        {put.isError && !correcting ? <p className="problem">{sentenceOf(put.error)}</p> : null}
        {save.isError ? <p className="problem">{sentenceOf(save.error)}</p> : null}
      </div>
      {describing ? (
        <Suspense fallback={null}>
          <DescribeForm
            label={text}
            tempC={tempC}
            busy={put.isPending}
            onPut={place}
            onClose={() => setDescribing(false)}
          />
        </Suspense>
      ) : null}
      {correcting ? (
        <Suspense fallback={null}>
          <CardForm
            card={correcting}
            title="What the label says"
            okText="Put on the shelf"
            busy={put.isPending}
            problem={put.isError ? sentenceOf(put.error) : ''}
            onSave={place}
            onClose={() => setCorrecting(null)}
          />
        </Suspense>
      ) : null}
    </form>
  );
}

/** Whether nothing known is named, so that its owner may say what it is. What is known and refused is not described again. */
function isUnknown({ reading }: LabelAnswer): boolean {
  return !reading.card && !reading.question && reading.problems.some(({ code }) => code === 'unknown-substance');
}

function Understood({ answer }: { answer: LabelAnswer }) {
  const { reading, view } = answer;
  const c = view?.strengths.find((figure) => figure.unit === 'mol/L');
  return (
    <>
      {reading.parts.map((part) => (
        <span key={part.at[0]}>
          <span className={part.reading.startsWith('not') ? 'stop' : 'within'}>
            {part.reading.startsWith('not') ? '? ' : '✓ '}
          </span>
          {part.reading}
        </span>
      ))}
      {c ? (
        <span>
          → <Num figure={c} />
        </span>
      ) : null}
      {reading.assumptions.map((each) => (
        <span key={each} className="watch">
          ? {each}
        </span>
      ))}
      {reading.problems
        .filter(({ message }) => message !== reading.question?.asks)
        .map((each) => (
          <p key={each.message} className="problem">
            {each.message}
          </p>
        ))}
    </>
  );
}
