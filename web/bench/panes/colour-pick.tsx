import { useEffect, useRef, useState } from 'react';
import { must, numberAt } from '#base/lookup';
import { hexOf, type Rgb, underGreyCard } from '#model/assay';

const WIDE = 320;
/** Half the side of the patch that is averaged, px of the preview. */
const PATCH = 5;

/** Touch the grey card in the photo, then the sample: its colour, with the light taken out. */
export function ColourPick({ file, onColour }: { file: File; onColour: (hex: string | null) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [card, setCard] = useState<Rgb | null>(null);
  const [colour, setColour] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    let alive = true;
    void createImageBitmap(file).then(
      (image) => {
        const board = canvas.current;
        if (!alive || !board) return;
        board.width = WIDE;
        board.height = Math.round((WIDE * image.height) / image.width);
        board.getContext('2d', { willReadFrequently: true })?.drawImage(image, 0, 0, board.width, board.height);
      },
      () => setProblem('This photo cannot be shown here; it can be kept all the same.'),
    );
    return () => {
      alive = false;
    };
  }, [file]);
  const pick = (event: React.PointerEvent<HTMLCanvasElement>) => {
    const board = must(canvas.current, 'current');
    const box = board.getBoundingClientRect();
    const at = averageAt(
      board,
      (event.clientX - box.left) * (board.width / box.width),
      (event.clientY - box.top) * (board.height / box.height),
    );
    if (!at) return;
    if (!card || colour) {
      setCard(at);
      setColour(null);
      onColour(null);
      return setProblem('');
    }
    const fixed = underGreyCard(at, card);
    if (!fixed) return setProblem('The grey card is too dark or too bright there: touch another spot of it.');
    setColour(hexOf(fixed));
    onColour(hexOf(fixed));
    setProblem('');
  };
  return (
    <div className="colour-pick">
      <canvas
        ref={canvas}
        onPointerDown={pick}
        aria-label="The photo: touch the grey card, then the sample"
        role="img"
      />
      <p className="small" aria-live="polite">
        {problem || saidOf(card, colour)} {colour ? <Swatch hex={colour} /> : null}
      </p>
    </div>
  );
}

function saidOf(card: Rgb | null, colour: string | null): string {
  if (colour) return 'Colour under the grey card:';
  return card ? 'Now touch the sample.' : 'To compare colours, touch the grey card in the photo (or leave it).';
}

export function Swatch({ hex }: { hex: string }) {
  return <span className="swatch" style={{ background: hex }} role="img" aria-label={`colour ${hex}`} />;
}

function averageAt(board: HTMLCanvasElement, x: number, y: number): Rgb | undefined {
  const context = board.getContext('2d', { willReadFrequently: true });
  const left = Math.max(0, Math.min(board.width - 2 * PATCH, Math.round(x) - PATCH));
  const top = Math.max(0, Math.min(board.height - 2 * PATCH, Math.round(y) - PATCH));
  const data = context?.getImageData(left, top, 2 * PATCH, 2 * PATCH).data;
  if (!data) return undefined;
  let [r, g, b] = [0, 0, 0];
  const count = data.length / 4;
  for (let i = 0; i < data.length; i += 4) {
    r += numberAt(data, i);
    g += numberAt(data, i + 1);
    b += numberAt(data, i + 2);
  }
  return { r: r / count, g: g / count, b: b / count };
}
