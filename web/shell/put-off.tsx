import { Button, Input, Segmented } from 'antd';
import { useId, useState } from 'react';

const LENGTHS = [10, 30, 60, 180] as const;
const REASONS = ['at table', 'on the way', 'it is not ready yet', 'another batch first'];

/** Puts something that is due off: for how long, and why. */
export function PutOff({ now, onPutOff }: { now: number; onPutOff: (until: string, reason: string) => void }) {
  const list = useId();
  const [minutes, setMinutes] = useState<(typeof LENGTHS)[number]>(10);
  const [reason, setReason] = useState('');
  const said = reason.trim();
  return (
    <form
      className="told-later"
      onSubmit={(event) => {
        event.preventDefault();
        if (said !== '') onPutOff(new Date(now + minutes * 60_000).toISOString(), said);
      }}
    >
      <Segmented
        aria-label="For how long"
        size="small"
        options={LENGTHS.map((value) => ({ value, label: value < 60 ? `${value} min` : `${value / 60} h` }))}
        value={minutes}
        onChange={setMinutes}
      />
      <Input
        size="small"
        aria-label="Why"
        placeholder="why: at table …"
        list={list}
        maxLength={120}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <datalist id={list}>
        {REASONS.map((each) => (
          <option key={each} value={each} />
        ))}
      </datalist>
      <Button size="small" htmlType="submit" disabled={said === ''}>
        Put it off
      </Button>
    </form>
  );
}
