import { Input, Modal, Select } from 'antd';
import { useId, useState } from 'react';
import { strengthUnits } from '#core/solution';
import { type BottleCard, containers, groups } from '#core/stock';
import { NumberField } from '../parts/number-field.tsx';
import { substanceNamesForChoice } from './substance-choice.ts';

interface CardFormProps {
  readonly card: BottleCard;
  readonly title: string;
  readonly okText: string;
  readonly busy: boolean;
  readonly problem: string;
  readonly onSave: (card: BottleCard) => void;
  readonly onClose: () => void;
}

/** Every part of a bottle’s card, to correct by hand. */
export function CardForm({ card, title, okText, busy, problem, onSave, onClose }: CardFormProps) {
  const ids = {
    name: useId(),
    substance: useId(),
    unit: useId(),
    container: useId(),
    group: useId(),
    since: useId(),
    note: useId(),
    size: useId(),
  };
  const [draft, setDraft] = useState(card);
  const [strength, setStrength] = useState(card.strength?.value ?? null);
  const [unit, setUnit] = useState(card.strength?.unit ?? 'w/w');
  const [size, setSize] = useState(card.size?.value ?? null);
  const [sizeUnit, setSizeUnit] = useState(card.size?.unit ?? 'g');
  const change = (part: Partial<BottleCard>) => setDraft((before) => ({ ...before, ...part }));
  const save = () =>
    onSave({
      ...draft,
      name: draft.name.trim(),
      strength: strength === null ? null : { value: strength, unit },
      strengthBand: strength === null ? null : draft.strengthBand,
      size: size === null ? null : { value: size, unit: sizeUnit },
    });
  return (
    <Modal
      open
      title={title}
      okText={okText}
      onOk={save}
      onCancel={onClose}
      okButtonProps={{ loading: busy, disabled: draft.name.trim() === '' || draft.since === '' }}
    >
      <div className="field">
        <label htmlFor={ids.name}>Name</label>
        <Input
          id={ids.name}
          value={draft.name}
          maxLength={120}
          status={draft.name.trim() === '' ? 'error' : ''}
          onChange={(event) => change({ name: event.target.value })}
        />
        {draft.name.trim() === '' ? <p className="problem small">A bottle needs a name.</p> : null}
      </div>
      <div className="field">
        <label htmlFor={ids.substance}>Substance</label>
        <Select
          id={ids.substance}
          showSearch={{ optionFilterProp: 'label' }}
          style={{ width: '100%' }}
          value={draft.substanceId}
          options={substanceNamesForChoice()}
          onChange={(substanceId) => change({ substanceId })}
        />
      </div>
      <div className="form-grid">
        <NumberField label="Strength" value={strength} min={0} onChange={setStrength} />
        <div className="field">
          <label htmlFor={ids.unit}>Unit of strength</label>
          <Select
            id={ids.unit}
            style={{ width: '100%' }}
            value={unit}
            options={Object.entries(strengthUnits).map(([value, label]) => ({ value, label }))}
            onChange={setUnit}
          />
        </div>
        <NumberField
          label="Good to ± (empty: as labels are)"
          value={draft.strengthBand}
          min={0.000001}
          onChange={(strengthBand) => change({ strengthBand })}
        />
        <NumberField label="Price" value={draft.price} min={0} onChange={(price) => change({ price })} />
        <NumberField label="Size" value={size} min={0.001} max={1_000_000} onChange={setSize} />
        <div className="field">
          <label htmlFor={ids.size}>Unit of size</label>
          <Select
            id={ids.size}
            style={{ width: '100%' }}
            value={sizeUnit}
            options={[
              { value: 'g' as const, label: 'g' },
              { value: 'mL' as const, label: 'mL' },
            ]}
            onChange={setSizeUnit}
          />
        </div>
        <div className="field">
          <label htmlFor={ids.container}>Container</label>
          <Select
            id={ids.container}
            style={{ width: '100%' }}
            value={draft.container}
            options={containers.map((value) => ({ value, label: value }))}
            onChange={(container) => change({ container })}
          />
        </div>
        <div className="field">
          <label htmlFor={ids.group}>Stands with</label>
          <Select
            id={ids.group}
            style={{ width: '100%' }}
            value={draft.group}
            options={groups.map((value) => ({ value, label: value }))}
            onChange={(group) => change({ group })}
          />
        </div>
        <div className="field">
          <label htmlFor={ids.since}>Since</label>
          <Input
            id={ids.since}
            type="date"
            value={draft.since}
            onChange={(event) => change({ since: event.target.value })}
          />
        </div>
      </div>
      <div className="field">
        <label htmlFor={ids.note}>Note</label>
        <Input.TextArea
          id={ids.note}
          rows={2}
          maxLength={2000}
          value={draft.note}
          onChange={(event) => change({ note: event.target.value })}
        />
      </div>
      {problem ? <p className="problem">{problem}</p> : null}
    </Modal>
  );
}
