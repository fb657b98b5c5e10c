import { Modal } from 'antd';
import { PairCode } from '../parts/pair-code.tsx';

/** On the first screen while the notebook is open to the network and nobody was let in yet. */
export function PairDialog({ onClose }: { onClose: () => void }) {
  return (
    <Modal open title="A phone or tablet at the bench" onCancel={onClose} footer={null}>
      <PairCode />
    </Modal>
  );
}
