import { Select } from 'antd';
import { type ChangeEvent, useRef } from 'react';
import { sentenceOf } from '#web/api/client.ts';
import type { useFeed } from '#web/api/feed.ts';

type Feed = ReturnType<typeof useFeed>;

const SPEEDS = [1, 10, 60, 300, 600];
const START_SPEED = 60;

/** The instruments at this batch: put there, faster or slower, held, or a file of them played again. */
export function FeedBar({ feed, seed }: { feed: Feed; seed: number }) {
  const file = useRef<HTMLInputElement>(null);
  const { status, start, change } = feed;
  const failed = start.error ?? change.error ?? feed.error;
  const replay = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    event.target.value = '';
    if (chosen) start.mutate({ kind: 'replay', speed: START_SPEED, csv: await chosen.text() });
  };
  return (
    <div className="feed-bar">
      {status?.kind ? (
        <>
          <span>{status.kind === 'simulated' ? 'simulated feed' : 'readings of a file'},</span>
          <Select
            size="small"
            aria-label="Speed of the feed"
            value={status.speed}
            options={[...new Set([...SPEEDS, status.speed])]
              .sort((a, b) => a - b)
              .map((speed) => ({ value: speed, label: `${speed} ×` }))}
            onChange={(speed) => change.mutate({ speed })}
          />
          {status.over ? (
            <span className="quiet">at its end</span>
          ) : (
            <button type="button" className="link" onClick={() => change.mutate({ running: !status.running })}>
              {status.running ? 'pause' : 'go on'}
            </button>
          )}
        </>
      ) : (
        <>
          <span className="quiet">Instruments:</span>
          <button
            type="button"
            className="link"
            disabled={start.isPending}
            onClick={() => start.mutate({ kind: 'simulated', speed: START_SPEED, seed })}
          >
            simulated ones
          </button>
          <button type="button" className="link" disabled={start.isPending} onClick={() => file.current?.click()}>
            a file of readings
          </button>
          <input
            ref={file}
            type="file"
            accept=".csv,text/csv"
            className="sr"
            tabIndex={-1}
            aria-label="File of readings"
            onChange={replay}
          />
        </>
      )}
      {failed ? <p className="problem">{sentenceOf(failed)}</p> : null}
    </div>
  );
}
