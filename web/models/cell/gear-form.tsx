import { Select } from 'antd';
import { type CellGear, type Supply, supplyKinds } from '#matter/gear';
import { NumberField } from '#web/kit/number-field.tsx';

interface GearFormProps {
  readonly value: CellGear;
  readonly onChange: (next: CellGear) => void;
}

type Plain = Exclude<keyof CellGear, 'supply' | 'perKWh'>;

const FIELDS: readonly (readonly [Plain, string, { unit: string; min: number; max: number }])[] = [
  ['anodeCm2', 'Anode under the liquid', { unit: 'cm²', min: 0.1, max: 5000 }],
  ['cathodeCm2', 'Cathode under the liquid', { unit: 'cm²', min: 0.1, max: 5000 }],
  ['gapCm', 'Electrode to divider', { unit: 'cm', min: 0.1, max: 50 }],
  ['dividerCm2', 'Wetted wall of pot or membrane', { unit: 'cm²', min: 0.1, max: 5000 }],
  ['dividerMm', 'Its thickness', { unit: 'mm', min: 0.01, max: 200 }],
  ['plugCm2', 'Gel plug, across', { unit: 'cm²', min: 0.1, max: 1000 }],
  ['plugMm', 'Gel plug, long', { unit: 'mm', min: 1, max: 500 }],
  ['leadMm2', 'Leads', { unit: 'mm²', min: 0.02, max: 50 }],
  ['leadM', 'Leads, there and back', { unit: 'm', min: 0, max: 20 }],
  ['openCm2', 'Open surface of the liquid', { unit: 'cm²', min: 0, max: 5000 }],
];

const SUPPLY_NAMES: Readonly<Record<Supply['kind'], string>> = {
  'bench supply': 'bench supply, with a current limit',
  'wall adapter': 'plug-in adapter, DC',
  battery: 'batteries',
  'solar panel': 'solar panel',
  alternating: 'transformer, AC',
};

/** One’s own cell: the supply, what hangs in it, what stands between. */
export function GearForm({ value, onChange }: GearFormProps) {
  const { supply } = value;
  const set = (change: Partial<Supply>) => onChange({ ...value, supply: { ...supply, ...change } });
  const battery = supply.kind === 'battery';
  return (
    <div className="cell-gear">
      <div className="field">
        <span>Supply</span>
        <Select
          aria-label="Supply"
          value={supply.kind}
          options={supplyKinds.map((kind) => ({ value: kind, label: SUPPLY_NAMES[kind] }))}
          onChange={(kind) => set({ kind })}
        />
      </div>
      <NumberField
        label={battery ? 'Volts of one' : 'Volts'}
        unit="V"
        required
        min={0.1}
        max={60}
        value={supply.volts}
        onChange={(next) => next !== null && set({ volts: next })}
      />
      <NumberField
        label="Amps at most"
        unit="A"
        required
        min={0.01}
        max={30}
        value={supply.amps}
        onChange={(next) => next !== null && set({ amps: next })}
      />
      {battery ? (
        <>
          <NumberField
            label="In series"
            unit=""
            required
            min={1}
            max={40}
            value={supply.inSeries ?? 1}
            onChange={(next) => next !== null && set({ inSeries: Math.round(next) })}
          />
          <NumberField
            label="Capacity of one"
            unit="A·h"
            min={0.01}
            max={1000}
            value={supply.ampHours ?? null}
            onChange={(next) => {
              const { ampHours: _, ...rest } = supply;
              onChange({ ...value, supply: next === null ? rest : { ...rest, ampHours: next } });
            }}
          />
        </>
      ) : null}
      {FIELDS.map(([key, label, { unit, min, max }]) => (
        <NumberField
          key={key}
          label={label}
          unit={unit}
          required
          min={min}
          max={max}
          value={value[key]}
          onChange={(next) => next !== null && onChange({ ...value, [key]: next })}
        />
      ))}
      <NumberField
        label="A kilowatt-hour costs"
        unit=""
        min={0}
        max={10}
        value={value.perKWh ?? null}
        onChange={(next) => {
          const { perKWh: _, ...rest } = value;
          onChange(next === null ? rest : { ...rest, perKWh: next });
        }}
      />
    </div>
  );
}
