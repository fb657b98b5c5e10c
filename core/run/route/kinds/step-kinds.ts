import { boilDown, collect, coolOvernight, dry, makeUp, settle, washThrice } from '../catalogue/common-steps.ts';
import { step } from '../catalogue/step.ts';
import type { StepTemplate } from '../route.ts';
import { absorbKinds } from './absorb-kinds.ts';
import { addStep, paceOf } from './add-step.ts';
import { distilKind } from './distil-kind.ts';
import { electrolyseKinds } from './electrolyse-kind.ts';
import { esterifyKind } from './esterify-kind.ts';
import { fallKind } from './fall-kind.ts';
import { oxidiseKind } from './oxidise-kind.ts';
import { separateKind } from './separate-kind.ts';
import { boilStart, coldRange } from './starts.ts';
import { control, plain, type StepKind } from './step-kind.ts';
import { sublimeKind } from './sublime-kind.ts';

/** Steps of every technique that needs no apparatus of its own, in the order they usually come. */
export const stepKinds: readonly StepKind[] = [
  {
    id: 'add',
    says: 'add',
    technique: 'add',
    needs: 'role',
    make: (recipe, id, of) => plain(addStep(recipe, { id, role: of, reacts: [] })),
  },
  {
    id: 'react',
    says: 'let react',
    technique: 'react',
    needs: 'reaction',
    make: (recipe, id, of) =>
      plain(
        step({
          id,
          title: 'Let it react',
          act: 'Stir, and let it go on until nothing more happens.',
          until: 'No more bubbles, nothing left that should dissolve.',
          expect: 'It slows down by itself.',
          why: 'What has not reacted is lost to the product, or ends in it.',
          op: { do: 'react', reaction: of },
          adding: paceOf(recipe, of),
          leave: { alone: false, lookEveryMin: 15, reason: 'how fast it goes is not known' },
          handsOnMin: 10,
          waitH: [0.2, 6],
        }),
      ),
  },
  {
    id: 'dissolve',
    says: 'dissolve warm',
    technique: 'dissolve',
    needs: null,
    make: (_recipe, id) => {
      const hot = control(id, {
        name: 'dissolve at',
        unit: '°C',
        min: 10,
        max: 95,
        step: 1,
        start: 50,
        note: 'Warmer dissolves more and faster.',
      });
      return {
        step: step({
          id,
          title: `Warm to {set.${hot.id}} and stir until it is dissolved`,
          act: 'Warm and stir; what does not dissolve now stays on the filter.',
          until: 'Nothing more dissolves.',
          expect: 'The liquid clears.',
          why: 'Only what is dissolved reacts or crystallises.',
          op: { do: 'dissolve', control: hot.id },
          handsOnMin: 10,
          waitH: [0.2, 1],
        }),
        controls: [hot],
      };
    },
  },
  {
    id: 'hold',
    says: 'hold or wait',
    technique: 'hold',
    needs: null,
    make: (_recipe, id) =>
      plain(
        step({
          id,
          title: 'Hold it as it is',
          act: 'Keep it so, and look at it.',
          expect: 'As your own words say.',
          why: 'It wants time.',
          op: { do: 'hold' },
          timer: { name: 'hold', minutes: 15 },
          waitH: [0.25, 0.25],
        }),
      ),
  },
  {
    id: 'filter-off',
    says: 'filter, keep the filtrate',
    technique: 'filter',
    needs: null,
    make: (_recipe, id) =>
      plain(
        step({
          id,
          title: 'Filter; the filtrate is kept',
          act: 'Through a paper into a clean vessel; rinse the paper with a spoon of water.',
          expect: 'Clear.',
          why: 'What did not dissolve must not end in the product.',
          op: { do: 'filter', keep: 'filtrate' },
          handsOnMin: 10,
          waitH: [0.1, 0.5],
        }),
      ),
  },
  {
    id: 'decant',
    says: 'decant',
    technique: 'decant',
    needs: null,
    make: (_recipe, id) =>
      plain(
        step({
          id,
          title: 'Decant the clear liquid',
          act: 'Pour it off what has settled, without stirring it up; stop at the first cloud.',
          expect: 'Clear liquid; about a tenth of it stays on the solid.',
          why: 'Quicker than a filter.',
          op: { do: 'decant', leavesPct: 10 },
          handsOnMin: 5,
        }),
      ),
  },
  {
    id: 'boil-down',
    says: 'boil down',
    technique: 'boil-down',
    needs: null,
    make: (recipe, id) => {
      const to = control(id, {
        name: 'boil down to',
        unit: 'g per 100 g water',
        min: 1,
        max: 600,
        step: 1,
        start: boilStart(recipe),
        note: 'Further down gives more crystals at once, and holds more of what else is in there.',
      });
      return {
        step: boilDown({ id, op: { do: 'boil-down', control: to.id }, cautions: ['hot-liquid', 'boil-dry'] }),
        controls: [to],
      };
    },
  },
  {
    id: 'evaporate',
    says: 'leave to evaporate',
    technique: 'evaporate',
    needs: null,
    make: (_recipe, id) => {
      const left = control(id, {
        name: 'water left in the dish',
        unit: '%',
        min: 1,
        max: 100,
        step: 1,
        start: 50,
        note: 'Of the water there is. Days in a wide dish, never cooked.',
      });
      return {
        step: step({
          id,
          title: 'Leave to evaporate to {dish.volume}',
          act: 'In a wide dish, a paper over it, warm and airy.',
          until: 'It has shrunk to about {dish.volume}.',
          expect: 'Crystals from the rim inwards.',
          why: 'What bears no boiling gives up its water so.',
          op: { do: 'evaporate', control: left.id },
          timer: { name: 'look at the dish', minutes: 1440 },
          leave: { alone: true, lookEveryMin: 1440, reason: 'open and cool; away from children and animals' },
          waitH: [24, 240],
        }),
        controls: [left],
      };
    },
  },
  {
    id: 'dry-up',
    says: 'to dryness',
    technique: 'dry-up',
    needs: null,
    make: (_recipe, id) =>
      plain(
        step({
          id,
          title: 'Evaporate to dryness',
          act: 'Gently, at last below the boil, until a crust is left.',
          until: 'Nothing wet is left.',
          expect: 'A crust of all that was dissolved.',
          why: 'Nothing stays in a mother liquor; nor is anything left behind in one.',
          op: { do: 'dry-up' },
          leave: { alone: false, lookEveryMin: 15, reason: 'it spits at the end' },
          handsOnMin: 20,
          waitH: [1, 48],
        }),
      ),
  },
  {
    id: 'precipitate',
    says: 'let settle',
    technique: 'precipitate',
    needs: null,
    make: (_recipe, id) =>
      plain(
        settle({
          id,
          title: 'Let it settle',
          act: 'Let it stand until a clear layer stands above.',
          expect: 'The solid settles.',
        }),
      ),
  },
  {
    id: 'crystallise',
    says: 'cool and crystallise',
    technique: 'crystallise',
    needs: null,
    make: (recipe, id) => {
      const [least, most] = coldRange(recipe);
      const cold = control(id, {
        name: 'cool to',
        unit: '°C',
        min: least,
        max: most,
        step: 1,
        start: Math.min(most, Math.max(least, 6)),
        note: 'Colder leaves less in the mother liquor.',
      });
      return {
        step: coolOvernight({
          id,
          title: `Cool to {set.${cold.id}}`,
          act: `Stand it at {set.${cold.id}} overnight, covered.`,
          expect: '[About {crystals.mass}.] Crystals.',
          op: { do: 'crystallise', control: cold.id },
        }),
        controls: [cold],
      };
    },
  },
  {
    id: 'collect',
    says: 'filter, keep the solid',
    technique: 'filter',
    needs: null,
    make: (_recipe, id) =>
      plain(
        collect({
          id,
          title: 'Filter, keeping the solid',
          expect: '[{liquor.volume} of mother liquor.] The solid on the paper.',
        }),
      ),
  },
  {
    id: 'wash',
    says: 'wash',
    technique: 'wash',
    needs: null,
    make: (_recipe, id) =>
      plain(
        washThrice({
          id,
          title: 'Wash with water, three portions',
          act: 'Three small portions of water, each drained before the next; ice-cold for what dissolves.',
          until: 'The last washings show nothing on indicator paper or a meter.',
          why: 'Each portion carries what clings down to about a fifth.',
          skipCosts: 'What clings dries onto the product, and a yield that looks too good.',
        }),
      ),
  },
  {
    id: 'redissolve',
    says: 'dissolve again',
    technique: 'redissolve',
    needs: null,
    make: (_recipe, id) =>
      plain(
        step({
          id,
          title: 'Dissolve it again',
          act: 'What was caught goes back into as little hot water as dissolves it; enter the water.',
          expect: 'Clear.',
          why: 'A second crystallising leaves most of what is foreign behind.',
          op: { do: 'redissolve' },
          handsOnMin: 15,
        }),
      ),
  },
  distilKind,
  fallKind,
  oxidiseKind,
  sublimeKind,
  esterifyKind,
  separateKind,
  ...absorbKinds,
  ...electrolyseKinds,
  { id: 'dry', says: 'dry', technique: 'dry', needs: null, make: (_recipe, id) => plain(dryStep(id)) },
  {
    id: 'make-up',
    says: 'make up to volume',
    technique: 'make-up',
    needs: null,
    make: (_recipe, id) => plain(makeUp({ id })),
  },
  {
    id: 'test',
    says: 'test or look',
    technique: 'plain',
    needs: null,
    make: (_recipe, id) =>
      plain(
        step({
          id,
          title: 'Test it',
          act: 'Take a drop, and enter what you see.',
          expect: 'As your own words say.',
          why: 'It tells whether to go on.',
        }),
      ),
  },
];

const dryStep = (id: string): StepTemplate =>
  dry({
    id,
    title: 'Dry in air[ below {dry.ceiling}] to constant mass',
    act: 'Spread on paper[ below {dry.ceiling}]. Weigh, wait four hours, weigh again.',
    expect: '[About {product.mass}.] Two weighings alike.',
  });
