import type { ReactNode } from 'react';
import { print } from '../theme/print.ts';

/** What stands inside the diamond, drawn in a square of 100. */
const SYMBOLS: Readonly<Record<string, ReactNode>> = {
  // Flame
  GHS02: (
    <path d="M50 22 C54 34 66 40 64 56 C63 66 57 72 50 72 C43 72 36 66 36 56 C36 49 41 45 43 38 C46 43 49 44 50 48 C53 41 49 31 50 22 Z M34 76 H66 V80 H34 Z" />
  ),
  // Flame over a circle
  GHS03: (
    <>
      <path d="M50 18 C53 27 61 31 60 42 C59 49 55 52 50 52 C45 52 40 48 40 42 C40 37 43 34 45 29 C47 33 49 34 50 37 C52 31 49 25 50 18 Z" />
      <path d="M50 52 a13 13 0 1 0 0.01 0 Z M50 58 a7 7 0 1 1 -0.01 0 Z M34 80 H66 V84 H34 Z" fillRule="evenodd" />
    </>
  ),
  // Gas cylinder
  GHS04: <path d="M28 62 L62 36 C68 32 75 40 70 46 L36 72 C30 76 23 68 28 62 Z M66 34 L74 28 L79 34 L72 41 Z" />,
  // Corrosion: one glass over a bar, one over a hand
  GHS05: (
    <>
      <path d="M22 34 L44 24 L47 30 L25 40 Z M56 24 L78 34 L75 40 L53 30 Z" />
      <path d="M27 43 q4 6 0 8 q-4 -2 0 -8 Z M36 40 q4 6 0 8 q-4 -2 0 -8 Z M64 40 q4 6 0 8 q-4 -2 0 -8 Z M73 43 q4 6 0 8 q-4 -2 0 -8 Z" />
      <path d="M18 56 H25 L28 61 L31 56 H34 L37 62 L40 56 H47 V66 H18 Z" />
      <path d="M53 58 q6 -3 10 -1 l3 4 l4 -4 q8 0 12 2 V69 H66 q-8 0 -13 -5 Z" />
    </>
  ),
  // Skull and crossed bones
  GHS06: (
    <>
      <path
        d="M50 18 C63 18 69 27 69 37 C69 45 64 48 62 51 V58 H38 V51 C36 48 31 45 31 37 C31 27 37 18 50 18 Z M42 32 a5.5 5.5 0 1 0 0.01 0 Z M58 32 a5.5 5.5 0 1 0 0.01 0 Z M50 44 L47 51 H53 Z"
        fillRule="evenodd"
      />
      <path d="M26 62 L74 78 L72 84 L24 68 Z" />
      <path d="M74 62 L26 78 L28 84 L76 68 Z" />
    </>
  ),
  // Exclamation mark
  GHS07: <path d="M44 22 H56 L53 60 H47 Z M50 66 a6.5 6.5 0 1 0 0.01 0 Z" />,
  // Health hazard: a bust with a star on its breast
  GHS08: (
    <path
      d="M50 18 C57 18 60 24 60 31 C60 37 57 42 55 44 V48 C66 50 72 56 72 66 V82 H28 V66 C28 56 34 50 45 48 V44 C43 42 40 37 40 31 C40 24 43 18 50 18 Z M50 54 L53 61 L60 56 L56 63 L64 65 L56 68 L60 75 L53 70 L50 78 L47 70 L40 75 L44 68 L36 65 L44 63 L40 56 L47 61 Z"
      fillRule="evenodd"
    />
  ),
  // A bare tree and a dead fish
  GHS09: (
    <>
      <path d="M33 72 V52 L24 42 L27 40 L34 47 L34 30 H38 L38 44 L46 34 L49 37 L39 50 V72 Z" />
      <path
        d="M22 72 H78 V75 H22 Z M48 64 C56 54 68 56 72 62 L80 56 V72 L72 66 C66 72 55 72 48 64 Z M60 60 a1.8 1.8 0 1 0 0.01 0 Z"
        fillRule="evenodd"
      />
    </>
  ),
};

const NAMES: Readonly<Record<string, string>> = {
  GHS02: 'flame: it burns',
  GHS03: 'flame over a circle: it feeds fire',
  GHS04: 'gas cylinder: gas under pressure',
  GHS05: 'corrosion',
  GHS06: 'skull: poison',
  GHS07: 'exclamation mark: harmful or irritant',
  GHS08: 'health hazard',
  GHS09: 'environment: kills in water',
};

/** A hazard pictogram: black symbol on white in a red diamond, `size` wide at a place. */
export function Pictogram({ id, x, y, size }: { id: string; x: number; y: number; size: number }) {
  return (
    <g transform={`translate(${x} ${y}) scale(${size / 100})`}>
      <title>{NAMES[id] ?? id}</title>
      <path d="M50 3 L97 50 L50 97 L3 50 Z" fill={print.paper} stroke={print.diamond} strokeWidth="5" />
      <g fill={print.ink}>{SYMBOLS[id]}</g>
    </g>
  );
}
