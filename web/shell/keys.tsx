import { Modal, Switch } from 'antd';
import { useNight } from './night.tsx';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 5', 'Shelf, Plan, Bench, Assay, Record'],
  ['/', 'the Reckoner'],
  ['?', 'this list'],
  ['Space', 'at the bench: step done'],
  ['W', 'at the bench: weigh or measure'],
  ['L', 'at the bench: log a reading'],
  ['T', 'at the bench: timer'],
  ['N', 'at the bench: note'],
  ['Esc', 'close what is open'],
];

export function Keys({ onClose }: { onClose: () => void }) {
  const { night, setNight } = useNight();
  return (
    <Modal open title="Keys and look" onCancel={onClose} footer={null}>
      <div className="keys-list">
        {KEYS.map(([key, what]) => (
          <KeyRow key={key} name={key} what={what} />
        ))}
      </div>
      <p style={{ marginTop: 16 }}>
        <Switch checked={night} onChange={setNight} aria-label="Night look" /> Night look, for the dark shed
      </p>
    </Modal>
  );
}

function KeyRow({ name, what }: { name: string; what: string }) {
  return (
    <>
      <span>
        <kbd>{name}</kbd>
      </span>
      <span>{what}</span>
    </>
  );
}
