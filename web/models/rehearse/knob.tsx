import { Slider } from 'antd';
import { useState } from 'react';
import { formatNumber } from '#base/units';

interface KnobProps {
  readonly name: string;
  readonly most: number;
  readonly start: number;
  readonly step?: number;
  readonly onSet: (value: number) => void;
}

/** Something that is turned by hand while it runs. */
export function Knob({ name, most, start, step = 0.01, onSet }: KnobProps) {
  const [value, setValue] = useState(start);
  return (
    <div style={{ width: 180 }}>
      <span className="small">
        {name}: {formatNumber(value, 3)}
      </span>
      <Slider
        min={0}
        max={Number(most.toPrecision(2))}
        step={step}
        value={value}
        tooltip={{ open: false }}
        ariaLabelForHandle={name}
        onChange={(next) => {
          setValue(next);
          onSet(next);
        }}
      />
    </div>
  );
}
