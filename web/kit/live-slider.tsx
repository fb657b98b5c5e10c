import { Slider } from 'antd';
import { formatPlain } from '#base/units';

interface LiveSliderProps {
  readonly name: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly value: number;
  /** Shown instead of the value and its unit. */
  readonly shown?: string | undefined;
  readonly onChange: (next: number) => void;
}

/** One live control of a panel: its name, a slider that a thumb can move, its value. */
export function LiveSlider({ name, unit, min, max, step = 1, value, shown, onChange }: LiveSliderProps) {
  return (
    <div className="control">
      <span>{name}</span>
      <Slider
        min={min}
        max={max}
        step={step}
        value={value}
        tooltip={{ open: false }}
        ariaLabelForHandle={`${name}, ${unit}`}
        onChange={onChange}
      />
      <output>{shown ?? `${formatPlain(value)} ${unit}`}</output>
    </div>
  );
}
