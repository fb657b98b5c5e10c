import { Segmented } from 'antd';
import { type ReactNode, useEffect, useRef, useState } from 'react';

interface ClockworkProps {
  readonly shown: ReactNode;
  readonly speeds: readonly number[];
  readonly start: number;
  readonly over: boolean;
  /** So many s of its own time have passed. */
  readonly onTick: (seconds: number) => void;
  readonly children: ReactNode;
}

const TICK_MS = 150;

/** Its time, how fast it goes, and a pause. */
export function Clockwork({ shown, speeds, start, over, onTick, children }: ClockworkProps) {
  const [speed, setSpeed] = useState(start);
  const [paused, setPaused] = useState(false);
  const tick = useRef(onTick);
  tick.current = onTick;
  useEffect(() => {
    if (paused || over) return;
    const timer = setInterval(() => tick.current((TICK_MS / 1000) * speed), TICK_MS);
    return () => clearInterval(timer);
  }, [speed, paused, over]);
  return (
    <div className="row">
      <span className="mono">{shown}</span>
      <Segmented
        size="small"
        aria-label="Speed"
        options={speeds.map((each) => ({ label: `${each} ×`, value: each }))}
        value={speed}
        onChange={setSpeed}
      />
      <button type="button" className="link" onClick={() => setPaused(!paused)}>
        {paused ? 'go on' : 'pause'}
      </button>
      <span className="quiet">{children}</span>
    </div>
  );
}
