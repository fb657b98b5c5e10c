import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { sentenceOf } from '../api/client.ts';
import { dayText } from '../parts/day.ts';
import { equationText } from '../parts/equation-text.ts';
import { InMargin } from '../parts/margin.tsx';
import { Num, NumRow } from '../parts/num.tsx';
import { BudgetBars } from './budget-bars.tsx';
import { Chain } from './chain.tsx';
import { EntryRow } from './entry-row.tsx';
import { ProbePanel } from './probe-panel.tsx';
import { Replicates } from './replicates.tsx';
import { Sights } from './sights.tsx';
import { TitreBar } from './titre-bar.tsx';
import { type OpenAssay, useApplyAssay, useAssay } from './use-assay.ts';
import { WhatItChanges } from './what-it-changes.tsx';
import './assay.css';

/** An assay at work: from the standard to the result, what to do next, what was read, how sure it is. */
export function RunPage() {
  const { assayId = '' } = useParams();
  const { assay, error, problem } = useAssay(assayId);
  if (!assay)
    return (
      <p className={error || problem ? 'problem' : 'waiting-block'}>
        {error ? sentenceOf(error) : problem || 'Loading the assay …'}
      </p>
    );
  return <AtWork assay={assay} />;
}

function AtWork({ assay }: { assay: OpenAssay }) {
  const { plan, state } = assay;
  const { advice, result } = state;
  const at = [...state.replicates, ...state.blanks].find(({ key }) => key === state.current);
  const [probing, setProbing] = useState((at?.probed.length ?? 0) > 0);
  const mayProbe = plan.methodId === 'acid-base' && !plan.byMass;
  return (
    <>
      <h1>{plan.bottle.card.name}</h1>
      <p className="quiet">
        {state.title} · {dayText(plan.day)} · {named(state.current)} ·{' '}
        <Link to={`/shelf/${plan.bottle.id}`}>the bottle</Link>
      </p>
      <Chain links={state.chain} />
      <p className="headline" role="status">
        {advice.headline}
      </p>
      <p className="headline-more">
        {advice.drops ? (
          <>
            <b>{advice.drops[0]} drops</b>{' '}
            <span className="quiet">
              ({advice.drops[1]} to {advice.drops[2]})
            </span>
            .{' '}
          </>
        ) : null}
        {advice.more}
      </p>
      {plan.dilution ? (
        <p className="small quiet">
          Diluted: {plan.dilution.weighG} g to {plan.dilution.toG} g; the sample is of that.
        </p>
      ) : null}
      {advice.expected || advice.used !== null ? (
        <TitreBar
          expected={advice.expected}
          used={advice.used ?? 0}
          unit={plan.byMass ? 'g' : 'mL'}
          name={plan.turned ? plan.bottle.card.name : (plan.known[0]?.card.name ?? 'titrant')}
          before={state.replicates.flatMap(({ key, titre, counts }) =>
            counts && titre ? [{ key, titre: titre.value }] : [],
          )}
        />
      ) : null}
      <Sights sights={advice.sights} now={advice.now} />
      <EntryRow key={`${state.current} ${advice.reads ?? ''}`} assay={assay} />
      {mayProbe ? (
        <button type="button" className="link" aria-expanded={probing} onClick={() => setProbing(!probing)}>
          {probing ? 'Without the pH probe' : 'Follow it with a pH probe …'}
        </button>
      ) : null}
      {mayProbe && probing ? <ProbePanel assay={assay} at={at} /> : null}
      <div className="outcome">
        <Outcome assay={assay} />
        <Replicates assay={assay} />
        {result ? <BudgetBars result={result} /> : null}
      </div>
      <details className="steps" open={state.replicates.length === 0}>
        <summary>How it is done</summary>
        <ol>
          {advice.steps.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ol>
      </details>
      <InMargin>
        {result ? <WhatItChanges plan={plan} result={result} /> : null}
        <h2>Cautions</h2>
        {advice.cautions.map((each) => (
          <div key={each} className="caution">
            {each}
          </div>
        ))}
        {state.reaction ? <p className="small mono quiet">{equationText(state.reaction)}</p> : null}
      </InMargin>
    </>
  );
}

function named(key: string): string {
  return key.startsWith('b') ? `blank ${key.slice(1)}` : `replicate ${key}`;
}

function Outcome({ assay: { plan, state } }: { assay: OpenAssay }) {
  const apply = useApplyAssay(plan.id);
  const { result, label, applied } = state;
  const shown = state.chain.at(-1)?.strength;
  if (!result || !shown)
    return (
      <section aria-label="Result">
        <h2>Result</h2>
        <p className="quiet">None yet: the first replicate that comes to its end gives one.</p>
      </section>
    );
  const off = result.w.value / label.value - 1;
  return (
    <section aria-label="Result">
      <p className="found">
        <Num figure={shown} big />
      </p>
      <p className={Math.abs(off) > 0.03 ? 'watch' : 'within'}>{comparedText(off)}</p>
      <details>
        <summary className="small">in other units</summary>
        <dl className="figures">
          {result.strengths.map((each) => (
            <NumRow key={each.name} label={each.name}>
              <Num figure={each} />
            </NumRow>
          ))}
        </dl>
      </details>
      <button type="button" className="act" disabled={apply.isPending} onClick={() => apply.mutate()}>
        {applied ? 'Write it again' : 'Write it on the bottle'}
      </button>
      {applied ? (
        <p className="within small" role="status">
          Written: {applied.said}.
        </p>
      ) : null}
      {apply.isError ? <p className="problem">{sentenceOf(apply.error)}</p> : null}
    </section>
  );
}

function comparedText(off: number): string {
  const pct = Math.abs(100 * off);
  if (pct < 1) return 'as its label says';
  return `${pct.toFixed(pct < 10 ? 1 : 0)} % ${off < 0 ? 'weaker' : 'stronger'} than it was taken for`;
}
