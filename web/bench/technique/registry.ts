import type { StepState } from '#run/state';
import type { TechniqueName } from '#run/technique';
import { absorbView } from './absorb/index.ts';
import { addView } from './add/index.ts';
import { boilDownView } from './boil-down/index.ts';
import { crystalliseView } from './crystallise/index.ts';
import { decantView } from './decant/index.ts';
import { dissolveView } from './dissolve/index.ts';
import { distilView } from './distil/index.ts';
import { dryView } from './dry/index.ts';
import { dryOverView } from './dry-over/index.ts';
import { dryUpView } from './dry-up/index.ts';
import { electrolyseView } from './electrolyse/index.ts';
import { esterifyView } from './esterify/index.ts';
import { evaporateView } from './evaporate/index.ts';
import { fallView } from './fall/index.ts';
import { filterView } from './filter/index.ts';
import { fuseView } from './fuse/index.ts';
import { holdView } from './hold/index.ts';
import { makeUpView } from './make-up/index.ts';
import { oxidiseView } from './oxidise/index.ts';
import { plainStepView } from './plain/index.ts';
import { precipitateView } from './precipitate/index.ts';
import { reactView } from './react/index.ts';
import { redissolveView } from './redissolve/index.ts';
import { saltOutView } from './salt-out/index.ts';
import { saltPairView } from './salt-pair/index.ts';
import { separateView } from './separate/index.ts';
import { sublimeView } from './sublime/index.ts';
import type { TechniqueView } from './technique-view.ts';
import { washView } from './wash/index.ts';

/** Every kind of step at the bench: one that the core knows and this does not compiles nowhere. */
const views: { readonly [N in TechniqueName]: TechniqueView<N> } = {
  add: addView,
  react: reactView,
  fuse: fuseView,
  'boil-down': boilDownView,
  evaporate: evaporateView,
  'dry-up': dryUpView,
  crystallise: crystalliseView,
  filter: filterView,
  'salt-pair': saltPairView,
  'salt-out': saltOutView,
  precipitate: precipitateView,
  wash: washView,
  dry: dryView,
  'make-up': makeUpView,
  decant: decantView,
  dissolve: dissolveView,
  redissolve: redissolveView,
  distil: distilView,
  'dry-over': dryOverView,
  electrolyse: electrolyseView,
  fall: fallView,
  oxidise: oxidiseView,
  sublime: sublimeView,
  esterify: esterifyView,
  separate: separateView,
  absorb: absorbView,
  hold: holdView,
  plain: plainStepView,
};

/** The view of a step's own kind. */
export function viewOf<N extends TechniqueName>(step: StepState & { readonly technique: N }): TechniqueView<N> {
  return views[step.technique];
}
