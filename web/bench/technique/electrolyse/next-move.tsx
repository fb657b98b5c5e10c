import type { ReactNode } from 'react';
import { must } from '#base/lookup';
import { exactReading } from '#base/reading';
import { formatNumber } from '#base/units';
import { BY_EYE } from '#model/electrolysis';
import type { CellRun } from '#run/state';
import type { useFeed } from '#web/api/feed.ts';
import { sideName, spanText, timeText } from '#web/models/cell/words.ts';
import type { Run } from '#web/run/use-run.ts';

interface NextProps {
  readonly run: Run;
  readonly step: string;
  readonly cell: CellRun;
  readonly feed: ReturnType<typeof useFeed>;
  readonly onBegin: () => void;
  readonly onEnd: () => void;
}

/** The next thing to do with one's hands, and one tap that says it is done. */
export function NextMove({ run, step, cell, feed, onBegin, onEnd }: NextProps) {
  const { watch, topUp, now, plan } = cell;
  const byClock = (feed.status?.running ? feed.status.speed : 1) === 1;
  const due = (at: number) => (byClock ? timeText(at, now) : `in ${spanText(Math.max(0, at - now))}`);
  if (cell.from === null)
    return (
      <Move when="first" text="Current on: volts turned up slowly, the current held as planned.">
        <button type="button" className="act" onClick={onBegin}>
          Current is on
        </button>
      </Move>
    );
  const pct = watch.progress?.byCharge.value ?? 0;
  const already =
    pct > 0 ? (
      <button type="button" className="tab" onClick={onEnd}>
        Switched off already
      </button>
    ) : null;
  if (pct >= 97 || watch.progress?.bySight?.how === BY_EYE)
    return (
      <Move
        when={pct >= 99.5 ? 'now' : 'soon'}
        text="When it looks done: supply off, then a hand in. What has passed is entered with it."
      >
        <button type="button" className="act" onClick={onEnd}>
          Switched off
        </button>
      </Move>
    );
  if (watch.topUp && topUp) {
    const { side, waterMl } = watch.topUp;
    const name = sideName(side, cell);
    const grams = Math.max(0.5, Math.round(topUp.grams * 2) / 2);
    // It goes in dissolved: at least so much water as that takes.
    const water = Math.max(10, Math.round(Math.max(waterMl, 1.2 * grams) / 5) * 5);
    const enter = () => {
      const into = side === 'cathode' ? plan.cathodeIn : plan.anodeIn;
      const put = { kind: 'added' as const, step, role: null, reason: '', ...(into === null ? {} : { in: into }) };
      run.enterAll([
        { ...put, bottleId: topUp.bottleId, reading: exactReading(grams, 'g') },
        { ...put, bottleId: null, reading: exactReading(water, 'mL') },
      ]);
      if (feed.status?.kind === 'simulated')
        feed.change.mutate({
          topUp: {
            side,
            substanceId: must(watch.topUp, 'topUp').substanceId,
            mol: (must(watch.topUp, 'topUp').mol * grams) / topUp.grams,
            waterMl: water,
          },
        });
    };
    return (
      <Move
        when={due(watch.topUp.by)}
        text={
          <>
            {plan.setup.divider === 'flower pot' && side === 'cathode' ? 'Wipe the pot’s wall, then ' : ''}
            <b>{formatNumber(grams, 3)} g</b> of {topUp.name} in <b>{formatNumber(water, 2)} mL</b> of water, into the{' '}
            {name}. By hand, supply off.
          </>
        }
      >
        <button type="button" className="act" onClick={enter}>
          It is in
        </button>
        {already}
      </Move>
    );
  }
  return (
    <Move when={due(watch.look.at)} text={<>Look at it: {watch.look.because}.</>}>
      {already}
    </Move>
  );
}

interface MoveProps {
  readonly when: string;
  readonly text: ReactNode;
  readonly children: ReactNode;
}

function Move({ when, text, children }: MoveProps) {
  return (
    <div className="cell-next">
      <b>{when}</b>
      <p>{text}</p>
      {children}
    </div>
  );
}
