import { Modal, Segmented, Switch } from 'antd';
import { useChoice } from './choice.tsx';
import { TellingChoice } from './telling.tsx';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 5', 'Shelf, Plan, Bench, Assay, Record'],
  ['/', 'the Reckoner'],
  ['?', 'this list'],
  ['F', 'on the shelf: find a bottle'],
  ['Space', 'at the bench: step done'],
  ['W', 'at the bench: weigh or measure'],
  ['L', 'at the bench: log a reading'],
  ['T', 'at the bench: timer'],
  ['N', 'at the bench: note'],
  ['S', 'at the bench: a surprise'],
  ['D', 'at the bench: the dish'],
  ['X', 'at the bench: washing'],
  ['E', 'at the bench: evaporating'],
  ['R', 'at the bench: drying'],
  ['Esc', 'close what is open'],
];

export function Keys({ onClose }: { onClose: () => void }) {
  const [theme, setTheme] = useChoice('theme');
  const [type, setType] = useChoice('type');
  const [sound, setSound] = useChoice('sound');
  const [alone, setAlone] = useChoice('alone');
  return (
    <Modal open title="Keys and look" onCancel={onClose} footer={null}>
      <div className="keys-list">
        {KEYS.map(([key, what]) => (
          <KeyRow key={key} name={key} what={what} />
        ))}
      </div>
      <div className="choices" style={{ marginTop: 16 }}>
        <p>
          <Switch
            checked={theme === 'night'}
            onChange={(on) => setTheme(on ? 'night' : 'day')}
            aria-label="Night look"
          />{' '}
          Night look, for the dark shed
        </p>
        <p>
          <Switch
            checked={type === 'large'}
            onChange={(on) => setType(on ? 'large' : 'plain')}
            aria-label="Large type"
          />{' '}
          Large type, to read at two metres with goggles on
        </p>
        <p>
          <Switch checked={sound === 'on'} onChange={(on) => setSound(on ? 'on' : 'off')} aria-label="Sound" /> Sound
          for alarms, timers and missed looks
        </p>
        <TellingChoice />
        <p>
          I work alone, ask me every{' '}
          <Segmented
            aria-label="Check-in, minutes"
            options={['off', '15', '30', '60'] as const}
            value={alone}
            onChange={(value) => setAlone(value)}
          />{' '}
          min
        </p>
      </div>
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
