import { Checkbox, Segmented } from 'antd';
import type { Apparatus } from '#matter/gear';
import { NumberField } from '#web/kit/number-field.tsx';

interface ApparatusFormProps {
  readonly value: Apparatus;
  readonly onChange: (next: Apparatus) => void;
}

/** One’s own still: flask, head or column, heat, cooling, thermometer. */
export function ApparatusForm({ value, onChange }: ApparatusFormProps) {
  const set = (change: Partial<Apparatus>) => onChange({ ...value, ...change });
  const number = (
    key: 'flaskMl' | 'plates' | 'reflux' | 'holdupMl' | 'heaterW',
    label: string,
    { unit, min, max }: { unit: string; min: number; max: number },
  ) => (
    <NumberField
      label={label}
      unit={unit}
      required
      min={min}
      max={max}
      value={value[key]}
      onChange={(next) => next !== null && set({ [key]: next })}
    />
  );
  const { condenser } = value;
  return (
    <>
      <div className="form-grid">
        {number('flaskMl', 'Flask', { unit: 'mL', min: 10, max: 50_000 })}
        {number('heaterW', 'Heater', { unit: 'W', min: 0, max: 5000 })}
        {number('plates', 'Theoretical plates, the flask counted', { unit: '', min: 1, max: 40 })}
        {number('reflux', 'Drops sent back for each taken', { unit: '', min: 0, max: 100 })}
        {number('holdupMl', 'Hangs in column and head', { unit: 'mL', min: 0, max: 2000 })}
        <NumberField
          label="Of the heat, this reaches the flask"
          unit="%"
          required
          min={5}
          max={100}
          value={Math.round(100 * value.heatShare)}
          onChange={(next) => next !== null && set({ heatShare: next / 100 })}
        />
        <NumberField
          label="Thermometer ends at"
          unit="°C"
          required
          min={20}
          max={500}
          value={value.thermometer.maxC}
          onChange={(next) => next !== null && set({ thermometer: { ...value.thermometer, maxC: next } })}
        />
      </div>
      <p className="row">
        <Checkbox checked={value.lagged} onChange={(event) => set({ lagged: event.target.checked })}>
          head and column wrapped
        </Checkbox>
        <Segmented
          size="small"
          aria-label="Condenser cooled by"
          options={[
            { label: 'water', value: 'water' },
            { label: 'air', value: 'air' },
          ]}
          value={condenser.by}
          onChange={(by) =>
            set({ condenser: by === 'water' ? { by: 'water', mlPerMin: 500, inC: 12 } : { by: 'air' } })
          }
        />
      </p>
      {condenser.by === 'water' ? (
        <div className="form-grid">
          <NumberField
            label="Cooling water"
            unit="mL/min"
            required
            min={0}
            max={20_000}
            value={condenser.mlPerMin}
            onChange={(next) => next !== null && set({ condenser: { ...condenser, mlPerMin: next } })}
          />
          <NumberField
            label="It comes at"
            unit="°C"
            required
            min={0}
            max={40}
            value={condenser.inC}
            onChange={(next) => next !== null && set({ condenser: { ...condenser, inC: next } })}
          />
        </div>
      ) : null}
    </>
  );
}
