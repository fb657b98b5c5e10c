import { absorbGas } from './absorb/index.ts';
import { add } from './add/index.ts';
import { boilDown } from './boil-down/index.ts';
import { crystalliseCold } from './crystallise/index.ts';
import { decant } from './decant/index.ts';
import { dissolveWarm } from './dissolve/index.ts';
import { distilOver } from './distil/index.ts';
import { dry } from './dry/index.ts';
import { dryOver } from './dry-over/index.ts';
import { dryUp } from './dry-up/index.ts';
import { electrolyse } from './electrolyse/index.ts';
import { esterify } from './esterify/index.ts';
import { evaporate } from './evaporate/index.ts';
import { fall } from './fall/index.ts';
import { filter } from './filter/index.ts';
import { fuse } from './fuse/index.ts';
import { hold } from './hold/index.ts';
import { makeUp } from './make-up/index.ts';
import { oxidise } from './oxidise/index.ts';
import { plain } from './plain/index.ts';
import { precipitate } from './precipitate/index.ts';
import { react } from './react/index.ts';
import { redissolve } from './redissolve/index.ts';
import { saltOutCold } from './salt-out/index.ts';
import { saltPair } from './salt-pair/index.ts';
import { separate } from './separate/index.ts';
import { sublimeOver } from './sublime/index.ts';
import { wash } from './wash/index.ts';

/** Every kind of step, by the name it is stored under. A new one is a folder beside these and a line here. */
export const techniques = {
  add,
  react,
  fuse,
  'boil-down': boilDown,
  evaporate,
  'dry-up': dryUp,
  crystallise: crystalliseCold,
  filter,
  'salt-pair': saltPair,
  'salt-out': saltOutCold,
  precipitate,
  wash,
  dry,
  'make-up': makeUp,
  decant,
  dissolve: dissolveWarm,
  redissolve,
  distil: distilOver,
  'dry-over': dryOver,
  electrolyse,
  fall,
  oxidise,
  sublime: sublimeOver,
  esterify,
  separate,
  absorb: absorbGas,
  hold,
  plain,
} as const;
