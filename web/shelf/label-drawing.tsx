import type { Ref } from 'react';
import type { BottleLabel } from '#run/care';
import { QrCode } from '../parts/qr-code.tsx';
import { print } from '../theme/print.ts';
import { Pictogram } from './pictogram.tsx';

/** Sizes that fit a jar and a vial, mm. */
export const labelSizes = {
  jar: { w: 100, h: 70, letters: [5.4, 3.2, 2.4], name: 'jar, 100 × 70 mm' },
  bottle: { w: 74, h: 52, letters: [4.2, 2.7, 2], name: 'bottle, 74 × 52 mm' },
  vial: { w: 50, h: 25, letters: [3, 2, 1.55], name: 'vial, 50 × 25 mm' },
} as const;
export type LabelSize = keyof typeof labelSizes;

/** Width of a letter of the plain face, by its height. */
const LETTER = 0.5;

interface Line {
  readonly text: string;
  readonly size: number;
  readonly bold?: boolean;
}

/** A label in its real size, in millimetres: one drawing for screen, picture and page. */
export function LabelDrawing({
  label,
  size,
  origin,
  svg,
}: {
  label: BottleLabel;
  size: LabelSize;
  origin: string;
  svg: Ref<SVGSVGElement>;
}) {
  const { w, h } = labelSizes[size];
  const small = size === 'vial';
  const qr = small ? 13 : 17;
  const picture = small ? 8.5 : 13;
  const margin = small ? 1.5 : 3;
  const rightW = Math.max(qr, small ? picture : 2 * picture) + margin;
  const leftW = w - rightW - 2 * margin;
  const { shown, left } = fitted(linesOf(label, size), leftW, h - 2 * margin);
  let y = margin;
  return (
    <svg
      ref={svg}
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${w} ${h}`}
      width={`${w}mm`}
      height={`${h}mm`}
      fontFamily="Helvetica, Arial, sans-serif"
      role="img"
      aria-label={`Label of ${label.name}`}
    >
      <rect
        x="0.15"
        y="0.15"
        width={w - 0.3}
        height={h - 0.3}
        fill={print.paper}
        stroke={print.line}
        strokeWidth="0.3"
      />
      {shown.map(({ text, size: height, bold }) => {
        y += height * 1.22;
        return (
          <text
            key={`${y} ${text}`}
            x={margin}
            y={y - height * 0.22}
            fontSize={height}
            fontWeight={bold ? 700 : 400}
            fill={print.ink}
          >
            {text}
          </text>
        );
      })}
      {label.elements.pictograms.map((id, i) => (
        <Pictogram
          key={id}
          id={id}
          x={w - rightW + (small ? 0 : (i % 2) * picture)}
          y={margin + (small ? i * picture * 0.55 : Math.floor(i / 2) * picture)}
          size={picture}
        />
      ))}
      {small && label.elements.pictograms.length > 1 ? null : (
        <QrCode text={`${origin}${label.path}`} x={w - margin - qr} y={h - margin - qr} size={qr} />
      )}
      {left > 0 ? (
        <text x={margin} y={h - 0.9} fontSize={small ? 1.3 : 1.6} fill={print.ink}>
          {size === 'jar' ? `${left} more lines stand on its sheet` : `${left} more lines on a larger label`}
        </text>
      ) : null}
    </svg>
  );
}

/** What stands on it, the needful first: what does not fit is counted, never cut in silence. */
function linesOf(label: BottleLabel, size: LabelSize): readonly Line[] {
  const {
    letters: [big, mid, fine],
  } = labelSizes[size];
  const { elements } = label;
  return [
    { text: label.name, size: big, bold: true },
    {
      text: label.substance === label.name.toLowerCase() ? label.strength : `${label.substance}, ${label.strength}`,
      size: mid,
      bold: true,
    },
    ...label.others.map((text) => ({ text: `with ${text}`, size: fine })),
    { text: `${label.origin}${label.useBy ? ` · use by ${label.useBy.slice(0, 7)}` : ''}`, size: fine },
    ...(elements.signal ? [{ text: elements.signal.toUpperCase(), size: mid, bold: true }] : []),
    ...elements.statements.map(({ code, text }) => ({ text: `${code} ${text}`, size: fine })),
    ...elements.notHeld.map((name) => ({ text: `Hazards of ${name} are not held here.`, size: fine, bold: true })),
    ...(elements.signal ? [{ text: `First aid: ${label.firstAid}`, size: fine, bold: true }] : []),
    ...(label.keepApart ? [{ text: label.keepApart, size: fine }] : []),
    ...elements.precautions.map(({ code, text }) => ({ text: `${code} ${text}`, size: fine })),
  ];
}

function fitted(
  lines: readonly Line[],
  w: number,
  h: number,
): { readonly shown: readonly Line[]; readonly left: number } {
  const all = lines.flatMap((line) => wrapped(line, w));
  let used = 0;
  const shown = all.filter(({ size }) => {
    used += size * 1.22;
    return used <= h;
  });
  return { shown, left: all.length - shown.length };
}

/** Broken between words by the width that letters take on the average. */
function wrapped(line: Line, w: number): readonly Line[] {
  const most = Math.max(8, Math.floor(w / (line.size * LETTER * (line.bold ? 1.08 : 1))));
  const rows: string[] = [];
  let row = '';
  for (const word of line.text.split(/\s+/)) {
    if (row !== '' && row.length + 1 + word.length > most) {
      rows.push(row);
      row = word;
    } else row = row === '' ? word : `${row} ${word}`;
  }
  return [...rows, row].map((text) => ({ ...line, text }));
}
