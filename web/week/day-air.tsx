import { Button, Popover } from 'antd';
import { useState } from 'react';
import type { Stretch } from '#base/time';
import { NumberField } from '../kit/number-field.tsx';

interface DayAirProps {
  readonly title: string;
  readonly airC: Stretch | null;
  readonly onAir: (airC: Stretch | null) => void;
}

/** How cold and how warm a day is expected to be outdoors; entered by hand, as a forecast has it. */
export function DayAir({ title, airC, onAir }: DayAirProps) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={setOpen}
      destroyOnHidden
      title={`Outdoors on ${title}`}
      content={
        <AirForm
          airC={airC}
          onAir={(said) => {
            onAir(said);
            setOpen(false);
          }}
        />
      }
    >
      <button type="button" className="link week-rain" aria-label={`Temperature outdoors on ${title}`}>
        {airC ? `${airC[0]} to ${airC[1]} °C` : '°C?'}
      </button>
    </Popover>
  );
}

function AirForm({ airC, onAir }: Pick<DayAirProps, 'airC' | 'onAir'>) {
  const [low, setLow] = useState(airC?.[0] ?? null);
  const [high, setHigh] = useState(airC?.[1] ?? null);
  const backwards = low !== null && high !== null && low > high;
  return (
    <form
      className="week-air"
      onSubmit={(event) => {
        event.preventDefault();
        if (low !== null && high !== null && !backwards) onAir([low, high]);
      }}
    >
      <NumberField label="Coldest" unit="°C" min={-60} max={60} value={low} onChange={setLow} />
      <NumberField label="Warmest" unit="°C" min={-60} max={60} value={high} onChange={setHigh} />
      {backwards ? (
        <p className="problem small">The coldest is above the warmest: say it the other way round.</p>
      ) : null}
      <p className="quiet small">Steps outdoors that freeze or get too warm are kept off such a day.</p>
      <div className="row">
        <Button htmlType="submit" type="primary" disabled={low === null || high === null || backwards}>
          Keep it
        </Button>
        {airC ? <Button onClick={() => onAir(null)}>Not known</Button> : null}
      </div>
    </form>
  );
}
