import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { formatNumber, listed } from '#base/units';
import type { BottleAnswer } from '#contract/api';
import type { Bench } from '#matter/gear';
import type { Choice } from '#model/assay';
import { sentenceOf } from '../api/client.ts';
import { useKeptIds } from '../api/ids.ts';
import { useBench, useBottles } from '../api/queries.ts';
import { NumberField } from '../kit/number-field.tsx';
import { today } from '../parts/day.ts';
import { equationText } from '../parts/equation-text.ts';
import { InMargin } from '../parts/margin.tsx';
import { useCompute } from '../worker/compute.ts';
import { Foretold } from './foretold.tsx';
import { useBeginAssay } from './use-assay.ts';
import './assay.css';

/** The ways to find a bottle's strength, best first, and the one that is chosen worked out to its amounts. */
export function ChoosePage() {
  const { bottleId } = useParams();
  const bottles = useBottles();
  const bench = useBench();
  if (bottles.isLoadingError || bench.isLoadingError)
    return <p className="problem">{sentenceOf(bottles.error ?? bench.error)}</p>;
  if (!bottles.data || !bench.data) return <p className="waiting-block">Loading the bottle …</p>;
  const bottle = bottles.data.find(({ id }) => id === bottleId);
  if (!bottle)
    return (
      <p className="waiting-block">
        There is no such bottle. <Link to="/assay">All bottles</Link>
      </p>
    );
  return <Choosing key={bottle.id} bottle={bottle} bottles={bottles.data} bench={bench.data.bench} />;
}

function Choosing({
  bottle,
  bottles,
  bench,
}: {
  bottle: BottleAnswer;
  bottles: readonly BottleAnswer[];
  bench: Bench;
}) {
  const [tolerancePct, setTolerance] = useState<number | null>(1);
  const [picked, setPicked] = useState<string | null>(null);
  const ways = useCompute(
    'methods',
    useMemo(
      () =>
        tolerancePct === null
          ? undefined
          : {
              bottle: { id: bottle.id, card: bottle.card, usedG: bottle.usedG },
              shelf: bottles.map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
              bench,
              day: today(),
              tolerancePct,
            },
      [bottle, bottles, bench, tolerancePct],
    ),
  );
  const choices = ways.value ?? [];
  const chosen = choices.find(({ title }) => title === picked) ?? choices[0];
  return (
    <>
      <h1>{bottle.card.name}</h1>
      <p className="quiet">
        {bottle.card.assayed ? 'Measured before' : 'Known by its label alone'} ·{' '}
        <Link to={`/shelf/${bottle.id}`}>its sheet</Link>
      </p>
      <div className="row">
        <NumberField
          label="How sure do you want to be?"
          unit="± % of it"
          value={tolerancePct}
          min={0.01}
          max={100}
          required
          onChange={setTolerance}
        />
      </div>
      {ways.problem ? <p className="problem">{ways.problem.message}</p> : null}
      {ways.value && choices.length === 0 ? (
        <p className="waiting-block">No method is held for it. Its identity tests stand on its sheet.</p>
      ) : null}
      {choices.length > 0 && tolerancePct !== null ? (
        <Ways choices={choices} chosen={chosen} tolerancePct={tolerancePct} onPick={setPicked} />
      ) : null}
      {chosen ? <Worked key={chosen.title} choice={chosen} /> : null}
    </>
  );
}

interface WaysProps {
  readonly choices: readonly Choice[];
  readonly chosen: Choice | undefined;
  readonly tolerancePct: number;
  readonly onPick: (title: string) => void;
}

