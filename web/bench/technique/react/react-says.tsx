import { stallAssay } from '#run/state';
import type { Reacts, StallAdvice } from '#run/technique';
import { sentenceOf } from '#web/api/client.ts';
import { useBottleEvent, useBottles } from '#web/api/queries.ts';
import { amountOf } from '#web/parts/amount-of.ts';
import { today } from '#web/parts/day.ts';
import { Num } from '#web/parts/num.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { Extent } from '../extent.tsx';

/** How far it has come, and what it tells of the bottle when it has stopped too early. */
export function ReactSays({ run, step, says }: Pick<PaneProps, 'run' | 'step'> & { says: Reacts | null }) {
  if (!says) return null;
  return (
    <>
      {says.extent ? <Extent extent={says.extent} /> : null}
      {says.stall ? <Stall run={run} step={step} stall={says.stall} /> : null}
    </>
  );
}

/** Offers what a stall tells as an assay of its bottle. */
function Stall({ run, step, stall }: Pick<PaneProps, 'run' | 'step'> & { stall: StallAdvice }) {
  const bottles = useBottles();
  const change = useBottleEvent();
  const bottle = bottles.data?.find(({ id }) => id === stall.bottleId);
  const weaker = stall.verdict === 'weaker';
  // What this run has just taken from the bottle has changed it too: its newest state is asked for first.
  const apply = async () => {
    const { data } = await bottles.refetch();
    const newest = data?.find(({ id }) => id === stall.bottleId);
    if (!newest) return;
    const { card, entries } = stallAssay(newest.card, stall, { step: step.key, today: today() });
    change.mutate(
      { id: newest.id, body: { kind: 'corrected', card }, basedOn: newest.version },
      { onSuccess: () => run.enterAll(entries) },
    );
  };
  return (
    <>
      <p className={weaker ? 'caution' : ''}>
        {stall.sentence} <Num figure={stall.strength} />
      </p>
      {weaker && stall.stopped && bottle && !change.isSuccess ? (
        <button
          type="button"
          className="tab"
          onClick={() => void apply()}
          disabled={change.isPending || run.waiting.size > 0}
        >
          Enter it as an assay of {bottle.card.name}
        </button>
      ) : null}
      {stall.more ? (
        <p className="small">
          <b>{amountOf(stall.more)}</b> more takes up the rest: enter it under “Add something else” when it is in.
        </p>
      ) : null}
      {change.isSuccess ? <p className="within small">Entered on the bottle.</p> : null}
      {change.isError ? <p className="problem">{sentenceOf(change.error)}</p> : null}
    </>
  );
}
