import { create } from 'qrcode';
import { print } from '../theme/print.ts';

/** A text as a code for a camera, within a drawing: its corner and its side in the drawing’s own unit. */
export function QrCode({ text, x, y, size }: { text: string; x: number; y: number; size: number }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const cell = size / modules.size;
  const squares = Array.from({ length: modules.size * modules.size }, (_, i) => i).flatMap((i) =>
    modules.data[i]
      ? [
          `M${r(x + (i % modules.size) * cell)} ${r(y + Math.floor(i / modules.size) * cell)}h${r(cell)}v${r(cell)}h-${r(cell)}z`,
        ]
      : [],
  );
  return <path d={squares.join('')} fill={print.ink} data-code={text} />;
}

const r = (value: number) => Number(value.toFixed(3));
