import { Segmented } from 'antd';
import { useId, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { hoursText } from '#base/time';
import { formatNumber } from '#base/units';
import type { VerbOutput } from '#contract/verbs';
import { useBench, useBottles } from '../api/queries.ts';
import { useRoutesInUse } from '../api/routes.ts';
import { today } from '../parts/day.ts';
import { Num } from '../parts/num.tsx';
import { useCompute } from '../worker/compute.ts';
import '../planning/planning.css';

type Shown = VerbOutput<'chain'>['chains'][number];

const EXAMPLES = ['20 g zinc acetate from zinc', '20 g copper formate from copper sulfate', '30 g copper acetate'];

const RANKINGS = ['fewest to buy', 'least work', 'shortest wait', 'best yield', 'cheapest'] as const;
type Ranking = (typeof RANKINGS)[number];

/** What is not known comes last. */
const RANK: Readonly<Record<Ranking, (chain: Shown) => number>> = {
  'fewest to buy': ({ buys, handsOnH }) => buys.length * 1000 + handsOnH,
  'least work': ({ handsOnH }) => handsOnH,
  'shortest wait': ({ waitH }) => waitH[1],
  'best yield': ({ sheet }) => -(sheet?.yieldPct?.value ?? 0),
  cheapest: ({ sheet }) => sheet?.cost ?? Number.MAX_VALUE,
};

function ranked(chains: readonly Shown[], by: Ranking): readonly Shown[] {
  return [...chains].sort((a, b) => RANK[by](a) - RANK[by](b));
}

/** Ways to a reagent over what lies between: each drawn as a line, with the numbers of every step and of the whole. */
export function ChainPage() {
  const id = useId();
  const [search, setSearch] = useSearchParams();
  // The field is typed in, and not waited for: the address follows.
  const [text, setText] = useState(search.get('make') ?? '');
  const type = (next: string) => {
    setText(next);
    setSearch(next === '' ? {} : { make: next }, { replace: true });
  };
  const chosen = Number(search.get('chain') ?? 0);
  const bottles = useBottles();
  const bench = useBench();
  const routes = useRoutesInUse();
  const answer = useCompute(
    'chain',
    useMemo(
      () =>
        bench.data && bottles.data && text.trim() !== ''
          ? {
              text,
              shelf: bottles.data.map(({ id: bottle, card, usedG, archived }) => ({
                id: bottle,
                card,
                usedG,
                archived,
              })),
              bench: bench.data.bench,
              today: today(),
              routes,
            }
          : undefined,
      [text, bench.data, bottles.data, routes],
    ),
  );
  const [by, setBy] = useState<Ranking>('fewest to buy');
  const chains = useMemo(
    () => (text.trim() === '' ? [] : ranked(answer.value?.chains ?? [], by)),
    [text, answer.value, by],
  );
  const one = chains[chosen] ?? chains[0];
  return (
    <>
      <h1 className="sr">Chains</h1>
      <div className="target">
        <label htmlFor={id}>Make</label>
        <input
          id={id}
          value={text}
          maxLength={200}
          placeholder={EXAMPLES[0]}
          autoComplete="off"
          spellCheck={false}
          onChange={(event) => type(event.target.value)}
        />
      </div>
      {text.trim() === '' ? (
        <p className="quiet">
          What, and from what if you like:{' '}
          {EXAMPLES.map((each) => (
            <button key={each} type="button" className="link" onClick={() => type(each)}>
              {each}
            </button>
          ))}
        </p>
      ) : null}
      <div aria-live="polite">
        {text.trim() === ''
          ? null
          : answer.value?.problems.map((each) => (
              <p key={each.message} className="problem">
                {each.message}
              </p>
            ))}
        {answer.busy && chains.length === 0 ? <p className="quiet">Looking for ways there …</p> : null}
      </div>
      {chains.length > 1 ? (
        <Segmented
          aria-label="Best first by"
          size="small"
          options={[...RANKINGS]}
          value={by}
          onChange={(next) => {
            setBy(next);
            setSearch({ make: text }, { replace: true });
          }}
        />
      ) : null}
      <ol className="chains" aria-label="Chains">
        {chains.map((each, i) => (
          <li
            key={`${each.line.join()} ${each.buys.join()} ${each.handsOnH}`}
            className={each === one ? 'chain chain-chosen' : 'chain'}
          >
            <button
              type="button"
              className="chain-line"
              aria-pressed={each === one}
              onClick={() => setSearch({ make: text, chain: String(i) }, { replace: true })}
            >
              {each.line.map((name, at) => (
                <span key={name}>
                  {at > 0 ? <span className="chain-arrow"> → </span> : null}
                  {name}
                </span>
              ))}
            </button>
            <span className="quiet small">
              {hoursText(each.handsOnH)} hands on, {waitText(each.waitH)} waiting
              {each.sheet?.yieldPct ? `, overall ${formatNumber(each.sheet.yieldPct.value, 2)} %` : ''}
              {each.sheet?.cost ? `, costs ${each.sheet.cost.toFixed(2)}` : ''}
              {each.buys.length > 0 ? `; to buy: ${each.buys.join(', ')}` : '; nothing to buy'}
            </span>
          </li>
        ))}
      </ol>
      {one ? <Overall chain={one} /> : null}
    </>
  );
}

/** The overall sheet: the last step says what the one before has to make. */
function Overall({ chain: { sheet, problem } }: { chain: Shown }) {
  if (!sheet) return <p className="problem">{problem}</p>;
  return (
    <section aria-labelledby="chain-sheet">
      <h2 id="chain-sheet">Overall sheet</h2>
      <ol className="chain-steps">
        {sheet.steps.map((step, i) => (
          <li key={step.ask}>
            <h3>
              {i + 1}. {step.ask}
            </h3>
            <p className="quiet small">
              {step.title}; {step.watch}
            </p>
            <ul>
              {step.takes.map(({ name, take, from }) => (
                <li key={name}>
                  <b className="mono">{take}</b> {name}
                  {from === 'made' ? <span className="quiet small"> from the step before, dry or wet</span> : null}
                  {from === 'bought' ? <span className="watch small"> to buy</span> : null}
                </li>
              ))}
            </ul>
            <p className="small">
              {step.yieldPct ? (
                <>
                  yield <Num figure={step.yieldPct} />,{' '}
                </>
              ) : (
                'yield not known, '
              )}
              {hoursText(step.handsOnH)} hands on, {waitText(step.waitH)} waiting
            </p>
            <Link to={`/plan?make=${encodeURIComponent(step.ask)}`}>Plan this step</Link>
          </li>
        ))}
      </ol>
      <p>
        {sheet.yieldPct ? (
          <>
            Overall yield <Num figure={sheet.yieldPct} />, counted on the first thing in the line.
          </>
        ) : (
          'The overall yield is not known: a step of it has none.'
        )}
      </p>
      {sheet.buys.length > 0 ? (
        <section aria-labelledby="chain-buys">
          <h2 id="chain-buys">To buy</h2>
          <ul>
            {sheet.buys.map(({ name, take }) => (
              <li key={name}>
                {take} {name}, as strong as it is usually sold
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </section>
  );
}

function waitText([least, most]: readonly [number, number]): string {
  return most < 48
    ? `${formatNumber(least, 2)} to ${formatNumber(most, 2)} h`
    : `${formatNumber(least / 24, 2)} to ${formatNumber(most / 24, 2)} d`;
}
