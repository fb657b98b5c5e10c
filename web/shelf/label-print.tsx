import { Modal, Select } from 'antd';
import { useMemo, useRef, useState } from 'react';
import type { BottleAnswer } from '#contract/api';
import { useBatches } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { today } from '../parts/day.ts';
import { useCompute } from '../worker/compute.ts';
import { LabelDrawing, type LabelSize, labelSizes } from './label-drawing.tsx';

const DOTS_PER_MM = 600 / 25.4;

/** The label of a bottle: looked at in its size, taken away as a page or a picture. */
export function LabelPrint({ bottle, tempC, onClose }: { bottle: BottleAnswer; tempC: number; onClose: () => void }) {
  const { id, card, usedG } = bottle;
  const batches = useBatches();
  const [size, setSize] = useState<LabelSize>('jar');
  const [said, setSaid] = useState('');
  const svg = useRef<SVGSVGElement>(null);
  const batchNumber = (batches.data ?? []).find((each) => each.id === card.fromBatch)?.number ?? null;
  const { value, problem } = useCompute(
    'bottleLabel',
    useMemo(
      () => ({ bottle: { id, card, usedG }, tempC, day: today(), batchNumber }),
      [id, card, usedG, tempC, batchNumber],
    ),
  );
  const file = card.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase() || 'label';
  const take = async (kind: 'pdf' | 'png') => {
    if (!svg.current) return;
    setSaid('');
    try {
      await (kind === 'pdf' ? asPdf(svg.current, size, file) : asPng(svg.current, size, file));
      setSaid(`${file}.${kind} is with your downloads.`);
    } catch {
      setSaid(`The ${kind.toUpperCase()} could not be made here; the other one may.`);
    }
  };
  return (
    <Modal open title={`Label of ${card.name}`} footer={null} width={560} onCancel={onClose}>
      <Field label="Size">
        {(bound) => (
          <Select
            {...bound}
            style={{ width: 220 }}
            value={size}
            options={(Object.keys(labelSizes) as LabelSize[]).map((each) => ({
              value: each,
              label: labelSizes[each].name,
            }))}
            onChange={setSize}
          />
        )}
      </Field>
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? (
        <>
          <div className="label-view">
            <LabelDrawing label={value} size={size} origin={window.location.origin} svg={svg} />
          </div>
          <p className="row">
            <button type="button" className="act" onClick={() => void take('pdf')}>
              PDF
            </button>
            <button type="button" className="tab" onClick={() => void take('png')}>
              PNG, 600 dpi
            </button>
            <span role="status" className="quiet small">
              {said}
            </span>
          </p>
          <p className="quiet small">
            By the usual classification of what is in it; a shop’s own label may say more. Stands with: {value.stands}.
          </p>
        </>
      ) : null}
    </Modal>
  );
}

/** The drawing as a page of just its size: text stays text. */
async function asPdf(svg: SVGSVGElement, size: LabelSize, file: string): Promise<void> {
  const [{ jsPDF }, { svg2pdf }] = await Promise.all([import('jspdf'), import('svg2pdf.js')]);
  const { w, h } = labelSizes[size];
  const pdf = new jsPDF({ unit: 'mm', format: [w, h], orientation: 'landscape' });
  await svg2pdf(svg, pdf, { x: 0, y: 0, width: w, height: h });
  pdf.save(`${file}.pdf`);
}

async function asPng(svg: SVGSVGElement, size: LabelSize, file: string): Promise<void> {
  const { w, h } = labelSizes[size];
  const source = new XMLSerializer().serializeToString(svg);
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(source)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(w * DOTS_PER_MM);
  canvas.height = Math.round(h * DOTS_PER_MM);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('no picture');
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = `${file}.png`;
  link.click();
  URL.revokeObjectURL(link.href);
}
