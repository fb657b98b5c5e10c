import dayjs from 'dayjs';
import type { ExtentReport } from '#core/add';
import type { Advice, StepState } from '#core/state';
import type { StallAdvice } from '#core/technique';
import { formatNumber } from '#core/units';
import { sentenceOf } from '../api/client.ts';
import { useBottleEvent, useBottles } from '../api/queries.ts';
import { Num } from '../parts/num.tsx';
import { FilterSays } from './filter-says.tsx';
import type { Run } from './use-run.ts';

/** What the readings of a step say: how far it has come, when it will be done, and what a stall tells of a bottle. */
export function StepAdvice({ run, step, advice }: { run: Run; step: StepState; advice: Advice }) {
  const { extent, finish, stall, filter, dissolve } = advice;
  if (!extent && !finish && !stall && !filter && !dissolve) return null;
  return (
    <section className="advice" aria-label="What the readings say">
      {extent ? <Extent extent={extent} /> : null}
      {finish ? (
        <p>
          <b>By {finish.of}:</b> {finish.sentence}
          {finish.latestAt ? ` Very likely by ${dayjs(finish.latestAt).format('D MMM, HH:mm')}.` : ''}
        </p>
      ) : null}
      {stall ? <Stall run={run} step={step} stall={stall} /> : null}
      {dissolve ? (
        <p className={dissolve.sparePct < 0 ? 'caution' : ''}>
          <b>To dissolve:</b> {dissolve.sentence}
        </p>
      ) : null}
      {filter ? <FilterSays filter={filter} settles={step.template?.op.do === 'precipitate'} /> : null}
    </section>
  );
}

const WITNESS: Readonly<Record<ExtentReport['estimates'][number]['by'], string>> = {
  dose: 'dose',
  gas: 'gas',
  mass: 'mass',
  heat: 'temperature',
  pH: 'pH',
  sign: 'seen',
  current: 'current',
};

function Extent({ extent }: { extent: ExtentReport }) {
  const { estimates, pct, lowPct, highPct, disagreement } = extent;
  return (
    <>
      <p>
        <b>How far:</b> {bandText(pct, lowPct, highPct)}
        <span className="quiet small">
          {' '}
          ({estimates.map((each) => `${WITNESS[each.by]} ${bandText(each.pct, each.lowPct, each.highPct)}`).join(', ')})
        </span>
      </p>
      {disagreement ? (
        <p className="caution" role="status">
          {disagreement}
        </p>
      ) : null}
    </>
  );
}

function bandText(pct: number | null, low: number | null, high: number | null): string {
  const whole = (value: number) => formatNumber(Math.min(100, value), 2);
  if (pct !== null && low !== null && high !== null) return `${whole(pct)} % (${whole(low)} to ${whole(high)})`;
  if (low !== null && low > 0) return `at least ${whole(low)} %`;
  return high !== null && high < 100 ? 'not there yet' : 'cannot tell';
}

/** Offers what a stall tells as an assay of its bottle. */
function Stall({ run, step, stall }: { run: Run; step: StepState; stall: StallAdvice }) {
  const bottles = useBottles();
  const change = useBottleEvent();
  const bottle = bottles.data?.find(({ id }) => id === stall.bottleId);
  const weaker = stall.strength.value + stall.band < stall.labelPct;
  // What this run has just taken from the bottle has changed it too: its newest state is asked for first.
  const apply = async () => {
    const { data } = await bottles.refetch();
    const bottle = data?.find(({ id }) => id === stall.bottleId);
    if (!bottle) return;
    const pct = Number(stall.strength.value.toPrecision(4));
    const card = {
      ...bottle.card,
      strength: { value: pct, unit: 'w/w' as const },
      strengthBand: Number(stall.band.toPrecision(2)),
      assayed: true,
      since: dayjs().format('YYYY-MM-DD'),
    };
    change.mutate(
      { id: bottle.id, body: { kind: 'corrected', card }, basedOn: bottle.version },
      {
        onSuccess: () =>
          run.enter({
            kind: 'noted',
            step: step.key,
            text: `${bottle.card.name} taken as ${pct} %, from what it dissolved.`,
          }),
      },
    );
  };
  return (
    <>
      <p className={weaker ? 'caution' : ''}>
        {stall.sentence} <Num figure={stall.strength} />
      </p>
      {weaker && bottle && !change.isSuccess ? (
        <button
          type="button"
          className="tab"
          onClick={() => void apply()}
          disabled={change.isPending || run.waiting.size > 0}
        >
          Enter it as an assay of {bottle.card.name}
        </button>
      ) : null}
      {change.isSuccess ? <p className="within small">Entered on the bottle.</p> : null}
      {change.isError ? <p className="problem">{sentenceOf(change.error)}</p> : null}
    </>
  );
}