function Ways({ choices, chosen, tolerancePct, onPick }: WaysProps) {
  return (
    <table className="plain-table ways">
      <caption className="sr">Ways to find its strength, best first</caption>
      <thead>
        <tr>
          <th scope="col">way</th>
          <th scope="col" className="right">
            reaches
          </th>
          <th scope="col" className="right">
            takes
          </th>
          <th scope="col" className="right">
            costs
          </th>
          <th scope="col">mostly by</th>
        </tr>
      </thead>
      <tbody>
        {choices.map((each) => (
          <tr key={each.title} aria-selected={each.title === chosen?.title}>
            <td>
              <button
                type="button"
                className="link"
                aria-pressed={each.title === chosen?.title}
                onClick={() => onPick(each.title)}
              >
                {each.title}
              </button>
            </td>
            <td className="right mono">
              {each.design ? (
                <span className={each.design.reachesPct <= tolerancePct ? 'within' : 'watch'}>
                  {each.design.reachesPct <= tolerancePct ? '✓ ' : ''}± {formatNumber(each.design.reachesPct, 2)} %
                </span>
              ) : (
                '–'
              )}
            </td>
            <td className="right">{minutesText(each.minutes)}</td>
            <td className="right mono">{each.cost === null ? '–' : each.cost.toFixed(2)}</td>
            <td className="quiet">{each.design ? each.design.mostly : `wants ${each.wanting.join(', ')}`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function minutesText(minutes: number): string {
  return minutes < 120 ? `${minutes} min` : `${formatNumber(minutes / 60, 2)} h`;
}

function Worked({ choice }: { choice: Choice }) {
  const navigate = useNavigate();
  const begin = useBeginAssay();
  const ids = useKeptIds();
  const { design } = choice;
  return (
    <section aria-label="The way that is chosen" className="worked">
      <h2>{choice.title}</h2>
      {choice.reaction ? <p className="mono quiet">{equationText(choice.reaction)}</p> : null}
      {design ? (
        <Amounts design={design} />
      ) : (
        <p className="watch">
          It wants {choice.wanting.join(', and ')}.{' '}
          <Link to="/shelf">
            {choice.wanting[0]?.startsWith('a ') ? 'Get it and put it on the shelf' : 'Put one on the shelf'}
          </Link>
          , then it can be begun.
        </p>
      )}
      <ol>
        {choice.steps.map((each) => (
          <li key={each}>
            {each.replace('{sample}', design ? `about ${formatNumber(design.plan.sampleG, 2)} g` : 'it')}
          </li>
        ))}
      </ol>
      {choice.preparation ? (
        <p className="small">
          <b>Prepare the standard.</b> {choice.preparation}
        </p>
      ) : null}
      {design ? <Foretold plan={design.plan} titre={design.titre} /> : null}
      {design ? (
        <button
          type="button"
          className="act"
          disabled={begin.isPending}
          onClick={() =>
            begin.mutate(
              { ...design.plan, id: ids.of('assay', JSON.stringify(design.plan)) },
              { onSuccess: ({ id }) => void navigate(`/assay/run/${id}`) },
            )
          }
        >
          Begin
        </button>
      ) : null}
      {begin.isError ? <p className="problem">{sentenceOf(begin.error)}</p> : null}
      <InMargin>
        <h2>Cautions</h2>
        {choice.cautions.map((each) => (
          <div key={each} className="caution">
            {each}
          </div>
        ))}
        <p className="small">
          <b>What misleads it:</b> {choice.besides}.
        </p>
        <p className="quiet small">
          Follow the rules of your place for reagents and waste; a lab course shows more than a page.
        </p>
      </InMargin>
    </section>
  );
}

function Amounts({ design }: { design: NonNullable<Choice['design']> }) {
  const { plan, titre, remarks } = design;
  const known = listed(plan.known.map(({ card }) => card.name));
  const unit = plan.byMass ? 'g' : 'mL';
  return (
    <>
      <p className="amounts">
        {plan.dilution ? (
          <>
            Weigh <b>{formatNumber(plan.dilution.weighG, 2)} g</b>, dilute to{' '}
            <b>{formatNumber(plan.dilution.toG, 2)} g</b>, take <b>{formatNumber(plan.sampleG, 2)} g</b>.{' '}
          </>
        ) : (
          <>
            Take <b>{formatNumber(plan.sampleG, 2)} g</b>.{' '}
          </>
        )}
        {titre === null ? null : (
          <>
            Expect about{' '}
            <b>
              {formatNumber(titre, 3)} {unit}
            </b>{' '}
            {plan.turned ? 'of it' : `of ${known}`}.
          </>
        )}
      </p>
      {known ? (
        <p className="small quiet">
          Against {known}
          {plan.known.some(({ card }) => !card.measured && !plan.turned)
            ? ', known by its label alone: standardise it first, and all that follows gains.'
            : '.'}
        </p>
      ) : null}
      {remarks.map((each) => (
        <p key={each} className="small watch">
          {each}
        </p>
      ))}
    </>
  );
}
