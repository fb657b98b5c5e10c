import type { TechniqueName } from '#run/technique';

/** Strokes in a box of 48 by 44, one drawing for each way that a step looks. */
const BEAKER = 'M10 12h3v24q0 4 4 4h14q4 0 4-4V12h3';
const LEVEL = 'M13 24h22';
const FUNNEL = 'M10 8h28L26 24v14M22 38V24L10 8M15 14h18';
const DISH = 'M6 20h36q-2 18-18 18T6 20';
const HEAP = 'M6 38h36M10 38l6-12 7 5 7-12 8 19';

const PATHS: Readonly<Record<TechniqueName, readonly string[]>> = {
  add: [BEAKER, LEVEL, 'M34 2l-9 8M24 9l2 2M20 14v3M26 15v3'],
  react: [BEAKER, LEVEL, 'M20 31q4-4 8 0M22 18v-3M27 19v-5M31 28v-3'],
  fuse: ['M14 14h20l-4 22H18z', 'M18 22h12', 'M18 43q3-4 6 0t6 0'],
  'boil-down': [BEAKER, LEVEL, 'M17 8q3-3 0-6M24 9q3-3 0-7M31 8q3-3 0-6', 'M14 44h20'],
  evaporate: [DISH, 'M12 27h24', 'M16 15q3-4 0-8M24 15q3-4 0-8M32 15q3-4 0-8'],
  'dry-up': [DISH, 'M12 32l6-4 6 3 6-4 5 3', 'M20 14q3-4 0-8M28 14q3-4 0-8'],
  crystallise: [DISH, 'M15 33l5-8 5 5 4-9 6 10', 'M24 3v10M19 5l10 6M29 5l-10 6'],
  filter: [FUNNEL, 'M24 41v3'],
  'salt-pair': [DISH, 'M14 31h5v-5h-5zM27 33l4-7 4 7z'],
  'salt-out': [BEAKER, LEVEL, 'M17 36h4v-4h-4zM25 36h4v-4h-4z', 'M24 2v8M20 4l8 4M28 4l-8 4'],
  precipitate: [BEAKER, LEVEL, 'M15 36q9-6 18 0', 'M19 27v2M25 29v2M29 27v2'],
  wash: [FUNNEL, 'M18 2v4M24 1v4M30 2v4'],
  dry: [HEAP, 'M12 8q4-4 8 0t8 0 8 0M12 14q4-4 8 0t8 0 8 0'],
  'make-up': ['M21 4h6v14q10 6 10 14 0 8-6 8H17q-6 0-6-8 0-8 10-14z', 'M20 12h8'],
  decant: ['M8 10l6-2 14 22-10 6q-4 2-6-2z', 'M30 24q6 4 4 14', 'M12 24l12-2'],
  dissolve: [BEAKER, LEVEL, 'M24 6v26M20 32q4 4 8 0', 'M14 44h20'],
  redissolve: [BEAKER, LEVEL, 'M18 36l3-5 3 4 3-5 4 6', 'M24 4v12M20 12l4 4 4-4'],
  distil: ['M10 24a8 8 0 1 0 12 0V8h4l14 18v14', 'M8 30h16'],
  electrolyse: [
    'M8 14v24q0 3 3 3h26q3 0 3-3V14',
    'M8 22h32',
    'M16 4v28M32 4v28',
    'M12 7h8M28 7h8M32 3v8',
    'M36 28v-2M37 33v-2',
  ],
  fall: ['M12 8v28q0 4 4 4h16q4 0 4-4V8', 'M12 16h24', 'M24 20v10M20 27l4 4 4-4', 'M15 36h18'],
  oxidise: ['M18 8h12v12l9 17q1 3-3 3H12q-4 0-3-3l9-17z', 'M13 31h22', 'M20 26v-5M24 26v-3M28 26v-5'],
  sublime: [DISH, 'M14 34l5-6 5 5 4-6 6 7', 'M8 10h32', 'M14 10v4M20 10v6M26 10v4M32 10v6'],
  esterify: ['M14 44h20', 'M18 40a10 10 0 1 1 12 0z', 'M22 22V4h4v18', 'M17 32h14', 'M29 8h6v10h-6'],
  separate: ['M22 4h4v6q10 4 10 14 0 8-10 14v6h-4v-6q-10-6-10-14 0-10 10-14z', 'M13 24h22', 'M18 40h12'],
  absorb: [
    'M8 40a8 8 0 1 1 10 0z',
    'M11 24V8h20v18',
    'M24 22v16q0 3 3 3h10q3 0 3-3V22',
    'M24 30h16',
    'M29 34v-1M34 36v-1',
  ],
  'dry-over': [BEAKER, LEVEL, 'M16 37h3M22 37h3M28 37h3M19 33h3M26 33h3'],
  hold: [BEAKER, LEVEL, 'M24 4v22', 'M14 44q3-3 6 0t6 0 6 0'],
  plain: ['M14 6h20v32H14z', 'M19 14h10M19 20h10M19 26h6'],
};

/** What a step does, drawn: told apart by its shape, and named beside it. */
export function StepIcon({ technique }: { technique: TechniqueName }) {
  return (
    <svg width="48" height="46" viewBox="0 0 48 46" aria-hidden="true">
      {PATHS[technique].map((d) => (
        <path key={d} d={d} className="drawn-line" />
      ))}
    </svg>
  );
}
