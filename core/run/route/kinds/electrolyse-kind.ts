import type { AnodeMaterial, DividerKind } from '#matter/gear';
import type { Reaction } from '#matter/reaction';
import type { SubstanceId } from '#matter/substance';
import type { Control, Recipe } from '#run/technique';
import { runCell } from '../catalogue/cell-steps.ts';
import { control, type StepKind } from './step-kind.ts';

/** Anodes that dissolve where their metal is among what reacts. */
const DISSOLVING: readonly (readonly [SubstanceId, AnodeMaterial])[] = [
  ['copper', 'copper'],
  ['zinc', 'zinc'],
  ['iron', 'iron'],
];
const SURVIVING: readonly AnodeMaterial[] = ['carbon', 'platinum', 'mixed oxide', 'nickel', 'lead dioxide'];
const DIVIDERS: readonly DividerKind[] = ['flower pot', 'agar gel', 'membrane', 'canvas'];

/** Electrons for one of a reaction: by the hydrogen, the metal or the oxygen that an electrode gives. */
function electronsOf({ reactants, products }: Reaction): number {
  const made = (id: SubstanceId) => products.find(({ substanceId }) => substanceId === id)?.n ?? 0;
  const used = (id: SubstanceId) => reactants.find(({ substanceId }) => substanceId === id)?.n ?? 0;
  const cathode = 2 * (made('hydrogen') + made('copper') + made('zinc'));
  const anode = 4 * made('oxygen') + 2 * (made('chlorine') + used('copper') + used('zinc') + used('iron'));
  return Math.max(1, Math.round(cathode || anode || 2));
}

const chosen = (id: string, name: 'anode' | 'divider', choices: readonly string[]): Control =>
  control(id, {
    name,
    unit: '',
    min: 0,
    max: choices.length - 1,
    step: 1,
    start: 0,
    note: name === 'anode' ? 'What survives before this liquid.' : 'What keeps the sides apart.',
    choices: [...choices],
  });

const kind = (divided: boolean): StepKind => ({
  id: divided ? 'electrolyse-divided' : 'electrolyse',
  says: divided ? 'electrolyse behind a divider' : 'electrolyse',
  technique: 'electrolyse',
  needs: 'reaction',
  make: (recipe: Recipe, id, of) => {
    const reaction = recipe.reactions.find((each) => each.id === of);
    const metal = DISSOLVING.find(([each]) => reaction?.reactants.some(({ substanceId }) => substanceId === each));
    const anodes = metal ? [metal[1]] : SURVIVING;
    const current = control(`${id}-i`, {
      name: 'current',
      unit: 'A',
      min: 0.02,
      max: 10,
      step: 0.01,
      start: 0.4,
      note: 'About 10 mA for each cm² is gentle.',
    });
    const finish = control(`${id}-f`, {
      name: 'of what can react',
      unit: '%',
      min: 5,
      max: 99.5,
      step: 0.5,
      start: 80,
      note: 'The last of it takes longest.',
    });
    const anode = anodes.length > 1 ? chosen(`${id}-a`, 'anode', anodes) : null;
    const divider = divided ? chosen(`${id}-d`, 'divider', DIVIDERS) : null;
    const makes =
      (recipe.makes.kind === 'solid' ? recipe.makes.anhydrousId : recipe.makes.substanceId) ??
      reaction?.products[0]?.substanceId ??
      'water';
    return {
      step: runCell(
        {
          anodeIn: 'pot',
          ...(divided ? { cathodeIn: 'cathode side' as const } : {}),
          reaction: of,
          electrons: reaction ? electronsOf(reaction) : 2,
          makes,
          anodes: [...anodes],
          ...(anode ? { anodeControl: anode.id } : {}),
          cathode: 'stainless steel',
          dividers: divided ? [...DIVIDERS] : ['none'],
          ...(divider ? { dividerControl: divider.id } : {}),
          current: current.id,
          finish: finish.id,
        },
        {
          id,
          title: `Electrolyse at {set.${current.id}}`,
          act: `Plus to the anode, minus to the cathode, clips dry${divided ? '; both sides at one level, each filled in its own vessel' : ''}. Current on at {cell.current}; note volts, amps and temperature at every look.`,
        },
      ),
      controls: [current, finish, ...(anode ? [anode] : []), ...(divider ? [divider] : [])],
    };
  },
});

/** A current through one liquid, or through two with a divider between. */
export const electrolyseKinds: readonly StepKind[] = [kind(false), kind(true)];
