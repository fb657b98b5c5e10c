import { acidBase } from './acid-base/index.ts';
import { argentometric } from './argentometric/index.ts';
import { back } from './back/index.ts';
import { colour } from './colour/index.ts';
import { complexometric } from './complexometric/index.ts';
import { density } from './density/index.ts';
import { gas } from './gas/index.ts';
import { gravimetric } from './gravimetric/index.ts';
import { hydrometer } from './hydrometer/index.ts';
import { iodine } from './iodine/index.ts';
import { iodometric } from './iodometric/index.ts';
import { drying, ignition } from './loss/index.ts';
import { metal } from './metal/index.ts';
import type { Method } from './method.ts';
import { permanganate } from './permanganate/index.ts';
import { strip } from './strip/index.ts';
import { twoEnds } from './two-ends/index.ts';

/** Every method of finding a strength. A new one is a folder beside these and a line here. */
export const methods: readonly Method[] = [
  acidBase,
  twoEnds,
  back,
  iodometric,
  iodine,
  permanganate,
  argentometric,
  complexometric,
  density,
  hydrometer,
  gas,
  gravimetric,
  drying,
  ignition,
  metal,
  strip,
  colour,
];

export function methodById(id: string): Method | undefined {
  return methods.find((each) => each.id === id);
}
