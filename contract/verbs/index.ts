import { absorb } from './absorb.ts';
import { advise } from './advise.ts';
import { assay } from './assay.ts';
import { boil } from './boil.ts';
import { buffer } from './buffer.ts';
import { careVerbs } from './care.ts';
import { cell } from './cell.ts';
import { chain } from './chain.ts';
import { chainYield } from './chain-yield.ts';
import { changeRoute } from './change-route.ts';
import { clash } from './clash.ts';
import { compare } from './compare.ts';
import { describe } from './describe.ts';
import { dish } from './dish.ts';
import { dry } from './dry.ts';
import { equilibrium } from './equilibrium.ts';
import { ester } from './ester.ts';
import { evaporate } from './evaporate.ts';
import { fitStill } from './fit-still.ts';
import { fits } from './fits.ts';
import { foretold } from './foretold.ts';
import { gasVolume } from './gas-volume.ts';
import { halide } from './halide.ts';
import { labelVerbs } from './label-verbs.ts';
import { layers } from './layers.ts';
import { makeable } from './makeable.ts';
import { metal } from './metal.ts';
import { methods } from './methods.ts';
import { own } from './own.ts';
import { portion } from './portion.ts';
import { precipitate } from './precipitate.ts';
import { probe } from './probe.ts';
import { recipe } from './recipe.ts';
import { reckon } from './reckon.ts';
import { rehearseWeek } from './rehearse-week.ts';
import { reliefs } from './reliefs.ts';
import { run } from './run.ts';
import { saltout } from './saltout.ts';
import { schedule } from './schedule.ts';
import { sheet } from './sheet.ts';
import { shelfVerbs } from './shelf-verbs.ts';
import { sideBySide } from './side-by-side.ts';
import { still } from './still.ts';
import { sublime } from './sublime.ts';
import { surprise } from './surprise.ts';
import { target } from './target.ts';
import { tests } from './tests.ts';
import { titrate } from './titrate.ts';
import { titre } from './titre.ts';
import { wash } from './wash.ts';
import { week } from './week.ts';
import { when } from './when.ts';

/** Everything that the compute door does. A new verb is a file beside these and a name here. */
export const verbs = {
  ...labelVerbs,
  ...shelfVerbs,
  ...careVerbs,
  absorb,
  advise,
  boil,
  cell,
  chain,
  chainYield,
  changeRoute,
  clash,
  compare,
  describe,
  dish,
  dry,
  ester,
  evaporate,
  fitStill,
  layers,
  makeable,
  own,
  portion,
  precipitate,
  foretold,
  probe,
  recipe,
  reckon,
  run,
  saltout,
  sheet,
  sideBySide,
  still,
  halide,
  metal,
  schedule,
  week,
  fits,
  reliefs,
  rehearseWeek,
  when,
  sublime,
  surprise,
  target,
  wash,
  assay,
  buffer,
  equilibrium,
  gasVolume,
  methods,
  tests,
  titrate,
  titre,
} as const;

type Verbs = typeof verbs;
export type VerbName = keyof Verbs;
export type VerbInput<V extends VerbName> = Parameters<Verbs[V]['run']>[0];
export type VerbOutput<V extends VerbName> = Extract<ReturnType<Verbs[V]['run']>, { ok: true }>['value'];
