import { Modal } from 'antd';

interface CheckInDialogProps {
  readonly minutes: string;
  readonly late: boolean;
  readonly onWell: () => void;
}

/** Asks one who works alone, and tells whoever hears it what to do. */
export function CheckInDialog({ minutes, late, onWell }: CheckInDialogProps) {
  return (
    <Modal
      open
      title="Are you well?"
      okText="I am"
      onOk={onWell}
      onCancel={onWell}
      cancelButtonProps={{ style: { display: 'none' } }}
    >
      <p>
        You asked to be asked every {minutes} minutes while you work alone.
        {late ? ' Whoever hears this: look in, and call for help if there is no answer.' : ''}
      </p>
      <p>
        In the eyes or on the skin: water at once, for twenty minutes. Breathed in: out into the air, sit, call for
        help.
      </p>
    </Modal>
  );
}
